<script setup lang="ts">
import { cutWords, houseSays, takenAsNoneWords } from '@dauer/core/wording';
import { type Component, cutOf, type Judged } from '@dauer/core/judging';
import { counterpart } from '@dauer/core/layout';
import { followedIn } from '@dauer/core/ledger';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** Whether a cut would leave enough metal: what it takes out, and where the figure would end. */
const props = defineProps<{ component: Component; judged: readonly Judged[] }>();
const job = useOpenJob();
const other = computed(() => {
  const slot = counterpart(job.history.records.layout, props.component.slot);
  const theirs = job.state.components.find((c) => c.slot.id === slot?.id);
  return slot && theirs ? { slot, judged: theirs.judged } : null;
});
/** How worn rotors are dealt with in this house. */
const house = computed(() => (props.component.slot.kind === 'rotor' ? houseSays('rotors', followedIn(job.records)) : ''));
const cut = computed(() => cutOf(job.history, props.component.slot, props.judged, other.value));
</script>

<template>
  <p v-if="cut" class="cut">
    <b class="plate-font">{{ component.slot.kind === 'rotor' ? 'Can it be machined?' : 'Can it be turned?' }}</b>
    {{ cutWords(cut) }} {{ house }}
    <span v-if="cut.takenAsNone.length > 0" class="second small">Taken as none, not gauged: {{ takenAsNoneWords(cut) }}.</span>
  </p>
</template>

<style scoped>
.cut {
  font-size: var(--type-paragraph);
  line-height: 21px;
  margin: var(--space-2) 0;
  max-width: 76ch;
}
.cut b {
  font-size: var(--type-tag);
  margin-right: 6px;
}
</style>
