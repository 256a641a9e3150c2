<script setup lang="ts">
import type { OptionId } from '@dauer/core/catalogue';
import type { CauseLook, Observation } from '@dauer/core/ledger';
import type { PlacedCheck, PlacedFault, PlacedSign } from '@dauer/core/stages';
import { type CauseLine, conflictWords, percentText, quietLinesOf, saidOf, type Prediction } from '@dauer/core/views';
import { computed, ref, shallowRef, watch } from 'vue';
import CauseRow from './CauseRow.vue';
import CheckPanel from './CheckPanel.vue';
import { betterCheck, hasMoved, heldLines, holdNow, type HeldTrace } from './heldTrace.ts';
import type { WeighedNow } from './useWeighing.ts';

/** What is at fault, as far as it can be told: the causes by how likely they are, and the check worth doing next. */
const props = defineProps<{
  now: WeighedNow | null;
  writable: boolean;
  looks: ReadonlyMap<string, CauseLook>;
  /** Of a made-up vehicle. */
  madeUp?: boolean;
  /** The work that is usual for a cause at a place, as far as nothing known of it there rules it out. */
  usual?: (slotId: string, option: OptionId) => OptionId | null;
}>();
const emit = defineEmits<{
  answer: [sign: PlacedSign, state: Observation['state']];
  look: [said: readonly Prediction[]];
  /** The check that stands first, for its cautions. */
  first: [check: PlacedCheck | null];
}>();
const opened = ref<number | null>(null);
/** What stands on the page, until somebody goes on. */
const held = shallowRef<HeldTrace | null>(null);
watch(
  () => props.now,
  (now) => {
    if (now && held.value?.network === now.input.network) return;
    // A fault is known by its number in the network: in another one that is another fault.
    opened.value = null;
    held.value = now && holdNow(now);
  },
  { immediate: true },
);
watch(held, (now) => emit('first', now?.checks[0] ?? null), { immediate: true });
/** How often cards were laid down: each time they begin anew. */
const laid = ref(0);
function goOn(): void {
  if (!props.now) return;
  held.value = holdNow(props.now);
  laid.value += 1;
}
const moved = computed(() => props.now !== null && held.value !== null && hasMoved(held.value, props.now));
const better = computed(() => (props.now && held.value ? betterCheck(held.value, props.now) : null));
const said = computed(() => Object.keys(props.now?.input.evidence.observations ?? {}).length);
const causes = computed(() => (props.now && held.value ? heldLines(held.value, props.now) : []));
/** What nothing seen speaks for, though it is likely enough on such a vehicle. */
const quiet = computed(() => (props.now ? quietLinesOf(props.now.input.network, props.now.result.causes) : []));
const quietToo = ref(false);
const quietWords = computed(() => {
  const n = quiet.value.length === 1 ? 'one' : String(quiet.value.length);
  return quietToo.value ? 'Only what something speaks for' : `Also ${n} that nothing seen speaks for`;
});
const shown = computed(() => {
  const plain = quiet.value.map((l) => ({ ...l, apart: false, likeliest: false }));
  return [{ lines: causes.value, quiet: false }, ...(quietToo.value ? [{ lines: plain, quiet: true }] : [])];
});
const faultOf = (i: number): PlacedFault | undefined => props.now?.input.network.faults[i];
const faultsOf = (line: CauseLine): PlacedFault[] => line.alike.flatMap((i) => faultOf(i) ?? []);
function look(faults: readonly number[], state: CauseLook['state']): void {
  const { now } = props;
  if (now)
    emit(
      'look',
      faults.flatMap((i) => saidOf(now.input, now.result, i, state)),
    );
}
const checks = computed(() =>
  (held.value?.checks ?? []).map((check) => ({ check, weighed: props.now?.result.next.find((w) => w.id === check.id) ?? null })),
);
const isRound = computed(() => held.value?.round === true);
/** One thing at a time that does not go together. */
const odd = computed(() => {
  const [first] = props.now ? conflictWords(props.now.input, props.now.result) : [];
  return first === undefined ? [] : [first];
});
const minutes = computed(() => checks.value.reduce((sum, { check }) => sum + check.minutes, 0));
</script>

