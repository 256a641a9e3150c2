<script setup lang="ts">
import { FLARES, type LineShape } from '@dauer/core/ledger';
import { toResult } from '@dauer/core/quantity';
import { FLARE_NAME, LINE, MEASURED_BY_NAME } from '@dauer/core/wording';
import { computed, reactive, watch } from 'vue';
import ChoiceRow from '../../../fittings/ChoiceRow.vue';
import { draftOf, type LineDraft, type MeasuredAs, readDraft, withNext } from './lineDraft.ts';
import LineMarks from './LineMarks.vue';

/** A line as it is measured: straights with their bends or points in the vehicle, tube, ends; cut and marks as it is typed. */
const props = defineProps<{ shape: LineShape | null; ends: readonly [string, string] }>();
const emit = defineEmits<{ keep: [shape: ReturnType<typeof readDraft>['shape'], by: LineShape['by'], note: string]; close: [] }>();
const draft = reactive<LineDraft>(draftOf(props.shape));
const WAYS: readonly { readonly value: MeasuredAs; readonly label: string }[] = [
  { value: 'stretches', label: 'Straights and bends' },
  { value: 'points', label: 'Points in the vehicle' },
];
const HEADS: Readonly<Record<MeasuredAs, readonly [string, string, string]>> = {
  stretches: ['To the corner, mm', 'Bend there, °', 'Its plane turned, °'],
  points: ['Along, mm', 'Across, mm', 'Up, mm'],
};
const flares = FLARES.map((value) => ({ value, title: FLARE_NAME[value] }));
const by = Object.entries(MEASURED_BY_NAME).map(([value, label]) => ({ value: value as LineShape['by'], label }));
const read = computed(() => toResult(() => readDraft(draft)));
const isTyped = computed(() => draft.rows.some((r) => r.some((t) => t.trim() !== '')));
function setAs(as: MeasuredAs): void {
  draft.as = as;
  draft.rows = withNext([]);
}
watch(
  () => draft.rows,
  (rows) => {
    if (withNext(rows).length > rows.length) draft.rows = withNext(rows);
  },
  { deep: true },
);
function keep(): void {
  if (read.value.ok) emit('keep', read.value.value.shape, draft.by, draft.note.trim());
}
</script>

<template>
  <form class="line" @submit.prevent="keep">
    <ChoiceRow :model-value="draft.as" :options="WAYS" label="How it is measured" @update:model-value="setAs" />
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th class="num">{{ draft.as === 'points' ? 'Point' : 'Straight' }}</th>
            <th v-for="h in HEADS[draft.as]" :key="h">{{ h }}</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in draft.rows" :key="i">
            <td class="num fig">{{ i + 1 }}</td>
            <td v-for="(h, k) in HEADS[draft.as]" :key="h">
              <v-text-field v-model="row[k]" density="compact" inputmode="decimal" hide-details :aria-label="`${h}, ${i + 1}`" />
            </td>
            <td>
              <button
                v-if="i < draft.rows.length - 1"
                class="link"
                type="button"
                :aria-label="`Leave ${i + 1} out`"
                @click="draft.rows.splice(i, 1)"
              >
                Out
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="fields">
      <v-text-field v-model="draft.outside" density="compact" label="Tube, outside, mm" inputmode="decimal" />
      <v-text-field v-model="draft.radius" density="compact" label="Bend, to its centre line, mm" inputmode="decimal" />
      <v-text-field v-model="draft.slack" density="compact" label="Slack, mm" inputmode="decimal" />
      <v-select v-model="draft.first.flare" density="compact" :label="`Flare at the ${ends[0]}`" :items="flares" />
      <v-text-field v-model="draft.first.thread" density="compact" label="Its union" placeholder="M10 × 1" />
      <v-text-field v-model="draft.first.used" density="compact" label="Tube it uses up, mm" inputmode="decimal" />
      <v-select v-model="draft.last.flare" density="compact" :label="`Flare at the ${ends[1]}`" :items="flares" />
      <v-text-field v-model="draft.last.thread" density="compact" label="Its union" placeholder="M10 × 1" />
      <v-text-field v-model="draft.last.used" density="compact" label="Tube it uses up, mm" inputmode="decimal" />
    </div>
    <p v-if="draft.first.flare !== draft.last.flare" class="small">{{ LINE.unlike }}</p>
    <ChoiceRow v-model="draft.by" :options="by" label="Measured by" />
    <v-text-field v-model="draft.note" density="compact" label="Note" />
    <template v-if="isTyped">
      <LineMarks v-if="read.ok" :cut="read.value.cut" />
      <p v-else class="problem" role="status">{{ read.refusal.message }}</p>
    </template>
    <p class="acts">
      <v-btn class="act main" type="submit" :disabled="!read.ok">Keep its shape</v-btn>
      <v-btn class="act" @click="emit('close')">Not now</v-btn>
    </p>
  </form>
</template>

<style scoped>
.line {
  flex: 1 1 100%;
  display: grid;
  gap: var(--space-3);
  min-width: 0;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-2) var(--space-3);
}
td {
  min-width: 90px;
}
td.num {
  min-width: 0;
}
.acts {
  display: flex;
  gap: var(--space-3);
}
@media (max-width: 700px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
