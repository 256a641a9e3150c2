import type { EventFamily, Sent } from '@dauer/contract';
import { replacedBy } from '@dauer/core/history';
import { type Culprit, culpritOf, deriveOpened, type JobState, type OpenedJob, openJob, tryJob } from '@dauer/core/job';
import { type Component, deriveComponent, proposedPhase } from '@dauer/core/judging';
import { EVENT_LISTS, type EventBase, type JobRecords, type Phase } from '@dauer/core/ledger';
import { byline } from '@dauer/core/wording';
import { ifOpened, parkedNow, type Play, playsOf, whyNotTakenBack } from '@dauer/core/readiness';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v7 } from 'uuid';
import { computed, ref, shallowRef, watch } from 'vue';
import { aboutEvent } from './aboutEvent.ts';
import { afterPaint } from './afterPaint.ts';
import { call, sentenceOf, timeNow } from '../app/client.ts';
import { useJobRecords } from './useJobRecords.ts';
import type { EventWords } from './outbox/queue.ts';
import { useOutbox } from './outbox/store.ts';
import { applyPending } from './optimistic.ts';
import { useSession } from '../app/session.ts';

/** Why a job cannot be derived, and the record without which it can. */
export interface Stuck {
  readonly why: string;
  readonly record: Culprit | null;
}

/** What was entered last, in words, and the events that are taken back where it is undone: several where one press entered them. */
export interface LastEntry {
  readonly ids: readonly string[];
  readonly text: string;
}
/** What shows itself where it was entered, and is undone there: by the capture bar, or by the same button. */
const SHOWS_ITSELF: ReadonlySet<EventFamily> = new Set([
  ...(['readings', 'sets', 'observations', 'cautionAcks', 'setMoves', 'bleedSessions', 'bleedSteps', 'cardRuns'] as const),
]);

type Body<F extends EventFamily> = Omit<Sent<F>, 'id' | 'happenedAt' | 'device'> & { readonly id?: string };

