<script setup lang="ts">
import { FIRST_YEAR, isYear } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { dayHere, wholeDayText } from './dates.ts';

/** A day, typed or picked in the order in which the shop writes it; kept as YYYY-MM-DD, empty where none is given. */
const model = defineModel<string>({ required: true });
/** Whether the day has to be still to come, or today. */
const props = defineProps<{ ahead?: boolean }>();
/** The calendar stands at the field, and is not announced as the menu of something that has no role. */
const CALENDAR = { transition: false, offset: 8, activator: undefined, target: 'parent' } as const;
const two = (n: number): string => String(n).padStart(2, '0');
const refused = ref('');
const wrong = computed(() => refused.value || (props.ahead && model.value !== '' && model.value < dayHere() ? 'That day has passed.' : ''));
const at = computed({
  get: () => {
    const [, y, m, d] = /^(\d{4})-(\d{2})-(\d{2})/.exec(model.value) ?? [];
    return y === undefined ? null : new Date(Number(y), Number(m) - 1, Number(d));
  },
  set: (day: Date | null) => {
    const year = day?.getFullYear();
    refused.value =
      year === undefined || isYear(year) ? '' : `A day of the year ${year} was typed. Type it with a year from ${FIRST_YEAR} on.`;
    model.value = day === null || refused.value !== '' ? '' : `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
  },
});
</script>

<template>
  <v-date-input
    v-model="at"
    prepend-icon=""
    append-inner-icon="$calendar"
    :menu-props="CALENDAR"
    :error-messages="wrong"
    :hint="model === '' ? '' : wholeDayText(model)"
    persistent-hint
  />
</template>
