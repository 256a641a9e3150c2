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
    gap: 8px;
    grid-column: 1 / -1;
    min-width: 0;
  }
  input {
    flex: 1;
    min-width: 0;
    height: 48px;
    font: 400 20px var(--figure-font);
    padding: 0 12px;
    border: 1px solid var(--bar-edge);
    border-radius: 2px;
    background: var(--bar);
    color: var(--bar-figure);
  }
  button {
    min-width: 72px;
    min-height: 48px;
    border: 1px solid var(--bar-edge);
    background: none;
    color: var(--bar-text);
    font: 600 18px var(--plate-font);
    border-radius: 2px;
  }
}
:focus-visible {
  outline-color: var(--bar-live);
}
</style>
