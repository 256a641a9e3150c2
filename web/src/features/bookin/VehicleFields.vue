<script setup lang="ts">
import { FIGURES, type VehicleDraft } from './vehicleDraft.ts';
import { CLIMATES, COUNTERS, DRIVEN, STORAGES, STORED_ENERGY, USES } from './words.ts';

/** What a vehicle is and how it is used: the same fields when it is booked in and when they are changed. */
defineProps<{ faults: Readonly<Record<string, string>>; units?: boolean }>();
const d = defineModel<VehicleDraft>({ required: true });
</script>

<template>
  <div class="fields">
    <v-text-field v-model="d.tag" label="Tag" :error-messages="faults['tag']" />
    <v-text-field v-model="d.name" v-focus label="Name it goes by" :error-messages="faults['name']" />
    <v-text-field v-model="d.make" label="Make" hint="Empty where nobody knows it" />
    <v-text-field v-model="d.model" label="Model" hint="Empty where nobody knows it" />
    <v-text-field v-model="d.year" label="Year" inputmode="numeric" :error-messages="faults['year']" />
    <template v-if="!units">
      <v-text-field v-model="d.variant" label="Variant" />
      <v-text-field v-model="d.body" label="Body (saloon, coupé …)" />
      <v-select v-model="d.use" label="Use" :items="USES" />
      <v-select v-model="d.climate" label="Climate" :items="CLIMATES" />
      <v-select v-model="d.storage" label="Storage" :items="STORAGES" />
      <v-text-field v-model="d.standsYears" label="Stood, years" inputmode="decimal" :error-messages="faults['standsYears']" />
      <v-select v-model="d.distanceUnit" label="Counter in" :items="COUNTERS" />
      <v-select v-model="d.driven" label="Driven wheels" :items="DRIVEN" />
      <v-select v-model="d.stored" label="Stored energy" :items="STORED_ENERGY" />
    </template>
  </div>
  <details v-if="!units" class="sums">
    <summary>For the sums: masses, wheelbase, tyres</summary>
    <div class="fields">
      <v-text-field
        v-for="f in FIGURES"
        :key="f.key"
        v-model="d[f.key]"
        :label="f.label"
        inputmode="decimal"
        :error-messages="faults[f.key]"
      />
    </div>
  </details>
</template>

<style scoped>
.sums {
  margin-top: var(--space-4);
}
summary {
  color: var(--blue);
  cursor: pointer;
  min-height: 32px;
}
.sums .fields {
  margin-top: var(--space-3);
}
</style>
