import type { EventFamily, Sent } from '@dauer/contract';
import { replacedBy } from '@dauer/core/history';
import { type Culprit, culpritOf, deriveOpened, type JobState, type OpenedJob, openJob, tryJob } from '@dauer/core/job';
import { type Component, deriveComponent, proposedPhase } from '@dauer/core/judging';
import { type EventBase, familyOf, type JobFile, NO_RECORDS, type Phase, withChanges } from '@dauer/core/ledger';
import { ifOpened, type Play, playsOf } from '@dauer/core/readiness';
import { useDebounceFn, useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v7 } from 'uuid';
import { computed, ref, shallowRef, watch } from 'vue';
import { afterPaint } from './afterPaint.ts';
import { call, sentenceOf, timeNow } from '../app/client.ts';
import { JobFollower } from './jobFollower.ts';
import { isAway, jobKey, keepJob, appendJournal, readCache, readJournal } from '../app/kept.ts';
import { onChangeOf } from '../app/live.ts';
import { useOutbox } from './outbox.ts';
import { forgetImage } from './pictures.ts';
import { applyStored, applyPending } from './optimistic.ts';
import type { PendingEvent } from './outboxQueue.ts';
import { useSession } from '../app/session.ts';

/** An event that went into the book from here, and the record that it became. */
interface Written {
  readonly item: PendingEvent;
  readonly record: unknown;
}

/** Why a job cannot be derived, and the record without which it can. */
export interface Stuck {
  readonly why: string;
  readonly record: Culprit | null;
}

/** What is new of the open job, as the server tells it. */
type JobNews = Omit<Awaited<ReturnType<typeof askedForNews>>, 'cursor' | 'whole'>;
const askedForNews = (jobId: string, since: string) => call('jobChanges', { params: { jobId }, query: { since } });

/** A job as it was kept on this device, and up to where it had been read. */
type KeptJob = JobFile & { readonly cursor?: string | null };

/** How long what came in is gathered before the file is kept anew, ms. */
const KEEP_MS = 3000;

type Body<F extends EventFamily> = Omit<Sent<F>, 'id' | 'happenedAt' | 'device'> & { readonly id?: string };

