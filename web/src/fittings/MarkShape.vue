<script setup lang="ts">
import type { Verdict } from '@dauer/core/verdict';
import { MARK_COLOUR } from './marks.ts';

/** One verdict mark about (0, 0), to stand inside any drawing; its ground is the plate, so that lines under it stop. */
defineProps<{ verdict: Verdict; ground?: string }>();
</script>

<template>
  <g :style="{ color: MARK_COLOUR[verdict] }" fill="none" stroke="currentColor">
    <circle v-if="verdict === 'holds'" r="5.5" fill="currentColor" stroke="none" />
    <g v-else-if="verdict === 'watch'">
      <circle r="6" :fill="ground ?? 'var(--plate)'" stroke-width="1.75" />
      <path d="M0-6A6 6 0 0 0 0 6Z" fill="currentColor" stroke="none" />
    </g>
    <g v-else-if="verdict === 'cant_tell'">
      <circle r="6" :fill="ground ?? 'var(--plate)'" stroke="none" />
      <path d="M-.52-5.98A6 6 0 1 0 5.98.52" stroke-width="2.25" transform="rotate(10)" />
    </g>
    <g v-else-if="verdict === 'past'">
      <path d="M0-8 8 0 0 8-8 0Z" :fill="ground ?? 'var(--plate)'" stroke-width="1.75" />
      <path d="M-5.8-1.8 2-5.6M-4 1 4.4-2.9M-1.6 3.8 5.8.4" stroke-width="1.5" transform="rotate(-20)" />
    </g>
    <circle v-else-if="verdict === 'no_limit'" r="6" :fill="ground ?? 'var(--plate)'" stroke-width="1.75" stroke-dasharray="3 2.3" />
    <rect v-else x="-5" y="-5" width="10" height="10" :fill="ground ?? 'var(--plate)'" stroke-width="1.6" />
  </g>
</template>
