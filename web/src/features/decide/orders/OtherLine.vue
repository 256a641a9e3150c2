<script setup lang="ts">
import { parseMinor, toResult } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import DayField from '../../../fittings/DayField.vue';
import type { Orders } from './useOrders.ts';

/** Orders something that no decision asks for: a clip, a made-up line, a tool of the shop. */
const props = defineProps<{ orders: Orders; currency: string | null; picked: string | null }>();
const emit = defineEmits<{ close: [] }>();
const [name, number, count, price, expected, note] = [ref(''), ref(''), ref('1'), ref(''), ref(''), ref('')];
const supplierId = ref<string | null>(null);
const shopsOwn = ref(false);
const forPlace = ref(props.picked !== null);
/** It takes the place of the part there: held against that when it comes, and not fitted before. */
const whole = ref(false);
const wrong = computed(() => {
  if (!/^\d{1,3}$/.test(count.value) || Number(count.value) < 1) return 'Type how many, like 2.';
  if (price.value.trim() === '') return '';
  const read = toResult(() => parseMinor(price.value, props.currency));
  return read.ok ? (read.value < 0 ? 'A price is not below nothing.' : '') : read.refusal.message;
});
async function order(): Promise<void> {
  const supplier = props.orders.suppliers.value.find((s) => s.id === supplierId.value);
  if (!supplier || wrong.value !== '') return;
  await props.orders.orderOther({
    ...{
      supplierId: supplier.id,
      supplier: supplier.name,
      name: name.value.trim(),
      partNumber: number.value.trim() || null,
      supply: whole.value && forPlace.value && !shopsOwn.value ? 'new' : 'piece',
    },
    ...{ count: Number(count.value), places: forPlace.value && !shopsOwn.value && props.picked !== null ? [props.picked] : [], need: null },
    ...{ price: price.value.trim() === '' ? null : parseMinor(price.value, props.currency), core: null, expected: expected.value || null },
    ...{ shopsOwn: shopsOwn.value, note: note.value.trim() },
  });
  if (props.orders.problem.value === '') emit('close');
}
</script>

<template>
  <form class="other" @submit.prevent="order">
    <div class="fields">
      <v-text-field v-model="name" v-focus label="What" />
      <v-text-field v-model="number" label="Part number" />
      <v-text-field v-model="count" label="How many" inputmode="numeric" />
      <v-select v-model="supplierId" label="From" :items="orders.suppliers.value.map((s) => ({ value: s.id, title: s.name }))" />
      <v-text-field v-model="price" label="Each, net" inputmode="decimal" />
      <DayField v-model="expected" ahead label="Promised for" />
      <v-text-field v-model="note" label="Made to order: length, bends, thread, ends" />
    </div>
    <label class="tick">
      <input v-model="shopsOwn" type="checkbox" />
      The shop’s own, in no owner’s sum
    </label>
    <label v-if="picked && !shopsOwn" class="tick">
      <input v-model="forPlace" type="checkbox" />
      For the {{ orders.nameOf(picked).toLowerCase() }}
    </label>
    <label v-if="picked && !shopsOwn && forPlace" class="tick">
      <input v-model="whole" type="checkbox" />
      It takes the place of the part there: held against it when it comes
    </label>
    <p v-if="wrong" class="problem small" role="alert">{{ wrong }}</p>
    <div class="acts">
      <v-btn
        class="act main"
        type="submit"
        :loading="orders.busy.value"
        :disabled="name.trim() === '' || supplierId === null || wrong !== ''"
      >
        Ordered
      </v-btn>
      <v-btn class="act" @click="emit('close')">Not now</v-btn>
    </div>
  </form>
</template>

<style scoped>
.other {
  padding: var(--space-3) 0;
}
.acts {
  display: flex;
  gap: var(--space-2);
  padding-top: var(--space-2);
}
</style>
