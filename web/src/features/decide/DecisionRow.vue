<script setup lang="ts">
import { optionsOf, whyNotHoned } from '@dauer/core/readiness';
import { againstWords, METAL_NAME, mm, putOffWords, VERDICT_WORD } from '@dauer/core/wording';
import { accessesOver, OPTION_NAME, type OptionId, REASON_CODE_NAME, REASON_CODES, type ReasonCode, WAITS } from '@dauer/core/catalogue';
import { departure } from '@dauer/core/estimate';
import { type Component } from '@dauer/core/judging';
import { placeName } from '@dauer/core/layout';
import type { Decision, Person } from '@dauer/core/ledger';
import type { BoreMaterial } from '@dauer/core/catalogue';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import type { Alike, Proposal } from '@dauer/core/views';
import { computed, ref, watch } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import { NO_TIME, type Until } from './until.ts';
import VerdictMark from '../../fittings/VerdictMark.vue';
import DayField from '../../fittings/DayField.vue';

const job = useOpenJob();
const props = defineProps<{
  component: Component;
  writable: boolean;
  warning: string | null;
  /** What a cause proposes. */
  proposal: Proposal | null;
  picked: boolean;
  /** What is undecided and may be decided the same in one tap. */
  alike: Alike;
  distanceUnit: 'km' | 'mi';
  people: readonly Person[];
  /** Why nothing is put off until then; null where it can be. */
  refusal: (until: Until) => string | null;
}>();
const emit = defineEmits<{
  pick: [];
  alike: [places: readonly Component[]];
  decide: [option: OptionId, reason: string, until: Until, metal: BoreMaterial | null, code: ReasonCode | null];
}>();

/** Two people decided without knowing of each other: said until somebody chooses. */
const against = computed(() => againstWords(props.people, props.component));
const heads = computed(() => [...(props.component.decision ? [props.component.decision] : []), ...props.component.against]);
function hold(d: Decision): void {
  emit('decide', d.option, d.reason, { reviewOn: d.reviewOn, untilKm: d.untilKm, access: d.access }, d.metal, d.code);
}
const reason = ref(props.component.decision?.reason ?? '');
const code = ref<ReasonCode | null>(props.component.decision?.code ?? null);
const CODES = REASON_CODES.map((value) => ({ value, title: REASON_CODE_NAME[value] }));
const on = ref(props.component.decision?.reviewOn ?? '');
const km = ref('');
const access = ref<string | null>(props.component.decision?.access ?? null);
const accesses = computed((): readonly string[] => accessesOver(props.component.slot));
const kmWrong = ref('');
/** What until is named lies behind. */
const behind = ref('');
const wanted = ref<OptionId | null>(null);
const editing = ref(false);
watch(
  () => props.component.decision,
  (d) => {
    reason.value = d?.reason ?? '';
    code.value = d?.code ?? null;
    wanted.value = null;
    editing.value = false;
  },
);
const options = computed(() => optionsOf(job.history, props.component));
/** What is ruled out, by its reason: options with the same one stand together. */
const out = computed(() => {
  const byReason = new Map<string, string[]>();
  // What only wants a figure is said where somebody looks at the part.
  for (const o of options.value)
    if (o.ruledOut !== null && (!o.unknown || props.picked)) byReason.set(o.ruledOut, [...(byReason.get(o.ruledOut) ?? []), o.name]);
  return [...byReason].map(([reason, names]) => ({
    reason,
    names: names.map((n, i) => (i === 0 ? n : n.toLowerCase())).join(' and '),
    verb: names.length > 1 ? 'are' : 'is',
  }));
});
const waits = (option: OptionId | null): boolean => option !== null && WAITS.includes(option);
const chosen = computed(() => wanted.value ?? props.component.decision?.option ?? null);
/** What speaks: the worst figure or finding, in a line. */
const because = computed(() => {
  const bad = props.component.judged.find((j) => j.verdict === props.component.verdict && j.verdict !== 'holds');
  if (bad) return `${bad.characteristic.short} ${mm(bad.reduced.value, bad.reduced.decimals)}, ${VERDICT_WORD[bad.verdict].toLowerCase()}`;
  const finding = props.component.findings.find((f) => f.severity !== 'note');
  return finding?.words ?? (props.component.verdict === 'not_gauged' ? 'not everything is gauged yet' : '');
});
/** What was said with the decision; without that, its line stands only where somebody looks at the part. */
const says = computed(() => {
  const d = props.component.decision;
  if (!d) return '';
  const until = WAITS.includes(d.option) ? putOffWords(d) : '';
  return [until, d.metal ? `${METAL_NAME[d.metal]} bore.` : '', d.code ? `${REASON_CODE_NAME[d.code]}.` : '', d.reason]
    .filter(Boolean)
    .join(' ');
});
function choose(option: OptionId): void {
  if (waits(option) || option === 'hone' || (departure(job.history, props.component, option) !== null && reason.value.trim() === ''))
    wanted.value = option;
  else emit('decide', option, reason.value.trim(), NO_TIME, null, null);
}
function keep(): void {
  if (!chosen.value) return;
  if (!waits(chosen.value))
    return emit('decide', chosen.value, reason.value.trim(), NO_TIME, props.component.decision?.metal ?? null, code.value);
  const read = km.value.trim() === '' ? null : toResult(() => parseQuantity(km.value, 'distance_run', props.distanceUnit).canonical);
  kmWrong.value = read && !read.ok ? read.refusal.message : '';
  if (read && !read.ok) return;
  const until = { reviewOn: on.value || null, untilKm: read?.value ?? null, access: access.value };
  behind.value = props.refusal(until) ?? '';
  if (behind.value === '') emit('decide', chosen.value, reason.value.trim(), until, null, code.value);
}
/** Metals of a bore, each with why it is not honed. */
const METALS = (['iron', 'steel', 'aluminium'] as const).map((m) => ({ value: m, label: METAL_NAME[m], off: whyNotHoned(m) }));
function hone(metal: BoreMaterial): void {
  emit('decide', 'hone', reason.value.trim(), NO_TIME, metal, null);
}
const saysWhen = computed(() => !waits(chosen.value) || on.value !== '' || km.value.trim() !== '' || access.value !== null);
</script>

