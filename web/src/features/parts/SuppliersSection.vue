<script setup lang="ts">
import type { Supplier } from '@dauer/core/ledger';
import { ref } from 'vue';
import { v7 } from 'uuid';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';

/** Who sells or works for the shop. */
defineProps<{ suppliers: readonly Supplier[]; writable: boolean }>();
const emit = defineEmits<{ changed: [] }>();
const { run, busy, problem } = useRequest();
const name = ref('');
const contact = ref('');
async function add(): Promise<void> {
  await run(async () => {
    await call('enterSupplier', { body: { id: v7(), name: name.value.trim(), contact: contact.value.trim() } });
    name.value = '';
    contact.value = '';
    emit('changed');
  });
}
async function change(s: Supplier): Promise<void> {
  await run(
    async () => {
      await call('changeSupplier', { params: { id: s.id }, body: { version: s.version, active: !s.active } });
      emit('changed');
    },
    () => emit('changed'),
  );
}
</script>

<template>
  <section>
    <h2 class="line">Suppliers</h2>
    <ul>
      <li v-for="s in suppliers" :key="s.id" :class="{ second: !s.active }">
        <b class="plate-font">{{ s.name }}</b>
        <span class="second small">{{ s.contact }}{{ s.active ? '' : '; bought from no more' }}</span>
        <span class="grow" />
        <v-btn
          v-if="writable"
          class="act slim"
          :disabled="busy"
          :aria-label="`${s.name}: ${s.active ? 'no more' : 'again'}`"
          @click="change(s)"
        >
          {{ s.active ? 'No more' : 'Again' }}
        </v-btn>
      </li>
    </ul>
    <form v-if="writable" class="add" @submit.prevent="add">
      <v-text-field v-model="name" density="compact" label="Name" />
      <v-text-field v-model="contact" density="compact" label="How to reach them" />
      <v-btn class="act slim" type="submit" :loading="busy" :disabled="name.trim() === ''">Add a supplier</v-btn>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
section {
  margin-top: var(--space-5);
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  min-height: var(--strip);
  border-bottom: var(--line-hair) solid var(--hair);
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: flex-start;
  padding: var(--space-3) 0;
}
.add > :deep(.v-input) {
  flex: 1 1 200px;
}
</style>
