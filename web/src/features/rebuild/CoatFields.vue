<script setup lang="ts">
import { COAT_WAYS, type CoatWay, type Gloss, GLOSSES, MOST_COATS } from '@dauer/core/ledger';
import { COAT_WAY_NAME, FINISH_FIELD, GLOSS_NAME } from '@dauer/core/wording';
import { computed, ref, watchEffect } from 'vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import type { CoatSaid } from './coatSaid.ts';

/** What a finish is: how it went on, colour and gloss, how many coats, what went with it; null while the coats cannot be read. */
const said = defineModel<CoatSaid | null>({ required: true });
const way = ref<CoatWay>('unknown');
const gloss = ref<Gloss>('unknown');
const [colour, coats, batch] = [ref(''), ref(''), ref('')];
const count = computed(() => (/^\d{1,2}$/.test(coats.value.trim()) ? Number(coats.value) : null));
const wrong = computed(() => coats.value.trim() !== '' && (count.value === null || count.value < 1 || count.value > MOST_COATS));
watchEffect(() => {
  said.value = wrong.value
    ? null
    : { way: way.value, gloss: gloss.value, colour: colour.value.trim(), coats: count.value, batch: batch.value.trim() };
});
</script>

<template>
  <div class="finish">
    <ChoiceRow v-model="way" :label="FINISH_FIELD.way" :options="COAT_WAYS.map((value) => ({ value, label: COAT_WAY_NAME[value] }))" />
    <ChoiceRow v-model="gloss" :label="FINISH_FIELD.gloss" :options="GLOSSES.map((value) => ({ value, label: GLOSS_NAME[value] }))" />
    <v-text-field v-model="colour" density="compact" maxlength="60" :label="FINISH_FIELD.colour" />
    <v-text-field
      v-model="coats"
      density="compact"
      inputmode="numeric"
      :label="FINISH_FIELD.coats"
      :error-messages="wrong ? FINISH_FIELD.coatsWrong : ''"
    />
    <v-text-field v-model="batch" density="compact" maxlength="60" :label="FINISH_FIELD.batch" />
  </div>
</template>

<style scoped>
.finish {
  flex: 1 1 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-3);
  align-items: flex-start;
}
.finish > :deep(.v-input) {
  flex: 1 1 160px;
}
</style>
