<script setup lang="ts">
import { shoeArcWords } from '@dauer/core/wording';
import { newestSets, partHere } from '@dauer/core/history';
import type { Component } from '@dauer/core/judging';
import { shoeArc } from '@dauer/core/metrology';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** How each lining meets its drum: crown first, or heel and toe. */
const props = defineProps<{ component: Component }>();
const job = useOpenJob();
const half = ref('55');
const values = computed(() => {
  const s = job.state;
  const events = s.history.active(s.records.partEvents);
  const drum = s.records.layout.slots.find((x) => x.kind === 'drum' && x.corner === props.component.slot.corner);
  const taken = (slotId: string, id: 'shoe_arc' | 'drum_diameter') => {
    const set = newestSets(s.history, slotId, partHere(slotId, events)).get(id);
    return set ? s.history.taken(set) : [];
  };
  const drums = drum ? taken(drum.id, 'drum_diameter').map((t) => t.value) : [];
  const limit = s.components.find((c) => c.slot.id === drum?.id)?.judged.find((j) => j.characteristic.id === 'drum_diameter')?.limit;
  return {
    arcs: taken(props.component.slot.id, 'shoe_arc'),
    drum: drums.length > 0 ? Math.max(...drums) : null,
    drumNew: limit?.nominal ?? null,
  };
});
const rows = computed(() => {
  const v = values.value;
  if (!v || v.drum === null) return [];
  const { drum, drumNew } = v;
  return v.arcs.map((t) => ({
    name: t.reading.place ?? '',
    arc: toResult(() => shoeArc({ drum, lining: t.value, halfArc: parseQuantity(half.value, 'angle', 'deg').canonical, drumNew })),
  }));
});
</script>

<template>
  <section class="working">
    <h2>Does the arc fit the drum?</h2>
    <label class="half">
      From crown to heel
      <input v-model="half" inputmode="decimal" aria-label="Angle from crown to heel, degrees" />
      °
    </label>
    <p v-if="values?.drum === null" class="second">The drum of this wheel is not gauged yet.</p>
    <ul>
      <li v-for="r in rows" :key="r.name">
        <template v-if="r.arc.ok">
          <b class="plate-font">{{ r.name }}</b>
          {{ shoeArcWords(r.arc.value) }}
        </template>
        <span v-else>{{ r.arc.refusal.message }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.half {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  font-size: var(--type-paragraph);
}
input {
  width: 72px;
  min-height: var(--touch);
  padding: 0 var(--space-2);
  font: 400 var(--type-caption) var(--figure-font);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  background: var(--plate);
  color: var(--ink);
}
li {
  margin: var(--space-2) 0;
  font-size: var(--type-paragraph);
  line-height: 21px;
}
</style>
