<script setup lang="ts">
import { GAUGE_KIND_NAME, GENERIC_GAUGE, type GaugeKind, type GaugeVersion, parseQuantity, Refusal } from '@dauer/core';
import { useQuery } from '@pinia/colada';
import { v7 } from 'uuid';
import { onBeforeUnmount, ref, watch } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { onLetter } from '../../app/keys.ts';
import { useSession } from '../../app/session.ts';

/** The rack: what is measured with, and how far it can be trusted. */
const session = useSession();
const { data, error, refetch } = useQuery({ key: ['gauges'], query: () => call('gauges') });
void refetch();
const today = new Date().toISOString().slice(0, 10);
const open = ref(false);
const from = ref<GaugeVersion | null>(null);
const problem = ref('');
const kind = ref<GaugeKind>('micrometer');
const f = ref({ tag: '', name: '', resolution: '', accuracy: '', shortSpan: '', due: '' });
const KINDS = Object.entries(GAUGE_KIND_NAME).map(([value, title]) => ({ title, value }));
function begin(g: GaugeVersion | null): void {
  from.value = g;
  kind.value = g?.kind ?? 'micrometer';
  f.value = g
    ? {
        tag: g.tag,
        name: g.name,
        resolution: String(g.resolution),
        accuracy: String(g.accuracy),
        shortSpan: String(g.shortSpan),
        due: g.calibrationDue ?? '',
      }
    : { tag: '', name: '', resolution: '', accuracy: '', shortSpan: '', due: '' };
  problem.value = '';
  open.value = true;
}
watch(
  kind,
  (k) => {
    if (from.value) return;
    const g = GENERIC_GAUGE[k];
    f.value = { ...f.value, resolution: String(g.resolution), accuracy: String(g.accuracy), shortSpan: String(g.shortSpan) };
  },
  { immediate: true },
);
async function enter(): Promise<void> {
  problem.value = '';
  try {
    const read = (t: string): number => parseQuantity(t, 'length', 'mm').canonical;
    await call('enterGauge', {
      body: {
        id: v7(),
        gaugeId: from.value?.gaugeId ?? v7(),
        tag: f.value.tag,
        name: f.value.name,
        kind: kind.value,
        resolution: read(f.value.resolution),
        accuracy: read(f.value.accuracy),
        shortSpan: read(f.value.shortSpan),
        rangeLow: null,
        rangeHigh: null,
        calibrationDue: f.value.due || null,
      },
    });
    open.value = false;
    await refetch();
  } catch (e) {
    problem.value = e instanceof Refusal ? e.message : sentenceOf(e);
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
      <button v-if="session.may('technician')" class="act main" type="button" @click="begin(null)">Enter a gauge</button>
    </div>
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <div v-if="data && data.length > 0" class="scroll">
      <table>
        <thead>
          <tr>
            <th>Tag</th>
            <th>Gauge</th>
            <th>Kind</th>
            <th class="num">Reads to</th>
            <th class="num">Accuracy</th>
            <th class="num">Over a short span</th>
            <th>Calibration due</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="g in data" :key="g.id">
            <td>
              <b class="plate-font">{{ g.tag }}</b>
            </td>
            <td>{{ g.name }}</td>
            <td>{{ GAUGE_KIND_NAME[g.kind] }}</td>
            <td class="num fig">{{ g.resolution }}</td>
            <td class="num fig">{{ g.kind === 'torque_wrench' ? `±${g.accuracy * 100} %` : `±${g.accuracy}` }}</td>
            <td class="num fig">{{ g.kind === 'torque_wrench' ? '–' : `±${g.shortSpan}` }}</td>
            <td>
              <span class="fig">{{ g.calibrationDue ?? 'never set' }}</span>
              <b v-if="g.calibrationDue && g.calibrationDue < today" class="late">overdue</b>
            </td>
            <td class="acts">
              <button
                v-if="session.may('technician')"
                class="act slim"
                type="button"
                :aria-label="`New version of ${g.tag}`"
                @click="begin(g)"
              >
                Change
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else-if="data" class="second empty">
      Without a named gauge the usual gauge’s generic accuracy is taken, and every verdict says so. Enter the first gauge.
    </p>
    <p class="second small note">
      A gauge past its date may be used; every verdict made with it says so. A reading keeps the version it was taken with.
    </p>
    <v-dialog v-model="open">
      <form class="dialog col" @submit.prevent="enter">
        <h2>{{ from ? `A new version of ${from.tag}` : 'Enter a gauge' }}</h2>
        <div class="fields">
          <v-select v-model="kind" label="Kind" :items="KINDS" />
          <v-text-field v-model="f.tag" label="Tag" placeholder="M-04" />
          <v-text-field v-model="f.name" label="Name and range" />
          <v-text-field v-model="f.resolution" label="Reads to (mm)" />
          <v-text-field v-model="f.accuracy" label="Accuracy ± (mm)" />
          <v-text-field v-model="f.shortSpan" label="± over a short span (mm)" />
          <v-text-field v-model="f.due" label="Calibration due" type="date" />
        </div>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <div class="acts">
          <button class="act" type="button" @click="open = false">Not now</button>
          <button class="act main" type="submit" :disabled="f.tag.trim() === '' || f.name.trim() === ''">Enter it</button>
        </div>
      </form>
    </v-dialog>
  </main>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.num {
  text-align: right;
}
.acts {
  text-align: right;
}
td {
  vertical-align: middle;
}
.late {
  margin-left: 10px;
  background: var(--ink);
  color: var(--plate);
  font: 600 14px/18px var(--plate-font);
  padding: 1px 6px;
  border-radius: 2px;
}
.note,
.empty {
  margin: 16px 0;
}
</style>
