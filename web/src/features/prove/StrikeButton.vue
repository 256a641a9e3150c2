<script setup lang="ts">
/** Picks a line of the sheet by sight. */
defineEmits<{ strike: [] }>();
</script>

<template>
  <button class="link small no-print" type="button" @click="$emit('strike')">black out</button>
</template>
