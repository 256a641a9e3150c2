<script setup lang="ts">
import { computed } from 'vue';

/** A day, typed or picked in the order in which the shop writes it; kept as YYYY-MM-DD, empty where none is given. */
const model = defineModel<string>({ required: true });
const two = (n: number): string => String(n).padStart(2, '0');
const at = computed({
  get: () => {
    const [, y, m, d] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(model.value) ?? [];
    return y === undefined ? null : new Date(Number(y), Number(m) - 1, Number(d));
  },
  set: (day: Date | null) => {
    model.value = day === null ? '' : `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
  },
});
</script>

<template>
  <v-date-input v-model="at" prepend-icon="" append-inner-icon="$calendar" :picker-props="{ hideHeader: true }" />
</template>
