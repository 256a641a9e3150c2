<script setup lang="ts">
import { ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { dayText } from '../../fittings/dates.ts';

/** Two articles on record that are one, or one that is two: said by name and with a reason, nothing is lost. */
const props = defineProps<{
  partId: string;
  jobId: string;
  kind: string;
  life: readonly { readonly at: string; readonly what: string; readonly where: string }[];
}>();
const emit = defineEmits<{ done: [to: string] }>();
const doing = ref<'join' | 'split' | null>(null);
const find = ref('');
const others = ref<{ id: string; label: string }[]>([]);
const other = ref<string | null>(null);
const since = ref<string | null>(null);
const reason = ref('');
const { run, busy, problem } = useRequest();
async function look(): Promise<void> {
  const found = await call('parts', { query: { q: find.value } }).catch(() => []);
  others.value = found
    .filter((p) => p.part.id !== props.partId && p.part.kind === props.kind)
    .map((p) => ({ id: p.part.id, label: [p.part.tag, p.part.name, p.vehicleTag].filter(Boolean).join(' · ') }));
}
async function go(): Promise<void> {
  const kind = doing.value;
  if (!kind) return;
  const otherId = kind === 'join' ? other.value : v7();
  if (!otherId) return;
  await run(async () => {
    await call('correctPart', {
      params: { jobId: props.jobId },
      body: {
        id: v7(),
        happenedAt: timeNow().at,
        device: 'desk',
        kind,
        partId: props.partId,
        otherId,
        since: kind === 'split' ? since.value : null,
        reason: reason.value.trim(),
      },
    });
    emit('done', kind === 'join' ? otherId : props.partId);
    doing.value = null;
  });
}
</script>

<template>
  <section>
    <p v-if="!doing" class="acts">
      <v-btn
        class="act slim"
        @click="
          doing = 'join';
          look();
        "
      >
        It is another part on record
      </v-btn>
      <v-btn class="act slim" @click="doing = 'split'">It is two parts</v-btn>
    </p>
    <form v-else class="form" @submit.prevent="go">
      <template v-if="doing === 'join'">
        <p>What was told of this part is told of the other one from then on; this one leaves the list.</p>
        <v-text-field v-model="find" v-focus label="Find it by tag, name or number" @update:model-value="look" />
        <v-select v-model="other" label="The part that it is" :items="others.map((o) => ({ title: o.label, value: o.id }))" />
      </template>
      <template v-else>
        <p>What happened from an event on happened to the other one, which is written down as a part of its own.</p>
        <v-select
          v-model="since"
          label="From this event on it was the other one"
          :items="life.map((l) => ({ title: `${dayText(l.at)}: ${l.what} ${l.where.toLowerCase()}`, value: l.at }))"
        />
      </template>
      <v-text-field v-model="reason" label="Reason" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="doing = null">Leave it</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || reason.trim().length < 3 || (doing === 'join' ? !other : !since)">
          {{ doing === 'join' ? 'They are one' : 'They are two' }}
        </v-btn>
      </div>
    </form>
  </section>
</template>

<style scoped>
section {
  margin: var(--space-3) 0;
}
.form {
  display: grid;
  gap: var(--space-3);
  max-width: 560px;
}
.acts {
  gap: var(--space-2);
}
</style>
