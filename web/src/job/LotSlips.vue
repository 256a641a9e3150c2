<script setup lang="ts">
import { computed } from 'vue';
import { slotById, placeName } from '@dauer/core/layout';
import { useOpenJob } from './openJob.ts';

/** What the slips of what went in say for this stage: torque and cure while it is put together, bedding when it is proved. */
const props = defineProps<{ what: readonly ('torque' | 'bedding' | 'cure')[] }>();
const job = useOpenJob();
const slips = computed(() => {
  const uses = job.history.active(job.history.records.lotUses).filter((u) => u.jobId === job.records.job.id);
  return [...new Set(uses.map((u) => u.lotId))].flatMap((id) => {
    const lot = job.records.lots.find((l) => l.seriesId === id);
    const said = lot ? props.what.flatMap((w) => (lot[w] === '' ? [] : [`${w}: ${lot[w]}`])) : [];
    const places = uses.flatMap((u) => {
      const slot = u.lotId === id && u.slotId !== null ? slotById(job.records.layout, u.slotId) : undefined;
      return slot ? [placeName(slot)] : [];
    });
    return lot && said.length > 0
      ? [{ id, label: lot.label, name: lot.name, said: said.join('; '), places: [...new Set(places)].join(', ') }]
      : [];
  });
});
</script>

<template>
  <section v-if="slips.length > 0" aria-label="By the slips of what went in">
    <h2 class="line">By the slips of what went in</h2>
    <p v-for="s in slips" :key="s.id">
      <b class="fig">{{ s.label }}</b>
      {{ s.name }}: {{ s.said }}
      <span class="second small">{{ s.places }}</span>
    </p>
  </section>
</template>
