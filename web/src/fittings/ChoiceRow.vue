<script setup lang="ts" generic="T extends string">
/** A row of choices of which one is taken, each a finger wide. */
defineProps<{
  modelValue: T | null;
  options: readonly { readonly value: T; readonly label: string; readonly off?: string | null }[];
  label: string;
  disabled?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: T] }>();
</script>

<template>
  <v-btn-group class="choice" role="group" :aria-label="label">
    <v-btn
      v-for="o in options"
      :key="o.value"
      :aria-pressed="modelValue === o.value"
      :class="{ off: !!o.off }"
      :disabled="disabled || !!o.off"
      :title="o.off ?? undefined"
      @click="emit('update:modelValue', o.value)"
    >
      {{ o.label }}
    </v-btn>
  </v-btn-group>
</template>

<style scoped>
.choice {
  flex-wrap: wrap;
}
</style>
