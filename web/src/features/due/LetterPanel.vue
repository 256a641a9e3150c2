<script setup lang="ts">
import { type Letter, LETTER_PDF } from '@dauer/contract';
import { LETTER_ANSWER_NAME, LETTER_ANSWERS, LETTER_USUAL, type LetterAnswer } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import { dayText } from '../../fittings/dates.ts';
import type { VehicleBundles } from './dueGroups.ts';

/** A letter to the owner of what falls due: made here, sent by a person, and what was answered. */
const props = defineProps<{ of: VehicleBundles; letter: Letter | null; words: { readonly opening: string; readonly closing: string } }>();
const emit = defineEmits<{ changed: []; close: [] }>();
const session = useSession();
const { run, busy, problem } = useRequest();
const items = computed(() => props.of.bundles.flatMap((b) => b.items));
const ticked = ref(items.value.map((i) => i.key));
const { data: text } = useQuery({
  key: () => ['letter', props.letter?.id ?? ''],
  query: () => call('letterText', { params: { id: props.letter?.id ?? '' } }),
  enabled: () => props.letter !== null,
});
/** Where it goes, or why that is not shown. */
const whereTo = computed(() => {
  if (!text.value) return '';
  if (text.value.contact !== null) return `Contact: ${text.value.contact || 'none on record'}`;
  return session.may('lead')
    ? 'No owner is on record.'
    : 'The owner’s name and contact are shown to leads, and to whom they put on the job.';
});
const copied = ref(false);
const anew = ref(props.letter === null);
async function make(): Promise<void> {
  await run(async () => {
    await call('makeLetter', { body: { id: v7(), vehicleId: props.of.vehicle.vehicleId, keys: ticked.value } });
    anew.value = false;
    copied.value = false;
    emit('changed');
  });
}
const mail = computed(() =>
  text.value ? `mailto:?subject=${encodeURIComponent(text.value.subject)}&body=${encodeURIComponent(text.value.text)}` : '',
);
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(text.value?.text ?? '');
  copied.value = true;
}
const day = ref(props.letter?.answer?.on ?? '');
const ANSWERS = LETTER_ANSWERS.map((value) => ({ value, label: LETTER_ANSWER_NAME[value] }));
async function answer(a: LetterAnswer): Promise<void> {
  const { letter } = props;
  if (!letter) return;
  await run(async () => {
    await call('answerLetter', { params: { id: letter.id }, body: { id: v7(), answer: a, on: day.value === '' ? null : day.value } });
    emit('changed');
  });
}
const opening = ref(props.words.opening);
const closing = ref(props.words.closing);
watch(
  () => props.words,
  (w) => {
    opening.value = w.opening;
    closing.value = w.closing;
  },
);
async function keepWords(): Promise<void> {
  await run(async () => {
    await call('saveLetterWords', { body: { id: v7(), opening: opening.value, closing: closing.value } });
    emit('changed');
  });
}
</script>

<template>
  <section class="letter" :aria-label="`Letter to the owner of ${of.vehicle.tag}`">
    <template v-if="anew">
      <fieldset class="items">
        <legend class="second small">What it names</legend>
        <label v-for="i in items" :key="i.key" class="tick">
          <input v-model="ticked" type="checkbox" :value="i.key" />
          {{ i.what }}
        </label>
      </fieldset>
      <p class="acts">
        <v-btn class="act main" :loading="busy" :disabled="ticked.length === 0" @click="make">Make the letter</v-btn>
        <v-btn class="act" @click="letter ? (anew = false) : emit('close')">Leave it</v-btn>
      </p>
    </template>
    <template v-else-if="letter">
      <p class="second small">
        Made {{ dayText(letter.madeAt) }}. Dauer sends nothing: print it, or copy it into a mail.
        {{ whereTo }}
      </p>
      <pre v-if="text" class="text">{{ text.text }}</pre>
      <p class="acts">
        <v-btn class="act main" :href="LETTER_PDF.path.replace(':id', letter.id)" target="_blank" rel="noopener">Print the letter</v-btn>
        <v-btn class="act" :disabled="!text" @click="copy">{{ copied ? 'Copied' : 'Copy the text' }}</v-btn>
        <v-btn class="act" :disabled="!text" :href="mail">In the mail program</v-btn>
        <v-btn class="act" @click="anew = true">Another letter</v-btn>
        <v-btn class="act" @click="emit('close')">Close</v-btn>
      </p>
      <h3>What the owner answered</h3>
      <div class="answer">
        <v-text-field v-model="day" type="date" label="On which day, if one was named" density="compact" />
        <ChoiceRow
          :model-value="letter.answer?.answer ?? null"
          :options="ANSWERS"
          :disabled="busy"
          label="What the owner answered"
          @update:model-value="answer"
        />
      </div>
    </template>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <details v-if="session.may('lead')" class="words">
      <summary>Words of the shop</summary>
      <v-textarea
        v-model="opening"
        label="Before what is due"
        :placeholder="LETTER_USUAL.opening"
        persistent-placeholder
        rows="2"
        auto-grow
      />
      <v-textarea v-model="closing" label="After it" :placeholder="LETTER_USUAL.closing" persistent-placeholder rows="3" auto-grow />
      <v-btn
        class="act slim"
        :loading="busy"
        :disabled="opening.trim() === words.opening && closing.trim() === words.closing"
        @click="keepWords"
      >
        Keep these words
      </v-btn>
      <span class="second small">For letters made from now on.</span>
    </details>
  </section>
</template>

<style scoped>
.letter {
  grid-column: 1 / -1;
  border: var(--line-hair) solid var(--slate);
  border-radius: var(--corner);
  padding: var(--space-3) var(--space-4);
}
h3 {
  margin: var(--space-4) 0 var(--space-3);
}
.items {
  border: 0;
  padding: 0;
}
.tick {
  display: flex;
  gap: var(--space-2);
  min-height: 32px;
  align-items: center;
}
.text {
  font: inherit;
  white-space: pre-wrap;
  max-width: 72ch;
  padding: var(--space-3);
  background: var(--plate);
  margin: var(--space-2) 0;
}
.answer {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: flex-start;
}
.answer > :deep(.v-input) {
  flex: 0 1 260px;
}
.words {
  margin-top: var(--space-3);
}
</style>
