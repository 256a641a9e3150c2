<script setup lang="ts">
import { CHOICE, CHOICE_WAY_SAYS, daysWords } from '@dauer/core/wording';
import type { OptionId } from '@dauer/core/catalogue';
import { codeOf, type Estimate, offerDifferences, offerSum, readChoice, sheetOf, waysShown } from '@dauer/core/estimate';
import type { ChoiceWay, Offer, OfferRow } from '@dauer/core/ledger';
import { computed, ref, watch } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import { dayHere, dayText, timeText } from '../../fittings/dates.ts';
import { sumText } from '../../fittings/money.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { useSentFirst } from '../../job/sentFirst.ts';

/** The sheet that the owner is shown, and what he says to it: in the shop, by phone, or by the code of his choice file. */
const props = defineProps<{ estimate: Estimate; writable: boolean }>();
const emit = defineEmits<{ back: []; chosen: [plan: readonly { slotId: string; option: OptionId }[]] }>();
const job = useOpenJob();
const session = useSession();
const { run, busy, problem } = useRequest();
const sentFirst = useSentFirst();
const offers = computed(() => job.records.offers);
const offer = computed<Offer | null>(() => offers.value.at(-1) ?? null);
const sheet = computed(() => offer.value?.sheet ?? null);
const currency = computed(() => sheet.value?.currency ?? props.estimate.book.rates?.currency ?? null);
/** What the job says otherwise by now than the sheet. */
const differences = computed(() =>
  sheet.value ? offerDifferences(sheet.value, sheetOf(job.history, props.estimate, session.shop.name, dayHere())) : [],
);
const answers = computed(() =>
  job.history
    .active(job.records.ownerChoices)
    .filter((c) => c.jobId === job.records.job.id)
    .toReversed(),
);
const WAYS: readonly { value: ChoiceWay; label: string }[] = [
  { value: 'in_shop', label: 'In the shop' },
  { value: 'by_phone', label: 'By phone' },
  { value: 'by_file', label: 'By the choice file' },
];
const how = ref<ChoiceWay>('in_shop');
const picked = ref<Record<string, OptionId>>({});
const variant = ref<string | null>(null);
const by = ref('');
const wishes = ref('');
const code = ref('');
watch(
  () => offer.value?.id,
  () => {
    picked.value = {};
    variant.value = null;
    code.value = '';
  },
);
const picks = computed(
  () => sheet.value?.rows.flatMap((r) => (picked.value[r.id] ? [{ row: r.id, option: picked.value[r.id] ?? 'use_again' }] : [])) ?? [],
);
const total = computed(() => (sheet.value ? offerSum(sheet.value, picks.value) : null));
const whole = computed(() => sheet.value !== null && picks.value.length === sheet.value.rows.length);
const read = computed(() => (code.value.trim() === '' ? null : readChoice(offers.value, code.value)));
watch(read, (r) => {
  if (r?.ok && r.picks) picked.value = Object.fromEntries(r.picks.map((p) => [p.row, p.option]));
});
function takeVariant(id: string): void {
  const v = sheet.value?.variants.find((x) => x.id === id);
  if (!v) return;
  picked.value = Object.fromEntries(v.ways.map((w) => [w.row, w.option]));
  variant.value = id;
}
function pick(row: OfferRow, option: OptionId): void {
  picked.value = { ...picked.value, [row.id]: option };
  variant.value = null;
}
async function make(): Promise<void> {
  await run(async () => {
    await sentFirst();
    await call('makeOffer', { params: { jobId: job.records.job.id }, body: { id: v7() } });
    await job.refresh();
  });
}
/** Whether the code that stands there says that very answer: a no may be told where an older code was read out. */
function saysSo(answer: 'yes' | 'no'): boolean {
  const r = read.value;
  return how.value === 'by_file' && r !== null && r.ok && (r.picks === null) === (answer === 'no');
}
async function say(answer: 'yes' | 'no'): Promise<void> {
  const of = offer.value;
  if (!of) return;
  await run(async () => {
    await sentFirst();
    const chosen = answer === 'yes' ? picks.value : [];
    await call('recordOwnerChoice', {
      params: { jobId: job.records.job.id },
      body: {
        ...{ id: v7(), happenedAt: timeNow().at, device: 'desk', offerId: of.id, answer, picks: chosen },
        ...{ variant: answer === 'yes' ? variant.value : null, sum: answer === 'yes' ? offerSum(of.sheet, chosen).gross : 0 },
        ...{ by: by.value.trim(), how: how.value, code: saysSo(answer) ? code.value.trim() : null, wishes: wishes.value.trim() },
      },
    });
    await job.refresh();
    if (answer === 'yes')
      emit(
        'chosen',
        of.sheet.rows.flatMap((r) => r.ways.find((w) => w.option === chosen.find((c) => c.row === r.id)?.option)?.plan ?? []),
      );
    picked.value = {};
    wishes.value = '';
  });
}
const nameOf = (r: OfferRow, option: OptionId | undefined): string => r.ways.find((w) => w.option === option)?.name ?? '';
const readOut = computed(() => (offer.value && whole.value ? codeOf(offer.value, picks.value) : ''));
</script>

