<script setup lang="ts">
import { v7 } from 'uuid';
import { ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { CALIBRATION_RESULTS } from './results.ts';
import DayField from '../../fittings/DayField.vue';

/** A calibration as its certificate has it; the gauge gets its next due date by it. */
const props = defineProps<{ gaugeId: string; unit: string; read: (text: string) => number }>();
const emit = defineEmits<{ done: [] }>();
const { run, busy, problem } = useRequest();
const today = new Date().toISOString();
const cal = ref({ on: today.slice(0, 10), by: '', result: 'good' as 'good' | 'adjusted' | 'out', offBy: '', certificate: '', nextDue: '' });
async function calibrate(): Promise<void> {
  await run(async () => {
    const { on, by, result, offBy, certificate, nextDue } = cal.value;
    await call('calibrate', {
      params: { id: props.gaugeId },
      body: {
        id: v7(),
        versionId: v7(),
        on,
        by,
        result,
        certificate,
        offBy: offBy.trim() === '' ? null : props.read(offBy),
        nextDue: nextDue || null,
      },
    });
    emit('done');
  });
}
</script>

<template>
  <form class="plate form" @submit.prevent="calibrate">
    <h2 class="line">A calibration</h2>
    <div class="fields">
      <DayField v-model="cal.on" label="On" />
      <v-text-field v-model="cal.by" label="Done by" />
      <v-select v-model="cal.result" label="Found" :items="CALIBRATION_RESULTS" />
      <v-text-field v-model="cal.offBy" :label="`It was off by (${unit})`" inputmode="decimal" />
      <v-text-field v-model="cal.certificate" label="Certificate" />
      <DayField v-model="cal.nextDue" label="Next due" />
    </div>
    <p v-if="cal.result === 'out'" class="second">A lead then calls it back from the day since when it may have been off.</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div class="acts"><v-btn class="act main" type="submit" :disabled="busy || cal.by.trim() === ''">Enter it</v-btn></div>
  </form>
</template>

<style scoped>
.form {
  padding: var(--space-3) var(--space-4) var(--space-4);
  margin-top: var(--space-4);
}
.form .fields {
  margin-top: var(--space-4);
}
.acts {
  margin-top: var(--space-3);
}
</style>
