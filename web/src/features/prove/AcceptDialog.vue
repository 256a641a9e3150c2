<script setup lang="ts">
import { acceptanceKey, isReason, type Obligation } from '@dauer/core/ledger';
import { computed, reactive, ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { useSession } from '../../app/session.ts';

/** What is accepted by name, and what else of its kind may be with it: each with its own words, all with one password. */
const props = defineProps<{ obligation: Obligation; alike: readonly Obligation[] }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const session = useSession();
const reasons = reactive<Record<string, string>>({});
const password = ref('');
const { run, busy, problem } = useRequest();
const ids = new Map([props.obligation, ...props.alike].map((o) => [o.key, v7()] as const));
const reasonOf = (o: Obligation): string => reasons[o.key] ?? '';
/** Those that have words so far; the first has to have some. */
const ready = computed(() => [props.obligation, ...props.alike].filter((o) => reasonOf(o).trim() !== ''));
const complete = computed(() => isReason(reasonOf(props.obligation)) && ready.value.every((o) => isReason(reasonOf(o))));
async function accept(): Promise<void> {
  const jobId = job.state.records.job.id;
  await run(
    async () => {
      for (const o of ready.value)
        await call('accept', {
          params: { jobId },
          body: {
            id: ids.get(o.key) ?? v7(),
            happenedAt: timeNow().at,
            device: 'desk',
            obligation: acceptanceKey(o),
            reason: reasonOf(o),
            password: password.value,
          },
        });
      await job.refresh();
      emit('close');
    },
    // Some may be in the book already.
    () => job.refresh(),
  );
}
</script>

<template>
  <v-dialog aria-labelledby="accept-dialog-title" :model-value="true" scrollable @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="accept">
      <h2 id="accept-dialog-title">Accept: {{ obligation.what }}</h2>
      <p v-if="obligation.why">{{ obligation.why }}</p>
      <p class="second">It goes on the hand-back sheet under the name of {{ session.person?.name }}.</p>
      <v-textarea
        v-model="reasons[obligation.key]"
        v-focus
        label="Reason"
        hint="In words: it stands on the sheet, under your name."
        persistent-hint
      />
      <template v-if="alike.length > 0">
        <h3>Of the same kind; what has no words stays open</h3>
        <v-text-field
          v-for="o in alike"
          :key="o.key"
          v-model="reasons[o.key]"
          :label="o.what"
          :hint="o.why ?? ''"
          persistent-hint
          :error-messages="reasonOf(o).trim() !== '' && !isReason(reasonOf(o)) ? 'In words, so that somebody can answer for it.' : ''"
        />
      </template>
      <v-text-field
        v-model="password"
        :label="`Password of ${session.person?.name ?? ''}`"
        type="password"
        autocomplete="current-password"
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Not now</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || !complete || password === ''">
          {{ ready.length > 1 ? `Accept ${ready.length} by name` : 'Accept by name' }}
        </v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
form {
  overflow-y: auto;
  max-height: 90vh;
}
</style>
