<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { focusWork, keepFocus, walkGroups } from '../app/focusKeeper.ts';
import { KEYS, keyList, useGlobalKeys } from '../app/keys.ts';
import { listen, whenRefused } from '../app/live.ts';
import LockedPage from './LockedPage.vue';
import SetAside from './SetAside.vue';
import { useOutbox } from '../job/outbox/store.ts';
import { askForDurableStorage } from '../app/durable.ts';
import { silentSince } from '../app/heard.ts';
import { jobKeptSince, keptSince } from '../app/kept.ts';
import { whenText } from '../fittings/dates.ts';
import { useSession } from '../app/session.ts';
import NoticeBar from './NoticeBar.vue';
import { loadNewer, newer, untrusted } from './shell.ts';
import AppHeader from './AppHeader.vue';

const session = useSession();
watch(
  () => (session.lock ? null : (session.person?.id ?? null)),
  (id) => listen(id),
  { immediate: true },
);
watch(
  () => session.person !== null,
  (here) => {
    if (here) void askForDurableStorage();
  },
  { immediate: true },
);
whenRefused(() => void session.resume());
const outbox = useOutbox();
const route = useRoute();
const top = ref<InstanceType<typeof AppHeader> | null>(null);
useGlobalKeys(() => top.value?.focusSearch());
const work = ref<HTMLElement | null>(null);
const ends = [keepFocus(), walkGroups()];
onBeforeUnmount(() => {
  for (const end of ends) end();
});
/** What came is read from its heading, wherever it was opened from. */
function toWork(): void {
  if (work.value) focusWork(work.value);
}
watch(() => route.path, toWork);
const NAV = [
  ['/', 'Yard'],
  ['/parts', 'Parts'],
  ['/limits', 'Limits'],
  ['/gauges', 'Gauges'],
  ['/shop', 'Shop'],
] as const;
const inJob = computed(() => typeof route.params['jobId'] === 'string');
/** A server that only starts anew is no news. */
const SOON_BACK_MS = 3000;
const stillSilent = refDebounced(silentSince, SOON_BACK_MS);
/** The yard alone shows what was kept; the other rooms show what they had read, or that they could not. */
const showsKept = computed(() => keptSince.value !== null && route.path === '/');
/** Since when what stands here is not known to be so; null while it is, and where what was kept says how old it is itself. */
const silentAt = computed(() => {
  const { value: since } = silentSince;
  const saysItself = inJob.value ? jobKeptSince.value !== null : showsKept.value;
  return since === null || stillSilent.value === null || saysItself ? null : new Date(since).toISOString();
});
/** What is kept here and not sent yet; nothing of what the page alone holds. */
const unsentWords = computed(() => {
  const n = outbox.unsent - outbox.loose.size;
  return n > 0 ? ` ${n} kept here; sent as soon as it answers.` : '';
});
const keptAt = computed(() => new Date(keptSince.value ?? 0).toISOString());
const insecure = !window.isSecureContext;
const isHere = (to: string): boolean => (to === '/' ? route.path === '/' : route.path.startsWith(to));
</script>

<template>
  <v-app>
    <a class="skip" href="#work" @click.prevent="toWork">To the work</a>
    <AppHeader v-if="session.person" ref="top" />
    <nav v-if="session.person && !inJob" class="nav no-print" aria-label="Rooms of the shop">
      <RouterLink
        v-for="[to, label] in NAV"
        :key="to"
        :to="to"
        :class="{ here: isHere(to) }"
        :aria-current="isHere(to) ? 'page' : undefined"
      >
        {{ label }}
      </RouterLink>
    </nav>
    <p v-if="insecure" class="problem no-print">
      This page was reached insecurely: this tablet cannot keep readings safely through a power cut, use the camera or open without the
      server.
    </p>
    <p v-if="showsKept && session.person && !session.lock" class="problem no-print" role="status">
      The server is away. This is what this device kept {{ whenText(keptAt) }}.
    </p>
    <p v-if="silentAt !== null && session.person && !session.lock" class="problem no-print" role="status">
      The server was last heard {{ whenText(silentAt) }}: what stands here is of then.{{ unsentWords }}
    </p>
    <NoticeBar v-if="session.person && !session.lock" />
    <p v-if="untrusted" class="problem no-print">
      This device does not trust the shop’s certificate: it cannot open Dauer without the server. Install the authority as
      <RouterLink to="/shop">Shop, Add a tablet</RouterLink>
      says, and load this page anew.
    </p>
    <p v-if="newer" class="problem no-print" role="status">
      A newer version of Dauer is here.
      <button class="link" type="button" @click="loadNewer">Load it</button>
    </p>
    <p v-if="outbox.loose.size > 0" class="problem no-print" role="alert">
      This device cannot store what is taken: {{ outbox.loose.size }} {{ outbox.loose.size === 1 ? 'is' : 'are' }} on this page only. Keep
      it open until {{ outbox.loose.size === 1 ? 'it is' : 'they are' }} sent.
    </p>
    <p v-if="silentAt === null && outbox.trouble && outbox.unsent > outbox.loose.size" class="problem no-print" role="status">
      {{ outbox.trouble }}{{ unsentWords }}
    </p>
    <p v-else-if="silentAt === null && outbox.trouble && outbox.unsent > 0" class="problem no-print" role="status">{{ outbox.trouble }}</p>
    <SetAside v-if="session.person && !session.lock" />
    <div id="work" ref="work" class="work" :class="{ locked: session.lock }"><RouterView /></div>
    <LockedPage v-if="session.lock" />
    <v-dialog v-model="keyList" aria-labelledby="app-title" max-width="560">
      <div class="dialog" role="document">
        <h2 id="app-title">Keys</h2>
        <table>
          <tbody>
            <tr v-for="k in KEYS" :key="k.keys">
              <td class="fig keys">{{ k.keys }}</td>
              <td>{{ k.does }}</td>
            </tr>
          </tbody>
        </table>
        <div class="acts"><v-btn class="act" @click="keyList = false">Close</v-btn></div>
      </div>
    </v-dialog>
  </v-app>
</template>

<style scoped>
.nav {
  display: flex;
  height: var(--strip);
  padding: 0 var(--space-5);
  background: var(--plate);
  border-bottom: var(--line-hair) solid var(--hair);
  overflow-x: auto;
}
.nav a {
  display: flex;
  align-items: center;
  padding: 3px 20px 0;
  font: 600 var(--type-tab)/var(--leading) var(--plate-font);
  color: var(--blue);
  text-decoration: none;
  border-bottom: var(--line-chosen) solid transparent;
}
.nav .here {
  background: var(--blue-tint);
  color: var(--ink);
  border-bottom-color: var(--blue);
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 99;
  background: var(--plate);
  padding: var(--space-2);
}
.problem {
  margin: var(--space-2) var(--space-5);
}
.keys {
  white-space: nowrap;
  width: 170px;
}
.work {
  display: contents;
}
/* Whoever comes to a locked page reads nothing of the book, and what stood there comes back as it was. */
.locked > :deep(*) {
  visibility: hidden;
}
@media (max-width: 720px) {
  .nav {
    padding: 0;
  }
  .nav a {
    padding: 3px 14px 0;
  }
  .problem {
    margin: var(--space-2) var(--space-3);
  }
}
</style>
