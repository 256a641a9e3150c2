<script setup lang="ts">
import { type CauseLook, causesToShow, closedTheLoop, NOTHING_ELSE, percentText, type PlacedFault } from '@dauer/core';
import { computed } from 'vue';
import { useJob } from '../../app/job.ts';
import type { WeighedNow } from './useWeighing.ts';

/** What had been expected, and what the bench found: the loop is closed when nothing else was found. */
const props = defineProps<{ now: WeighedNow; looks: ReadonlyMap<string, CauseLook> }>();
const job = useJob();
const closed = computed(() => closedTheLoop(props.looks));
interface Row {
  readonly fault: PlacedFault;
  readonly said: number;
  readonly rank: number;
  readonly state: 'wanted' | 'found' | 'absent';
}
const order = computed(() => props.now.result.expected.map((p, i) => ({ p, i })).sort((a, b) => b.p - a.p || a.i - b.i));
const rows = computed((): Row[] =>
  order.value.flatMap(({ p, i }, k): Row[] => {
    const fault = props.now.given.network.faults[i];
    const certain = fault && props.now.given.evidence.found.get(fault.id);
    const look = fault && props.looks.get(fault.id);
    const state = certain ? (certain.state === 'present' ? 'found' : 'absent') : look?.state === 'wanted' ? 'wanted' : null;
    return fault && state ? [{ fault, said: look?.said ?? p, rank: look?.rank ?? k + 1, state }] : [];
  }),
);
const WORD = { wanted: 'on the bench’s list', found: 'found', absent: 'not there' } as const;
/** Nothing but what is named: what was worth a line and is not answered is then not there. */
function close(): void {
  const { given, result } = props.now;
  for (const c of causesToShow(result.causes)) {
    const fault = given.network.faults[c.fault];
    if (!fault || given.evidence.found.has(fault.id)) continue;
    const rank = order.value.findIndex((o) => o.i === c.fault) + 1;
    const [, place = ''] = fault.id.split('@');
    job.add('causeLooks', { fault: fault.kind.id, place, state: 'absent', said: result.expected[c.fault] ?? null, rank });
  }
  for (const r of rows.value) if (r.state === 'found' && props.looks.get(r.fault.id)?.state !== 'found') keep(r);
  job.add('causeLooks', { fault: NOTHING_ELSE, place: 'system', state: 'found', said: null, rank: null });
}
function keep(r: Row): void {
  const [, place = ''] = r.fault.id.split('@');
  job.add('causeLooks', { fault: r.fault.kind.id, place, state: 'found', said: r.said, rank: r.rank });
}
function reopen(): void {
  job.add('causeLooks', { fault: NOTHING_ELSE, place: 'system', state: 'open', said: null, rank: null });
}
</script>

<template>
  <section v-if="rows.length > 0 || closed" class="loop" aria-label="Expected and found">
    <h2>Expected and found</h2>
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
    <button v-else-if="job.writable" class="act slim" type="button" @click="close">Nothing else was found</button>
  </section>
</template>

<style scoped>
.loop {
  margin: 12px 0 20px;
  max-width: 720px;
}
h2 {
  border-bottom: 1px solid var(--slate);
  padding-bottom: 6px;
}
.right {
  text-align: right;
}
td,
th {
  padding: 6px 12px 6px 0;
}
</style>
