<script setup lang="ts">
import { type ComponentKind, fixed, type Judged, type MeasurementId, runoutOf } from '@dauer/core';
import { computed } from 'vue';
import DrumField from './DrumField.vue';
import PadField from './PadField.vue';
import RotorRing from './RotorRing.vue';
import SweepChart from './SweepChart.vue';
import type { Field } from './useBenchFigures.ts';

/** What is being measured, drawn as itself, with the figures where they were taken. */
const props = defineProps<{
  kind: ComponentKind;
  measurement: MeasurementId;
  fieldOf: (id: MeasurementId) => Field;
  judged: readonly Judged[];
  now: number;
  live: string | null;
}>();
const emit = defineEmits<{ go: [id: MeasurementId, index: number] }>();
const own = computed(() => props.fieldOf(props.measurement));
const ring = computed(() => props.fieldOf('rotor_thickness'));
const sweep = computed(() => props.fieldOf('rotor_runout'));
const figureOf = (id: Judged['characteristic']['id']): Judged | undefined => props.judged.find((j) => j.characteristic.id === id);
const variation = computed(() => {
  const j = figureOf('rotor_thickness_variation');
  return j ? fixed(j.reduced.value, j.reduced.decimals) : null;
});
const limit = computed(() => {
  const bound = figureOf('rotor_runout')?.bound;
  return bound?.kind === 'upper' ? bound.at : null;
});
const nowIn = (id: MeasurementId): number => (props.measurement === id ? props.now : -1);
</script>

<template>
  <div class="drawing" :class="{ rotor: kind === 'rotor' }">
    <template v-if="kind === 'rotor'">
      <figure>
        <figcaption class="plate-font">
          Thickness at {{ ring.positions.length }} positions
          <span class="second small">mm</span>
        </figcaption>
        <RotorRing
          :positions="ring.positions"
          :taken="ring.taken"
          :now="nowIn('rotor_thickness')"
          :decimals="ring.decimals"
          :variation="variation"
          :live="measurement === 'rotor_thickness' ? live : null"
          @go="(i) => emit('go', 'rotor_thickness', i)"
        />
      </figure>
      <figure>
        <figcaption class="plate-font">
          Runout over one turn
          <span class="second small">mm</span>
        </figcaption>
        <SweepChart
          :positions="sweep.positions"
          :taken="sweep.taken"
          :runout="runoutOf(sweep.taken)"
          :limit="limit"
          :now="nowIn('rotor_runout')"
          :past="figureOf('rotor_runout')?.verdict === 'past'"
          @go="(i) => emit('go', 'rotor_runout', i)"
        />
      </figure>
    </template>
    <DrumField
      v-else-if="measurement === 'drum_diameter'"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      @go="(i) => emit('go', measurement, i)"
    />
    <PadField
      v-else
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      @go="(i) => emit('go', measurement, i)"
    />
  </div>
</template>

<style scoped>
.rotor {
  display: grid;
  grid-template-columns: minmax(0, 11fr) minmax(0, 15fr);
  gap: 16px;
}
figcaption {
  font-size: 18px;
  line-height: 22px;
}
@media (max-width: 720px) {
  .rotor {
    grid-template-columns: 1fr;
  }
}
</style>
