<script setup lang="ts">
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import PinPad from './PinPad.vue';
import { useOutbox } from '../../job/outbox/store.ts';
import { useSession } from '../../app/session.ts';
import WordMark from '../../fittings/WordMark.vue';

/** Sign-in; in a new shop, the first lead's account. */
const session = useSession();
const outbox = useOutbox();
const router = useRouter();
const route = useRoute();
const welcome = ref<Awaited<ReturnType<typeof call<'welcome'>>> | null>(null);
const { run, busy, problem } = useRequest();
const insecure = !window.isSecureContext;
const login = ref('');
const password = ref('');
const first = ref({ shopName: '', name: '' });
const tablet = ref<Awaited<ReturnType<typeof call<'onTablet'>>> | null>(null);
void call('onTablet')
  .then((t) => (tablet.value = t))
  .catch(() => undefined);
async function inNow(): Promise<void> {
  void outbox.flush();
  await router.push(to.value);
}
async function look(): Promise<void> {
  problem.value = '';
  welcome.value = await call('welcome').catch((error: unknown) => {
    problem.value = sentenceOf(error);
    return null;
  });
}
void look();
/** Somebody signed in on another page of this device. */
watch(
  () => session.person?.id,
  (id) => {
    if (id && !busy.value) void inNow();
  },
);
const to = computed(() => (typeof route.query['to'] === 'string' && route.query['to'].startsWith('/') ? route.query['to'] : '/'));
async function go(act: () => Promise<void>): Promise<void> {
  await run(async () => {
    await act();
    void outbox.flush();
    await router.push(to.value);
  });
}
const signIn = () => go(() => session.signIn(login.value, password.value));
const begin = () =>
  go(
    async () =>
      await session.take(
        await call('firstLead', {
          body: {
            id: v7(),
            shopName: first.value.shopName,
            timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
            name: first.value.name,
            login: login.value,
            password: password.value,
          },
        }),
      ),
  );
function pick(a: { login: string; password: string }): void {
  login.value = a.login;
  password.value = a.password;
  void signIn();
}
</script>

<template>
  <main class="page">
    <div class="card">
      <WordMark />
      <template v-if="welcome?.needsFirstLead">
        <h1>A new shop</h1>
        <p class="second">The first account is the lead’s: who signs work off, sets limits and lets others in.</p>
        <form class="form" @submit.prevent="begin">
          <v-text-field v-model="first.shopName" v-focus label="Name of the workshop" />
          <v-text-field v-model="first.name" label="Your name" autocomplete="name" />
          <v-text-field v-model="login" label="Sign in as" autocomplete="username" />
          <v-text-field v-model="password" label="Password (10 or more)" type="password" autocomplete="new-password" />
          <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
          <v-btn
            class="act main"
            type="submit"
            :disabled="busy || !first.shopName.trim() || !first.name.trim() || !login.trim() || password.length < 10"
          >
            Open the shop
          </v-btn>
        </form>
      </template>
      <template v-else>
        <h1>{{ welcome?.shopName ?? 'Sign in' }}</h1>
        <PinPad v-if="tablet?.tablet && tablet.people.length > 0" :tablet="tablet.tablet.name" :people="tablet.people" @in="inNow" />
        <form class="form" @submit.prevent="signIn">
          <v-text-field v-model="login" v-focus="!tablet?.tablet" label="Name" autocomplete="username" />
          <v-text-field v-model="password" label="Password" type="password" autocomplete="current-password" />
          <p v-if="problem" class="problem" role="alert">
            {{ problem }}
            <button v-if="!welcome" class="link" type="button" @click="look">Try again</button>
          </p>
          <v-btn class="act main" type="submit" :disabled="busy || !login || !password">Sign in</v-btn>
        </form>
        <div v-if="welcome && welcome.demoAccounts.length > 0" class="demo">
          <p class="second small">
            This is the demonstration shop; everything in it is made up. One tap signs in; the password is
            <b class="fig">{{ welcome.demoAccounts[0]?.password }}</b>
          </p>
          <div class="accounts">
            <v-btn v-for="a in welcome.demoAccounts" :key="a.login" class="act slim" @click="pick(a)">{{ a.login }}, {{ a.role }}</v-btn>
          </div>
        </div>
      </template>
      <p v-if="insecure" class="problem">
        This page was reached insecurely: this device can neither open without the server nor use its camera.
      </p>
      <p class="small second caution">
        Work on brakes only if you are trained for it, by the vehicle maker’s data and the law of the place. Dauer calculates and records;
        it does not certify.
      </p>
    </div>
  </main>
</template>

<style scoped>
.page {
  min-height: 100vh;
  display: grid;
  place-items: center;
  padding: var(--space-5) var(--space-4);
}
.card {
  width: 100%;
  max-width: 420px;
}
h1 {
  border-bottom: var(--line-drawn) solid var(--ink);
  margin: 20px 0 var(--space-4);
}
.form {
  display: grid;
  gap: var(--space-4);
  margin-top: var(--space-2);
}
.demo {
  margin-top: var(--space-5);
  border-top: var(--line-hair) solid var(--hair);
  padding-top: var(--space-3);
}
.accounts {
  display: flex;
  gap: var(--space-2);
  margin-top: 10px;
  flex-wrap: wrap;
}
.caution {
  margin-top: var(--space-6);
}
</style>
