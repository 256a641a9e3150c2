import type { Person, Role } from '@dauer/core';
import { mayCall, type Access } from '@dauer/contract';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { useZone } from '../fittings/dates.ts';
import { ApiProblem, call, whenSignedOut } from './client.ts';

/** Who is signed in on this device. */
export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null);
  const shop = ref<{ name: string; timeZone: string }>({ name: '', timeZone: 'UTC' });
  const hasPin = ref(false);
  const asked = ref(false);
  /** The session ended while somebody was working: asked for again in place, so that nothing typed is lost. */
  const expired = ref(false);

  function take(me: { person: Person; hasPin: boolean; shop: { name: string; timeZone: string } }): void {
    person.value = me.person;
    hasPin.value = me.hasPin;
    shop.value = me.shop;
    useZone(me.shop.timeZone);
    expired.value = false;
    asked.value = true;
  }
  async function resume(): Promise<void> {
    try {
      take(await call('me'));
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.status === 401) person.value = null;
    }
    asked.value = true;
  }
  async function signIn(login: string, password: string): Promise<void> {
    take(await call('signIn', { body: { login, password } }));
  }
  async function signOut(): Promise<void> {
    await call('signOut').catch(() => undefined);
    person.value = null;
  }
  whenSignedOut(() => {
    if (person.value) expired.value = true;
  });
  const role = computed<Role | null>(() => person.value?.role ?? null);
  const may = (access: Access): boolean => mayCall(access, role.value);
  return { person, hasPin, shop, asked, expired, role, may, take, resume, signIn, signOut };
});
