<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { focusWork, keepFocus, walkGroups } from '../app/focusKeeper.ts';
import { KEYS, keyList, useGlobalKeys } from '../app/keys.ts';
import { listen, whenRefused } from '../app/live.ts';
import LockedPage from './LockedPage.vue';
import ServerSays from './ServerSays.vue';
import SetAside from './SetAside.vue';
import { askForDurableStorage } from '../app/durable.ts';
import { useSession } from '../app/session.ts';
import NoticeBar from './NoticeBar.vue';
import AppHeader from './AppHeader.vue';
import TagScan from './TagScan.vue';

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
  ['/due', 'Due'],
  ['/parts', 'Parts'],
  ['/limits', 'Limits'],
  ['/gauges', 'Gauges'],
  ['/shop', 'Shop'],
] as const;
const inJob = computed(() => typeof route.params['jobId'] === 'string');
const isHere = (to: string): boolean => (to === '/' ? route.path === '/' : route.path.startsWith(to));
</script>

<template>
  <v-app>
    <a class="skip" href="#work" @click.prevent="toWork">To the work</a>
    <AppHeader v-if="session.person" ref="top" />
    <TagScan v-if="session.person && !session.lock" />
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
    <ServerSays />
    <NoticeBar v-if="session.person && !session.lock" />
    <SetAside v-if="session.person && !session.lock" />
    <div id="work" ref="work" class="work" :class="{ locked: session.lock }"><RouterView /></div>
    <LockedPage v-if="session.lock" />
    <v-dialog v-model="keyList" aria-labelledby="app-title" max-width="780">
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
}
</style>
