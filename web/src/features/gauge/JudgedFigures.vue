<script setup lang="ts">
import type { Measurement, MeasurementId } from '@dauer/core/catalogue';
import type { Component, Judged } from '@dauer/core/judging';
import type { Taken } from '@dauer/core/metrology';
import WearRule from '../../fittings/WearRule.vue';
import MeaningPanel from './MeaningPanel.vue';
import type { Noted } from './useBenchFigures.ts';

/** What the figures say: each on its rule, what is only written down, and one paragraph on what it means. */
defineProps<{
  component: Component;
  measurement: Measurement;
  inTab: readonly Judged[];
  others: readonly Judged[];
  noted: readonly Noted[];
  missing: readonly string[];
  taken: readonly Taken[];
  standing: Taken | null;
  inch: boolean;
  /** A second measure shows nothing of the first. */
  blind: boolean;
  tab: MeasurementId | 'eye';
}>();
/** Whether the figure is one of the readings, so that they can stand on its rule. */
const single = (j: Judged): boolean => ['least', 'greatest', 'at'].includes(j.characteristic.reduction.op);
</script>

<template>
  <div class="judged">
    <div>
      <p v-if="taken.length === 0 && (!component.empty || component.bench)" class="how second">{{ measurement.how }}</p>
      <WearRule
        v-for="j in inTab"
        :key="j.characteristic.id"
        :judged="j"
        :inch="inch"
        :readings="single(j) ? taken.map((t) => t.value) : undefined"
        :live="standing && single(j) ? standing.value : null"
      />
      <p v-if="noted.length > 0" class="noted">
        <span v-for="n in noted" :key="n.characteristic.id">
          {{ n.characteristic.short }}
          <span class="fig fig-b">{{ n.text }}</span>
        </span>
      </p>
      <WearRule v-for="j in others" :key="`o${j.characteristic.id}`" :judged="j" :inch="inch" />
    </div>
    <MeaningPanel
      v-if="(!component.empty || component.bench) && !blind"
      :judged="[...inTab, ...others]"
      :component="component"
      :missing="missing"
      :taken="taken"
      :pads="tab === 'pad_lining'"
    />
  </div>
</template>

<style scoped>
.judged {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 232px;
  gap: 20px;
  align-items: start;
}
.how {
  font-size: var(--type-paragraph);
  line-height: 21px;
  margin: var(--space-1) 0 var(--space-3);
  max-width: 70ch;
}
.noted {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-5);
  margin: var(--space-1) 0 var(--space-3);
  font-size: var(--type-paragraph);
}
@media (max-width: 1080px) {
  .judged {
    grid-template-columns: 1fr;
  }
}
</style>
