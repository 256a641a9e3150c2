import {
  BOOK_HEADER,
  DEVICE_CLOCK_HEADER,
  type ENDPOINTS,
  type EndpointName,
  CLOCK_HEADER,
  NOW_HEADER,
  PAGE_HEADER,
  PERSON_HEADER,
  type Problem,
  type ProblemCode,
  TAKEN_BY_HEADER,
} from '@dauer/contract';
import type { z } from 'zod';
import {
  type DeviceClock,
  type Era,
  isSettled,
  lookAt,
  measured,
  MOST_ERAS,
  nextStamp,
  offsetIn,
  openClock,
  type Stamp,
  type Told,
  toldAfter,
} from './deviceClock.ts';
import { heard, notHeard } from './heard.ts';
import { ROUTES } from './routes.ts';
import { asks, waits } from './waiting.ts';

/** A problem that the server stated, or that kept us from asking it. */
export class ApiProblem extends Error {
  readonly status: number;
  readonly code: string;
  readonly problem: Problem | null;
  constructor(status: number, code: string, message: string, problem: Problem | null = null) {
    super(message);
    this.status = status;
    this.code = code;
    this.problem = problem;
  }
  /** Whether it is a problem of this kind. */
  is(code: ProblemCode): boolean {
    return this.code === code;
  }
  /** Whether asking again later can help. */
  get passes(): boolean {
    return this.status === 0 || this.status === 401 || this.status === 429 || this.status >= 500;
  }
}

/** How often this device's clock is held against a steady one, ms. */
const LOOK_MS = 10_000;

/** This page, as the stream of changes names it. */
export const PAGE = crypto.randomUUID?.() ?? `page-${Math.random().toString(36).slice(2)}`;

type E<N extends EndpointName> = (typeof ENDPOINTS)[N];
interface Args<N extends EndpointName> {
  readonly params?: z.input<E<N>['params']>;
  readonly query?: z.input<E<N>['query']>;
  readonly body?: z.input<E<N>['body']>;
  /** How far the clock was set right when what is sent was stamped, ms; as it is now where none is given; null where it is by the server’s clock already. */
  readonly clockOffset?: number | null;
  /** For whom it is asked, by id, where that is not whom this page works for. */
  readonly as?: string;
  /** Who took what is sent, by id, where a lead hands it in. */
  readonly takenBy?: string;
}

/** Under which this device remembers what its clock was, for what was stamped before the page was opened. */
const CLOCK = 'dauer.clock';
const newId = (): string => crypto.randomUUID?.() ?? `era-${Math.random().toString(36).slice(2)}`;
function erasBefore(): Era[] {
  try {
    return JSON.parse(localStorage.getItem(CLOCK) ?? '[]') as Era[];
  } catch {
    return [];
  }
}
let clock = openClock(erasBefore(), newId(), Date.now(), performance.now());
/** What another page of this device wrote down meanwhile stays. */
function note(now: DeviceClock): void {
  const changed = now.eras !== clock.eras;
  clock = now;
  if (!changed) return;
  const own = new Set(clock.eras.map((e) => e.id));
  try {
    localStorage.setItem(CLOCK, JSON.stringify([...erasBefore().filter((e) => !own.has(e.id)), ...clock.eras].slice(-MOST_ERAS)));
  } catch {
    // Without room for it the eras of this page are known as long as it is open.
  }
}
const look = (): void => {
  note(lookAt(clock, Date.now(), performance.now(), newId));
};
setInterval(look, LOOK_MS);
const eraNow = (): string => clock.eras.at(-1)?.id ?? '';
const offsetNow = (): number => offsetIn(clock.eras, eraNow()) ?? 0;

/** @param from when it was sent, by this clock, ms, and in which era: an answer from before the clock was set says nothing of it. */
function updateClockOffset(from: Stamp, answered: number, serverNow: string | null): void {
  const now = Number(serverNow);
  if (!Number.isFinite(now) || now <= 0 || answered - from.wall >= 5000) return;
  look();
  if (from.era === eraNow() && from.wall <= answered) note(measured(clock, [now - answered, now - from.wall]));
}

/** The time now by the server's clock, as far as it is known, and by this device's, for when it is known better. */
export function timeNow(): { readonly at: string; readonly stamp: Stamp } {
  look();
  const stamp = nextStamp(last, { wall: Date.now(), era: eraNow() });
  last = stamp;
  return { at: new Date(stamp.wall + offsetNow()).toISOString(), stamp };
}
let last: Stamp | null = null;
let lastTold: Told | null = null;

