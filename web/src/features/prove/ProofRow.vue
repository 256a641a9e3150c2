<script setup lang="ts">
import { MEASUREMENTS, proofCloses, type ProofItem, type ProofResult, RESULT_WORD } from '@dauer/core/catalogue';
import { CORNER_NAME } from '@dauer/core/layout';
import { figureFault, figuresMissing, isGood, type ProofFigure, whyNotGood } from '@dauer/core/readiness';
import { figureRefusal, proofAsks, proofFigureText, proofHindrance, roadText } from '@dauer/core/views';
import { lowerFirst } from '@dauer/core/quantity';
import { type Verdict, worst } from '@dauer/core/verdict';
import { limitText } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import RoadForm from './RoadForm.vue';
import VerdictMark from '../../fittings/VerdictMark.vue';
import { dayText } from '../../fittings/dates.ts';

/** One proof: what is asked, its answers, and the words or figures that go with one. */
const props = defineProps<{ item: ProofItem; writable: boolean; comesFirst: string; owed: string }>();
const emit = defineEmits<{ take: [figure: ProofFigure] }>();
const job = useOpenJob();
const now = computed(() => job.state.context.proofStatus.answer(props.item) ?? null);
/** The answer that counts: one that a later event ended does not. */
const counts = (r: ProofResult): boolean =>
  now.value !== null &&
  isGood(now.value) &&
  now.value.record.result === r &&
  (job.state.released || figureRefusal(job.state, props.item, r) === null);
/** What it stands on, figure by figure; what is only wanted is shown once the rest is there. */
const figures = computed(() => job.state.context.figuresOf(props.item).filter((f) => !job.state.released || f.stands));
const missing = computed(() => new Set(figuresMissing(figures.value)));
/** Why the figures say otherwise. */
const otherwise = computed(() => (missing.value.size === 0 && !job.state.released ? figureRefusal(job.state, props.item, 'passed') : null));
const nameOf = (f: ProofFigure): string => {
  const { name } = MEASUREMENTS[f.ask.measurement];
  return props.item.corner === null && f.slot.corner !== null ? `${CORNER_NAME[f.slot.corner]} ${lowerFirst(name)}` : name;
};
const shown = computed(() => figures.value.filter((f) => f.set !== null || missing.value.has(f)));
const more = computed(() => figures.value.filter((f) => f.set === null && f.ask.need === 'wanted'));
const markOf = (f: ProofFigure): Verdict => (f.stands ? (worst(f.judged.map((j) => j.verdict)) ?? 'holds') : 'not_gauged');
const saidOf = (f: ProofFigure): string => (f.stands ? proofFigureText(job.history, f) : (figureFault(f) ?? ''));
const lapsed = computed(() => {
  const wrong = whyNotGood(now.value);
  return now.value && wrong ? `${RESULT_WORD[now.value.record.result]} on ${dayText(now.value.record.happenedAt)}. ${wrong}` : null;
});
/** The road as it was driven, while its answer stands. */
const road = computed(() => (now.value && lapsed.value === null ? roadText(job.state, now.value.record, props.owed !== '') : null));
const note = computed(() => now.value?.record.note ?? '');
/** Asked only where somebody may answer: what stands against each answer now. */
const against = computed(
  () =>
    new Map(
      props.item.answers.flatMap((r) =>
        props.writable ? [[r, proofHindrance(job.state, props.item, r) ?? figureRefusal(job.state, props.item, r)] as const] : [],
      ),
    ),
);
const off = (r: ProofResult): boolean => !props.writable || (against.value.get(r) ?? null) !== null;
/** The answer whose words are being written; `null` where only the note is. */
const saying = ref<{ readonly result: ProofResult | null } | null>(null);
const words = ref('');
const tried = ref(false);
const unsaid = computed(() => (tried.value && saying.value?.result ? (proofAsks(props.item, saying.value.result, words.value) ?? '') : ''));
const label = computed(() => {
  const { result } = saying.value ?? {};
  if (result === 'not_tried') return 'Why it cannot be tried here';
  return (result && proofAsks(props.item, result, '') ? props.item.asks?.label : null) ?? 'Note to the answer';
});
function say(result: ProofResult | null): void {
  saying.value = { result };
  words.value = note.value;
  tried.value = false;
}
/** What is said of the road with an answer to it. */
type Road = { readonly note: string; readonly roadTyped: string; readonly roadUnit: 'km' | 'mi'; readonly felt: string[] };
const asksRoad = (result: ProofResult | null): boolean => props.item.asks?.road === true && (result === 'passed' || result === 'failed');
function drove(result: ProofResult, road: Road): void {
  job.add('proofs', { item: props.item.item, slotId: null, corner: props.item.corner, result, ...road });
  saying.value = null;
}
function answer(result: ProofResult): void {
  if (asksRoad(result)) {
    say(result);
    return;
  }
  const open = saying.value?.result === result;
  const said = open || saying.value?.result === null ? words.value.trim() : '';
  if (proofAsks(props.item, result, said) !== null) {
    if (!open) say(result);
    else tried.value = true;
    return;
  }
  job.add('proofs', { item: props.item.item, slotId: null, corner: props.item.corner, result, note: said, felt: null });
  saying.value = null;
}
</script>

