<script setup lang="ts">
import type { LotVersion } from '@dauer/core/ledger';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import { saveTable } from '../../fittings/tableFile.ts';

/** Every vehicle that has something of a lot: the list to call them in by. */
const props = defineProps<{ lot: LotVersion }>();
const emit = defineEmits<{ close: [] }>();
const session = useSession();
const { data, error } = useQuery({
  key: () => ['lot-vehicles', props.lot.seriesId],
  query: () => call('lotVehicles', { params: { id: props.lot.seriesId } }),
  refetchOnMount: 'always',
});
const rows = computed(() => data.value ?? []);
const COLUMNS = ['vehicle', 'name', 'owner', 'place', 'on', 'in_shop'] as const;
const save = () =>
  saveTable(
    rows.value.map((r) => ({
      vehicle: r.vehicleTag,
      name: r.vehicleName,
      owner: r.owner ?? '',
      place: r.place ?? '',
      on: r.on.slice(0, 10),
      in_shop: r.inShop ? 'yes' : 'no',
    })),
    COLUMNS,
    { name: `lot-${props.lot.label}`.replace(/[^\w-]+/g, '-'), format: 'dauer.lot', list: 'vehicles' },
    'csv',
  );
</script>

<template>
  <v-dialog aria-labelledby="lot-vehicles-title" :model-value="true" max-width="680" @update:model-value="emit('close')">
    <div class="dialog col">
      <h2 id="lot-vehicles-title">Who has something of {{ lot.label }}</h2>
      <p class="second">{{ lot.name }}{{ lot.batch ? `, batch ${lot.batch}` : '' }}</p>
      <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
      <ul v-if="rows.length > 0">
        <li v-for="(r, i) in rows" :key="i">
          <RouterLink :to="`/jobs/${r.jobId}`">{{ r.vehicleTag }} {{ r.vehicleName }}</RouterLink>
          <span>{{ r.place ?? 'in the whole of it' }}</span>
          <span class="second small">
            {{ dayText(r.on) }}{{ r.inShop ? ', in the shop' : ', handed back' }}{{ r.owner ? `; ${r.owner}` : '' }}
          </span>
        </li>
      </ul>
      <p v-else-if="data" class="second">No vehicle has anything of it.</p>
      <div class="acts">
        <v-btn v-if="rows.length > 0 && session.may('technician')" class="act" @click="save">List as CSV</v-btn>
        <v-btn class="act" @click="emit('close')">Close</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1.2fr);
  gap: var(--space-3);
  align-items: center;
  min-height: var(--touch);
  border-bottom: var(--line-hair) solid var(--hair);
}
</style>
