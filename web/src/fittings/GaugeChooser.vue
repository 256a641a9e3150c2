<script setup lang="ts">
import { figure } from '@dauer/core/quantity';
import { GAUGE_UNIT } from '@dauer/core/catalogue';
import type { GaugeVersion } from '@dauer/core/ledger';
import { roundedUp, tellsApart } from '@dauer/core/metrology';
import { computed } from 'vue';

/** Which gauge of the rack the next readings are taken with. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ gauges: readonly GaugeVersion[] }>();
const emit = defineEmits<{ choose: [gaugeId: string] }>();
const items = computed(() => [
  ...props.gauges
    .filter((g) => GAUGE_UNIT[g.kind] === 'mm')
    .map((g) => ({ title: `${g.tag}  ${g.name}, tells ${figure(roundedUp(tellsApart(g)))} mm apart`, value: g.gaugeId })),
  { title: 'No gauge named (generic accuracy)', value: 'none' },
]);
</script>

<template>
  <v-dialog v-model="open" aria-labelledby="gauge-chooser-title" max-width="520">
    <div class="dialog">
      <h2 id="gauge-chooser-title">Which gauge</h2>
      <div class="gauges">
        <v-btn v-for="g in items" :key="g.value" class="act" @click="emit('choose', g.value)">{{ g.title }}</v-btn>
      </div>
      <div class="acts">
        <RouterLink class="link" to="/gauges">The rack</RouterLink>
        <v-btn class="act" @click="open = false">Close</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.gauges {
  display: grid;
  gap: var(--space-2);
}
.gauges .act {
  justify-content: flex-start;
  font: 400 var(--type-body)/22px var(--text-font);
  text-align: left;
}
</style>
