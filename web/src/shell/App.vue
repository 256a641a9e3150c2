<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { focusWork, keepFocus, walkGroups } from '../app/focusKeeper.ts';
import { useGlobalKeys } from '../app/keys.ts';
import { listen, whenRefused } from '../app/live.ts';
import ServerSays from './ServerSays.vue';
import { askForDurableStorage } from '../app/durable.ts';
import { useSession } from '../app/session.ts';
import NoticeBar from './NoticeBar.vue';
import { keepShell, whenIdle } from './shell.ts';
import AppHeader from './AppHeader.vue';

/** What no first look at a page needs comes in once it was had, and is there when it is wanted, also without the server. */
const load = {
  keys: () => import('./KeyList.vue'),
  lock: () => import('./LockedPage.vue'),
  aside: () => import('./SetAside.vue'),
  tags: () => import('./TagScan.vue'),
};
const [KeyList, LockedPage] = [defineAsyncComponent(load.keys), defineAsyncComponent(load.lock)];
const [SetAside, TagScan] = [defineAsyncComponent(load.aside), defineAsyncComponent(load.tags)];
const shown = shallowRef(false);
const router = useRouter();
onMounted(async () => {
  await router.isReady();
  whenIdle(() => {
    shown.value = true;
    void load.lock().catch(() => undefined);
    keepShell();
  });
});

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
    <TagScan v-if="shown && session.person && !session.lock" />
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
    <SetAside v-if="shown && session.person && !session.lock" />
    <div id="work" ref="work" class="work" :class="{ locked: session.lock }"><RouterView /></div>
    <LockedPage v-if="session.lock" />
    <KeyList v-if="shown" />
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
