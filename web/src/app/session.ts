import { type Access, mayCall } from '@dauer/contract';
import type { Person } from '@dauer/core/ledger';
import { USUAL_LOCALE, setNumberLocale } from '@dauer/core/quantity';
import type { Role } from '@dauer/core/verdict';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { useZone } from '../fittings/dates.ts';
import { ApiProblem, believe, call, whenSignedOut } from './client.ts';
import { forgetKept, isAway } from './kept.ts';
import { pickDaysAs } from './theme.ts';
import { type Me, NOBODY, stillHere, type WhoAction, whoIs } from './who.ts';

/** Who was signed in last, for a page that opens while the server is away. What they take is sent once they are signed in again. */
const ME = 'dauer.me';
/** Who signed out while the server was away: their session is ended as soon as it answers. */
const OUT = 'dauer.out';
/** On which the pages of this device tell each other who signed in or out. */
const PAGES = 'dauer.who';
const PAUSE_MS = 5000;

function lastHere(): Me | null {
  try {
    return JSON.parse(localStorage.getItem(ME) ?? 'null') as Me | null;
  } catch {
    return null;
  }
}

/** Who is signed in on this device. */
export const useSession = defineStore('session', () => {
  const who = shallowRef(NOBODY);
  const person = computed<Person | null>(() => who.value.me?.person ?? null);
  /** Why this page shows and takes nothing until somebody signs in; null where it does. */
  const lock = computed(() => who.value.lock);
  const shop = computed(() => who.value.me?.shop ?? { name: '', timeZone: 'UTC', currency: null, locale: USUAL_LOCALE });
  const hasPin = computed(() => who.value.me?.hasPin ?? false);
  const resumed = shallowRef(false);
  const pages = new BroadcastChannel(PAGES);

  async function act(action: WhoAction): Promise<void> {
    const { who: next, then } = whoIs(who.value, action);
    who.value = next;
    const { me } = next;
    if (me && !next.lock) {
      localStorage.setItem(ME, JSON.stringify(me));
      const locale = me.shop.locale ?? USUAL_LOCALE;
      setNumberLocale(locale);
      pickDaysAs(locale);
      useZone(me.shop.timeZone, locale);
    }
    if (then === 'forget' || then === 'forget_and_ask') {
      if (next.lock?.why !== 'other') localStorage.removeItem(ME);
      await forgetKept();
    }
    if (then === 'ask' || then === 'forget_and_ask') await resume();
    if (then === 'begin_anew') {
      await forgetKept();
      window.location.reload();
    }
  }
  /** Somebody signed in on this page; the others of this device hear of it. */
  async function take(me: Me): Promise<void> {
    turn += 1;
    localStorage.removeItem(OUT);
    localStorage.setItem(ME, JSON.stringify(me));
    resumed.value = true;
    pages.postMessage({ id: me.person.id, name: me.person.name });
    await act({ kind: 'signed_in', me });
  }
  /** What was changed of oneself or the shop. */
  const refreshed = (me: Me): Promise<void> => act({ kind: 'found', me });
  let asking: Promise<void> | null = null;
  /** Asks who is here: of the server, or of this device where it is cut off. */
  function resume(): Promise<void> {
    asking ??= ask().finally(() => (asking = null));
    return asking;
  }
  /** Goes up whenever somebody signs in or out on this page. */
  let turn = 0;
  /** Who is here; undefined where the answer says nothing of that. */
  async function found(): Promise<Me | null | undefined> {
    try {
      // Asked at once where nobody signed out here meanwhile: the page is put together while the answer comes.
      return localStorage.getItem(OUT) !== null && (await isOut()) ? null : await call('me');
    } catch (error) {
      const away = isAway(error);
      const me = away ? stillHere(lastHere(), new Date().toISOString()) : null;
      return me || away || !(error instanceof ApiProblem) || error.status === 401 ? me : undefined;
    }
  }
  async function ask(): Promise<void> {
    for (;;) {
      const since = turn;
      const me = await found();
      // An answer from before somebody signed in or out here is no answer any more.
      if (since !== turn) continue;
      if (me !== undefined) await act({ kind: 'found', me });
      break;
    }
    resumed.value = true;
  }
  /** An answer to a sign-out that comes after one to a sign-in would end that as well: the one is waited for before the other. */
  let leaving: Promise<unknown> = Promise.resolve();
  const left = async (): Promise<void> => void (await leaving);
  /** Waits to end it once more, where the server did not answer. */
  let later: ReturnType<typeof setTimeout> | undefined;
  async function signIn(login: string, password: string): Promise<void> {
    await left();
    await take(await call('signIn', { body: { login, password } }));
  }
  /** Ends the session of whoever signed out while the server was away. Says whether somebody has signed out and is not in again. */
  async function isOut(): Promise<boolean> {
    const id = localStorage.getItem(OUT);
    if (id === null) return false;
    try {
      await call('signOut', { as: id });
    } catch (error) {
      if (isAway(error)) {
        clearTimeout(later);
        later = setTimeout(() => (leaving = isOut()), PAUSE_MS);
        return true;
      }
    }
    // Somebody may have signed in since.
    if (localStorage.getItem(OUT) === id) localStorage.removeItem(OUT);
    return false;
  }
  /** Signs out: this device is locked at once, and the session ended as soon as the server answers. */
  async function signOut(): Promise<void> {
    turn += 1;
    if (person.value) localStorage.setItem(OUT, person.value.id);
    pages.postMessage(null);
    leaving = isOut();
    await act({ kind: 'signed_out' });
    await leaving;
  }
  pages.addEventListener('message', ({ data }: MessageEvent<{ id: string; name: string } | null>) => {
    void act({ kind: 'heard', person: data });
  });
  believe(() => person.value?.id ?? null);
  whenSignedOut(() => void resume());
  window.addEventListener('online', () => (leaving = isOut()));
  const role = computed<Role | null>(() => (lock.value ? null : (person.value?.role ?? null)));
  const may = (access: Access): boolean => mayCall(access, role.value);
  return { person, lock, hasPin, shop, resumed, role, may, take, left, refreshed, resume, signIn, signOut };
});
