<script setup lang="ts">
import {
  type Component,
  convert,
  figureText,
  fixed,
  groupThousands,
  type Judged,
  judgeSet,
  type MeasurementId,
  PHASE_WORD,
  roundTo,
  VERDICT_WORD,
} from '@dauer/core';
import { computed, ref } from 'vue';
import { useJob } from '../../app/job.ts';
import { dayText } from '../../fittings/dates.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import VerdictMark from '../../fittings/VerdictMark.vue';

/** What was taken before: of this very part wherever it sat, or at this place whichever part sat in it. */
const props = defineProps<{ component: Component; measurement: MeasurementId; judged: readonly Judged[] }>();
const job = useJob();
const of = ref<'part' | 'place'>('part');
interface Row {
  readonly id: string;
  readonly when: string;
  readonly what: string;
  readonly figures: readonly { readonly id: string; readonly short: string; readonly text: string; readonly judged: Judged }[];
}
const rows = computed<Row[]>(() => {
  const s = job.state;
  if (!s) return [];
  const part = props.component.part?.id ?? null;
  return s.book.sets
    .filter((x) => x.measurement === props.measurement && s.book.taken(x).length > 0 && !x.blind)
    .filter((x) => (of.value === 'part' && part !== null ? x.partId === part : x.slotId === props.component.slot.id))
    .map((x): Row => {
      const here = x.jobId === s.file.job.id;
      const turned = x.turn > 0 ? `, turned on by ${x.turn}` : '';
      return {
        id: x.id,
        when: dayText(x.happenedAt),
        what: `${PHASE_WORD[x.phase]}${turned}${here ? '' : ', an earlier job'}${x.surface === 'dirty' ? ', dirty' : ''}`,
        figures: judgeSet(s.book, x, job.today).map((j) => ({
          id: j.characteristic.id,
          short: j.characteristic.short,
          text: figureText(j.characteristic, j.reduced.value, j.reduced.decimals),
          judged: j,
        })),
      };
    })
    .filter((r) => r.figures.length > 0);
});
const heads = computed(() => [...new Map(rows.value.flatMap((r) => r.figures).map((f) => [f.id, f.short])).entries()]);
const cell = (r: Row, id: string) => r.figures.find((f) => f.id === id);
/** What changed since the time before, in the same figure. */
function change(r: Row, id: string): string {
  const before = rows.value.slice(0, rows.value.indexOf(r)).findLast((x) => cell(x, id));
  const [now, then] = [cell(r, id)?.judged, before && cell(before, id)?.judged];
  if (!now || !then) return '';
  const d = now.reduced.value - then.reduced.value;
  const u = Math.hypot(now.reduced.expanded, then.reduced.expanded);
  return Math.abs(d) <= u ? 'no change that the gauges can tell' : `${d > 0 ? '+' : '−'}${fixed(Math.abs(d), now.reduced.decimals)}`;
}
const rate = computed(() => {
  const j = props.judged.find((x) => x.wear && x.characteristic.takenFrom === props.measurement);
  if (!j?.wear) return null;
  const per = convert(1, 'distance_run', j.distanceUnit);
  const amount = Math.abs(j.wear.slope) * (1000 / per);
  const error = j.wear.error === null ? '' : ` ± ${fixed(j.wear.error * (1000 / per), 3)}`;
  return `${j.characteristic.short} wears by ${fixed(amount, 3)}${error} mm in 1,000 ${j.distanceUnit}; about ${groupThousands(roundTo(convert(j.wear.remaining, 'distance_run', j.distanceUnit), 2))} ${j.distanceUnit} left.`;
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
    <table>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th v-for="[id, short] in heads" :key="id" scope="col" class="num">{{ short }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.id">
          <th scope="row">
            {{ r.when }}
            <div class="second small">{{ r.what }}</div>
          </th>
          <td v-for="[id] in heads" :key="id" class="num">
            <template v-if="cell(r, id)">
              <VerdictMark
                :verdict="cell(r, id)?.judged.verdict ?? 'not_gauged'"
                :size="13"
                :title="VERDICT_WORD[cell(r, id)?.judged.verdict ?? 'not_gauged']"
              />
              <span class="fig">{{ cell(r, id)?.text }}</span>
              <div class="second small">{{ change(r, id) }}</div>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
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
  gap: 16px;
  flex-wrap: wrap;
}
.num {
  text-align: right;
  padding-right: 20px;
}
tbody th {
  border-bottom: 1px solid var(--hair);
  font: 400 15px/20px var(--text-font);
  color: var(--ink);
}
</style>
