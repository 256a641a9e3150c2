<script setup lang="ts">
import { KIND_FACTS } from '@dauer/core/layout';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import BookTable from '../../fittings/BookTable.vue';
import TagPlate from '../../fittings/TagPlate.vue';
import FindByFigure from './FindByFigure.vue';
import { useSession } from '../../app/session.ts';
import PartsTabs from '../../fittings/PartsTabs.vue';

/** Every tagged part and where it is now. */
const session = useSession();
const find = ref('');
const { data, error, refetch } = useQuery({ key: ['parts'], query: () => call('parts', { query: {} }) });
void refetch();
const rows = computed(() =>
  (data.value ?? []).filter((r) =>
    `${r.part.tag ?? ''} ${r.part.name} ${r.part.partNumber ?? ''} ${r.vehicleTag ?? ''} ${r.place ?? ''}`
      .toLowerCase()
      .includes(find.value.trim().toLowerCase()),
  ),
);
const WHERE = { slot: 'fitted', shelf: 'on the shelf', away: 'away', scrap: 'scrapped', missing: 'missing', unknown: 'not known' } as const;
type Row = NonNullable<typeof data.value>[number];
const COLUMNS = [
  { key: 'tag', title: 'Tag', order: (r: Row) => r.part.tag },
  { key: 'part', title: 'Part', order: (r: Row) => KIND_FACTS[r.part.kind].name },
  { key: 'number', title: 'Number', order: (r: Row) => r.part.partNumber },
  { key: 'where', title: 'Where', order: (r: Row) => r.place ?? WHERE[r.where] },
  { key: 'vehicle', title: 'Vehicle', order: (r: Row) => r.vehicleTag },
];
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Parts</h1>
      <span class="second">{{ data ? `${data.length} carry a tag` : '' }}</span>
      <span class="grow" />
      <v-text-field v-model="find" class="find" label="Find by tag, name or number" density="compact" />
    </div>
    <PartsTabs at="tagged" :prices="session.may('technician')" />
    <FindByFigure />
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <BookTable v-if="rows.length > 0" class="list" :columns="COLUMNS" :rows="rows" label="Tagged parts">
      <template #tag="{ row }">
        <RouterLink class="go tagged" :to="`/parts/${row.part.id}`" :aria-label="`${row.part.tag ?? ''} ${row.part.name}, its life`">
          <TagPlate :tag="row.part.tag ?? ''" small />
        </RouterLink>
      </template>
      <template #part="{ row }">{{ KIND_FACTS[row.part.kind].name }}</template>
      <template #number="{ row }">
        <span class="fig">{{ row.part.partNumber }}</span>
      </template>
      <template #where="{ row }">
        {{ row.place ?? WHERE[row.where] }}
        <span v-if="row.where === 'away'" class="second small">sent out</span>
      </template>
      <template #vehicle="{ row }">
        <RouterLink v-if="row.jobId" class="go" :to="`/jobs/${row.jobId}`">{{ row.vehicleTag }} {{ row.vehicleName }}</RouterLink>
      </template>
    </BookTable>
    <p v-else-if="data" class="second empty">
      {{
        find
          ? `No tagged part reads like “${find}”.`
          : 'Parts that carry a tag stand here with their whole life. A tag is bound on the component’s plate, under the brake map of a job.'
      }}
    </p>
  </main>
</template>

<style scoped>
.find {
  max-width: 300px;
}
.list {
  margin-top: var(--space-2);
}
.empty {
  margin: var(--space-5) 0;
}
.tagged {
  display: inline-flex;
  text-decoration: none;
  min-height: var(--touch);
  align-items: center;
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
