<script setup lang="ts">
import {
  addComponent,
  addWheel,
  AT_WHEEL,
  axleOf,
  CLUTCH_CIRCUIT,
  type ComponentKind,
  type Corner,
  CORNER_NAME,
  CORNERS,
  cornersOf,
  IN_MIDDLE,
  KIND_FACTS,
  type Layout,
  isGripped,
} from '@dauer/core/layout';
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import type { LayoutEdit } from './useLayoutEdit.ts';

/** What is put into a layout: a component somewhere, or a whole wheel. */
const props = defineProps<{ layout: Layout; edit: LayoutEdit }>();
const emit = defineEmits<{ added: [slotId: string] }>();
const where = ref<Corner | 'middle'>('middle');
const kind = ref<ComponentKind>('union');
const circuit = ref(1);
const places = computed(() => [
  { value: 'middle' as const, title: 'In the middle' },
  ...cornersOf(props.layout).map((c) => ({ value: c, title: `At the wheel ${CORNER_NAME[c].toLowerCase()}` })),
]);
const kinds = computed(() =>
  (where.value === 'middle' ? IN_MIDDLE : AT_WHEEL)
    .map((k) => ({ value: k, title: KIND_FACTS[k].name }))
    .sort((a, b) => a.title.localeCompare(b.title)),
);
watch(where, () => {
  if (!kinds.value.some((k) => k.value === kind.value)) kind.value = where.value === 'middle' ? 'union' : 'caliper';
});
const wet = computed(() => KIND_FACTS[kind.value].hydraulic && !kind.value.startsWith('clutch'));
const circuits = computed(() => {
  const has = props.layout.slots.flatMap((s) => s.circuits).filter((c) => c !== CLUTCH_CIRCUIT);
  const most = Math.max(0, ...has);
  return [...new Set([...has, Math.min(3, most + 1)])].sort((a, b) => a - b).map((c) => ({ value: c, title: `Circuit ${c}` }));
});
function add(): void {
  const before = new Set(props.layout.slots.map((s) => s.id));
  const corner = where.value === 'middle' ? null : where.value;
  const after = props.edit.apply((l) => addComponent(l, { kind: kind.value, corner, circuit: circuit.value }, v7));
  const made = after?.slots.find((x) => !before.has(x.id) && x.parentId === null);
  if (made) emit('added', made.id);
}
/** Wheels that an axle has no brake at: one or two of an axle, never both kinds. */
const missing = computed(() =>
  CORNERS.filter((c) => {
    const here = props.layout.slots.filter((s) => axleOf(s.corner) === axleOf(c));
    const taken = here.some((s) => s.corner === c && isGripped(s.kind));
    return !taken && !here.some((s) => (s.corner?.length === 1) !== (c.length === 1));
  }),
);
const wheel = ref<Corner | null>(null);
const unit = ref<'disc' | 'drum' | 'band'>('disc');
const mechanical = computed(() => !props.layout.slots.some((s) => s.kind === 'master_cylinder'));
watch(missing, (m) => (wheel.value = m.find((c) => c === wheel.value) ?? m[0] ?? null), { immediate: true });
function addAWheel(): void {
  const corner = wheel.value;
  if (!corner) return;
  const axle = {
    unit: unit.value,
    circuit: mechanical.value ? null : circuit.value,
    cylinders: mechanical.value ? 0 : 1,
    pistons: 1,
    hoses: 'wheel' as const,
  };
  const after = props.edit.apply((l) => addWheel(l, corner, axle, v7));
  const made = after?.slots.find((x) => x.corner === corner && (x.kind === 'caliper' || (x.kind !== 'rotor' && isGripped(x.kind))));
  if (made) emit('added', made.id);
}
</script>

<template>
  <section>
    <h2>Add a component</h2>
    <div class="row">
      <v-select v-model="where" label="Where" :items="places" />
      <v-select v-model="kind" label="What" :items="kinds" />
      <v-select v-if="wet" v-model="circuit" label="Circuit" :items="circuits" />
      <v-btn class="act" @click="add">Add it</v-btn>
    </div>
    <div v-if="missing.length > 0" class="row">
      <v-select v-model="wheel" label="A whole wheel" :items="missing.map((c) => ({ value: c, title: CORNER_NAME[c] }))" />
      <v-btn-group class="choice" role="group" aria-label="Disc or drum">
        <v-btn :aria-pressed="unit === 'disc'" @click="unit = 'disc'">Disc</v-btn>
        <v-btn :aria-pressed="unit === 'drum'" @click="unit = 'drum'">Drum</v-btn>
        <v-btn :aria-pressed="unit === 'band'" @click="unit = 'band'">Band</v-btn>
      </v-btn-group>
      <v-btn class="act" @click="addAWheel">Add the wheel</v-btn>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--space-3);
  align-items: center;
  margin-top: var(--space-3);
}
</style>
