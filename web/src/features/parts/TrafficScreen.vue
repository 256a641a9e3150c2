<script setup lang="ts">
import type { TrafficRow, TrafficView } from '@dauer/contract';
import { useQuery } from '@pinia/colada';
import { refDebounced, useUrlSearchParams } from '@vueuse/core';
import { computed } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import BookTable from '../../fittings/BookTable.vue';
import ViewTabs from '../../fittings/ViewTabs.vue';
import { dayText } from '../../fittings/dates.ts';
import { useSession } from '../../app/session.ts';
import PartsTabs from '../../fittings/PartsTabs.vue';

/** What is ordered and sent out over all vehicles: on the way, to look at, to send back, out, due. */
const session = useSession();
const TITLE: Readonly<Record<TrafficView, string>> = {
  way: 'On the way',
  check: 'To look at',
  return: 'To send back',
  out: 'Out',
  due: 'Due',
};
const EMPTY: Readonly<Record<TrafficView, string>> = {
  way: 'Nothing is on its way. What a job needs is ordered at Decide, under Orders.',
  check: 'Nothing has arrived that was not looked at.',
  return: 'Nothing waits to be sent back, and no core money is out.',
  out: 'No part is away, or in a box.',
  due: 'Nothing falls due within a week.',
};
const VIEWS = Object.keys(TITLE) as TrafficView[];
const params = useUrlSearchParams<{ view?: string; q?: string }>('history');
const view = computed<TrafficView>({
  get: () => VIEWS.find((v) => v === params.view) ?? 'way',
  set: (v) => (params.view = v),
});
const find = computed({ get: () => params.q ?? '', set: (q: string) => (params.q = q) });
const settled = refDebounced(find, 200);
const { data, error } = useQuery({
  key: () => ['traffic', view.value, settled.value.trim()],
  query: () => call('traffic', { query: { view: view.value, ...(settled.value.trim() === '' ? {} : { q: settled.value.trim() }) } }),
  placeholderData: (before) => before,
  refetchOnMount: 'always',
});
const to = (r: TrafficRow): string =>
  `/jobs/${r.jobId}/decide?orders=1${r.of === 'order' && r.views.includes('check') ? `&line=${r.id}` : ''}`;
const COLUMNS = [
  { key: 'what', title: 'What', order: (r: TrafficRow) => r.what },
  { key: 'vehicle', title: 'Vehicle', order: (r: TrafficRow) => r.vehicleTag },
  { key: 'supplier', title: 'Supplier', order: (r: TrafficRow) => r.supplier },
  { key: 'stands', title: 'Where it stands' },
  { key: 'on', title: 'Day', order: (r: TrafficRow) => r.on ?? '9' },
];
const views = computed(() => VIEWS.map((v) => ({ id: v, title: TITLE[v], count: data.value?.counts[v] ?? '' })));
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Orders and send-outs</h1>
      <span class="grow" />
      <v-text-field v-model="find" class="find" label="Find by vehicle, supplier, part or number" density="compact" />
    </div>
    <PartsTabs at="traffic" :prices="session.may('technician')" />
    <ViewTabs v-model="view" :views="views" />
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <BookTable v-if="data && data.rows.length > 0" :columns="COLUMNS" :rows="data.rows" :label="TITLE[view]">
      <template #what="{ row }">
        <RouterLink class="go" :to="to(row)">
          <span v-if="row.count > 1" class="fig">{{ row.count }} ×</span>
          {{ row.what }}
        </RouterLink>
        <span class="second small">
          <span class="fig">{{ row.partNumber }}</span>
          {{ row.places.join(', ') }}
        </span>
      </template>
      <template #vehicle="{ row }">{{ row.vehicleTag }} {{ row.vehicleName }}</template>
      <template #supplier="{ row }">{{ row.supplier }}</template>
      <template #stands="{ row }">{{ row.stands }}</template>
      <template #on="{ row }">
        <b v-if="row.on && row.late">{{ dayText(row.on) }}</b>
        <template v-else-if="row.on">{{ dayText(row.on) }}</template>
      </template>
    </BookTable>
    <p v-else-if="data" class="second empty">{{ settled ? `Nothing here reads like “${settled}”.` : EMPTY[view] }}</p>
    <p v-if="data && data.more > 0" class="second">{{ data.more }} more: find by vehicle, supplier or part.</p>
  </main>
</template>

<style scoped>
.find {
  max-width: 360px;
}
.empty {
  margin: var(--space-5) 0;
}
@media (max-width: 560px) {
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
