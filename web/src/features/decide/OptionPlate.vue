<script setup lang="ts">
import { daysWords, timeWords } from '@dauer/core/wording';
import { billed, type RowOption, unpriced } from '@dauer/core/estimate';
import { computed, useId } from 'vue';
import { plainSum } from '../../fittings/money.ts';

/** One way of doing a row: price, time, what rules it out, what it leaves at risk. */
const props = defineProps<{
  option: RowOption;
  digit: number;
  chosen: boolean;
  writable: boolean;
  prices: boolean;
  currency: string | null;
  /** Variants that do it so. */
  variants: readonly string[];
  /** What it costs as a job of its own later, gross; null where that says nothing. */
  alone: number | null;
}>();
const emit = defineEmits<{ choose: []; look: [] }>();
const details = useId();
const missing = computed(() => unpriced(props.option.cost));
const time = computed(() => {
  const { minutes, lead } = props.option.cost;
  return [minutes > 0 ? timeWords(minutes) : '', lead > 0 ? `parts in ${daysWords(lead)}` : ''].filter(Boolean).join(', ');
});
</script>

<template>
  <div class="way" :class="{ chosen, out: option.ruledOut !== null }">
    <button
      type="button"
      class="pick"
      :aria-pressed="chosen"
      :aria-label="option.name"
      :aria-describedby="details"
      :disabled="!writable || option.ruledOut !== null"
      @click="emit('choose')"
    >
      <span class="top">
        <b class="plate-font name">{{ option.name }}</b>
        <kbd v-if="writable && option.ruledOut === null && digit <= 9">{{ digit }}</kbd>
      </span>
      <span v-if="prices && (option.ruledOut === null || billed(option.cost) > 0)" class="fig price">
        {{ plainSum(billed(option.cost), currency) }}
      </span>
      <span :id="details" class="details">
        <template v-if="option.ruledOut !== null">
          <span class="not">{{ option.unknown ? 'Not known yet.' : 'Not this way.' }}</span>
          {{ option.ruledOut }}
        </template>
        <template v-else>
          <span v-if="time" class="line">{{ time }}</span>
          <span v-if="prices && missing.length > 0" class="line">No price: {{ missing.join(', ').toLowerCase() }}.</span>
          <span v-if="option.departs" class="line">{{ option.departs }}</span>
          <span v-for="r in option.risks" :key="r" class="line">{{ r }}</span>
          <span v-if="prices && alone !== null" class="line">Later, as a job of its own: {{ plainSum(alone, currency) }}.</span>
        </template>
      </span>
      <span v-if="variants.length > 0" class="plate-font variants">{{ variants.join(', ') }}</span>
    </button>
    <button v-if="option.because !== null && option.ruledOut !== null" class="link look" type="button" @click="emit('look')">
      Look at it
    </button>
  </div>
</template>

<style scoped>
.way {
  display: flex;
  flex-direction: column;
  background: var(--plate);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
}
.chosen {
  background: var(--blue-tint);
  box-shadow: inset 0 0 0 1px var(--blue);
}
.out {
  border-color: var(--hair);
  background: none;
}
.pick {
  display: flex;
  flex: 1;
  flex-direction: column;
  gap: 2px;
  padding: 10px var(--space-3);
  background: none;
  border: 0;
  color: var(--ink);
  text-align: left;
  cursor: pointer;
  min-height: var(--tall);
}
.pick:disabled {
  cursor: default;
}
.top {
  display: flex;
  justify-content: space-between;
  gap: var(--space-2);
}
.name {
  font-size: var(--type-caption);
  line-height: 22px;
  color: var(--blue);
}
.out .name {
  text-decoration: line-through;
  color: var(--ink2);
}
kbd {
  border: var(--line-hair) solid var(--slate);
  border-radius: var(--corner);
  padding: 0 6px;
  font: 400 var(--type-least)/var(--leading-tight) var(--figure-font);
  color: var(--ink2);
  align-self: flex-start;
}
.price {
  font-size: var(--type-head);
  line-height: var(--leading);
}
.chosen .price {
  font-weight: 700;
}
.out .price {
  color: var(--ink2);
}
.details {
  font-size: var(--type-second);
  line-height: 18px;
  color: var(--ink2);
}
.line {
  display: block;
}
.not {
  color: var(--past);
}
.variants {
  margin-top: auto;
  padding-top: var(--space-1);
  font-size: var(--type-body);
}
.look {
  align-self: flex-start;
  padding: 0 var(--space-3);
  min-height: var(--touch);
}
</style>
