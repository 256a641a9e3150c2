import type { EventFamily, Sent } from '@dauer/contract';
import type { Stamp } from '../../app/deviceClock.ts';

/** An event in words: the figure or what was done, the place, the vehicle. */
export interface EventWords {
  readonly what: string;
  readonly place: string | null;
  readonly vehicle: string;
}

/** That a lead sends what somebody else left here: the id of that record, who says it, and when, ISO 8601 UTC. */
export interface HandedIn {
  readonly id: string;
  readonly leadId: string;
  readonly leadName: string;
  readonly at: string;
}

/** An event that is kept on this device until the book has it. */
export interface PendingEvent<F extends EventFamily = EventFamily> {
  /** Its place in this device's storage; none where that failed, and the page alone holds it. */
  seq?: number;
  /** Its turn among what waits with it: what was refused by the storage first may be stored last. */
  readonly turn?: number;
  readonly jobId: string;
  readonly authorId: string;
  readonly authorName: string;
  /** The lead who sends it for whoever took it; none where that is whoever took it. */
  readonly handIn?: HandedIn;
  readonly family: F;
  readonly body: Sent<F>;
  /** How far this device's clock was set right when it was stamped, ms: of what an earlier page took. */
  readonly clockOffset?: number;
  /** What this device's clock showed when it was taken: when that was by the server's is worked out when it is sent. */
  readonly stamp?: Stamp;
  /** What it is and where, in words, for a list of what waits; none where an earlier page took it. */
  readonly about?: EventWords;
  /** Why the server would not take it; null while it waits to be sent. */
  readonly aside: string | null;
}

/**
 * What waits to be sent, in the order in which it was taken. An event is `storing` until this device holds it for good,
 * waits then, and leaves when the book has it; one that the server would not take is set aside until somebody decides.
 */
export interface Queue {
  readonly items: readonly PendingEvent[];
  /** Ids of events on their way into this device's storage: shown, and not yet acknowledged as kept. */
  readonly storing: ReadonlySet<string>;
  /** Ids of events that this device's storage would not take: the page alone holds them, and they are never shown as kept. */
  readonly loose: ReadonlySet<string>;
  /** Where this device's storage holds them, by id. */
  readonly places: ReadonlyMap<string, number>;
}

export const EMPTY: Queue = { items: [], storing: new Set(), loose: new Set(), places: new Map() };

export type QueueAction =
  /** What this device held when the page was opened; or is to be sent again to a book that was restored. */
  | { readonly kind: 'found' | 'again'; readonly items: readonly PendingEvent[] }
  /** What this device holds by now, whichever of its pages took or sent it. */
  | { readonly kind: 'synced'; readonly items: readonly PendingEvent[] }
  | { readonly kind: 'taken'; readonly item: PendingEvent }
  /** It is safe on this device, at a place of its storage; at none where the page alone holds it. */
  | { readonly kind: 'stored'; readonly id: string; readonly place: number | undefined }
  /** The book has it, or somebody dropped it. */
  | { readonly kind: 'left'; readonly id: string }
  /** The server would not take it, and said why. */
  | { readonly kind: 'refused'; readonly id: string; readonly reason: string }
  /** A lead sends it for whoever took it. */
  | { readonly kind: 'handed_in'; readonly id: string; readonly by: HandedIn }
  /** It is to be sent once more. */
  | { readonly kind: 'retried'; readonly id: string };

const withPlaces = (places: Queue['places'], items: readonly PendingEvent[]): Queue['places'] =>
  new Map([...places, ...items.flatMap((i): [string, number][] => (i.seq === undefined ? [] : [[i.body.id, i.seq]]))]);
const without = <T>(set: ReadonlySet<T>, one: T): ReadonlySet<T> => new Set([...set].filter((x) => x !== one));

/** In the order in which they were taken; what an earlier page took, before. */
const inTurn = (items: readonly PendingEvent[]): PendingEvent[] =>
  [...items].sort((a, b) => (a.turn ?? 0) - (b.turn ?? 0) || (a.seq ?? Infinity) - (b.seq ?? Infinity) || 0);

/** The turn of what is taken next. */
export const nextTurn = ({ items }: Queue): number => 1 + Math.max(0, ...items.map((i) => i.turn ?? 0));

