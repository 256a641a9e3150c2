<script setup lang="ts">
import { BACK_LOOKS, type OutState } from '@dauer/core/supply';
import { outWords, SENT_FOR_NAME } from '@dauer/core/wording';
import { parseMinor, toResult } from '@dauer/core/quantity';
import { whyNotDone } from '@dauer/core/readiness';
import { computed, ref } from 'vue';
import { timeNow } from '../../../app/client.ts';
import DayField from '../../../fittings/DayField.vue';
import TagPlate from '../../../fittings/TagPlate.vue';
import { dayHere } from '../../../fittings/dates.ts';
import { sumText } from '../../../fittings/money.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import type { Orders } from './useOrders.ts';

/** One part that is sent out: in the box, away, back, counted and looked at. */
const props = defineProps<{ state: OutState; orders: Orders; currency: string | null; writable: boolean }>();
const job = useOpenJob();
type Ask = 'promised' | 'chased' | 'checked' | 'cost';
const asking = ref<Ask | null>(null);
const [day, note, amount, count] = [ref(''), ref(''), ref(''), ref(String(props.state.out.count))];
const looked = ref<string[]>([]);
const tag = computed(() => job.records.parts.find((p) => p.id === props.state.out.partId)?.tag ?? null);
const why = (kind: 'sent' | 'returned'): string | null =>
  whyNotDone(job.history, { id: '', partId: props.state.out.partId, kind, slotId: null, lot: null, lineOn: false }, timeNow().at);
const o = computed(() => props.state);
const can = computed<Ask[]>(() => {
  const list: Ask[] = [];
  if (o.value.sent !== null && o.value.back === null) list.push('promised', 'chased');
  if (o.value.back !== null && !o.value.done) list.push('checked');
  if (o.value.sent !== null && o.value.cost === null) list.push('cost');
  return list;
});
const WORD: Readonly<Record<Ask, string>> = { promised: 'Promised for', chased: 'Chased', checked: 'Count and look', cost: 'What it cost' };
function went(kind: 'sent' | 'returned'): void {
  job.add('partEvents', {
    ...{ partId: o.value.out.partId, kind, slotId: null, lot: null, lineOn: false, temporary: false, part: null },
    note: kind === 'sent' ? o.value.out.supplier : '',
  });
}
function begin(ask: Ask): void {
  asking.value = asking.value === ask ? null : ask;
}
const wrong = computed(() => {
  if (asking.value === 'checked' && !/^\d{1,3}$/.test(count.value)) return 'Type how many pieces came back.';
  if (asking.value === 'cost') {
    const read = toResult(() => parseMinor(amount.value, props.currency));
    return read.ok ? '' : read.refusal.message;
  }
  return '';
});
async function tell(result: 'right' | 'wrong' | null = null): Promise<void> {
  const kind = asking.value;
  if (kind === null) return;
  await props.orders.outStep({
    ...{ sendOutId: o.value.out.id, kind, day: day.value || null, result, note: note.value.trim(), looked: looked.value },
    count: kind === 'checked' ? Number(count.value) : null,
    amount: kind === 'cost' ? parseMinor(amount.value, props.currency) : null,
  });
  if (props.orders.problem.value === '') asking.value = null;
}
const drop = () => props.orders.outStep({ sendOutId: o.value.out.id, kind: 'dropped' });
const about = computed(() =>
  [SENT_FOR_NAME[o.value.out.process], o.value.out.size, o.value.out.colour, o.value.out.gloss].filter(Boolean).join(', '),
);
</script>

<template>
  <li class="row">
    <div class="what">
      <TagPlate v-if="tag" :tag="tag" small />
      <b>{{ orders.nameOf(state.out.slotId) }}</b>
      <span class="second small">{{ about }}</span>
    </div>
    <div class="stands">
      <span>{{ outWords(state, dayHere()) }}</span>
      <span class="second small">{{ state.out.supplier }}{{ state.cost === null ? '' : `; ${sumText(state.cost, currency)} net` }}</span>
    </div>
    <div v-if="writable" class="acts">
      <v-btn
        v-if="state.sent === null && why('sent') === null"
        class="act slim"
        :aria-label="`Sent: ${orders.nameOf(state.out.slotId)}`"
        @click="went('sent')"
      >
        Sent
      </v-btn>
      <v-btn v-if="state.sent === null" class="act slim" :aria-label="`Out of the box: ${orders.nameOf(state.out.slotId)}`" @click="drop">
        Out of the box
      </v-btn>
      <v-btn
        v-if="state.sent !== null && state.back === null"
        class="act slim"
        :aria-label="`Back: ${orders.nameOf(state.out.slotId)}`"
        @click="went('returned')"
      >
        Back
      </v-btn>
      <v-btn
        v-for="c in can"
        :key="c"
        class="act slim"
        :aria-expanded="asking === c"
        :aria-label="`${WORD[c]}: ${orders.nameOf(state.out.slotId)}`"
        @click="begin(c)"
      >
        {{ WORD[c] }}
      </v-btn>
    </div>
    <p v-if="writable && state.sent === null && why('sent')" class="wide second small">{{ why('sent') }}</p>
    <form v-if="asking" class="wide ask" @submit.prevent="asking === 'checked' ? undefined : tell()">
      <DayField v-if="asking === 'promised'" v-model="day" ahead label="Promised for" />
      <template v-if="asking === 'checked'">
        <v-text-field v-model="count" v-focus :label="`Pieces back, of ${state.out.count}`" inputmode="numeric" />
        <label v-for="l in BACK_LOOKS" :key="l" class="tick">
          <input v-model="looked" type="checkbox" :value="l" />
          {{ l }}
        </label>
      </template>
      <v-text-field v-if="asking === 'cost'" v-model="amount" v-focus label="Net" inputmode="decimal" />
      <v-text-field
        v-if="asking === 'chased' || asking === 'checked'"
        v-model="note"
        :label="asking === 'chased' ? 'What was said' : 'What is wrong'"
      />
      <template v-if="asking === 'checked'">
        <v-btn class="act main" :disabled="wrong !== ''" :loading="orders.busy.value" @click="tell('right')">Right</v-btn>
        <v-btn class="act" :disabled="wrong !== '' || note.trim().length < 3" @click="tell('wrong')">Not right</v-btn>
      </template>
      <v-btn v-else class="act main" type="submit" :disabled="wrong !== '' || (asking === 'promised' && day === '')">
        {{ WORD[asking] }}
      </v-btn>
      <v-btn class="act" @click="asking = null">Not now</v-btn>
      <p v-if="wrong && (asking !== 'cost' || amount !== '')" class="problem small" role="alert">{{ wrong }}</p>
    </form>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 0.8fr) 380px;
  gap: var(--space-1) var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-2);
  align-items: center;
}
.stands span {
  display: block;
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
.acts {
  justify-content: flex-end;
}
@media (max-width: 1180px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