/**
 * When something was stamped, by the server's clock as it was then, ISO 8601 UTC. Asks the server for the time first where only
 * that tells what this device's clock did meanwhile.
 * @throws ApiProblem where that is needed and it is away
 */
export async function instantOfStamp(stamp: Stamp): Promise<string> {
  look();
  if (!isSettled(clock.eras, stamp.era)) await call('welcome');
  lastTold = toldAfter(clock.eras, lastTold, stamp);
  return new Date(lastTold.at).toISOString();
}

let onBook: (book: string | null) => void = () => undefined;
/** Told with every answer which incarnation of the book gave it. */
export function whenAnswered(f: (book: string | null) => void): void {
  onBook = f;
}

let onSignedOut: () => void = () => undefined;
/** Told when the server says that this page's session is over, or that it is somebody else's by now. */
export function whenSignedOut(f: () => void): void {
  onSignedOut = f;
}

let believed: () => string | null = () => null;
/** Says who this page believes to be signed in: the server does nothing under another name. */
export function believe(f: () => string | null): void {
  believed = f;
}

function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'code' in value && 'detail' in value;
}

/** What goes on behind whoever works: nobody waits for it. */
const BEHIND: ReadonlySet<EndpointName> = new Set([
  'welcome',
  'jobChanges',
  'me',
  'yard',
  'findingEntries',
  'notices',
  'keepPicture',
  'handIn',
]);

/**
 * Calls an endpoint of the contract.
 * @throws ApiProblem with status 0 where the server could not be reached
 */
export async function call<N extends EndpointName>(name: N, args: Args<N> = {}): Promise<z.output<E<N>['reply']>> {
  const line = ROUTES[name];
  const values = new Map<string, unknown>(Object.entries(args.params ?? {}));
  let url: string = line.path.replace(/:(\w+)/g, (_, key: string) => encodeURIComponent(String(values.get(key))));
  const query = new URLSearchParams(Object.entries(args.query ?? {}).flatMap(([k, v]) => (v === undefined ? [] : [[k, String(v)]])));
  if (query.size > 0) url += `?${query.toString()}`;
  // Who is signed in is asked of the session itself.
  const person = name === 'me' ? null : (args.as ?? believed());
  let reply: Response;
  look();
  const [sentAt, era] = [Date.now(), eraNow()];
  // An event is kept before it is sent: whoever entered it goes on.
  const came = BEHIND.has(name) || 'family' in line ? () => undefined : waits();
  const answered = asks();
  try {
    reply = await fetch(url, {
      method: line.method,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(20000),
      headers: {
        [PAGE_HEADER]: PAGE,
        ...(args.clockOffset === null ? {} : { [CLOCK_HEADER]: String(sentAt + (args.clockOffset ?? offsetNow())) }),
        [DEVICE_CLOCK_HEADER]: String(sentAt),
        ...(person !== null && { [PERSON_HEADER]: person }),
        ...(args.takenBy !== undefined && { [TAKEN_BY_HEADER]: args.takenBy }),
        ...(args.body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(args.body === undefined ? {} : { body: JSON.stringify(args.body) }),
    });
  } catch {
    answered();
    notHeard();
    throw new ApiProblem(0, 'unreachable', 'The server cannot be reached just now.');
  } finally {
    came();
  }
  // A server whose book is away has nothing new either.
  if (reply.status === 502 || reply.status === 503) notHeard();
  else heard();
  updateClockOffset({ wall: sentAt, era }, Date.now(), reply.headers.get(NOW_HEADER));
  onBook(reply.headers.get(BOOK_HEADER));
  const content: unknown = await reply.json().catch(() => null);
  answered();
  if (reply.ok) return content as z.output<E<N>['reply']>;
  const problem = isProblem(content) ? content : null;
  if ((problem?.code === 'signed_out' || problem?.code === 'someone_else') && name !== 'me' && args.as === undefined) onSignedOut();
  throw new ApiProblem(
    reply.status,
    problem?.code ?? 'broken',
    problem?.detail ?? 'The server answered in a way that cannot be read.',
    problem,
  );
}

/** The sentence of any error. */
export function sentenceOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