/** The queue as the storage has it, with what the page alone knows of after it; the same queue where that is what it was. */
function synced(queue: Queue, held: readonly PendingEvent[]): Queue {
  const known = new Map(queue.items.map((i) => [i.body.id, i]));
  const ids = new Set<string>();
  const stored = held.flatMap((i) => {
    if (ids.has(i.body.id)) return [];
    ids.add(i.body.id);
    const own = known.get(i.body.id);
    return own && own.aside === i.aside && own.handIn?.id === i.handIn?.id ? own : i;
  });
  // What has no place yet is on its way there, or was refused.
  const own = queue.items.filter((i) => !ids.has(i.body.id) && !queue.places.has(i.body.id));
  const items = inTurn([...stored, ...own]);
  if (items.length === queue.items.length && items.every((i, n) => i === queue.items[n])) return queue;
  const left = new Set(items.map((i) => i.body.id));
  const places = [...queue.places].filter(([id]) => left.has(id));
  return { ...queue, items, places: withPlaces(new Map(places), stored) };
}

/** The queue after something happened. What concerns an event that is not in it changes nothing. */
export function advance(queue: Queue, action: QueueAction): Queue {
  const aside = (id: string, reason: string | null): Queue => ({
    ...queue,
    items: queue.items.map((i) => (i.body.id === id ? { ...i, aside: reason } : i)),
  });
  switch (action.kind) {
    case 'found':
    case 'again': {
      const known = new Set(queue.items.map((i) => i.body.id));
      // Two pages of one device may have stored the same.
      const fresh = action.items.filter((i) => !known.has(i.body.id) && known.add(i.body.id));
      // What was taken while the storage was being opened was taken later.
      const items = action.kind === 'found' ? [...inTurn(fresh), ...queue.items] : [...queue.items, ...fresh];
      return { ...queue, items, places: withPlaces(queue.places, fresh) };
    }
    case 'synced':
      return synced(queue, action.items);
    case 'taken':
      return { ...queue, items: [...queue.items, action.item], storing: new Set([...queue.storing, action.item.body.id]) };
    case 'stored': {
      if (!queue.items.some((i) => i.body.id === action.id)) return queue;
      const storing = without(queue.storing, action.id);
      return action.place === undefined
        ? { ...queue, storing, loose: new Set([...queue.loose, action.id]) }
        : { ...queue, storing, loose: without(queue.loose, action.id), places: new Map([...queue.places, [action.id, action.place]]) };
    }
    case 'left':
      return {
        items: queue.items.filter((i) => i.body.id !== action.id),
        storing: without(queue.storing, action.id),
        loose: without(queue.loose, action.id),
        places: new Map([...queue.places].filter(([id]) => id !== action.id)),
      };
    case 'refused':
      return aside(action.id, action.reason);
    case 'handed_in':
      return {
        ...queue,
        items: queue.items.map((i) => (i.body.id === action.id ? { ...i, aside: null, handIn: action.by } : i)),
      };
    case 'retried':
      return aside(action.id, null);
  }
}

/** What is safe on this device, up to the first event that is not yet: nothing overtakes what it leans on. */
export function persisted({ items, storing }: Queue): readonly PendingEvent[] {
  const first = items.findIndex((i) => storing.has(i.body.id));
  return first < 0 ? items : items.slice(0, first);
}

/** Who sends an event, by id: the lead who hands it in, or whoever took it. */
const senderOf = (item: PendingEvent): string => item.handIn?.leadId ?? item.authorId;

/**
 * The next event to send: the oldest that is safe here, of whoever is signed in, since the book names whoever that is, or what they hand in. What
 * leans on somebody else's unsent event waits for it, so that nothing is refused for coming too early.
 */
export function nextToSend(queue: Queue, personId: string | null): PendingEvent | undefined {
  const waiting = persisted(queue).filter((i) => i.aside === null);
  const foreign = new Set(waiting.filter((i) => senderOf(i) !== personId).map((i) => i.body.id));
  const dependsOn = (i: PendingEvent): boolean =>
    Object.values(i.body).some((v) => typeof v === 'string' && v !== i.body.id && foreign.has(v));
  return waiting.find((i) => senderOf(i) === personId && !dependsOn(i));
}

/** How many wait to be sent, but for those that are set aside. */
export const unsent = ({ items, storing }: Queue): number => items.filter((i) => i.aside === null && !storing.has(i.body.id)).length;

/** What the server would not take. */
export const rejected = ({ items }: Queue): PendingEvent[] => items.filter((i) => i.aside !== null);

/** What of other people waits here until they sign in, in order. */
export const ofOthers = ({ items }: Queue, personId: string | null): PendingEvent[] =>
  items.filter((i) => i.aside === null && senderOf(i) !== personId);

/** Whose signing in each of these waits for, each name once. */
export const waitingFor = (items: readonly PendingEvent[]): string[] => [...new Set(items.map((i) => i.handIn?.leadName ?? i.authorName))];
