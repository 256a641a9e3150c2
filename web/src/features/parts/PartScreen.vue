<script setup lang="ts">
import { KIND_FACTS } from '@dauer/core/layout';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { dayText } from '../../fittings/dates.ts';
import { call, sentenceOf } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';
import PartFacts from './PartFacts.vue';
import SamePart from './SamePart.vue';
import TagPlate from '../../fittings/TagPlate.vue';

/** A part and its life: only ever added to. */
const route = useRoute();
const session = useSession();
const router = useRouter();
function corrected(to: string): void {
  void (to === String(route.params['id']) ? refetch() : router.push(`/parts/${to}`));
}
const { data, error, refetch } = useQuery({
  key: () => ['part', String(route.params['id'])],
  query: () => call('part', { params: { id: String(route.params['id']) } }),
});
const whereText = computed(() => {
  if (!data.value) return '';
  const { where, place, vehicleTag } = data.value;
  if (place) return `${WHERE[where]}: ${place.toLowerCase()} of`;
  return vehicleTag ? `${WHERE[where]}; last on` : WHERE[where];
});
const WHERE = { slot: 'Fitted', shelf: 'On the shelf', away: 'Away', scrap: 'Scrapped', missing: 'Missing', unknown: 'Not known' } as const;
</script>

<template>
  <main class="screen">
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <template v-if="data">
      <div class="head">
        <TagPlate v-if="data.part.tag" :tag="data.part.tag" />
        <h1>{{ KIND_FACTS[data.part.kind].name }}</h1>
        <span class="second">{{ data.part.partNumber ? `no. ${data.part.partNumber}` : 'number not known' }}</span>
      </div>
      <p class="where">
        {{ whereText }}
        <RouterLink v-if="data.jobId" :to="`/jobs/${data.jobId}`">{{ data.vehicleTag }} {{ data.vehicleName }}</RouterLink>
      </p>
      <SamePart
        v-if="session.may('technician') && data.jobId"
        :part-id="data.part.id"
        :job-id="data.jobId"
        :kind="data.part.kind"
        :life="data.life"
        @done="corrected"
      />
      <PartFacts
        :facts="data.facts"
        :part-id="data.part.id"
        :job-id="data.jobId"
        :kind="data.part.kind"
        :writable="session.may('technician')"
        @entered="refetch()"
      />
      <h2 class="line">Its life</h2>
      <ol>
        <li v-for="(l, i) in data.life" :key="i">
          <span class="second">{{ dayText(l.at) }}</span>
          <span>
            <b>{{ l.what }}</b>
            <template v-if="l.where">at the {{ l.where.toLowerCase() }}</template>
            <span class="second small">{{ l.by }}</span>
          </span>
        </li>
      </ol>
    </template>
  </main>
</template>

<style scoped>
.where {
  margin: var(--space-3) 0 20px;
}
li {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: var(--space-4);
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
</style>
