<script setup lang="ts">
import { type Gate, OPTION_NAME } from '@dauer/core/catalogue';
import { counterpart, placeName } from '@dauer/core/layout';
import type { CardTellKind } from '@dauer/core/ledger';
import { type CardState, cardState, closesBy, runAt, type StepState, whyNotTold } from '@dauer/core/readiness';
import { fastenerName, STEP_KIND_NAME, timeWords } from '@dauer/core/wording';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { timeNow } from '../../../app/client.ts';
import { useSession } from '../../../app/session.ts';
import { useSpeech } from '../../../app/speech.ts';
import { dayText, timeText } from '../../../fittings/dates.ts';
import WithNote from '../../../fittings/WithNote.vue';
import { useOpenJob } from '../../../job/openJob.ts';
import PictureRow from '../../../job/PictureRow.vue';
import JointRows from '../JointRows.vue';
import PartWork from '../PartWork.vue';
import TorqueRow from '../TorqueRow.vue';
import CardFoot from './CardFoot.vue';
import CardRule from './CardRule.vue';
import LubricantSymbol from './LubricantSymbol.vue';
import StepNeeds from './StepNeeds.vue';
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
  if (!props.writable || !at.value) return;
  if (at.value.status !== 'open') return move(1);
  if (record.value !== null) return;
  if (tell('done', { note: (note.value ?? '').trim() })) further();
}
function further(): void {
  picked.value = null;
  void attend();
}
function notHere(): void {
  if (!props.writable || at.value?.status !== 'open') return;
  asking.value = true;
}
function sayNotHere(): void {
  if (tell('not_here', { note: why.value.trim() })) further();
}
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
/** The same step at the other side, with what was told of it there: shown first. */
const other = computed(() => counterpart(job.history.records.layout, slot.value) ?? null);
const mirrored = computed(() => {
  const run = other.value && runAt(job.history, other.value.id);
  const state = run && cardState(job.history, run, timeNow().at);
  const step = state?.steps.find((s) => s.step.id === at.value?.step.id);
  return step && (step.tell?.note || step.status === 'not_here') ? step.tell : null;
});
const otherPictures = computed(() => job.history.active(job.history.records.pictures).filter((p) => p.slotId === other.value?.id).length);
const leftOpen = computed(() => props.state.steps.filter((s) => s.step.obliged && s.status === 'open' && s !== at.value));
const all = ref(false);
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
      <h1 class="unit">{{ placeName(slot) }}: {{ OPTION_NAME[state.run.option].toLowerCase() }}</h1>
      <span class="second">
        {{ state.closed }} of {{ state.steps.length }} told{{ state.minutesLeft > 0 ? `, about ${timeWords(state.minutesLeft)} left` : '' }}
      </span>
      <span class="grow" />
      <v-btn v-if="speech.can" class="act slim" :aria-pressed="speech.on.value" @click="speech.on.value = !speech.on.value">Aloud</v-btn>
      <v-btn class="act slim" :aria-pressed="all" @click="all = !all">All steps</v-btn>
      <v-btn class="act slim" @click="emit('close')">Leave</v-btn>
    </div>
    <CardRule :steps="state.steps" :at="at.step.id" @pick="(id) => (picked = id)" />
    <ol v-if="all" class="all" aria-label="All steps of this card">
      <li v-for="(s, i) in state.steps" :key="s.step.id" :aria-current="s === at ? 'step' : undefined">
        <span class="fig number">{{ i + 1 }}</span>
        <button type="button" class="pick" @click="((picked = s.step.id), (all = false))">{{ s.step.words }}</button>
        <span class="second small">
          {{ s.status === 'done' ? STEP_KIND_NAME[s.step.kind] : s.status === 'not_here' ? 'not applicable' : s.ready ? 'open' : 'waits' }}
        </span>
      </li>
    </ol>
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
        <StepNeeds
          :state="at"
          :writable="writable"
          @pass="(gate, reason) => tell('passed', { gate, note: reason })"
          @pick="(id) => (picked = id)"
        />
        <p v-if="refused" class="problem" role="alert">{{ refused }}</p>
        <div v-if="at.status !== 'open'" class="told">
          <p>
            <b>{{ at.status === 'not_here' ? 'Not applicable here' : 'Told' }}{{ at.tell?.note ? ':' : '' }}</b>
            {{ at.tell?.note }}
            <span v-if="at.tell ?? at.closedBy" class="second small">
              {{ job.by((at.tell ?? at.closedBy)!) }}, {{ dayText((at.tell ?? at.closedBy)!.happenedAt) }}
              {{ timeText((at.tell ?? at.closedBy)!.happenedAt) }}{{ at.closedBy ? ', by the record' : '' }}
            </span>
            <button v-if="writable && at.tell" class="link small" type="button" @click="job.takeBack(at.tell.id)">Take back</button>
          </p>
          <p v-if="at.seconded" class="second small">Seconded by {{ job.by(at.seconded) }}, {{ dayText(at.seconded.happenedAt) }}</p>
          <v-btn v-else-if="at.owesSecond && writable" class="act" :disabled="refusal('seconded') !== null" @click="tell('seconded')">
            Looked at by {{ session.person?.name ?? 'a second person' }}
          </v-btn>
          <p v-if="at.owesSecond && refusal('seconded') !== null" class="second small">{{ refusal('seconded') }}</p>
        </div>
        <form v-else-if="asking" class="not" @submit.prevent="sayNotHere">
          <v-text-field v-model="why" v-focus label="Not applicable here, because" maxlength="300" />
          <v-btn class="act main" type="submit" :disabled="why.trim().length < 3">So it is</v-btn>
          <v-btn class="act" @click="asking = false">It is applicable</v-btn>
        </form>
        <template v-else-if="writable">
          <div v-if="record === 'part' && component" class="here">
            <h3>Its record closes it</h3>
            <PartWork :component="component" :writable="writable" bare />
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
      <aside class="beside" aria-label="Beside this step">
        <template v-if="other && (mirrored || otherPictures > 0)">
          <h3>{{ placeName(other) }}, first</h3>
          <p v-if="mirrored">
            “{{ mirrored.note }}”
            <span class="second small">{{ job.by(mirrored) }}, {{ dayText(mirrored.happenedAt) }}</span>
          </p>
          <PictureRow
            v-if="otherPictures > 0"
            of="place"
            :slot-id="other.id"
            :label="`Pictures of the ${placeName(other).toLowerCase()}`"
          />
        </template>
        <h3>Pictures</h3>
        <PictureRow of="place" :slot-id="slot.id" label="Take a picture" />
        <template v-if="leftOpen.length > 0">
          <h3>Before this closes</h3>
          <ul class="left">
            <li v-for="s in leftOpen.slice(0, 6)" :key="s.step.id">
              <button type="button" class="link small" @click="picked = s.step.id">{{ s.step.words }}</button>
            </li>
            <li v-if="leftOpen.length > 6" class="second small">and {{ leftOpen.length - 6 }} more</li>
          </ul>
        </template>
      </aside>
    </div>
    <CardFoot
      :at="at"
      :number="place + 1"
      :of="state.steps.length"
      :after="after"
      :able="able"
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
  font-size: 17px;
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
.beside {
  display: grid;
  gap: var(--space-2);
  align-content: start;
}
.beside h3 {
  border-bottom: var(--line-hair) solid var(--ink);
}
.left {
  display: grid;
}
.left .link {
  text-align: left;
}
.all {
  margin-top: var(--space-4);
}
.number {
  width: 28px;
  text-align: right;
}
.all .pick {
  flex: 1;
}
.all li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  min-height: var(--touch);
  border-bottom: var(--line-hair) solid var(--hair);
}
.all li[aria-current] {
  background: var(--blue-tint);
}
.pick {
  min-height: var(--touch);
  background: none;
  border: 0;
  color: var(--blue);
  font: 400 var(--type-body)/22px var(--text-font);
  text-align: left;
  cursor: pointer;
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
