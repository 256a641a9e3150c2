import { Worker } from 'node:worker_threads';
import { BUILT, inServer } from '../place.ts';
import { HttpProblem } from '../platform/problem.ts';
import type { InputOf, ResultOf, Task } from './tasks.ts';

/** Longest that one piece of work may take, ms. */
const PATIENCE_MS = 30000;
/** Most that may wait; whoever comes then is asked to come again. */
const MAX_WAITING = 12;

/** The work itself failed: what was given could not be done. */
export class WorkFailed extends Error {}

interface PendingEvent {
  readonly task: Task;
  readonly input: unknown;
  readonly done: (result: unknown) => void;
  readonly failed: (error: Error) => void;
}

const waiting: PendingEvent[] = [];
let worker: Worker | null = null;
let underWay: { readonly id: number; readonly one: PendingEvent; readonly timer: NodeJS.Timeout } | null = null;
let count = 0;

/** One thread, kept: the other core stays with the readings. */
function thread(): Worker {
  if (worker) return worker;
  const made = new Worker(inServer(BUILT ? 'dist/thread.js' : 'src/beside/entry.mjs'), { resourceLimits: { maxOldGenerationSizeMb: 640 } });
  made.unref();
  made.on('message', ({ id, done, failed }: { id: number; done?: unknown; failed?: string }) => {
    if (underWay?.id !== id) return;
    const { one } = underWay;
    settle();
    if (failed === undefined) one.done(done);
    else one.failed(new WorkFailed(failed));
  });
  const lost = (): void => {
    if (worker === made) worker = null;
    if (!underWay) return;
    const { one } = underWay;
    settle();
    one.failed(new WorkFailed('the thread ended'));
  };
  made.on('error', lost);
  made.on('exit', lost);
  worker = made;
  return made;
}

function settle(): void {
  if (underWay) clearTimeout(underWay.timer);
  underWay = null;
  next();
}

function next(): void {
  const one = underWay ? undefined : waiting.shift();
  if (!one) return;
  const id = (count += 1);
  const own = thread();
  // What does not come to an end takes its thread with it; the next one gets a new one.
  const timer = setTimeout(() => void own.terminate(), PATIENCE_MS);
  underWay = { id, one, timer };
  own.postMessage({ id, task: one.task, input: one.input });
}

/**
 * Does a piece of work in a thread of its own, one after the other.
 * @throws WorkFailed where it cannot be done; HttpProblem 503 where too much waits already
 */
export function apart<T extends Task>(task: T, input: InputOf<T>): Promise<ResultOf<T>> {
  if (waiting.length >= MAX_WAITING)
    return Promise.reject(new HttpProblem('busy', 'The server is busy with pictures and sheets just now. Try again in a moment.'));
  return new Promise((resolve, reject) => {
    waiting.push({ task, input, done: (result) => resolve(result as ResultOf<T>), failed: reject });
    next();
  });
}
