import { parentPort } from 'node:worker_threads';
import { TASKS } from './tasks.ts';

/** A piece of work as it comes over to the thread. */
interface Sent {
  readonly id: number;
  readonly task: keyof typeof TASKS;
  readonly input: never;
}

/** A thread beside the server: what takes long is done here, so that no reading waits for it. */
parentPort?.on('message', async ({ id, task, input }: Sent) => {
  try {
    parentPort?.postMessage({ id, done: await TASKS[task](input) });
  } catch (error) {
    parentPort?.postMessage({ id, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) });
  }
});
