<script setup lang="ts">
import type { CardStep } from '@dauer/core/catalogue';
import { LUBRICANT_NAME } from '@dauer/core/wording';

/** What goes on, and where never, as signs of our own with their words under them. */
defineProps<{ lubricant: NonNullable<CardStep['lubricant']> }>();
</script>

<template>
  <div class="signs">
    <figure>
      <svg viewBox="0 0 64 48" aria-hidden="true">
        <path v-if="lubricant.what === 'fluid'" class="wet" d="M32 5 C40 17 45 24 45 31 A13 13 0 0 1 19 31 C19 24 24 17 32 5 Z" />
        <template v-else>
          <path class="tin" d="M20 14 h24 v28 h-24 z M17 9 h30 v6 h-30 z" />
          <path v-if="lubricant.what === 'film'" class="smear" d="M24 30 h16" />
          <path v-else class="smear" d="M24 24 q4 -4 8 0 t8 0 M24 31 q4 -4 8 0 t8 0 M24 38 q4 -4 8 0 t8 0" />
        </template>
      </svg>
      <figcaption>
        <b class="plate-font">{{ LUBRICANT_NAME[lubricant.what] }}</b>
        <span>{{ lubricant.where }}</span>
      </figcaption>
    </figure>
    <figure v-if="lubricant.never">
      <svg viewBox="0 0 64 48" aria-hidden="true">
        <circle class="ring" cx="32" cy="24" r="15" />
        <line class="bar" x1="17" y1="42" x2="47" y2="6" />
      </svg>
      <figcaption>
        <b class="plate-font">never</b>
        <span>{{ lubricant.never }}</span>
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.signs {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
}
figure {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  border: var(--line-hair) solid var(--ink);
  padding: var(--space-2);
  background: var(--plate);
}
svg {
  width: 64px;
  height: var(--strip);
  flex: none;
}
figcaption span {
  display: block;
  font-size: var(--type-second);
  max-width: 220px;
}
.wet {
  fill: var(--copper-tint);
  stroke: var(--copper);
  stroke-width: 2;
}
.tin,
.smear {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.ring {
  fill: none;
  stroke: var(--ink);
  stroke-width: 6;
}
.bar {
  stroke: var(--past);
  stroke-width: 3;
}
</style>