<template>
  <li class="proof">
    <span class="what">
      {{ item.question }}
      <span class="second small how">
        {{ item.how }}
        <button v-if="writable && saying === null" class="link" type="button" :aria-label="`Note: ${item.question}`" @click="say(null)">
          {{ note ? 'change the note' : 'with a note' }}
        </button>
      </span>
      <span v-if="comesFirst" class="small lapsed">{{ comesFirst }}</span>
      <span v-if="lapsed" class="small lapsed">{{ lapsed }}</span>
      <span v-if="otherwise" class="small lapsed">{{ otherwise }}</span>
      <span v-if="owed" class="small lapsed">{{ owed }}</span>
      <span v-if="note || road" class="small">{{ [note, road].filter(Boolean).join(': ') }}</span>
    </span>
    <ul v-if="shown.length > 0" class="figures" :aria-label="`Figures: ${item.question}`">
      <li v-for="f in shown" :key="`${f.slot.id}|${f.ask.measurement}`">
        <VerdictMark :verdict="markOf(f)" :size="14" />
        <span>{{ nameOf(f) }}</span>
        <b v-if="saidOf(f)" class="fig">{{ saidOf(f) }}</b>
        <span v-for="j in f.stands ? f.judged : []" :key="j.characteristic.id" class="second small">{{ limitText(j) }}</span>
        <button
          v-if="writable"
          class="link"
          type="button"
          :aria-label="`${f.stands ? 'Again' : 'Take'}: ${nameOf(f)}`"
          @click="emit('take', f)"
        >
          {{ f.stands ? 'again' : 'take it' }}
        </button>
      </li>
    </ul>
    <p v-if="more.length > 0 && writable" class="figures second small">
      Where there is something to take it with:
      <button v-for="f in more" :key="`${f.slot.id}|${f.ask.measurement}`" class="link" type="button" @click="emit('take', f)">
        {{ lowerFirst(nameOf(f)) }}
      </button>
    </p>
    <v-btn-group class="choice" role="group" :aria-label="item.question">
      <v-btn
        v-for="r in item.answers"
        :key="r"
        :aria-pressed="counts(r)"
        :disabled="off(r)"
        :title="proofCloses(r) ? (against.get(r) ?? undefined) : undefined"
        @click="answer(r)"
      >
        {{ RESULT_WORD[r] }}
      </v-btn>
    </v-btn-group>
    <slot />
    <RoadForm
      v-if="saying?.result && asksRoad(saying.result)"
      :key="saying.result"
      :item="item"
      :result="saying.result"
      :before="now?.record ?? null"
      @said="(road) => saying?.result && drove(saying.result, road)"
      @close="saying = null"
    />
    <form v-else-if="saying" class="say" @submit.prevent="saying.result && answer(saying.result)">
      <v-text-field v-model="words" v-focus density="compact" :label="label" :error-messages="unsaid" />
      <v-btn v-if="saying.result" class="act main" type="submit" :disabled="words.trim() === ''">{{ RESULT_WORD[saying.result] }}</v-btn>
      <v-btn class="act" @click="saying = null">Not now</v-btn>
    </form>
  </li>
</template>

<style scoped>
.proof {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-3);
  align-items: center;
  min-height: 52px;
  border-bottom: var(--line-hair) solid var(--hair);
  padding: 3px 0;
}
.what {
  flex: 1 1 300px;
  min-width: 0;
  line-height: var(--leading-tight);
}
.what .small {
  display: block;
  line-height: 18px;
}
.figures {
  flex: 1 1 100%;
  order: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-5);
  align-items: center;
  padding-left: var(--space-3);
}
.figures li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
  min-height: var(--touch);
}
.figures .link {
  min-height: var(--touch);
}
.lapsed {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.say {
  flex: 1 1 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: flex-start;
}
.say > :deep(.v-input) {
  flex: 1 1 260px;
}
</style>
