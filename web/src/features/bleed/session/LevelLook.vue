<script setup lang="ts">
import { readTold } from '@dauer/core/quantity';
import type { SessionState } from '@dauer/core/stages';
import { computed, ref } from 'vue';
import { refusalOf } from '../../../fittings/refusal.ts';

/** A look at the real level: asked when a quarter has gone, and it corrects what a stroke is taken to move. */
const props = defineProps<{
  state: SessionState;
  /** Keeps the level that was seen, mL; false where it cannot be. */
  seen: (levelMl: number) => boolean;
}>();
const emit = defineEmits<{ fill: [] }>();
const level = ref('');
const wrong = computed(() => (level.value === '' ? '' : refusalOf(() => readTold('bled', level.value, 'mL'))));
function look(): void {
  if (level.value.trim() === '' || wrong.value !== '') return;
  if (props.seen(readTold('bled', level.value, 'mL').canonical)) level.value = '';
}
</script>

<template>
  <form class="look" @submit.prevent="look">
    <p v-if="state.lookWanted" class="small">
      <b>A quarter has gone:</b>
      what is really in it?
    </p>
    <v-text-field v-model="level" label="Level as seen, mL" placeholder="120" inputmode="decimal" :error-messages="wrong" />
    <v-btn class="act" type="submit" :class="{ main: state.lookWanted && !state.stops }">Seen</v-btn>
    <v-btn class="act" @click="emit('fill')">
      Filled up
      <kbd>r</kbd>
    </v-btn>
  </form>
</template>

<style scoped>
.look {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  gap: var(--space-2);
  align-items: start;
}
.look p,
.look > :deep(.v-input) {
  grid-column: 1 / -1;
}
kbd {
  margin-left: 6px;
  font: 400 var(--type-least)/var(--leading-tight) var(--figure-font);
}
</style>
