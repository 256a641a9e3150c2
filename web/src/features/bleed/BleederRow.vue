<script setup lang="ts">
import { circuitName, METHOD_NAME } from '@dauer/core/wording';
import { placeLock } from '@dauer/core/job';
import { type BleedMethod, type BleedPull, type Obligation, PRESSING } from '@dauer/core/ledger';
import { fixed, readTold } from '@dauer/core/quantity';
import type { BleedStep } from '@dauer/core/stages';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { refusalOf } from '../../fittings/refusal.ts';
import { AIR_OPTIONS, BLEEDER_OPTIONS } from '../../fittings/bleederOptions.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';

/** One bleeder: volume, colour, air, and whether it was closed. */
const props = defineProps<{
  n: number;
  step: BleedStep;
  name: string;
  owed: Obligation | null;
  pulls: readonly BleedPull[];
  writable: boolean;
}>();
const job = useOpenJob();
const open = ref(false);
const volume = ref('');
const colour = ref<BleedPull['colour']>('clear');
const air = ref<BleedPull['air']>('none');
const closed = ref<'closed' | 'open'>('closed');
/** What presses the whole control is not offered while anything on it is open. */
const lock = computed(() => placeLock(job.state, props.step.bleeder.id));
const methods = computed(() =>
  (Object.entries(METHOD_NAME) as [BleedMethod, string][]).map(([value, label]) => ({
    value,
    label,
    off: PRESSING.includes(value) ? (lock.value?.why ?? null) : null,
  })),
);
const method = ref<BleedMethod>('vacuum');
/** Once somebody has tried, the words under a field follow what stands in it. */
const tried = ref(false);
const problem = computed(() => (tried.value ? refusalOf(() => readTold('bled', volume.value, 'mL')) : ''));
const last = computed(() => props.pulls.at(-1) ?? null);
/** One state: that of what is owed here. */
const good = computed(() => props.owed?.state === 'closed');
const wrong = computed(() => (props.owed?.state === 'open' && last.value ? props.owed.why : null));
/** Its way, and what is drawn here; what others drew before it counts there. */
const amounts = computed(() => {
  const { circuit, lengthMm, exchangeMl, pulls } = props.step;
  const draw = pulls > 0 ? `: draw ${Math.round(exchangeMl)} mL, ${pulls === 1 ? 'one pull' : `${pulls} pulls`}` : '';
  return `${circuitName(circuit)}, ${fixed(lengthMm / 1000, 2)} m${draw}`;
});
const total = computed(() => Math.round(props.pulls.reduce((s, p) => s + p.volumeMl, 0)));
function log(): void {
  tried.value = true;
  if (problem.value) return;
  tried.value = false;
  job.add('bleedPulls', {
    slotId: props.step.bleeder.id,
    volumeTyped: volume.value,
    colour: colour.value,
    air: air.value,
    closed: closed.value === 'closed',
    method: method.value,
  });
  volume.value = '';
  open.value = false;
}
</script>

<template>
  <div class="bleeder">
    <span class="no fig">{{ n }}</span>
    <span class="name">
      <b class="plate-font">{{ name }}</b>
      <span class="second small">
        {{ amounts }}
      </span>
    </span>
    <span class="state">
      <template v-if="last">
        <span class="fig">{{ total }} mL</span>
        {{ last.colour }}, {{ last.air === 'none' ? 'no air' : last.air }}, {{ last.closed ? 'bleeder shut' : 'bleeder open' }}
        <b v-if="good" class="plate-font">done</b>
        <span v-if="wrong" class="small">{{ wrong }}</span>
      </template>
      <span v-else class="second">{{ owed ? 'not bled' : 'not asked for' }}</span>
    </span>
    <button
      v-if="writable && !open && last && last.jobId === job.records.job.id"
      class="link small"
      type="button"
      :aria-label="`Take back: ${name.toLowerCase()}, ${fixed(last.volumeMl, 0)} mL`"
      @click="job.takeBack(last.id)"
    >
      Take back
    </button>
    <v-btn v-if="writable && !open" class="act slim" :aria-label="`Record what came at the ${name.toLowerCase()}`" @click="open = true">
      Record
    </v-btn>
    <form v-if="open" class="form" @submit.prevent="log">
      <v-text-field v-model="volume" v-focus label="Volume drawn" placeholder="120 mL" :error-messages="problem" />
      <ChoiceRow v-model="method" :options="methods" label="How it is moved" />
      <ChoiceRow
        v-model="colour"
        :options="[
          { value: 'dark', label: 'Dark' },
          { value: 'amber', label: 'Amber' },
          { value: 'clear', label: 'Clear' },
        ]"
        label="Colour at the end"
      />
      <ChoiceRow v-model="air" :options="AIR_OPTIONS" label="Air at the end" />
      <ChoiceRow v-model="closed" :options="BLEEDER_OPTIONS" label="Bleeder" />
      <v-btn class="act main" type="submit">Record</v-btn>
      <v-btn class="act" @click="open = false">Not yet</v-btn>
    </form>
  </div>
</template>

<style scoped>
.bleeder {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
  align-items: center;
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: var(--tall);
  padding: var(--space-1) 0;
}
.no {
  width: 20px;
  color: var(--ink2);
}
.name {
  flex: 1 1 400px;
}
.name b {
  font-size: var(--type-caption);
}
.state {
  flex: 1 1 220px;
}
.form {
  flex: 1 1 100%;
  display: flex;
  gap: var(--space-3);
  flex-wrap: wrap;
  align-items: center;
  padding: var(--space-1) 0 var(--space-2);
}
.form > :first-child {
  flex: 0 1 200px;
}
</style>
