<script setup lang="ts">
import { SOURCE_WORD } from '@dauer/core/wording';
import { PAGE_SIZE } from '@dauer/contract';
import type { VerdictChange } from '@dauer/contract';
import { characteristic, CHARACTERISTICS } from '@dauer/core/catalogue';
import { GENERIC_LIMITS } from '@dauer/core/judging';
import { fixed, unitOf } from '@dauer/core/quantity';
import { type LimitVersion } from '@dauer/core/verdict';
import { useQuery } from '@pinia/colada';
import { computed, onBeforeUnmount, ref } from 'vue';
import { useRoute } from 'vue-router';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { onLetter } from '../../app/keys.ts';
import { useSession } from '../../app/session.ts';
import BookTable from '../../fittings/BookTable.vue';
import ChangedVerdicts from './ChangedVerdicts.vue';
import CommonTorques from './CommonTorques.vue';
import LimitExchange from './LimitExchange.vue';
import LimitForm from './LimitForm.vue';
import { presetOf } from './preset.ts';
import LimitVersions from './LimitVersions.vue';

/** The limit book: what every figure is held against, and where it was read. */
const session = useSession();
const find = ref('');
const about = ref('all');
const unitOfLimit = (l: LimitVersion): string => {
  const c = characteristic(l.characteristic);
  return c ? unitOf(c.kind, c.unit).symbol || 'share' : 'mm';
};
const ABOUT = [{ title: 'everything', value: 'all' }, ...CHARACTERISTICS.map((c) => ({ title: c.name, value: c.id }))];
const route = useRoute();
const preset = computed(() => presetOf(route.query));
const editing = ref<LimitVersion | 'new' | null>(preset.value && session.may('technician') ? 'new' : null);
const looking = ref<LimitVersion | null>(null);
const { run, busy, problem } = useRequest();
/** The whole book, page by page. */
async function wholeBook(): Promise<Awaited<ReturnType<typeof call<'limits'>>>> {
  const book: Awaited<ReturnType<typeof call<'limits'>>> = [];
  for (;;) {
    const after = book.at(-1)?.id;
    const page = await call('limits', { query: after === undefined ? {} : { after } });
    book.push(...page);
    if (page.length < PAGE_SIZE) return book;
  }
}
const { data, error, refetch } = useQuery({ key: ['limits'], query: wholeBook });
void refetch();
type Listed = LimitVersion & { readonly appliesName?: string | null };
const all = computed<Listed[]>(() => [...(data.value ?? []), ...GENERIC_LIMITS]);
const applies = (l: Listed): string =>
  ({
    part: `this very part${l.appliesName ? `, ${l.appliesName}` : ''}`,
    part_number: `part number ${l.appliesTo ?? ''}`,
    vehicle: `${l.appliesName ?? 'one vehicle'} alone`,
    type: [l.make, l.model, l.variant, l.yearFrom || l.yearTo ? `${l.yearFrom ?? ''}–${l.yearTo ?? ''}` : null].filter(Boolean).join(' '),
    shop: l.source === 'generic' ? 'anything, until its own is entered' : 'the whole shop',
  })[l.scope];
const nameOf = (l: LimitVersion): string => characteristic(l.characteristic)?.name ?? l.characteristic;
const rows = computed(() =>
  all.value
    .filter((l) => about.value === 'all' || l.characteristic === about.value)
    .filter((l) => {
      const said = `${nameOf(l)} ${l.axle ?? ''} ${applies(l)} ${l.sourceText} ${l.asPrinted}`.toLowerCase();
      return find.value
        .toLowerCase()
        .split(/\s+/)
        .every((word) => said.includes(word));
    })
    .sort((a, b) => applies(a).localeCompare(applies(b)) || nameOf(a).localeCompare(nameOf(b))),
);
const figure = (v: number | null): string => (v === null ? '–' : fixed(v, Math.max(2, String(v).split('.')[1]?.length ?? 0)));
const BOUND = { lower: 'at least', upper: 'at most', range: 'between' } as const;
const checkedText = (l: LimitVersion): string =>
  l.source === 'generic' ? 'generic' : !l.checkedBy ? 'not yet' : l.checkedBy === l.enteredBy ? 'checked alone' : 'yes';
