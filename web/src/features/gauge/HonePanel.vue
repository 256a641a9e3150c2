<script setup lang="ts">
import { honingWords, houseSays, METAL_NAME } from '@dauer/core/wording';
import { type Component, honing } from '@dauer/core/judging';
import type { BoreMaterial } from '@dauer/core/catalogue';
import { followedIn } from '@dauer/core/ledger';
import { fixed } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';

/** What a cylinder's bore and its pits allow: use, a light hone, or a sleeve. */
const props = defineProps<{ component: Component }>();
const job = useOpenJob();
/** Until somebody says otherwise it is a metal that is never honed. */
const material = ref<BoreMaterial>('aluminium');
const METALS = (['aluminium', 'iron', 'steel'] as const).map((value) => ({ value, label: METAL_NAME[value] }));
const found = computed(() => honing(job.history, props.component.slot, material.value));
const figures = computed(() => {
  const r = found.value?.result;
  if (!r) return '';
  const honed =
    r.afterHone === null
      ? ''
      : `; honed clean the bore would be ${fixed(r.afterHone, 3)} mm with a clearance of ${fixed(r.clearanceAfterHone ?? 0, 3)} mm`;
  const none = found.value?.honeTo === null ? ' No hone-to figure on file.' : '';
  return `Worn by ${fixed(r.wear, 3)} mm, clearance ${fixed(r.clearance, 3)} mm${honed}.${none}`;
});
</script>

<template>
  <section v-if="found" class="working">
    <h2>Use, hone or sleeve?</h2>
    <ChoiceRow v-model="material" :options="METALS" label="Metal of the bore" />
    <p class="advice">{{ honingWords(found) }} {{ houseSays('bores', followedIn(job.records)) }}</p>
    <p v-if="found.result" class="second small">{{ figures }}</p>
  </section>
</template>
