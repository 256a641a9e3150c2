<script setup lang="ts">
import { KIND_FACTS, STANDALONE_KINDS, type StandaloneUnit, MAX_STANDALONE, MAX_PISTONS } from '@dauer/core/layout';

/** Which units came without their vehicle, and how many of each. */
const units = defineModel<StandaloneUnit[]>({ required: true });
const KINDS = STANDALONE_KINDS.map((k) => ({ value: k, title: KIND_FACTS[k].name }));
const counts = Array.from({ length: MAX_STANDALONE }, (_, i) => i + 1);
const pistons = Array.from({ length: MAX_PISTONS }, (_, i) => i + 1);
function change(i: number, what: Partial<StandaloneUnit>): void {
  units.value = units.value.map((u, n) => (n === i ? { ...u, ...what } : u));
}
function add(): void {
  const next = STANDALONE_KINDS.find((k) => !units.value.some((u) => u.kind === k));
  if (next) units.value = [...units.value, { kind: next, count: 1, pistons: 1 }];
}
const free = (i: number) => KINDS.filter((k) => !units.value.some((u, n) => n !== i && u.kind === k.value));
</script>

<template>
  <div>
    <div v-for="(u, i) in units" :key="u.kind" class="row">
      <v-select :model-value="u.count" label="How many" :items="counts" @update:model-value="change(i, { count: $event })" />
      <v-select :model-value="u.kind" label="Of what" :items="free(i)" @update:model-value="change(i, { kind: $event })" />
      <v-select
        v-if="u.kind === 'caliper'"
        :model-value="u.pistons"
        label="Pistons each"
        :items="pistons"
        @update:model-value="change(i, { pistons: $event })"
      />
      <span v-else />
      <v-btn class="act slim" :disabled="units.length === 1" @click="units = units.filter((_, n) => n !== i)">Take out</v-btn>
    </div>
    <v-btn class="act slim" @click="add">Another kind of unit</v-btn>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 120px minmax(160px, 260px) 160px auto;
  gap: var(--space-3);
  align-items: center;
  justify-content: start;
  margin-bottom: var(--space-3);
}
@media (max-width: 720px) {
  .row {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
