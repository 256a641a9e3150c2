<script setup lang="ts">
import { padPatternWords } from '@dauer/core/wording';
import { PAD_CORNERS, type PadReadings, reducePads, type Taken } from '@dauer/core/metrology';
import { fixed, toResult } from '@dauer/core/quantity';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** What uneven wear of the pads says of the caliper. */
const props = defineProps<{ taken: readonly Taken[]; slotId: string }>();
const job = useOpenJob();
const patterns = computed(() => {
  const slots = job.state.records.layout.slots;
  const corner = slots.find((s) => s.id === props.slotId)?.corner;
  const style = slots.find((s) => s.kind === 'caliper' && s.corner === corner)?.style === 'floating' ? 'floating' : 'fixed';
  const pad = (name: string): PadReadings =>
    Object.fromEntries(
      PAD_CORNERS.flatMap((c) => {
        const t = props.taken.find((x) => x.reading.place === `${name}: ${c}`);
        return t ? [[c, t.value]] : [];
      }),
    );
  const tried = toResult(() => reducePads({ inner: pad('inner'), outer: pad('outer') }, style));
  return tried.ok ? tried.value.patterns : [];
});
</script>

<template>
  <p v-for="p in patterns" :key="p.code">
    <b class="plate-font">Uneven by {{ fixed(p.difference, 1) }} mm</b>
    {{ padPatternWords(p) }}
  </p>
</template>

<style scoped>
p {
  margin-top: var(--space-2);
}
b {
  margin-right: var(--space-1);
  font-size: var(--type-body);
}
</style>
