<script setup lang="ts">
import { TERM_NAME } from '@dauer/core/wording';
import { type RowOption } from '@dauer/core/estimate';
import type { CostTerm } from '@dauer/core/ledger';
import { parseMinor, toResult } from '@dauer/core/quantity';
import { computed, ref, watch } from 'vue';
import { plainSum, sumText } from '../../fittings/money.ts';

/** What an option counts: each term, where it comes from, and a figure of one’s own in its place. */
const props = defineProps<{ option: RowOption; currency: string | null; writable: boolean; busy: boolean; problem: string }>();
const emit = defineEmits<{ enter: [term: CostTerm, amount: number | null, minutes: number | null, reason: string] }>();
const editing = ref<CostTerm | null>(null);
const typed = ref('');
const reason = ref('');
const wrong = ref('');
/** What is typed stays while other things of the job change; it is done when the figures themselves are others. */
watch(
  () => JSON.stringify([props.option.option, props.option.cost.terms]),
  () => (editing.value = null),
);
type TermId = RowOption['cost']['terms'][number]['id'];
/** What was spent already is told by clocks and orders: nobody enters it. */
const isOwn = (id: TermId): id is CostTerm => id !== 'spent';
function again(id: TermId): void {
  if (isOwn(id)) emit('enter', id, null, null, '');
}
const shown = computed(() => props.option.cost.terms);
/** Terms that nothing is reckoned for yet and that somebody may know a figure of. */
const more = computed(() => (['parts', 'consumables', 'labour', 'sending'] as const).filter((t) => !shown.value.some((x) => x.id === t)));
function edit(term: TermId): void {
  if (!isOwn(term)) return;
  editing.value = term;
  typed.value = '';
  reason.value = '';
  wrong.value = '';
}
function keep(): void {
  const term = editing.value;
  if (!term) return;
  if (term === 'labour') {
    const minutes = /^\d{1,5}$/.test(typed.value.trim()) ? Number(typed.value) : null;
    if (minutes === null) {
      wrong.value = 'Type the attended minutes as a whole number, like 90.';
      return;
    }
    emit('enter', term, null, minutes, reason.value.trim());
    return;
  }
  const read = toResult(() => parseMinor(typed.value, props.currency));
  if (!read.ok) {
    wrong.value = read.refusal.message;
    return;
  }
  emit('enter', term, term === 'core' ? -read.value : read.value, null, reason.value.trim());
}
</script>

<template>
  <div class="terms">
    <table>
      <caption class="second small">{{ option.name }}: net, and what the owner pays with tax</caption>
      <tbody>
        <tr v-for="t in shown" :key="t.id">
          <th scope="row">{{ TERM_NAME[t.id] }}</th>
          <td class="fig end">{{ plainSum(t.net, currency) }}</td>
          <td class="fig end">{{ t.billed ? plainSum(t.gross, currency) : 'not billed' }}</td>
          <td class="second small from">
            {{ t.from }}{{ t.missing.length > 0 ? `${t.from ? '; ' : ''}no price: ${t.missing.join(', ').toLowerCase()}` : '' }}
          </td>
          <td class="end">
            <button
              v-if="writable && isOwn(t.id)"
              class="link"
              type="button"
              :aria-label="`Own figure for ${TERM_NAME[t.id].toLowerCase()}`"
              @click="edit(t.id)"
            >
              change
            </button>
            <button
              v-if="writable && t.entered"
              class="link"
              type="button"
              :aria-label="`Reckon ${TERM_NAME[t.id].toLowerCase()} again`"
              @click="again(t.id)"
            >
              reckon again
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="writable && more.length > 0" class="small add">
      <button v-for="t in more" :key="t" class="link" type="button" @click="edit(t)">add {{ TERM_NAME[t].toLowerCase() }}</button>
    </p>
    <form v-if="editing" class="own" @submit.prevent="keep">
      <v-text-field
        v-model="typed"
        v-focus
        density="compact"
        inputmode="decimal"
        :label="editing === 'labour' ? 'Attended minutes' : `${TERM_NAME[editing]}, net`"
        :error-messages="wrong"
      />
      <v-text-field v-model="reason" density="compact" label="Where from" />
      <v-btn class="act slim" type="submit" :loading="busy">Count this</v-btn>
      <v-btn class="act slim" @click="editing = null">Leave it</v-btn>
    </form>
    <p v-if="problem" class="problem small" role="alert">{{ problem }}</p>
    <p class="second small">
      Of
      {{
        sumText(
          shown.reduce((n, t) => n + t.net, 0),
          currency,
        )
      }}
      in all, with what it may cost to do it again.
    </p>
  </div>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
caption {
  text-align: left;
}
th {
  font: 600 var(--type-body)/var(--leading) var(--plate-font);
  vertical-align: baseline;
  text-align: left;
  white-space: nowrap;
  padding: 2px var(--space-3) 2px 0;
}
td {
  padding: 2px var(--space-2);
  vertical-align: baseline;
}
tr + tr > * {
  border-top: var(--line-hair) solid var(--hair);
}
.end {
  text-align: right;
  white-space: nowrap;
}
.from {
  width: 60%;
}
.own {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: flex-start;
  padding: var(--space-2) 0;
}
.own > :deep(.v-input) {
  flex: 1 1 160px;
}
@media (max-width: 860px) {
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
  .from,
  .from + td {
    grid-column: 1 / -1;
    text-align: left;
    width: auto;
  }
  tr > * {
    border: 0;
  }
  tr + tr {
    border-top: var(--line-hair) solid var(--hair);
  }
}
.add {
  display: flex;
  gap: var(--space-4);
}
</style>
