<script setup lang="ts">
import { CARDS } from '@dauer/core/catalogue';
import type { ShopCardVersion } from '@dauer/core/ledger';
import { SHOP_CARDS } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { call, sentenceOf } from '../../../app/client.ts';
import { useSession } from '../../../app/session.ts';
import CardEditor from './CardEditor.vue';

/** Every work card, and what this shop does otherwise. */
const session = useSession();
const route = useRoute();
const { data, error, refetch } = useQuery({ key: ['shop-cards'], query: () => call('shopCards'), refetchOnMount: 'always' });
const { data: people } = useQuery({ key: ['people'], query: () => call('people') });
const names = computed(() => new Map((people.value ?? []).map((p) => [p.id, p.name] as const)));
const picked = computed(() => CARDS.find((c) => c.id === route.params['cardId']) ?? null);
const versionsOf = (cardId: string): ShopCardVersion[] => (data.value ?? []).filter((v) => v.cardId === cardId);
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>{{ SHOP_CARDS.title }}</h1>
      <span class="second">{{ SHOP_CARDS.about }}</span>
    </div>
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <div class="two">
      <RouterLink v-if="picked" class="link all" to="/cards">{{ SHOP_CARDS.all }}</RouterLink>
      <nav :aria-label="SHOP_CARDS.title" :class="{ picked: picked !== null }">
        <RouterLink
          v-for="c in CARDS"
          :key="c.id"
          class="pick"
          :to="`/cards/${c.id}`"
          :aria-current="picked?.id === c.id ? 'page' : undefined"
        >
          {{ c.name }}
          <span v-if="versionsOf(c.id).length > 0" class="second small">{{ SHOP_CARDS.ours(versionsOf(c.id).length) }}</span>
        </RouterLink>
      </nav>
      <CardEditor
        v-if="picked && data"
        :key="picked.id"
        :work="picked"
        :versions="versionsOf(picked.id)"
        :names="names"
        :writable="session.may('lead')"
        @changed="refetch()"
      />
      <p v-else-if="!picked && route.params['cardId']" class="problem" role="alert">{{ SHOP_CARDS.noSuch }}</p>
    </div>
  </main>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  gap: var(--space-5);
  margin-top: var(--space-4);
}
nav {
  display: flex;
  flex-direction: column;
  align-self: start;
}
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-2);
  align-items: center;
  min-height: var(--touch);
  padding: 0 var(--space-3);
  border-bottom: var(--line-hair) solid var(--hair);
  color: var(--blue);
  text-decoration: none;
}
.pick[aria-current='page'] {
  background: var(--blue-tint);
  box-shadow: inset var(--line-chosen) 0 0 var(--blue);
  color: var(--ink);
}
.all {
  display: none;
}
@media (max-width: 720px) {
  .all {
    display: inline-flex;
  }
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  nav.picked .pick:not([aria-current='page']) {
    display: none;
  }
}
</style>
