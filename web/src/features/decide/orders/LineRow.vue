<script setup lang="ts">
import type { LineState } from '@dauer/core/supply';
import { lineWords, ORDER_STEP_NAME, ARRIVAL_NAME } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { majorOf, moneyText, parseMinor, toResult, upperFirst } from '@dauer/core/quantity';
import DayField from '../../../fittings/DayField.vue';
import { dayHere, dayText } from '../../../fittings/dates.ts';
import { sumText } from '../../../fittings/money.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import type { Orders } from './useOrders.ts';

/** One order line: where it stands, and what can happen to it next. */
const props = defineProps<{
  state: LineState;
  orders: Orders;
  currency: string | null;
  writable: boolean;
  /** Nothing decided needs it any more. */
  stranded: boolean;
  /** Its check is open below. */
  checking: boolean;
}>();
const emit = defineEmits<{ check: [] }>();
const job = useOpenJob();
type Ask = 'promised' | 'chased' | 'arrived' | 'cancelled' | 'returned' | 'credited' | 'core_sent' | 'core_credited' | 'core_kept';
const asking = ref<Ask | null>(null);
const day = ref('');
const count = ref('1');
const amount = ref('');
const note = ref('');
const today = dayHere();
const s = computed(() => props.state);
/** What can be told of it now. */
const can = computed<Ask[]>(() => {
  const list: Ask[] = [];
  if (s.value.coming > 0) list.push('arrived', 'promised', 'chased', 'cancelled');
  if (s.value.toReturn > 0) list.push('returned');
  if (s.value.creditWaits) list.push('credited');
  if (s.value.core === 'here') list.push('core_sent', 'core_kept');
  if (s.value.coresOut > 0) list.push('core_credited', 'chased');
  return [...new Set(list)];
});
const most = computed(() => {
  switch (asking.value) {
    case 'arrived':
    case 'cancelled':
      return s.value.coming;
    case 'returned':
      return s.value.toReturn;
    case 'credited':
      return s.value.returned;
    case 'core_sent':
    case 'core_kept':
      return s.value.coresHere;
    case 'core_credited':
      return s.value.coresOut;
    default:
      return 1;
  }
});
const WORD: Readonly<Record<Ask, string>> = {
  ...{ promised: 'Another day', chased: 'Chased', arrived: 'Arrived', cancelled: 'Cancel', returned: 'Sent back', credited: 'Credited' },
  ...{ core_sent: 'Old unit sent', core_credited: 'Core credited', core_kept: 'Old unit kept' },
};
const asksDay = computed(() => asking.value === 'promised' || (asking.value === 'arrived' && (s.value.line.core ?? 0) > 0));
const asksMoney = computed(() => asking.value === 'credited' || asking.value === 'core_credited');
const asksNote = computed(() => asking.value === 'chased' || asking.value === 'cancelled' || asking.value === 'core_kept');
function begin(ask: Ask): void {
  asking.value = ask;
  day.value = ask === 'promised' ? (s.value.expected ?? '') : '';
  count.value = String(most.value);
  const each = ask === 'core_credited' ? s.value.line.core : s.value.line.price;
  amount.value = asksMoney.value && each !== null ? moneyText(majorOf(each * most.value, props.currency), null) : '';
  note.value = '';
}
const wrong = computed(() => {
  if (!/^\d{1,3}$/.test(count.value) || Number(count.value) < 1) return 'Type how many, like 2.';
  if (asksMoney.value && amount.value.trim() !== '') {
    const read = toResult(() => parseMinor(amount.value, props.currency));
    return read.ok ? '' : read.refusal.message;
  }
  return '';
});
async function tell(): Promise<void> {
  const kind = asking.value;
  if (kind === null || wrong.value !== '') return;
  const sum = asksMoney.value && amount.value.trim() !== '' ? parseMinor(amount.value, props.currency) : null;
  await props.orders.step(s.value, kind, { count: Number(count.value), day: day.value || null, amount: sum, note: note.value.trim() });
  if (props.orders.problem.value === '') asking.value = null;
}
/** What waits for it at its places: the steps that a late one holds. */
const holds = computed(() =>
  s.value.coming + s.value.toCheck === 0
    ? []
    : job.state.obligations.flatMap((o) =>
        o.stage === 'rebuild' &&
        (o.state === 'waiting' || o.state === 'open') &&
        o.slotId !== null &&
        s.value.line.places.includes(o.slotId)
          ? [o.what]
          : [],
      ),
);
const past = computed(() =>
  s.value.steps.map((x) => ({
    id: x.id,
    text: [
      `${upperFirst(ORDER_STEP_NAME[x.kind])}${x.count > 1 ? ` ${x.count}` : ''}${x.result ? `: ${ARRIVAL_NAME[x.result].toLowerCase()}` : ''}`,
      x.day ? `for ${dayText(x.day)}` : '',
      x.amount !== null ? sumText(x.amount, props.currency) : '',
      x.note,
    ]
      .filter(Boolean)
      .join(', '),
    by: `${job.by(x)}, ${dayText(x.happenedAt)}`,
  })),
);
</script>

