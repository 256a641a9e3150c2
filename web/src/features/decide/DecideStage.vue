<script setup lang="ts">
import { ACCOUNT, REASON, THING_NAME } from '@dauer/core/wording';
import { OPTION_NAME, type BoreMaterial, type OptionId, type ReasonCode } from '@dauer/core/catalogue';
import {
  accountOf,
  authorisedNow,
  crossing,
  estimateOf,
  needsOf,
  type PricedRow,
  reasonCodeFor,
  type RowOption,
  type VariantId,
} from '@dauer/core/estimate';
import { workBegun } from '@dauer/core/history';
import type { Component } from '@dauer/core/judging';
import { CORNER_NAME } from '@dauer/core/layout';
import { optionsOf } from '@dauer/core/readiness';
import { orderStates } from '@dauer/core/supply';
import { intakeRows, putOffRefusal } from '@dauer/core/stages';
import { proposalsOf } from '@dauer/core/views';
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useSession } from '../../app/session.ts';
import { dayHere } from '../../fittings/dates.ts';
import { plainSum, sumText } from '../../fittings/money.ts';
import { useOpenJob } from '../../job/openJob.ts';
import OwnerPanel from './OwnerPanel.vue';
import OrdersPanel from './orders/OrdersPanel.vue';
import ResultBar from './ResultBar.vue';
import RowLine from './RowLine.vue';
import RowOpen from './RowOpen.vue';
import type { SumMark } from './sumScale.ts';
import SumRule from './SumRule.vue';
import { NO_TIME, type Until } from './until.ts';
import { useDigits } from '../../app/useDigits.ts';
import WishesBefore from './WishesBefore.vue';

/** What is done with what, and what it comes to: whole groups in rows, the three variants beside them, the owner’s answer. */
const job = useOpenJob();
const session = useSession();
const writable = computed(() => job.writable);
/** Readers are sent no prices, and shown none. */
const prices = computed(() => session.may('technician'));
const estimate = computed(() => estimateOf(job.history, job.state.components));
const currency = computed(() => estimate.value.book.rates?.currency ?? session.shop.currency);
const rows = computed(() => estimate.value.rows);
const owed = computed(
  () => new Set(job.state.obligations.flatMap((o) => (o.stage === 'decide' && o.state === 'open' && o.slotId !== null ? [o.slotId] : []))),
);
const asks = (r: PricedRow): boolean =>
  [...r.row.members, ...r.row.inside].some((c) => owed.value.has(c.slot.id)) || (r.decided === null && !isRenewedWhole(r));
const isRenewedWhole = (r: PricedRow): boolean =>
  r.row.members.every((m) => m.decision !== null) && r.row.inside.every((c) => !owed.value.has(c.slot.id));
const open = computed(() => rows.value.filter(asks));
const places = computed(() => rows.value.flatMap((r) => [...r.row.members, ...r.row.inside]));
const sound = computed(() =>
  places.value.filter((c) => (c.decision === null || owed.value.has(c.slot.id)) && (c.verdict === 'holds' || c.verdict === 'watch')),
);

const opened = ref<string | null>(null);
const shown = ref<InstanceType<typeof RowOpen>[]>([]);
/** The sheet for the owner has an address of its own. */
const route = useRoute();
const showsSheet = ref(route.query['sheet'] !== undefined);
/** So have the orders of the job. */
const showsOrders = ref(route.query['orders'] !== undefined);
function toggle(r: PricedRow): void {
  opened.value = opened.value === r.row.id ? null : r.row.id;
  if (opened.value !== null) job.picked = r.row.members[0]?.slot.id ?? null;
}
watch(
  () => job.picked,
  (id) => {
    const row = id === null ? undefined : rows.value.find((r) => [...r.row.members, ...r.row.inside].some((c) => c.slot.id === id));
    if (row) opened.value = row.row.id;
  },
  { immediate: true },
);

