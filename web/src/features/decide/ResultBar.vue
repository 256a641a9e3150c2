<script setup lang="ts">
import { daysWords } from '@dauer/core/wording';
import type { Estimate, VariantId } from '@dauer/core/estimate';
import type { Offer, OwnerChoice } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import { dayText } from '../../fittings/dates.ts';
import { sumText } from '../../fittings/money.ts';
import { useFoot } from '../../fittings/useFoot.ts';

/** The running result and the one next act: what it comes to as decided, whether the owner agreed, his sheet. */
const props = defineProps<{
  estimate: Estimate;
  currency: string | null;
  offer: Offer | null;
  choice: OwnerChoice | null;
  /** The variant that it is as decided; null where it is none of them. */
  variant: string | null;
  open: number;
  writable: boolean;
  /** How many things are to be ordered, looked at or sent back. */
  toOrder: number;
}>();
const emit = defineEmits<{ variant: [id: VariantId]; sheet: []; orders: [] }>();
/** All is decided and the owner agreed, or nothing asks him: the next act is to order. */
const orders = computed(() => props.open === 0 && props.toOrder > 0 && (props.offer === null || props.choice?.offerId === props.offer.id));
const owner = computed(() => {
  const { offer, choice } = props;
  if (choice && (!offer || choice.offerId === offer.id))
    return choice.answer === 'yes'
      ? `agreed to ${sumText(choice.sum, props.currency)}, ${dayText(choice.happenedAt)}`
      : `said no, ${dayText(choice.happenedAt)}`;
  return offer ? `asked ${dayText(offer.madeAt)}, not answered` : 'not asked yet';
});
const risks = computed(() => {
  const rows = props.estimate.now.leaves.map((l) => l.row.toLowerCase());
  const missing = props.estimate.now.missing.length;
  return [
    props.open > 0 ? `${props.open} still to decide` : '',
    missing > 0 ? `${missing} without a price` : '',
    rows.length > 0 ? `risk left: ${rows.slice(0, 3).join(', ')}${rows.length > 3 ? ` and ${rows.length - 3} more` : ''}` : '',
  ]
    .filter(Boolean)
    .join('; ');
});
const here = ref<HTMLElement | null>(null);
useFoot(here);
</script>

<template>
  <div ref="here" class="footbar result" data-result role="region" aria-label="What it comes to">
    <div class="owner">
      <b class="plate-font">Owner</b>
      <span>{{ owner }}</span>
    </div>
    <div class="sum">
      <b v-if="estimate.undecided.length < estimate.rows.length" class="plate-font">
        {{ variant ?? 'As decided' }}, {{ sumText(estimate.now.gross, currency) }}, {{ daysWords(estimate.now.days) }}
      </b>
      <b v-else class="plate-font">Nothing decided yet</b>
      <span>{{ risks }}</span>
    </div>
    <div v-if="writable && estimate.variants.length > 0" class="variants" role="group" aria-label="Decide the whole job so">
      <button
        v-for="(v, i) in estimate.variants"
        :key="v.id"
        type="button"
        class="take"
        :aria-label="v.name"
        @click="emit('variant', v.id)"
      >
        <kbd>{{ i + 1 }}</kbd>
        {{ v.name }}
      </button>
    </div>
    <div class="onward">
      <v-btn class="act" :class="{ main: orders }" @click="emit('orders')">Orders{{ toOrder > 0 ? ` (${toOrder})` : '' }}</v-btn>
      <v-btn class="act" :class="{ main: !orders }" @click="emit('sheet')">Sheet for the owner</v-btn>
    </div>
  </div>
</template>

<style scoped>
.result {
  grid-template-columns: calc(var(--map) - var(--space-5)) minmax(0, 1fr) auto auto;
}
.owner b,
.sum b {
  display: block;
  font-size: var(--type-title);
  line-height: 26px;
  color: var(--bar-figure);
}
.owner span,
.sum span {
  font-size: var(--type-second);
  line-height: 18px;
  color: var(--bar-text2);
}
.sum {
  min-width: 0;
}
.onward,
.variants {
  display: flex;
  gap: var(--space-2);
}
.take {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: var(--touch);
  padding: 0 10px;
  background: none;
  color: var(--bar-text);
  border: var(--line-hair) solid var(--bar-edge);
  border-radius: var(--corner);
  font: 600 var(--type-body)/var(--leading-tight) var(--plate-font);
  cursor: pointer;
}
kbd {
  font: 400 var(--type-least)/var(--leading-tight) var(--figure-font);
  color: var(--bar-text2);
}
@media (max-width: 1180px) {
  .result {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: var(--space-2) var(--space-3);
  }
  .owner {
    display: none;
  }
  .onward {
    flex-wrap: wrap;
    justify-content: flex-end;
  }
  .variants {
    grid-row: 2;
    grid-column: 1 / -1;
  }
  .take {
    flex: 1;
    justify-content: center;
  }
  .sum span {
    display: none;
  }
  .sum b {
    font-size: var(--type-caption);
    line-height: 22px;
  }
}
</style>