<template>
  <section class="causes" aria-label="What may be at fault">
    <div class="which">
      <h2 class="line">What may be at fault</h2>
      <p v-if="now?.result.refused" class="problem">{{ now.result.refused }}</p>
      <p v-else-if="now === null" class="second">What is known is being weighed.</p>
      <p v-else-if="said === 0" class="second">
        Answer what you felt and saw; what may be at fault stands here, weighed anew with every answer.
      </p>
      <p v-for="o in odd" :key="o" class="problem" role="note">{{ o }}</p>
      <p v-if="now?.result.sampled !== null && now?.result.sampled !== undefined" class="second small">
        More things seen hang together than can be weighed exactly: these figures are drawn by chance, and are out by about
        {{ percentText(now.result.sampled) }} at most.
      </p>
      <p v-if="now?.result.unranked" class="second small">
        So much that was seen hangs together that checks are not ranked, nor is said what speaks for each cause.
      </p>
      <template v-if="now && said > 0">
        <p v-if="causes.length === 0" class="second">Nothing that was said makes any cause likelier than on any vehicle like this one.</p>
        <template v-for="part in shown" :key="part.quiet ? 1 : 0">
          <p v-if="part.quiet" class="second small">No likelier than on any vehicle like this one:</p>
          <ol v-if="part.lines.length > 0" :aria-label="part.quiet ? 'Nothing seen speaks for these' : 'Causes'">
            <CauseRow
              v-for="c in part.lines"
              :key="c.fault"
              :now="now"
              :cause="c"
              :open="opened === c.fault"
              :look="looks.get(faultOf(c.fault)?.id ?? '')?.state ?? null"
              :writable="writable"
              :made-up="madeUp ?? false"
              :usual-at="usual ?? null"
              @toggle="opened = opened === c.fault ? null : c.fault"
              @look="look"
            >
              <slot name="cause" :faults="faultsOf(c)" />
            </CauseRow>
          </ol>
          <button
            v-if="!part.quiet && quiet.length > 0"
            class="link small more"
            type="button"
            :aria-expanded="quietToo"
            @click="quietToo = !quietToo"
          >
            {{ quietWords }}
          </button>
        </template>
      </template>
    </div>
    <div class="next-to-do">
      <div class="going">
        <h2>{{ isRound ? `The first ${minutes} minutes` : 'Worth doing next' }}</h2>
        <v-btn class="act slim" :class="{ main: moved }" :disabled="!moved" :title="better?.name" @click="goOn">
          {{ moved && better ? `Go on: ${better.name.toLowerCase()}` : 'Go on' }}
        </v-btn>
      </div>
      <p v-if="said > 0 && checks.length === 0 && !now?.result.unranked" class="second">Nothing that can be checked now would tell more.</p>
      <template v-if="now">
        <CheckPanel
          v-for="(n, i) in checks"
          :key="`${laid} ${n.check.id}`"
          :input="now.input"
          :check="n.check"
          :weighed="n.weighed"
          :first="i === 0"
          :better="i > 0 && better?.id === n.check.id"
          :writable="writable"
          @answer="(sign, state) => emit('answer', sign, state)"
        />
      </template>
      <slot name="after" />
    </div>
    <div class="under"><slot name="under" /></div>
  </section>
</template>

<style scoped>
.causes {
  display: grid;
  grid-template: 'which next' auto 'under next' 1fr / minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--space-2) var(--space-6);
  margin: var(--space-2) 0 20px;
}
.which {
  grid-area: which;
}
.next-to-do {
  grid-area: next;
}
.under {
  grid-area: under;
}
.going {
  display: flex;
  min-height: var(--strip);
  gap: var(--space-3);
  align-items: end;
  justify-content: space-between;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: var(--space-1);
}
.going h2 {
  flex: none;
  line-height: var(--touch);
}
/* What comes next may be long: it stands in two lines rather than moving what stands below. */
.going :deep(.v-btn) {
  flex: 0 1 auto;
  min-width: 0;
}
.going :deep(.v-btn__content) {
  line-height: 1.15;
  text-align: left;
  white-space: normal;
}
.which h2 {
  min-height: var(--strip);
  padding-bottom: var(--space-1);
  line-height: var(--touch);
}
.more {
  justify-self: start;
  text-align: left;
}
@media (max-width: 1000px) {
  .causes {
    grid-template: 'which' 'next' 'under' / minmax(0, 1fr);
  }
}
</style>
