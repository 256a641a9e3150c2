<script setup lang="ts">
import { cautionOfCheck } from '@dauer/core/catalogue';
import type { RatedCheck } from '@dauer/core/inference';
import type { Observation } from '@dauer/core/ledger';
import type { PlacedCheck, PlacedSign } from '@dauer/core/stages';
import { askedWords, outcomeWords, toAnswer, type ToTrace } from '@dauer/core/views';
import { computed } from 'vue';

/** A check: its steps, minutes, helpers, tools and caution; its answers; and what each would make of the causes. */
const props = defineProps<{
  input: ToTrace;
  check: PlacedCheck;
  weighed: RatedCheck | null;
  first: boolean;
  writable: boolean;
}>();
const emit = defineEmits<{ answer: [sign: PlacedSign, state: Observation['state']] }>();
const left = computed(() => toAnswer(props.input, props.check));
const open = computed(() => left.value.open);
const caution = computed(() => cautionOfCheck(props.check.kind.hazard, props.first));
const outcomes = computed(() => (props.weighed ? outcomeWords(props.input, props.weighed) : []));
</script>

<template>
  <article class="next" :class="{ first }">
    <div class="title">
      <b class="plate-font">{{ check.name }}</b>
      <span class="second small fig">{{ check.minutes }} min</span>
      <span v-if="check.kind.helpers > 0" class="second small">with a helper</span>
      <span v-if="check.kind.tools" class="second small">{{ check.kind.tools }}</span>
    </div>
    <p class="small">{{ check.kind.steps }}.</p>
    <p v-if="caution" class="small caution">
      <b class="plate-font">Caution</b>
      {{ caution }}
    </p>
    <details v-if="open.length > 0" :open="open.length <= (first ? 10 : 2)">
      <summary class="small second">{{ open.length === 1 ? 'One thing to answer' : `${open.length} things to answer` }}</summary>
      <div v-for="sign in open" :key="sign.id" class="ask">
        <span>{{ askedWords(check, sign) }}</span>
        <span v-if="writable" class="acts">
          <button class="act slim" type="button" :aria-label="`${sign.text}: yes`" @click="emit('answer', sign, 'seen')">Yes</button>
          <button class="act slim" type="button" :aria-label="`${sign.text}: no`" @click="emit('answer', sign, 'not_seen')">No</button>
        </span>
      </div>
      <button
        v-if="writable && open.length > 2"
        class="act slim rest"
        type="button"
        @click="open.forEach((s) => emit('answer', s, 'not_seen'))"
      >
        None of the rest
      </button>
    </details>
    <p v-if="left.gauged" class="small second">What is gauged is taken at Gauge; the figures count by themselves.</p>
    <slot />
    <ul v-if="first && outcomes.length > 0" class="small second">
      <li v-for="o in outcomes" :key="o">{{ o }}</li>
    </ul>
  </article>
</template>

<style scoped>
.next {
  border-bottom: 1px solid var(--hair);
  padding: 8px 0;
}
.next.first {
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 10px 12px;
  margin-top: 8px;
  background: var(--plate);
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.title b {
  font-size: 18px;
}
.caution {
  border-left: 6px solid var(--ink);
  padding-left: 10px;
  margin: 4px 0;
}
summary {
  min-height: 32px;
  cursor: pointer;
}
.rest {
  margin: 6px 0 8px;
}
.ask .acts {
  flex: none;
  flex-wrap: nowrap;
}
.ask {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  min-height: 48px;
}
</style>
