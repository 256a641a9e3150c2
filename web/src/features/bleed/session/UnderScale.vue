<script setup lang="ts">
import type { SessionState } from '@dauer/core/stages';
import { BRAKE_FLUID_G_PER_ML } from '@dauer/core/hydraulics';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { computed, ref, watch } from 'vue';
import { weighed } from './weighed.ts';
import TesterPick from '../../../job/TesterPick.vue';
import { useTester } from '../../../job/useTester.ts';

/**
 * A scale under the bottle that is drawn into: as often as it has grown by what one stroke moves, a stroke is counted. A bottle that
 * is taken away or emptied is weighed anew.
 */
const props = defineProps<{ state: SessionState }>();
const emit = defineEmits<{ stroke: [] }>();
const scale = useTester(['scale'], () => undefined);
const GRAMS_A_KG = 1000;
const from = ref<number | null>(null);
const { listens } = scale;
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
  <TesterPick
    :tester="scale"
    label="Scale under the bottle"
    start="Let it count"
    listening="It counts"
    :shows="grams === null ? '' : `${Math.round(grams)} g`"
  />
</template>
