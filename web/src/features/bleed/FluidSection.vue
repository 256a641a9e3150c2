<script setup lang="ts">
import { fluidCauseWords, proposedWords } from '@dauer/core/wording';
import { fixed, readTold } from '@dauer/core/quantity';
import { FLUID_CLASSES, type FluidClass, fluidClass } from '@dauer/core/catalogue';
import { fluidBefore, type FluidState, proposedFluid, tellsBefore } from '@dauer/core/history';
import { placeName, slotById } from '@dauer/core/layout';
import { type FluidSample, isDuty } from '@dauer/core/ledger';
import { computed, ref, watch } from 'vue';
import LotPick from '../../job/LotPick.vue';
import type { LotTaken } from '../../job/lotTaken.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText } from '../../fittings/dates.ts';
import { refusalOf } from '../../fittings/refusal.ts';
import FluidSampleForm from './FluidSampleForm.vue';

/** What was in it, what was measured of it, and what goes in. */
const props = defineProps<{ writable: boolean; due: FluidState | null; done: string }>();
const job = useOpenJob();
const here = computed(() => job.state.history.active(job.state.records.fluidServices).filter((f) => f.jobId === job.state.records.job.id));
const samples = computed(() => job.state.history.active(job.state.records.fluidSamples));
const newest = computed(() => job.state.history.active(job.state.records.fluidServices).at(-1));
/** That nobody knows what was in it, or that another kind goes in. */
const unknown = computed(() => job.state.obligations.filter((o) => isDuty(o, 'identify')));
const dueText = computed(() => {
  if (!props.due) return '';
  const { cause, water, changed } = props.due;
  const rest = [
    // What is in hand is counted once, as at the head of the page.
    cause.kind === 'half_done' && here.value.length > 0 ? props.done : fluidCauseWords(cause),
    ...(water === null ? [] : [`water now about ${fixed(water, 1)} %`]),
    changed === null ? 'no whole change on record' : `changed ${dayText(changed)}`,
  ];
  return `${rest.join('; ').replace(/^./, (c) => c.toUpperCase())}.`;
});
const product = ref('');
/** What was in its circuits before, and what is proposed from that and from how it is used. */
const proposal = computed(() => {
  const { layout, vehicle } = job.state.records;
  const circuits = [...new Set(layout.slots.flatMap((s) => (s.kind === 'bleeder' ? s.circuits : [])))];
  return proposedFluid(fluidBefore(job.history, circuits).known, vehicle);
});
const kind = ref<FluidClass>(proposal.value.fluidClass);
const batch = ref('');
/** What a product claims is read off its tin, never taken for granted: it moves the day on which it is due. */
const lowMoisture = ref(false);
watch(proposal, (p) => {
  if (product.value === '') kind.value = p.fluidClass;
});
const more = ref(false);
const figures = ref({ dryC: '', wetC: '', hottestC: '', makerMonths: '' });
const FIELDS = [
  { key: 'dryC', label: 'Its boiling point dry, °C', what: 'boiling', unit: 'degC' },
  { key: 'wetC', label: 'Its boiling point wet, °C', what: 'boiling', unit: 'degC' },
  { key: 'hottestC', label: 'Hottest it gets in this vehicle, °C', what: 'boiling', unit: 'degC' },
  { key: 'makerMonths', label: 'Vehicle maker’s interval, months', what: 'months', unit: '1' },
] as const;
type Field = (typeof FIELDS)[number];
/** A figure as typed, months whole; null where none is. */
const read = (f: Field): number | null => {
  if (figures.value[f.key].trim() === '') return null;
  const { canonical } = readTold(f.what, figures.value[f.key], f.unit);
  return f.what === 'months' ? Math.round(canonical) : canonical;
};
const wrong = (f: Field): string => refusalOf(() => read(f));
const fault = computed(() => FIELDS.some((f) => wrong(f) !== ''));
/** Silicone and glycol are never mixed: a change of kind is said before it is written down. */
const mixes = computed(() => {
  const tested = samples.value.findLast((s) => s.fluidClass !== null)?.fluidClass;
  const before = fluidClass(tested ?? newest.value?.fluidClass ?? '');
  const after = fluidClass(kind.value);
  return before && after && before.kind !== after.kind
    ? `${before.name} was in it before. Changing kind needs every rubber part renewed and the system flushed.`
    : null;
});
const lot = ref<LotTaken | null>(null);
watch(lot, (l, before) => {
  if (!l || l.lotId === before?.lotId) return;
  product.value = l.name;
  batch.value = l.batch || l.label;
});
function serve(): void {
  if (product.value.trim() === '' || fault.value || (lot.value && !lot.value.ok)) return;
  const taken = lot.value;
  job.together(`Fluid: ${product.value.trim()}`, () => {
    enter();
    if (taken) job.add('lotUses', { lotId: taken.lotId, slotId: null, partId: null, reason: taken.reason.trim() });
  });
  product.value = '';
  lot.value = null;
}
function enter(): void {
  job.add('fluidServices', {
    ...{ product: product.value.trim(), fluidClass: kind.value, batch: batch.value.trim(), lowMoisture: lowMoisture.value },
    ...(Object.fromEntries(FIELDS.map((f) => [f.key, read(f)])) as Record<Field['key'], number | null>),
  });
}
const place = (slotId: string): string => {
  const slot = slotById(job.state.records.layout, slotId);
  return slot ? placeName(slot) : 'a place that is no more';
};
/** It names a class, and came too late to name what was there before. */
const late = (s: FluidSample): boolean => s.fluidClass !== null && !tellsBefore(job.history, s);
const measuredText = (s: (typeof samples.value)[number]): string =>
  [
    s.fluidClass ? fluidClass(s.fluidClass)?.name : null,
    s.waterPercent === null ? null : `water ${fixed(s.waterPercent, 1)} %`,
    s.boilC === null ? null : `boils at ${fixed(s.boilC, 0)} °C`,
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <section>
    <h2 class="line">Fluid</h2>
    <p v-for="o in unknown" :key="o.key" :class="o.state === 'closed' ? 'second' : 'problem'">
      <b>{{ o.what }}.</b>
      {{ o.state === 'closed' ? 'All rubber renewed, every bleeder drawn through.' : o.why }}
    </p>
    <p v-for="f in here" :key="f.id" class="served">
      <b>{{ f.product }}</b>
      <span>{{ [fluidClass(f.fluidClass)?.name, f.batch ? `batch ${f.batch}` : ''].filter(Boolean).join(', ') }}</span>
      <span class="second">{{ job.by(f) }}, {{ dayText(f.happenedAt) }}</span>
      <button v-if="writable" class="link" type="button" @click="job.takeBack(f.id)">Take back</button>
    </p>
    <p v-for="s in samples" :key="s.id" class="served">
      <span>
        {{ place(s.slotId) }}:
        <b class="fig">{{ measuredText(s) || 'nothing told' }}</b>
      </span>
      <span class="second">{{ [s.how, job.by(s), dayText(s.happenedAt)].filter(Boolean).join(', ') }}</span>
      <span v-if="late(s)" class="problem">Taken after fluid was moved or poured in: it does not tell what was there.</span>
      <button v-if="writable && s.jobId === job.records.job.id" class="link" type="button" @click="job.takeBack(s.id)">Take back</button>
    </p>
    <p v-if="due" class="due">
      <b>Next due {{ dayText(due.due) }}</b>
      {{ dueText }}
    </p>
    <p v-else class="second">When the fluid was last changed is not on record. Unknown fluid is not topped up: flush it.</p>
    <form v-if="writable && here.length === 0" class="form" @submit.prevent="serve">
      <LotPick v-model="lot" :kinds="['fluid']" />
      <v-text-field v-model="product" label="Product" />
      <v-select v-model="kind" label="Class" :items="FLUID_CLASSES.map((c) => ({ title: c.name, value: c.id }))" />
      <v-text-field v-model="batch" label="Batch" />
      <v-checkbox v-model="lowMoisture" label="Low-moisture" />
      <p class="second small proposed">{{ proposedWords(proposal) }}</p>
      <template v-if="more">
        <v-text-field
          v-for="f in FIELDS"
          :key="f.key"
          v-model="figures[f.key]"
          :label="f.label"
          inputmode="decimal"
          :error-messages="wrong(f)"
        />
      </template>
      <v-btn class="act main" type="submit" :disabled="product.trim() === '' || fault">This goes in</v-btn>
      <button v-if="!more" class="link" type="button" @click="more = true">its own boiling points, hot use, maker’s interval</button>
    </form>
    <p v-if="mixes && here.length === 0" class="problem" role="alert">{{ mixes }}</p>
    <FluidSampleForm v-if="writable" />
  </section>
</template>

<style scoped>
.form .proposed {
  flex: 1 1 100%;
  order: 1;
}
section {
  margin-top: var(--space-4);
}
.form {
  display: flex;
  gap: var(--space-3);
  flex-wrap: wrap;
  align-items: flex-start;
  margin-top: var(--space-3);
}
.form > * {
  flex: 1 1 160px;
}
.form .act,
.form .link {
  flex: 0 1 auto;
  min-height: var(--strip);
}
.served,
.due {
  padding: var(--space-1) 0;
}
.served {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  flex-wrap: wrap;
}
</style>
