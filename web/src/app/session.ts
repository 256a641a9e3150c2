import type { Person } from '@dauer/core/ledger';
import { USUAL_LOCALE, setNumberLocale } from '@dauer/core/quantity';
import type { Role } from '@dauer/core/verdict';
import { mayCall, type Access } from '@dauer/contract';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { useZone } from '../fittings/dates.ts';
import { ApiProblem, call, whenSignedOut } from './client.ts';
import { pickDaysAs } from './theme.ts';
import { forgetKept, isAway } from './kept.ts';

type Shop = { name: string; timeZone: string; currency: string | null; locale?: string };
type Me = { person: Person; hasPin: boolean; shop: Shop };
/** Who was signed in last, for a page that opens while the server is away. What they take is sent once they are signed in again. */
const ME = 'dauer.me';
function lastHere(): Me | null {
  try {
    return JSON.parse(localStorage.getItem(ME) ?? 'null') as Me | null;
  } catch {
    return null;
  }
}

/** Who is signed in on this device. */
export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null);
  const shop = ref<Shop>({ name: '', timeZone: 'UTC', currency: null, locale: USUAL_LOCALE });
  const hasPin = ref(false);
  const resumed = ref(false);
  /** The session ended while somebody was working: asked for again in place, so that nothing typed is lost. */
  const expired = ref(false);

  function take(me: Me): void {
    localStorage.setItem(ME, JSON.stringify(me));
    person.value = me.person;
    hasPin.value = me.hasPin;
    shop.value = me.shop;
    const locale = me.shop.locale ?? USUAL_LOCALE;
    setNumberLocale(locale);
    pickDaysAs(locale);
    useZone(me.shop.timeZone, locale);
    expired.value = false;
    resumed.value = true;
  }
  function forget(): void {
    localStorage.removeItem(ME);
    person.value = null;
  }
  async function resume(): Promise<void> {
    try {
      take(await call('me'));
    } catch (error) {
      const me = isAway(error) ? lastHere() : null;
      if (me) take(me);
      else if (!(error instanceof ApiProblem) || error.status === 401) forget();
    }
    resumed.value = true;
  }
  async function signIn(login: string, password: string): Promise<void> {
    take(await call('signIn', { body: { login, password } }));
  }
  async function signOut(): Promise<void> {
    await call('signOut').catch(() => undefined);
    forget();
    await forgetKept();
  }
  whenSignedOut(() => {
    if (person.value) expired.value = true;
  });
  const role = computed<Role | null>(() => person.value?.role ?? null);
  const may = (access: Access): boolean => mayCall(access, role.value);
  return { person, hasPin, shop, resumed, expired, role, may, take, resume, signIn, signOut };
});
