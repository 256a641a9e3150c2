<script setup lang="ts">
import { historyOf, wearCourse } from '@dauer/core/views';
import { rateWords, VERDICT_WORD } from '@dauer/core/wording';
import type { MeasurementId } from '@dauer/core/catalogue';
import { type Component, type Judged } from '@dauer/core/judging';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText } from '../../fittings/dates.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import VerdictMark from '../../fittings/VerdictMark.vue';
import WearChart from './WearChart.vue';

/** What was taken before: of this very part wherever it sat, or at this place whichever part sat in it. */
const props = defineProps<{ component: Component; measurement: MeasurementId; judged: readonly Judged[] }>();
const job = useOpenJob();
const of = ref<'part' | 'place'>('part');
const rows = computed(() => {
  const { part, slot } = props.component;
  const whose = of.value === 'part' && part ? { partId: part.id } : { slotId: slot.id };
  // It follows the job as a whole: the frame after a key belongs to the figures in hand.
  return historyOf(job.state.history, props.measurement, whose, job.today);
});
const heads = computed(() => [...new Map(rows.value.flatMap((r) => r.figures).map((f) => [f.id, f.short])).entries()]);
const mine = computed(() => props.judged.filter((x) => x.characteristic.takenFrom === props.measurement));
const rate = computed(() => {
  const worn = mine.value.find((x) => x.wear);
  return worn ? rateWords(worn) : null;
});
/** The figure of this part that wears, over the distance it ran; whichever part sat at a place says nothing of wear. */
const course = computed(() => {
  if (of.value !== 'part') return null;
  for (const judged of mine.value) {
    const found = wearCourse(judged);
    if (found) return { found, judged };
  }
  return null;
});
</script>

<template>
  <section v-if="rows.length > 0" class="history">
    <div class="top">
      <h2>What was taken so far</h2>
      <ChoiceRow
        v-if="component.part"
        v-model="of"
        :options="[
          { value: 'part', label: 'This part' },
          { value: 'place', label: 'This place' },
        ]"
        label="Whose readings"
      />
    </div>
    <p v-if="rate" class="second">{{ rate }}</p>
    <WearChart
      v-if="course"
      :course="course.found"
      :name="course.judged.characteristic.short"
      :distance-unit="course.judged.distanceUnit"
      :decimals="course.judged.reduced.decimals"
    />
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th v-for="[id, short] in heads" :key="id" scope="col" class="num">{{ short }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.set.id">
            <th scope="row">
              {{ dayText(r.set.happenedAt) }}
              <div class="second small">{{ r.what }}</div>
            </th>
            <td v-for="[id] in heads" :key="id" class="num">
              <template v-for="f in r.figures.filter((x) => x.id === id)" :key="f.id">
                <VerdictMark :verdict="f.judged.verdict" :size="13" :title="VERDICT_WORD[f.judged.verdict]" />
                <span class="fig">{{ f.text }}</span>
                <div class="second small">{{ f.change }}</div>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.history {
  margin-top: 20px;
  max-width: 820px;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: var(--space-4);
  flex-wrap: wrap;
}
.num {
  text-align: right;
  padding-right: 20px;
}
tbody th {
  border-bottom: var(--line-hair) solid var(--hair);
  font: 400 var(--type-paragraph)/var(--leading-tight) var(--text-font);
  color: var(--ink);
}
</style>
