/** A thread beside the server: what takes long is done here, so that no reading waits for it. */
import { parentPort } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

register();
const { TASKS } = await import('./tasks.ts');
parentPort?.on('message', async ({ id, task, input }) => {
  try {
    parentPort.postMessage({ id, done: await TASKS[task](input) });
  } catch (error) {
    parentPort.postMessage({ id, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) });
  }
});
