<script setup lang="ts">
import { observationFacts } from '@dauer/core/catalogue';
import type { Corner } from '@dauer/core/layout';
import type { Observation } from '@dauer/core/ledger';
import type { PlacedSign } from '@dauer/core/stages';
import type { ToTrace } from '@dauer/core/views';
import { computed, ref } from 'vue';
import CheckPanel from './CheckPanel.vue';
import TriAnswer from './TriAnswer.vue';

/** What checks have answered, to be put right; and any other check that can be done now, whether it is proposed or not. */
const props = defineProps<{
  input: ToTrace;
  writable: boolean;
  stateOf: (code: string, corner: Corner | null) => Observation['state'];
}>();
const emit = defineEmits<{ answer: [sign: PlacedSign, state: Observation['state']] }>();
/** Those that stand nowhere else: the list below asks for what is felt and seen. */
const answered = computed(() =>
  props.input.network.observations.filter(
    (s) => s.sign.known === 'checked' && observationFacts(s.sign.code) === undefined && props.stateOf(s.code, s.corner) !== 'not_checked',
  ),
);
const find = ref('');
const MOST = 6;
const found = computed(() => {
  const words = (find.value ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  return props.input.checks
    .filter((c) => words.every((w) => `${c.name} ${c.kind.steps} ${c.kind.tools ?? ''}`.toLowerCase().includes(w)))
    .slice(0, MOST);
});
</script>

<template>
  <details class="checks">
    <summary>Checks done, and others</summary>
    <ul v-if="answered.length > 0" aria-label="Answered by checks">
      <li v-for="s in answered" :key="s.id">
        <span class="text">{{ s.text }}</span>
        <TriAnswer :label="s.text" :state="stateOf(s.code, s.corner)" :writable="writable" @answer="(state) => emit('answer', s, state)" />
      </li>
    </ul>
    <v-text-field v-model="find" class="find" label="Find a check" clearable @click:clear="find = ''" />
    <p v-if="find && found.length === 0" class="second">No check that can be done now reads like “{{ find }}”.</p>
    <CheckPanel
      v-for="c in found"
      :key="c.id"
      :input="input"
      :check="c"
      :weighed="null"
      :first="false"
      :writable="writable"
      @answer="(sign, state) => emit('answer', sign, state)"
    />
  </details>
</template>

<style scoped>
.checks {
  margin: var(--space-2) 0 var(--space-4);
  max-width: 720px;
}
summary {
  min-height: var(--touch);
  cursor: pointer;
  font: 600 var(--type-caption)/var(--leading) var(--plate-font);
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2);
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: 52px;
}
.text {
  flex: 1 1 240px;
  line-height: var(--leading-tight);
}
.find {
  max-width: 320px;
  margin-top: var(--space-2);
}
</style>
