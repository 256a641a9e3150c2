<script setup lang="ts">
import type { CauseLook } from '@dauer/core/ledger';
import { closedTheLoop } from '@dauer/core/stages';
import { expectedAndFound, nothingElse, percentText, type Prediction, toClose } from '@dauer/core/views';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import type { WeighedNow } from './useWeighing.ts';

/** What had been expected, and what the bench found: the loop is closed when nothing else was found. */
const props = defineProps<{ now: WeighedNow; looks: ReadonlyMap<string, CauseLook> }>();
const emit = defineEmits<{ look: [said: readonly Prediction[]] }>();
const job = useOpenJob();
const closed = computed(() => closedTheLoop(props.looks));
const rows = computed(() => expectedAndFound(props.now.input, props.now.result, props.looks));
const WORD = { wanted: 'on the bench’s list', found: 'found', absent: 'not there' } as const;
const close = (): void => emit('look', toClose(props.now.input, props.now.result, props.looks));
const reopen = (): void => emit('look', [nothingElse('open')]);
</script>

<template>
  <section v-if="rows.length > 0 || closed" class="loop" aria-label="Expected and found">
    <h2 class="line">Expected and found</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">Cause</th>
          <th scope="col" class="right">Said</th>
          <th scope="col" class="right">As no.</th>
          <th scope="col">Bench</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.fault.id">
          <td>
            {{ r.fault.kind.name }}
            <span class="second small">{{ r.fault.where }}</span>
          </td>
          <td class="right fig">{{ percentText(r.said) }}</td>
          <td class="right fig">{{ r.rank }}</td>
          <td>
            <b class="plate-font">{{ WORD[r.state] }}</b>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="closed" class="second small">
      Nothing else was found. What had been said here counts in
      <RouterLink to="/tracing">how well tracing did</RouterLink>
      .
      <button v-if="job.writable" class="link" type="button" @click="reopen">Something else after all</button>
    </p>
    <v-btn v-else-if="job.writable" class="act slim" @click="close">Nothing else was found</v-btn>
  </section>
</template>

<style scoped>
.loop {
  margin: var(--space-3) 0 20px;
  max-width: 720px;
}
.right {
  text-align: right;
}
td,
th {
  padding: 6px var(--space-3) 6px 0;
}
td .second {
  display: block;
}
.act {
  margin-top: 10px;
}
</style>
