<script setup lang="ts">
import { supplyRefusal } from '@dauer/core/supply';
import { careWords, lotWords, PART_EVENT, STORED, supplyWords } from '@dauer/core/wording';
import { upperFirst } from '@dauer/core/quantity';
import { OPTION_NAME, type StepRecord } from '@dauer/core/catalogue';
import { partIn, whereabouts } from '@dauer/core/history';
import { careFault, type Component, isRenewed, partingsOf, workLeft } from '@dauer/core/judging';
import { canBeOff, childrenOf, placeName } from '@dauer/core/layout';
import type { LotKind, PartEventKind } from '@dauer/core/ledger';
import {
  asksLot,
  cardLineRefusal,
  isCharged,
  isTold,
  jointsOf,
  jointStatus,
  letsGo,
  standsBefore,
  whyNotDone,
  wouldUndo,
} from '@dauer/core/readiness';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { timeNow } from '../../app/client.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { dayHere, dayText, timeText } from '../../fittings/dates.ts';
import LotPick from '../../job/LotPick.vue';
import type { LotTaken } from '../../job/lotTaken.ts';
import OnlyNow from '../../job/OnlyNow.vue';
import LadderPanel from './LadderPanel.vue';
import LinePanel from './line/LinePanel.vue';
import FinishCards from './FinishCards.vue';
import OrderOfWork from './OrderOfWork.vue';
import StripFold from './strip/StripFold.vue';
import { type CoatSaid, saysFinish } from './coatSaid.ts';
import FinishRow from '../../job/FinishRow.vue';
import StepWords from './StepWords.vue';
import TagPlate from '../../fittings/TagPlate.vue';
import DayField from '../../fittings/DayField.vue';

/** One part: off, away, worked on, back on; or a new one in its place. What cannot be done yet says what comes first. */
const props = defineProps<{
  component: Component;
  writable: boolean;
  /** At the bench, where its card is on the screen already: what its step waits for, and nothing else that ends the part's way. */
  enters?: StepRecord | null;
}>();
const atBench = computed(() => props.enters !== undefined);
const job = useOpenJob();
const fitting = ref(false);
const tag = ref('');
const number = ref('');
const note = ref('');
/** Fitted for now only: it stays marked until what belongs there is fitted. */
const temporary = ref(false);
/** Day until which it may stay. */
const until = ref('');
const events = computed(() => job.state.history.active(job.state.records.partEvents));
/** The part this is about: what sits here, or what sat here last. */
const lastPart = computed(() => {
  const here = partIn(props.component.slot.id, events.value);
  const last = events.value.filter((e) => e.slotId === props.component.slot.id).at(-1)?.partId ?? null;
  return job.state.records.parts.find((p) => p.id === (here ?? last)) ?? null;
});
const where = computed(() => (lastPart.value ? whereabouts(lastPart.value.id, events.value) : null));
/** What was done to it on this job. */
const life = computed(() =>
  events.value.filter((e) => e.partId === lastPart.value?.id && e.jobId === job.state.records.job.id && e.kind !== 'found'),
);
const work = computed(() => workLeft(job.history, props.component));
const done = computed(() => {
  const { decision, empty, fittedHere } = props.component;
  return isRenewed(decision) ? fittedHere : !empty && work.value.length === 0;
});
/** What it is parted from by what is decided: said before it goes. */
const parts = computed(() => {
  const { decision, slot } = props.component;
  return decision && !done.value ? partingsOf(job.history, slot, decision.option) : [];
});
const care = computed(() => careFault(job.state.history, props.component));
const words = computed(() => {
  const w = where.value;
  if (!w) return 'not known';
  if (w.at === 'slot') return props.component.fittedHere ? 'fitted' : 'in its place';
  return (
    { shelf: 'on the shelf', away: 'away', scrap: 'scrapped', missing: 'missing', unknown: 'not known' }[w.at] +
    (w.note ? `, ${w.note}` : '')
  );
});
const why = (kind: PartEventKind, lineOn = true): string | null =>
  lastPart.value === null
    ? null
    : whyNotDone(job.history, { id: '', partId: lastPart.value.id, kind, slotId: props.component.slot.id, lot: '', lineOn }, timeNow().at);
