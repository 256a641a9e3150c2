<script setup lang="ts">
import { ref } from 'vue';
import { sentenceOf } from '../app/client.ts';
import { useOutbox } from '../job/outbox/store.ts';
import { useSession } from '../app/session.ts';

/** The session ended in the middle of work: asked for in place, so that nothing typed is lost. */
const session = useSession();
const outbox = useOutbox();
const login = ref('');
const password = ref('');
const problem = ref('');
async function go(): Promise<void> {
  problem.value = '';
  try {
    await session.signIn(login.value, password.value);
    void outbox.flush();
  } catch (error) {
    problem.value = sentenceOf(error);
  }
}
</script>

<template>
  <v-dialog :model-value="true" persistent max-width="440">
    <form class="dialog col" @submit.prevent="go">
      <h2>Sign in again</h2>
      <p>Your session has ended. What you typed is still there, and what you took is kept here.</p>
      <v-text-field v-model="login" v-focus label="Name" autocomplete="username" />
      <v-text-field v-model="password" label="Password" type="password" autocomplete="current-password" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts"><button class="act main" type="submit">Sign in</button></div>
    </form>
  </v-dialog>
</template>
