import { familyOf, type JobRecords, NO_RECORDS, withChanges } from '@dauer/core/ledger';
import { useDebounceFn } from '@vueuse/core';
import { ref, shallowRef } from 'vue';
import { call, sentenceOf } from '../app/client.ts';
import { appendJournal, isAway, jobKeptSince, jobKey, keepJob, readCache, readJournal } from '../app/kept.ts';
import { onChangeOf } from '../app/live.ts';
import { JobFollower } from './jobFollower.ts';
import { applyStored } from './optimistic.ts';
import type { useOutbox } from './outbox/store.ts';
import type { PendingEvent } from './outbox/queue.ts';
import { forgetImage } from './pictures.ts';

/** An event that went into the book from here, and the record that it became. */
interface Written {
  readonly item: PendingEvent;
  readonly record: unknown;
}

/** What is new of the open job, as the server tells it. */
type JobNews = Omit<Awaited<ReturnType<typeof askedForNews>>, 'cursor' | 'whole'>;
const askedForNews = (jobId: string, since: string) => call('jobChanges', { params: { jobId }, query: { since } });

/** A job as it was kept on this device, and up to where it had been read. */
type KeptJob = JobRecords & { readonly cursor?: string | null };

/** How long what came in is gathered before the file is kept anew, ms. */
const KEEP_MS = 3000;

/** Whether a file has the record of an event. */
function hasRecord(file: JobRecords, { family, body }: PendingEvent): boolean {
  const records: readonly { readonly id: string }[] = file[family];
  return records.some((r) => r.id === body.id);
}

/**
 * The file of the job that is open: read from the server, followed, kept on this device for when the server is away.
 * @param left told when another job is opened
 */
export function useJobRecords(outbox: ReturnType<typeof useOutbox>, left: () => void) {
  const records = shallowRef<JobRecords | null>(null);
  const problem = ref<string | null>(null);
  const keptAt = jobKeptSince;
  /** What went into the book since this page was opened: a job that was being read meanwhile may not have it. */
  const written: Written[] = [];
  outbox.whenStored(async (item, record) => {
    written.push({ item, record });
    await appendJournal<Written>(item.jobId, item.body.id, { item, record });
    return () => {
      if (records.value?.job.id === item.jobId) records.value = applyStored(records.value, item, record);
      // Who handed it in is a record of its own.
      if (familyOf(item.family).rereads || item.handIn) void refresh();
    };
  });

  const follower = new JobFollower<JobRecords, JobNews>(
    {
      whole: async (jobId) => {
        const before = written.length;
        const { cursor, ...read } = await call('job', { params: { jobId } });
        const meanwhile = written.slice(before).filter((w) => w.item.jobId === jobId);
        return { read: meanwhile.reduce((acc, w) => applyStored(acc, w.item, w.record), read as JobRecords), cursor };
      },
      news: async (jobId, since) => {
        const { cursor, whole, ...news } = await askedForNews(jobId, since);
        return { news, cursor, whole };
      },
    },
    {
      whole: (read) => {
        records.value = read;
        keptAt.value = null;
        void outbox.blackOut(read.redactions.map((r) => ({ id: r.corrects ?? '', field: r.field })));
        void keepNow();
      },
      news: (news) => {
        keptAt.value = null;
        if (records.value && Object.keys(news.file).length > 0)
          records.value = withChanges(records.value, news.file as Partial<JobRecords>);
        void outbox.blackOut(news.struck);
        for (const s of news.struck)
          if (s.field === 'image') void forgetImage(records.value?.pictures.find((x) => x.id === s.id)?.hash ?? '');
        void keepSoon();
      },
      failed: async (error) => {
        const jobId = opening.value;
        if (jobId === null || (isAway(error) && records.value?.job.id === jobId)) return;
        const known = isAway(error) ? await readCache<KeptJob>(jobKey(jobId)) : null;
        if (!known || records.value?.job.id === jobId) problem.value = sentenceOf(error);
        else {
          // A file that was kept before an update may be without a list that there is now.
          const since = await readJournal<Written>(jobId);
          const { cursor = null, ...cached } = { ...NO_RECORDS, ...known.value };
          records.value = since.reduce((acc, w) => applyStored(acc, w.item, w.record), cached);
          follower.goOnFrom(cursor);
          keptAt.value = known.at;
        }
      },
    },
  );
  /** Keeps the file on this device, with the mark up to which it was read. */
  async function keepNow(): Promise<void> {
    const now = records.value;
    if (!now) return;
    const cursor = follower.readTo;
    // What is not in the file yet stays in the journal.
    const inIt = written.filter(({ item }) => item.jobId === now.job.id && hasRecord(now, item));
    await keepJob(
      now.job.id,
      { ...now, cursor },
      inIt.map((w) => w.item.body.id),
    );
  }
  /** A large file takes its time to be stored: what comes in quick succession is stored together, and what was sent from here is journalled meanwhile. */
  const keepSoon = useDebounceFn(() => void keepNow(), KEEP_MS, { maxWait: 4 * KEEP_MS });
  /** The job that was asked for last. */
  const opening = ref<string | null>(null);
  async function load(jobId: string): Promise<void> {
    opening.value = jobId;
    if (records.value?.job.id !== jobId) {
      records.value = null;
      left();
    }
    problem.value = null;
    await follower.open(jobId);
  }
  /** Asks for what is new. */
  async function refresh(): Promise<void> {
    if (!records.value) return;
    problem.value = null;
    await follower.follow();
  }
  onChangeOf(
    () => records.value?.job.id ?? null,
    () => void refresh(),
  );
  return { records, problem, keptAt, load, refresh };
}
