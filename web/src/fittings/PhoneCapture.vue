<script setup lang="ts">
/** The capture bar's own field and buttons on a phone, where there are no keys. */
const typed = defineModel<string>({ required: true });
const emit = defineEmits<{ take: []; back: [] }>();
</script>

<template>
  <form class="phone" @submit.prevent="emit('take')">
    <input v-model="typed" inputmode="decimal" aria-label="Figure" placeholder="figure" />
    <button type="submit">Take</button>
    <button type="button" @click="emit('back')">Back</button>
  </form>
</template>

<style scoped>
.phone {
  display: none;
}
@media (max-width: 860px) {
  .phone {
    display: flex;
    gap: var(--space-2);
    grid-column: 1 / -1;
    min-width: 0;
  }
  input {
    flex: 1;
    min-width: 0;
    height: var(--strip);
    font: 400 20px var(--figure-font);
    padding: 0 var(--space-3);
    border: var(--line-hair) solid var(--bar-edge);
    border-radius: var(--corner);
    background: var(--bar);
    color: var(--bar-figure);
  }
  button {
    min-width: 72px;
    min-height: var(--strip);
    border: var(--line-hair) solid var(--bar-edge);
    background: none;
    color: var(--bar-text);
    font: 600 var(--type-caption) var(--plate-font);
    border-radius: var(--corner);
  }
}
:focus-visible {
  outline-color: var(--bar-live);
}
</style>
