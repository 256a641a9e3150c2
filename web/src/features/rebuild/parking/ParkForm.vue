<script setup lang="ts">
import { STANDINGS, type Standing } from '@dauer/core/ledger';
import { parkGaps, whyNotParked } from '@dauer/core/readiness';
import { isStandalone } from '@dauer/core/layout';
import { PARK_FIELD, STANDING_NAME } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { useSession } from '../../../app/session.ts';
import ChoiceRow from '../../../fittings/ChoiceRow.vue';
import { dayHere } from '../../../fittings/dates.ts';
import DayField from '../../../fittings/DayField.vue';
import { useOpenJob } from '../../../job/openJob.ts';

/** How the vehicle is left: asked once, by whoever goes. */
const job = useOpenJob();
const session = useSession();
const bench = computed(() => isStandalone(job.records.layout));
const standsOn = ref<Standing | null>(bench.value ? 'bench' : null);
const heldBy = ref(bench.value ? PARK_FIELD.tray : '');
const knows = ref(session.person?.name ?? '');
const waitsFor = ref('');
const until = ref('');
const standings = computed(() =>
  STANDINGS.filter((s) => (s === 'bench') === bench.value).map((value) => ({ value, label: STANDING_NAME[value] })),
);
const body = computed(() => ({ heldBy: heldBy.value.trim(), knows: knows.value.trim(), until: until.value || null }));
const why = computed(() => (standsOn.value === null ? PARK_FIELD.standsOnWhat : whyNotParked(job.history, body.value, dayHere())));
const gaps = computed(() => parkGaps(job.history).length);
function park(): void {
  if (standsOn.value === null || why.value !== null) return;
  job.add('parkings', { ...body.value, standsOn: standsOn.value, waitsFor: waitsFor.value.trim() });
}
</script>

<template>
  <form aria-labelledby="how" @submit.prevent="park">
    <h2 id="how" class="line">{{ PARK_FIELD.how }}</h2>
    <p class="ask">{{ PARK_FIELD.standsOn }}</p>
    <ChoiceRow v-model="standsOn" :options="standings" :label="PARK_FIELD.standsOn" />
    <v-text-field v-model="heldBy" :label="PARK_FIELD.heldBy" :placeholder="PARK_FIELD.heldByFor" />
    <v-text-field v-model="knows" :label="PARK_FIELD.knows" />
    <v-text-field v-model="waitsFor" :label="PARK_FIELD.waitsFor" />
    <DayField v-model="until" ahead :label="PARK_FIELD.until" />
    <p class="foot">
      <v-btn class="act main" type="submit" :disabled="why !== null">{{ PARK_FIELD.park }}</v-btn>
      <span v-if="why && gaps === 0" class="second">{{ why }}</span>
      <span v-else-if="gaps > 0" class="second">{{ PARK_FIELD.before(gaps) }}</span>
    </p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: var(--space-3);
  max-width: 620px;
}
.ask {
  font: 600 var(--type-caption)/1.3 var(--plate-font);
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
}
</style>