/** The job that is open on this screen, with everything derived from it. */
export const useJob = defineStore('job', () => {
  const outbox = useOutbox();
  const session = useSession();
  const file = shallowRef<JobFile | null>(null);
  const problem = ref<string | null>(null);
  /** Since when what is shown is only what this device kept, ms; null while the server is heard. */
  const keptAt = ref<number | null>(null);
  const picked = ref<string | null>(null);
  /** How likely something is at fault at each place, 0 to 1, as last weighed; by slot. */
  const likelihood = shallowRef<ReadonlyMap<string, number>>(new Map());
  const today = ref(new Date().toISOString());
  useIntervalFn(() => {
    today.value = new Date().toISOString();
  }, 60000);

  /** What went into the book since this page was opened: a job that was being read meanwhile may not have it. */
  const written: Written[] = [];
  outbox.whenStored(async (item, record) => {
    written.push({ item, record });
    await appendJournal<Written>(item.jobId, item.body.id, { item, record });
    return () => {
      if (file.value?.job.id === item.jobId) file.value = applyStored(file.value, item, record);
      if (familyOf(item.family).rereads) void refresh();
    };
  });

  /** What keeps the open job from being derived; null where nothing does. */
  const stuck = shallowRef<Stuck | null>(null);
  const whole = computed(() => (file.value ? applyPending(file.value, outbox.items) : null));
  const opened = computed<OpenedJob | null>(() => {
    const now = whole.value;
    try {
      return now && openJob(now, today.value);
    } catch {
      return null;
    }
  });
  /** The records as they are this moment. */
  const book = computed(() => opened.value?.book ?? null);
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
  function stuckOf(now: JobFile): Stuck | null {
    const tried = tryJob(now, today.value);
    return tried.ok ? null : { why: tried.why, record: culpritOf(now, today.value) };
  }
  const follow = afterPaint(derive);
  watch(
    file,
    (now) => {
      if (now?.job.id !== state.value?.file.job.id) derive();
    },
    { flush: 'sync' },
  );
  watch(opened, follow, { flush: 'post' });
  /** Whether anything may be entered in the job now, by whoever is signed in. */
  const writable = computed(() => session.may('technician') && state.value?.released === false && !state.value.voided);
  const component = computed<Component | null>(() => {
    const o = opened.value;
    const slot = o?.book.file.layout.slots.find((s) => s.id === picked.value);
    try {
      return o && slot ? deriveComponent(o.book, slot, o.at) : null;
    } catch {
      return null;
    }
  });
  const phase = computed<Phase>(() => (book.value && component.value ? proposedPhase(book.value, component.value) : 'as_found'));

  const follower = new JobFollower<JobFile, JobNews>(
    {
      whole: async (jobId) => {
        const before = written.length;
        const { cursor, ...read } = await call('job', { params: { jobId } });
        const meanwhile = written.slice(before).filter((w) => w.item.jobId === jobId);
        return { read: meanwhile.reduce((acc, w) => applyStored(acc, w.item, w.record), read as JobFile), cursor };
      },
      news: async (jobId, since) => {
        const { cursor, whole, ...news } = await askedForNews(jobId, since);
        return { news, cursor, whole };
      },
    },
    {
      whole: (read) => {
        file.value = read;
        keptAt.value = null;
        void outbox.blackOut(read.redactions.map((r) => ({ id: r.corrects ?? '', field: r.field })));
        void keepNow();
      },
      news: (news) => {
        keptAt.value = null;
        if (file.value && Object.keys(news.file).length > 0) file.value = withChanges(file.value, news.file as Partial<JobFile>);
        void outbox.blackOut(news.struck);
        for (const s of news.struck) if (s.field === 'image') void forgetImage(file.value?.pictures.find((x) => x.id === s.id)?.hash ?? '');
        void keepSoon();
      },
      failed: async (error) => {
        const jobId = opening.value;
        if (jobId === null || (isAway(error) && file.value?.job.id === jobId)) return;
        const known = isAway(error) ? await readCache<KeptJob>(jobKey(jobId)) : null;
        if (!known || file.value?.job.id === jobId) problem.value = sentenceOf(error);
        else {
          // A file that was kept before an update may be without a list that there is now.
          const since = await readJournal<Written>(jobId);
          const { cursor = null, ...cached } = { ...NO_RECORDS, ...known.value };
          file.value = since.reduce((acc, w) => applyStored(acc, w.item, w.record), cached);
          follower.goOnFrom(cursor);
          keptAt.value = known.at;
        }
      },
    },
  );
  /** Keeps the file on this device, with the mark up to which it was read. */
  async function keepNow(): Promise<void> {
    const now = file.value;
    if (!now) return;
    const cursor = follower.readTo;
    await keepJob(
      now.job.id,
      { ...now, cursor },
      written.filter((w) => w.item.jobId === now.job.id).map((w) => w.item.body.id),
    );
  }
  /** A large file takes its time to be stored: what comes in quick succession is stored together, and what was sent from here is journalled meanwhile. */
  const keepSoon = useDebounceFn(() => void keepNow(), KEEP_MS, { maxWait: 4 * KEEP_MS });
  /** The job that was asked for last. */
  const opening = ref<string | null>(null);
  async function load(jobId: string): Promise<void> {
    opening.value = jobId;
    if (file.value?.job.id !== jobId) {
      file.value = null;
      picked.value = null;
      likelihood.value = new Map();
    }
    problem.value = null;
    await follower.open(jobId);
  }
  /** Asks for what is new. */
  async function refresh(): Promise<void> {
    if (!file.value) return;
    problem.value = null;
    await follower.follow();
  }
  onChangeOf(
    () => file.value?.job.id ?? null,
    () => void refresh(),
  );
  /** What this device sees in force of what an event replaces. */
  function seenBy(family: EventFamily, body: object): { readonly supersedes?: string[] } {
    const replaced = opened.value && replacedBy(opened.value.book, family, body);
    return replaced ? { supersedes: replaced } : {};
  }
  /** Adds an event: kept here first, then sent. Returns its id. */
  function add<F extends EventFamily>(family: F, body: Body<F>): string {
    if (!file.value || !session.person) throw new Error('no job is open');
    const id = body.id ?? v7();
    const now = timeNow();
    const whole = { ...body, ...seenBy(family, body), id, happenedAt: now.at, device: DEVICE } as Sent<F>;
    void outbox.keep({
      jobId: file.value.job.id,
      authorId: session.person.id,
      authorName: session.person.name,
      family,
      body: whole as Sent<EventFamily>,
      clockOffset: now.offset,
      aside: null,
    });
    return id;
  }
  /** What is about to be taken back and needs a reason first: somebody else's entry. */
  const askedBack = ref<{ readonly id: string; readonly author: string } | null>(null);
  function authorOf(id: string): string | null {
    const families: readonly unknown[] = Object.values(file.value ?? {});
    for (const list of families) {
      if (!Array.isArray(list)) continue;
      const found = (list as readonly Partial<EventBase>[]).find((e) => e.id === id);
      if (found?.authorId) return found.authorId;
    }
    return null;
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
    add('takeBacks', { corrects: id, reason });
  }
  /** Takes a place into the job by hand, or leaves it out. */
  async function takeIn(slotId: string, on: boolean): Promise<void> {
    const j = file.value?.job;
    if (!j) return;
    const without = (list: readonly string[]): string[] => list.filter((x) => x !== slotId);
    problem.value = null;
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
      problem.value = sentenceOf(error);
    }
    await refresh();
  }
  /** What is played on the map: a press of a control, or the opening of a place. */
  const playing = ref<{ readonly step: 'press' | 'open'; readonly slotId: string } | null>(null);
  const play = computed<Play | null>(() => {
    const s = state.value;
    const p = playing.value;
    const slot = s?.file.layout.slots.find((x) => x.id === p?.slotId);
    if (!s || !p || !slot) return null;
    if (p.step === 'open') return ifOpened(s.book, s.situation.standing, slot, today.value);
    return playsOf(s.file.layout, s.situation.standing).find((x) => x.control.slotId === slot.id)?.play ?? null;
  });
  function who(id: string): string {
    return file.value?.people.find((p) => p.id === id)?.name ?? session.person?.name ?? '';
  }
  return {
    askedBack,
    writable,
    takeIn,
    playing,
    play,
    file,
    book,
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
    takeBack,
    who,
  };
});

const KEY = 'dauer.device';
/** A name for this device, so that records say where they were made. */
const DEVICE = (() => {
  const known = localStorage.getItem(KEY);
  if (known) return known;
  const made = `device ${v7().slice(-4)}`;
  localStorage.setItem(KEY, made);
  return made;
})();
