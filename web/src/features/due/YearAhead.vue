<script setup lang="ts">
import type { VehicleDue } from '@dauer/contract';
import { computed, ref } from 'vue';
import { monthText } from '../../fittings/dates.ts';
import DueVehicle from './DueVehicle.vue';
import { yearAhead } from './dueGroups.ts';

/** The year ahead: a rule of twelve months with how much falls due in each, and the month that is picked. */
const props = defineProps<{ vehicles: readonly VehicleDue[]; today: string }>();
const emit = defineEmits<{ noted: [] }>();
const months = computed(() => yearAhead(props.vehicles, props.today));
const picked = ref<string | null>(null);
const month = computed(() => months.value.find((m) => m.id === picked.value) ?? months.value.find((m) => m.count > 0) ?? months.value[0]);
const most = computed(() => Math.max(1, ...months.value.map((m) => m.count)));
</script>

<template>
  <nav class="rule" aria-label="Months">
    <button
      v-for="m in months"
      :key="m.id"
      type="button"
      class="month"
      :aria-pressed="m === month"
      :aria-label="`${monthText(m.id)}: ${m.count} due`"
      @click="picked = m.id"
    >
      <span class="stack" aria-hidden="true"><span :style="{ height: `${(m.count / most) * 100}%` }" /></span>
      <b class="fig">{{ m.count === 0 ? '–' : m.count }}</b>
      <span class="second small">{{ monthText(m.id) }}</span>
    </button>
  </nav>
  <template v-if="month">
    <h2 class="line">{{ monthText(month.id, true) }}{{ month === months[0] ? ', and what is overdue' : '' }}</h2>
    <DueVehicle v-for="v in month.vehicles" :key="v.vehicle.vehicleId" :of="v" :today="today" @noted="emit('noted')" />
    <p v-if="month.count === 0" class="second empty">Nothing falls due in this month.</p>
  </template>
</template>

<style scoped>
.rule {
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  border-top: var(--line-drawn) solid var(--ink);
  margin: var(--space-3) 0 var(--space-4);
}
.month {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: var(--space-1);
  min-height: var(--touch);
  padding: var(--space-2) 0;
  border: 0;
  border-left: var(--line-hair) solid var(--slate);
  background: none;
  color: var(--ink);
  cursor: pointer;
}
.month:last-child {
  border-right: var(--line-hair) solid var(--slate);
}
.month[aria-pressed='true'] {
  background: var(--blue-tint);
  box-shadow: inset 0 calc(-1 * var(--line-chosen)) 0 var(--blue);
}
.stack {
  height: var(--tall);
  width: 24px;
  display: flex;
  align-items: flex-end;
}
.stack span {
  display: block;
  width: 100%;
  background: var(--ink2);
}
.empty {
  margin: var(--space-4) 0;
}
@media (max-width: 720px) {
  .rule {
    grid-template-columns: repeat(6, minmax(0, 1fr));
  }
}
</style>
