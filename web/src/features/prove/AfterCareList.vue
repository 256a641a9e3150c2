<script setup lang="ts">
import { afterCareRefusal, type AfterCareState, afterCareStates, isClosed, SECOND_BLEED } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import SecondBleed from './SecondBleed.vue';

/** What is owed after hand-back, by when: done here, or taken over by the owner by name. */
const job = useOpenJob();
const session = useSession();
const items = computed(() => afterCareStates(job.state));
const closed = computed(() => job.state !== null && isClosed(job.state));
const writable = computed(() => session.may('technician'));
/** Why it cannot be said to be done: what is asked for stands under it. */
const refusal = (item: string): string | null => afterCareRefusal(job.state, item, 'done');
const taking = ref<string | null>(null);
const name = ref('');
const WORD = { open: 'open', done: 'done', taken_over: 'taken over', failed: 'not good: book it in again' } as const;
const today = computed(() => job.today.slice(0, 10));
const overdue = (a: AfterCareState): boolean => a.answer === 'open' && a.on < today.value;
function answer(item: string, result: 'done' | 'taken_over' | 'failed'): void {
  job.add('afterCares', { item, result, note: result === 'taken_over' ? name.value.trim() : '' });
  taking.value = null;
  name.value = '';
}
</script>

<template>
  <section class="care">
    <h2 class="line">After-care</h2>
    <p class="second small">
      {{
        items.length === 0
          ? 'Nothing was left to do.'
          : closed
            ? 'All answered: the job is closed.'
            : 'The job closes when all of it is answered.'
      }}
    </p>
    <ul>
      <li v-for="a in items" :key="a.item">
        <span class="what">
          <b>{{ a.what }}</b>
          <span class="second small">
            by {{ dayText(a.on) }}{{ a.km === null ? '' : `, or after ${a.km} km` }}{{ overdue(a) ? ', overdue' : '' }}. {{ a.why }}
          </span>
        </span>
        <span v-if="a.answer !== 'open'" class="said">
          {{ WORD[a.answer] }}{{ a.note ? ` by ${a.note}` : '' }}
          <span class="second small">{{ a.by ? job.who(a.by) : '' }}</span>
        </span>
        <form v-if="taking === a.item" class="acts" @submit.prevent="answer(a.item, 'taken_over')">
          <v-text-field v-model="name" v-focus density="compact" label="Name of the owner" />
          <v-btn class="act slim" type="submit" :disabled="name.trim().length < 3">Taken over</v-btn>
        </form>
        <span v-else-if="writable && (a.answer === 'open' || a.answer === 'failed')" class="acts">
          <v-btn class="act slim" :disabled="refusal(a.item) !== null" @click="answer(a.item, 'done')">Done</v-btn>
          <v-btn class="act slim" @click="answer(a.item, 'failed')">Not good</v-btn>
          <v-btn class="act slim" @click="taking = a.item">The owner takes it over</v-btn>
        </span>
        <SecondBleed v-if="a.item === SECOND_BLEED" :writable="writable && a.answer !== 'done' && a.answer !== 'taken_over'" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.care {
  margin-top: var(--space-4);
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
  min-height: 52px;
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what {
  flex: 1 1 300px;
}
.what .small,
.said .small {
  display: block;
  line-height: 18px;
}
.acts {
  gap: var(--space-2);
}
.acts :deep(.v-input) {
  min-width: 220px;
}
</style>
