<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { ref, watch } from 'vue';
import { isTyping } from '../fittings/typing.ts';
import { useJob } from './job.ts';

/** What was entered a moment ago, and the way back from it: a tap in the wrong row is seen at once. And what was refused. */
const job = useJob();
const shown = ref(false);
/** Long enough to be read and reached, ms. */
const SHOWN_MS = 8000;
watch(
  () => job.last,
  (last) => (shown.value = last !== null),
);
useEventListener(window, 'keydown', (event) => {
  if (!(event.ctrlKey || event.metaKey) || event.key !== 'z' || !shown.value || isTyping(event.target)) return;
  event.preventDefault();
  job.undoLast();
});
</script>

<template>
  <v-snackbar
    :model-value="job.refused !== null"
    class="just no-print"
    location="bottom start"
    :timeout="-1"
    role="alert"
    @update:model-value="job.refused = null"
  >
    {{ job.refused }}
    <template #actions>
      <v-btn class="act slim" @click="job.refused = null">Leave it</v-btn>
    </template>
  </v-snackbar>
  <v-snackbar v-if="job.last" :key="job.last.ids[0]" v-model="shown" class="just no-print" location="bottom start" :timeout="SHOWN_MS">
    {{ job.last.text }}
    <template #actions>
      <v-btn class="act slim" @click="job.undoLast()">Undo</v-btn>
    </template>
  </v-snackbar>
</template>
