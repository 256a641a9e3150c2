<script setup lang="ts">
import { upperFirst } from '@dauer/core/quantity';
import { agreedWords } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { call } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';
import { useRequest } from '../../app/request.ts';

/** Torques that are common practice: generic, until somebody else than who uses one has agreed to it. */
const session = useSession();
const { data, refetch } = useQuery({ key: ['torques'], query: () => call('torques') });
const { run, busy, problem } = useRequest();
const mine = (agreed: readonly { readonly checkedBy: string }[]): boolean => agreed.some((c) => c.checkedBy === session.person?.id);
async function agree(torque: string): Promise<void> {
  await run(async () => {
    await call('checkTorque', { params: { torque }, body: {} });
    await refetch();
  });
}
</script>

<template>
  <section class="torques">
    <h2 class="line">Torques in common use</h2>
    <p class="second">
      Generic: unchecked for whoever sets one until somebody else has agreed to it. Wheels, hubs, brackets, bridge bolts and steering have
      none: their figure comes out of a book.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="t in data ?? []" :key="t.id">
        <span class="what">{{ upperFirst(t.of) }}</span>
        <span class="figures">
          <span class="fig fig-b">{{ t.from }} to {{ t.to }}</span>
          <span class="second">N·m</span>
        </span>
        <span class="by second">
          {{ agreedWords(t.agreed.map((c) => c.checkedByName)) }}
        </span>
        <v-btn
          v-if="session.may('technician') && !mine(t.agreed)"
          class="act slim"
          :disabled="busy"
          :aria-label="`I agree to ${t.of}, ${t.from} to ${t.to} N·m`"
          @click="agree(t.id)"
        >
          I agree
        </v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.torques {
  margin-top: var(--space-5);
  max-width: 840px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: center;
  min-height: 52px;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what {
  flex: 0 1 240px;
}
.figures {
  display: flex;
  gap: var(--space-2);
  justify-content: flex-end;
  flex: 0 0 14ch;
}
.by {
  flex: 1 1 160px;
}
@media (max-width: 720px) {
  .what {
    flex: 1 1 100%;
  }
  .figures {
    flex: 0 0 auto;
  }
}
</style>
