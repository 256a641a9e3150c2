<script setup lang="ts">
import { ref } from 'vue';
import { useJob } from './job.ts';

/** Somebody else's entry is taken back with a reason; both stay on record. */
const job = useJob();
const reason = ref('');
function back(): void {
  if (job.askedBack) job.takeBack(job.askedBack.id, reason.value.trim());
  reason.value = '';
}
</script>

<template>
  <v-dialog
    v-if="job.askedBack"
    aria-labelledby="take-back-dialog-title"
    :model-value="true"
    max-width="440"
    @update:model-value="job.askedBack = null"
  >
    <form class="dialog col" @submit.prevent="back">
      <h2 id="take-back-dialog-title">Take back an entry of {{ job.who(job.askedBack.author) }}</h2>
      <p>Both stay on record, with your name and reason.</p>
      <v-text-field v-model="reason" v-focus label="Why it is taken back" />
      <div class="acts">
        <v-btn class="act" @click="job.askedBack = null">Leave it</v-btn>
        <v-btn class="act main" type="submit" :disabled="reason.trim().length < 3">Take it back</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
