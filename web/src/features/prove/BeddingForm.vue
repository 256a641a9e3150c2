<script setup lang="ts">
import type { BeddingPlan, BeddingStep } from '@dauer/core/ledger';
import { computed, ref } from 'vue';

/** The steps of a product, as its slip says them: a row a step. */
const props = defineProps<{ from: BeddingPlan | null }>();
const emit = defineEmits<{ keep: [plan: Pick<BeddingPlan, 'product' | 'steps' | 'source'>]; close: [] }>();
interface Row {
  stops: string;
  fromKmh: string;
  toKmh: string;
  coolS: string;
}
const FIELDS = [
  { key: 'stops', label: 'Stops', most: 200, least: 1 },
  { key: 'fromKmh', label: 'From, km/h', most: 300, least: 1 },
  { key: 'toKmh', label: 'To, km/h', most: 300, least: 0 },
  { key: 'coolS', label: 'Free between two, s', most: 7200, least: 0 },
] as const;
const EMPTY: Row = { stops: '', fromKmh: '', toKmh: '', coolS: '' };
const textOf = (s: BeddingStep): Row => ({
  ...{ stops: String(s.stops), fromKmh: String(s.fromKmh), toKmh: String(s.toKmh), coolS: String(s.coolS) },
});
const product = ref(props.from?.product ?? '');
const source = ref(props.from?.source ?? '');
const rows = ref<Row[]>(props.from ? props.from.steps.map(textOf) : [{ ...EMPTY }]);
const MOST_ROWS = 12;
function wrong(row: Row, field: (typeof FIELDS)[number]): string {
  const text = row[field.key].trim();
  if (text === '') return '';
  const value = Number(text);
  if (!/^\d+$/.test(text) || value < field.least || value > field.most) return `A whole number from ${field.least} to ${field.most}.`;
  return field.key === 'toKmh' && row.fromKmh !== '' && value >= Number(row.fromKmh) ? 'A stop ends slower than it begins.' : '';
}
const whole = computed(
  () => product.value.trim() !== '' && rows.value.every((r) => FIELDS.every((f) => r[f.key].trim() !== '' && wrong(r, f) === '')),
);
function keep(): void {
  if (!whole.value) return;
  emit('keep', {
    ...{ product: product.value.trim(), source: source.value.trim() },
    steps: rows.value.map((r) => ({
      ...{ stops: Number(r.stops), fromKmh: Number(r.fromKmh) },
      ...{ toKmh: Number(r.toKmh), coolS: Number(r.coolS) },
    })),
  });
}
</script>

<template>
  <form class="form" @submit.prevent="keep">
    <div class="row two">
      <v-text-field v-model="product" v-focus label="Product" />
      <v-text-field v-model="source" label="Where its steps stand" />
    </div>
    <div v-for="(r, i) in rows" :key="i" class="row" role="group" :aria-label="`Step ${i + 1}`">
      <v-text-field
        v-for="f in FIELDS"
        :key="f.key"
        v-model="r[f.key]"
        :label="f.label"
        inputmode="numeric"
        :error-messages="wrong(r, f)"
      />
      <button v-if="rows.length > 1" class="link" type="button" :aria-label="`Leave step ${i + 1} out`" @click="rows.splice(i, 1)">
        leave out
      </button>
    </div>
    <div class="acts">
      <v-btn class="act" type="submit" :disabled="!whole">These are its steps</v-btn>
      <v-btn v-if="rows.length < MOST_ROWS" class="act" @click="rows.push({ ...EMPTY })">One more step</v-btn>
      <v-btn class="act" @click="emit('close')">Not now</v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--space-2);
  margin-top: var(--space-3);
}
.row {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr)) auto;
  gap: var(--space-2);
}
.two {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
}
@media (max-width: 720px) {
  .row {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
