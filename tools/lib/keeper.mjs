import { setTimeout as wait } from 'node:timers/promises';
import { say } from './say.mjs';

/** Longest pause between two attempts at starting what does not come up, ms. */
const LONGEST_PAUSE_MS = 30000;
const LOOK_MS = 250;
/** What ran for less than this before it ended did not come up well, ms. */
const SOON_MS = 3000;

/**
 * Remembers how to stop whatever a script has started, and does it, the newest first, when the script is ended by Ctrl-C
 * or a signal at any moment, or when it fails.
 */
export function keeper() {
  const stops = [];
  /** @type {Promise<never> | null} */
  let stopping = null;
  const stopEach = async () => {
    for (const stop of stops.splice(0).reverse()) await stop();
  };
  const stopAll = (code) => {
    stopping ??= (async () => {
      await stopEach();
      process.exit(code);
    })();
    return stopping;
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stopAll(0));
  return {
    add: (stop) => stops.push(stop),
    stopping: () => stopping !== null,
    stopAll,
    /** Runs what has to be kept up; where it throws, everything is stopped and the error goes on. */
    async starting(work) {
      try {
        return await work();
      } catch (error) {
        if (stopping) await stopping;
        await stopEach();
        throw error;
      }
    },
  };
}

/**
 * Tries until it succeeds: at once the first time, then after pauses that double, so that what cannot come up is not
 * started over and over.
 * @param {() => Promise<T>} work
 * @param {(error: Error, pauseMs: number) => void} told of every failure and the pause that follows
 * @param {() => boolean} givenUp when it says so; then null is returned
 * @template T
 */
async function untilItWorks(work, told, givenUp) {
  for (let pause = 500; !givenUp(); pause = Math.min(pause * 2, LONGEST_PAUSE_MS)) {
    try {
      return await work();
    } catch (error) {
      if (givenUp()) return null;
      told(error, pause);
      for (let waited = 0; waited < pause && !givenUp(); waited += LOOK_MS) await wait(LOOK_MS);
    }
  }
  return null;
}

const first = (error) => error.message.split('\n')[0];

/**
 * Keeps the database and the processes beside it up until the script is stopped: whichever ends by itself or is killed is
 * started again at once, with a sentence.
 * @param {{ kept: ReturnType<typeof keeper>,
 *   cluster: { alive: () => boolean, restart: (tries: number) => Promise<void> } | null,
 *   processes: { name: string, now: { exited: () => boolean }, again: () => Promise<{ exited: () => boolean }>, saysWhenUp?: boolean }[] }} what
 */
export async function keepUp({ kept, cluster, processes }) {
  const tell = (what) => (error, pause) =>
    say(`The ${what} did not come up: ${first(error)} Tried again in ${Math.round(pause / 100) / 10} s.`);
  const watch = async (name, gone, again, saysWhenUp = true) => {
    let since = Date.now();
    let pause = 0;
    for (;;) {
      await wait(LOOK_MS);
      if (kept.stopping()) return;
      if (!gone()) continue;
      say(`The ${name} ended by itself; it is started again. Nothing that was acknowledged is lost.`);
      // What does not say when it is up, and ends again soon, did not come up: it is not started over and over. What came up
      // and was killed is started at once, however often.
      pause = saysWhenUp || Date.now() - since > SOON_MS ? 0 : Math.min(Math.max(pause * 2, 500), LONGEST_PAUSE_MS);
      for (let waited = 0; waited < pause && !kept.stopping(); waited += LOOK_MS) await wait(LOOK_MS);
      await untilItWorks(again, tell(name), kept.stopping);
      since = Date.now();
      if (!kept.stopping()) say(`The ${name} is back.`);
    }
  };
  await Promise.all([
    ...(cluster
      ? [
          watch(
            'database',
            () => !cluster.alive(),
            () => cluster.restart(4),
          ),
        ]
      : []),
    ...processes.map((p) =>
      watch(
        p.name,
        () => p.now.exited(),
        async () => {
          p.now = await p.again();
        },
        p.saysWhenUp ?? true,
      ),
    ),
  ]);
}
