<script setup lang="ts">
import { ENDS_PLACE, type FindingSeverity, type KnownFinding, OPTION_NAME, type OptionId, optionsFor, RENEWS } from '@dauer/core/catalogue';
import { whyNotSettled } from '@dauer/core/readiness';
import type { Component } from '@dauer/core/judging';
import type { Finding } from '@dauer/core/ledger';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useSession } from '../../app/session.ts';
import { useOpenJob } from '../../job/openJob.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import OwnFinding from './OwnFinding.vue';
import { useFindingCatalogue } from './useFindingCatalogue.ts';

/** Writes down what was seen: by its name where it has one, where on the part, how bad, and what it rules out. */
const props = defineProps<{ component: Component }>();
const job = useOpenJob();
const session = useSession();
/** Done in this shop: its cost is the shop's own. */
const doneHere = ref('');
const here = ref(false);
const kind = computed(() => props.component.slot.kind);
const { known, refetch } = useFindingCatalogue(kind);
const entry = ref<KnownFinding | null>(null);
const text = ref('');
const place = ref('');
const from = ref('');
const to = ref('');
const depth = ref('');
const severity = ref<FindingSeverity>('note');
const cleaning = ref<'before' | 'after'>('after');
const rulesOut = ref<readonly OptionId[]>([]);
const settles = ref<string | null>(null);
const problem = ref('');
const adding = ref(false);
const SEVERITIES: readonly { value: FindingSeverity; label: string }[] = [
  { value: 'note', label: 'Note' },
  { value: 'watch', label: 'Watch' },
  { value: 'doubt', label: 'Doubt' },
  { value: 'reject', label: 'Reject' },
];
const MEANS: Record<FindingSeverity, string> = {
  note: 'Written down; counts as holding.',
  watch: 'Goes on the hand-back sheet.',
  doubt: 'Needs a further look that settles it; blocks until then.',
  reject: 'Past. Name what it rules out.',
};
const options = computed(() => optionsFor(kind.value).filter((o) => !RENEWS.includes(o) && !ENDS_PLACE.includes(o) && o !== 'for_now'));
const answerable = computed<readonly Finding[]>(() => props.component.findings.filter((f) => f.severity !== 'note'));
/** A name for what was found: how bad it mostly is and what it rules out come with it, and may be changed. */
function pick(k: KnownFinding): void {
  const again = entry.value?.id === k.id;
  const stood = entry.value ? `${entry.value.name}.` : '';
  entry.value = again ? null : k;
  if (text.value.trim() === '' || text.value === stood) text.value = again ? '' : `${k.name}.`;
  severity.value = again ? 'note' : k.severity;
  rulesOut.value = again ? [] : k.rulesOut.filter((o) => options.value.some((x) => x === o));
}
function toggle(o: OptionId): void {
  rulesOut.value = rulesOut.value.includes(o) ? rulesOut.value.filter((x) => x !== o) : [...rulesOut.value, o];
}
const mm = (typed: string): number | null => (typed.trim() === '' ? null : parseQuantity(typed, 'length', 'mm').canonical);
function lookedAt(): void {
  add({ words: 'Looked at, nothing found.', severity: 'note', code: null, entry: null });
}
function add(
  said: Pick<Finding, 'words' | 'severity' | 'code' | 'entry'> & Omit<Partial<Finding>, 'rulesOut'>,
  ruled: readonly OptionId[] = [],
): void {
  const body = { slotId: props.component.slot.id, settles: settles.value, cleaning: cleaning.value, fromMm: null, toMm: null, ...said };
  problem.value = whyNotSettled(job.history, { ...body, authorId: session.person?.id ?? '' }) ?? '';
  if (problem.value) return;
  job.add('findings', {
    slotId: props.component.slot.id,
    partId: props.component.part?.id ?? props.component.bench,
    cleaning: cleaning.value,
    rulesOut: [...ruled],
    settles: settles.value,
    doneHere: here.value ? doneHere.value.trim() || 'not said by whom' : null,
    ...said,
  });
  entry.value = null;
  text.value = '';
  place.value = '';
  from.value = '';
  to.value = '';
  depth.value = '';
  severity.value = 'note';
  rulesOut.value = [];
  settles.value = null;
  here.value = false;
  doneHere.value = '';
  problem.value = '';
}
function writeDown(): void {
  if (text.value.trim() === '') return;
  const read = toResult(() => ({ fromMm: mm(from.value), toMm: mm(to.value), depthMm: mm(depth.value) }));
  if (!read.ok) {
    problem.value = read.refusal.message;
    return;
  }
  const { fromMm, toMm } = read.value;
  if ((fromMm === null) !== (toMm === null)) {
    problem.value = 'A stretch has both its ends: where it begins and where it ends.';
    return;
  }
  if (fromMm !== null && toMm !== null && fromMm > toMm) {
    problem.value = 'A stretch begins before it ends: the smaller figure comes first.';
    return;
  }
  add(
    {
      ...read.value,
      words: text.value.trim(),
      code: severity.value === 'note' ? null : (entry.value?.code ?? null),
      entry: entry.value?.id ?? null,
      place: place.value.trim() === '' ? null : place.value.trim(),
      severity: severity.value,
    },
    severity.value === 'reject' ? rulesOut.value : [],
  );
}
function added(): void {
  adding.value = false;
  void refetch();
}
</script>

