<script setup lang="ts">
import { METAL_NAME } from '@dauer/core/wording';
import { accessesOver, type BoreMaterial, OPTION_NAME, type OptionId, WAITS } from '@dauer/core/catalogue';
import type { DecideRow } from '@dauer/core/estimate';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { whyNotHoned } from '@dauer/core/readiness';
import { computed, ref } from 'vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import DayField from '../../fittings/DayField.vue';
import { NO_TIME, type Until } from './until.ts';

/** What is said with a decision that needs words: why, until when, of what metal. */
const props = defineProps<{
  row: DecideRow;
  option: OptionId;
  departs: string | null;
  distanceUnit: 'km' | 'mi';
  refusal: (until: Until) => string | null;
}>();
const emit = defineEmits<{ decide: [reason: string, until: Until, metal: BoreMaterial | null]; leave: [] }>();
const accesses = computed(() => [...new Set(props.row.members.flatMap((m) => accessesOver(m.slot)))]);
const reason = ref('');
const on = ref('');
const km = ref('');
const access = ref<(typeof accesses.value)[number] | null>(null);
const wrong = ref('');
const waits = computed(() => WAITS.includes(props.option));
const METALS = (['iron', 'steel', 'aluminium'] as const).map((m) => ({ value: m, label: METAL_NAME[m], off: whyNotHoned(m) }));
const saysWhen = computed(() => !waits.value || on.value !== '' || km.value.trim() !== '' || access.value !== null);
function keep(): void {
  if (!waits.value) return emit('decide', reason.value.trim(), NO_TIME, null);
  const read = km.value.trim() === '' ? null : toResult(() => parseQuantity(km.value, 'distance_run', props.distanceUnit).canonical);
  wrong.value = read && !read.ok ? read.refusal.message : '';
  if (read && !read.ok) return;
  const until = { reviewOn: on.value || null, untilKm: read?.value ?? null, access: access.value };
  wrong.value = props.refusal(until) ?? '';
  if (wrong.value === '') emit('decide', reason.value.trim(), until, null);
}
</script>

<template>
  <div v-if="option === 'hone'" class="metal">
    <span>What metal is the bore? Aluminium is never honed, bare or anodised.</span>
    <ChoiceRow
      :model-value="null"
      :options="METALS"
      label="Metal of the bore"
      @update:model-value="(m) => emit('decide', '', NO_TIME, m)"
    />
  </div>
  <form v-else class="why" @submit.prevent="keep">
    <p v-if="departs" class="small whole">{{ departs }} It is departed from with a reason.</p>
    <v-text-field v-model="reason" v-focus density="compact" :label="`Why: ${OPTION_NAME[option].toLowerCase()}`" />
    <template v-if="waits">
      <DayField v-model="on" ahead density="compact" label="Until the day" />
      <v-text-field v-model="km" density="compact" :label="`Until the counter shows (${distanceUnit})`" />
      <v-select v-if="accesses.length > 0" v-model="access" density="compact" clearable label="Until this is open" :items="accesses" />
    </template>
    <p v-if="wrong" class="problem small whole" role="alert">{{ wrong }}</p>
    <v-btn class="act slim" type="submit" :disabled="reason.trim() === '' || !saysWhen">{{ OPTION_NAME[option] }}</v-btn>
    <v-btn class="act slim" @click="emit('leave')">Leave it</v-btn>
  </form>
</template>

<style scoped>
.why,
.metal {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  gap: var(--space-2);
  padding: var(--space-3) 0 var(--space-2);
}
.metal {
  align-items: center;
}
.whole {
  flex: 1 0 100%;
}
.why > :deep(.v-input) {
  flex: 1 1 200px;
}
</style>
