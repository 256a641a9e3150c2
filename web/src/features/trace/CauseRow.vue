<script setup lang="ts">
import { OPTION_NAME, type OptionId } from '@dauer/core/catalogue';
import { likelyWord } from '@dauer/core/inference';
import type { CauseLook } from '@dauer/core/ledger';
import { HAZARD_OF, HOT_ONLY, type PlacedFault } from '@dauer/core/stages';
import { percentText, shortPlaces, speakingWords, whereWords } from '@dauer/core/views';
import { computed } from 'vue';
import ShareBar from '../../fittings/ShareBar.vue';
import type { HeldLine } from './heldTrace.ts';
import type { WeighedNow } from './useWeighing.ts';

/** One line of the causes: how likely, what speaks for it and against it, and what the bench is to do about it. */
const props = defineProps<{
  now: WeighedNow;
  cause: HeldLine;
  open: boolean;
  look: CauseLook['state'] | null;
  writable: boolean;
  /** Of a vehicle that is only made up: nothing can be gauged or found. */
  madeUp: boolean;
  usualAt: ((slotId: string, option: OptionId) => OptionId | null) | null;
}>();
const emit = defineEmits<{ toggle: []; look: [faults: readonly number[], state: CauseLook['state']] }>();
const fault = computed(() => props.now.input.network.faults[props.cause.fault]);
/** All that the line stands for. */
const alike = computed(() => {
  const { network } = props.now.input;
  const short = shortPlaces(network, props.cause);
  return props.cause.alike.flatMap((i, k): { i: number; fault: PlacedFault; short: string }[] => {
    const one = network.faults[i];
    return one ? [{ i, fault: one, short: short[k] ?? one.where }] : [];
  });
});
const place = computed(() => whereWords(props.now.input.network, props.cause));
const WORDS = { likely: 'Likely', possible: 'Possible', unlikely: 'Unlikely' } as const;
const certain = computed(() => (fault.value ? props.now.input.evidence.found.get(fault.value.id) : undefined));
const word = computed(() =>
  certain.value
    ? certain.value.state === 'present'
      ? 'Found'
      : 'Not there'
    : props.cause.likeliest
      ? 'Likeliest'
      : WORDS[likelyWord(props.cause.probability)],
);
/** Of several: of each alike, or of the likeliest where they have come apart. */
const figure = computed(() => {
  const share = percentText(props.cause.probability);
  if (alike.value.length < 2) return share;
  return props.cause.apart ? `up to ${share}` : `${share} each`;
});
const expected = computed(() => props.now.result.expected[props.cause.fault] ?? 0);
/** A hazard only once the brakes are hot. */
const hotOnly = computed(() => HOT_ONLY.has(fault.value?.kind.id ?? ''));
const hazard = computed(() => (certain.value?.state === 'absent' ? undefined : HAZARD_OF.get(fault.value?.kind.id ?? '')));
/** What is usually done about it, where a part is concerned. */
const usual = computed(() => {
  const option = fault.value?.kind.option;
  if (option === undefined || option === 'use_again') return '';
  const here = fault.value?.slot && props.usualAt ? props.usualAt(fault.value.slot.id, option) : option;
  return here === option ? ` Usually: ${OPTION_NAME[option].toLowerCase()}.` : '';
});
const said = (way: 1 | -1): string => speakingWords(props.now.input, props.cause, way);
</script>

<template>
  <li v-if="fault">
    <button type="button" class="cause" :aria-expanded="open" @click="emit('toggle')">
      <span class="name">
        <b class="plate-font">{{ fault.kind.name }}</b>
        <span class="second small">{{ place }}</span>
      </span>
      <ShareBar :share="cause.probability" />
      <span class="how">
        <b class="plate-font">{{ word }}</b>
        <span class="fig small">
          {{ certain ? `was ${percentText(expected)}` : figure }}
        </span>
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
        {{ hazard }}:
        {{ hotOnly ? 'until this is ruled out it is driven gently, and down no hill.' : 'it is not driven until this is ruled out.' }}
      </p>
      <p class="second">Before anything was seen {{ percentText(fault.prior) }}: {{ fault.kind.reason.toLowerCase() }}.{{ usual }}</p>
      <div v-if="writable && !madeUp" class="acts">
        <v-btn v-if="fault.slot && look !== 'wanted' && !certain" class="act slim" @click="emit('look', cause.alike, 'wanted')">
          Put {{ alike.length > 1 ? 'them ' : '' }}on the bench’s list
        </v-btn>
        <v-btn v-if="look === 'wanted'" class="act slim" @click="emit('look', cause.alike, 'open')">Off the list</v-btn>
        <v-btn v-if="alike.length === 1 && certain?.state !== 'present'" class="act slim" @click="emit('look', cause.alike, 'found')">
          Found it
        </v-btn>
        <v-btn v-if="certain?.state !== 'absent'" class="act slim" @click="emit('look', cause.alike, 'absent')">
          It is {{ alike.length > 1 ? 'none of them' : 'not that' }}
        </v-btn>
        <v-btn v-if="certain && !certain.finding" class="act slim" @click="emit('look', cause.alike, 'open')">Leave it open</v-btn>
      </div>
      <div v-if="writable && !madeUp && alike.length > 1" class="acts">
        <span class="second">Found it at</span>
        <v-btn
          v-for="one in alike"
          :key="one.i"
          class="act slim"
          :aria-label="`Found it: ${one.fault.where}`"
          @click="emit('look', [one.i], 'found')"
        >
          {{ one.short }}
        </v-btn>
      </div>
      <slot />
    </div>
  </li>
</template>

<style scoped>
li {
  border-bottom: var(--line-hair) solid var(--hair);
}
.cause {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 90px 96px;
  gap: var(--space-3);
  align-items: center;
  width: 100%;
  min-height: 52px;
  padding: var(--space-1) 0;
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
  line-height: var(--leading-tight);
}
.how {
  text-align: right;
}
.why {
  padding: 0 0 10px;
  display: grid;
  gap: var(--space-1);
  max-width: 60ch;
}
.danger {
  border-left: 6px solid var(--ink);
  padding-left: 10px;
}
.acts {
  gap: var(--space-2);
  margin-top: var(--space-1);
}
</style>
