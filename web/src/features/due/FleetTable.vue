<script setup lang="ts">
import type { VehicleDue } from '@dauer/contract';
import { computed } from 'vue';
import BookTable from '../../fittings/BookTable.vue';
import { dayText } from '../../fittings/dates.ts';
import MoveMark from '../../fittings/MoveMark.vue';
import { isDueNow, standing } from './dueGroups.ts';
import ExerciseButton from './ExerciseButton.vue';

/** Vehicles that stand: since when, last exercised, how old their fluid is, what is next, and whether they may be moved. */
const props = defineProps<{ vehicles: readonly VehicleDue[]; today: string }>();
const emit = defineEmits<{ noted: [] }>();
const rows = computed(() => standing(props.vehicles));
const next = (v: VehicleDue) => v.dues.find((d) => d.on !== null) ?? null;
const COLUMNS = [
  { key: 'vehicle', title: 'Vehicle', order: (v: VehicleDue) => v.tag },
  { key: 'stood', title: 'Stood before', order: (v: VehicleDue) => v.standsYears ?? 0 },
  { key: 'exercised', title: 'Last exercised', order: (v: VehicleDue) => v.exercised ?? '' },
  { key: 'fluid', title: 'Fluid changed', order: (v: VehicleDue) => v.fluidChanged ?? '' },
  { key: 'next', title: 'Next due', order: (v: VehicleDue) => next(v)?.on ?? '9' },
  { key: 'move', title: 'May it move' },
  { key: 'act', title: 'What can be done', end: true, quiet: true },
];
</script>

<template>
  <BookTable v-if="rows.length > 0" :columns="COLUMNS" :rows="rows" label="Vehicles that stand">
    <template #vehicle="{ row }">
      <RouterLink class="go" :to="`/jobs/${row.jobId}/bookin`">{{ row.tag }} {{ row.name }}</RouterLink>
    </template>
    <template #stood="{ row }">{{ row.standsYears ? `${row.standsYears} ${row.standsYears === 1 ? 'year' : 'years'}` : '–' }}</template>
    <template #exercised="{ row }">{{ row.exercised ? dayText(row.exercised) : 'not on record' }}</template>
    <template #fluid="{ row }">{{ row.fluidChanged ? dayText(row.fluidChanged) : 'not on record' }}</template>
    <template #next="{ row }">
      <template v-if="next(row)">
        <b v-if="isDueNow(next(row)!, today)">{{ dayText(next(row)!.on ?? '') }}</b>
        <template v-else>{{ dayText(next(row)!.on ?? '') }}</template>
        <span class="second small what">{{ next(row)!.what }}</span>
      </template>
    </template>
    <template #move="{ row }">
      <MoveMark v-if="row.move" :level="row.move" :reasons="[]" />
    </template>
    <template #act="{ row }">
      <span v-if="row.inShop" class="second small">in the shop</span>
      <ExerciseButton v-else :vehicle="row" @noted="emit('noted')" />
    </template>
  </BookTable>
  <p v-else class="second empty">No vehicle is said to stand. How one is used is said at Book in.</p>
</template>

<style scoped>
.what {
  display: block;
}
.empty {
  margin: var(--space-5) 0;
}
</style>