const COLUMNS = [
  { key: 'what', title: 'Characteristic', order: nameOf },
  { key: 'applies', title: 'Applies to', order: applies },
  { key: 'new', title: 'New', end: true, order: (l: Listed) => l.nominal },
  { key: 'machine', title: 'Machine to', end: true, order: (l: Listed) => l.machineTo },
  { key: 'limit', title: 'Limit', end: true, order: (l: Listed) => l.at ?? l.low },
  { key: 'source', title: 'Source', order: (l: Listed) => SOURCE_WORD[l.source] },
  { key: 'checked', title: 'Checked', order: checkedText },
  { key: 'act', title: 'What can be done', end: true, quiet: true },
];
/** Alone in the shop, one checks one’s own on a later day; the server says when that is. */
const people = useQuery({ key: ['people'], query: () => call('people') });
const alone = computed(() => (people.data.value ?? []).filter((p) => p.active && p.role !== 'reader').length === 1);
const mine = (l: LimitVersion): boolean => l.enteredBy === session.person?.id;
async function check(l: LimitVersion): Promise<void> {
  await run(async () => {
    await call('checkLimit', { params: { id: l.id }, body: {} });
    await refetch();
  });
}
const changed = ref<readonly VerdictChange[] | null>(null);
function entered(list: readonly VerdictChange[]): void {
  changed.value = list;
  editing.value = null;
  void refetch();
}
function taken(list: readonly VerdictChange[]): void {
  changed.value = list.length > 0 ? list : null;
  void refetch();
}
const off = onLetter('KeyN', () => {
  if (session.may('technician')) editing.value = 'new';
});
onBeforeUnmount(off);
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Limits</h1>
      <span class="second">{{ data ? `${data.length} entered, ${data.filter((l) => !l.checkedBy).length} unchecked` : '' }}</span>
      <span class="grow" />
      <v-select v-model="about" class="find" label="Of" :items="ABOUT" density="compact" />
      <v-text-field v-model="find" class="find" label="Type, part number, source" density="compact" />
      <v-btn v-if="session.may('technician')" class="act main" @click="editing = 'new'">Enter a limit</v-btn>
    </div>
    <p v-if="error || problem" class="problem" role="alert">{{ problem || sentenceOf(error) }}</p>
    <ChangedVerdicts v-if="changed" :changed="changed" />
    <LimitExchange :book="data ?? []" :writable="session.may('technician')" @taken="taken" />
    <BookTable :columns="COLUMNS" :rows="rows" label="The limit book">
      <template #what="{ row }">
        {{ nameOf(row) }}
        <span v-if="row.axle" class="second small">{{ row.axle }}</span>
      </template>
      <template #applies="{ row }">{{ applies(row) }}</template>
      <template #new="{ row }">
        <span class="fig">{{ figure(row.nominal) }}</span>
      </template>
      <template #machine="{ row }">
        <span class="fig">{{ figure(row.machineTo) }}</span>
      </template>
      <template #limit="{ row }">
        <span class="fig fig-b">{{ row.bound === 'range' ? `${figure(row.low)}–${figure(row.high)}` : figure(row.at) }}</span>
        <div class="second small">{{ BOUND[row.bound] }}, {{ unitOfLimit(row) }}</div>
      </template>
      <template #source="{ row }">
        {{ SOURCE_WORD[row.source] }}
        <div class="second small">{{ row.sourceText }}</div>
      </template>
      <template #checked="{ row }">{{ checkedText(row) }}</template>
      <template #act="{ row }">
        <div v-if="row.source !== 'generic' && session.may('technician')" class="acts">
          <v-btn
            v-if="!row.checkedBy && (!mine(row) || alone)"
            class="act slim"
            :disabled="busy"
            :aria-label="`I checked ${nameOf(row)} against its source`"
            @click="check(row)"
          >
            I checked it
          </v-btn>
          <v-btn class="act slim" :aria-label="`Versions of ${nameOf(row)}, ${applies(row)}`" @click="looking = row">Versions</v-btn>
          <v-btn class="act slim" :aria-label="`New version of ${nameOf(row)}, ${applies(row)}`" @click="editing = row">New version</v-btn>
        </div>
      </template>
    </BookTable>
    <CommonTorques />
    <LimitVersions v-if="looking" :limit="looking" :name="`${nameOf(looking)}, ${applies(looking)}`" @close="looking = null" />
    <LimitForm v-if="editing" :from="editing === 'new' ? null : editing" :preset="preset" @close="editing = null" @entered="entered" />
  </main>
</template>

<style scoped>
.find {
  max-width: 240px;
}
.head {
  padding: 10px 0;
}
.acts {
  gap: 6px;
  justify-content: flex-end;
}
@media (max-width: 720px) {
  .head {
    flex-wrap: wrap;
    padding-bottom: var(--space-2);
  }
  .find {
    max-width: none;
    flex: 1 1 100%;
  }
}
@media (max-width: 840px) {
  .acts {
    justify-content: flex-start;
  }
}
</style>