const can = (...kinds: readonly PartEventKind[]): PartEventKind[] => kinds.filter((k) => why(k) === null);
const ready = computed(() => can(...work.value));
const besides = computed(() => can('sent', 'coated', 'scrapped').filter((k) => !atBench.value || k === props.enters));
/** What comes before the work that is next: its reason, and what has to come off. */
const first = computed(() => {
  const [next] = work.value;
  const stands = next === undefined || ready.value.includes(next) || where.value?.at === 'away' ? null : why(next);
  return stands === null || next === undefined ? null : `Before it is ${PART_EVENT[next]}: ${stands}`;
});
/** A spring or a tank waits behind it. */
const charged = computed(() => letsGo(props.component.slot) && isCharged(job.history));
const before = computed(() => standsBefore(job.history, props.component.slot));
/** Lines that hold what sits here: it may come off with them still on, hanging. */
const lines = computed(() => {
  const joints = job.state.history.active(job.state.records.jointEvents);
  const { id } = props.component.slot;
  return jointsOf(job.state.records.layout).filter(
    (j) => (j.slot.id === id || j.connection.id === id) && jointStatus(j, joints).state !== 'open',
  );
});
/** What the card that runs here has before the line is opened or it comes off. */
const byCard = computed(() => {
  const at = timeNow().at;
  const slotId = props.component.slot.id;
  const line = lines.value.length > 0 ? cardLineRefusal(job.history, { slotId, kind: 'opened' }, at) : null;
  return line ?? (lines.value.length === 0 && lastPart.value ? why('removed') : null);
});
/** It may be hung up with its line on. */
const hangs = computed(() => lines.value.length > 0 && why('removed') === null);
/** What the next step here would undo of what was proved: said before it is taken. */
const undoes = computed(() => {
  const s = job.state;
  if (done.value) return [];
  const { slot } = props.component;
  const steps = props.component.empty ? (['fitted'] as const) : (['removed', ...work.value] as const);
  return [...new Set(steps.flatMap((step) => wouldUndo(s.history, s.context.proofStatus, s.context.proofItems, slot, step)))];
});
/** Taking off what holds fluid opens its joints: they are owed made, torqued and looked at again. */
function openJoints(): void {
  for (const j of lines.value)
    job.add('jointEvents', { connectionId: j.connection.id, slotId: j.slot.id, kind: 'opened', seal: null, note: '' });
}
function log(kind: PartEventKind, said = '', lot: string | null = null, lineOn = false): string | null {
  if (!lastPart.value) return null;
  const slotId = kind === 'fitted' || kind === 'removed' ? props.component.slot.id : null;
  const id = job.add('partEvents', { partId: lastPart.value.id, kind, slotId, note: said, lot, lineOn, temporary: false, part: null });
  step.value = null;
  return id;
}
function takeOff(): void {
  job.together(`${placeName(props.component.slot)}: ${PART_EVENT.removed}`, () => {
    openJoints();
    log('removed');
  });
}
/** What stands before it comes off; a caliper is hung up on its line. */
function clear(): void {
  const slot = before.value;
  const partId = slot && partIn(slot.id, events.value);
  const lineOn = jointsOf(job.state.records.layout).some((j) => j.slot.id === slot?.id);
  if (slot && partId)
    job.add('partEvents', { partId, kind: 'removed', slotId: slot.id, note: '', lot: null, lineOn, temporary: false, part: null });
}
/** A step that is told with words: which kit, to whom, why. */
const step = ref<PartEventKind | null>(null);
function press(kind: PartEventKind): void {
  if (isTold(kind)) step.value = kind;
  else log(kind);
}
function tell(said: string, lot: LotTaken | null, finish: CoatSaid | null): void {
  const coat = finish && saysFinish(finish) ? finish : null;
  const kind = step.value;
  const partId = lastPart.value?.id ?? null;
  if (kind && (lot || coat))
    job.together(`${placeName(props.component.slot)}: ${PART_EVENT[kind]}`, () => {
      const eventId = log(kind, '', said);
      if (coat && eventId) job.add('coats', { eventId, ...coat });
      if (lot) job.add('lotUses', { lotId: lot.lotId, slotId: props.component.slot.id, partId, reason: lot.reason.trim() });
    });
  else if (kind && asksLot(kind)) log(kind, '', said);
  else if (kind) log(kind, said);
}
/** Out of which lot a new part comes: hoses out of rubber, linings out of their own. */
const LOTS: Readonly<Partial<Record<string, readonly LotKind[]>>> = {
  ...{ hose: ['rubber'], pads: ['lining'], shoes: ['lining'], parking_shoes: ['lining'], band: ['lining'] },
};
const newLot = ref<LotTaken | null>(null);
/** What was ordered for this place and is not here, or not found right: it says what comes first, and where. */
const supply = computed(() => {
  const s = isRenewed(props.component.decision)
    ? supplyRefusal(job.history, { id: '', partId: 'new', kind: 'fitted', slotId: props.component.slot.id })
    : lastPart.value && props.component.empty
      ? supplyRefusal(job.history, { id: '', partId: lastPart.value.id, kind: 'fitted', slotId: props.component.slot.id })
      : null;
  return s && !props.component.fittedHere ? supplyWords(s) : null;
});
/** Nothing is fitted for now until a day that has passed. */
const behind = computed(() => temporary.value && until.value !== '' && until.value < dayHere());
/** A unit comes with what sits in it: the pistons of the old one go with that, and others are in the new one. */
function renewInside(): void {
  const inside = props.component.slot.kind === 'caliper' ? childrenOf(job.state.records.layout, props.component.slot.id) : [];
  for (const slot of inside.filter((x) => x.kind === 'piston')) {
    const old = partIn(slot.id, events.value);
    const base = { slotId: slot.id, lot: null, lineOn: false, temporary: false };
    if (old !== null) job.add('partEvents', { ...base, partId: old, kind: 'removed', note: 'With the old caliper', part: null });
    const part = { tag: null, kind: slot.kind, name: slot.name, partNumber: null, note: '' };
    job.add('partEvents', { ...base, partId: v7(), kind: 'fitted', note: 'In the new caliper', part });
  }
}
function enterNew(): void {
  if (!props.component.empty && props.component.part) takeOff();
  else openJoints();
  renewInside();
  const partId = v7();
  const lot = newLot.value;
  job.add('partEvents', {
    partId,
    kind: 'fitted',
    slotId: props.component.slot.id,
    note: note.value.trim(),
    lot: lot ? `${lot.label} ${lot.name}` : null,
    lineOn: false,
    temporary: temporary.value,
    until: temporary.value ? until.value || null : null,
    part: {
      tag: tag.value.trim() || null,
      kind: props.component.slot.kind,
      name: props.component.slot.name,
      partNumber: number.value.trim() || null,
      note: '',
    },
  });
  if (lot) job.add('lotUses', { lotId: lot.lotId, slotId: props.component.slot.id, partId, reason: lot.reason.trim() });
  newLot.value = null;
}
function fitNew(): void {
  if (behind.value) return;
  job.together(`${placeName(props.component.slot)}: ${PART_EVENT.fitted}`, enterNew);
  fitting.value = false;
  tag.value = '';
  number.value = '';
  note.value = '';
  temporary.value = false;
  until.value = '';
}
const saidOf = (e: (typeof life.value)[number]): string =>
  `${upperFirst(PART_EVENT[e.kind])}${e.temporary ? ' for now' : ''}${e.lineOn ? ', its line still on' : ''}${lotWords(e.lot)}${e.note ? `, ${e.note}` : ''}`;
