<script setup lang="ts">
import { againstWords, fightWords } from '@dauer/core/wording';
import { type BoreMaterial, OPTION_NAME, type OptionId, type ReasonCode, WAITS } from '@dauer/core/catalogue';
import { billed, type Estimate, fightOrBuy, type PricedRow, type RowOption, standsAlone } from '@dauer/core/estimate';
import { placeName } from '@dauer/core/layout';
import type { CostTerm } from '@dauer/core/ledger';
import type { Component } from '@dauer/core/judging';
import { alikeTo, type Proposal, sidesDiffer } from '@dauer/core/views';
import { computed, ref, watch } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import CameBack from './CameBack.vue';
import CostTerms from './CostTerms.vue';
import DecisionRow from './DecisionRow.vue';
import OptionPlate from './OptionPlate.vue';
import type { Until } from './until.ts';
import { NO_TIME } from './until.ts';
import WithReason from './WithReason.vue';

/** One row opened: its ways as plates, what else can be done, what it counts, and each place by itself. */
const props = defineProps<{
  priced: PricedRow;
  estimate: Estimate;
  prices: boolean;
  writable: boolean;
  proposals: ReadonlyMap<string, Proposal>;
  refusal: (until: Until) => string | null;
}>();
const emit = defineEmits<{
  decide: [option: RowOption, reason: string, until: Until, metal: BoreMaterial | null];
  one: [component: Component, option: OptionId, reason: string, until: Until, metal: BoreMaterial | null, code: ReasonCode | null];
  alike: [component: Component, places: readonly Component[]];
}>();
const job = useOpenJob();
const { run, busy, problem } = useRequest();
const row = computed(() => props.priced.row);
const currency = computed(() => props.estimate.book.rates?.currency ?? null);
/** What most jobs come down to stands as plates; the rest in a line below. */
const ASIDE: readonly OptionId[] = [...WAITS, 'used', 'convert', 'take_off'];
const plates = computed(() => props.priced.options.filter((o) => !ASIDE.includes(o.option)));
const others = computed(() => props.priced.options.filter((o) => ASIDE.includes(o.option) && o.ruledOut === null));
const all = computed(() => [...row.value.members, ...row.value.inside]);
const wanted = ref<OptionId | null>(null);
watch(
  () => row.value.id,
  () => (wanted.value = null),
);
const chosen = computed(() => {
  const isSo = (o: RowOption): boolean =>
    row.value.members.every((m) => o.plan.find((d) => d.component.slot.id === m.slot.id)?.option === m.decision?.option);
  return props.priced.options.find(isSo)?.option ?? null;
});
const inHand = computed(() => props.priced.options.find((o) => o.option === wanted.value) ?? null);
const counted = computed(
  () => props.priced.options.find((o) => o.option === (wanted.value ?? chosen.value)) ?? plates.value.find((o) => o.ruledOut === null),
);
const variantsOf = (o: RowOption): string[] =>
  props.estimate.variants.filter((v) => v.picks.get(row.value.id)?.option === o.option).map((v) => v.name);
const alone = (o: RowOption): number | null => {
  const sum = standsAlone(job.history, props.estimate.book, o);
  return sum > billed(o.cost) ? sum : null;
};
const fight = computed(() => fightOrBuy(job.history, props.estimate.book, row.value, props.priced.options));
function choose(o: RowOption): void {
  if (o.ruledOut !== null || !props.writable) return;
  if (WAITS.includes(o.option) || o.option === 'hone' || o.departs !== null) wanted.value = o.option;
  else emit('decide', o, '', NO_TIME, null);
}
function withWords(reason: string, until: Until, metal: BoreMaterial | null): void {
  if (inHand.value) emit('decide', inHand.value, reason, until, metal);
  wanted.value = null;
}
/** A digit takes the way that carries it. */
function press(digit: number): void {
  const o = plates.value[digit - 1];
  if (o) choose(o);
}
defineExpose({ press });
async function enter(term: CostTerm, amount: number | null, minutes: number | null, reason: string): Promise<void> {
  const [first] = row.value.members;
  const option = counted.value?.option;
  if (!first || !option) return;
  await run(async () => {
    const base = { id: v7(), happenedAt: timeNow().at, device: 'desk' };
    const params = { jobId: job.records.job.id };
    await call('recordCostEntry', { params, body: { ...base, slotId: first.slot.id, option, term, amount, minutes, reason } });
    await job.refresh();
  });
}
const people = computed(() => job.records.people);
const against = computed(() => all.value.flatMap((c) => againstWords(people.value, c) ?? []));
const said = computed(() =>
  all.value.flatMap((c) => {
    const p = props.proposals.get(c.slot.id);
    return p && c.decision?.option !== p.option ? [{ c, p }] : [];
  }),
);
const differs = (c: Component): string | null => sidesDiffer(job.records.layout, job.state.components, c);
const apart = computed(() => all.value.length > 1 && row.value.members.some((c) => differs(c) !== null || c.against.length > 0));
/** What stands open stays so under the hand: it opens by itself where places differ, and never shuts by itself. */
const byItself = ref(apart.value);
watch(apart, (now) => {
  if (now) byItself.value = true;
});
function heldOpen(event: Event): void {
  byItself.value = (event.target as HTMLDetailsElement).open;
}
const CONVERTING = [
  'Cylinder bore and push-rod length',
  'Residual valve in or out',
  'Proportioning',
  'Hose length and ends',
  'Brackets',
  'Wheel and steering clearance',
  'Metal removed, and where',
  'Parking brake',
  'Balance and travel, before and after',
];
</script>