<template>
  <section class="owner" aria-labelledby="owner-sheet">
    <div class="head">
      <h2 id="owner-sheet" v-focus tabindex="-1">Sheet for the owner</h2>
      <span v-if="offer" class="second">
        made {{ dayText(offer.madeAt) }}, {{ timeText(offer.madeAt) }} by {{ job.who(offer.madeBy) }}; number {{ offers.length }}
      </span>
      <span class="grow" />
      <v-btn class="act slim" @click="emit('back')">Back to the rows</v-btn>
    </div>
    <p v-if="!offer" class="second">
      The sheet shows the owner every row with its ways, their prices with tax, and what each leaves at risk. It is kept as it was shown. No
      supplier and no cost of the shop stand on it.
    </p>
    <div v-if="offer && differences.length > 0" class="small">
      <p>
        <b>The job says otherwise by now.</b>
        Make a new sheet: the code of this one is void then.
      </p>
      <ul>
        <li v-for="d in differences" :key="d.row">
          <b>{{ d.row }}</b>
          was {{ d.was }}; is {{ d.is }}
        </li>
      </ul>
    </div>
    <p class="acts">
      <v-btn v-if="writable" class="act" :class="{ main: !offer }" :loading="busy" @click="make">
        {{ offer ? 'Make a new sheet' : 'Make the sheet' }}
      </v-btn>
      <a v-if="offer" class="act" :href="`/api/jobs/${job.records.job.id}/offers/${offer.id}/choice-file`" download>Choice file</a>
    </p>
    <template v-if="offer && sheet">
      <p v-if="sheet.without.length > 0" class="small">
        Not on it, because it has no price yet: {{ sheet.without.join(', ').toLowerCase() }}.
      </p>
      <template v-if="writable">
        <h3>What the owner says</h3>
        <ChoiceRow v-model="how" :options="WAYS" label="How it was said" />
        <p v-if="how === 'by_file'" class="code">
          <v-text-field
            v-model="code"
            v-focus
            label="The owner’s code"
            autocomplete="off"
            spellcheck="false"
            :error-messages="read && !read.ok ? read.why : ''"
          />
          <span v-if="read?.ok && read.picks === null">The code says: none of it.</span>
        </p>
        <div v-else class="acts">
          <v-btn v-for="v in sheet.variants" :key="v.id" class="act" :aria-pressed="variant === v.id" @click="takeVariant(v.id)">
            {{ v.name }} {{ sumText(offerSum(sheet, v.ways).gross, currency) }}
          </v-btn>
        </div>
      </template>
      <ul class="rows">
        <li v-for="r in sheet.rows" :key="r.id">
          <div class="about">
            <b class="plate-font">{{ r.name }}</b>
            <span class="second small">{{ r.found }}</span>
          </div>
          <p v-if="writable && how === 'by_file'">{{ nameOf(r, picked[r.id]) || 'as the code says' }}</p>
          <div v-else class="ways" role="group" :aria-label="`The owner’s choice for the ${r.name.toLowerCase()}`">
            <button
              v-for="w in waysShown(r)"
              :key="w.option"
              type="button"
              class="act slim"
              :aria-pressed="picked[r.id] === w.option"
              :disabled="!writable"
              :title="w.risks.join(' ')"
              @click="pick(r, w.option)"
            >
              {{ w.name }}
              <span class="fig">{{ sumText(w.gross, currency) }}</span>
            </button>
            <span v-for="w in r.ways.filter((x) => x.ruledOut !== null)" :key="w.option" class="second small">
              <s>{{ w.name }}</s>
              {{ w.ruledOut }}
            </span>
          </div>
        </li>
      </ul>
      <template v-if="writable">
        <p class="total" aria-live="polite">
          <template v-if="total && picks.length > 0">
            <b>{{ sumText(total.gross, currency) }}</b>
            with tax and what is shared, {{ daysWords(total.days) }}.
            {{ whole ? '' : `${sheet.rows.length - picks.length} still to pick.` }}
            <span v-if="how !== 'by_file' && readOut" class="second">
              Code of this choice:
              <span class="fig">{{ readOut }}</span>
            </span>
          </template>
        </p>
        <form class="who" @submit.prevent="say('yes')">
          <v-text-field v-model="by" label="Who says so" />
          <v-text-field v-model="wishes" label="Wishes for later" />
          <v-btn
            class="act main"
            type="submit"
            :loading="busy"
            :disabled="!whole || by.trim() === '' || (how === 'by_file' && !(read?.ok && read.picks !== null))"
          >
            The owner agrees
          </v-btn>
          <v-btn class="act" :disabled="by.trim() === '' || busy" @click="say('no')">The owner says no</v-btn>
        </form>
      </template>
    </template>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="answers.length > 0">
      <h3>The owner’s word so far</h3>
      <ul class="answers">
        <li v-for="a in answers" :key="a.id">
          {{ a.answer === 'yes' ? `Agreed to ${CHOICE.sum(a.sum, currency)}` : 'Said no' }}
          <span class="second">
            {{ a.by }}, {{ CHOICE_WAY_SAYS[a.how] }}, {{ dayText(a.happenedAt) }}, taken by {{ job.who(a.authorId)
            }}{{ a.offerId === offer?.id ? '' : '; of an older sheet' }}{{ a.wishes ? `. For later: ${a.wishes}` : '' }}
          </span>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.owner {
  padding-bottom: var(--space-5);
}
h3 {
  margin-top: var(--space-4);
}
.acts,
.code,
.who {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: flex-start;
  padding: var(--space-2) 0;
}
.code > :deep(.v-input) {
  max-width: 340px;
}
.who > :deep(.v-input) {
  flex: 1 1 220px;
}
.rows {
  margin-top: var(--space-3);
}
.rows li {
  display: grid;
  grid-template-columns: minmax(160px, 240px) minmax(0, 1fr);
  gap: var(--space-1) var(--space-4);
  padding: var(--space-2) 0;
  border-top: var(--line-hair) solid var(--hair);
}
.about span {
  display: block;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.total b {
  font: 700 var(--type-title) / 26px var(--figure-font);
}
.answers li {
  padding: var(--space-1) 0;
}
@media (max-width: 860px) {
  .rows li {
    grid-template-columns: 1fr;
  }
}
</style>
