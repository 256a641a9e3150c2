<script setup lang="ts">
import type { Gate } from '@dauer/core/catalogue';
import { passableGates, type StepState } from '@dauer/core/readiness';
import { computed, ref } from 'vue';
import { useSession } from '../../../app/session.ts';

/** What stands before a step: what is missing first, what is held after it; a lead passes what may be passed, with a reason. */
const props = defineProps<{ state: StepState; writable: boolean }>();
const emit = defineEmits<{ pass: [gate: Gate, reason: string]; pick: [stepId: string] }>();
const session = useSession();
const missing = computed(() => props.state.needs.filter((n) => !n.held && n.passed === null));
const held = computed(() => props.state.needs.flatMap((n) => (n.need.of === 'record' && n.held ? [n.words] : [])));
const passed = computed(() => props.state.needs.flatMap((n) => (n.passed && !n.held ? [n.passed] : [])));
const gates = computed(() => (session.may('lead') && props.writable ? passableGates(props.state) : []));
/** A need that its step has met says nothing. */
const shown = computed(() => props.state.status === 'open' && [missing, held, passed, gates].some((of) => of.value.length > 0));
const passing = ref<Gate | null>(null);
const reason = ref('');
function pass(): void {
  if (passing.value === null || reason.value.trim().length < 3) return;
  emit('pass', passing.value, reason.value.trim());
  passing.value = null;
  reason.value = '';
}
</script>

<template>
  <div v-if="shown" class="needs" :class="{ shut: missing.length > 0 }">
    <template v-if="missing.length > 0">
      <h3>Not yet</h3>
      <p v-for="(n, i) in missing" :key="i">
        {{ n.words }}
        <button v-if="n.need.of === 'after' || n.need.of === 'since'" class="link" type="button" @click="emit('pick', n.need.step)">
          to it
        </button>
      </p>
    </template>
    <p v-if="held.length > 0" class="second">Held: {{ held.join(' · ') }}</p>
    <p v-for="p in passed" :key="p.id" class="second">Passed by a lead: {{ p.note }}</p>
    <template v-if="gates.length > 0">
      <button v-if="passing === null" class="link small" type="button" @click="passing = gates[0] ?? null">Pass it, with a reason</button>
      <form v-else class="pass" @submit.prevent="pass">
        <v-text-field v-model="reason" v-focus density="compact" label="Why it may be passed here" maxlength="300" />
        <v-btn class="act slim" type="submit" :disabled="reason.trim().length < 3">Pass it</v-btn>
        <v-btn class="act slim" @click="passing = null">Not now</v-btn>
      </form>
    </template>
  </div>
</template>

<style scoped>
.needs {
  border: var(--line-hair) solid var(--hair);
  padding: var(--space-3);
  display: grid;
  gap: var(--space-2);
}
.needs > .link {
  justify-self: start;
}
.needs.shut {
  border-color: var(--ink);
  background: var(--plate);
}
.pass {
  display: flex;
  gap: var(--space-2);
  align-items: flex-start;
}
</style>
