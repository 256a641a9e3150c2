<script setup lang="ts">
import { useQuery } from '@pinia/colada';
import { useDebounceFn, useTimeoutFn, useUrlSearchParams } from '@vueuse/core';
import { computed, watch } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { onChange } from '../../app/live.ts';
import ViewTabs from '../../fittings/ViewTabs.vue';
import CalendarPanel from './CalendarPanel.vue';
import { dueSoon, standing, yearAhead } from './dueGroups.ts';
import DueVehicle from './DueVehicle.vue';
import FleetTable from './FleetTable.vue';
import YearAhead from './YearAhead.vue';

/** Everything that falls due, of every vehicle: now, over the year ahead, and what stands. */
const VIEWS = ['due', 'year', 'standing'] as const;
const TITLE = { due: 'Due, and soon', year: 'The year ahead', standing: 'What stands' } as const;
const params = useUrlSearchParams<{ view?: string }>('history');
const view = computed({
  get: () => VIEWS.find((v) => v === params.view) ?? 'due',
  set: (v: (typeof VIEWS)[number]) => (params.view = v),
});
const { data, error, refetch } = useQuery({ key: ['dues'], query: () => call('dues'), refetchOnMount: 'always' });
onChange(useDebounceFn(() => void refetch(), 800));
/** Where much was taken in at once it is worked out some at a time. */
const again = useTimeoutFn(() => void refetch(), 1200, { immediate: false });
watch(
  () => data.value?.left ?? 0,
  (left) => left > 0 && again.start(),
);
const vehicles = computed(() => data.value?.vehicles ?? []);
const today = computed(() => data.value?.today ?? '');
const soon = computed(() => dueSoon(vehicles.value, today.value));
const counts = computed(() => ({
  due: soon.value.length,
  year: today.value === '' ? 0 : yearAhead(vehicles.value, today.value).reduce((n, m) => n + m.count, 0),
  standing: standing(vehicles.value).length,
}));
const views = computed(() => VIEWS.map((v) => ({ id: v, title: TITLE[v], count: data.value ? counts.value[v] : '' })));
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>What falls due</h1>
      <span v-if="data" class="second">
        {{
          soon.length === 0 ? 'nothing within two months' : `${soon.length} ${soon.length === 1 ? 'vehicle' : 'vehicles'} within two months`
        }}
      </span>
    </div>
    <ViewTabs v-model="view" :views="views" />
    <p v-if="error" class="problem" role="alert">
      {{ sentenceOf(error) }}
      <button class="link" type="button" @click="refetch()">Try again</button>
    </p>
    <template v-if="data">
      <p v-if="data.left > 0" class="second" role="status">{{ data.left }} more vehicles are being worked out …</p>
      <p v-if="data.limitsUnchecked > 0 && view === 'due'" class="second">
        {{ data.limitsUnchecked === 1 ? 'One limit waits' : `${data.limitsUnchecked} limits wait` }} for a second pair of eyes.
        <RouterLink class="link" to="/limits">To the book</RouterLink>
      </p>
      <template v-if="view === 'due'">
        <DueVehicle v-for="v in soon" :key="v.vehicle.vehicleId" :of="v" :today="today" @noted="refetch()" />
        <p v-if="soon.length === 0" class="second empty">Nothing falls due within two months.</p>
      </template>
      <YearAhead v-else-if="view === 'year'" :vehicles="vehicles" :today="today" @noted="refetch()" />
      <FleetTable v-else :vehicles="vehicles" :today="today" @noted="refetch()" />
      <CalendarPanel :vehicles="vehicles" />
    </template>
    <p v-else-if="!error" class="second empty" aria-busy="true">Reading the book …</p>
  </main>
</template>

<style scoped>
.empty {
  margin: var(--space-5) 0;
}
</style>
