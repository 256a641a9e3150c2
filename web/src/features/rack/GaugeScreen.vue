<script setup lang="ts">
import { GAUGE_KIND_NAME, GAUGE_UNIT } from '@dauer/core/catalogue';
import { asksForCheck, checkVerdict, goodTo, roundedUp, tellsApart } from '@dauer/core/metrology';
import { figure, parseQuantity, toResult } from '@dauer/core/quantity';
import { useQuery } from '@pinia/colada';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import CalibrationForm from './CalibrationForm.vue';
import GaugeForm from './GaugeForm.vue';
import LeanedList from './LeanedList.vue';
import { CALIBRATION_RESULTS } from './results.ts';
import StudyForm from './StudyForm.vue';
import DayField from '../../fittings/DayField.vue';

/** One gauge: how far it can be trusted, and everything that was found out about it. */
const route = useRoute();
const session = useSession();
const id = String(route.params['id'] ?? '');
const { data, error, refetch } = useQuery({ key: ['gauge', id], query: () => call('gaugeLife', { params: { id } }) });
void refetch();
const gauge = computed(() => data.value?.versions[0] ?? null);
const unit = computed(() => (gauge.value ? GAUGE_UNIT[gauge.value.kind] : ''));
const today = new Date().toISOString();
const doing = ref<'calibrate' | 'check' | 'study' | 'call_back' | 'change' | null>(null);
const { run, busy, problem } = useRequest();
const may = computed(() => session.may('technician'));
const read = (text: string): number =>
  (unit.value === 'mm' ? parseQuantity(text, 'length', 'mm') : parseQuantity(text, 'ratio', '1')).canonical;
async function send(act: () => Promise<unknown>): Promise<void> {
  await run(async () => {
    await act();
    doing.value = null;
    await refetch();
  });
}
const onPiece = ref('');
const check = (): Promise<void> =>
  send(async () => {
    await call('checkGauge', { params: { id }, body: { id: v7(), read: read(onPiece.value) } });
    onPiece.value = '';
  });
const back = ref({ since: '', offBy: '', why: '' });
const backRead = computed(() => {
  const offBy = toResult(() => Math.abs(read(back.value.offBy)));
  return back.value.since && offBy.ok && offBy.value > 0 ? { since: `${back.value.since}T00:00:00.000Z`, offBy: offBy.value } : null;
});
const callBack = (): Promise<void> =>
  send(async () => {
    if (backRead.value) await call('callBackGauge', { params: { id }, body: { id: v7(), ...backRead.value, why: back.value.why } });
  });
function begin(what: typeof doing.value): void {
  problem.value = '';
  doing.value = doing.value === what ? null : what;
}
function done(): void {
  doing.value = null;
  void refetch();
}
const asks = computed(() => gauge.value !== null && asksForCheck(gauge.value, data.value?.checks ?? [], today));
const standing = computed(() => (data.value?.callBacks ?? []).filter((c) => c.until === null));
</script>