<template>
  <li class="row" :data-line="state.line.id">
    <div class="what">
      <span class="fig count">{{ state.line.count }}</span>
      <b>{{ state.line.name }}</b>
      <span v-if="state.line.partNumber" class="second fig small">{{ state.line.partNumber }}</span>
      <span class="second small">{{ state.line.shopsOwn ? 'the shop’s own' : orders.placesText(state.line.places) }}</span>
    </div>
    <div class="stands">
      <span :class="{ late: state.coming > 0 && state.expected !== null && state.expected < today }">{{ lineWords(state, today) }}</span>
      <span class="second small">{{ state.line.supplier }}{{ state.dues[0] ? `; due by ${dayText(state.dues[0].on)}` : '' }}</span>
    </div>
    <div v-if="writable" class="acts">
      <v-btn v-if="state.toCheck > 0 && !checking" class="act slim" @click="emit('check')">Hold it against the old one</v-btn>
      <v-btn
        v-for="c in can"
        :key="c"
        class="act slim"
        :aria-label="`${WORD[c]}: ${state.line.name}`"
        :aria-expanded="asking === c"
        @click="asking === c ? (asking = null) : begin(c)"
      >
        {{ WORD[c] }}
      </v-btn>
    </div>
    <p v-if="holds.length > 0" class="wide second small">
      Holds: {{ holds.slice(0, 4).join('; ').toLowerCase() }}{{ holds.length > 4 ? ` and ${holds.length - 4} more` : '' }}
    </p>
    <p v-if="stranded" class="wide small">Nothing decided needs it any more. It may be cancelled, or goes back.</p>
    <form v-if="asking" class="wide ask" @submit.prevent="tell">
      <v-text-field
        v-if="most > 1 && asking !== 'promised' && asking !== 'chased'"
        v-model="count"
        v-focus
        label="How many"
        inputmode="numeric"
      />
      <DayField v-if="asksDay" v-model="day" ahead :label="asking === 'promised' ? 'Promised for' : 'Old unit back by'" />
      <v-text-field v-if="asksMoney" v-model="amount" label="Credited, net" inputmode="decimal" />
      <v-text-field v-if="asksNote" v-model="note" v-focus :label="asking === 'chased' ? 'What was said' : 'Why'" />
      <v-btn
        class="act main"
        type="submit"
        :loading="orders.busy.value"
        :disabled="wrong !== '' || (asking === 'promised' && day === '') || (asking === 'core_kept' && note.trim().length < 3)"
      >
        {{ WORD[asking] }}
      </v-btn>
      <v-btn class="act" @click="asking = null">Not now</v-btn>
      <p v-if="wrong" class="problem small" role="alert">{{ wrong }}</p>
    </form>
    <details v-if="past.length > 0" class="wide past small">
      <summary class="second">{{ past.at(-1)?.text }}</summary>
      <ul>
        <li v-for="p in past" :key="p.id">
          {{ p.text }}
          <span class="second">{{ p.by }}</span>
          <button v-if="writable" class="link" type="button" :aria-label="`Take back: ${p.text}`" @click="job.takeBack(p.id)">
            Take back
          </button>
        </li>
      </ul>
    </details>
    <slot />
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 316px;
  gap: var(--space-1) var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-2);
  align-items: baseline;
}
.stands span {
  display: block;
}
.late {
  font-weight: 700;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1);
  justify-content: flex-end;
}
.wide {
  grid-column: 1 / -1;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: flex-start;
  padding: var(--space-2) 0;
}
.ask > :deep(.v-input) {
  flex: 0 1 220px;
}
.past summary {
  cursor: pointer;
  min-height: 24px;
}
@media (max-width: 1180px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
  .acts {
    justify-content: flex-start;
  }
}
</style>
