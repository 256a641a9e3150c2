<script setup lang="ts">
import { KIND_FACTS } from '@dauer/core/layout';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import TagPlate from '../../fittings/TagPlate.vue';

/** Every tagged part and where it is now. */
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
const WHERE = { slot: 'fitted', shelf: 'on the shelf', away: 'away', scrap: 'scrapped', unknown: 'not known' } as const;
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Parts</h1>
      <span class="second">{{ data ? `${data.length} carry a tag` : '' }}</span>
      <span class="grow" />
      <v-text-field v-model="find" class="find" label="Find by tag, name or number" density="compact" />
    </div>
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <div v-if="rows.length > 0" class="scroll">
      <table>
        <thead>
          <tr>
            <th>Tag</th>
            <th>Part</th>
            <th>Number</th>
            <th>Where</th>
            <th>Vehicle</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.part.id">
            <td>
              <RouterLink class="go tagged" :to="`/parts/${r.part.id}`" :aria-label="`${r.part.tag ?? ''} ${r.part.name}, its life`">
                <TagPlate :tag="r.part.tag ?? ''" small />
              </RouterLink>
            </td>
            <td>{{ KIND_FACTS[r.part.kind].name }}</td>
            <td class="fig">{{ r.part.partNumber }}</td>
            <td>
              {{ r.place ?? WHERE[r.where] }}
              <span v-if="r.where === 'away'" class="second small">sent out</span>
            </td>
            <td>
              <RouterLink v-if="r.jobId" class="go" :to="`/jobs/${r.jobId}`">{{ r.vehicleTag }} {{ r.vehicleName }}</RouterLink>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
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
.scroll {
  overflow-x: auto;
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
