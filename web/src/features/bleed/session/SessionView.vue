<script setup lang="ts">
import { type BleedPull, type BleedStepEvent, type BleedStepKind, CLOSING } from '@dauer/core/ledger';
import { pedalsOf, placeName, slotById } from '@dauer/core/layout';
import { fixed } from '@dauer/core/quantity';
import { pullOf, type SessionBleeder, type SessionState, whyNotStepped } from '@dauer/core/stages';
import { closingName, SESSION_ALOUD, SESSION_REFUSED } from '@dauer/core/wording';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../../app/client.ts';
import { useRequest } from '../../../app/request.ts';
import { useSpeech } from '../../../app/speech.ts';
import { useSession } from '../../../app/session.ts';
import ChoiceRow from '../../../fittings/ChoiceRow.vue';
import { DEVICE } from '../../../job/job.ts';
import type { LotTaken } from '../../../job/lotTaken.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import { useSentFirst } from '../../../job/sentFirst.ts';
import CameOut from './CameOut.vue';
import CountBar from './CountBar.vue';
import FilledUp from './FilledUp.vue';
import FlowClock from './FlowClock.vue';
import FluidWay from './FluidWay.vue';
import LevelLook from './LevelLook.vue';
import UnderScale from './UnderScale.vue';
import ReservoirLevel from './ReservoirLevel.vue';
import { useSessionKeys } from './useSessionKeys.ts';

/** A session of bleeding, live: the reservoir, the bleeder that is lit, stroke by stroke; what closes it, and which is next. */
const props = defineProps<{ state: SessionState; writable: boolean }>();
const job = useOpenJob();
const session = useSession();
const { run, busy, problem } = useRequest();
const sentFirst = useSentFirst();
const mine = computed(() => props.state.device === DEVICE);
const counts = computed(() => props.writable && mine.value && !props.state.over);
/** The bleeder that is worked on: the one that stands open, else the one that was chosen, else the next of the order. */
const chosen = ref<string | null>(null);
const at = computed<SessionBleeder | null>(() => {
  const { bleeders, now } = props.state;
  const open = bleeders.find((b) => (b.strokes.length > 0 || b.openedAt !== null) && !b.ticks.includes('closed_under_flow'));
  return open ?? bleeders.find((b) => b.slot.id === chosen.value) ?? now ?? bleeders[0] ?? null;
});
const place = computed(() => props.state.bleeders.findIndex((b) => b === at.value) + 1);
watch(
  () => at.value?.slot.id ?? null,
  (id) => (job.picked = id),
  { immediate: true },
);
/** Whether the bleeder hangs on a hand lever: what is felt then is the lever. */
const byHand = computed(() => {
  const { layout } = job.history.records;
  return pedalsOf(layout).some((c) => c.reach.has(at.value?.slot.id ?? '') && slotById(layout, c.slotId)?.kind === 'hand_lever');
});
const nameOf = (kind: (typeof CLOSING)[number]): string => closingName(kind, byHand.value);
const colour = ref<BleedPull['colour']>('dark');
watch(
  () => at.value?.slot.id,
  () => (colour.value = at.value?.strokes.at(-1)?.colour ?? 'dark'),
);
const refused = ref('');
/** It takes the screen from its head on, wherever the form stood that began it. */
onMounted(() => {
  window.scrollTo({ top: 0 });
  void attend();
});
const filling = ref(false);
const heading = ref<HTMLElement | null>(null);
/**
 * The keys belong to the count again: the focus stands at the heading, and not on the control that was just used, where Space
 * would be swallowed and a stroke lost.
 */
async function attend(): Promise<void> {
  await nextTick();
  heading.value?.focus({ preventScroll: true });
}
watch(filling, (open) => {
  if (!open) void attend();
});
/** A control that was pressed by hand gives its keys back; one reached by Tab keeps the focus. */
function pressed(event: MouseEvent): void {
  const control = event.target instanceof Element ? event.target.closest('button') : null;
  if (event.detail > 0 && control && !filling.value) void attend();
}

