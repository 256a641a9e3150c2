<script setup lang="ts">
import { figure } from '@dauer/core/quantity';
import { GAUGE_KIND_NAME, GAUGE_UNIT, isShare } from '@dauer/core/catalogue';
import type { GaugeVersion } from '@dauer/core/ledger';
import { goodTo, roundedUp, tellsApart } from '@dauer/core/metrology';
import { useQuery } from '@pinia/colada';
import { onBeforeUnmount, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { onLetter } from '../../app/keys.ts';
import { useSession } from '../../app/session.ts';
import BookTable from '../../fittings/BookTable.vue';
import GaugeForm from './GaugeForm.vue';

/** The rack: what is measured with, and how far it can be trusted. */
const session = useSession();
const { data, error, refetch } = useQuery({ key: ['gauges'], query: () => call('gauges') });
void refetch();
const today = new Date().toISOString().slice(0, 10);
const open = ref(false);
const from = ref<GaugeVersion | null>(null);
function begin(g: GaugeVersion | null): void {
  from.value = g;
  open.value = true;
}
function entered(): void {
  open.value = false;
  void refetch();
}
/** A wrench is good to a share of what it is set to. */
const goodText = (g: GaugeVersion): string =>
  isShare(g.kind) ? `±${figure(Number((g.accuracy * 100).toFixed(1)))} %` : `±${figure(roundedUp(goodTo(g)))} ${GAUGE_UNIT[g.kind]}`;
const tellsText = (g: GaugeVersion): string => (isShare(g.kind) ? '–' : `${figure(roundedUp(tellsApart(g)))} ${GAUGE_UNIT[g.kind]}`);
const COLUMNS = [
  { key: 'tag', title: 'Tag', order: (g: GaugeVersion) => g.tag },
  { key: 'name', title: 'Gauge', order: (g: GaugeVersion) => g.name },
  { key: 'kind', title: 'Kind', order: (g: GaugeVersion) => GAUGE_KIND_NAME[g.kind] },
  { key: 'reads', title: 'Reads to', end: true },
  { key: 'good', title: 'Good to', end: true },
  { key: 'tells', title: 'Tells apart', end: true },
  { key: 'due', title: 'Calibration due', order: (g: GaugeVersion) => g.calibrationDue ?? '' },
  { key: 'act', title: 'What can be done', end: true, quiet: true },
];
/** The key that instruments speak with: shown to a lead, made anew on request. */
const key = ref<string | null>(null);
const keyProblem = ref('');
async function showKey(anew: boolean): Promise<void> {
  keyProblem.value = '';
  try {
    key.value = (await call('instrumentKey', { body: { anew } })).key;
  } catch (e) {
    keyProblem.value = sentenceOf(e);
  }
}
const off = onLetter('KeyN', () => {
  if (session.may('technician')) begin(null);
});
onBeforeUnmount(off);
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Gauges</h1>
      <span class="second">{{ data ? `${data.length} on the rack` : '' }}</span>
      <span class="grow" />
      <v-btn v-if="session.may('technician')" class="act main" @click="begin(null)">Enter a gauge</v-btn>
    </div>
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <BookTable v-if="data && data.length > 0" :columns="COLUMNS" :rows="data" label="The rack">
      <template #tag="{ row }">
        <RouterLink class="go plate-font" :to="`/gauges/${row.gaugeId}`">{{ row.tag }}</RouterLink>
      </template>
      <template #name="{ row }">{{ row.name }}</template>
      <template #kind="{ row }">{{ GAUGE_KIND_NAME[row.kind] }}</template>
      <template #reads="{ row }">
        <span class="fig">{{ row.resolution }} {{ GAUGE_UNIT[row.kind] }}</span>
      </template>
      <template #good="{ row }">
        <span class="fig">{{ goodText(row) }}</span>
      </template>
      <template #tells="{ row }">
        <span class="fig">{{ tellsText(row) }}</span>
      </template>
      <template #due="{ row }">
        <span class="fig">{{ row.calibrationDue ?? 'never set' }}</span>
        <b v-if="row.calibrationDue && row.calibrationDue < today" class="late">overdue</b>
      </template>
      <template #act="{ row }">
        <v-btn v-if="session.may('technician')" class="act slim" :aria-label="`New version of ${row.tag}`" @click="begin(row)">
          Change
        </v-btn>
      </template>
    </BookTable>
    <p v-else-if="data" class="second empty">
      Without a named gauge the usual gauge’s generic accuracy is taken, and every verdict says so. Enter the first gauge.
    </p>
    <p class="second small note">
      A gauge past its date may be used; every verdict made with it says so. A reading keeps the version it was taken with.
    </p>
    <section v-if="session.may('lead')" class="key">
      <h2>Instruments that send</h2>
      <p class="second">
        A gauge that types like a keyboard needs nothing. One that speaks over the network uses the key of the bench, under its tag on the
        rack.
      </p>
      <p v-if="key" class="fig" data-key>{{ key }}</p>
      <p v-if="keyProblem" class="problem" role="alert">{{ keyProblem }}</p>
      <v-btn v-if="!key" class="act slim" @click="showKey(false)">Show the key</v-btn>
      <v-btn v-else class="act slim" @click="showKey(true)">Make a new key; the old one ends</v-btn>
    </section>
    <GaugeForm v-if="open" :from="from" @close="open = false" @done="entered" />
  </main>
</template>

<style scoped>
.late {
  margin-left: 10px;
  background: var(--ink);
  color: var(--plate);
  font: 600 var(--type-second)/18px var(--plate-font);
  padding: 1px 6px;
  border-radius: var(--corner);
}
/* What a lead sees of instruments that send. */
.key {
  margin-top: var(--space-5);
}
.note,
.empty {
  margin: var(--space-4) 0;
}
</style>
