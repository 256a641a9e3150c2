<script setup lang="ts">
import { careWords } from '@dauer/core/wording';
import { upperFirst } from '@dauer/core/quantity';
import { OPTION_NAME } from '@dauer/core/catalogue';
import { partIn, whereabouts } from '@dauer/core/history';
import { careFault, type Component } from '@dauer/core/judging';
import { KIND_FACTS, placeName } from '@dauer/core/layout';
import { jointsOf, jointStatus, wouldUndo } from '@dauer/core/readiness';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { useOpenJob } from '../../job/openJob.ts';
import { dayHere } from '../../fittings/dates.ts';
import OnlyNow from './OnlyNow.vue';
import TagPlate from '../../fittings/TagPlate.vue';
import DayField from '../../fittings/DayField.vue';

/** One part that is being worked on: off, away, machined, resealed, back on; or a new one in its place. */
const props = defineProps<{ component: Component; writable: boolean }>();
const job = useOpenJob();
const fitting = ref(false);
const tag = ref('');
const number = ref('');
const note = ref('');
/** Fitted for now only: it stays marked until what belongs there is fitted. */
const temporary = ref(false);
/** Day until which it may stay. */
const until = ref('');
const events = computed(() => job.state.history.active(job.state.records.partEvents));
/** The part this is about: what sits here, or what sat here last. */
const lastPart = computed(() => {
  const here = partIn(props.component.slot.id, events.value);
  const last = events.value.filter((e) => e.slotId === props.component.slot.id).at(-1)?.partId ?? null;
  return job.state.records.parts.find((p) => p.id === (here ?? last)) ?? null;
});
const where = computed(() => (lastPart.value ? whereabouts(lastPart.value.id, events.value) : null));
const did = (kind: string): boolean =>
  events.value.some((e) => e.kind === kind && e.partId === lastPart.value?.id && e.jobId === job.state.records.job.id);
const done = computed(() => {
  switch (props.component.decision?.option) {
    case 'replace':
      return props.component.fittedHere;
    case 'machine':
      return did('machined') && !props.component.empty;
    case 'reseal':
      return did('resealed') && !props.component.empty;
    default:
      return !props.component.empty;
  }
});
const seized = computed(
  () =>
    job.state !== null &&
    job.state.history.active(job.state.records.findings).some((f) => f.slotId === props.component.slot.id && f.code === 'seized') &&
    KIND_FACTS[props.component.slot.kind].hydraulic,
);
const care = computed(() => careFault(job.state.history, props.component));
const words = computed(() => {
  const w = where.value;
  if (!w) return 'not known';
  if (w.at === 'slot') return props.component.fittedHere ? 'fitted' : 'in its place';
  return { shelf: 'on the shelf', away: 'away', scrap: 'scrapped', unknown: 'not known' }[w.at] + (w.note ? `, ${w.note}` : '');
});
/** What the next step here would undo of what was proved: said before it is taken. */
const undoes = computed(() => {
  const s = job.state;
  if (done.value) return [];
  const { slot } = props.component;
  const steps = props.component.empty ? (['fitted'] as const) : (['removed', 'machined', 'resealed'] as const);
  return [...new Set(steps.flatMap((step) => wouldUndo(s.history, s.context.proofStatus, s.context.proofItems, slot, step)))];
});
/** Taking off what holds fluid opens its joints: they are owed made, torqued and looked at again. */
function openJoints(): void {
  const s = job.state;
  const events = s.history.active(s.records.jointEvents);
  for (const j of jointsOf(s.records.layout)) {
    if (j.slot.id !== props.component.slot.id || jointStatus(j, events).state === 'open') continue;
    job.add('jointEvents', { connectionId: j.connection.id, slotId: j.slot.id, kind: 'opened', seal: null, note: '' });
  }
}
function log(kind: 'removed' | 'fitted' | 'sent' | 'returned' | 'machined' | 'freed' | 'opened' | 'resealed'): void {
  if (!lastPart.value) return;
  if (kind === 'removed') openJoints();
  job.add('partEvents', {
    partId: lastPart.value.id,
    kind,
    slotId: kind === 'fitted' || kind === 'removed' ? props.component.slot.id : null,
    note: note.value.trim(),
    temporary: false,
    part: null,
  });
  note.value = '';
}
/** Nothing is fitted for now until a day that has passed. */
const behind = computed(() => temporary.value && until.value !== '' && until.value < dayHere());
function fitNew(): void {
  if (behind.value) return;
  if (!props.component.empty && props.component.part) log('removed');
  job.add('partEvents', {
    partId: v7(),
    kind: 'fitted',
    slotId: props.component.slot.id,
    note: note.value.trim(),
    temporary: temporary.value,
    until: temporary.value ? until.value || null : null,
    part: {
      tag: tag.value.trim() || null,
      kind: props.component.slot.kind,
      name: props.component.slot.name,
      partNumber: number.value.trim() || null,
      note: '',
    },
  });
  fitting.value = false;
  tag.value = '';
  number.value = '';
  note.value = '';
  temporary.value = false;
  until.value = '';
}
</script>

