<script setup lang="ts">
import { convert, DomainError, parseQuantity } from '@dauer/core/quantity';
import { ref, watch } from 'vue';

/** A length that is kept in mm, typed in any unit; taken when the field is left or Enter is pressed. */
const props = defineProps<{ label: string; modelValue: number | null }>();
const emit = defineEmits<{ 'update:modelValue': [mm: number | null] }>();
const shown = (mm: number | null): string => (mm === null ? '' : String(Number(convert(mm, 'length', 'mm').toFixed(3))));
const typed = ref(shown(props.modelValue));
const fault = ref('');
watch(
  () => props.modelValue,
  (mm) => {
    typed.value = shown(mm);
    fault.value = '';
  },
);
function take(): void {
  fault.value = '';
  if (typed.value.trim() === shown(props.modelValue)) return;
  if (typed.value.trim() === '') {
    emit('update:modelValue', null);
    return;
  }
  try {
    const mm = parseQuantity(typed.value, 'length', 'mm').canonical;
    if (!(mm > 0 && mm < 20000)) throw new DomainError('range', 'A bore or length lies between 0 and 20 m.');
    emit('update:modelValue', mm);
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    fault.value = error.message;
  }
}
</script>

<template>
  <v-text-field
    v-model="typed"
    :label="`${label} (mm)`"
    inputmode="decimal"
    :error-messages="fault"
    @blur="take"
    @keydown.enter.prevent="take"
  />
</template>
