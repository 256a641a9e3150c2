<script setup lang="ts">
import { computed } from 'vue';
import type { useTester } from './useTester.ts';

/** Which tester or scale of the rack is listened to, and what it shows. */
const props = defineProps<{ tester: ReturnType<typeof useTester>; label: string; start: string; listening: string; shows: string }>();
const { tag, items, instrument, listens } = props.tester;
const silent = computed(() => tag.value !== null && !listens.value && !instrument.speaks.value);
</script>

<template>
  <div v-if="items.length > 0" class="tester">
    <v-select v-model="tag" :label="label" density="compact" :items="items" clearable />
    <v-btn
      v-if="tag"
      class="act"
      :aria-pressed="listens"
      :disabled="!listens && !instrument.speaks.value"
      @click="instrument.listen(!listens)"
    >
      {{ listens ? listening : start }}
    </v-btn>
    <span v-if="listens" class="fig" aria-live="polite">{{ shows || 'it is silent' }}</span>
    <span v-if="silent" class="second small">It is not switched on.</span>
  </div>
</template>

<style scoped>
.tester {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  margin-top: var(--space-3);
}
.tester > :first-child {
  flex: 1 1 220px;
  max-width: 320px;
}
</style>