<template>
  <div class="row" :class="{ picked }">
    <button class="name" type="button" @click="emit('pick')">
      <VerdictMark v-if="component.verdict" :verdict="component.verdict" />
      <b class="plate-font">{{ placeName(component.slot) }}</b>
    </button>
    <span class="because second small">{{ because }}</span>
    <ChoiceRow
      :model-value="chosen"
      :options="options.map((o) => ({ value: o.id, label: o.name, off: o.ruledOut }))"
      :label="`What is done with the ${placeName(component.slot).toLowerCase()}`"
      :disabled="!writable"
      @update:model-value="choose"
    />
    <p v-if="against" class="out small" role="alert">
      <b>Two decisions:</b>
      {{ against }}
      <template v-if="writable">
        <button v-for="d in heads" :key="d.id" class="link" type="button" @click="hold(d)">{{ OPTION_NAME[d.option] }} holds</button>
      </template>
    </p>
    <p v-for="o in out" :key="o.reason" class="out small">{{ o.names }} {{ o.verb }} ruled out. {{ o.reason }}</p>
    <p v-if="proposal && component.decision?.option !== proposal.option" class="out small">
      <b>Trace:</b>
      {{ proposal.because }}
      <button
        v-if="writable && options.some((o) => o.id === proposal?.option && o.ruledOut === null)"
        class="link"
        type="button"
        @click="choose(proposal.option)"
      >
        Decide so
      </button>
    </p>
    <p v-if="warning" class="out small">
      <b>Pair:</b>
      {{ warning }}
    </p>
    <p v-if="writable && component.decision && alike.others.length > 0" class="out small alike">
      <button v-if="alike.across" class="link" type="button" @click="emit('alike', [alike.across])">
        {{ placeName(alike.across.slot) }} alike
      </button>
      <button
        v-if="alike.others.length > (alike.across ? 1 : 0)"
        class="link"
        type="button"
        :aria-label="`All ${alike.others.length} others like the ${placeName(component.slot).toLowerCase()}`"
        @click="emit('alike', alike.others)"
      >
        all {{ alike.others.length }} others alike
      </button>
    </p>
    <div v-if="writable && wanted === 'hone'" class="out metal">
      <span>What metal is the bore? Aluminium is never honed, bare or anodised.</span>
      <ChoiceRow :model-value="component.decision?.metal ?? null" :options="METALS" label="Metal of the bore" @update:model-value="hone" />
    </div>
    <form v-if="writable && ((wanted && wanted !== 'hone') || editing)" class="why" @submit.prevent="keep">
      <v-text-field v-model="reason" v-focus density="compact" :label="wanted ? `Why: ${OPTION_NAME[wanted].toLowerCase()}` : 'Reason'" />
      <v-select v-model="code" density="compact" clearable label="Kind of reason" :items="CODES" />
      <template v-if="waits(chosen)">
        <DayField v-model="on" ahead density="compact" label="Until the day" />
        <v-text-field v-model="km" density="compact" :label="`Until the counter shows (${distanceUnit})`" :error-messages="kmWrong" />
        <v-select v-if="accesses.length > 0" v-model="access" density="compact" clearable label="Until this is open" :items="accesses" />
        <p v-if="behind" class="problem small" role="alert">{{ behind }}</p>
      </template>
      <v-btn
        class="act slim"
        type="submit"
        :disabled="
          wanted || waits(chosen)
            ? reason.trim() === '' || !saysWhen
            : reason.trim() === (component.decision?.reason ?? '') && code === (component.decision?.code ?? null)
        "
      >
        {{ wanted ? OPTION_NAME[wanted] : 'Keep the reason' }}
      </v-btn>
    </form>
    <p v-else-if="component.decision && (says || picked || warning)" class="second small out">
      {{ says }}
      <button
        v-if="writable"
        class="link"
        type="button"
        :aria-label="`Reason for the ${placeName(component.slot).toLowerCase()}`"
        @click="editing = true"
      >
        {{ component.decision.reason ? 'change' : 'give a reason' }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: 2px var(--space-4);
  align-items: center;
  padding: 6px 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.picked {
  background: linear-gradient(90deg, var(--blue-tint) 4px, transparent 4px);
}
.name {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
  background: none;
  border: 0;
  padding: 0 0 0 var(--space-2);
  color: var(--blue);
  cursor: pointer;
  text-align: left;
  font-size: var(--type-caption);
}
.because {
  line-height: 18px;
}
.row > :deep(.choice) {
  grid-column: 1 / -1;
  justify-self: start;
}
.out,
.why {
  grid-column: 1 / -1;
}
.alike {
  display: flex;
  gap: var(--space-4);
}
.metal {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
}
.why {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  gap: var(--space-2);
  max-width: 760px;
  padding: var(--space-3) 0 var(--space-2);
}
.why > :deep(.v-input) {
  flex: 1 1 200px;
}
@media (max-width: 1180px) {
  .row {
    grid-template-columns: 1fr;
  }
  .out,
  .why {
    grid-column: 1;
  }
}
</style>