/** The job that is open on this screen, with everything derived from it. */
export const useJob = defineStore('job', () => {
  const outbox = useOutbox();
  const session = useSession();
  const picked = ref<string | null>(null);
  /** How likely something is at fault at each place, 0 to 1, as last weighed; by slot. */
  const likelihood = shallowRef<ReadonlyMap<string, number>>(new Map());
  const { records, problem, keptAt, load, refresh } = useJobRecords(outbox, () => {
    picked.value = null;
    likelihood.value = new Map();
    last.value = null;
  });
  const last = shallowRef<LastEntry | null>(null);
  const today = ref(new Date().toISOString());
  useIntervalFn(() => {
    today.value = new Date().toISOString();
  }, 60000);

  /** What keeps the open job from being derived; null where nothing does. */
  const stuck = shallowRef<Stuck | null>(null);
  const whole = computed(() => (records.value ? applyPending(records.value, outbox.items) : null));
  const opened = computed<OpenedJob | null>(() => {
    const now = whole.value;
    try {
      return now && openJob(now, today.value);
    } catch {
      return null;
    }
  });
  /** The records as they are this moment. */
  const history = computed(() => opened.value?.history ?? null);
  /**
   * Where the job stands as a whole. It follows the records a moment later, so that what is in the hand (the book, the
   * component) is drawn in the frame after a key.
   */
  const state = shallowRef<JobState | null>(null);
  /** Derives what is open, or says why it cannot be. */
  function derive(): void {
    const now = whole.value;
    try {
      state.value = opened.value && deriveOpened(opened.value);
      stuck.value = now && !opened.value ? stuckOf(now) : null;
    } catch {
      state.value = null;
      stuck.value = now && stuckOf(now);
    }
  }
  function stuckOf(now: JobRecords): Stuck | null {
    const tried = tryJob(now, today.value);
    return tried.ok ? null : { why: tried.why, record: culpritOf(now, today.value) };
  }
  const follow = afterPaint(derive);
  watch(
    records,
    (now) => {
      if (now?.job.id !== state.value?.records.job.id) derive();
    },
    { flush: 'sync' },
  );
  watch(opened, follow, { flush: 'post' });
  /** Whether anything may be entered in the job now, by whoever is signed in. */
  const isOpen = computed(() => session.may('technician') && state.value?.released === false && !state.value.voided);
  /** How it was left by somebody, whom nobody has taken over from since. */
  const parked = computed(() => (history.value ? parkedNow(history.value) : null));
  const writable = computed(() => isOpen.value && parked.value === null);
  const component = computed<Component | null>(() => {
    const o = opened.value;
    const slot = o?.history.records.layout.slots.find((s) => s.id === picked.value);
    try {
      return o && slot ? deriveComponent(o.history, slot, o.at) : null;
    } catch {
      return null;
    }
  });
  const phase = computed<Phase>(() => (history.value && component.value ? proposedPhase(history.value, component.value) : 'as_found'));

  /** What this device sees in force of what an event replaces. */
  function seenBy(family: EventFamily, body: object): { readonly supersedes?: string[] } {
    const replaced = opened.value && replacedBy(opened.value.history, family, body);
    return replaced ? { supersedes: replaced } : {};
  }
  /** Adds an event: kept here first, then sent. Returns its id. */
  function add<F extends EventFamily>(family: F, body: Body<F>): string {
    if (!records.value || !session.person || session.lock) throw new Error('no job is open to anybody');
    const id = body.id ?? v7();
    const now = timeNow();
    const whole = { ...body, ...seenBy(family, body), id, happenedAt: now.at, device: DEVICE } as Sent<F>;
    const about = aboutEvent(records.value, outbox.items, family, body);
    if (family === 'takeBacks') last.value = { ids: [id], text: `Taken back: ${textOf((body as Partial<EventBase>).corrects ?? '')}` };
    else if (!SHOWS_ITSELF.has(family)) last.value = { ids: [id], text: textOfWords(about) };
    entered?.push(id);
    void outbox.keep({
      jobId: records.value.job.id,
      authorId: session.person.id,
      authorName: session.person.name,
      family,
      body: whole as Sent<EventFamily>,
      stamp: now.stamp,
      about,
      aside: null,
    });
    return id;
  }
  /** What one press enters, while it does. */
  let entered: string[] | null = null;
  /** Enters several things by one press: they are said in one sentence, and undone together. */
  function together(text: string, enter: () => void): void {
    if (entered) return enter();
    const ids: string[] = [];
    entered = ids;
    try {
      enter();
    } finally {
      entered = null;
    }
    if (ids.length > 1) last.value = { ids, text };
  }
  /** Takes back what was entered last, all that one press entered, the last of it first: what came after rests on what came before. */
  function undoLast(): void {
    const now = last.value;
    if (now) together(`Taken back: ${now.text}`, () => [...now.ids].reverse().forEach((id) => takeBack(id)));
  }
  const textOfWords = ({ what, place }: EventWords): string => (place ? `${place}: ${what}` : what);
  /** An entry of this job in words, also one that still waits here. One that cannot be read is taken back all the same. */
  function textOf(id: string): string {
    const waiting = outbox.items.find((i) => i.body.id === id);
    if (waiting?.about) return textOfWords(waiting.about);
    const now = records.value;
    const found = now && entryOf(now, id);
    try {
      return found ? textOfWords(aboutEvent(now, outbox.items, found.family, found.event)) : 'an entry';
    } catch {
      return 'an entry';
    }
  }
  /** Why what was just tried was not done, in a sentence; null where it was. */
  const refused = ref<string | null>(null);
  /** What is about to be taken back and needs a reason first: somebody else's entry. */
  const askedBack = ref<{ readonly id: string; readonly author: string } | null>(null);
  function authorOf(id: string): string | null {
    return (records.value && entryOf(records.value, id)?.event.authorId) ?? null;
  }
  /** Takes an event back: one's own at once, somebody else's once a reason is given. */
  function takeBack(id: string, reason = ''): void {
    const author = authorOf(id);
    const others = author !== null && author !== session.person?.id;
    if (others && reason === '') {
      askedBack.value = { id, author };
      return;
    }
    askedBack.value = null;
    refused.value = history.value && whyNotTakenBack(history.value, id);
    if (refused.value) return;
    add('takeBacks', { corrects: id, reason });
  }
  /** Takes a place into the job by hand, or leaves it out. */
  async function takeIn(slotId: string, on: boolean): Promise<void> {
    const j = records.value?.job;
    if (!j) return;
    const without = (list: readonly string[]): string[] => list.filter((x) => x !== slotId);
    refused.value = null;
    try {
      const { id, vehicleId: _v, openedAt: _o, openedBy: _b, ...fields } = j;
      await call('changeJob', {
        params: { jobId: id },
        body: {
          ...fields,
          scopeCorners: [...j.scopeCorners],
          scopeIn: on ? [...without(j.scopeIn), slotId] : without(j.scopeIn),
          scopeOut: on ? without(j.scopeOut) : [...without(j.scopeOut), slotId],
        },
      });
    } catch (error) {
      refused.value = sentenceOf(error);
    }
    await refresh();
  }
  /** What is played on the map: a press of a control, or the opening of a place. */
  const playing = ref<{ readonly step: 'press' | 'open'; readonly slotId: string } | null>(null);
  const play = computed<Play | null>(() => {
    const s = state.value;
    const p = playing.value;
    const slot = s?.records.layout.slots.find((x) => x.id === p?.slotId);
    if (!s || !p || !slot) return null;
    if (p.step === 'open') return ifOpened(s.history, s.context.proofStatus, slot, today.value);
    return playsOf(s.records.layout, s.context.proofStatus).find((x) => x.control.slotId === slot.id)?.play ?? null;
  });
  function who(id: string): string {
    return records.value?.people.find((p) => p.id === id)?.name ?? session.person?.name ?? '';
  }
  /** Whose entry an event is, with the lead who handed it in. */
  const by = (event: Pick<EventBase, 'id' | 'authorId'>): string => (records.value ? byline(records.value, event) : '');
  return {
    askedBack,
    refused,
    last,
    isOpen,
    parked,
    writable,
    takeIn,
    playing,
    play,
    records,
    history,
    state,
    stuck,
    problem,
    keptAt,
    picked,
    likelihood,
    component,
    phase,
    today,
    load,
    refresh,
    add,
    together,
    undoLast,
    takeBack,
    who,
    by,
  };
});

/** An event of a job's records with its family; null where there is none of that id. */
function entryOf(records: JobRecords, id: string): { readonly family: EventFamily; readonly event: EventBase } | null {
  for (const family of EVENT_LISTS) {
    const event = (records[family] as readonly EventBase[] | undefined)?.find((e) => e.id === id);
    if (event) return { family, event };
  }
  return null;
}

const KEY = 'dauer.device';
/** A name for this device, so that records say where they were made. */
export const DEVICE = (() => {
  const known = localStorage.getItem(KEY);
  if (known) return known;
  const made = `device ${v7().slice(-4)}`;
  localStorage.setItem(KEY, made);
  return made;
})();
