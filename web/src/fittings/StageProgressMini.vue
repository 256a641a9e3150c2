<script setup lang="ts">
import { type Stage, STAGE_NAME, STAGES } from '@dauer/core/catalogue';
import { computed } from 'vue';

const props = defineProps<{ stage: string | null; share: number; hatched: readonly { readonly stage: string; readonly why: string }[] }>();
const at = computed(() => STAGES.findIndex((s) => s === props.stage));
const cursor = computed(() => (at.value < 0 ? 7 : at.value + Math.min(0.9, Math.max(0.1, props.share))) * 48);
const why = (stage: Stage): string | null => props.hatched.find((h) => h.stage === stage)?.why ?? null;
</script>

<template>
  <svg class="mini" viewBox="0 -1 337 52" role="img" :aria-label="stage ? `In ${STAGE_NAME[STAGES[at] ?? 'bookin']}` : 'All stages done'">
    <g v-for="(s, i) in STAGES" :key="s">
      <rect
        v-if="why(s)"
        :x="i * 48"
        y="12"
        width="48"
        height="7"
        fill="none"
        stroke="var(--slate)"
        stroke-dasharray="1.5 2.5"
        stroke-width="7"
        transform="translate(0 0)"
        opacity="0.5"
      />
    </g>
    <path
      v-for="i in 57"
      :key="i"
      :d="`M${(i - 1) * 6 + 0.5} 12v${(i - 1) % 8 === 0 ? 14 : (i - 1) % 4 === 0 ? 7 : 4}`"
      :stroke="(i - 1) * 6 <= cursor ? 'var(--ink)' : 'var(--slate)'"
      :stroke-width="(i - 1) % 8 === 0 ? 1.5 : 1"
    />
    <path d="M0 12H337" stroke="var(--slate)" />
    <path :d="`M0 12H${cursor}`" stroke="var(--ink)" stroke-width="2.5" />
    <path :d="`M${cursor - 7}-1h14v8l-7 7-7-7z`" fill="var(--ink)" />
    <g class="names">
      <text v-for="(s, i) in STAGES" :key="s" :x="i * 48 + 24" y="42" text-anchor="middle" :class="{ now: i === at }">
        {{ why(s) ?? STAGE_NAME[s] }}
      </text>
      <path v-if="at >= 0" :d="`M${at * 48 + 5} 48h38`" stroke="var(--ink)" stroke-width="2.5" />
    </g>
  </svg>
</template>

<style scoped>
.mini {
  display: block;
  width: 100%;
  max-width: 337px;
}
.names {
  font: 600 13.5px var(--plate-font);
  fill: var(--ink2);
}
.now {
  font-size: var(--type-paragraph);
  fill: var(--ink);
}
</style>
