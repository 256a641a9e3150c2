<script setup lang="ts">
import { OPTION_NAME, REWORK_GUESS, reworkChance } from '@dauer/core/catalogue';
import { comebackCounts, type LastingCase, LEAST_CASES, survival } from '@dauer/core/estimate';
import { KIND_FACTS } from '@dauer/core/layout';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';
import PartsTabs from '../../fittings/PartsTabs.vue';
import BookTable from '../../fittings/BookTable.vue';
import { fixed } from '@dauer/core/quantity';
import LastingCurve from './LastingCurve.vue';

/** What the shop's own work lasted, by kind of repair and by lot: counts, and a curve where there are enough of them. */
const session = useSession();
const { data, error } = useQuery({ key: ['lasting'], query: () => call('lasting', {}), refetchOnMount: 'always' });
interface Group {
  readonly key: string;
  readonly name: string;
  readonly cases: readonly LastingCase[];
}
const groups = computed<Group[]>(() => {
  const all = new Map<string, Group>();
  const add = (key: string, name: string, c: LastingCase): unknown =>
    all.set(key, { key, name, cases: [...(all.get(key)?.cases ?? []), c] });
  for (const c of data.value ?? []) {
    add(`${c.option}|${c.kind}`, `${KIND_FACTS[c.kind].name}: ${OPTION_NAME[c.option].toLowerCase()}`, c);
    for (const lot of c.lots) add(`lot|${lot}`, `Lot ${lot}`, c);
  }
  return [...all.values()].sort((a, b) => b.cases.length - a.cases.length);
});
const rows = computed(() =>
  groups.value.map((g) => {
    const counts = comebackCounts(g.cases);
    const comebacks = counts.reduce((sum, c) => sum + c.comebacks, 0);
    const [first] = counts;
    const guess = first && !g.key.startsWith('lot') ? REWORK_GUESS[first.option] : null;
    const steps = survival(g.cases);
    const years = (days: number): number => days / 365.25;
    const watched = Math.max(...g.cases.map((c) => (Date.parse(c.until) - Date.parse(c.from)) / 86_400_000));
    return {
      ...{ ...g, comebacks, steps, watched: years(watched) },
      chance: guess === null ? null : reworkChance(guess, comebacks, g.cases.length),
    };
  }),
);
type Row = (typeof rows.value)[number];
const opened = ref<string | null>(null);
const shown = computed(() => rows.value.find((r) => r.key === opened.value) ?? rows.value.find((r) => r.steps !== null) ?? null);
const COLUMNS = [
  { key: 'name', title: 'Work', order: (r: Row) => r.name },
  { key: 'cases', title: 'Handed back', end: true, order: (r: Row) => r.cases.length },
  { key: 'comebacks', title: 'Came back', end: true, order: (r: Row) => r.comebacks },
  { key: 'watched', title: 'Watched up to', end: true, order: (r: Row) => r.watched },
  { key: 'chance', title: 'Reckoned with', end: true, order: (r: Row) => r.chance },
  { key: 'act', title: 'Curve', quiet: true },
];
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>What our work lasted</h1>
      <span v-if="data" class="second">{{ data.length }} pieces of work handed back</span>
    </div>
    <PartsTabs at="lasting" :prices="session.may('technician')" />
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <p class="second small">
      A comeback is the same place opened again for the same kind of fault, named by a person at Decide. What did not come back is watched
      until its vehicle was last seen. Under {{ LEAST_CASES }} pieces no curve is drawn.
    </p>
    <section v-if="shown && shown.steps" class="shown" :aria-label="shown.name">
      <h2 class="line">{{ shown.name }}</h2>
      <LastingCurve :steps="shown.steps" :years="shown.watched" />
    </section>
    <BookTable v-if="rows.length > 0" :columns="COLUMNS" :rows="rows" label="What our work lasted">
      <template #name="{ row }">{{ row.name }}</template>
      <template #cases="{ row }">
        <span class="fig">{{ row.cases.length }}</span>
      </template>
      <template #comebacks="{ row }">
        <span class="fig">{{ row.comebacks }}</span>
      </template>
      <template #watched="{ row }">
        <span class="fig">{{ row.watched.toFixed(1) }} y</span>
      </template>
      <template #chance="{ row }">
        <span class="fig">{{ row.chance === null ? '' : `${fixed(row.chance * 100, 1)} %` }}</span>
      </template>
      <template #act="{ row }">
        <v-btn
          v-if="row.steps"
          class="act slim"
          :aria-label="`Curve of ${row.name}`"
          :aria-pressed="shown?.key === row.key"
          @click="opened = row.key"
        >
          Curve
        </v-btn>
        <span v-else class="second small">too few</span>
      </template>
    </BookTable>
    <p v-else-if="data" class="second">Nothing was handed back yet: what is resealed, renewed or machined counts from its hand-back on.</p>
  </main>
</template>
