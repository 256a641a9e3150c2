<script setup lang="ts">
import { isCurrency } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';

/** Which currency sums are in: a sum typed in another one is refused, since nobody here knows the rate. */
const emit = defineEmits<{ close: [] }>();
const session = useSession();
const typed = ref(session.shop.currency ?? '');
const problem = ref('');
const code = computed(() => typed.value.trim().toUpperCase());
const fits = computed(() => code.value === '' || isCurrency(code.value));
async function set(): Promise<void> {
  try {
    session.take(await call('setCurrency', { body: { currency: code.value === '' ? null : code.value } }));
    emit('close');
  } catch (e) {
    problem.value = sentenceOf(e);
  }
}
</script>

<template>
  <v-dialog :model-value="true" max-width="460" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="set">
      <h2>The shop’s currency</h2>
      <p class="second">Three letters, such as EUR. Sums on record are not changed by it; one typed in another currency is refused.</p>
      <v-text-field
        v-model="typed"
        v-focus
        class="code"
        label="Currency"
        autocomplete="off"
        :error-messages="fits ? '' : `“${typed}” is no code of three letters.`"
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <button class="act" type="button" @click="emit('close')">Leave it</button>
        <button class="act main" type="submit" :disabled="!fits">Set it</button>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
/* The name of a field stands on its upper edge. */
.code {
  margin-top: 16px;
}
</style>
