import type { Person } from '@dauer/core/ledger';

/** Who a page works for, and for how long the server lets it. */
export interface Me {
  readonly person: Person;
  readonly hasPin: boolean;
  /** When the session ends by itself. */
  readonly until: string;
  readonly shop: { readonly name: string; readonly timeZone: string; readonly currency: string | null; readonly locale?: string };
}

/** Why a page shows and takes nothing until somebody signs in: whose it is stays theirs. */
type Lock =
  /** The server says that the session is over. */
  | { readonly why: 'ended' }
  /** Signed out, on another page of this device. */
  | { readonly why: 'out' }
  /** Somebody else signed in, on another page of this device. */
  | { readonly why: 'other'; readonly name: string };

/** Whom a page works for; locked, it still knows whose what stands on it is. */
export interface Who {
  readonly me: Me | null;
  readonly lock: Lock | null;
}

export type WhoAction =
  /** Signed in by an act on this page. */
  | { readonly kind: 'signed_in'; readonly me: Me }
  /** What the server, or this device where it is cut off, says when it is asked who is here; null: nobody. */
  | { readonly kind: 'found'; readonly me: Me | null }
  /** Signed out by an act on this page. */
  | { readonly kind: 'signed_out' }
  /** Another page of this device: somebody signed in, or (null) out. */
  | { readonly kind: 'heard'; readonly person: { readonly id: string; readonly name: string } | null };

/** What a page does besides: begins anew for another person, forgets what it keeps of the book, or asks who is here. */
export type Then = 'begin_anew' | 'forget' | 'ask' | 'forget_and_ask' | null;

export const NOBODY: Who = { me: null, lock: null };

/** Whom a page works for after something happened. What one person has on the screen never becomes another's. */
export function whoIs({ me, lock }: Who, action: WhoAction): { readonly who: Who; readonly then: Then } {
  const locked = (why: Lock): Who => ({ me, lock: why });
  switch (action.kind) {
    case 'signed_in':
      return me && me.person.id !== action.me.person.id
        ? { who: { me, lock: { why: 'other', name: action.me.person.name } }, then: 'begin_anew' }
        : { who: { me: action.me, lock: null }, then: null };
    case 'found':
      if (!action.me) return me ? { who: locked(lock ?? { why: 'ended' }), then: 'forget' } : { who: NOBODY, then: 'forget' };
      return me && me.person.id !== action.me.person.id
        ? { who: locked({ why: 'other', name: action.me.person.name }), then: 'forget' }
        : { who: { me: action.me, lock: null }, then: null };
    case 'signed_out':
      return { who: NOBODY, then: 'forget' };
    case 'heard':
      if (!me) return { who: NOBODY, then: action.person ? 'ask' : null };
      if (!action.person) return { who: locked({ why: 'out' }), then: 'forget' };
      return action.person.id === me.person.id
        ? { who: { me, lock }, then: lock ? 'ask' : null }
        : // Two may have signed in at once: the server says whose the session is.
          { who: locked({ why: 'other', name: action.person.name }), then: 'forget_and_ask' };
  }
}

/** Who was here last, for a page that opens while it is cut off; null where the session is over by now. */
export const stillHere = (last: Me | null, now: string): Me | null => (last && !(Date.parse(last.until) <= Date.parse(now)) ? last : null);
