<script setup lang="ts">
import { fluidCauseWords } from '@dauer/core/wording';
import { fixed } from '@dauer/core/quantity';
import { isDuty } from '@dauer/core/ledger';
import { FLUID_CLASSES, type FluidClass, fluidClass } from '@dauer/core/catalogue';
import { fluidState } from '@dauer/core/history';
import { placeName } from '@dauer/core/layout';
import { bleedOrder, circuitsToBleed } from '@dauer/core/stages';
import { waterCourse } from '@dauer/core/views';
import { computed, ref } from 'vue';
import CautionPlates from '../../job/CautionPlates.vue';
import LockBanner from '../../job/LockBanner.vue';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText } from '../../fittings/dates.ts';
import BleederRow from './BleederRow.vue';
import WaterChart from './WaterChart.vue';

/** The fluid that goes in, and what came at each bleeder: it is changed only when every bleeder is closed. */
const job = useOpenJob();
const writable = computed(() => job.writable);
const stage = computed(() => job.state.stages.find((s) => s.stage === 'bleed') ?? null);
const circuits = computed(() => circuitsToBleed(job.state.context));
const order = computed(() => bleedOrder(job.state.records.layout));
const allPulls = computed(() => job.state.history.active(job.state.records.bleedPulls));
const pulls = computed(() => allPulls.value.filter((p) => p.jobId === job.state.records.job.id));
const here = computed(() => job.state.history.active(job.state.records.fluidServices).filter((f) => f.jobId === job.state.records.job.id));
const services = computed(() => job.state.history.active(job.state.records.fluidServices));
const newest = computed(() => services.value.at(-1));
const fluids = computed(() => ({
  services: services.value,
  pulls: allPulls.value,
  earlier: job.state.history.active(job.state.records.earlierWork),
}));
const due = computed(() => fluidState(job.state.records.layout, fluids.value, job.state.records.vehicle, job.today));
const water = computed(() => waterCourse(job.state.records.layout, fluids.value, job.state.records.vehicle, job.today));
const dueText = computed(() => {
  if (!due.value) return '';
  const { cause, water, changed } = due.value;
  const rest = [
    fluidCauseWords(cause),
    ...(water === null ? [] : [`water now about ${fixed(water, 1)} %`]),
    changed === null ? 'no whole change on record' : `changed ${dayText(changed)}`,
  ];
  return `${rest.join('; ').replace(/^./, (c) => c.toUpperCase())}.`;
});
const waits = computed(() => job.state.obligations.find((o) => o.stage === 'bleed' && o.state === 'waiting')?.why ?? null);
const doneCount = computed(() => job.state.obligations.filter((o) => isDuty(o, 'bleed') && o.state === 'closed').length);
const owedCount = computed(() => job.state.obligations.filter((o) => isDuty(o, 'bleed')).length);
const product = ref('');
const kind = ref<FluidClass>('4');
const batch = ref('');
const lowMoisture = ref(false);
/** Silicone and glycol are never mixed: a change of kind is said before it is written down. */
const mixes = computed(() => {
  const before = newest.value ? fluidClass(newest.value.fluidClass) : null;
  const after = fluidClass(kind.value);
  return before && after && before.kind !== after.kind
    ? `${before.name} was in it before. Changing kind needs every rubber part renewed and the system flushed.`
    : null;
});
function serve(): void {
  if (product.value.trim() === '') return;
  job.add('fluidServices', {
    product: product.value.trim(),
    fluidClass: kind.value,
    batch: batch.value.trim(),
    lowMoisture: lowMoisture.value,
  });
  product.value = '';
}
</script>

<template>
  <div class="head">
    <h1>Bleed</h1>
    <span class="second">
      {{
        stage?.notApplicable
          ? 'this vehicle has no fluid'
          : circuits.length === 0
            ? 'no circuit has to be bled so far'
            : `${doneCount} of ${owedCount} bleeders closed clear`
      }}
    </span>
  </div>
  <p v-if="stage?.notApplicable" class="second empty">Rods and cables: there is nothing to bleed here.</p>
  <template v-else>
    <LockBanner />
    <CautionPlates :steps="job.state.records.job.kind === 'fluid' ? ['lift', 'bleed'] : ['bleed']" />
    <p v-if="waits" class="problem">{{ waits }} Bleeding counts once they are on.</p>
    <section>
      <h2 class="line">Fluid</h2>
      <p v-for="f in here" :key="f.id" class="served">
        <b>{{ f.product }}</b>
        <span>{{ [fluidClass(f.fluidClass)?.name, f.batch ? `batch ${f.batch}` : ''].filter(Boolean).join(', ') }}</span>
        <span class="second">{{ job.by(f) }}, {{ dayText(f.happenedAt) }}</span>
        <button v-if="writable" class="link" type="button" @click="job.takeBack(f.id)">Take back</button>
      </p>
      <p v-if="due" class="due">
        <b>Next due {{ dayText(due.due) }}</b>
        {{ dueText }}
      </p>
      <p v-else class="second">When the fluid was last changed is not on record. Unknown fluid is not topped up: flush it.</p>
      <form v-if="writable && here.length === 0" class="form" @submit.prevent="serve">
        <v-text-field v-model="product" label="Product" />
        <v-select v-model="kind" label="Class" :items="FLUID_CLASSES.map((c) => ({ title: c.name, value: c.id }))" />
        <v-text-field v-model="batch" label="Batch" />
        <v-checkbox v-model="lowMoisture" label="Low-moisture" />
        <v-btn class="act main" type="submit" :disabled="product.trim() === ''">This goes in</v-btn>
      </form>
      <p v-if="mixes && here.length === 0" class="problem" role="alert">{{ mixes }}</p>
    </section>
    <section>
      <h2 class="line">Bleeders, in order</h2>
      <p class="second small">
        From the longest path to the shortest, each circuit finished before the next; a maker’s own order goes before this.
      </p>
      <BleederRow
        v-for="(b, i) in order"
        :key="b.bleeder.id"
        :n="i + 1"
        :step="b"
        :name="placeName(b.bleeder)"
        :owed="circuits.includes(b.circuit)"
        :pulls="pulls.filter((p) => p.slotId === b.bleeder.id)"
        :writable="writable"
      />
    </section>
    <section v-if="water">
      <h2 class="line">Water over the years</h2>
      <p class="second small">An estimate from the climate and the kind of fluid; it begins anew with each whole change.</p>
      <WaterChart :course="water" />
    </section>
  </template>
</template>

<style scoped>
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
.form .act {
  flex: 0 0 auto;
  min-height: var(--strip);
}
.empty {
  margin: var(--space-4) 0;
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
