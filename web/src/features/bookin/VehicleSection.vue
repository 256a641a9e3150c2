<script setup lang="ts">
import { figure } from '@dauer/core/quantity';
import type { Vehicle } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import { ApiProblem, call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import StaleConflict from '../../fittings/StaleConflict.vue';
import { draftOf, faultsOf, type VehicleDraft, vehicleOf } from './vehicleDraft.ts';
import VehicleFields from './VehicleFields.vue';

/** What is known of the vehicle itself, and its change; a stale one shows both. */
const props = defineProps<{ vehicle: Vehicle; writable: boolean }>();
const job = useOpenJob();
const draft = ref<VehicleDraft | null>(null);
const version = ref(0);
const theirs = ref<Vehicle | null>(null);
const { run, busy, problem } = useRequest();
/** Once somebody has tried, the words under a field follow what stands in it. */
const tried = ref(false);
const faults = computed(() => (tried.value && draft.value ? faultsOf(draft.value) : {}));
function weights(v: Vehicle): (readonly [string, string])[] {
  const said = [
    v.massKg ? `${v.massKg} kg${v.massFrontKg ? `, ${v.massFrontKg} kg on the front axle` : ''}` : null,
    v.wheelbaseMm ? `wheelbase ${figure(v.wheelbaseMm)} mm` : null,
    v.cgHeightMm ? `centre of gravity ${figure(v.cgHeightMm)} mm up` : null,
    v.tyreRadiusFrontMm ? `tyre radius ${[v.tyreRadiusFrontMm, v.tyreRadiusRearMm].filter(Boolean).join(' and ')} mm` : null,
  ].filter((x) => x !== null);
  return said.length > 0 ? [['Measures', said.join(', ')]] : [];
}
const facts = computed(() => {
  const v = props.vehicle;
  const stood = v.standsYears === null ? '' : `, stood ${v.standsYears} years`;
  return [
    ['What', [v.year, v.make, v.model, v.variant, v.body].filter(Boolean).join(' ')],
    ...weights(v),
    ['Use', `${v.use}, ${v.climate} climate, stored ${v.storage}${stood}`],
  ] as const;
});
const WORDS: Readonly<Record<keyof VehicleDraft, string>> = {
  tag: 'Tag',
  name: 'Name',
  make: 'Make',
  model: 'Model',
  year: 'Year',
  variant: 'Variant',
  body: 'Body',
  use: 'Use',
  climate: 'Climate',
  storage: 'Storage',
  standsYears: 'Stood, years',
  distanceUnit: 'Counter in',
  driven: 'Driven wheels',
  stored: 'Stored energy',
  massKg: 'Mass',
  massFrontKg: 'Mass in front',
  wheelbaseMm: 'Wheelbase',
  cgHeightMm: 'Centre of gravity',
  tyreRadiusFrontMm: 'Front tyre radius',
  tyreRadiusRearMm: 'Rear tyre radius',
};
const rows = computed(() => {
  const mine = draft.value;
  if (!mine || !theirs.value) return [];
  const other = draftOf(theirs.value);
  return (Object.keys(WORDS) as (keyof VehicleDraft)[]).map((k) => ({
    what: WORDS[k],
    mine: mine[k] ?? 'not said',
    theirs: other[k] ?? 'not said',
  }));
});
function edit(): void {
  draft.value = draftOf(props.vehicle);
  version.value = props.vehicle.version;
}
function leave(): void {
  draft.value = null;
  theirs.value = null;
  tried.value = false;
  problem.value = '';
}
async function save(): Promise<void> {
  const typed = draft.value;
  if (!typed) return;
  tried.value = true;
  if (Object.keys(faults.value).length > 0) return;
  await run(
    async () => {
      await call('changeVehicle', { params: { id: props.vehicle.id }, body: { ...vehicleOf(typed), version: version.value } });
      await job.refresh();
      leave();
    },
    (error) => {
      if (error instanceof ApiProblem && error.is('stale')) theirs.value = (error.problem?.current as Vehicle | undefined) ?? null;
    },
  );
}
function overwrite(): void {
  if (theirs.value) version.value = theirs.value.version;
  theirs.value = null;
  void save();
}
function takeTheirs(): void {
  leave();
  void job.refresh();
}
</script>

<template>
  <section>
    <h2>The vehicle</h2>
    <form v-if="draft" @submit.prevent="save">
      <VehicleFields v-model="draft" :faults="faults" />
      <StaleConflict v-if="theirs" :problem="problem" :rows="rows" @mine="overwrite" @theirs="takeTheirs" />
      <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act main" type="submit" :disabled="busy">Keep what is known</v-btn>
        <v-btn class="act" @click="leave">Leave as it was</v-btn>
      </div>
    </form>
    <template v-else>
      <dl>
        <template v-for="[what, text] in facts" :key="what">
          <dt class="second">{{ what }}</dt>
          <dd>{{ text }}</dd>
        </template>
      </dl>
      <v-btn v-if="writable" class="act slim" @click="edit">Change what is known</v-btn>
    </template>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 64px 1fr;
  gap: 2px var(--space-3);
  margin-bottom: var(--space-2);
}
form {
  margin-top: var(--space-4);
}
.acts {
  margin-top: var(--space-3);
}
.problem {
  margin-top: var(--space-3);
}
</style>