</script>

<template>
  <div class="part">
    <div class="what">
      <b class="plate-font">{{ placeName(component.slot) }}</b>
      <TagPlate v-if="lastPart?.tag" :tag="lastPart.tag" small />
      <span class="second">
        {{ component.decision ? OPTION_NAME[component.decision.option].toLowerCase() : 'nothing decided' }}; {{ words
        }}{{ done && life.length > 0 ? '; done' : '' }}
      </span>
    </div>
    <div v-if="writable && !fitting && !step" class="acts">
      <template v-if="!component.empty && !before && !charged">
        <v-btn class="act slim" :disabled="byCard !== null" @click="takeOff">{{ hangs ? 'Taken off, line open' : 'Taken off' }}</v-btn>
        <v-btn v-if="hangs" class="act slim" @click="log('removed', '', null, true)">Off, hanging on its line</v-btn>
      </template>
      <v-btn v-if="where?.at === 'away'" class="act slim" @click="log('returned')">Back</v-btn>
      <v-btn v-for="k in ready" :key="k" class="act slim" @click="press(k)">{{ upperFirst(PART_EVENT[k]) }}</v-btn>
      <template v-if="component.empty && where?.at === 'shelf'">
        <v-btn v-if="!isRenewed(component.decision) && can('fitted').length > 0" class="act slim" @click="log('fitted')">
          Fitted again
        </v-btn>
        <v-btn v-for="k in besides" :key="k" class="act slim" @click="press(k)">
          {{ upperFirst(PART_EVENT[k]) }}
        </v-btn>
      </template>
      <v-btn
        v-if="isRenewed(component.decision) && !component.fittedHere && !before && (component.empty || !charged)"
        class="act slim"
        @click="fitting = true"
      >
        New part fitted
      </v-btn>
      <v-btn v-if="before && !(done && life.length > 0)" class="act slim" @click="clear">{{ placeName(before) }} taken off</v-btn>
    </div>
    <StepWords v-if="step" :kind="step" @tell="tell" @close="step = null" />
    <p v-if="writable && charged && !component.empty" class="undoes small">{{ STORED.charged }}</p>
    <p v-if="writable && byCard && !component.empty && !before" class="undoes small">{{ byCard }}</p>
    <p v-if="writable && first" class="undoes small">{{ first }}</p>
    <p v-if="supply" class="undoes small">
      {{ supply }}
      <RouterLink :to="`/jobs/${job.records.job.id}/decide?orders=1`">Orders</RouterLink>
    </p>
    <p v-if="writable && undoes.length > 0" class="undoes small">
      <b class="plate-font">Working on it undoes</b>
      {{ undoes.join('; ').toLowerCase() }}
    </p>
    <p v-for="p in parts" :key="p.stays.id" class="undoes small">
      <b class="plate-font">Parted from the {{ placeName(p.stays).toLowerCase() }}</b>
      {{ p.lost }}
    </p>
    <OnlyNow v-if="writable && component.empty" :place="component.slot" />
    <OnlyNow v-if="writable && ready.includes('resealed')" :unit="component.slot" />
    <p v-if="care" class="undoes small">
      <b class="plate-font">Found seized</b>
      {{ careWords(care) }}
    </p>
    <LinePanel v-if="component.slot.kind === 'line'" :slot-of="component.slot" :writable="writable" />
    <LadderPanel :component="component" :writable="writable" />
    <StripFold v-if="!atBench && canBeOff(component.slot.kind)" :slot-of="component.slot" :writable="writable" />
    <OrderOfWork v-if="component.decision && !done && !atBench" :slot-of="component.slot" :option="component.decision.option" />
    <FinishCards v-if="lastPart && !atBench" :slot-of="component.slot" :writable="writable" />
    <FinishRow v-if="lastPart" :slot-of="component.slot" :part-id="lastPart.id" :writable="writable" />
    <ul v-if="life.length > 0" class="life small">
      <li v-for="e in life" :key="e.id">
        {{ saidOf(e) }}
        <span class="second">{{ job.by(e) }}, {{ dayText(e.happenedAt) }} {{ timeText(e.happenedAt) }}</span>
        <button
          v-if="writable"
          class="link"
          type="button"
          :aria-label="`Take back: ${placeName(component.slot)}, ${saidOf(e).toLowerCase()}`"
          @click="job.takeBack(e.id)"
        >
          Take back
        </button>
      </li>
    </ul>
    <form v-if="fitting" class="fit" @submit.prevent="fitNew">
      <v-text-field v-model="tag" v-focus data-tag label="Tag" placeholder="P 2230" />
      <v-text-field v-model="number" label="Part number" />
      <v-text-field v-model="note" label="Note (supplier, lot, torque slip)" />
      <LotPick v-if="LOTS[component.slot.kind]" v-model="newLot" :kinds="LOTS[component.slot.kind] ?? []" />
      <v-checkbox v-model="temporary" label="For now only" />
      <DayField v-if="temporary" v-model="until" ahead label="Until" />
      <v-btn class="act main" type="submit" :disabled="behind || (newLot !== null && !newLot.ok) || (supply !== null && !temporary)">
        Fitted
      </v-btn>
      <v-btn class="act" @click="fitting = false">Not yet</v-btn>
    </form>
  </div>
</template>

<style scoped>
.part {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: var(--tall);
}
.undoes {
  flex: 1 1 100%;
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.what {
  flex: 1 1 320px;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: center;
}
.what b {
  font-size: var(--type-caption);
}
.acts {
  gap: var(--space-2);
}
.life {
  flex: 1 1 100%;
}
.fit {
  flex: 1 1 100%;
  display: flex;
  gap: var(--space-3);
  align-items: flex-start;
  flex-wrap: wrap;
}
.fit > * {
  flex: 1 1 160px;
}
.fit .act {
  flex: 0 0 auto;
  min-height: var(--strip);
}
</style>
