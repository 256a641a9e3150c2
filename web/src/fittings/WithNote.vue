<script setup lang="ts">
import { ref } from 'vue';

/** Words that go with the next thing told here: a link until they are wanted, then a field. */
defineProps<{ of: string }>();
const words = defineModel<string | undefined>({ required: true });
const writing = ref(false);
function drop(): void {
  words.value = '';
  writing.value = false;
}
defineExpose({ drop });
</script>

<template>
  <button v-if="!writing" class="link small" type="button" :aria-label="`With a note: ${of}`" @click="writing = true">with a note</button>
  <span v-else class="note">
    <v-text-field
      v-model="words"
      v-focus
      density="compact"
      :aria-label="`Note on what is told next: ${of}`"
      label="Note on what is told next"
      maxlength="300"
    />
    <button class="link small" type="button" @click="drop">no note</button>
  </span>
</template>

<style scoped>
.note {
  display: flex;
  flex: 1 1 100%;
  gap: var(--space-2);
  align-items: center;
}
</style>
