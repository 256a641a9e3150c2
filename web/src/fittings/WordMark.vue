<template>
  <span class="wordmark">
    <svg width="28" height="24" viewBox="0 0 28 24" aria-hidden="true">
      <path d="M9 1h10l-5 9z" fill="currentColor" />
      <path d="M1 13h26M2 13v8M6 13v4M10 13v5M14 13v9M18 13v5M22 13v4M26 13v8" stroke="currentColor" stroke-width="1.75" fill="none" />
    </svg>
    Dauer
  </span>
</template>

<style scoped>
.wordmark {
  display: inline-flex;
  align-items: center;
  gap: var(--space-3);
  font: 600 24px/28px var(--plate-font);
  letter-spacing: 0.1em;
  text-transform: uppercase;
  color: var(--ink);
}
</style>
