<script setup lang="ts">
import type { MeasurementId } from '@dauer/core/catalogue';
import type { Judged } from '@dauer/core/judging';
import { runoutOf } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';
import RotorRing from './RotorRing.vue';
import SweepChart from './SweepChart.vue';
import type { Field } from './useBenchFigures.ts';

/** A rotor: its thickness round the ring, and beside it its runout over one turn, whichever of the two is in hand. */
const props = defineProps<{
  measurement: MeasurementId;
  ring: Field;
  sweep: Field;
  judged: readonly Judged[];
  now: number;
  live: string | null;
}>();
const emit = defineEmits<{ goTo: [id: MeasurementId, index: number] }>();
const figureOf = (id: Judged['characteristic']['id']): Judged | undefined => props.judged.find((j) => j.characteristic.id === id);
const variation = computed(() => {
  const j = figureOf('rotor_thickness_variation');
  return j ? fixed(j.reduced.value, j.reduced.decimals) : null;
});
const runout = computed(() => props.judged.find((j) => j.characteristic.role === 'runout'));
const limit = computed(() => (runout.value?.bound.kind === 'upper' ? runout.value.bound.at : null));
const nowIn = (id: MeasurementId): number => (props.measurement === id ? props.now : -1);
</script>

<template>
  <div class="rotor">
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
        name="Thickness round the rotor"
        :live="measurement === 'rotor_thickness' ? live : null"
        @go="(i) => emit('goTo', 'rotor_thickness', i)"
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
        :past="runout?.verdict === 'past'"
        @go="(i) => emit('goTo', 'rotor_runout', i)"
      />
    </figure>
  </div>
</template>

<style scoped>
.rotor {
  display: grid;
  grid-template-columns: minmax(0, 11fr) minmax(0, 15fr);
  gap: var(--space-4);
}
figcaption {
  font-size: var(--type-caption);
  line-height: 22px;
}
@media (max-width: 720px) {
  .rotor {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
