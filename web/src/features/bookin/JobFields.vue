<script setup lang="ts">
import { JOB_TAKES_IN } from '@dauer/core/wording';
import { KIND_OF_JOB } from '@dauer/core/history';
import { type Corner, CORNER_NAME } from '@dauer/core/layout';
import DayField from '../../fittings/DayField.vue';
import type { JobDraft } from './jobDraft.ts';
import { FINISH_ITEMS, JOB_KINDS } from './words.ts';

/** What is agreed about a job at the desk: the same fields for a vehicle that is new here, and for one that comes again. */
defineProps<{ faults: Readonly<Record<string, string>>; corners: readonly Corner[]; units?: boolean }>();
const d = defineModel<JobDraft>({ required: true });
function toggle(c: Corner): void {
  d.value.corners = d.value.corners.includes(c) ? d.value.corners.filter((x) => x !== c) : [...d.value.corners, c];
}
</script>

<template>
  <div class="fields">
    <v-select v-if="!units" v-model="d.kind" label="Kind of job" :items="JOB_KINDS" />
    <DayField v-model="d.promised" ahead label="Promised for" />
    <v-text-field v-model="d.fluidKnown" label="What is known of the fluid" />
    <v-select v-model="d.finish" label="Finish agreed" :items="FINISH_ITEMS" />
    <v-text-field v-model="d.authorised" label="Sum authorised" inputmode="decimal" :error-messages="faults['authorised']" />
  </div>
  <div class="two">
    <v-textarea v-model="d.complaint" label="Complaint, in the owner’s words" />
    <v-textarea v-model="d.wants" label="What the owner wants" />
  </div>
  <p class="second small">{{ units ? 'All the units that came.' : JOB_TAKES_IN[d.kind] }}</p>
  <div v-if="!units && KIND_OF_JOB[d.kind].corners" class="scope">
    <span class="second">Taken in</span>
    <v-btn-group class="choice" role="group" aria-label="Corners taken in">
      <v-btn v-for="c in corners" :key="c" :aria-pressed="d.corners.includes(c)" @click="toggle(c)">{{ CORNER_NAME[c] }}</v-btn>
    </v-btn-group>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: var(--space-4);
  margin: var(--space-4) 0;
}
.scope {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
}
.scope .choice {
  flex-wrap: wrap;
}
</style>