<template>
  <div class="part">
    <div class="what">
      <b class="plate-font">{{ placeName(component.slot) }}</b>
      <TagPlate v-if="lastPart?.tag" :tag="lastPart.tag" small />
      <span class="second">
        {{ component.decision ? OPTION_NAME[component.decision.option].toLowerCase() : 'off the vehicle' }}; {{ words
        }}{{ done ? '; done' : '' }}
      </span>
    </div>
    <div v-if="writable && !fitting" class="acts">
      <v-btn v-if="!component.empty && !done" class="act slim" @click="log('removed')">Taken off</v-btn>
      <template v-if="component.empty || where?.at === 'away'">
        <v-btn v-if="where?.at === 'shelf'" class="act slim" @click="log('sent')">Sent out</v-btn>
        <v-btn v-if="where?.at === 'away'" class="act slim" @click="log('returned')">Back</v-btn>
        <v-btn v-if="where?.at === 'shelf' && component.decision?.option !== 'replace'" class="act slim" @click="log('fitted')">
          Fitted again
        </v-btn>
      </template>
      <v-btn v-if="component.decision?.option === 'machine' && !did('machined')" class="act slim" @click="log('machined')">Machined</v-btn>
      <v-btn v-if="component.decision?.option === 'reseal' && !did('resealed') && !seized" class="act slim" @click="log('resealed')">
        Resealed
      </v-btn>
      <template v-if="seized">
        <v-btn v-for="k in (['freed', 'opened', 'resealed'] as const).filter((x) => !did(x))" :key="k" class="act slim" @click="log(k)">
          {{ upperFirst(k) }}
        </v-btn>
      </template>
      <v-btn v-if="component.decision?.option === 'replace' && !component.fittedHere" class="act slim" @click="fitting = true">
        New part fitted
      </v-btn>
    </div>
    <p v-if="writable && undoes.length > 0" class="undoes small">
      <b class="plate-font">Working on it undoes</b>
      {{ undoes.join('; ').toLowerCase() }}
    </p>
    <OnlyNow v-if="writable && component.empty" :place="component.slot" />
    <p v-if="care" class="undoes small">
      <b class="plate-font">Found seized</b>
      {{ careWords(care) }}
    </p>
    <form v-if="fitting" class="fit" @submit.prevent="fitNew">
      <v-text-field v-model="tag" v-focus label="Tag" placeholder="P 2230" />
      <v-text-field v-model="number" label="Part number" />
      <v-text-field v-model="note" label="Note (supplier, lot, torque slip)" />
      <v-checkbox v-model="temporary" label="For now only" />
      <DayField v-if="temporary" v-model="until" ahead label="Until" />
      <v-btn class="act main" type="submit" :disabled="behind">Fitted</v-btn>
      <v-btn class="act" @click="fitting = false">Not yet</v-btn>
    </form>
  </div>
</template>

<style scoped>
.part {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: var(--tall);
}
.undoes {
  flex: 1 1 100%;
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.what {
  flex: 1 1 320px;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: center;
}
.what b {
  font-size: var(--type-caption);
}
.acts {
  gap: var(--space-2);
}
.fit {
  flex: 1 1 100%;
  display: flex;
  gap: var(--space-3);
  align-items: flex-start;
  flex-wrap: wrap;
}
.fit > * {
  flex: 1 1 160px;
}
.fit .act {
  flex: 0 0 auto;
  min-height: var(--strip);
}
</style>
