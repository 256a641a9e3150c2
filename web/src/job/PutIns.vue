<script setup lang="ts">
import { controlsOf, isInboard } from '@dauer/core/layout';
import { millisecondsInHour } from '@dauer/core/quantity';
import type { PutIn, PutInKind } from '@dauer/core/ledger';
import { CLAMP_HOURS, closablePorts, type PlaceState, portsOf } from '@dauer/core/readiness';
import { takenOutRefusal } from '@dauer/core/views';
import { type Port, portName, PORTS, PUT_IN_NAME } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import WithNote from '../fittings/WithNote.vue';
import { dayText, timeText } from '../fittings/dates.ts';
import OnlyNow from './OnlyNow.vue';
import { useOpenJob } from './openJob.ts';

/** What was put in at a place and must come out: in by two taps, out by one. */
const props = defineProps<{ place: PlaceState; writable: boolean }>();
const job = useOpenJob();
/** Whether the kinds are offered: the first of the two taps is beside the place. */
const choosing = defineModel<boolean>('choosing', { required: true });
const note = ref('');
/** A board lies on a control; that stored energy is made safe is said where it locks, and nowhere else. */
const kinds = computed(() => {
  const { layout } = job.state.records;
  const onControl = controlsOf(layout).some((c) => c.slotId === props.place.slot.id);
  return (Object.entries(PUT_IN_NAME) as [PutInKind, string][]).filter(
    ([k]) => k !== 'made_safe' && (k !== 'board' || onControl) && (k !== 'way_in' || isInboard(layout, props.place.slot)),
  );
});
/** A clamp on a hose counts its hours. */
function clampText(p: PutIn): string {
  if (p.what !== 'clamp') return '';
  const hours = Math.max(0, Math.floor((Date.parse(job.today) - Date.parse(p.happenedAt)) / millisecondsInHour));
  return `; ${hours} of ${CLAMP_HOURS} h${hours > CLAMP_HOURS ? ', renew the hose' : ''}`;
}
const stays = (p: PutIn): string | null => takenOutRefusal(job.state, p.id);
/** Ports of what sits here: a cap or a plug closes one of them. */
const ports = computed(() => portsOf(job.state.records.layout, props.place.slot));
const portOf = (p: PutIn): Port | undefined => ports.value.find((x) => x.id === p.port);
/** The kind that is chosen while it is asked which port it closes. */
const capping = ref<PutInKind | null>(null);
function put(what: PutInKind, port: string | null = null): void {
  job.add('putIns', { slotId: props.place.slot.id, what, note: note.value.trim(), port });
  note.value = '';
  capping.value = null;
  choosing.value = false;
}
/** What closes a port says which, where there is more than one. */
function choose(what: PutInKind): void {
  const closes = closablePorts(job.state.records.layout, props.place.slot, what);
  if (closes.length > 1) capping.value = what;
  else put(what, closes[0]?.id ?? null);
}
</script>

<template>
  <div class="putins">
    <p v-for="p in place.inside" :key="p.id" class="in">
      <b class="plate-font">{{ PUT_IN_NAME[p.what] }}</b>
      <span v-if="portOf(p)" class="small">{{ portName(portOf(p)!) }}</span>
      <span class="second small">
        {{ job.by(p) }}, {{ dayText(p.happenedAt) }} {{ timeText(p.happenedAt) }}{{ clampText(p) }}{{ p.note ? `; ${p.note}` : '' }}
      </span>
      <OnlyNow v-if="writable && p.what === 'way_in'" :inboard="place.slot" />
      <span v-if="writable && stays(p)" class="second small">{{ stays(p) }}</span>
      <v-btn v-else-if="writable" class="act slim" @click="job.add('takenOuts', { putInId: p.id })">
        {{ p.what === 'way_in' ? 'Back on' : 'Taken out' }}
      </v-btn>
    </p>
    <div v-if="writable && choosing && capping" class="kinds" role="group" :aria-label="PORTS.which">
      <span class="which plate-font">{{ PORTS.which }}</span>
      <v-btn v-for="p in ports" :key="p.id" class="act slim" @click="put(capping, p.id)">{{ portName(p) }}</v-btn>
      <button class="link small" type="button" @click="put(capping)">{{ PORTS.any }}</button>
    </div>
    <div v-else-if="writable && choosing" class="kinds" role="group" aria-label="What was put in">
      <v-btn v-for="[kind, name] in kinds" :key="kind" class="act slim" @click="choose(kind)">{{ name }}</v-btn>
      <button class="link small" type="button" @click="choosing = false">Nothing</button>
      <WithNote v-model="note" of="what is put in" />
    </div>
  </div>
</template>

<style scoped>
.putins:not(:empty) {
  margin: var(--space-2) 0;
}
.which {
  flex: 1 1 100%;
}
.in {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  line-height: var(--leading-tight);
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
  margin-bottom: 6px;
}
.in .act {
  margin-left: auto;
}
.kinds {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  align-items: center;
}
</style>
