<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { silentSince } from '../app/heard.ts';
import { jobKeptSince, keptSince } from '../app/kept.ts';
import { useSession } from '../app/session.ts';
import { whenText } from '../fittings/dates.ts';
import { useOutbox } from '../job/outbox/store.ts';
import { loadNewer, newer, untrusted } from './shell.ts';

/** What this page has to say of its server and its device: how old what it shows is, what is not sent, what it cannot do. */
const session = useSession();
const route = useRoute();
const outbox = useOutbox();
const here = computed(() => session.person !== null && !session.lock);
/** A server that only starts anew is no news. */
const SOON_BACK_MS = 3000;
const stillSilent = refDebounced(silentSince, SOON_BACK_MS);
/** The yard alone shows what was kept; the other rooms show what they had read, or that they could not. */
const showsKept = computed(() => keptSince.value !== null && route.path === '/');
/** Since when what stands here is not known to be so; null while it is, and where what was kept says how old it is itself. */
const silentAt = computed(() => {
  const { value: since } = silentSince;
  const saysItself = typeof route.params['jobId'] === 'string' ? jobKeptSince.value !== null : showsKept.value;
  return since === null || stillSilent.value === null || saysItself ? null : new Date(since).toISOString();
});
/** What is kept here and not sent yet; nothing of what the page alone holds. */
const unsentWords = computed(() => {
  const n = outbox.unsent - outbox.loose.size;
  return n > 0 ? ` ${n} kept here; sent as soon as it answers.` : '';
});
const keptAt = computed(() => new Date(keptSince.value ?? 0).toISOString());
const insecure = !window.isSecureContext;
</script>

<template>
  <p v-if="insecure" class="problem says no-print">
    This page was reached insecurely: this tablet cannot keep readings safely through a power cut, use the camera or open without the
    server.
  </p>
  <p v-if="showsKept && here" class="problem says no-print" role="status">
    The server is away. This is what this device kept {{ whenText(keptAt) }}.
  </p>
  <p v-if="silentAt !== null && here" class="problem says no-print" role="status">
    The server was last heard {{ whenText(silentAt) }}: what stands here is of then.{{ unsentWords }}
  </p>
  <p v-if="untrusted" class="problem says no-print">
    This device does not trust the shop’s certificate: it cannot open Dauer without the server. Install the authority as
    <RouterLink to="/shop">Shop, Add a tablet</RouterLink>
    says, and load this page anew.
  </p>
  <p v-if="newer" class="problem says no-print" role="status">
    A newer version of Dauer is here.
    <button class="link" type="button" @click="loadNewer">Load it</button>
  </p>
  <p v-if="outbox.loose.size > 0" class="problem says no-print" role="alert">
    This device cannot store what is taken: {{ outbox.loose.size }} {{ outbox.loose.size === 1 ? 'is' : 'are' }} on this page only. Keep it
    open until {{ outbox.loose.size === 1 ? 'it is' : 'they are' }} sent.
  </p>
  <p v-if="silentAt === null && outbox.trouble && outbox.unsent > outbox.loose.size" class="problem says no-print" role="status">
    {{ outbox.trouble }}{{ unsentWords }}
  </p>
  <p v-else-if="silentAt === null && outbox.trouble && outbox.unsent > 0" class="problem says no-print" role="status">
    {{ outbox.trouble }}
  </p>
</template>