type Fields = Partial<Omit<BleedStepEvent, 'kind' | 'sessionId'>>;
/** Takes a step, kept here first; says why not where it cannot be. */
function step(kind: BleedStepKind, more: Fields = {}): boolean {
  const body = { slotId: null, colour: null, air: null, levelMl: null, fluidClass: null, bottle: '', ...more, kind };
  const why = whyNotStepped(props.state, { ...body, device: DEVICE });
  refused.value = why === null ? '' : SESSION_REFUSED[why];
  if (why === null) job.add('bleedSteps', { ...body, sessionId: props.state.session.id });
  return why === null;
}
function stroke(air: BleedPull['air'] = 'none'): void {
  if (!counts.value || !at.value || filling.value) return;
  if (props.state.stops) filling.value = true;
  if (step('stroke', { slotId: at.value.slot.id, colour: colour.value, air })) chosen.value = at.value.slot.id;
}
/** By gravity: it stands open, and the time runs until fluid does. */
function opened(): void {
  if (counts.value && at.value && props.state.session.method === 'gravity') step('opened', { slotId: at.value.slot.id });
}
/** What is read out: whoever presses the pedal sits where the screen is not seen. */
const speech = useSpeech();
const spoken = computed(() => ({ at: at.value?.slot.id ?? '', strokes: at.value?.strokes.length ?? 0 }));
watch(spoken, (is, was) => {
  const b = at.value;
  if (!b) return;
  if (is.at !== was.at) speech.say(SESSION_ALOUD.next(placeName(b.slot)));
  else if (is.strokes > was.strokes) {
    const then = props.state.stops ? SESSION_ALOUD.fill : props.state.lookWanted ? SESSION_ALOUD.look : '';
    const enough = b.freshMl >= b.exchangeMl && then === '' ? SESSION_ALOUD.enough : then;
    speech.say(enough || SESSION_ALOUD.stroke(is.strokes, props.state.session.method === 'pedal'));
  }
});
/** The last of the three ticks keeps what came at the bleeder. */
function tick(kind: (typeof CLOSING)[number]): void {
  const b = at.value;
  if (!counts.value || !b || b.ticks.includes(kind)) return;
  const whole = CLOSING.every((k) => k === kind || b.ticks.includes(k));
  if (whyNotStepped(props.state, { kind, slotId: b.slot.id, levelMl: null, fluidClass: null, device: DEVICE }) !== null || !whole) {
    step(kind, { slotId: b.slot.id });
    return;
  }
  const { volumeMl, ...came } = pullOf(b);
  job.together(`${placeName(b.slot)}: ${nameOf(kind).toLowerCase()}`, () => {
    step(kind, { slotId: b.slot.id });
    job.add('bleedPulls', { slotId: b.slot.id, volumeTyped: `${volumeMl} mL`, method: props.state.session.method, ...came });
  });
  chosen.value = null;
}
const toTick = computed(() => CLOSING.find((k) => !at.value?.ticks.includes(k)) ?? null);

function look(levelMl: number): boolean {
  const seen = step('level', { levelMl });
  if (seen) void attend();
  return seen;
}
function filled(fluidClass: BleedStepEvent['fluidClass'], bottle: string, lot: LotTaken | null): void {
  job.together(`Filled up: ${bottle}`, () => {
    if (!step('filled', { fluidClass, bottle })) return;
    filling.value = false;
    if (lot) job.add('lotUses', { lotId: lot.lotId, slotId: null, partId: null, reason: lot.reason.trim() });
  });
}
/** Another device counts from now on: asked of the server at once, and refused without it. */
async function takeOver(): Promise<void> {
  await run(async () => {
    await sentFirst();
    const params = { jobId: job.records.job.id };
    const body = { id: v7(), happenedAt: timeNow().at, device: DEVICE, sessionId: props.state.session.id, kind: 'took_over' as const };
    await call('recordBleedStep', { params, body });
    await job.refresh();
  });
}
/** The step that was taken last is taken back. */
function takeBack(): void {
  const { last } = props.state;
  if (counts.value && last && last.kind !== 'took_over') job.takeBack(last.id);
}
const stop = (): boolean => step('ended');

useSessionKeys({
  colour: (c) => counts.value && (colour.value = c),
  stroke,
  fill: () => counts.value && (filling.value = true),
  close: () => toTick.value && tick(toTick.value),
  back: takeBack,
  opened,
});
const COLOURS = [
  { value: 'dark', label: 'Dark' },
  { value: 'amber', label: 'Amber' },
  { value: 'clear', label: 'Clear' },
] as const;
</script>

