<script setup lang="ts">
import { type MeasurementId, MEASUREMENTS } from '@dauer/core/catalogue';
import { type Component, honing, type Judged, sealZone } from '@dauer/core/judging';
import { placeName } from '@dauer/core/layout';
import { runoutOf } from '@dauer/core/metrology';
import { fixed, unitOf } from '@dauer/core/quantity';
import { computed } from 'vue';
import { useJob } from '../../app/job.ts';
import BoreField from './BoreField.vue';
import DrumField from './DrumField.vue';
import PadField from './PadField.vue';
import PistonField from './PistonField.vue';
import RotorRing from './RotorRing.vue';
import ShoesField from './ShoesField.vue';
import SketchField from './SketchField.vue';
import SweepChart from './SweepChart.vue';
import type { Field } from './useBenchFigures.ts';

/** What is being measured, drawn as itself, with the figures where they were taken. */
const props = defineProps<{
  component: Component;
  measurement: MeasurementId;
  fieldOf: (id: MeasurementId) => Field;
  judged: readonly Judged[];
  now: number;
  live: string | null;
  /** Clearance of the shoes at each position, before and after a setting. */
  clearance: readonly { readonly before: number; readonly after: number | null }[] | null;
}>();
const emit = defineEmits<{ go: [id: MeasurementId, index: number] }>();
const job = useJob();
const own = computed(() => props.fieldOf(props.measurement));
const ring = computed(() => props.fieldOf('rotor_thickness'));
const sweep = computed(() => props.fieldOf('rotor_runout'));
const facts = computed(() => MEASUREMENTS[props.measurement]);
const figureOf = (id: Judged['characteristic']['id']): Judged | undefined => props.judged.find((j) => j.characteristic.id === id);
const variation = computed(() => {
  const j = figureOf('rotor_thickness_variation');
  return j ? fixed(j.reduced.value, j.reduced.decimals) : null;
});
const limitOf = (id: Judged['characteristic']['id']): number | null => {
  const bound = figureOf(id)?.bound;
  return bound?.kind === 'upper' ? bound.at : null;
};
const nowIn = (id: MeasurementId): number => (props.measurement === id ? props.now : -1);
const pair = computed(() => props.measurement === 'rotor_thickness' || props.measurement === 'rotor_runout');
/** A sweep under a dial: its readings round, and the radii that go with it. */
const swept = computed(() => facts.value.frame === 'hub_stud' && !pair.value);
const round = computed(() => own.value.positions.filter((p) => p.angleDeg !== null));
const named = computed(() => own.value.positions.filter((p) => p.angleDeg === null));
const seal = computed(() => (props.component.slot.kind === 'piston' && job.book ? sealZone(job.book, props.component.slot) : null));
const bore = computed(() => (facts.value.frame === 'bore' && job.book ? honing(job.book, props.component.slot, 'iron') : null));
</script>

<template>
  <div class="drawing" :class="{ rotor: pair }">
    <template v-if="pair">
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
          :limit="limitOf('rotor_runout')"
          :now="nowIn('rotor_runout')"
          :past="figureOf('rotor_runout')?.verdict === 'past'"
          @go="(i) => emit('go', 'rotor_runout', i)"
        />
      </figure>
    </template>
    <template v-else-if="swept">
      <p v-if="named.length > 0" class="named">
        <button v-for="(p, i) in named" :key="p.place ?? ''" type="button" :class="{ now: i === now }" @click="emit('go', measurement, i)">
          {{ p.name }}
          <span class="fig fig-b">{{ own.taken.find((t) => t.reading.place === p.place)?.value ?? '·' }}</span>
        </button>
      </p>
      <SweepChart
        :positions="round"
        :taken="own.taken.filter((t) => t.reading.angleDeg !== null)"
        :runout="runoutOf(own.taken)"
        :limit="limitOf(measurement === 'drum_runout' ? 'drum_runout' : 'hub_face_runout')"
        :now="now - named.length"
        :past="figureOf(measurement === 'drum_runout' ? 'drum_runout' : 'hub_face_runout')?.verdict === 'past'"
        @go="(i) => emit('go', measurement, i + named.length)"
      />
    </template>
    <DrumField
      v-else-if="measurement === 'drum_diameter'"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      @go="(i) => emit('go', measurement, i)"
    />
    <RotorRing
      v-else-if="measurement === 'drum_wall'"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      :variation="null"
      :live="live"
      @go="(i) => emit('go', measurement, i)"
    />
    <PadField
      v-else-if="measurement === 'pad_lining'"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      @go="(i) => emit('go', measurement, i)"
    />
    <BoreField
      v-else-if="facts.frame === 'bore'"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      :live="live"
      :zone="bore?.zone ?? null"
      :pits="component.slot.kind === 'piston' ? [] : (bore?.pits ?? [])"
      @go="(i) => emit('go', measurement, i)"
    />
    <PistonField
      v-else-if="facts.frame === 'piston'"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      :live="live"
      :zone="seal"
      @go="(i) => emit('go', measurement, i)"
    />
    <ShoesField
      v-else-if="facts.frame === 'shoes'"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      :live="live"
      :clearance="clearance"
      @go="(i) => emit('go', measurement, i)"
    />
    <SketchField
      v-else
      :measurement="measurement"
      :positions="own.positions"
      :taken="own.taken"
      :now="now"
      :decimals="own.decimals"
      :live="live"
      :symbol="unitOf(facts.kind, facts.unit).symbol"
      :aria-label="placeName(component.slot)"
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
.named {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  margin-bottom: 8px;
}
.named button {
  min-height: 44px;
  padding: 4px 12px;
  border: 1px solid var(--blue);
  border-radius: 2px;
  background: var(--plate);
  cursor: pointer;
  font-size: 15px;
}
.named .now {
  background: var(--blue-tint);
  outline: 2px solid var(--blue);
}
@media (max-width: 720px) {
  .rotor {
    grid-template-columns: 1fr;
  }
}
</style>