function decideOne(
  c: Component,
  option: OptionId,
  reason: string,
  until: Until,
  metal: BoreMaterial | null,
  said: ReasonCode | null = null,
): void {
  const row = rows.value.find((r) => [...r.row.members, ...r.row.inside].includes(c))?.row;
  const code = said ?? (row ? reasonCodeFor(row, c, option) : null);
  job.add('decisions', { slotId: c.slot.id, partId: c.part?.id ?? null, option, reason, ...until, code, metal });
}
function decideRow(r: PricedRow, o: RowOption, reason: string, until: Until = NO_TIME, metal: BoreMaterial | null = null): void {
  job.together(`${r.row.name}: ${o.name}`, () => {
    for (const { component, option } of o.plan)
      if (component.decision?.option !== option || reason !== '' || component.against.length > 0 || owed.value.has(component.slot.id))
        decideOne(component, option, reason, until, option === 'hone' ? metal : null);
  });
}
function sameFor(c: Component, others: readonly Component[]): void {
  const d = c.decision;
  if (!d) return;
  const until = { reviewOn: d.reviewOn, untilKm: d.untilKm, access: d.access };
  job.together(`${OPTION_NAME[d.option]}: ${others.length} parts`, () =>
    others.forEach((x) => decideOne(x, d.option, d.reason, until, null)),
  );
}
function useAllThatHold(): void {
  const sure = sound.value.filter((c) => optionsOf(job.history, c).find((o) => o.id === 'use_again')?.ruledOut === null);
  job.together(`${OPTION_NAME.use_again}: ${sure.length} parts`, () => sure.forEach((c) => decideOne(c, 'use_again', '', NO_TIME, null)));
}
/** The whole job one way; what was worked on already stays as it was decided. */
function takeVariant(id: VariantId): void {
  const v = estimate.value.variants.find((x) => x.id === id);
  if (!v || !writable.value) return;
  job.together(v.name, () => {
    for (const r of rows.value) {
      const o = v.picks.get(r.row.id);
      if (o && !r.row.members.some((m) => workBegun(job.history, m.slot.id))) decideRow(r, o, '');
    }
  });
}
/** What the owner chose, as it stood on his sheet. */
function takeChoice(plan: readonly { slotId: string; option: OptionId }[]): void {
  job.together('The owner’s choice', () => {
    for (const { slotId, option } of plan) {
      const c = places.value.find((x) => x.slot.id === slotId);
      if (c && c.decision?.option !== option)
        job.add('decisions', {
          slotId,
          partId: c.part?.id ?? null,
          option,
          reason: 'The owner’s choice',
          ...NO_TIME,
          code: 'owner',
          metal: null,
        });
    }
  });
  showsSheet.value = false;
}
/** Why nothing is put off until then: it lies behind, by the shop's calendar or the vehicle's counter. */
const refusal = (until: Until): string | null =>
  putOffRefusal(until, job.state.history.active(job.state.records.counters), new Date().toISOString(), dayHere());

const authorised = computed(() => authorisedNow(job.history));
const account = computed(() => accountOf(job.history, estimate.value));
const offer = computed(() => job.records.offers.at(-1) ?? null);
/** The variant that it is as decided. */
const isVariant = computed(() => {
  const decided = rows.value.filter((r) => r.decided !== null);
  const v = estimate.value.variants.find(
    (x) => decided.length === rows.value.length && decided.every((r) => x.picks.get(r.row.id)?.option === r.decided?.option),
  );
  return v ?? null;
});
const marks = computed<SumMark[]>(() => [
  ...estimate.value.variants
    .filter((v) => v.says === null || !v.says.startsWith('The same'))
    .map((v) => ({
      id: v.id,
      name: v.name,
      gross: v.gross,
      says: v.days <= 1 ? 'in a day' : `in ${v.days} days`,
      filled: isVariant.value?.id === v.id,
    })),
  ...(isVariant.value === null && rows.value.some((r) => r.decided !== null)
    ? [{ id: 'now', name: 'As decided', gross: estimate.value.now.gross, says: '', filled: true }]
    : []),
]);
const says = computed(() => {
  const list: string[] = [];
  const over = crossing(job.history, job.state.components);
  if (over && over.by > 0) list.push(REASON.overAuthorised(over));
  else if (over) list.push(`As decided, ${sumText(-over.by, currency.value)} are left under the authorised sum.`);
  if (account.value.actual > 0) list.push(ACCOUNT.soFar(account.value, currency.value));
  for (const v of estimate.value.variants) {
    if (v.says) list.push(`${v.name}: ${v.says.charAt(0).toLowerCase()}${v.says.slice(1)}`);
    if (v.gap > 0) list.push(`${v.name} may be up to ${plainSum(v.gap, currency.value)} dearer than need be.`);
  }
  if (estimate.value.stuck.length > 0)
    list.push(
      `No variant counts ${estimate.value.stuck.map((r) => r.name.toLowerCase()).join(', ')}: nothing can be done there without a word of somebody.`,
    );
  const missing = new Set(estimate.value.variants.flatMap((v) => v.missing));
  if (missing.size > 0)
    list.push(
      `Without a price: ${[...missing].slice(0, 4).join(', ').toLowerCase()}${missing.size > 4 ? ` and ${missing.size - 4} more` : ''}.`,
    );
  return list;
});
/** The costly order is the second one: what nobody has looked at yet. */
const unlooked = computed(() => {
  const s = job.state;
  if (s.released || s.records.job.kind === 'fluid' || s.records.job.kind === 'inspection') return '';
  const looks = intakeRows(s.records.layout, s.history.active(s.records.intakeLooks)).filter((r) => r.look === null);
  const corners = [...new Set(looks.map((r) => r.corner))];
  const things = (c: (typeof corners)[number]): string =>
    looks
      .filter((r) => r.corner === c)
      .map((r) => THING_NAME[r.thing].toLowerCase())
      .join(', ');
  return corners.map((c) => `${c ? CORNER_NAME[c] : 'The middle'}: ${things(c)}`).join('. ');
});
/** How many things are to be ordered, to be looked at or to be sent back: said where the orders are opened. */
const toOrder = computed(() => {
  const states = orderStates(job.history);
  const missing = needsOf(job.history, estimate.value).filter((n) => n.missing > 0).length;
  return missing + states.filter((s) => s.toCheck > 0 || s.toReturn > 0).length;
});
const proposals = computed(() => proposalsOf(job.state));
/** What a cause proposes for a place of a row that is not decided so. */
function proposalOf(r: PricedRow): string | null {
  for (const c of [...r.row.members, ...r.row.inside]) {
    const proposal = proposals.value.get(c.slot.id);
    if (proposal && c.decision?.option !== proposal.option) return proposal.because;
  }
  return null;
}

