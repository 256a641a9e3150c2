<script setup lang="ts">
import { finishCard, type Gate, OPTION_NAME } from '@dauer/core/catalogue';
import { placeName } from '@dauer/core/layout';
import type { CardTellKind } from '@dauer/core/ledger';
import { type CardState, closesBy, isFirstTime, isKnownHere, type StepState, whyNotTold } from '@dauer/core/readiness';
import { fastenerName, FIRST_TIME, STRIP_FIELD, timeWords } from '@dauer/core/wording';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { timeNow } from '../../../app/client.ts';
import { useSession } from '../../../app/session.ts';
import { useSpeech } from '../../../app/speech.ts';
import WithNote from '../../../fittings/WithNote.vue';
import { useOpenJob } from '../../../job/openJob.ts';
import JointRows from '../JointRows.vue';
import PartWork from '../PartWork.vue';
import StripPanel from '../strip/StripPanel.vue';
import TorqueRow from '../TorqueRow.vue';
import AllSteps from './AllSteps.vue';
import BesideStep from './BesideStep.vue';
import CardFoot from './CardFoot.vue';
import CardRule from './CardRule.vue';
import KitPlate from './KitPlate.vue';
import LubricantSymbol from './LubricantSymbol.vue';
import StepNeeds from './StepNeeds.vue';
import StepTold from './StepTold.vue';
import { useCardKeys } from './useCardKeys.ts';

/** One unit at the bench by its card: one step at a time, large; what stands before it, what it rests on, what the other side told. */
const props = defineProps<{ state: CardState; writable: boolean }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const session = useSession();
const slot = computed(() => props.state.slot);
const picked = ref<string | null>(null);
const at = computed<StepState | null>(
  () => props.state.steps.find((s) => s.step.id === picked.value) ?? props.state.next ?? props.state.steps.at(-1) ?? null,
);
const place = computed(() => props.state.steps.findIndex((s) => s === at.value));
const after = computed(() => props.state.steps.slice(place.value + 1).find((s) => s.status === 'open') ?? null);
watch(
  () => slot.value.id,
  (id) => (job.picked = id),
  { immediate: true },
);
const component = computed(() => job.state.components.find((c) => c.slot.id === slot.value.id) ?? null);
/** A record closes it, and not a tick: what is told of the part, of its lines, or of what holds it. */
const record = computed(() => at.value && closesBy(slot.value, at.value.step));
const torque = computed(() => ({
  ...{ point: `${slot.value.kind}:${slot.value.id}`, slotId: slot.value.id, name: fastenerName(slot.value) },
  fastener: { of: 'unit' as const, kind: slot.value.kind, slotId: slot.value.id },
}));
const torques = computed(() => job.history.active(job.history.records.torques).filter((t) => t.point === torque.value.point));

