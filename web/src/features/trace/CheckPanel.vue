<script setup lang="ts">
import { cautionOfCheck } from '@dauer/core/catalogue';
import type { RatedCheck } from '@dauer/core/inference';
import type { Observation } from '@dauer/core/ledger';
import type { PlacedCheck, PlacedSign } from '@dauer/core/stages';
import { adviceWords, askedWords, outcomeWords, toAnswer, type ToTrace } from '@dauer/core/views';
import { computed, shallowRef, watch } from 'vue';

/** A check: its steps, minutes, helpers, tools and caution; its answers; and what each would make of the causes. */
const props = defineProps<{
  input: ToTrace;
  check: PlacedCheck;
  weighed: RatedCheck | null;
  first: boolean;
  writable: boolean;
  /** Worth more by now than the one that stands first. */
  better?: boolean;
}>();
const emit = defineEmits<{ answer: [sign: PlacedSign, state: Observation['state']] }>();
const left = computed(() => toAnswer(props.input, props.check));
/** What was asked here since the card was laid down: a question stays where it stood once it is answered. */
const questions = shallowRef<readonly PlacedSign[]>([]);
watch(
  () => left.value.open,
  (open) => (questions.value = [...questions.value, ...open.filter((s) => !questions.value.some((a) => a.id === s.id))]),
  { immediate: true },
);
const stateOf = (sign: PlacedSign): Observation['state'] => props.input.evidence.observations[sign.id] ?? 'not_checked';
const open = computed(() => left.value.open);
/** Folded or not as it was laid down: an answer folds nothing. */
const unfolded = open.value.length <= (props.first ? 10 : 2);
/** An answer that is pressed once more is taken away. */
function answer(sign: PlacedSign, state: Observation['state']): void {
  emit('answer', sign, stateOf(sign) === state ? 'not_checked' : state);
}
/** What was said no to in one tap, to be undone in one. */
const together = shallowRef<readonly PlacedSign[]>([]);
const wordsOf = (s: PlacedSign): string => (s.sign.text ?? s.text).toLowerCase();
const restWords = computed(() => open.value.map(wordsOf).join('; '));
function noToRest(): void {
  together.value = open.value;
  for (const s of together.value) emit('answer', s, 'not_seen');
}
function undoRest(): void {
  for (const s of together.value) emit('answer', s, 'not_checked');
  together.value = [];
}
const caution = computed(() => cautionOfCheck(props.check.kind.hazards, props.first));
/** As it was foreseen when the card was laid down. */
const outcomes = props.weighed ? outcomeWords(props.input, props.weighed) : [];
const advice = props.weighed ? adviceWords(props.input, props.weighed) : null;
</script>

<template>
  <article class="next" :class="{ first }">
    <div class="title">
      <b class="plate-font">{{ check.name }}</b>
      <span class="second small fig">{{ check.minutes }} min</span>
      <span v-if="check.kind.helpers > 0" class="second small">with a helper</span>
      <span v-if="check.kind.tools" class="second small">{{ check.kind.tools }}</span>
    </div>
    <p class="small">{{ check.kind.steps }}.</p>
    <p v-if="advice" class="advice">{{ advice }}</p>
    <p v-if="caution" class="small caution">
      <b class="plate-font">Caution</b>
      {{ caution }}
    </p>
    <details v-if="questions.length > 0" :open="unfolded">
      <summary class="small second">
        {{ questions.length === 1 ? 'One thing to answer' : `${questions.length} things to answer` }}
        <b v-if="better" class="better plate-font">worth more now</b>
      </summary>
      <div v-for="sign in questions" :key="sign.id" class="ask">
        <span>{{ askedWords(check, sign) }}</span>
        <span v-if="writable" class="acts">
          <v-btn class="act slim" :aria-label="`${sign.text}: yes`" :aria-pressed="stateOf(sign) === 'seen'" @click="answer(sign, 'seen')">
            Yes
          </v-btn>
          <v-btn
            class="act slim"
            :aria-label="`${sign.text}: no`"
            :aria-pressed="stateOf(sign) === 'not_seen'"
            @click="answer(sign, 'not_seen')"
          >
            No
          </v-btn>
        </span>
      </div>
      <v-btn
        v-if="writable && questions.length > 2"
        class="act slim rest"
        :disabled="open.length < 2 && together.length === 0"
        :aria-label="together.length > 0 ? `Said no to ${together.length}: undo` : `No to the other ${open.length}: ${restWords}`"
        @click="together.length > 0 ? undoRest() : noToRest()"
      >
        <span class="count">{{ together.length > 0 ? `Said no to ${together.length}: undo` : `No to the other ${open.length}` }}</span>
        <span v-for="s in questions" :key="s.id" class="name" :class="{ answered: !open.some((o) => o.id === s.id) }">
          {{ wordsOf(s) }}
        </span>
      </v-btn>
    </details>
    <p v-if="left.gauged" class="small second">What is gauged is taken at Gauge; the figures count by themselves.</p>
    <slot />
    <ul v-if="first && outcomes.length > 0" class="small second">
      <li v-for="o in outcomes" :key="o">{{ o }}</li>
    </ul>
  </article>
</template>

<style scoped>
.advice {
  line-height: var(--leading-tight);
  margin: var(--space-1) 0;
}
.next {
  border-bottom: var(--line-hair) solid var(--hair);
  padding: var(--space-2) 0;
}
.next.first {
  border: var(--line-drawn) solid var(--ink);
  border-radius: var(--corner);
  padding: 10px var(--space-3);
  margin-top: var(--space-2);
  background: var(--plate);
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
}
.title b {
  font-size: var(--type-caption);
}
.better {
  float: right;
  color: var(--ink);
}
.caution {
  border-left: 6px solid var(--ink);
  padding-left: 10px;
  margin: var(--space-1) 0;
}
summary {
  min-height: 32px;
  cursor: pointer;
}
.rest {
  height: auto;
  max-width: 100%;
  min-height: var(--touch);
  white-space: normal;
  text-align: left;
  margin: 6px 0 var(--space-2);
}
.rest {
  justify-content: start;
}
.rest :deep(.v-btn__content) {
  display: block;
  text-align: left;
  white-space: normal;
}
.rest .count {
  display: block;
}
.rest .name {
  margin-right: var(--space-2);
  font: 400 var(--type-second) / var(--leading) var(--text-font);
}
.rest .answered {
  color: var(--ink2);
  text-decoration: line-through;
}
.ask .acts {
  flex: none;
  flex-wrap: nowrap;
}
.ask {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  justify-content: space-between;
  min-height: var(--strip);
}
</style>
