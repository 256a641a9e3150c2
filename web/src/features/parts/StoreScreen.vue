<script setup lang="ts">
import { type LotVersion, type StockMoveKind } from '@dauer/core/ledger';
import { partialText } from '../../fittings/partial.ts';
import { lotQuestion } from '@dauer/core/supply';
import { LOT_KIND_NAME, lotAgainstWords } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import BookTable from '../../fittings/BookTable.vue';
import { dayHere, dayText } from '../../fittings/dates.ts';
import LotForm from './LotForm.vue';
import LotVehicles from './LotVehicles.vue';
import PartsTabs from '../../fittings/PartsTabs.vue';
import { useArticles } from './usePrices.ts';

/** Lots of rubber, fluid, linings, adhesives and coatings, and what lies in the store by its count. */
const session = useSession();
const writable = computed(() => session.may('technician'));
const lots = useQuery({ key: ['lots'], query: () => call('lots', {}), refetchOnMount: 'always' });
const stock = useQuery({
  key: ['stock'],
  query: () => (writable.value ? call('stock', {}) : Promise.resolve([])),
  refetchOnMount: 'always',
});
const articles = useArticles(session.may('technician'));
const editing = ref<LotVersion | 'new' | null>(null);
const showing = ref<LotVersion | null>(null);
const closed = ref(false);
type Lot = NonNullable<typeof lots.data.value>[number];
const rows = computed(() => (lots.data.value ?? []).filter((r) => closed.value || !r.lot.closed));
const hidden = computed(() => (lots.data.value ?? []).filter((r) => r.lot.closed).length);
const asks = (l: LotVersion): string => {
  const q = lotQuestion(l, dayHere());
  return q ? lotAgainstWords(q) : '';
};
const slip = (l: LotVersion): string => [l.torque, l.bedding, l.cure].filter(Boolean).join('; ');
const LOTS = [
  { key: 'label', title: 'Lot', order: (r: Lot) => r.lot.label },
  { key: 'name', title: 'What it is', order: (r: Lot) => r.lot.name },
  { key: 'age', title: 'Made or bought', order: (r: Lot) => r.lot.made ?? r.lot.bought },
  { key: 'slip', title: 'By its slip' },
  { key: 'vehicles', title: 'Vehicles', end: true, order: (r: Lot) => r.vehicles },
  { key: 'act', title: 'Acts', quiet: true },
];
type Stock = NonNullable<typeof stock.data.value>[number];
const low = computed(() => (stock.data.value ?? []).filter((r) => r.level !== null && r.count <= r.level));
const STOCK = [
  { key: 'name', title: 'Article', order: (r: Stock) => r.name },
  { key: 'supplier', title: 'From', order: (r: Stock) => r.supplier },
  { key: 'count', title: 'Here', end: true, order: (r: Stock) => r.count },
  { key: 'level', title: 'Order at', end: true, order: (r: Stock) => r.level },
  { key: 'counted', title: 'Counted', order: (r: Stock) => r.counted },
  { key: 'act', title: 'Acts', quiet: true },
];
const { run, busy, problem } = useRequest();
const moving = ref<{ seriesId: string; name: string } | null>(null);
const kind = ref<StockMoveKind>('taken');
const count = ref('');
const adding = ref<string | null>(null);
const KINDS: readonly { value: StockMoveKind; title: string }[] = [
  { value: 'taken', title: 'Taken out' },
  { value: 'came', title: 'Come in' },
  { value: 'counted', title: 'Counted anew' },
  { value: 'level', title: 'Order when so many are left' },
];
const choices = computed(() =>
  (articles.data.value ?? [])
    .filter((a) => !a.retired && a.supply !== 'process' && !(stock.data.value ?? []).some((r) => r.seriesId === a.seriesId))
    .map((a) => ({ value: a.seriesId, title: `${a.name}${a.partNumber ? `, ${a.partNumber}` : ''}` })),
);
function begin(seriesId: string, name: string, first: StockMoveKind): void {
  moving.value = { seriesId, name };
  kind.value = first;
  count.value = '';
}
function beginNew(seriesId: string | null): void {
  const a = choices.value.find((c) => c.value === seriesId);
  adding.value = null;
  if (a) begin(a.value, a.title, 'counted');
}
async function move(): Promise<void> {
  const of = moving.value;
  if (!of || !/^\d{1,5}$/.test(count.value)) return;
  await run(async () => {
    await call('moveStock', {
      body: { id: v7(), seriesId: of.seriesId, kind: kind.value, count: Number(count.value), jobId: null, note: '' },
    });
    await stock.refetch();
    moving.value = null;
  });
}
function entered(): void {
  editing.value = null;
  void lots.refetch();
}
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Lots and store</h1>
      <span class="grow" />
      <v-btn v-if="writable" class="act main" @click="editing = 'new'">Enter a lot</v-btn>
    </div>
    <PartsTabs at="store" :prices="session.may('technician')" />
    <p v-if="lots.error.value" class="problem" role="alert">{{ sentenceOf(lots.error.value) }}</p>
    <h2 class="line">Lots</h2>
    <BookTable v-if="rows.length > 0" :columns="LOTS" :rows="rows" label="Lots">
      <template #label="{ row }">
        <b class="fig">{{ row.lot.label }}</b>
      </template>
      <template #name="{ row }">
        {{ row.lot.name }}
        <span class="second small">
          {{ LOT_KIND_NAME[row.lot.kind].toLowerCase() }}{{ row.lot.batch ? `, batch ${row.lot.batch}` : ''
          }}{{ row.lot.kind === 'coating' && row.lot.lifted !== 'no' ? ', cover it from brake fluid' : '' }}
        </span>
      </template>
      <template #age="{ row }">
        {{ partialText(row.lot.made ?? row.lot.bought) }}
        <b v-if="asks(row.lot)" class="small asks">{{ asks(row.lot) }}</b>
      </template>
      <template #slip="{ row }">
        <span class="small">{{ slip(row.lot) }}</span>
      </template>
      <template #vehicles="{ row }">
        <button class="link" type="button" :aria-label="`Who has something of ${row.lot.label}`" @click="showing = row.lot">
          <span class="fig">{{ row.vehicles }}</span>
          {{ row.vehicles === 1 ? 'vehicle' : 'vehicles' }}
        </button>
      </template>
      <template #act="{ row }">
        <v-btn v-if="writable" class="act slim" :aria-label="`Say more of ${row.lot.label}`" @click="editing = row.lot">Say more</v-btn>
      </template>
    </BookTable>
    <p v-else-if="lots.data.value" class="second empty">
      Rubber, fluid, linings, adhesives and coatings stand here by their lots: when they were made, and what their slips say.
    </p>
    <p v-if="hidden > 0">
      <button class="link" type="button" @click="closed = !closed">
        {{ closed ? 'Without what is used up' : `And ${hidden} used up` }}
      </button>
    </p>
    <template v-if="writable">
      <h2 class="line">In the store</h2>
      <p v-if="low.length > 0" class="small">
        <b class="plate-font">To be ordered</b>
        {{ low.map((r) => `${r.name} (${r.count} left)`).join(', ') }}
      </p>
      <BookTable v-if="(stock.data.value ?? []).length > 0" :columns="STOCK" :rows="stock.data.value ?? []" label="What lies in the store">
        <template #name="{ row }">
          {{ row.name }}
          <span class="second small fig">{{ row.partNumber }}</span>
        </template>
        <template #supplier="{ row }">{{ row.supplier }}</template>
        <template #count="{ row }">
          <b v-if="row.level !== null && row.count <= row.level" class="fig">{{ row.count }}</b>
          <span v-else class="fig">{{ row.count }}</span>
        </template>
        <template #level="{ row }">
          <span class="fig">{{ row.level }}</span>
        </template>
        <template #counted="{ row }">{{ row.counted ? dayText(row.counted) : '' }}</template>
        <template #act="{ row }">
          <v-btn class="act slim" :aria-label="`Count of ${row.name}`" @click="begin(row.seriesId, row.name, 'taken')">Move</v-btn>
        </template>
      </BookTable>
      <p v-else class="second">Nothing is counted yet. What is kept on the shelf is counted here, with the level at which it is ordered.</p>
      <v-autocomplete
        :model-value="adding"
        class="add"
        label="Count an article"
        :items="choices"
        no-data-text="The price book has no such article"
        @update:model-value="beginNew"
      />
      <form v-if="moving" class="move" @submit.prevent="move">
        <b class="plate-font">{{ moving.name }}</b>
        <v-select v-model="kind" label="What happened" :items="KINDS" />
        <v-text-field v-model="count" v-focus label="How many" inputmode="numeric" />
        <v-btn class="act main" type="submit" :loading="busy" :disabled="!/^\d{1,5}$/.test(count)">Enter it</v-btn>
        <v-btn class="act" @click="moving = null">Not now</v-btn>
      </form>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </template>
    <LotForm v-if="editing" :from="editing === 'new' ? null : editing" @close="editing = null" @entered="entered" />
    <LotVehicles v-if="showing" :lot="showing" @close="showing = null" />
  </main>
</template>

<style scoped>
.line {
  margin-top: var(--space-4);
}
.empty {
  margin: var(--space-4) 0;
}
.asks {
  display: block;
}
.add {
  max-width: 420px;
  margin-top: var(--space-3);
}
.move {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-2) 0;
}
.move > :deep(.v-input) {
  flex: 0 1 240px;
}
</style>
