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
          <v-btn class="act slim" :aria-label="`${sign.text}: yes`" @click="emit('answer', sign, 'seen')">Yes</v-btn>
          <v-btn class="act slim" :aria-label="`${sign.text}: no`" @click="emit('answer', sign, 'not_seen')">No</v-btn>
        </span>
      </div>
      <v-btn v-if="writable && open.length > 2" class="act slim rest" @click="open.forEach((s) => emit('answer', s, 'not_seen'))">
        None of the rest
      </v-btn>
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
  border-bottom: var(--line-hair) solid var(--hair);
  padding: var(--space-2) 0;
}
.next.first {
  border: var(--line-drawn) solid var(--ink);
  border-radius: var(--corner);
  padding: 10px var(--space-3);
  margin-top: var(--space-2);
  background: var(--plate);
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
}
.title b {
  font-size: var(--type-caption);
}
.caution {
  border-left: 6px solid var(--ink);
  padding-left: 10px;
  margin: var(--space-1) 0;
}
summary {
  min-height: 32px;
  cursor: pointer;
}
.rest {
  margin: 6px 0 var(--space-2);
}
.ask .acts {
  flex: none;
  flex-wrap: nowrap;
}
.ask {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  justify-content: space-between;
  min-height: var(--strip);
}
</style>
