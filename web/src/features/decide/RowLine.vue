<script setup lang="ts">
import { daysWords, foundWords } from '@dauer/core/wording';
import { OPTION_NAME } from '@dauer/core/catalogue';
import { billed, type PricedRow } from '@dauer/core/estimate';
import { placeName } from '@dauer/core/layout';
import { computed } from 'vue';
import { plainSum } from '../../fittings/money.ts';
import VerdictMark from '../../fittings/VerdictMark.vue';

/** What is decided in one, as a line: what was found, what is done, what it costs. */
const props = defineProps<{
  priced: PricedRow;
  open: boolean;
  prices: boolean;
  currency: string | null;
  asks: boolean;
  /** What a cause proposes for it, where it is not decided so and the row is shut. */
  proposal: string | null;
}>();
const emit = defineEmits<{ toggle: [] }>();
const all = computed(() => [...props.priced.row.members, ...props.priced.row.inside]);
const found = computed(() => foundWords(all.value));
const places = computed(() => all.value.map((c) => placeName(c.slot)).join('|'));
/** What it costs; nothing is said of nothing. */
const sum = computed(() => {
  const gross = props.prices && props.priced.decided ? billed(props.priced.decided.cost) : 0;
  return gross === 0 ? '' : plainSum(gross, props.currency);
});
/** What is done with it: one thing, or how many different ones. */
const says = computed(() => {
  const { decided, row } = props.priced;
  if (!decided) return all.value.some((c) => c.decision) ? 'partly decided' : 'to decide';
  const options = new Set(row.members.map((m) => m.decision?.option).filter((o) => o !== undefined));
  if (options.size > 1) return [...options].map((o) => OPTION_NAME[o]).join(', ');
  return OPTION_NAME[decided.option];
});
</script>

<template>
  <button
    type="button"
    class="line"
    :class="{ open, owed: asks }"
    :aria-expanded="open"
    :aria-label="`${priced.row.name}: ${asks ? 'to decide' : says}`"
    :data-row="priced.row.id"
    :data-places="places"
    @click="emit('toggle')"
  >
    <span class="marks">
      <VerdictMark v-for="m in priced.row.members.slice(0, 4)" :key="m.slot.id" :verdict="m.verdict ?? 'not_gauged'" :size="14" />
    </span>
    <b class="plate-font name">{{ priced.row.name }}</b>
    <span class="second small found">{{ (!open && proposal) || found }}</span>
    <span class="plate-font says">{{ says }}</span>
    <span class="fig price">{{ sum }}</span>
    <span class="second small days">
      {{ prices && priced.decided && priced.decided.cost.lead > 0 ? daysWords(priced.decided.cost.lead) : '' }}
    </span>
  </button>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 52px minmax(120px, 150px) minmax(0, 1fr) minmax(110px, 160px) 76px 54px;
  gap: var(--space-3);
  align-items: center;
  width: 100%;
  min-height: var(--strip);
  padding: var(--space-1) var(--space-2);
  background: none;
  border: 0;
  border-bottom: var(--line-hair) solid var(--hair);
  text-align: left;
  cursor: pointer;
}
.open {
  background: var(--plate);
}
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1);
}
.name {
  color: var(--blue);
  font-size: var(--type-caption);
  line-height: 22px;
}
.found {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
}
.says {
  font-size: var(--type-caption);
  line-height: 22px;
}
.owed .says {
  color: var(--blue);
}
.price,
.days {
  text-align: right;
}
@media (max-width: 1180px) {
  .line {
    grid-template-columns: 40px minmax(0, 1fr) auto 60px;
    gap: 2px var(--space-2);
    padding: var(--space-2) 0;
  }
  .found {
    grid-column: 2 / 4;
    grid-row: 2;
  }
  .price {
    grid-column: 4;
    grid-row: 1;
  }
  .days {
    grid-column: 4;
    grid-row: 2;
  }
}
</style>
