<script setup lang="ts">
import type { Need } from '@dauer/core/estimate';
import { computed, ref } from 'vue';
import DayField from '../../../fittings/DayField.vue';
import { sumText } from '../../../fittings/money.ts';
import type { Orders } from './useOrders.ts';

/** What the decisions need bought and nobody ordered yet, by supplier; one press orders what is picked there. */
const props = defineProps<{ orders: Orders; currency: string | null; writable: boolean }>();
const left = computed(() => props.orders.needs.value.filter((n) => n.missing > 0));
/** From whom, where the price book does not say. */
const from = ref<Record<string, string>>({});
const out = ref<ReadonlySet<string>>(new Set());
const day = ref<Record<string, string>>({});
const supplierOf = (n: Need): string => from.value[n.key] ?? n.article?.supplierId ?? '';
const groups = computed(() => {
  const ids = [...new Set(left.value.map(supplierOf))];
  return ids.map((id) => {
    const needs = left.value.filter((n) => supplierOf(n) === id);
    const picked = needs.filter((n) => !out.value.has(n.key));
    return {
      ...{ id, needs, picked, name: props.orders.suppliers.value.find((s) => s.id === id)?.name ?? '' },
      sum: picked.reduce((all, n) => all + n.missing * (n.article?.price ?? 0), 0),
      unpriced: picked.filter((n) => n.article?.price == null).length,
    };
  });
});
function toggle(n: Need): void {
  const next = new Set(out.value);
  if (!next.delete(n.key)) next.add(n.key);
  out.value = next;
}
/** The day by which everything picked is usually here. */
const usual = (needs: readonly Need[]): string =>
  needs.map((n) => props.orders.usualDay(n.article)).reduce((most, d) => (d > most ? d : most), '');
function order(g: (typeof groups.value)[number]): void {
  void props.orders.order(g.picked.map((need) => ({ need, supplierId: g.id, expected: day.value[g.id] ?? usual([need]) })));
}
/** What is ordered next by one press: everything picked of the first supplier. */
const next = computed(() => groups.value.find((g) => g.id !== '' && g.picked.length > 0) ?? null);
defineExpose({ next, order });
const items = computed(() => props.orders.suppliers.value.map((s) => ({ value: s.id, title: s.name })));
</script>

<template>
  <p v-if="left.length === 0" class="second">
    {{ orders.needs.value.length === 0 ? 'What is decided needs nothing bought.' : 'Everything that is needed is ordered.' }}
  </p>
  <section v-for="g in groups" :key="g.id" class="supplier" :aria-label="g.name || 'From whom is not said'">
    <h3>{{ g.name || 'From whom is not said' }}</h3>
    <ul>
      <li v-for="n in g.needs" :key="n.key">
        <label class="what">
          <input type="checkbox" :checked="!out.has(n.key)" :disabled="!writable || g.id === ''" @change="toggle(n)" />
          <span class="fig count">{{ n.missing }}</span>
          <b>{{ n.name }}</b>
          <span v-if="n.article?.partNumber" class="second fig small">{{ n.article.partNumber }}</span>
          <span class="second small">{{ orders.placesText(n.places) || n.because }}</span>
        </label>
        <span class="fig price">{{ n.article?.price == null ? '' : sumText(n.article.price * n.missing, currency) }}</span>
        <span v-if="n.article && n.article.scarcity !== 'available'" class="small">
          {{ n.article.scarcity === 'scarce' ? 'getting scarce' : 'out of make' }}
        </span>
        <p v-if="orders.before(n).unlike.length > 0" class="unlike small">
          <b class="plate-font">Unlike the old one</b>
          {{ orders.before(n).unlike.join('; ') }}
        </p>
        <p v-else-if="orders.before(n).unknown" class="second small unlike">Nothing of the old one is on record to hold it against.</p>
        <p v-for="o in orders.otherAxles(n)" :key="o" class="second small unlike">On the other axle: {{ o }}</p>
        <v-select
          v-if="writable && !n.article?.supplierId"
          class="from"
          label="From"
          density="compact"
          :items="items"
          :model-value="supplierOf(n) || null"
          @update:model-value="(v: string | null) => (from = { ...from, [n.key]: v ?? '' })"
        />
      </li>
    </ul>
    <div v-if="writable && g.id !== ''" class="acts">
      <DayField
        :model-value="day[g.id] ?? usual(g.picked)"
        ahead
        label="Promised for"
        class="day"
        @update:model-value="(v: string) => (day = { ...day, [g.id]: v })"
      />
      <v-btn class="act" :loading="orders.busy.value" :disabled="g.picked.length === 0 || orders.refusal.value !== null" @click="order(g)">
        Ordered from {{ g.name }} ({{ g.picked.length }})
      </v-btn>
      <span class="second small">{{ sumText(g.sum, currency) }} net{{ g.unpriced > 0 ? `, ${g.unpriced} without a price` : '' }}</span>
    </div>
  </section>
</template>

<style scoped>
.supplier {
  padding: var(--space-2) 0 var(--space-3);
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: center;
  min-height: var(--touch);
  border-bottom: var(--line-hair) solid var(--hair);
}
li input {
  align-self: center;
  width: 22px;
  height: 22px;
  accent-color: var(--blue);
}
.what {
  flex: 1 1 260px;
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-2);
  align-items: baseline;
  min-height: var(--touch);
  align-content: center;
}
.count {
  min-width: 2ch;
  text-align: right;
}
.price {
  min-width: 96px;
  text-align: right;
}
.unlike {
  flex: 1 1 100%;
  padding: 0 0 var(--space-2) 56px;
}
.from {
  flex: 0 1 240px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  padding-top: var(--space-3);
}
.day {
  flex: 0 1 220px;
}
</style>
