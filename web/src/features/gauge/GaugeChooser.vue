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
  <v-dialog v-model="open" max-width="520">
    <div class="dialog">
      <h2>Which gauge</h2>
      <div class="gauges">
        <button v-for="g in items" :key="g.value" class="act" type="button" @click="emit('choose', g.value)">{{ g.title }}</button>
      </div>
      <div class="acts">
        <RouterLink class="link" to="/gauges">The rack</RouterLink>
        <button class="act" type="button" @click="open = false">Close</button>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.gauges {
  display: grid;
  gap: 8px;
}
.gauges .act {
  justify-content: flex-start;
  font: 400 16px/22px var(--text-font);
  text-align: left;
}
</style>
