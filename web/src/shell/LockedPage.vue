<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import { call } from '../app/client.ts';
import { useRequest } from '../app/request.ts';
import { useSession } from '../app/session.ts';
import { useOutbox } from '../job/outbox/store.ts';

/** Nobody works on this page just now: asked for in place, so that nothing typed is lost to whom it belongs. */
const session = useSession();
const outbox = useOutbox();
const router = useRouter();
const PinPad = defineAsyncComponent(() => import('../features/shop/PinPad.vue'));
const login = ref('');
const password = ref('');
const { run, busy, problem } = useRequest();
const whose = session.person?.name ?? '';
const words = computed(() => {
  switch (session.lock?.why) {
    case 'other':
      return {
        title: `${session.lock.name} is signed in here`,
        text: `This page is ${whose}’s: nothing on it goes into the book under another name, and what was taken is kept here for ${whose}.`,
      };
    case 'out':
      return { title: 'Signed out', text: `${whose} signed out on this device. What was taken and not sent is kept here for ${whose}.` };
    default:
      return {
        title: 'Sign in again',
        text: 'Your session has ended. What you typed is still there, and what you took is kept here.',
      };
  }
});
const tablet = ref<Awaited<ReturnType<typeof call<'onTablet'>>> | null>(null);
void call('onTablet')
  .then((t) => (tablet.value = t))
  .catch(() => undefined);
async function go(): Promise<void> {
  await run(async () => {
    await session.signIn(login.value, password.value);
    void outbox.flush();
  });
}
/** Leaves what stands on this page, and begins with whoever is signed in. */
function leave(): void {
  window.location.assign(router.resolve('/').href);
}
</script>

<template>
  <v-dialog :model-value="true" persistent max-width="440" aria-labelledby="locked-title">
    <div class="dialog col">
      <h2 id="locked-title">{{ words.title }}</h2>
      <p>{{ words.text }}</p>
      <PinPad v-if="tablet?.tablet && tablet.people.length > 0" :tablet="tablet.tablet.name" :people="tablet.people" @in="outbox.flush()" />
      <form class="col" @submit.prevent="go">
        <v-text-field v-model="login" v-focus="!tablet?.tablet" label="Name" autocomplete="username" />
        <v-text-field v-model="password" label="Password" type="password" autocomplete="current-password" />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <div class="acts">
          <v-btn v-if="session.lock?.why !== 'ended'" class="act" @click="leave">
            {{ session.lock?.why === 'other' ? `Go on as ${session.lock.name}` : 'Leave this page' }}
          </v-btn>
          <v-btn class="act main" type="submit" :disabled="busy">Sign in</v-btn>
        </div>
      </form>
    </div>
  </v-dialog>
</template>

<style scoped>
.col {
  display: grid;
  gap: var(--space-4);
}
</style>
