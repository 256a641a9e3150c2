<script setup lang="ts">
import { waitsLong } from '../app/waiting.ts';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useOutbox } from '../job/outbox/store.ts';
import SearchBox from './SearchBox.vue';
import { useSession } from '../app/session.ts';
import WordMark from '../fittings/WordMark.vue';

const session = useSession();
const outbox = useOutbox();
const route = useRoute();
const inJob = computed(() => typeof route.params['jobId'] === 'string');
/** What a job needs is loaded with the first one that is opened: nobody waits for it who signs in. */
const JobMark = defineAsyncComponent(() => import('./JobMark.vue'));
const RunningClocks = defineAsyncComponent(() => import('./RunningClocks.vue'));
const ShopClocks = defineAsyncComponent(() => import('./ShopClocks.vue'));
const wasInJob = ref(false);
watch(inJob, (now) => (wasInJob.value ||= now), { immediate: true });

const search = ref<InstanceType<typeof SearchBox> | null>(null);
defineExpose({ focusSearch: () => search.value?.focus() });
</script>

<template>
  <header class="top no-print" :data-on-the-way="outbox.storing.size + outbox.unsent" :data-storing="outbox.storing.size">
    <RouterLink class="home" to="/" aria-label="Dauer, to the yard"><WordMark /></RouterLink>
    <span class="shop plate-font">{{ session.shop.name }}</span>
    <div class="middle">
      <JobMark v-if="inJob" />
    </div>
    <div v-if="outbox.loose.size > 0" class="unsent" role="status">
      <b class="fig">{{ outbox.loose.size }}</b>
      on this page only
    </div>
    <div v-else-if="outbox.unsent > 0 || outbox.aside.length > 0" class="unsent" role="status">
      <b class="fig">{{ outbox.unsent + outbox.aside.length }}</b>
      {{ outbox.aside.length > 0 ? 'set aside' : 'kept here, not sent' }}
    </div>
    <div v-else-if="outbox.storing.size > 0" class="unsent late" role="status">
      <b class="fig">{{ outbox.storing.size }}</b>
      not kept yet
    </div>
    <RunningClocks v-if="wasInJob" />
    <ShopClocks :brief="inJob" />
    <SearchBox ref="search" />
    <RouterLink class="who plate-font" to="/shop" :title="`Signed in as ${session.person?.name ?? ''}`">
      {{ session.person?.name.split(' ')[0] }} {{ session.person?.name.split(' ').at(-1)?.[0] }}.
    </RouterLink>
    <v-progress-linear v-if="waitsLong" class="waits" indeterminate height="3" aria-label="Waiting for the server" />
  </header>
</template>

<style scoped>
.waits {
  position: absolute;
  inset: auto 0 0;
  color: var(--blue);
}
.top {
  display: flex;
  align-items: center;
  gap: var(--space-4);
  height: var(--tall);
  padding: 0 var(--space-5);
  background: var(--plate);
  border-bottom: var(--line-hair) solid var(--hair);
  position: relative;
  z-index: 30;
}
.home {
  text-decoration: none;
  display: flex;
  min-height: var(--touch);
  min-width: var(--touch);
  align-items: center;
}
.shop {
  font-size: var(--type-tag);
  color: var(--ink2);
  border-left: var(--line-hair) solid var(--hair);
  padding-left: var(--space-4);
  white-space: nowrap;
}
.middle {
  display: flex;
  align-items: center;
  gap: 14px;
  flex: 1;
  min-width: 0;
  padding-left: var(--space-5);
}
.unsent {
  font-size: var(--type-second);
  line-height: 18px;
  border: var(--line-hair) solid var(--ink);
  padding: var(--space-1) 10px;
  border-radius: var(--corner);
  white-space: nowrap;
}
.who {
  border-left: var(--line-hair) solid var(--hair);
  padding-left: var(--space-4);
  font-size: var(--type-tag);
  color: var(--blue);
  text-decoration: none;
  white-space: nowrap;
  min-height: var(--touch);
  display: flex;
  align-items: center;
}
@media (max-width: 1000px) {
  .shop {
    display: none;
  }
}
@media (max-width: 720px) {
  .top {
    padding: 0 var(--space-3);
    gap: 10px;
  }
  .home :deep(.wordmark) {
    font-size: 0;
    gap: 0;
  }
  .middle {
    padding-left: 0;
    gap: var(--space-2);
  }
  .who {
    padding-left: 10px;
  }
  .unsent {
    flex: 0 0 100px;
    padding: 3px var(--space-2);
    line-height: 16px;
    white-space: normal;
  }
}
/* Storing takes a moment that nobody has to see; a device that takes longer says so. */
.late {
  animation: appear 1ms 400ms both;
}
@keyframes appear {
  from {
    visibility: hidden;
  }
}
</style>