<template>
  <section v-if="at" class="session" aria-label="Bleeding live" @click="pressed">
    <div class="head">
      <h2 ref="heading" tabindex="-1">{{ placeName(at.slot) }}</h2>
      <span class="second">
        {{ place }} of {{ state.bleeders.length }}{{ at.pathMm > 0 ? `, ${fixed(at.pathMm / 1000, 2)} m from the cylinder` : '' }}
      </span>
      <span class="grow" />
      <v-btn v-if="speech.can" class="act" :aria-pressed="speech.on.value" @click="speech.on.value = !speech.on.value">Aloud</v-btn>
      <v-btn v-if="counts" class="act" @click="stop">Stop here</v-btn>
    </div>
    <p v-if="!mine && !state.over" class="problem">
      {{ job.who(state.by) }} counts on another device; here it is followed.
      <v-btn v-if="writable" class="act slim" :loading="busy" @click="takeOver">Take over, {{ session.person?.name ?? '' }}</v-btn>
    </p>
    <p v-if="problem || refused" class="problem" role="alert">{{ problem || refused }}</p>
    <div class="two">
      <div>
        <h3>Reservoir</h3>
        <ReservoirLevel :state="state" />
        <LevelLook v-if="counts" :state="state" :seen="look" @fill="filling = true" />
        <FilledUp v-if="counts && filling" :state="state" @filled="filled" @close="filling = false" />
      </div>
      <div class="way">
        <FluidWay :bleeder="at" />
        <FlowClock v-if="state.session.method === 'gravity'" :bleeder="at" :counts="counts" @opened="opened" />
        <CameOut :bleeder="at" />
        <div class="now">
          <div v-if="counts">
            <h3>Now</h3>
            <ChoiceRow v-model="colour" :options="COLOURS" label="Colour that comes out" />
          </div>
          <div>
            <h3>In order</h3>
            <ol class="order">
              <li v-for="b in state.bleeders" :key="b.slot.id" :aria-current="b === at ? 'step' : undefined">
                <button type="button" class="pick" :disabled="!counts" @click="chosen = b.slot.id">{{ placeName(b.slot) }}</button>
                <span class="fig small">{{ b.done ? 'closed' : b === at ? 'now' : `${Math.round(b.exchangeMl)} mL` }}</span>
              </li>
            </ol>
          </div>
        </div>
        <UnderScale v-if="counts" :state="state" @stroke="stroke()" />
      </div>
    </div>
    <div v-if="counts" class="closing">
      <h3>Then, at this bleeder</h3>
      <div class="ticks" role="group" aria-label="What closes this bleeder">
        <v-btn
          v-for="k in CLOSING"
          :key="k"
          class="act"
          :aria-pressed="at.ticks.includes(k)"
          :disabled="at.strokes.length === 0"
          @click="tick(k)"
        >
          {{ nameOf(k) }}
          <kbd v-if="k === toTick">c</kbd>
        </v-btn>
      </div>
      <p class="second small">
        Close it while fluid still runs. Never a full stroke on an old cylinder: rust lies where its lip does not go.
      </p>
    </div>
    <CountBar :state="state" :at="at" :counts="counts" @stroke="stroke" @fill="filling = true" @back="takeBack" />
  </section>
</template>

<style scoped>
.session {
  padding-bottom: 112px;
}
.grow {
  flex: 1;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 300px) minmax(0, 1fr);
  gap: var(--space-4);
  margin-top: var(--space-3);
}
.way {
  display: grid;
  gap: var(--space-3);
  align-content: start;
}
.now {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 260px);
  gap: var(--space-4);
}
.order {
  list-style: decimal inside;
}
.order li {
  display: flex;
  justify-content: space-between;
  gap: var(--space-2);
  align-items: center;
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: var(--touch);
}
.order li[aria-current] {
  background: var(--blue-tint);
}
.pick {
  min-height: var(--touch);
  background: none;
  border: 0;
  color: var(--blue);
  font: 600 var(--type-body)/22px var(--plate-font);
  text-align: left;
  cursor: pointer;
}
.pick:disabled {
  color: var(--ink);
  cursor: default;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  margin: var(--space-2) 0;
}
.closing {
  margin-top: var(--space-3);
}
kbd {
  margin-left: 6px;
  font: 400 var(--type-least)/var(--leading-tight) var(--figure-font);
}
@media (max-width: 1180px) {
  .two,
  .now {
    grid-template-columns: minmax(0, 1fr);
  }
  .session {
    padding-bottom: 168px;
  }
}
</style>
