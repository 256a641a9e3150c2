<script setup lang="ts">
import {
  causesToShow,
  contradictionWords,
  likelyWord,
  type Observation,
  OPTION_NAME,
  observationKey,
  outcomeWords,
  percentText,
  type PlacedCheck,
  type PlacedSign,
  speakingWords,
  type Weighed,
  type WeighedCheck,
} from '@dauer/core';
import { computed, ref } from 'vue';
import { useJob } from '../../app/job.ts';
import { useWeighing } from './useWeighing.ts';

/** What is at fault, as far as it can be told: the causes by how likely they are, and the check worth doing next. */
const job = useJob();
const { weighing } = useWeighing();
const opened = ref<number | null>(null);
const network = computed(() => weighing.value?.given.network ?? null);
const said = computed(() => Object.keys(weighing.value?.given.evidence.observations ?? {}).length);
const causes = computed(() => causesToShow(weighing.value?.result.causes ?? []));
const faultOf = (c: Weighed) => network.value?.faults[c.fault];
const signOf = (id: string): PlacedSign | undefined => network.value?.observations.find((o) => o.id === id);
/** What is usually done about it, where a part is concerned. */
function usual(c: Weighed): string {
  const option = faultOf(c)?.kind.option;
  return option === undefined || option === 'use_again' ? '' : ` Usually: ${OPTION_NAME[option].toLowerCase()}.`;
}
const WORDS = { likely: 'Likely', possible: 'Possible', unlikely: 'Unlikely' } as const;
const speaks = (c: Weighed, way: 1 | -1): string => (weighing.value ? speakingWords(weighing.value.given, c, way) : '');
const next = computed(() =>
  (weighing.value?.result.next ?? []).flatMap((n) => {
    const check = network.value?.checks.find((c) => c.id === n.id);
    return check ? [{ ...n, check }] : [];
  }),
);
/** What of a check is still to be answered. */
const openSigns = (check: PlacedCheck): PlacedSign[] =>
  check.observations.flatMap((id) => {
    const sign = signOf(id);
    return sign && weighing.value?.given.evidence.observations[id] === undefined && sign.sign.known !== 'measured' ? [sign] : [];
  });
const outcomes = (check: WeighedCheck): string[] => (weighing.value ? outcomeWords(weighing.value.given, check) : []);
const odd = computed(() => {
  const now = weighing.value;
  return now ? now.result.odd.slice(0, 1).map((o) => contradictionWords(now.given, o)) : [];
});
const HAZARD = { presses: 'presses the pedal', opens: 'opens the circuit: catch the fluid, cap what stands open', none: '' } as const;
function answer(sign: PlacedSign, state: Observation['state']): void {
  const key = observationKey(sign.sign.code, sign.corner);
  if (job.state?.situation.answers.get(key)?.state !== state) job.add('observations', { code: sign.sign.code, corner: sign.corner, state });
}
</script>

<template>
  <section class="causes" aria-label="What may be at fault">
    <div class="col">
      <h2>What may be at fault</h2>
      <p v-if="weighing?.result.refused" class="problem">{{ weighing.result.refused }}</p>
      <p v-else-if="said === 0" class="second">
        Answer what you felt and saw; what may be at fault stands here, weighed anew with every answer.
      </p>
      <p v-for="o in odd" :key="o" class="problem" role="note">{{ o }}</p>
      <ol v-if="said > 0">
        <li v-for="c in causes" :key="c.fault">
          <button type="button" class="cause" :aria-expanded="opened === c.fault" @click="opened = opened === c.fault ? null : c.fault">
            <span class="name">
              <b class="plate-font">{{ faultOf(c)?.kind.name }}</b>
              <span class="second small">{{ faultOf(c)?.where }}</span>
            </span>
            <svg class="bar" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
              <rect width="100" height="10" class="whole" />
              <rect :width="c.probability * 100" height="10" class="part" />
            </svg>
            <span class="how">
              <b class="plate-font">{{ WORDS[likelyWord(c.probability)] }}</b>
              <span class="fig small">{{ percentText(c.probability) }}</span>
            </span>
          </button>
          <div v-if="opened === c.fault" class="why small">
            <p v-if="speaks(c, 1)">
              <b class="plate-font">For it</b>
              {{ speaks(c, 1) }}
            </p>
            <p v-if="speaks(c, -1)">
              <b class="plate-font">Against it</b>
              {{ speaks(c, -1) }}
            </p>
            <p class="second">
              Before anything was seen {{ percentText(faultOf(c)?.prior ?? 0) }}: {{ faultOf(c)?.kind.reason.toLowerCase() }}.{{ usual(c) }}
            </p>
            <RouterLink v-if="faultOf(c)?.slot" :to="{ path: `/jobs/${job.file?.job.id}/gauge`, query: { pick: faultOf(c)?.slot?.id } }">
              Gauge it
            </RouterLink>
          </div>
        </li>
      </ol>
    </div>
    <div class="col">
      <h2>Worth doing next</h2>
      <p v-if="said > 0 && next.length === 0" class="second">Nothing that can be checked now would tell more.</p>
      <article v-for="(n, i) in next" :key="n.id" class="next" :class="{ first: i === 0 }">
        <div class="title">
          <b class="plate-font">{{ n.check.name }}</b>
          <span class="second small fig">{{ n.check.minutes }} min</span>
          <span v-if="n.check.kind.helpers > 0" class="second small">with a helper</span>
          <span v-if="n.check.kind.tools" class="second small">{{ n.check.kind.tools }}</span>
        </div>
        <p class="small">{{ n.check.kind.steps }}.</p>
        <p v-if="HAZARD[n.check.kind.hazard]" class="second small">It {{ HAZARD[n.check.kind.hazard] }}.</p>
        <div v-for="sign in openSigns(n.check)" :key="sign.id" class="ask">
          <span>{{ sign.sign.text ?? sign.text }}</span>
          <span v-if="job.writable" class="acts">
            <button class="act slim" type="button" :aria-label="`${sign.text}: yes`" @click="answer(sign, 'seen')">Yes</button>
            <button class="act slim" type="button" :aria-label="`${sign.text}: no`" @click="answer(sign, 'not_seen')">No</button>
          </span>
        </div>
        <ul v-if="i === 0" class="small second">
          <li v-for="o in outcomes(n)" :key="o">{{ o }}</li>
        </ul>
      </article>
    </div>
  </section>
</template>

<style scoped>
.causes {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px 32px;
  margin: 8px 0 20px;
}
h2 {
  border-bottom: 1px solid var(--slate);
  padding-bottom: 6px;
}
ol > li {
  border-bottom: 1px solid var(--hair);
}
.cause {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 90px 96px;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 52px;
  padding: 4px 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  font: inherit;
  cursor: pointer;
}
.name,
.how {
  display: grid;
  line-height: 20px;
}
.how {
  text-align: right;
}
.bar {
  width: 90px;
  height: 10px;
}
.whole {
  fill: var(--plate);
  stroke: var(--slate);
}
.part {
  fill: var(--ink);
}
.why {
  padding: 0 0 10px;
  display: grid;
  gap: 4px;
  max-width: 60ch;
}
.next {
  border-bottom: 1px solid var(--hair);
  padding: 8px 0;
}
.next.first {
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 10px 12px;
  margin-top: 8px;
  background: var(--plate);
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.title b {
  font-size: 18px;
}
.ask {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  min-height: 48px;
}
@media (max-width: 1000px) {
  .causes {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
