<script setup lang="ts">
import { IDENTITY_FIGURES } from '@dauer/core/catalogue';
import { KIND_FACTS } from '@dauer/core/layout';
import { computed, ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import TagPlate from '../../fittings/TagPlate.vue';

/** Finds parts and articles by a figure: a bore, a height, a bolt circle, with how much it may differ. */
const fact = ref('bore');
const typed = ref('');
const by = ref('0.5');
const { run, busy, problem } = useRequest();
type Found = Awaited<ReturnType<typeof call<'findByFigure'>>>;
const found = ref<Found | null>(null);
const wrong = computed(() => (/^\d+([.,]\d+)?$/.test(by.value.trim()) ? '' : 'Type how much it may differ, like 0.5.'));
async function find(): Promise<void> {
  if (typed.value.trim() === '' || wrong.value !== '') return;
  found.value = null;
  await run(async () => {
    found.value = await call('findByFigure', {
      query: { fact: fact.value, typed: typed.value.trim(), by: Number(by.value.trim().replace(',', '.')) },
    });
  });
}
</script>

<template>
  <details class="figures">
    <summary>Find by a figure</summary>
    <form class="ask" @submit.prevent="find">
      <v-select v-model="fact" label="Which" :items="IDENTITY_FIGURES.map((f) => ({ value: f.id, title: f.name }))" />
      <v-text-field v-model="typed" label="Figure" placeholder="28.58 mm" />
      <v-text-field v-model="by" label="May differ by, mm" inputmode="decimal" :error-messages="wrong" />
      <v-btn class="act" type="submit" :loading="busy" :disabled="typed.trim() === '' || wrong !== ''">Find</v-btn>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="found">
      <ul v-if="found.parts.length + found.articles.length > 0">
        <li v-for="p in found.parts" :key="p.part.id">
          <RouterLink :to="`/parts/${p.part.id}`">
            <TagPlate v-if="p.part.tag" :tag="p.part.tag" small />
            <template v-else>{{ KIND_FACTS[p.part.kind].name }}</template>
          </RouterLink>
          <b class="fig">{{ p.typed }}</b>
          <span>{{ p.place ?? KIND_FACTS[p.part.kind].name }}</span>
          <span class="second small">{{ p.vehicleTag }} {{ p.vehicleName }}</span>
        </li>
        <li v-for="a in found.articles" :key="a.seriesId">
          <span>{{ a.name }}</span>
          <b class="fig">{{ a.typed }}</b>
          <span class="fig">{{ a.partNumber }}</span>
          <span class="second small">of the price book</span>
        </li>
      </ul>
      <p v-else class="second">Nothing on record has such a figure.</p>
    </template>
  </details>
</template>

<style scoped>
.figures summary {
  cursor: pointer;
  min-height: var(--touch);
  align-content: center;
  color: var(--blue);
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
}
.ask > :deep(.v-input) {
  flex: 0 1 220px;
}
li {
  display: grid;
  grid-template-columns: 160px 120px minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--space-3);
  align-items: center;
  min-height: var(--touch);
  border-bottom: var(--line-hair) solid var(--hair);
}
@media (max-width: 560px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