<template>
  <div class="opened">
    <div class="ways" role="group" :aria-label="`What is done with the ${row.name.toLowerCase()}`">
      <OptionPlate
        v-for="(o, i) in plates"
        :key="o.option"
        :option="o"
        :digit="i + 1"
        :chosen="chosen === o.option"
        :writable="writable"
        :prices="prices"
        :currency="currency"
        :variants="prices ? variantsOf(o) : []"
        :alone="alone(o)"
        @choose="choose(o)"
        @look="job.picked = o.because"
      />
    </div>
    <p
      v-if="writable && others.length > 0"
      class="otherwise small"
      role="group"
      :aria-label="`Otherwise with the ${row.name.toLowerCase()}`"
    >
      <span class="second">Otherwise:</span>
      <v-btn v-for="o in others" :key="o.option" class="act slim quiet" :aria-pressed="chosen === o.option" @click="choose(o)">
        {{ o.name }}
      </v-btn>
    </p>
    <WithReason
      v-if="writable && inHand"
      :key="inHand.option"
      :row="row"
      :option="inHand.option"
      :departs="inHand.departs"
      :distance-unit="job.records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km'"
      :refusal="refusal"
      @decide="withWords"
      @leave="wanted = null"
    />
    <div v-if="chosen === 'convert'" class="small list">
      <b>What a conversion asks, with the approval rules of the place:</b>
      <ul>
        <li v-for="c in CONVERTING" :key="c">{{ c }}</li>
      </ul>
      <p class="second">It is done when the layout is revised under Book in, as a conversion.</p>
    </div>
    <p v-if="chosen === 'take_off'" class="small second">It is done when the layout has the place no more: revised under Book in.</p>
    <CameBack v-for="c in all" :key="c.slot.id" :slot-id="c.slot.id" :writable="writable" />
    <p v-if="prices && fight" class="small">
      <b>Fight or buy:</b>
      {{ fightWords(fight, currency) }}
    </p>
    <p v-for="a in against" :key="a" class="small" role="alert">
      <b>Two decisions:</b>
      {{ a }}
    </p>
    <p v-for="{ c, p } in said" :key="c.slot.id" class="small">
      <b>Trace:</b>
      {{ all.length > 1 ? `${placeName(c.slot)}: ` : '' }}{{ p.because }}
      <button
        v-if="writable"
        class="link"
        type="button"
        :aria-label="`Decide so: ${placeName(c.slot)}, ${OPTION_NAME[p.option]}`"
        @click="emit('one', c, p.option, '', NO_TIME, null, null)"
      >
        Decide so
      </button>
    </p>
    <details v-if="prices && counted" class="counts">
      <summary>What it counts: {{ counted.name.toLowerCase() }}</summary>
      <CostTerms :option="counted" :currency="currency" :writable="writable" :busy="busy" :problem="problem" @enter="enter" />
    </details>
    <details class="counts" :open="byItself" @toggle="heldOpen">
      <summary>Each by itself, and why</summary>
      <DecisionRow
        v-for="c in all"
        :key="c.slot.id"
        :component="c"
        :writable="writable"
        :warning="differs(c)"
        :proposal="null"
        :picked="true"
        :alike="alikeTo(job.history, all, c)"
        :distance-unit="job.records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km'"
        :people="people"
        :refusal="refusal"
        @pick="job.picked = c.slot.id"
        @alike="(places) => emit('alike', c, places)"
        @decide="(o, r, until, metal, code) => emit('one', c, o, r, until, metal, code)"
      />
    </details>
  </div>
</template>

<style scoped>
.opened {
  background: var(--plate);
  border-bottom: var(--line-hair) solid var(--slate);
  padding: var(--space-1) var(--space-3) var(--space-3);
}
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(188px, 1fr));
  gap: var(--space-3);
}
.otherwise {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2);
  padding-top: var(--space-3);
}
.opened > p,
.list {
  padding-top: var(--space-2);
}
.list ul {
  columns: 2;
}
.counts {
  padding-top: var(--space-2);
}
.counts summary {
  cursor: pointer;
  color: var(--blue);
  min-height: var(--touch);
  align-content: center;
}
.opened :deep(.picked) {
  background: none;
}
</style>
