<script setup lang="ts">
import type { VerdictChange } from '@dauer/contract';
import { toResult } from '@dauer/core/quantity';
import type { LimitVersion } from '@dauer/core/verdict';
import {
  LIMIT_COLUMNS,
  type LimitFields,
  limitKey,
  readLimitList,
  type ReadLimitRow,
  rowOfLimit,
  type RowVerdict,
} from '@dauer/core/views';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { rowsOfFile, saveTable } from '../../fittings/tableFile.ts';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';

/** The limit book as a list, out and in; in only after every row was looked at. A type's limits may be copied to another. */
const props = defineProps<{ book: readonly LimitVersion[]; writable: boolean }>();
const emit = defineEmits<{ taken: [changed: readonly VerdictChange[]] }>();
const { run, busy, problem } = useRequest();
const said = ref('');
const read = ref<{ readonly from: string; readonly rows: readonly ReadLimitRow[] } | null>(null);
const WORD: Readonly<Record<RowVerdict, string>> = {
  new: 'new',
  same: 'stands there already',
  conflicts: 'conflicts',
  not_understood: 'not understood',
};
const count = (v: RowVerdict): number => read.value?.rows.filter((r) => r.verdict === v).length ?? 0;
const bad = computed(() => count('conflicts') + count('not_understood'));
const shown = computed(() =>
  [...(read.value?.rows ?? [])].sort((a, b) => Number(b.why !== null) - Number(a.why !== null) || a.line - b.line).slice(0, 60),
);

const out = (kind: 'csv' | 'json'): Promise<void> =>
  saveTable(props.book.map(rowOfLimit), LIMIT_COLUMNS, { name: 'limits', format: 'dauer.limits', list: 'limits' }, kind);
async function choose(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  problem.value = '';
  said.value = '';
  read.value = null;
  if (!file) return;
  await run(async () => {
    const rows = await rowsOfFile(file, 'limits', 'limit list');
    const list = toResult(() => readLimitList(rows, props.book));
    if (list.ok) read.value = { from: file.name, rows: list.value };
    else problem.value = list.refusal.message;
  });
  field.value = '';
}
async function take(): Promise<void> {
  const fresh = read.value?.rows.flatMap((r) => (r.verdict === 'new' && r.limit ? [r.limit] : [])) ?? [];
  await enter(fresh.map((l) => ({ ...l, id: v7(), seriesId: v7() })));
}
type Entry = LimitFields & { readonly id: string; readonly seriesId: string };
async function enter(limits: readonly Entry[]): Promise<void> {
  await run(async () => {
    const { written, changed } = await call('importLimits', { body: { limits: [...limits] } });
    said.value = `${written} taken in, unchecked.`;
    read.value = null;
    copying.value = false;
    emit('taken', changed);
  });
}

const copying = ref(false);
const from = ref<string | null>(null);
const to = ref({ make: '', model: '' });
const typeOf = (l: LimitVersion): string => `${l.make ?? ''} ${l.model ?? ''}`;
const types = computed(() => [...new Set(props.book.filter((l) => l.scope === 'type').map(typeOf))].sort());
const copies = computed(() => {
  const { make, model } = { make: to.value.make.trim(), model: to.value.model.trim() };
  if (!from.value || !make || !model) return [];
  const known = new Set(props.book.map(limitKey));
  return props.book
    .filter((l) => l.scope === 'type' && typeOf(l) === from.value)
    .map(({ enteredBy: _b, enteredAt: _a, checkedBy: _c, checkedAt: _d, ...l }) => ({
      ...l,
      id: v7(),
      seriesId: v7(),
      make,
      model,
      yearFrom: null,
      yearTo: null,
      variant: null,
      sourceText: `${l.sourceText}, copied from ${from.value ?? ''}`.slice(0, 200),
    }))
    .filter((l) => !known.has(limitKey(l)));
});
</script>

<template>
  <section class="exchange">
    <div class="acts">
      <v-btn class="act slim" @click="out('csv')">Out as CSV</v-btn>
      <v-btn class="act slim" @click="out('json')">Out as JSON</v-btn>
      <label v-if="writable" class="act slim in">
        In from a file
        <input class="file" type="file" accept=".csv,.json,.txt" @change="choose" />
      </label>
      <v-btn v-if="writable && types.length > 0" class="act slim" :aria-expanded="copying" @click="copying = !copying">
        Copy a type’s limits
      </v-btn>
      <span v-if="said" class="second" role="status">{{ said }}</span>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }} Nothing was changed.</p>
    <form v-if="copying" class="copy" @submit.prevent="enter(copies)">
      <v-select v-model="from" label="From the type" :items="types" />
      <v-text-field v-model="to.make" label="To the make" />
      <v-text-field v-model="to.model" label="To the model" />
      <v-btn class="act main" type="submit" :disabled="busy || copies.length === 0">Copy {{ copies.length }}, unchecked</v-btn>
    </form>
    <div v-if="read" class="preview">
      <h2>{{ read.from }}</h2>
      <p>
        {{ count('new') }} new, {{ count('same') }} stand there already, {{ count('conflicts') }} conflict,
        {{ count('not_understood') }} not understood.
        {{ bad > 0 ? 'Nothing is taken in while a row conflicts or is not understood: mend the file and choose it again.' : '' }}
      </p>
      <div class="acts">
        <v-btn class="act" @click="read = null">Leave it</v-btn>
        <v-btn v-if="bad === 0 && count('new') > 0" class="act main" :disabled="busy" @click="take">
          Take all {{ count('new') }} in, unchecked
        </v-btn>
      </div>
      <table>
        <tbody>
          <tr v-for="r in shown" :key="r.line">
            <td class="num fig">{{ r.line }}</td>
            <td>{{ r.limit?.characteristic.replace(/_/g, ' ') ?? '' }} {{ [r.limit?.make, r.limit?.model].filter(Boolean).join(' ') }}</td>
            <td>
              <b>{{ WORD[r.verdict] }}</b>
            </td>
            <td class="second">{{ r.why }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.exchange {
  margin: var(--space-3) 0;
}
.acts,
.copy {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.copy {
  margin-top: var(--space-3);
}
.copy > :deep(.v-input) {
  flex: 1 1 200px;
}
.in {
  cursor: pointer;
  position: relative;
}
.in:focus-within {
  outline: var(--line-chosen) solid var(--blue);
  outline-offset: 2px;
}
.file {
  position: absolute;
  opacity: 0;
  width: 100%;
  height: 100%;
  left: 0;
  top: 0;
}
.preview {
  margin: var(--space-3) 0;
  border: var(--line-hair) solid var(--ink);
  border-radius: var(--corner);
  padding: var(--space-3);
}
.preview .acts {
  margin: var(--space-2) 0;
}
</style>
