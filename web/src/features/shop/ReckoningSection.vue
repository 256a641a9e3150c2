<script setup lang="ts">
import { newestVersion, type RatesVersion } from '@dauer/core/ledger';
import { majorOf, moneyText, parseMinor } from '@dauer/core/quantity';
import { useQuery } from '@pinia/colada';
import { computed, ref, watch } from 'vue';
import { v7 } from 'uuid';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import HouseRules from './HouseRules.vue';

/** What an hour, a day, postage and tax are reckoned with, and the schools that the shop follows. */
const session = useSession();
const lead = computed(() => session.may('lead'));
const { data, error, refetch } = useQuery({ key: ['reckoning'], query: () => call('reckoning') });
void refetch();
const { run, busy, problem } = useRequest();
const now = computed<RatesVersion | null>(() => newestVersion(data.value?.rates ?? []));
const currency = computed(() => session.shop.currency);
const FIELDS = [
  ['hourly', 'An attended hour, net'],
  ['bayADay', 'A blocked bay, a working day'],
  ['shipping', 'Postage of an order, net'],
  ['towing', 'A vehicle towed back, net'],
] as const;
const f = ref<Record<string, string>>({});
const sum = (minor: number): string => moneyText(majorOf(minor, currency.value), null);
watch(
  now,
  (r) => {
    f.value = {
      ...Object.fromEntries(FIELDS.map(([k]) => [k, r ? sum(r[k]) : ''])),
      hoursADay: r ? String(r.hoursADay) : '6',
      standard: r ? String(r.standardPermille / 10) : '',
      reduced: r ? String(r.reducedPermille / 10) : '0',
      reason: '',
    };
  },
  { immediate: true },
);
const typed = (key: string): string => (f.value[key] ?? '').trim().replace(',', '.');
function number(key: string, what: string): number {
  const n = Number(typed(key));
  if (typed(key) === '' || !Number.isFinite(n) || n < 0) throw new Error(`“${f.value[key] ?? ''}” is no figure for ${what}.`);
  return n;
}
async function enter(): Promise<void> {
  await run(async () => {
    const money = (key: string): number => ((f.value[key] ?? '').trim() === '' ? 0 : parseMinor(f.value[key] ?? '', currency.value));
    await call('enterRates', {
      body: {
        ...{ id: v7(), hourly: money('hourly'), bayADay: money('bayADay'), shipping: money('shipping'), towing: money('towing') },
        hoursADay: number('hoursADay', 'the hours of a day'),
        standardPermille: Math.round(number('standard', 'the tax') * 10),
        reducedPermille: Math.round(number('reduced', 'the reduced tax') * 10),
        reason: (f.value['reason'] ?? '').trim(),
      },
    });
    await refetch();
  });
}
</script>

<template>
  <section>
    <h2>What is reckoned with</h2>
    <p v-if="error || problem" class="problem" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p class="second small">
      {{
        now
          ? `Since ${dayText(now.enteredAt)}. Prices of the book are net; what an owner is shown has tax.`
          : 'Until an hourly rate is said, Decide reckons no labour.'
      }}
    </p>
    <form class="rates" @submit.prevent="enter">
      <v-text-field
        v-for="[key, label] in FIELDS"
        :key="key"
        v-model="f[key]"
        density="compact"
        inputmode="decimal"
        :label="label"
        :readonly="!lead"
      />
      <v-text-field v-model="f['hoursADay']" density="compact" inputmode="decimal" label="Hours a vehicle gets a day" :readonly="!lead" />
      <v-text-field v-model="f['standard']" density="compact" inputmode="decimal" label="Tax, per cent" :readonly="!lead" />
      <v-text-field v-model="f['reduced']" density="compact" inputmode="decimal" label="Reduced tax, per cent" :readonly="!lead" />
      <template v-if="lead">
        <v-text-field v-model="f['reason']" density="compact" label="Why it is changed" />
        <v-btn
          class="act"
          type="submit"
          :loading="busy"
          :disabled="(f['hourly'] ?? '').trim() === '' || (f['standard'] ?? '').trim() === ''"
        >
          Reckon so from now on
        </v-btn>
      </template>
    </form>
    <HouseRules :versions="data?.houseRules ?? []" :writable="lead" @changed="refetch()" />
  </section>
</template>

<style scoped>
section {
  margin-top: var(--space-5);
}
h2 {
  padding-bottom: 6px;
  border-bottom: var(--line-hair) solid var(--slate);
}
.rates {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: var(--space-2) var(--space-3);
  align-items: start;
  padding-top: var(--space-3);
}
</style>
