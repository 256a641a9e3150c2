<script setup lang="ts">
import { SHOP_STEP_KINDS, type ShopStep, type StepGroup } from '@dauer/core/catalogue';
import { SHOP_CARDS, STEP_KIND_NAME } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import ChoiceRow from '../../../fittings/ChoiceRow.vue';
import { minutesOf } from './minutesOf.ts';

/** A step of the shop's own: what is done and why, how long it takes, what lies ready, and whether a unit is complete without it. */
const props = defineProps<{ id: string; group: StepGroup; after: string | null; before: ShopStep | null }>();
const emit = defineEmits<{ said: [step: ShopStep]; close: [] }>();
const words = ref(props.before?.words ?? '');
const why = ref(props.before?.why ?? '');
const minutes = ref(String(props.before?.minutes ?? 5));
const ready = ref(props.before?.ready ?? '');
const hazard = ref(props.before?.hazard ?? '');
const kind = ref<ShopStep['kind']>(props.before?.kind ?? 'do');
const obliged = ref(props.before?.obliged ?? true);
const second = ref(props.before?.second ?? false);
const tried = ref(false);
const LEAST = 3;
const count = computed(() => minutesOf(minutes.value));
const isSaid = (text: string): boolean => text.trim().length >= LEAST;
function say(): void {
  tried.value = true;
  if (count.value === null || !isSaid(words.value) || !isSaid(why.value)) return;
  emit('said', {
    ...{ id: props.id, after: props.after, group: props.group, kind: kind.value, minutes: count.value },
    ...{ words: words.value.trim(), why: why.value.trim(), ready: ready.value.trim(), hazard: hazard.value.trim() },
    ...{ obliged: obliged.value, second: second.value },
  });
}
</script>

<template>
  <form :aria-label="SHOP_CARDS.own" @submit.prevent="say">
    <v-text-field
      v-model="words"
      v-focus
      class="wide"
      density="compact"
      maxlength="400"
      :label="SHOP_CARDS.words"
      :error-messages="tried && !isSaid(words) ? SHOP_CARDS.ownIncomplete : ''"
    />
    <v-text-field
      v-model="why"
      class="wide"
      density="compact"
      maxlength="400"
      :label="SHOP_CARDS.why"
      :error-messages="tried && !isSaid(why) ? SHOP_CARDS.ownIncomplete : ''"
    />
    <v-text-field
      v-model="minutes"
      density="compact"
      inputmode="numeric"
      :label="SHOP_CARDS.minutes"
      :error-messages="tried && count === null ? SHOP_CARDS.minutesWrong : ''"
    />
    <v-text-field v-model="ready" density="compact" maxlength="400" :label="SHOP_CARDS.ready" />
    <v-text-field v-model="hazard" class="wide" density="compact" maxlength="400" :label="SHOP_CARDS.ownHazard" />
    <div class="ticks wide">
      <ChoiceRow v-model="kind" :options="SHOP_STEP_KINDS.map((k) => ({ value: k, label: STEP_KIND_NAME[k] }))" :label="SHOP_CARDS.kind" />
      <v-checkbox v-model="obliged" density="compact" hide-details :label="SHOP_CARDS.obliged" />
      <v-checkbox v-model="second" density="compact" hide-details :label="SHOP_CARDS.second" />
    </div>
    <div class="acts wide">
      <v-btn class="act slim" type="submit">{{ SHOP_CARDS.done }}</v-btn>
      <v-btn class="act slim" @click="emit('close')">Not now</v-btn>
    </div>
  </form>
</template>

<style scoped src="./stepForm.css"></style>
