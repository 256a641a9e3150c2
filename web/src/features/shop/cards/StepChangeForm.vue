<script setup lang="ts">
import type { CardStep, StepChange } from '@dauer/core/catalogue';
import { SHOP_CARDS } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { minutesOf } from './minutesOf.ts';

/** What the shop does otherwise at a step: its words, its minutes, what lies ready, and what hurts beside what the card says. */
const props = defineProps<{ step: CardStep; before: StepChange | null }>();
const emit = defineEmits<{ said: [change: StepChange]; close: [] }>();
const words = ref(props.before?.words || props.step.words);
const minutes = ref(String(props.before?.minutes ?? props.step.minutes));
const ready = ref(props.before?.ready || props.step.ready);
const hazard = ref(props.before?.hazard ?? '');
const tried = ref(false);
const count = computed(() => minutesOf(minutes.value));
function say(): void {
  tried.value = true;
  if (count.value === null) return;
  const own = (typed: string, shipped: string): string => (typed.trim() === shipped ? '' : typed.trim());
  emit('said', {
    stepId: props.step.id,
    words: own(words.value, props.step.words),
    minutes: count.value === props.step.minutes ? null : count.value,
    ready: own(ready.value, props.step.ready),
    hazard: hazard.value.trim(),
    leftOut: false,
  });
}
</script>

<template>
  <form class="otherwise" :aria-label="`${SHOP_CARDS.change}: ${step.words}`" @submit.prevent="say">
    <p class="wide second small">{{ SHOP_CARDS.why }}: {{ step.why }}</p>
    <v-text-field v-model="words" v-focus class="wide" density="compact" maxlength="400" :label="SHOP_CARDS.words" />
    <v-text-field
      v-model="minutes"
      density="compact"
      inputmode="numeric"
      :label="SHOP_CARDS.minutes"
      :error-messages="tried && count === null ? SHOP_CARDS.minutesWrong : ''"
    />
    <v-text-field v-model="ready" density="compact" maxlength="400" :label="SHOP_CARDS.ready" />
    <v-text-field v-model="hazard" class="wide" density="compact" maxlength="400" :label="SHOP_CARDS.hazard" />
    <div class="acts wide">
      <v-btn class="act slim" type="submit">{{ SHOP_CARDS.done }}</v-btn>
      <v-btn class="act slim" @click="emit('close')">Not now</v-btn>
    </div>
  </form>
</template>

<style scoped src="./stepForm.css"></style>
