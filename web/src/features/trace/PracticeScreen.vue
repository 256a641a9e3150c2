<script setup lang="ts">
import { checksText } from '@dauer/core/wording';
import { buildLayout, TEMPLATES } from '@dauer/core/layout';
import type { CauseLook } from '@dauer/core/ledger';
import type { PlacedCheck, PlacedFault } from '@dauer/core/stages';
import {
  askable,
  faultsMeant,
  judgeNamed,
  keepPractised,
  outcomeOf,
  practiceCase,
  practiceNumber,
  type Practised,
  type ProposedPath,
  type ToTrace,
} from '@dauer/core/views';
import { useLocalStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, ref, shallowRef, toRaw, watch } from 'vue';
import { useSums } from '../../workers/useSums.ts';
import { useSession } from '../../app/session.ts';
import CausesPanel from './CausesPanel.vue';
import PracticeResult from './PracticeResult.vue';
import PractisedBefore from './PractisedBefore.vue';
import { useWeighing } from './useWeighing.ts';

/** Practice: a made-up vehicle with hidden faults. Checks are asked for and paid in minutes, then the faults are named. */
const session = useSession();
const templates = TEMPLATES.map((t) => ({ value: t.id, title: t.name }));
const templateName = (id: string): string => templates.find((t) => t.value === id)?.title ?? id;
const template = ref(TEMPLATES[0]?.id ?? '');
const number = ref(1 + Math.floor(Math.random() * 9000));
const NO_LOOKS: ReadonlyMap<string, CauseLook> = new Map();
const layout = computed(() => buildLayout(template.value, 'practice', 'practice', v7));
const made = computed(() => practiceCase(layout.value, number.value));
const known = shallowRef<ToTrace['evidence']['observations']>({});
const done = shallowRef<readonly { readonly check: PlacedCheck; readonly seen: readonly string[] }[]>([]);
const named = ref<ReadonlySet<string>>(new Set());
const finished = ref(false);
const proposed = shallowRef<ProposedPath | null>(null);
const helped = ref(false);
const find = ref('');
function begin(): void {
  known.value = made.value.notice;
  done.value = [];
  named.value = new Set();
  finished.value = false;
  proposed.value = null;
  helped.value = false;
}
function take(n: number): void {
  number.value = n;
  begin();
}
/** The number as it is typed: somebody else’s vehicle, or one to do again. */
const typed = ref('');
watch(number, (n) => (typed.value = String(n)), { immediate: true });
function takeTyped(): void {
  const n = practiceNumber(typed.value);
  if (n !== null && n !== number.value) take(n);
  typed.value = String(number.value);
}
begin();
const minutes = computed(() => done.value.reduce((s, d) => s + d.check.minutes, 0));
const open = computed(() => askable(made.value, known.value));
const shown = computed(() => {
  const words = (find.value ?? '').toLowerCase();
  return open.value.filter((c) => c.name.toLowerCase().includes(words));
});
function ask(check: PlacedCheck): void {
  const more = outcomeOf(made.value, check, known.value);
  done.value = [...done.value, { check, seen: Object.keys(more).filter((id) => more[id] === 'seen') }];
  known.value = { ...known.value, ...more };
}
const textOf = (id: string): string => made.value.network.observations.find((o) => o.id === id)?.text ?? id;
const noticed = computed(() => Object.keys(made.value.notice).filter((id) => made.value.notice[id] === 'seen'));
/** The same weighing as on a job; shown when it is asked for, or at the end. */
const toTrace = computed((): ToTrace => ({
  network: made.value.network,
  evidence: { observations: known.value, certain: {}, learntFrom: {}, found: new Map(), foreign: [], leverless: [], earlier: new Map() },
  checks: open.value,
  complaint: true,
  firstRound: [],
}));
const weighing = useWeighing(toTrace);
function toggle(fault: PlacedFault): void {
  const next = new Set(named.value);
  if (!next.delete(fault.id)) next.add(fault.id);
  named.value = next;
}
const toName = ref('');
const nameable = computed(() => faultsMeant(made.value, toName.value ?? '', named.value));
const faultText = (id: string): string => {
  const f = made.value.network.faults.find((x) => x.id === id);
  return f ? `${f.kind.name}, ${f.where}` : id;
};
const verdict = computed(() => judgeNamed(made.value, named.value));
/** How earlier ones went, on this device, of whoever is signed in. */
const practised = useLocalStorage<Practised[]>(`dauer.practice.${session.person?.id ?? ''}`, []);
const beside = useSums();
async function finish(): Promise<void> {
  finished.value = true;
  const done = made.value;
  const { right, missed, wrong } = verdict.value;
  const mine: Practised = {
    ...{ at: new Date().toISOString(), number: done.number, brakes: templateName(template.value) },
    ...{ right: right.length, missed: missed.length, wrong: wrong.length },
    ...{ minutes: minutes.value, proposedMinutes: null, helped: helped.value },
  };
  practised.value = keepPractised(practised.value, mine);
  const path = await beside.proposedPath(toRaw(done));
  practised.value = keepPractised(practised.value, { ...mine, proposedMinutes: path.minutes });
  if (finished.value && made.value === done) proposed.value = path;
}
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Practice: vehicle {{ number }}</h1>
      <span class="second fig">{{ minutes }} min spent, {{ checksText(done.length) }}</span>
      <span class="grow" />
      <v-btn class="act" @click="take(number + 1)">Another vehicle</v-btn>
    </div>
    <p class="second">
      Nothing here is a vehicle of the shop. The same number gives the same faults; how it went is kept on this device, for you alone.
    </p>
    <div class="pickrow">
      <v-select v-model="template" class="kind" label="Brakes" :items="templates" @update:model-value="begin" />
      <v-text-field v-model="typed" class="number" label="Number" inputmode="numeric" @change="takeTyped" />
    </div>
    <div class="cols">
      <section aria-label="What is known">
        <h2 class="line">The owner says</h2>
        <ul>
          <li v-for="id in noticed" :key="id">{{ textOf(id) }}</li>
        </ul>
        <p class="second small">Of everything else he was asked at the counter he noticed nothing.</p>
        <template v-if="done.length > 0">
          <h2 class="line">Checked</h2>
          <ol>
            <li v-for="(d, i) in done" :key="i">
              <b class="plate-font">{{ d.check.name }}</b>
              <span class="second small fig">{{ d.check.minutes }} min</span>
              {{ d.seen.length === 0 ? 'nothing found' : d.seen.map(textOf).join('; ') }}
            </li>
          </ol>
        </template>
        <h2 class="line">Name what is wrong</h2>
        <v-text-field v-model="toName" label="A fault, or where" :disabled="finished" />
        <ul>
          <li v-for="f in nameable" :key="f.id">
            <button class="link" type="button" @click="toggle(f)">{{ f.kind.name }}, {{ f.where }}</button>
          </li>
        </ul>
        <ul class="named" aria-label="Named">
          <li v-for="id in named" :key="id">
            <b class="plate-font">{{ faultText(id) }}</b>
            <button
              v-if="!finished"
              class="link"
              type="button"
              :aria-label="`Not ${faultText(id)}`"
              @click="named = new Set([...named].filter((x) => x !== id))"
            >
              take it back
            </button>
          </li>
        </ul>
        <v-btn v-if="!finished" class="act main" :disabled="named.size === 0" @click="finish">That is it</v-btn>
        <PracticeResult
          v-else
          :verdict="verdict"
          :minutes="minutes"
          :checks="done.length"
          :helped="helped"
          :proposed="proposed"
          :fault-text="faultText"
          :text-of="textOf"
        />
      </section>
      <section v-if="!finished" aria-label="Checks that can be asked for">
        <h2 class="line">Ask for a check</h2>
        <v-text-field v-model="find" label="Find a check" clearable @click:clear="find = ''" />
        <ul class="checks">
          <li v-for="c in shown" :key="c.id">
            <span>
              {{ c.name }}
              <span class="second small fig">{{ c.minutes }} min{{ c.kind.helpers > 0 ? ', helper' : '' }}</span>
            </span>
            <v-btn class="act slim" :aria-label="`Do: ${c.name}`" @click="ask(c)">Do it</v-btn>
          </li>
        </ul>
      </section>
    </div>
    <button v-if="!helped && !finished" class="link" type="button" @click="helped = true">Show what Dauer makes of it</button>
    <CausesPanel v-if="helped || finished" :now="weighing" :writable="false" :looks="NO_LOOKS" made-up>
      <template #cause="{ faults }">
        <span v-if="!finished" class="acts">
          <v-btn v-for="f in faults" :key="f.id" class="act slim" @click="toggle(f)">
            {{ named.has(f.id) ? 'Take it back' : 'Name it' }}{{ faults.length > 1 ? `: ${f.where}` : '' }}
          </v-btn>
        </span>
      </template>
    </CausesPanel>
    <PractisedBefore v-if="practised.length > 0" :list="practised" />
  </main>
</template>

<style scoped>
.pickrow {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  margin: var(--space-4) 0 var(--space-2);
}
.kind {
  flex: 0 1 420px;
}
.number {
  flex: 0 1 140px;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--space-2) var(--space-6);
}
h2 {
  padding-top: var(--space-2);
}
.checks {
  max-height: 420px;
  overflow-y: auto;
}
.checks li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: var(--space-3);
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: 52px;
}
.named li {
  min-height: var(--touch);
}
@media (max-width: 800px) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
