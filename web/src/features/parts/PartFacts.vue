<script setup lang="ts">
import type { Sent } from '@dauer/contract';
import { identityFact, identityOf } from '@dauer/core/catalogue';
import type { ComponentKind } from '@dauer/core/layout';
import { knownWords } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { dayText } from '../../fittings/dates.ts';

/** What a part is known by: figures that a new one is held against, where it is from, what it is made of. */
interface Told {
  readonly fact: string;
  readonly typed: string;
  readonly value: number | null;
  readonly at: string;
  readonly by: string;
}
const props = defineProps<{ facts: readonly Told[]; partId: string; jobId: string | null; kind: ComponentKind; writable: boolean }>();
const emit = defineEmits<{ entered: [] }>();
const { run, busy, problem } = useRequest();
const shown = computed(() =>
  props.facts.flatMap((f) => {
    const fact = identityFact(f.fact);
    return fact ? [{ ...f, name: fact.name, words: knownWords(fact, { typed: f.typed, value: f.value }) }] : [];
  }),
);
const known = computed(() => [...identityOf(props.kind), ...identityOf(props.kind, false)].filter((f) => f.id !== 'outline'));
const unit = (form: string): Sent<'partFacts'>['unit'] => (form === 'length' ? 'mm' : form === 'degrees' ? 'degC' : null);
const fact = ref<string | null>(null);
const typed = ref('');
const picked = computed(() => known.value.find((f) => f.id === fact.value) ?? null);
async function tell(): Promise<void> {
  const of = picked.value;
  const { jobId } = props;
  if (!of || jobId === null || typed.value.trim() === '') return;
  await run(async () => {
    await call('recordPartFact', {
      params: { jobId },
      body: {
        ...{ id: v7(), happenedAt: timeNow().at, device: 'desk', fact: of.id, slotId: null, partId: props.partId },
        ...{ typed: typed.value.trim(), unit: unit(of.form) },
      },
    });
    typed.value = '';
    fact.value = null;
    emit('entered');
  });
}
</script>

<template>
  <section aria-label="What it is known by">
    <h2 class="line">What it is known by</h2>
    <ul v-if="shown.length > 0" class="facts">
      <li v-for="f in shown" :key="f.fact">
        <span class="second">{{ f.name }}</span>
        <b class="fig">{{ f.words }}</b>
        <span class="second small">{{ f.by }}, {{ dayText(f.at) }}</span>
      </li>
    </ul>
    <p v-else class="second">Nothing yet: a new one can be held against nothing.</p>
    <form v-if="writable && jobId !== null" class="tell" @submit.prevent="tell">
      <v-select v-model="fact" label="What" :items="known.map((f) => ({ value: f.id, title: f.name }))" @update:model-value="typed = ''" />
      <v-select
        v-if="picked?.form === 'choice'"
        v-model="typed"
        label="Which"
        :items="Object.entries(picked.choices).map(([value, title]) => ({ value, title }))"
      />
      <v-text-field
        v-else-if="picked"
        v-model="typed"
        :label="picked.form === 'length' ? 'Figure, mm' : picked.form === 'degrees' ? '°C' : 'What'"
      />
      <v-btn v-if="picked" class="act" type="submit" :loading="busy" :disabled="typed.trim() === ''">Say it</v-btn>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </form>
  </section>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 0 var(--space-5);
}
.facts li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 var(--space-3);
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.facts .small {
  grid-column: 1 / -1;
}
.tell {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-3) 0;
}
.tell > :deep(.v-input) {
  flex: 0 1 260px;
}
</style>
