<script setup lang="ts">
import type { MeasurementId } from '@dauer/core/catalogue';
import { newestSets, partHere } from '@dauer/core/history';
import type { Component, Judged } from '@dauer/core/judging';
import type { Taken } from '@dauer/core/metrology';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import type { Panel } from './benches/bench.ts';
import { BENCHES } from './benches/benches.ts';
import AdjusterPanel from './AdjusterPanel.vue';
import ArcPanel from './ArcPanel.vue';
import CentringPanel from './CentringPanel.vue';
import CutPanel from './CutPanel.vue';
import HonePanel from './HonePanel.vue';
import PaintPanel from './PaintPanel.vue';
import ReindexPanel from './ReindexPanel.vue';
import SealPanel from './SealPanel.vue';

/** What follows from the figures in hand: re-indexing, machining, pits, honing, shoe arc, centring. */
const props = defineProps<{
  component: Component;
  measurement: MeasurementId;
  judged: readonly Judged[];
  taken: readonly Taken[];
  writable: boolean;
}>();
const emit = defineEmits<{
  sweep: [turn: number, studs: number];
  clearance: [list: readonly { before: number; after: number | null }[] | null];
}>();
const job = useOpenJob();
const limit = computed(() => {
  const bound = props.judged.find((j) => j.characteristic.role === 'runout')?.bound;
  return bound?.kind === 'upper' ? bound.at : null;
});
const has = (panel: Panel): boolean => BENCHES[props.measurement].panels?.includes(panel) === true;
const onPiston = computed(() => props.component.slot.kind === 'piston');
/** Largest diameter of the drum at this wheel, mm. */
const drum = computed(() => {
  const s = job.state;
  const slot = s.records.layout.slots.find((x) => x.kind === 'drum' && x.corner === props.component.slot.corner);
  if (!slot) return null;
  const set = newestSets(s.history, slot.id, partHere(slot.id, s.history.active(s.records.partEvents))).get('drum_diameter');
  const values = set ? s.history.taken(set).map((t) => t.value) : [];
  return values.length > 0 ? Math.max(...values) : null;
});
function makeStep(title: string): void {
  job.add('operations', { slotId: props.component.slot.id, title: `Set the shoes: ${title.toLowerCase()}`, attendedMinutes: 15 });
}
</script>

<template>
  <div>
    <ReindexPanel
      v-if="has('reindex')"
      :component="component"
      :limit="limit"
      :writable="writable"
      @sweep="(turn, studs) => emit('sweep', turn, studs)"
    />
    <PaintPanel v-if="has('paint')" :taken="taken" />
    <CutPanel v-if="has('cut')" :component="component" :judged="judged" />
    <SealPanel v-if="onPiston && has('seal')" :component="component" :writable="writable" />
    <HonePanel v-if="!onPiston && has('hone')" :component="component" />
    <AdjusterPanel v-if="has('adjuster')" :component="component" />
    <ArcPanel v-if="has('arc')" :component="component" />
    <CentringPanel v-if="has('centring')" :taken="taken" :drum="drum" @clearance="(list) => emit('clearance', list)" @step="makeStep" />
  </div>
</template>