<template>
  <main class="screen">
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <template v-if="gauge && data">
      <div class="head">
        <h1>{{ gauge.tag }}</h1>
        <span class="second">{{ gauge.name }}, {{ GAUGE_KIND_NAME[gauge.kind].toLowerCase() }}</span>
        <span class="grow" />
        <v-btn class="act slim" to="/gauges">The rack</v-btn>
      </div>
      <p v-if="standing.length > 0" class="problem gap" role="status">
        Called back: off by up to {{ standing[0]?.offBy }} {{ unit }} since {{ dayText(standing[0]?.since ?? '') }}.
        {{ standing[0]?.why }} Every verdict that leans on it counts the doubt in, until a calibration finds it good.
      </p>
      <dl class="facts">
        <div>
          <dt>Tells apart</dt>
          <dd class="fig big">{{ figure(roundedUp(tellsApart(gauge))) }} {{ unit }}</dd>
          <dd class="second small">over a short span, as in runout or a difference</dd>
        </div>
        <div>
          <dt>Good to</dt>
          <dd class="fig big">±{{ figure(roundedUp(goodTo(gauge))) }} {{ unit }}</dd>
          <dd class="second small">a single reading, anywhere in its range</dd>
        </div>
        <div>
          <dt>Reads to</dt>
          <dd class="fig big">{{ gauge.resolution }} {{ unit }}</dd>
          <dd v-if="gauge.rangeLow !== null" class="second small">from {{ gauge.rangeLow }} to {{ gauge.rangeHigh }} {{ unit }}</dd>
        </div>
        <div>
          <dt>Calibration due</dt>
          <dd class="fig big">{{ gauge.calibrationDue ?? 'never set' }}</dd>
          <dd v-if="gauge.calibrationDue && gauge.calibrationDue < today.slice(0, 10)" class="small">
            <b>overdue</b>
            : verdicts made with it say so
          </dd>
        </div>
      </dl>
      <p v-if="asks" class="gap">
        <b class="plate-font">Look at its setting piece first.</b>
        It asks for it before use, and was not on the piece within the last 12 hours.
      </p>
      <div v-if="may" class="acts gap">
        <v-btn v-if="gauge.settingPiece !== null" class="act" :class="{ main: asks }" @click="begin('check')">On the setting piece</v-btn>
        <v-btn class="act" @click="begin('calibrate')">Enter a calibration</v-btn>
        <v-btn class="act" @click="begin('study')">Repeat study</v-btn>
        <v-btn class="act" @click="begin('change')">Change what it is</v-btn>
        <v-btn v-if="session.may('lead')" class="act" @click="begin('call_back')">Call it back</v-btn>
      </div>
      <GaugeForm v-if="doing === 'change'" :from="gauge" @close="doing = null" @done="done" />
      <form v-if="doing === 'check'" class="plate form" @submit.prevent="check">
        <h2 class="line">On the {{ gauge.settingPiece }} {{ unit }} piece</h2>
        <div class="fields">
          <v-text-field v-model="onPiece" v-focus :label="`It reads (${unit})`" inputmode="decimal" />
          <v-btn class="act main" type="submit" :disabled="busy || onPiece.trim() === ''">Note it</v-btn>
        </div>
      </form>
      <CalibrationForm v-if="doing === 'calibrate'" :gauge-id="id" :unit="unit" :read="read" @done="done" />
      <StudyForm v-if="doing === 'study'" :gauge="gauge" :unit="unit" :read="read" @done="done" />
      <form v-if="doing === 'call_back'" class="plate form" @submit.prevent="callBack">
        <h2 class="line">Call it back</h2>
        <div class="fields">
          <DayField v-model="back.since" label="Off since" />
          <v-text-field v-model="back.offBy" :label="`By up to (${unit})`" inputmode="decimal" />
          <v-text-field v-model="back.why" label="Why" placeholder="dropped; found out at calibration" />
        </div>
        <LeanedList v-if="backRead" :gauge-id="id" :since="backRead.since" :off-by="backRead.offBy" class="gap" />
        <div class="acts">
          <v-btn class="act main" type="submit" :disabled="busy || !backRead || back.why.trim().length < 3">Call it back</v-btn>
        </div>
      </form>
      <p v-if="problem" class="problem gap" role="alert">{{ problem }}</p>
      <section v-for="c in data.callBacks" :key="c.id">
        <h2 class="line">Called back on {{ dayText(c.enteredAt) }}</h2>
        <p>
          {{ c.why }} Off by up to {{ c.offBy }} {{ unit }} since {{ dayText(c.since)
          }}{{ c.until ? `, put right ${dayText(c.until)}` : '' }}.
        </p>
        <LeanedList :gauge-id="id" :since="c.since" :off-by="c.offBy" />
      </section>
      <section v-if="data.checks.length > 0">
        <h2 class="line">On the setting piece</h2>
        <ul>
          <li v-for="c in data.checks.slice(0, 8)" :key="c.id">
            <span class="fig">{{ c.read }} {{ unit }}</span>
            {{ checkVerdict(gauge, c).inside ? 'inside its accuracy' : 'outside its accuracy: set it, or call it back' }}
            <span class="second small">{{ dayText(c.enteredAt) }}</span>
          </li>
        </ul>
      </section>
      <section v-if="data.calibrations.length > 0">
        <h2 class="line">Calibrations</h2>
        <ul>
          <li v-for="c in data.calibrations" :key="c.id">
            {{ dayText(c.on) }}, {{ c.by }}: {{ CALIBRATION_RESULTS.find((r) => r.value === c.result)?.title.toLowerCase()
            }}{{ c.offBy !== null ? `, off by ${c.offBy} ${unit}` : '' }}{{ c.certificate ? `, certificate ${c.certificate}` : '' }}
          </li>
        </ul>
      </section>
      <section v-if="data.studies.length > 0">
        <h2 class="line">Repeat studies</h2>
        <ul>
          <li v-for="s in data.studies" :key="s.id">
            {{ s.place }}: ±
            <span class="fig">{{ Number(s.shortSpan.toPrecision(2)) }} {{ unit }}</span>
            from {{ s.readings.length }} readings
            <span class="second small">{{ dayText(s.enteredAt) }}</span>
          </li>
        </ul>
      </section>
    </template>
  </main>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: var(--space-4);
  margin-top: var(--space-4);
}
dt {
  color: var(--ink2);
}
.big {
  font-size: 24px;
  line-height: 32px;
}
.gap {
  margin-top: var(--space-4);
}
.acts {
  margin-top: var(--space-3);
}
.form {
  padding: var(--space-3) var(--space-4) var(--space-4);
  margin-top: var(--space-4);
}
.form .fields {
  margin-top: var(--space-4);
}
section {
  margin-top: 20px;
}
li {
  padding: 2px 0;
}
</style>
