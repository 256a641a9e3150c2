import type { EndpointName, ENDPOINTS } from '@dauer/contract';
import type { z } from 'zod';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { ref } from 'vue';
import { Ahead } from './ahead.ts';
import { ApiProblem, call } from './client.ts';

const SINCE = 'since:';
/** Raised where a page could not read what an earlier one kept: it is asked for anew. */
const FORM = 2;

interface Schema extends DBSchema {
  kept: { key: string; value: { readonly key: string; readonly at: number; readonly value: unknown } };
}

let opening: Promise<IDBPDatabase<Schema> | null> | null = null;
/** What this device keeps of the book, to show while the server is away; null where it cannot store anything. */
function store(): Promise<IDBPDatabase<Schema> | null> {
  opening ??= openDB<Schema>('dauer-kept', FORM, {
    upgrade: (d, old) => {
      if (old > 0) d.deleteObjectStore('kept');
      d.createObjectStore('kept', { keyPath: 'key' });
    },
    blocking: (_now, _next, event) => (event.target as IDBDatabase | null)?.close(),
  }).catch(() => null);
  return opening;
}

/** Keeps what the server last said under a name. A device that cannot store goes on without. */
async function keep(key: string, value: unknown): Promise<void> {
  try {
    const plain: unknown = JSON.parse(JSON.stringify(value));
    await (await store())?.put('kept', { key, at: Date.now(), value: plain });
  } catch {
    // Without room for it the application works as long as the server answers.
  }
}

/** What was kept under a name, and when; null where nothing was. */
export async function readCache<T>(key: string): Promise<{ readonly at: number; readonly value: T } | null> {
  try {
    const found = await (await store())?.get('kept', key);
    return found ? { at: found.at, value: found.value as T } : null;
  } catch {
    return null;
  }
}

/** Everything that was kept under names that begin so, in the order of the names. */
async function keptUnder<T>(prefix: string): Promise<T[]> {
  try {
    const found = await (await store())?.getAll('kept', IDBKeyRange.bound(prefix, `${prefix}\uffff`));
    return (found ?? []).map((x) => x.value as T);
  } catch {
    return [];
  }
}

/**
 * Keeps what went into the book of a job since its file was kept, before it leaves the outbox: so that a page that opens
 * while the server is away misses nothing.
 */
export async function appendJournal<T>(jobId: string, eventId: string, value: T): Promise<void> {
  await keep(`${SINCE}${jobId}:${eventId}`, value);
}
export const readJournal = <T>(jobId: string): Promise<T[]> => keptUnder<T>(`${SINCE}${jobId}:`);

/** Keeps the file of a job as a whole; what was kept since the one before is in it. */
export async function keepJob(jobId: string, file: unknown, inIt: readonly string[]): Promise<void> {
  await keep(jobKey(jobId), file);
  try {
    const tx = (await store())?.transaction('kept', 'readwrite');
    for (const id of inIt) void tx?.store.delete(`${SINCE}${jobId}:${id}`);
    await tx?.done;
  } catch {
    // It is in the file twice then, which changes nothing.
  }
}

/** Forgets all of it: somebody signed out. */
export async function forgetKept(): Promise<void> {
  try {
    await (await store())?.clear('kept');
  } catch {
    // Nothing was kept.
  }
}

/** Whether the server could not be asked at all, or is only just coming back. */
export function isAway(error: unknown): boolean {
  return error instanceof ApiProblem && (error.status === 0 || error.status === 502 || error.status === 503);
}

/** Since when what the lists of the shop show is only what this device kept, ms; null while the server is heard. */
export const keptSince = ref<number | null>(null);

/** Since when the open job is only what this device kept of it, ms; null while the server is heard. */
export const jobKeptSince = ref<number | null>(null);

type Reply<N extends EndpointName> = z.output<(typeof ENDPOINTS)[N]['reply']>;
/** How long an answer that was asked for ahead is as good as a new one, ms. */
const AHEAD_MS = 5000;
/** What stands in the Yard, asked for while the page is still put together. */
export const yardAhead = new Ahead<Reply<'yard'>>(AHEAD_MS);

/**
 * Asks an endpoint without arguments; while the server is away, what it said last is given instead.
 * @param early its answer, where it was asked already
 * @throws ApiProblem where it is away and nothing was kept, or it refused
 */
export async function callOrKept<N extends EndpointName>(name: N, early: Promise<Reply<N>> | null = null): Promise<Reply<N>> {
  try {
    const fresh = await (early ?? call(name));
    keptSince.value = null;
    void keep(name, fresh);
    return fresh;
  } catch (error) {
    const known = isAway(error) ? await readCache<Reply<N>>(name) : null;
    if (!known) throw error;
    keptSince.value = Math.min(known.at, keptSince.value ?? known.at);
    return known.value;
  }
}

const FRESH_MS = 10 * 60_000;
const PAUSE_MS = 400;
let keeping = false;
/** Keeps the files of the jobs that are open, one after the other, so that each can be opened while the server is away. */
export async function keepOpenJobs(ids: readonly string[]): Promise<void> {
  if (keeping || !('serviceWorker' in navigator)) return;
  keeping = true;
  try {
    for (const id of ids) {
      const known = await readCache(jobKey(id));
      if (known && Date.now() - known.at < FRESH_MS) continue;
      await keep(jobKey(id), await call('job', { params: { jobId: id } }));
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    }
  } catch {
    // Tried again the next time that the yard is read.
  } finally {
    keeping = false;
  }
}

export const jobKey = (id: string): string => `job:${id}`;
