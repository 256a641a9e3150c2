<script setup lang="ts" generic="T extends object">
import { computed } from 'vue';
import { VDataTable, VDataTableVirtual } from 'vuetify/components/VDataTable';

/** A column of a list of the book: what it is called, and by what it is put in order; none where its order says nothing. */
interface Column<R> {
  readonly key: string;
  readonly title: string;
  readonly end?: boolean;
  /** Its head is read out and not shown: what stands in it speaks for itself. */
  readonly quiet?: boolean;
  readonly order?: (row: R) => string | number | null;
}

/**
 * A list that may grow long: put in order by its heads, drawn as far as it is seen, and on a narrow page one plate a row. Each
 * column is a slot that is given its row.
 */
const props = defineProps<{ columns: readonly Column<T>[]; rows: readonly T[]; label: string }>();
defineSlots<Record<string, (of: { readonly row: T }) => unknown>>();
/** From so many rows on only those in sight are drawn. */
const LONG = 100;
/** A list that is no longer than that is drawn whole: one that is drawn in parts without a height of its own leaves rows out. */
const long = computed(() => props.rows.length > LONG);
const headers = computed(() =>
  props.columns.map((c) => ({
    key: c.key,
    title: c.title,
    align: c.end ? ('end' as const) : ('start' as const),
    sortable: c.order !== undefined,
    value: (row: T) => c.order?.(row) ?? '',
  })),
);
</script>

<template>
  <component
    :is="long ? VDataTableVirtual : VDataTable"
    class="book"
    :headers="headers"
    :items="[...rows]"
    v-bind="long ? { height: '70vh', fixedHeader: true, itemHeight: 57 } : { itemsPerPage: -1, hideDefaultFooter: true }"
    :mobile="null"
    mobile-breakpoint="md"
    hide-no-data
    :aria-label="label"
  >
    <template v-for="c in columns.filter((x) => x.quiet)" :key="`head-${c.key}`" #[`header.${c.key}`]>
      <span class="sr">{{ c.title }}</span>
    </template>
    <template v-for="c in columns" :key="c.key" #[`item.${c.key}`]="{ item }: { item: unknown }">
      <slot :name="c.key" :row="item as T" />
    </template>
  </component>
</template>

<style scoped>
.book {
  background: transparent;
  color: inherit;
  font: inherit;
}
.book :deep(th),
.book :deep(td) {
  height: auto;
}
.book :deep(thead th) {
  background: var(--page);
  border-bottom: var(--line-hair) solid var(--slate);
}
.book :deep(td) {
  vertical-align: middle;
}
.book :deep(th) {
  white-space: nowrap;
}
.book :deep(:is(th, td)) {
  padding-right: var(--space-4);
}
.book :deep(:is(th, td):last-child) {
  padding-right: 0;
}
/* What stands for the rows that are out of sight. */
.book :deep(td[colspan]) {
  padding: 0;
  border-bottom: 0;
}
.book :deep(.v-data-table-header__sort-icon) {
  color: var(--blue);
}
.book :deep(.v-data-table__th--sortable) {
  cursor: pointer;
}
/* In what order they stand is chosen in a field like any other. */
.book :deep(.v-data-table-headers--mobile .v-field) {
  border: var(--line-hair) solid var(--slate);
  padding: 0 var(--space-3);
}
.book :deep(.v-data-table-headers--mobile .v-field__outline) {
  display: none;
}
/* One plate a row: what a figure is stands before it. */
.book :deep(.v-data-table__tr--mobile > td) {
  display: grid;
  grid-template-columns: 112px minmax(0, 1fr);
  gap: var(--space-2);
  align-items: center;
  padding: 2px 0;
  border-bottom: 0;
  min-height: 28px;
}
.book :deep(.v-data-table__tr--mobile > td:last-child) {
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: var(--space-2);
}
.book :deep(.v-data-table__td-title) {
  color: var(--ink2);
  font: 400 var(--type-second)/var(--leading-tight) var(--text-font);
}
.book :deep(.v-data-table__td-value) {
  text-align: left;
}
</style>
