<script setup lang="ts">
import { KIND_FACTS } from '@dauer/core/layout';
import type { ArticleVersion } from '@dauer/core/ledger';
import { computed, onBeforeUnmount, ref } from 'vue';
import { majorOf, moneyText } from '@dauer/core/quantity';
import { sentenceOf } from '../../app/client.ts';
import { onLetter } from '../../app/keys.ts';
import { useSession } from '../../app/session.ts';
import BookTable from '../../fittings/BookTable.vue';
import ArticleForm from './ArticleForm.vue';
import { fitsText, monthsOld, OLD_MONTHS, SCARCITY_TITLE, SUPPLY_TITLE } from './articleWords.ts';
import PartsTabs from '../../fittings/PartsTabs.vue';
import PriceExchange from './PriceExchange.vue';
import SuppliersSection from './SuppliersSection.vue';
import { usePrices } from './usePrices.ts';

/** The price book: what is bought, from whom, for how much, and how old that is. */
const session = useSession();
const lead = computed(() => session.may('lead'));
const { articles, suppliers } = usePrices();
const { data, error } = articles;
const find = ref('');
const editing = ref<ArticleVersion | 'new' | null>(null);
const now = Date.now();
/** A sum under others: its decimals stand under theirs. */
const inColumn = (minor: number): string => moneyText(majorOf(minor, session.shop.currency), null);
const names = computed(() => new Map((suppliers.data.value ?? []).map((s) => [s.id, s.name])));
const supplierOf = (a: ArticleVersion): string => names.value.get(a.supplierId ?? '') ?? '';
const rows = computed(() => {
  const words = find.value.toLowerCase().split(/\s+/);
  return (data.value ?? [])
    .filter((a) => !a.retired)
    .filter((a) => {
      const said =
        `${a.name} ${a.partNumber ?? ''} ${a.kind ? KIND_FACTS[a.kind].name : ''} ${SUPPLY_TITLE[a.supply]} ${supplierOf(a)} ${fitsText(a)}`.toLowerCase();
      return words.every((w) => said.includes(w));
    })
    .sort((a, b) => a.name.localeCompare(b.name));
});
const aged = computed(
  () => (data.value ?? []).filter((a) => !a.retired && a.price !== null && monthsOld(a.pricedOn, now) >= OLD_MONTHS).length,
);
const COLUMNS = [
  { key: 'name', title: 'Article', order: (a: ArticleVersion) => a.name },
  { key: 'as', title: 'Bought as', order: (a: ArticleVersion) => SUPPLY_TITLE[a.supply] },
  { key: 'fits', title: 'Fits', order: fitsText },
  { key: 'supplier', title: 'From', order: supplierOf },
  { key: 'lead', title: 'Days', end: true, order: (a: ArticleVersion) => a.leadDays },
  { key: 'core', title: 'Core', end: true, order: (a: ArticleVersion) => a.core },
  { key: 'price', title: 'Net', end: true, order: (a: ArticleVersion) => a.price },
  { key: 'told', title: 'Told on', order: (a: ArticleVersion) => a.pricedOn },
  { key: 'act', title: 'What can be done', end: true, quiet: true },
];
const off = onLetter('KeyN', () => {
  if (lead.value) editing.value = 'new';
});
onBeforeUnmount(off);
function entered(): void {
  editing.value = null;
  void articles.refetch();
}
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Prices</h1>
      <span class="second">{{ data ? `${rows.length} articles${aged > 0 ? `, ${aged} told more than a year ago` : ''}` : '' }}</span>
      <span class="grow" />
      <v-text-field v-model="find" class="find" label="Name, number, kind, supplier" density="compact" />
      <v-btn v-if="lead" class="act main" @click="editing = 'new'">Enter an article</v-btn>
    </div>
    <PartsTabs at="prices" :prices="session.may('technician')" />
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <BookTable v-if="rows.length > 0" :columns="COLUMNS" :rows="rows" label="Articles and their prices">
      <template #name="{ row }">
        <b>{{ row.name }}</b>
        <span class="second small fig">{{ row.partNumber }}</span>
      </template>
      <template #as="{ row }">
        {{ SUPPLY_TITLE[row.supply] }}
        <span v-if="row.scarcity !== 'available'" class="small">{{ SCARCITY_TITLE[row.scarcity].toLowerCase() }}</span>
      </template>
      <template #fits="{ row }">
        {{ row.kind ? KIND_FACTS[row.kind].name : '' }}
        <span class="second small">{{ fitsText(row) }}</span>
      </template>
      <template #supplier="{ row }">{{ supplierOf(row) }}</template>
      <template #lead="{ row }">
        <span class="fig">{{ row.leadDays }}</span>
      </template>
      <template #core="{ row }">
        <span class="fig">{{ row.core === 0 ? '' : inColumn(row.core) }}</span>
      </template>
      <template #price="{ row }">
        <span class="fig">{{ row.price === null ? 'not known' : inColumn(row.price) }}</span>
      </template>
      <template #told="{ row }">
        {{ row.pricedOn }}
        <b v-if="monthsOld(row.pricedOn, now) >= OLD_MONTHS" class="small">{{ monthsOld(row.pricedOn, now) }} months ago</b>
      </template>
      <template #act="{ row }">
        <v-btn v-if="lead" class="act slim" :aria-label="`New price of ${row.name}`" @click="editing = row">New price</v-btn>
      </template>
    </BookTable>
    <p v-else-if="data" class="second empty">
      {{
        find
          ? `No article reads like “${find}”.`
          : 'What is bought stands here with its price: parts, seal kits, exchange units, work that is sent out, consumables. Decide reckons with it.'
      }}
    </p>
    <PriceExchange
      :book="data ?? []"
      :suppliers="suppliers.data.value ?? []"
      :currency="session.shop.currency"
      :writable="lead"
      @taken="articles.refetch()"
    />
    <SuppliersSection :suppliers="suppliers.data.value ?? []" :writable="lead" @changed="suppliers.refetch()" />
    <ArticleForm
      v-if="editing"
      :from="editing === 'new' ? null : editing"
      :suppliers="suppliers.data.value ?? []"
      :currency="session.shop.currency"
      @close="editing = null"
      @entered="entered"
    />
  </main>
</template>

<style scoped>
.find {
  max-width: 300px;
}
.empty {
  margin: var(--space-5) 0;
}
@media (max-width: 860px) {
  .head {
    flex-wrap: wrap;
    padding-bottom: var(--space-2);
  }
  .find {
    max-width: none;
    flex: 1 1 100%;
  }
}
</style>
