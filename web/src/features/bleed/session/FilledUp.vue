<script setup lang="ts">
import { FLUID_CLASSES, fluidClass, type FluidClass } from '@dauer/core/catalogue';
import type { SessionState } from '@dauer/core/stages';
import { SESSION_REFUSED } from '@dauer/core/wording';
import { computed, ref, watch } from 'vue';
import LotPick from '../../../job/LotPick.vue';
import type { LotTaken } from '../../../job/lotTaken.ts';

/** The reservoir filled to its mark: out of which bottle is asked, its kind first, and of one on the shelf its age. */
const props = defineProps<{ state: SessionState }>();
const emit = defineEmits<{ filled: [kind: FluidClass, bottle: string, lot: LotTaken | null]; close: [] }>();
const kind = ref<FluidClass>(props.state.session.fluidClass);
const bottle = ref(props.state.session.product);
const lot = ref<LotTaken | null>(null);
watch(lot, (l, before) => {
  if (l && l.lotId !== before?.lotId) bottle.value = [l.name, l.batch || l.label].filter(Boolean).join(', ');
});
const able = computed(() => !wrong.value && (lot.value?.ok ?? true));
const wrong = computed(() => fluidClass(kind.value)?.kind !== fluidClass(props.state.session.fluidClass)?.kind);
const items = FLUID_CLASSES.map((c) => ({ value: c.id, title: c.name }));
function keep(): void {
  if (able.value) emit('filled', kind.value, bottle.value.trim(), lot.value);
}
</script>

<template>
  <form class="filled" @submit.prevent="keep">
    <h3>Filled to the mark, out of which bottle?</h3>
    <v-select v-model="kind" v-focus label="Kind of fluid" :items="items" />
    <LotPick v-model="lot" :kinds="['fluid']" label="Out of which lot on the shelf" />
    <v-text-field v-model="bottle" label="What is written on it" />
    <p v-if="wrong" class="problem" role="alert">{{ SESSION_REFUSED.wrong_fluid }}</p>
    <div class="acts">
      <v-btn class="act main" type="submit" :disabled="!able">It is full</v-btn>
      <v-btn class="act" @click="emit('close')">Not yet</v-btn>
    </div>
  </form>
</template>

<style scoped>
.filled {
  display: grid;
  gap: var(--space-2);
  margin-top: var(--space-3);
  border: var(--line-hair) solid var(--ink);
  padding: var(--space-3);
  background: var(--plate);
}
.acts {
  gap: var(--space-2);
}
</style>