/** What takes the place of the step: all steps in a list, or what came off. */
const instead = ref<'all' | 'strip' | null>(null);
const note = ref<string | undefined>('');
const why = ref('');
const asking = ref(false);
watch(at, (is, was) => {
  if (is?.step.id !== was?.step.id) [note.value, why.value, asking.value] = ['', '', false];
});
function body(kind: CardTellKind, more: { readonly gate?: Gate; readonly note?: string } = {}) {
  return { runId: props.state.run.id, stepId: at.value?.step.id ?? '', kind, gate: more.gate ?? null, note: more.note ?? '' };
}
/** Why something is not told of this step now; null where it may be. */
function refusal(kind: CardTellKind, more: Parameters<typeof body>[1] = {}): string | null {
  const tell = { ...body(kind, more), authorId: session.person?.id ?? '' };
  return whyNotTold(job.history, tell, timeNow().at, session.may('lead') ? 'lead' : 'technician');
}
const refused = ref('');
function tell(kind: CardTellKind, more: Parameters<typeof body>[1] = {}): boolean {
  const no = refusal(kind, more);
  refused.value = no ?? '';
  if (no === null) job.add('cardTells', body(kind, more));
  return no === null;
}
const able = computed(() => at.value !== null && refusal('done') === null);
function done(): void {
  // What is not on the screen is not told.
  if (!props.writable || !at.value || instead.value !== null) return;
  if (at.value.status !== 'open') return move(1);
  if (record.value !== null) return;
  if (tell('done', { note: (note.value ?? '').trim() })) further();
}
function further(): void {
  picked.value = null;
  void attend();
}
function notHere(): void {
  if (!props.writable || at.value?.status !== 'open' || instead.value !== null) return;
  asking.value = true;
}
function sayNotHere(): void {
  if (tell('not_here', { note: why.value.trim() })) further();
}
/** Another step comes into hand, and the keys with it: what was pressed to get there may be gone from the screen. */
function pick(stepId: string): void {
  picked.value = stepId;
  refused.value = '';
  void attend();
}
/** A step on or back: the keys stay where they are, so that one press more is another step, and never a tick. */
function move(by: number): void {
  const to = props.state.steps[place.value + by];
  if (to) picked.value = to.step.id;
  refused.value = '';
}
const heading = ref<HTMLElement | null>(null);
async function attend(): Promise<void> {
  await nextTick();
  heading.value?.focus({ preventScroll: true });
}
onMounted(() => {
  window.scrollTo({ top: 0 });
  void attend();
});
useCardKeys({ done, move, notHere });
const speech = useSpeech();
watch(
  () => at.value?.step.id,
  () => at.value && speech.say(at.value.step.words),
);
const isNew = computed(() => session.person !== null && isFirstTime(job.history, props.state.run, session.person.id));
/** Steps that wait for a second look, and that whoever is here may look at. */
const toSecond = computed(() =>
  props.state.steps.filter((s) => {
    if (!s.owesSecond) return false;
    const seconded = { runId: props.state.run.id, stepId: s.step.id, kind: 'seconded' as const, gate: null, note: '' };
    const of = { ...seconded, authorId: session.person?.id ?? '' };
    return whyNotTold(job.history, of, timeNow().at, session.may('lead') ? 'lead' : 'technician') === null;
  }),
);
function secondAll(): void {
  const { run } = props.state;
  job.together(FIRST_TIME.all(toSecond.value.length), () => {
    for (const s of toSecond.value) job.add('cardTells', { runId: run.id, stepId: s.step.id, kind: 'seconded', gate: null, note: '' });
  });
}
/** What must not be pressed or pulled while this is worked on. */
const locks = computed(() => job.state.context.proofStatus.locks);
</script>

