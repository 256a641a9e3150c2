<script setup lang="ts">
import { CALENDAR_FILE, type VehicleDue } from '@dauer/contract';
import { useQuery } from '@pinia/colada';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { dayText } from '../../fittings/dates.ts';

/** What falls due in a calendar: as a file, or at an address of one’s own. */
const { data, refetch } = useQuery({ key: ['calendars'], query: () => call('calendars') });
const { run, busy, problem } = useRequest();
/** The address just made, in full: it is told this once. */
const address = ref('');
/** Of which vehicle an address is made; null for the whole shop. */
const props = defineProps<{ vehicles: readonly VehicleDue[] }>();
const of = ref<string | null>(null);
const choices = computed(() => [
  { value: null, title: 'The whole shop' },
  ...props.vehicles.map((v) => ({ value: v.vehicleId, title: `${v.tag}  ${v.name}` })),
]);
const copied = ref(false);
async function make(): Promise<void> {
  await run(async () => {
    const made = await call('makeCalendar', { body: { id: v7(), vehicleId: of.value } });
    address.value = `${window.location.origin}${made.path}`;
    copied.value = false;
    await refetch();
  });
}
async function end(id: string): Promise<void> {
  await run(async () => {
    await call('endCalendar', { params: { id } });
    address.value = '';
    await refetch();
  });
}
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(address.value);
  copied.value = true;
}
</script>

<template>
  <section class="calendar" aria-labelledby="calendar-title">
    <h2 id="calendar-title" class="line">In a calendar</h2>
    <p class="second">
      Whole days, by tag and what is due; nobody is named. A calendar outside of the shop’s network cannot reach an address here: give it
      the file.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p class="acts">
      <v-autocomplete v-model="of" class="of" label="Of" :items="choices" density="compact" hide-details />
      <v-btn class="act" :href="of === null ? CALENDAR_FILE.path : `${CALENDAR_FILE.path}?vehicle=${of}`" download>Calendar file</v-btn>
      <v-btn class="act" :loading="busy" @click="make">Make an address</v-btn>
    </p>
    <p v-if="address" class="address">
      <span class="fig">{{ address }}</span>
      <v-btn class="act slim" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</v-btn>
      <span class="second small">Shown this once. Whoever has it reads what falls due.</span>
    </p>
    <ul>
      <li v-for="c in data ?? []" :key="c.id">
        <span>
          {{ c.tag ?? 'The whole shop' }}
          <span class="second small">
            made {{ dayText(c.createdAt) }}, {{ c.usedAt ? `last read ${dayText(c.usedAt)}` : 'never read yet' }}
          </span>
        </span>
        <v-btn class="act slim" :disabled="busy" @click="end(c.id)">End it</v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.calendar {
  margin-top: var(--space-6);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  margin: var(--space-3) 0;
}
.of {
  flex: 0 1 280px;
}
.address {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  overflow-wrap: anywhere;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: var(--space-3);
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
li .small {
  display: block;
}
</style>
