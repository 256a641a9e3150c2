/** Makes a thumbnail in a thread of its own, so that no reading waits for it. */
import { parentPort, workerData } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

register();
const { thumbnail } = await import('./thumbnail.ts');
parentPort?.postMessage(thumbnail(workerData.bytes, workerData.side));
