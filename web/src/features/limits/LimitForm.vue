<script setup lang="ts">
import { SOURCE_WORD } from '@dauer/core/wording';
import { characteristic, CHARACTERISTICS, checkLimitOf } from '@dauer/core/catalogue';
import { parseQuantity, toResult, type UnitId, UNITS } from '@dauer/core/quantity';
import { LIMIT_AXLES, type LimitAxle, type LimitScope, type LimitSource, type LimitVersion } from '@dauer/core/verdict';
import type { VerdictChange } from '@dauer/contract';
import { v7 } from 'uuid';
import type { LimitPreset } from './preset.ts';
import { computed, ref, watch } from 'vue';
import { ApiProblem, call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import StaleConflict from '../../fittings/StaleConflict.vue';

/** Enters a limit as it is printed. A limit is never edited: this makes a new version of it. */
const props = defineProps<{ from: LimitVersion | null; preset?: LimitPreset | null }>();
const emit = defineEmits<{ close: []; entered: [changed: readonly VerdictChange[]] }>();
const id = v7();
const replaces = ref(props.from?.id);
/** What somebody else entered meanwhile. */
const theirs = ref<LimitVersion | null>(null);
const seriesId = props.from?.seriesId ?? v7();
const text = (v: number | null | undefined): string => (v == null ? '' : String(v));
const f = ref({
  characteristic: props.from?.characteristic ?? props.preset?.characteristic ?? 'rotor_thickness',
  scope: (props.from?.scope ?? props.preset?.scope ?? 'type') as LimitScope,
  make: props.from?.make ?? props.preset?.make ?? '',
  model: props.from?.model ?? props.preset?.model ?? '',
  variant: props.from?.variant ?? '',
  yearFrom: text(props.from?.yearFrom),
  yearTo: text(props.from?.yearTo),
  appliesTo: props.from?.appliesTo ?? props.preset?.appliesTo ?? '',
  axle: (props.from ? (props.from.axle ?? 'both') : (props.preset?.axle ?? 'both')) as LimitAxle | 'both',
  unit: (characteristic(props.from?.characteristic ?? props.preset?.characteristic ?? '')?.unit ?? 'mm') as UnitId,
  range: props.from?.bound === 'range',
  low: text(props.from?.low),
  high: text(props.from?.high),
  nominal: text(props.from?.nominal),
  machineTo: text(props.from?.machineTo),
  at: text(props.from?.at),
  source: (props.from?.source ?? 'maker') as LimitSource,
  sourceText: props.from?.sourceText ?? '',
  asPrinted: '',
  atLeast: props.from?.atLeast ?? false,
});
const { run, busy, problem } = useRequest();
const about = computed(() => characteristic(f.value.characteristic));
const units = computed(() => (about.value ? UNITS[about.value.kind].map((u) => ({ title: u.symbol || 'plain number', value: u.id })) : []));
/** Another characteristic may be in other units. */
watch(about, (now, before) => {
  if (now && now.kind !== before?.kind) f.value.unit = now.unit;
});
const read = (typed: string): number | null =>
  typed.trim() === '' ? null : parseQuantity(typed, about.value?.kind ?? 'length', f.value.unit).canonical;
/** What metal may still be taken to, for what is cut. */
const CUT: Readonly<Record<string, string>> = {
  rotor_thickness: 'Machine to',
  drum_diameter: 'Machine to',
  band_drum_diameter: 'Machine to',
  bore_wear: 'Hone to (over new)',
};
const cut = computed(() => CUT[f.value.characteristic] ?? null);
const year = (typed: string): number | null => (/^\d{4}$/.test(typed.trim()) ? Number(typed) : null);
async function enter(): Promise<void> {
  const v = f.value;
  problem.value = '';
  const of = about.value;
  if (!of) return;
  const tried = toResult(() => {
    const figures = v.range
      ? { bound: 'range' as const, nominal: read(v.nominal), machineTo: null, at: null, low: read(v.low), high: read(v.high) }
      : { bound: of.bound, nominal: read(v.nominal), machineTo: read(v.machineTo), at: read(v.at), low: null, high: null };
    checkLimitOf({ ...figures, characteristic: of.id });
    return figures;
  });
  if (!tried.ok) {
    problem.value = tried.refusal.message;
    return;
  }
  for (const [typed, which] of [
    [v.yearFrom, 'from'],
    [v.yearTo, 'to'],
  ] as const)
    if (typed.trim() !== '' && year(typed) === null) {
      problem.value = `“${typed}” is no year (${which}).`;
      return;
    }
  if (v.scope === 'type' && (v.make.trim() === '' || v.model.trim() === '')) {
    problem.value = 'A limit for a type needs make and model.';
    return;
  }
  const type = v.scope === 'type';
  await run(
    async () => {
      const { changed } = await call('enterLimit', {
        body: {
          id,
          ...(replaces.value ? { replaces: replaces.value } : {}),
          seriesId,
          characteristic: v.characteristic,
          scope: v.scope,
          appliesTo: type || v.scope === 'shop' ? null : v.appliesTo.trim(),
          make: type ? v.make.trim() : null,
          model: type ? v.model.trim() : null,
          variant: type && v.variant.trim() ? v.variant.trim() : null,
          yearFrom: type ? year(v.yearFrom) : null,
          yearTo: type ? year(v.yearTo) : null,
          axle: v.axle === 'both' ? null : v.axle,
          ...tried.value,
          gravity: of.gravity,
          atLeast: v.atLeast,
          source: v.source,
          sourceText: v.sourceText.trim(),
          asPrinted: v.asPrinted.trim() || `${v.range ? `${v.low.trim()} to ${v.high.trim()}` : v.at.trim()} ${v.unit}`,
          printedUnit: v.unit,
        },
      });
      emit('entered', changed);
    },
    (error) => {
      if (error instanceof ApiProblem && error.is('stale')) theirs.value = (error.problem?.current as LimitVersion | undefined) ?? null;
    },
  );
}
const rows = computed(() => {
  const other = theirs.value;
  if (!other) return [];
  return [
    { what: 'New', mine: f.value.nominal, theirs: text(other.nominal) },
    { what: 'Machine to', mine: f.value.machineTo, theirs: text(other.machineTo) },
    { what: 'Limit', mine: f.value.at, theirs: text(other.at) },
    { what: 'Source', mine: f.value.sourceText, theirs: other.sourceText },
  ];
});
/** Mine becomes the version after theirs; both stay on record. */
function mine(): void {
  replaces.value = theirs.value?.id;
  theirs.value = null;
  void enter();
}
/** One vehicle or part, where the form was opened for it. */
const own = computed(() => {
  const { from, preset } = props;
  const scope = from?.scope ?? preset?.scope;
  if (scope !== 'vehicle' && scope !== 'part') return null;
  return { title: preset?.label ?? (scope === 'part' ? 'this very part' : 'one vehicle'), value: scope };
});
const AXLE_WORD: Readonly<Record<LimitAxle, string>> = { front: 'front', middle: 'middle', rear: 'rear', side: 'sidecar' };
const SCOPES = computed(() => [
  { title: 'a vehicle type', value: 'type' },
  { title: 'a part number', value: 'part_number' },
  { title: 'the whole shop', value: 'shop' },
  ...(own.value ? [own.value] : []),
]);
</script>

<template>
  <v-dialog aria-labelledby="limit-form-title" :model-value="true" max-width="760" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="enter">
      <h2 id="limit-form-title">{{ from ? 'A new version of this limit' : 'Enter a limit' }}</h2>
      <div class="fields">
        <v-select
          v-model="f.characteristic"
          label="Characteristic"
          :items="CHARACTERISTICS.map((c) => ({ title: c.name, value: c.id }))"
          :readonly="from !== null"
        />
        <v-select v-model="f.scope" label="Applies to" :items="SCOPES" />
        <v-select
          v-model="f.axle"
          label="Axle"
          :items="[{ title: 'every axle', value: 'both' }, ...LIMIT_AXLES.map((a) => ({ title: AXLE_WORD[a], value: a }))]"
        />
        <template v-if="f.scope === 'type'">
          <v-text-field v-model="f.make" label="Make" />
          <v-text-field v-model="f.model" label="Model" />
          <v-text-field v-model="f.variant" label="Variant (any if empty)" />
          <v-text-field v-model="f.yearFrom" label="From year" inputmode="numeric" />
          <v-text-field v-model="f.yearTo" label="To year" inputmode="numeric" />
        </template>
        <v-text-field v-else-if="f.scope === 'part_number'" v-model="f.appliesTo" label="Part number" />
      </div>
      <div class="fields">
        <v-select v-model="f.unit" label="Unit as printed" :items="units" />
        <v-text-field v-model="f.nominal" label="When new" />
        <template v-if="f.range">
          <v-text-field v-model="f.low" label="At least" />
          <v-text-field v-model="f.high" label="At most" />
        </template>
        <template v-else>
          <v-text-field v-if="cut" v-model="f.machineTo" :label="cut" />
          <v-text-field v-model="f.at" :label="about?.bound === 'lower' ? 'Discard: at least' : 'At most'" />
        </template>
        <v-checkbox v-model="f.range" label="Both ends are limited" />
      </div>
      <div class="fields">
        <v-select
          v-model="f.source"
          label="Kind of source"
          :items="
            Object.entries(SOURCE_WORD)
              .filter(([k]) => k !== 'generic')
              .map(([value, title]) => ({ title, value }))
          "
        />
        <v-text-field v-model="f.sourceText" class="wide" label="Document and page, or where it is stamped" maxlength="200" />
        <v-text-field v-model="f.asPrinted" label="Wording, where it is printed otherwise" maxlength="200" />
      </div>
      <label class="tick">
        <input v-model="f.atLeast" type="checkbox" />
        Binds also where a nearer one is on file (a competition house rule)
      </label>
      <StaleConflict v-if="theirs" :problem="problem" :rows="rows" @mine="mine" @theirs="emit('entered', [])" />
      <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Not now</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || f.at.trim() === '' || f.sourceText.trim() === ''">Enter it</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