<template>
  <form class="form" @submit.prevent="writeDown">
    <ChoiceRow
      v-model="cleaning"
      :options="[
        { value: 'after', label: 'After cleaning' },
        { value: 'before', label: 'Before cleaning' },
      ]"
      label="When it was looked at"
    />
    <v-btn class="act" @click="lookedAt">Looked at, nothing found</v-btn>
    <div class="wide known">
      <v-btn v-for="k in known" :key="k.id" class="act slim" :aria-pressed="entry?.id === k.id" @click="pick(k)">
        {{ k.name }}
      </v-btn>
      <button type="button" class="link" @click="adding = true">Another of our own …</button>
    </div>
    <p v-if="entry" class="wide about">
      {{ entry.looks }}
      <span class="second">{{ entry.matters }}</span>
    </p>
    <v-textarea v-model="text" class="wide" label="What was found" />
    <v-text-field v-model="place" class="where" label="Where on it" />
    <template v-if="entry?.stretch">
      <v-text-field v-model="from" class="short" :label="kind === 'piston' ? 'From the outer face, mm' : 'From the mouth, mm'" />
      <v-text-field v-model="to" class="short" label="To, mm" />
      <v-text-field v-model="depth" class="short" label="Deep, mm" />
    </template>
    <ChoiceRow v-model="severity" :options="SEVERITIES" label="Severity" />
    <span class="second small">{{ MEANS[severity] }}</span>
    <div v-if="severity === 'reject'" class="wide">
      <span class="second">Rules out</span>
      <v-btn-group class="choice" role="group" aria-label="What it rules out">
        <v-btn v-for="o in options" :key="o" :aria-pressed="rulesOut.includes(o)" @click="toggle(o)">
          {{ OPTION_NAME[o] }}
        </v-btn>
      </v-btn-group>
    </div>
    <v-select
      v-if="answerable.length > 0"
      v-model="settles"
      class="wide"
      clearable
      label="Settles an earlier finding"
      :items="answerable.map((f) => ({ title: f.words, value: f.id }))"
    />
    <v-checkbox v-model="here" class="wide" label="Done here: its cost is the shop’s" />
    <v-text-field v-if="here" v-model="doneHere" class="wide" label="By whom, and at which step" />
    <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
    <div class="ends wide">
      <v-btn class="act main" type="submit" :disabled="text.trim() === ''">Write it down</v-btn>
    </div>
    <OwnFinding v-if="adding" :kind="kind" :severities="SEVERITIES" @close="adding = false" @added="added" />
  </form>
</template>

<style scoped>
.form {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  margin-top: var(--space-4);
}
.wide {
  flex: 1 1 100%;
}
.known {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.known :deep(.v-btn) {
  height: auto;
  max-width: 100%;
  min-height: var(--touch);
  white-space: normal;
}
.known [aria-pressed='true'] {
  background: var(--blue-tint);
  color: var(--ink);
}
.about {
  border-left: var(--line-chosen) solid var(--blue);
  padding-left: var(--space-3);
}
.where {
  flex: 1 1 220px;
}
.short {
  flex: 0 1 170px;
}
</style>
