<script setup lang="ts">
import type { Component } from '@dauer/core/judging';
import { toResult } from '@dauer/core/quantity';
import { gatherSets, READING_COLUMNS, readingRows, readReadingList, type ReadReadingRow } from '@dauer/core/views';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { rowsOfFile, saveTable } from '../../fittings/tableFile.ts';

/** Readings of the job, or of one place, out as a list; in from one after every row was looked at. */
const props = defineProps<{ component?: Component | null }>();
const job = useOpenJob();
const { run, problem } = useRequest();
const said = ref('');
const read = ref<{ readonly from: string; readonly rows: readonly ReadReadingRow[] } | null>(null);
const WORD: Readonly<Record<ReadReadingRow['verdict'], string>> = {
  new: 'new',
  same: 'stands there already',
  conflicts: 'conflicts',
  not_understood: 'not understood',
};
const count = (v: ReadReadingRow['verdict']): number => read.value?.rows.filter((r) => r.verdict === v).length ?? 0;
const bad = computed(() => count('conflicts') + count('not_understood'));
const shown = computed(() =>
  [...(read.value?.rows ?? [])].sort((a, b) => Number(b.why !== null) - Number(a.why !== null) || a.line - b.line).slice(0, 60),
);
async function out(kind: 'csv' | 'json'): Promise<void> {
  const { history } = job;
  const name = `readings ${history.records.vehicle.tag}`.replace(/\s+/g, '-').toLowerCase();
  const rows = readingRows(history, props.component?.slot.id ?? null);
  await saveTable(rows, READING_COLUMNS, { name, format: 'dauer.readings', list: 'readings' }, kind);
}
async function choose(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  problem.value = '';
  said.value = '';
  read.value = null;
  if (!file || !job.state) return;
  const { history } = job.state;
  await run(async () => {
    const rows = await rowsOfFile(file, 'readings', 'list of readings');
    const list = toResult(() => readReadingList(rows, history));
    if (list.ok) read.value = { from: file.name, rows: list.value };
    else problem.value = list.refusal.message;
  });
  field.value = '';
}
/** All of what is new, or nothing: while a row is bad the button is not there. */
function take(): void {
  const { state } = job;
  if (!read.value || !state) return;
  const gauges = new Map(state.records.gauges.map((g) => [g.tag.toLowerCase(), g.id]));
  for (const { first, readings, count: round } of gatherSets(read.value.rows)) {
    const c = state.components.find((x) => x.slot.id === first.slotId);
    const setId = v7();
    job.add('sets', {
      id: setId,
      slotId: first.slotId,
      partId: c?.part?.id ?? null,
      ...{ measurement: first.measurement, phase: first.phase, surface: first.surface, cold: first.cold, averages: false, count: round },
    });
    for (const r of readings)
      job.add('readings', {
        ...{ setId, ...r.position, pass: 1, typed: r.typed, unit: r.unit },
        gaugeVersionId: gauges.get(r.gaugeTag.toLowerCase()) ?? null,
      });
  }
  said.value = `${count('new')} readings are taken in.`;
  read.value = null;
}
</script>

<template>
  <section class="exchange">
    <div class="row">
      <button class="link" type="button" @click="out('csv')">Readings out as CSV</button>
      <button class="link" type="button" @click="out('json')">as JSON</button>
      <label v-if="job.writable" class="link file">
        In from a list
        <input class="sr" type="file" accept=".csv,.json,text/csv,application/json" @change="choose" />
      </label>
      <span v-if="said" class="second" role="status">{{ said }}</span>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="read" class="preview">
      <p>
        {{ read.from }}: {{ read.rows.length }} rows, {{ count('new') }} new, {{ count('same') }} there already
        <template v-if="bad > 0">, {{ bad }} that stop it. Nothing is taken in while one does.</template>
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Row</th>
            <th scope="col">Reading</th>
            <th scope="col">What becomes of it</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in shown" :key="r.line">
            <td class="fig">{{ r.line }}</td>
            <td>
              <template v-if="r.reading">
                {{ r.reading.measurement.replaceAll('_', ' ') }}, {{ r.reading.position.place ?? '' }}
                {{ r.reading.position.angleDeg === null ? '' : `${r.reading.position.angleDeg}°` }}
                <span class="fig">{{ r.reading.typed }}</span>
              </template>
            </td>
            <td>
              {{ WORD[r.verdict] }}
              <div class="second small">{{ r.why ?? '' }}</div>
            </td>
          </tr>
        </tbody>
      </table>
      <div class="row">
        <v-btn v-if="bad === 0 && count('new') > 0" class="act main" @click="take">Take {{ count('new') }} in</v-btn>
        <v-btn class="act" @click="read = null">Leave it</v-btn>
      </div>
    </div>
  </section>
</template>

<style scoped>
.exchange {
  margin-top: 20px;
  border-top: var(--line-hair) solid var(--hair);
  padding-top: var(--space-2);
}
.row {
  display: flex;
  gap: var(--space-2) 20px;
  align-items: center;
  flex-wrap: wrap;
  min-height: var(--touch);
}
.file:focus-within {
  outline: var(--line-chosen) solid var(--blue);
}
.preview {
  max-width: 860px;
}
</style>
