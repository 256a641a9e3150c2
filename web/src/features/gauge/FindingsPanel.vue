<script setup lang="ts">
import {
  causeMissing,
  type Component,
  type Finding,
  FINDING_CODES,
  FINDING_VERDICT,
  type FindingCode,
  type FindingSeverity,
  OPTION_NAME,
  type OptionId,
  optionsFor,
  writtenUpLater,
} from '@dauer/core';
import { computed, ref } from 'vue';
import { useJob } from '../../app/job.ts';
import RedactDialog from '../../app/RedactDialog.vue';
import { dayText } from '../../fittings/dates.ts';
import { useSession } from '../../app/session.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import VerdictMark from '../../fittings/VerdictMark.vue';

/** What was seen on a component, in words and with a severity. */
const props = defineProps<{ component: Component }>();
const job = useJob();
const session = useSession();
const text = ref('');
const severity = ref<FindingSeverity>('note');
const cleaning = ref<'before' | 'after'>('after');
const rulesOut = ref<OptionId[]>([]);
const code = ref<FindingCode | null>(null);
const codes = computed(() =>
  (Object.entries(FINDING_CODES) as [FindingCode, (typeof FINDING_CODES)[FindingCode]][]).filter(([, c]) =>
    c.on.includes(props.component.slot.kind),
  ),
);
const black = ref<Finding | null>(null);
/** A name for what was found: others follow from it. */
function call_(c: FindingCode): void {
  code.value = code.value === c ? null : c;
  if (code.value && text.value.trim() === '') text.value = `${FINDING_CODES[code.value].name}.`;
  if (code.value && severity.value === 'note') severity.value = 'reject';
}
const settles = ref<string | null>(null);
const writable = computed(() => job.writable);
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
const answerable = computed(() => props.component.findings.filter((f) => f.severity !== 'note'));
function note(words: string, as: FindingSeverity): void {
  job.add('findings', {
    slotId: props.component.slot.id,
    partId: props.component.part?.id ?? null,
    words,
    code: as === 'note' ? null : code.value,
    severity: as,
    cleaning: cleaning.value,
    rulesOut: as === 'reject' ? rulesOut.value : [],
    settles: settles.value,
  });
  text.value = '';
  severity.value = 'note';
  rulesOut.value = [];
  settles.value = null;
  code.value = null;
}
function toggle(o: OptionId): void {
  rulesOut.value = rulesOut.value.includes(o) ? rulesOut.value.filter((x) => x !== o) : [...rulesOut.value, o];
}
function about(f: Finding): string {
  const cause = causeMissing(f.code, false) ? 'its cause is asked for; ' : '';
  const late = writtenUpLater(f) ? ', written up later' : '';
  const said = `${cause}${f.cleaning === 'before' ? 'before cleaning, ' : ''}${job.who(f.authorId)}, ${dayText(f.happenedAt)}${late}`;
  return f.rulesOut.length > 0 ? `${said}; rules out ${f.rulesOut.map((o) => OPTION_NAME[o].toLowerCase()).join(', ')}` : said;
}
</script>

<template>
  <div class="panel">
    <ul v-if="component.findings.length > 0" class="list">
      <li v-for="f in component.findings" :key="f.id">
        <VerdictMark :verdict="FINDING_VERDICT[f.severity]" />
        <div class="words">
          {{ f.words }}
          <div class="second small">
            {{ about(f) }}
          </div>
        </div>
        <button v-if="writable && f.jobId === job.state?.file.job.id" class="link" type="button" @click="job.takeBack(f.id)">
          Take back
        </button>
        <button v-if="session.may('lead') && f.jobId === job.file?.job.id" class="link" type="button" @click="black = f">Black out</button>
      </li>
    </ul>
    <p v-else class="second empty">
      Nothing has been said of this part yet. A part that nobody looked at is not good: it is not looked at.
    </p>
    <form v-if="writable && !component.empty" class="form" @submit.prevent="text.trim() && note(text.trim(), severity)">
      <ChoiceRow
        v-model="cleaning"
        :options="[
          { value: 'after', label: 'After cleaning' },
          { value: 'before', label: 'Before cleaning' },
        ]"
        label="When it was looked at"
      />
      <button class="act" type="button" @click="note('Looked at, nothing found.', 'note')">Looked at, nothing found</button>
      <div v-if="codes.length > 0" class="wide called">
        <span class="second">Called</span>
        <span class="choice" role="group" aria-label="What it is called">
          <button v-for="[c, facts] in codes" :key="c" type="button" :aria-pressed="code === c" @click="call_(c)">{{ facts.name }}</button>
        </span>
      </div>
      <v-textarea v-model="text" class="wide" label="What was found" />
      <ChoiceRow v-model="severity" :options="SEVERITIES" label="Severity" />
      <span class="second small">{{ MEANS[severity] }}</span>
      <div v-if="severity === 'reject'" class="wide">
        <span class="second">Rules out</span>
        <span class="choice" role="group" aria-label="What it rules out">
          <button
            v-for="o in optionsFor(component.slot.kind).filter((x) => x !== 'replace')"
            :key="o"
            type="button"
            :aria-pressed="rulesOut.includes(o)"
            @click="toggle(o)"
          >
            {{ OPTION_NAME[o] }}
          </button>
        </span>
      </div>
      <v-select
        v-if="answerable.length > 0"
        v-model="settles"
        class="wide"
        clearable
        label="Settles an earlier finding"
        :items="answerable.map((f) => ({ title: f.words, value: f.id }))"
      />
      <button class="act main" type="submit" :disabled="text.trim() === ''">Write it down</button>
    </form>
    <RedactDialog v-if="black" :corrects="black.id" field="words" :text="black.words" @close="black = null" />
  </div>
</template>

<style scoped>
.panel {
  max-width: 860px;
}
.list li {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
}
.words {
  flex: 1;
}
.called {
  display: flex;
  gap: 12px;
  align-items: center;
}
.empty {
  margin: 12px 0;
}
.form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin-top: 16px;
}
.wide {
  flex: 1 1 100%;
}
</style>
