<script setup lang="ts">
import { placeName, type Slot } from '@dauer/core/layout';
import { COAT_STATES, type CoatState } from '@dauer/core/ledger';
import { finishOf, whyNotLookedAt } from '@dauer/core/readiness';
import { COAT_STATE_NAME, FINISH_FIELD, finishWords } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import ChoiceRow from '../fittings/ChoiceRow.vue';
import { dayText } from '../fittings/dates.ts';
import { useOpenJob } from './openJob.ts';

/** The finish that a part was given, how it looked since, and how it looks now. */
const props = defineProps<{ slotOf: Slot; partId: string; writable: boolean }>();
const job = useOpenJob();
const finish = computed(() => finishOf(job.history, props.partId));
const state = ref<CoatState | null>(null);
const note = ref('');
const asking = ref(false);
const open = computed(() => props.writable && (finish.value?.asksLook === true || asking.value));
const refused = computed(() =>
  state.value === null || !finish.value
    ? ''
    : (whyNotLookedAt(job.history, { eventId: finish.value.coated.id, state: state.value, note: note.value }) ?? ''),
);
function say(): void {
  if (!finish.value || state.value === null || refused.value !== '') return;
  job.add('coatLooks', { eventId: finish.value.coated.id, state: state.value, note: note.value.trim() });
  [state.value, note.value, asking.value] = [null, '', false];
}
</script>

<template>
  <div v-if="finish" class="finish small">
    <p>
      {{ finishWords(finish.coated.lot ?? finish.coated.note, finish.coat, finish.cured) }}.
      <button v-if="writable && !open" class="link" type="button" @click="asking = true">{{ FINISH_FIELD.asks(placeName(slotOf)) }}</button>
    </p>
    <ul v-if="finish.looks.length > 0">
      <li v-for="l in finish.looks" :key="l.id">
        <b>{{ COAT_STATE_NAME[l.state] }}</b>
        {{ l.note }}
        <span class="second">{{ job.by(l) }}, {{ dayText(l.happenedAt) }}</span>
      </li>
    </ul>
    <form v-if="open" class="look" :aria-label="FINISH_FIELD.asks(placeName(slotOf))" @submit.prevent="say">
      <b>{{ FINISH_FIELD.asks(placeName(slotOf)) }}</b>
      <ChoiceRow
        v-model="state"
        :label="FINISH_FIELD.asks(placeName(slotOf))"
        :options="COAT_STATES.map((value) => ({ value, label: COAT_STATE_NAME[value] }))"
      />
      <v-text-field
        v-if="state !== null && state !== 'sound'"
        v-model="note"
        v-focus
        density="compact"
        maxlength="300"
        :label="FINISH_FIELD.note"
      />
      <v-btn class="act slim" type="submit" :disabled="state === null || refused !== ''">{{ FINISH_FIELD.keep }}</v-btn>
      <v-btn v-if="asking" class="act slim" @click="asking = false">{{ FINISH_FIELD.not }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.finish {
  flex: 1 1 100%;
}
.finish ul {
  list-style: none;
  padding: 0;
}
.look {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-3);
  align-items: center;
  padding: var(--space-2) 0;
}
.look > :deep(.v-input) {
  flex: 1 1 240px;
}
</style>
