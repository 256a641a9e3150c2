<script setup lang="ts">
import type { SessionState } from '@dauer/core/stages';
import { BRAKE_FLUID_G_PER_ML } from '@dauer/core/hydraulics';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { computed, ref, watch } from 'vue';
import { weighed } from './weighed.ts';
import { useTester } from '../useTester.ts';

/**
 * A scale under the bottle that is drawn into: as often as it has grown by what one stroke moves, a stroke is counted. A bottle that
 * is taken away or emptied is weighed anew.
 */
const props = defineProps<{ state: SessionState }>();
const emit = defineEmits<{ stroke: [] }>();
const scale = useTester(['scale'], () => undefined);
const GRAMS_A_KG = 1000;
const from = ref<number | null>(null);
const listens = computed(() => scale.tag.value !== null && scale.instrument.listening.value === scale.tag.value);
const grams = computed(() => {
  const m = scale.instrument.live.value;
  const read = m && toResult(() => parseQuantity(`${m.text} ${m.unit}`, 'mass', 'g').canonical * GRAMS_A_KG);
  return read?.ok ? read.value : null;
});
const each = computed(() => props.state.stroke.ml * BRAKE_FLUID_G_PER_ML);
watch(grams, (g) => {
  if (g === null || !listens.value) return;
  // Nothing is counted while the next stroke could draw air in: what runs then is weighed once it was filled.
  if (props.state.stops) return;
  const now = weighed(from.value, g, each.value);
  from.value = now.from;
  if (now.stroke) emit('stroke');
});
watch(listens, () => (from.value = null));
</script>

<template>
  <div v-if="scale.items.value.length > 0" class="scale">
    <v-select v-model="scale.tag.value" label="Scale under the bottle" density="compact" :items="scale.items.value" clearable />
    <v-btn
      v-if="scale.tag.value"
      class="act slim"
      :aria-pressed="listens"
      :disabled="!listens && !scale.instrument.speaks.value"
      @click="scale.instrument.listen(!listens)"
    >
      {{ listens ? 'It counts' : 'Let it count' }}
    </v-btn>
    <span v-if="listens" class="fig">{{ grams === null ? 'it is silent' : `${Math.round(grams)} g` }}</span>
    <span v-else-if="scale.tag.value && !scale.instrument.speaks.value" class="second small">It is not switched on.</span>
  </div>
</template>

<style scoped>
.scale {
  margin-top: var(--space-3);
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.scale > :first-child {
  flex: 1 1 220px;
}
</style>
