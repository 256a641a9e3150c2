<script setup lang="ts">
import { fixed } from '@dauer/core/quantity';
import { type Estimate, estimatesWorth, percentText, recordOf, SUPPLIED_WEIGHT } from '@dauer/core/views';
import { useQuery } from '@pinia/colada';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import CalibrationChart from './CalibrationChart.vue';

/** How well tracing did: what had been said, what the benches found, and what that makes of the odds. */
const session = useSession();
const { data, error, refetch } = useQuery({ key: ['tracing'], query: () => call('tracingRecord') });
void refetch();
const record = computed(() => recordOf(data.value?.cases ?? []));
/** What is taken over now, by fault. */
const taken = computed(() => new Map((data.value?.priors ?? []).map((p) => [p.fault, p])));
const inUse = computed(() => new Map([...taken.value].map(([fault, p]) => [fault, p.times])));
const estimates = computed(() => estimatesWorth(record.value.estimates, inUse.value));
const leftOut = ref<ReadonlySet<string>>(new Set());
const chosen = computed(() => estimates.value.filter((e) => !leftOut.value.has(e.fault)));
function choose(e: Estimate): void {
  const next = new Set(leftOut.value);
  if (!next.delete(e.fault)) next.add(e.fault);
  leftOut.value = next;
}
const share = (n: number, of: number): string => (of === 0 ? '–' : `${n} of ${of}`);
const { run, busy, problem } = useRequest();
async function takeOver(list: readonly { fault: string; times: number; lookedAt: number; found: number }[]): Promise<void> {
  await run(async () => {
    await call('takeOverPriors', {
      body: { priors: list.map(({ fault, times, lookedAt, found }) => ({ id: v7(), fault, times, lookedAt, found })) },
    });
    await refetch();
  });
}
const back = computed(() => [...taken.value.values()].filter((p) => p.times !== 1));
const by = (p: number): string => `${fixed(p * 100, 1)} %`;
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>How well tracing did</h1>
      <span class="second">{{ record.cases === 1 ? 'one vehicle' : `${record.cases} vehicles` }} gone through to the end</span>
    </div>
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <p v-if="data && record.cases === 0" class="second">
      A job counts once its bench has said what was found, and that nothing else was: at Trace, under “Expected and found”.
    </p>
    <template v-if="record.cases > 0">
      <div class="figures">
        <p>
          <b class="big fig">{{ share(record.first, record.found) }}</b>
          <span>the fault that was found had been said first</span>
        </p>
        <p>
          <b class="big fig">{{ share(record.firstThree, record.found) }}</b>
          <span>it had been among the first three</span>
        </p>
      </div>
      <section aria-label="Said and come true">
        <h2 class="line">What was said, and what came true</h2>
        <CalibrationChart :tenths="record.tenths" />
      </section>
      <section aria-label="The odds">
        <h2 class="line">What the shop’s cases make of the odds</h2>
        <p class="second">
          The supplied figures weigh as much as {{ SUPPLIED_WEIGHT }} places looked at; the shop’s own are added to them. Nothing changes
          until a lead takes it over.
        </p>
        <p v-if="estimates.length === 0" class="second">Nothing in them differs enough from the supplied figures to be worth a change.</p>
        <div v-else class="scroll">
          <table>
            <thead>
              <tr>
                <td v-if="session.may('lead')" />
                <th scope="col">Fault</th>
                <th scope="col" class="right">Found</th>
                <th scope="col" class="right">Supplied</th>
                <th scope="col" class="right">With your cases</th>
                <th scope="col" class="right">In use</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="e in estimates" :key="e.fault">
                <td v-if="session.may('lead')">
                  <label class="tick">
                    <input
                      :id="`take-${e.fault}`"
                      type="checkbox"
                      :checked="!leftOut.has(e.fault)"
                      :aria-label="`Take over ${e.name}`"
                      @change="choose(e)"
                    />
                  </label>
                </td>
                <td>{{ e.name }}</td>
                <td class="right fig">{{ e.found }} of {{ e.lookedAt }}</td>
                <td class="right fig">{{ by(e.supplied) }}</td>
                <td class="right fig">{{ by(e.own) }}</td>
                <td class="right">
                  {{ (inUse.get(e.fault) ?? 1) === 1 ? 'supplied' : `× ${fixed(inUse.get(e.fault) ?? 1, 2)}` }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <div v-if="session.may('lead')" class="acts">
          <v-btn v-if="estimates.length > 0" class="act main" :disabled="busy || chosen.length === 0" @click="takeOver(chosen)">
            Take over {{ chosen.length === 1 ? 'one' : chosen.length }}
          </v-btn>
          <v-btn v-if="back.length > 0" class="act" :disabled="busy" @click="takeOver(back.map((p) => ({ ...p, times: 1 })))">
            Back to the supplied figures
          </v-btn>
        </div>
      </section>
      <section aria-label="The vehicles">
        <h2 class="line">Vehicle by vehicle</h2>
        <ul>
          <li v-for="c in data?.cases ?? []" :key="c.jobId">
            <RouterLink class="go" :to="`/jobs/${c.jobId}/trace`">{{ c.tag }} {{ c.vehicle }}</RouterLink>
            <span class="second small">{{ dayText(c.at) }}</span>
            <span v-for="(x, i) in c.causes.filter((y) => y.found)" :key="i" class="found">
              {{ x.name }}, {{ x.where }}{{ x.rank === null ? '' : ` (said ${percentText(x.said ?? 0)}, no. ${x.rank})` }}
            </span>
            <span v-if="!c.causes.some((x) => x.found)">nothing found</span>
          </li>
        </ul>
      </section>
    </template>
    <p class="gap"><RouterLink class="go" to="/practice">Practice on a made-up vehicle</RouterLink></p>
  </main>
</template>

<style scoped>
.figures {
  margin-top: var(--space-3);
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-7);
}
.figures p {
  display: grid;
}
.big {
  font-size: 34px;
  line-height: 42px;
}
h2 {
  padding-top: var(--space-4);
}
.right {
  text-align: right;
}
td,
th {
  padding: var(--space-2) var(--space-4) var(--space-2) 0;
}
li {
  border-bottom: var(--line-hair) solid var(--hair);
  padding: 10px 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
}
.gap {
  margin-top: var(--space-5);
}
.acts {
  margin-top: var(--space-3);
}
</style>
