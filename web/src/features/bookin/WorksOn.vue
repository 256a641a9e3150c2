<script setup lang="ts">
import { useQuery } from '@pinia/colada';
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';

/** Who works on this job by a lead's word: they see the owner's contact. */
const props = defineProps<{ jobId: string }>();
const session = useSession();
const { run, busy, problem } = useRequest();
const assigned = ref<Awaited<ReturnType<typeof call<'assignments'>>>>([]);
const { data: people } = useQuery({ key: ['people'], query: () => call('people') });
async function read(): Promise<void> {
  assigned.value = await call('assignments', { params: { jobId: props.jobId } }).catch(() => []);
}
watch(() => props.jobId, read, { immediate: true });
const nameOf = (id: string): string => people.value?.find((p) => p.id === id)?.name ?? '';
const others = computed(() =>
  (people.value ?? []).filter((p) => p.active && p.role !== 'reader' && !assigned.value.some((a) => a.accountId === p.id)),
);
async function change(act: () => Promise<typeof assigned.value>): Promise<void> {
  await run(async () => {
    assigned.value = await act();
  });
}
const put = (accountId: string) => change(() => call('assign', { params: { jobId: props.jobId }, body: { id: v7(), accountId } }));
const take = (id: string) => change(() => call('endAssignment', { params: { jobId: props.jobId, id }, body: {} }));
</script>

<template>
  <p class="who">
    <span class="second">Works on it:</span>
    <span v-if="assigned.length === 0" class="second">nobody was named yet</span>
    <span v-for="a in assigned" :key="a.id">
      {{ nameOf(a.accountId) }}
      <button
        v-if="session.may('lead')"
        class="link small"
        type="button"
        :disabled="busy"
        :aria-label="`Take ${nameOf(a.accountId)} off`"
        @click="take(a.id)"
      >
        take off
      </button>
    </span>
    <template v-if="session.may('lead')">
      <v-btn v-for="p in others" :key="p.id" class="act slim" :disabled="busy" @click="put(p.id)">Put {{ p.name }} on it</v-btn>
    </template>
  </p>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
.who {
  display: flex;
  flex-wrap: wrap;
  gap: 6px var(--space-4);
  align-items: center;
}
</style>
