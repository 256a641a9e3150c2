<script setup lang="ts">
import type { ArticleVersion, Supplier } from '@dauer/core/ledger';
import { toResult } from '@dauer/core/quantity';
import { ARTICLE_COLUMNS, readArticleList, type ReadArticleRow, rowOfArticle } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { rowsOfFile, saveTable } from '../../fittings/tableFile.ts';

/** The price book as a list, out and in; in only after every row was looked at. */
const props = defineProps<{
  book: readonly ArticleVersion[];
  suppliers: readonly Supplier[];
  currency: string | null;
  writable: boolean;
}>();
const emit = defineEmits<{ taken: [] }>();
const { run, busy, problem } = useRequest();
const said = ref('');
const read = ref<{ readonly from: string; readonly rows: readonly ReadArticleRow[] } | null>(null);
const WORD: Readonly<Record<ReadArticleRow['verdict'], string>> = {
  ...{ new: 'new', newer: 'another price', same: 'stands there already', conflicts: 'conflicts', not_understood: 'not understood' },
};
const count = (v: ReadArticleRow['verdict']): number => read.value?.rows.filter((r) => r.verdict === v).length ?? 0;
const bad = computed(() => count('conflicts') + count('not_understood'));
const fresh = computed(() => read.value?.rows.filter((r) => r.verdict === 'new' || r.verdict === 'newer') ?? []);
const ORDER = ['conflicts', 'not_understood', 'newer', 'new', 'same'];
const shown = computed(() =>
  [...(read.value?.rows ?? [])].sort((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict) || a.line - b.line).slice(0, 60),
);
const out = (kind: 'csv' | 'json'): Promise<void> =>
  saveTable(
    props.book.map((a) => rowOfArticle(a, props.suppliers, props.currency)),
    ARTICLE_COLUMNS,
    { name: 'prices', format: 'dauer.prices', list: 'articles' },
    kind,
  );
async function choose(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  problem.value = '';
  said.value = '';
  read.value = null;
  if (!file) return;
  await run(async () => {
    const rows = await rowsOfFile(file, 'articles', 'price list');
    const list = toResult(() => readArticleList(rows, props.book, props.suppliers, props.currency));
    if (list.ok) read.value = { from: file.name, rows: list.value };
    else problem.value = list.refusal.message;
  });
  field.value = '';
}
async function take(): Promise<void> {
  const articles = fresh.value.flatMap((r) => (r.article ? [{ ...r.article, id: v7(), seriesId: r.seriesId ?? v7() }] : []));
  await run(async () => {
    const { written } = await call('importArticles', { body: { articles } });
    said.value = `${written} taken in.`;
    read.value = null;
    emit('taken');
  });
}
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
      <span v-if="said" class="second" role="status">{{ said }}</span>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }} Nothing was changed.</p>
    <div v-if="read" class="preview">
      <h2>{{ read.from }}</h2>
      <p>
        {{ count('new') }} new, {{ count('newer') }} another price, {{ count('same') }} stand there already,
        {{ count('conflicts') }} conflict, {{ count('not_understood') }} not understood.
        {{ bad > 0 ? 'Nothing is taken in while a row conflicts or is not understood: mend the file and choose it again.' : '' }}
      </p>
      <div class="acts">
        <v-btn class="act" @click="read = null">Leave it</v-btn>
        <v-btn v-if="bad === 0 && fresh.length > 0" class="act main" :loading="busy" @click="take">Take {{ fresh.length }} in</v-btn>
      </div>
      <table>
        <tbody>
          <tr v-for="r in shown" :key="r.line">
            <td class="num fig">{{ r.line }}</td>
            <td>{{ r.article?.name ?? '' }}</td>
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
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
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
