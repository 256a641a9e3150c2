<script setup lang="ts">
import { type ComponentKind, KIND_FACTS } from '@dauer/core/layout';
import { type ArticleVersion, FITS, PROCESSES, SCARCITIES, SUPPLIES, type Supplier, TAX_KINDS } from '@dauer/core/ledger';
import { PROCESS_NAME } from '@dauer/core/wording';
import { majorOf, moneyText, parseMinor } from '@dauer/core/quantity';
import { checkArticle, readStates, statesText } from '@dauer/core/views';
import { LIMIT_AXLES } from '@dauer/core/verdict';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { ApiProblem, call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import DayField from '../../fittings/DayField.vue';
import { dayHere } from '../../fittings/dates.ts';
import { sumText } from '../../fittings/money.ts';
import { FITS_TITLE, SCARCITY_TITLE, SUPPLY_TITLE, TAX_TITLE } from './articleWords.ts';

/** Enters an article with its price. A price is never edited: this makes a new version of it. */
const props = defineProps<{ from: ArticleVersion | null; suppliers: readonly Supplier[]; currency: string | null }>();
const emit = defineEmits<{ close: []; entered: [] }>();
const id = v7();
const replaces = ref(props.from?.id);
const seriesId = props.from?.seriesId ?? v7();
const theirs = ref<ArticleVersion | null>(null);
const text = (v: number | null | undefined): string => (v == null ? '' : String(v));
const sum = (v: number | null | undefined): string => (v == null || v === 0 ? '' : moneyText(majorOf(v, props.currency), null));
const f = ref({
  name: props.from?.name ?? '',
  partNumber: props.from?.partNumber ?? '',
  supply: props.from?.supply ?? 'new',
  kind: props.from?.kind ?? ('rotor' as ComponentKind | null),
  process: props.from?.process ?? null,
  fits: props.from?.fits ?? 'shop',
  appliesTo: props.from?.appliesTo ?? '',
  make: props.from?.make ?? '',
  model: props.from?.model ?? '',
  axle: props.from?.axle ?? null,
  supplierId: props.from?.supplierId ?? null,
  price: sum(props.from?.price),
  tax: props.from?.tax ?? 'standard',
  pricedOn: dayHere(),
  leadDays: text(props.from?.leadDays),
  core: sum(props.from?.core),
  scarcity: props.from?.scarcity ?? 'available',
  covers: props.from?.covers ?? 'one',
  contents: (props.from?.contents ?? []).map((c) => `${c.count} ${c.name}`).join('\n'),
  states: statesText(props.from?.states ?? {}),
  retired: props.from?.retired ?? false,
});
const { run, busy, problem } = useRequest();
const items = <T extends string>(list: readonly T[], titles: Readonly<Record<T, string>>) =>
  list.map((value) => ({ value, title: titles[value] }));
const KINDS = (Object.keys(KIND_FACTS) as ComponentKind[])
  .filter((k) => KIND_FACTS[k].article || k === 'line')
  .map((value) => ({ value, title: KIND_FACTS[value].name }));
const asksKind = computed(() => f.value.supply !== 'consumable');
const days = (typed: string): number | null => {
  if (typed.trim() === '') return null;
  if (!/^\d{1,3}$/.test(typed.trim())) throw new Error(`“${typed}” is no number of working days. Type it like 5.`);
  return Number(typed);
};
async function enter(retired = false): Promise<void> {
  await run(
    async () => {
      const v = f.value;
      const money = (typed: string): number | null => (typed.trim() === '' ? null : parseMinor(typed, props.currency));
      const fields = {
        ...{ seriesId, name: v.name.trim(), partNumber: v.partNumber.trim() || null, supply: v.supply },
        kind: asksKind.value ? v.kind : null,
        process: v.supply === 'process' ? v.process : null,
        fits: v.fits,
        appliesTo: v.fits === 'vehicle' || v.fits === 'part_number' ? v.appliesTo.trim() || null : null,
        make: v.fits === 'type' ? v.make.trim() || null : null,
        model: v.fits === 'type' ? v.model.trim() || null : null,
        ...{ axle: v.axle, supplierId: v.supplierId, price: money(v.price), tax: v.tax, pricedOn: v.pricedOn, leadDays: days(v.leadDays) },
        core: v.supply === 'exchange' ? (money(v.core) ?? 0) : 0,
        ...{ scarcity: v.scarcity, covers: v.covers, retired },
        states: readStates(v.states),
        contents: v.contents
          .split('\n')
          .map((l) => l.trim())
          .filter(Boolean)
          .map((l) => {
            const [, count = '1', name = l] = /^(\d{1,3})\s+(.+)$/.exec(l) ?? [];
            return { name: name.trim(), count: Number(count) };
          }),
      };
      checkArticle(fields);
      await call('enterArticle', { body: { ...fields, id, ...(replaces.value ? { replaces: replaces.value } : {}) } });
      emit('entered');
    },
    (error) => {
      if (error instanceof ApiProblem && error.is('stale')) theirs.value = (error.problem?.current as ArticleVersion | undefined) ?? null;
    },
  );
}
function overTheirs(): void {
  replaces.value = theirs.value?.id;
  theirs.value = null;
  void enter();
}
</script>

<template>
  <v-dialog aria-labelledby="article-form-title" :model-value="true" max-width="760" scrollable @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="enter()">
      <h2 id="article-form-title">{{ from ? 'A new price of this article' : 'Enter an article' }}</h2>
      <div class="fields">
        <v-text-field v-model="f.name" v-focus label="Name" />
        <v-text-field v-model="f.partNumber" label="Part number" />
        <v-select v-model="f.supply" label="Bought as" :items="items(SUPPLIES, SUPPLY_TITLE)" />
        <v-select v-if="asksKind" v-model="f.kind" label="For" :items="KINDS" />
        <v-select v-if="f.supply === 'process'" v-model="f.process" label="Work" :items="items(PROCESSES, PROCESS_NAME)" />
        <v-text-field v-model="f.price" label="Price, net" inputmode="decimal" />
        <DayField v-model="f.pricedOn" label="Told on" />
        <v-select
          v-model="f.supplierId"
          clearable
          label="From"
          :items="suppliers.filter((s) => s.active || s.id === f.supplierId).map((s) => ({ value: s.id, title: s.name }))"
        />
        <v-text-field v-model="f.leadDays" label="Working days until it is here" inputmode="numeric" />
        <v-select v-model="f.tax" label="Tax" :items="items(TAX_KINDS, TAX_TITLE)" />
        <v-text-field v-if="f.supply === 'exchange'" v-model="f.core" label="Given back for the old unit, net" inputmode="decimal" />
        <v-select v-model="f.scarcity" label="How it is to be had" :items="items(SCARCITIES, SCARCITY_TITLE)" />
        <v-select
          v-model="f.covers"
          label="One serves"
          :items="[
            { value: 'one', title: 'One place' },
            { value: 'axle', title: 'Both sides of an axle' },
          ]"
        />
        <v-select v-model="f.fits" label="Fits" :items="items(FITS, FITS_TITLE)" />
        <template v-if="f.fits === 'type'">
          <v-text-field v-model="f.make" label="Make" />
          <v-text-field v-model="f.model" label="Model (any if empty)" />
        </template>
        <v-text-field
          v-if="f.fits === 'vehicle' || f.fits === 'part_number'"
          v-model="f.appliesTo"
          :label="f.fits === 'vehicle' ? 'Id of the vehicle' : 'Part number that it replaces'"
        />
        <v-select v-model="f.axle" clearable label="Axle (any if empty)" :items="LIMIT_AXLES.map((a) => ({ value: a, title: a }))" />
      </div>
      <v-textarea v-if="f.supply === 'kit'" v-model="f.contents" label="What the kit holds, a line each, like 2 Square seal" rows="3" />
      <v-text-field
        v-model="f.states"
        label="What its seller states, like bore=25.4 mm; outlets=2"
        hint="It is held against the old part before anything is ordered."
      />
      <p v-if="theirs" class="problem" role="alert">
        Meanwhile somebody entered {{ theirs.price === null ? 'no price' : sumText(theirs.price, currency) }}, told on
        {{ theirs.pricedOn }}.
        <button class="link" type="button" @click="overTheirs">Mine supersedes it</button>
      </p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn v-if="from" class="act" :disabled="busy" @click="enter(true)">Bought no more</v-btn>
        <v-btn class="act" @click="emit('close')">Not now</v-btn>
        <v-btn class="act main" type="submit" :loading="busy" :disabled="f.name.trim() === '' || f.pricedOn === ''">Enter it</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