<template>
  <section v-if="at" class="bench" aria-label="At the bench">
    <p v-if="locks.length > 0" class="locks" role="note">
      <b class="plate-font">Do not press or pull</b>
      {{ locks.map((l) => l.control.name.toLowerCase()).join(', ') }}.
      <RouterLink :to="`/jobs/${job.records.job.id}/board`">Why, and what goes on it</RouterLink>
    </p>
    <div class="head">
      <h1 class="unit">{{ placeName(slot) }}: {{ (finishCard(state.run.cardId)?.name ?? OPTION_NAME[state.run.option]).toLowerCase() }}</h1>
      <span class="second">
        {{ state.closed }} of {{ state.steps.length }} told{{ state.minutesLeft > 0 ? `, about ${timeWords(state.minutesLeft)} left` : '' }}
      </span>
      <span class="grow" />
      <v-btn v-if="speech.can" class="act slim" :aria-pressed="speech.on.value" @click="speech.on.value = !speech.on.value">Aloud</v-btn>
      <v-btn class="act slim" :aria-pressed="instead === 'strip'" @click="instead = instead === 'strip' ? null : 'strip'">
        {{ STRIP_FIELD.open }}
      </v-btn>
      <v-btn class="act slim" :aria-pressed="instead === 'all'" @click="instead = instead === 'all' ? null : 'all'">All steps</v-btn>
      <v-btn class="act slim" @click="emit('close')">Leave</v-btn>
    </div>
    <CardRule :steps="state.steps" :at="at.step.id" @pick="pick" />
    <p v-if="isNew && writable" class="new small" role="note">
      {{ FIRST_TIME.you(session.person?.name ?? '', isKnownHere(job.history, state.run)) }}
    </p>
    <p v-if="toSecond.length > 0 && writable" class="new small">
      {{ FIRST_TIME.waits(toSecond.length) }}
      <v-btn class="act slim" @click="secondAll">{{ FIRST_TIME.all(toSecond.length) }}</v-btn>
    </p>
    <AllSteps v-if="instead === 'all'" :steps="state.steps" :at="at" @pick="(id) => ((instead = null), pick(id))" />
    <StripPanel v-else-if="instead === 'strip'" class="stripped" :slot-of="slot" :writable="writable" />
    <div v-else class="two">
      <div class="step">
        <h2 ref="heading" tabindex="-1" class="words">{{ at.step.words }}</h2>
        <p class="why">{{ at.step.why }}</p>
        <p v-if="at.step.orientation" class="way">
          <b class="plate-font">Which way</b>
          {{ at.step.orientation }}
        </p>
        <p v-if="at.step.ready" class="way">
          <b class="plate-font">Ready before</b>
          {{ at.step.ready }}
        </p>
        <p v-if="at.step.takes.length > 0" class="way">
          <b class="plate-font">New</b>
          {{ at.step.takes.map((t) => `${t.count} × ${t.name.toLowerCase()}`).join(', ') }}
        </p>
        <p v-if="at.step.hazard" class="hazard">{{ at.step.hazard }}</p>
        <LubricantSymbol v-if="at.step.lubricant" :lubricant="at.step.lubricant" />
        <KitPlate v-if="at.step.group === 'strip' || at.step.takes.length > 0" :state="state" :writable="writable" />
        <StepNeeds :state="at" :writable="writable" @pass="(gate, reason) => tell('passed', { gate, note: reason })" @pick="pick" />
        <p v-if="refused" class="problem" role="alert">{{ refused }}</p>
        <StepTold
          v-if="at.status !== 'open'"
          :at="at"
          :writable="writable"
          :refused="at.owesSecond ? refusal('seconded') : null"
          @second="tell('seconded')"
        />
        <form v-else-if="asking" class="not" @submit.prevent="sayNotHere">
          <v-text-field v-model="why" v-focus label="Not applicable here, because" maxlength="300" />
          <v-btn class="act main" type="submit" :disabled="why.trim().length < 3">So it is</v-btn>
          <v-btn class="act" @click="asking = false">It is applicable</v-btn>
        </form>
        <template v-else-if="writable">
          <div v-if="record === 'part' && component" class="here">
            <h3>Its record closes it</h3>
            <PartWork :component="component" :writable="writable" :enters="at.step.enters" />
          </div>
          <div v-else-if="record === 'line'" class="here">
            <JointRows :writable="writable" :only="slot.id" />
          </div>
          <div v-else-if="record === 'torque'" class="here">
            <TorqueRow :point="torque" :logged="torques" :writable="writable" />
          </div>
          <template v-else>
            <p v-if="!able && at.ready" class="small">{{ refusal('done') }}</p>
            <WithNote v-model="note" :of="at.step.words" />
          </template>
        </template>
      </div>
      <BesideStep :state="state" :at="at" @pick="pick" @strip="instead = 'strip'" />
    </div>
    <CardFoot
      :at="at"
      :number="place + 1"
      :of="state.steps.length"
      :after="after"
      :able="able && instead === null"
      :writable="writable"
      :by-record="record !== null"
      @done="done"
      @move="move"
      @not-here="notHere"
    />
  </section>
</template>

<style scoped>
.bench {
  padding-bottom: 112px;
}
.unit {
  font-size: var(--type-title);
  line-height: 28px;
}
.head {
  flex-wrap: wrap;
}
.head .second {
  flex: 0 1 auto;
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
  margin-top: var(--space-2);
}
.stripped {
  margin-top: var(--space-4);
}
.locks {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
  margin-bottom: var(--space-2);
}
.locks b {
  margin-right: var(--space-1);
}
.grow {
  flex: 1;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 270px);
  gap: var(--space-5);
  margin-top: var(--space-4);
}
.step {
  display: grid;
  gap: var(--space-3);
  align-content: start;
}
.step > :deep(.link) {
  justify-self: start;
}
.words {
  font-size: 34px;
  line-height: 38px;
  outline: none;
}
.why {
  color: var(--ink2);
  font-size: var(--type-tag);
  line-height: 25px;
}
.way b {
  margin-right: var(--space-2);
}
.hazard {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
  font-weight: 700;
}
.here {
  border: var(--line-hair) solid var(--ink);
  padding: var(--space-3);
  background: var(--plate);
}
.here :deep(.joints) {
  margin-top: 0;
}
.not {
  display: grid;
  gap: var(--space-2);
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: start;
}
@media (max-width: 720px) {
  .head .second {
    flex: 1 0 100%;
  }
}
@media (max-width: 1180px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .bench {
    padding-bottom: 168px;
  }
  .words {
    font-size: 26px;
    line-height: 30px;
  }
  .not {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