/** A digit takes a way of the row that is open, else a variant. */
useDigits(press);
function press(digit: number): void {
  if (!writable.value || showsSheet.value || showsOrders.value) return;
  const variant = estimate.value.variants[digit - 1];
  if (opened.value !== null) shown.value[0]?.press(digit);
  else if (variant && prices.value) takeVariant(variant.id);
}
function walk(event: KeyboardEvent): void {
  const lines = [...document.querySelectorAll<HTMLElement>('[data-row]')];
  const at = lines.findIndex((l) => l === document.activeElement);
  const to = event.key === 'ArrowDown' ? lines[at + 1] : event.key === 'ArrowUp' ? lines[at - 1] : undefined;
  if (at >= 0 && to) {
    event.preventDefault();
    to.focus();
  }
}
async function backToRows(): Promise<void> {
  showsSheet.value = false;
  showsOrders.value = false;
  await nextTick();
  document.querySelector<HTMLElement>('[data-result] .main')?.focus();
}
</script>

<template>
  <div class="head">
    <h1>{{ prices ? 'What is done, and what it costs' : 'What is done with each part' }}</h1>
    <span class="second">{{ open.length === 0 ? 'all decided' : `${open.length} to decide` }}</span>
    <span class="grow" />
    <v-btn v-if="writable && sound.length > 0 && !showsSheet && !showsOrders" class="act slim" @click="useAllThatHold">
      Use again what holds ({{ sound.length }})
    </v-btn>
  </div>
  <div class="body" :class="{ barred: prices && rows.length > 0 }">
    <p v-if="rows.length === 0" class="second empty">Nothing has to be decided in a job of this kind.</p>
    <template v-else>
      <template v-if="prices && !showsOrders">
        <SumRule :marks="marks" :authorised="authorised.sum" :taken="account.actual" :currency="currency" />
        <p v-for="s in says" :key="s" class="small">{{ s }}</p>
      </template>
      <WishesBefore />
      <details v-if="unlooked && !showsSheet && !showsOrders" class="unlooked">
        <summary>Before anything is ordered: not everything was looked at at intake</summary>
        <p class="second small">{{ unlooked }}.</p>
      </details>
      <OrdersPanel v-if="showsOrders" :estimate="estimate" :currency="currency" :writable="writable" @back="backToRows" />
      <OwnerPanel v-else-if="showsSheet" :estimate="estimate" :writable="writable" @back="backToRows" @chosen="takeChoice" />
      <div v-else class="rows" @keydown="walk">
        <template v-for="r in rows" :key="r.row.id">
          <RowLine
            :priced="r"
            :open="opened === r.row.id"
            :prices="prices"
            :currency="currency"
            :asks="asks(r)"
            :proposal="proposalOf(r)"
            @toggle="toggle(r)"
          />
          <RowOpen
            v-if="opened === r.row.id"
            ref="shown"
            :priced="r"
            :estimate="estimate"
            :prices="prices"
            :writable="writable"
            :proposals="proposals"
            :refusal="refusal"
            @decide="(o, reason, until, metal) => decideRow(r, o, reason, until, metal)"
            @one="decideOne"
            @alike="sameFor"
          />
        </template>
      </div>
    </template>
  </div>
  <ResultBar
    v-if="prices && rows.length > 0 && !showsSheet && !showsOrders"
    :estimate="estimate"
    :currency="currency"
    :offer="offer"
    :choice="authorised.choice"
    :variant="isVariant?.name ?? null"
    :open="open.length"
    :writable="writable"
    :to-order="toOrder"
    @variant="takeVariant"
    @sheet="showsSheet = true"
    @orders="showsOrders = true"
  />
</template>

<style scoped>
.unlooked {
  margin: var(--space-2) 0;
}
.unlooked summary {
  cursor: pointer;
  color: var(--blue);
  min-height: 28px;
}
.rows {
  border-top: var(--line-hair) solid var(--slate);
  margin-top: var(--space-3);
}
.barred {
  padding-bottom: 112px;
}
.empty {
  margin: var(--space-4) 0;
}
</style>
