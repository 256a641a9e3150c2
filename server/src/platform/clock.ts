import { CLOCK_HEADER, DEVICE_CLOCK_HEADER, PAGE_HEADER } from '@dauer/contract';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import { millisecondsInMinute, millisecondsInYear } from '@dauer/core/quantity';

/** A clock that is this near is right, ms: the way to the server takes its time. */
const NEAR_MS = 2000;

/** Farther off than this is no clock, ms: one with an empty battery begins in 1970. */
const FAR_MS = 100 * millisecondsInYear;

/** What a clock is set back by this much at once stands; by less, it is waited for, ms. */
const STEP_MS = 2 * millisecondsInMinute;

/**
 * A clock that does not go back where its own is set back by a little: what is told after something has happened after it.
 * @param own the time by the clock itself, ms
 */
export function forward(own: () => number): () => number {
  let latest = 0;
  return () => {
    const now = own();
    if (now >= latest || latest - now > STEP_MS) latest = now;
    return latest;
  };
}
const timeForward = forward(Date.now);

/** Off by more than this is said, ms. Source: handbook 15, People, time, distance, privacy; what governs goes by instants. */
const WRONG_MS = 2 * millisecondsInMinute;

/** How long what a device’s clock said counts, ms. */
const RECENT_MS = 15 * millisecondsInMinute;
const MAX_DEVICES = 200;

/**
 * When something happened, by the server's clock: what the device says, set right by how far its clock was off when it was
 * stamped. Never later than now: what is told has happened.
 * Source: handbook 15, People, time, distance, privacy.
 */
export function corrected(request: Pick<FastifyRequest, 'headers'>, happenedAt: string, now = timeForward()): string {
  const said = Number(request.headers[CLOCK_HEADER]);
  const off = now - said;
  const believed = said > 0 && Math.abs(off) > NEAR_MS && Math.abs(off) < FAR_MS;
  const at = Date.parse(happenedAt) + (believed ? off : 0);
  return new Date(Math.min(at, now)).toISOString();
}

/** What the clocks of devices said, by page: how far each is ahead of this server, ms. */
export class DeviceClocks {
  private readonly pages = new Map<string, { readonly ahead: number; readonly at: number }>();
  hear(page: string, said: number, now = Date.now()): void {
    if (!(said > 0) || Math.abs(said - now) > FAR_MS) return;
    this.pages.delete(page);
    this.pages.set(page, { ahead: said - now, at: now });
    const [oldest] = this.pages.keys();
    if (this.pages.size > MAX_DEVICES && oldest !== undefined) this.pages.delete(oldest);
  }
  /** How far each device that was heard lately is ahead, ms. */
  ahead(now = Date.now()): number[] {
    return [...this.pages.values()].filter((p) => now - p.at < RECENT_MS).map((p) => p.ahead);
  }
}

export const deviceClocks = new DeviceClocks();

/** Hears the clock of every page that asks. */
export function hearClocks(app: FastifyInstance): void {
  app.addHook('onRequest', async ({ headers }) => {
    const page = headers[PAGE_HEADER];
    if (typeof page === 'string' && page.length <= 60) deviceClocks.hear(page, Number(headers[DEVICE_CLOCK_HEADER]));
  });
}

const minutes = (ms: number): string => {
  const n = Math.round(Math.abs(ms) / millisecondsInMinute);
  return n >= 120 ? `${Math.round(n / 60)} hours` : `${n} ${n === 1 ? 'minute' : 'minutes'}`;
};

/**
 * What is wrong with the server’s clock, in a sentence; null where nothing speaks against it.
 * @param lastRecord instant of the newest record, ms; null in a new book
 * @param devices how far devices are ahead of the server, ms
 * @param database how far the database’s clock is ahead, ms
 */
export function clockWords(lastRecord: number | null, devices: readonly number[], database: number, now: number): string | null {
  if (lastRecord !== null && lastRecord - now > WRONG_MS)
    return `The server’s clock is ${minutes(lastRecord - now)} behind its own last record. Set it right: what is taken meanwhile stands before what it follows.`;
  if (Math.abs(database) > WRONG_MS) return `The clocks of the server and of its database differ by ${minutes(database)}. Set both right.`;
  const off = devices.filter((d) => Math.abs(d) > WRONG_MS);
  const sameWay = [off.filter((d) => d > 0), off.filter((d) => d < 0)].find((list) => list.length * 2 > devices.length);
  if (sameWay && (sameWay.length > 1 || devices.length === 1)) {
    const middle = [...sameWay].sort((a, b) => a - b)[Math.floor(sameWay.length / 2)] ?? 0;
    return devices.length === 1
      ? `The clocks of the server and of this device differ by ${minutes(middle)}: the server’s is ${middle > 0 ? 'behind' : 'ahead'}, or the device’s is wrong.`
      : `The server’s clock is ${minutes(middle)} ${middle > 0 ? 'behind' : 'ahead of'} ${sameWay.length} of ${devices.length} devices. Set it right.`;
  }
  return off.length > 0
    ? `The clocks of ${off.length} of ${devices.length} devices are more than two minutes off. What they take is set right; set them right too.`
    : null;
}
