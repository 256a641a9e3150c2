<script setup lang="ts">
import { type CauseLook, HAZARD_OF, likelyWord, OPTION_NAME, percentText, speakingWords, type Weighed } from '@dauer/core';
import { computed } from 'vue';
import type { WeighedNow } from './useWeighing.ts';

/** One cause: how likely, what speaks for it and against it, and what the bench is to do about it. */
const props = defineProps<{
  now: WeighedNow;
  cause: Weighed;
  /** Others alike at the same wheel that nothing tells apart from it yet. */
  others: number;
  open: boolean;
  look: CauseLook['state'] | null;
  writable: boolean;
  /** Of a vehicle that is only made up: nothing can be gauged or found. */
  madeUp: boolean;
}>();
const emit = defineEmits<{ toggle: []; look: [state: CauseLook['state']] }>();
const fault = computed(() => props.now.given.network.faults[props.cause.fault]);
const WORDS = { likely: 'Likely', possible: 'Possible', unlikely: 'Unlikely' } as const;
const certain = computed(() => (fault.value ? props.now.given.evidence.found.get(fault.value.id) : undefined));
const word = computed(() =>
  certain.value ? (certain.value.state === 'present' ? 'Found' : 'Not there') : WORDS[likelyWord(props.cause.probability)],
);
const expected = computed(() => props.now.result.expected[props.cause.fault] ?? 0);
const hazard = computed(() => (certain.value?.state === 'absent' ? undefined : HAZARD_OF.get(fault.value?.kind.id ?? '')));
/** What is usually done about it, where a part is concerned. */
const usual = computed(() => {
  const option = fault.value?.kind.option;
  return option === undefined || option === 'use_again' ? '' : ` Usually: ${OPTION_NAME[option].toLowerCase()}.`;
});
const said = (way: 1 | -1): string => speakingWords(props.now.given, props.cause, way);
</script>

<template>
  <li v-if="fault">
    <button type="button" class="cause" :aria-expanded="open" @click="emit('toggle')">
      <span class="name">
        <b class="plate-font">{{ fault.kind.name }}</b>
        <span class="second small">
          {{ fault.where }}{{ others === 0 ? '' : `, or ${others === 1 ? 'the other' : `one of ${others} others`} there` }}
        </span>
      </span>
      <svg class="bar" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
        <rect width="100" height="10" class="whole" />
        <rect :width="cause.probability * 100" height="10" class="part" />
      </svg>
      <span class="how">
        <b class="plate-font">{{ word }}</b>
        <span class="fig small">{{ certain ? `was ${percentText(expected)}` : percentText(cause.probability) }}</span>
      </span>
    </button>
    <div v-if="open" class="why small">
      <p v-if="certain?.finding">
        <b class="plate-font">On the bench</b>
        {{ certain.finding }}
      </p>
      <p v-if="said(1)">
        <b class="plate-font">For it</b>
        {{ said(1) }}
      </p>
      <p v-if="said(-1)">
        <b class="plate-font">Against it</b>
        {{ said(-1) }}
      </p>
      <p v-if="hazard" class="danger">
        <b class="plate-font">Hazard</b>
        {{ hazard }}: it is not driven until this is ruled out.
      </p>
      <p class="second">Before anything was seen {{ percentText(fault.prior) }}: {{ fault.kind.reason.toLowerCase() }}.{{ usual }}</p>
      <div v-if="writable && !madeUp" class="acts">
        <button v-if="fault.slot && look !== 'wanted' && !certain" class="act slim" type="button" @click="emit('look', 'wanted')">
          Put on the bench’s list
        </button>
        <button v-if="look === 'wanted'" class="act slim" type="button" @click="emit('look', 'open')">Off the list</button>
        <button v-if="certain?.state !== 'present'" class="act slim" type="button" @click="emit('look', 'found')">Found it</button>
        <button v-if="certain?.state !== 'absent'" class="act slim" type="button" @click="emit('look', 'absent')">It is not that</button>
        <button v-if="certain && !certain.finding" class="act slim" type="button" @click="emit('look', 'open')">Leave it open</button>
      </div>
      <slot />
    </div>
  </li>
</template>

<style scoped>
li {
  border-bottom: 1px solid var(--hair);
}
.cause {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 90px 96px;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 52px;
  padding: 4px 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  font: inherit;
  cursor: pointer;
}
.name,
.how {
  display: grid;
  line-height: 20px;
}
.how {
  text-align: right;
}
.bar {
  width: 90px;
  height: 10px;
}
.whole {
  fill: var(--plate);
  stroke: var(--slate);
}
.part {
  fill: var(--ink);
}
.why {
  padding: 0 0 10px;
  display: grid;
  gap: 4px;
  max-width: 60ch;
}
.danger {
  border-left: 6px solid var(--ink);
  padding-left: 10px;
}
.acts {
  flex-wrap: wrap;
}
</style>
