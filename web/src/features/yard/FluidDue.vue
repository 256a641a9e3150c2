<script setup lang="ts">
import { fixed } from '@dauer/core/quantity';
import { WATER_DUE } from '@dauer/core/catalogue';
import { fluidVerdict } from '@dauer/core/history';
import { useId, computed } from 'vue';
import VerdictMark from '../../fittings/VerdictMark.vue';
import { dayText } from '../../fittings/dates.ts';

/** Water estimated in a vehicle's fluid on a small rule, and when it is due. */
const props = defineProps<{
  fluid: {
    readonly tag: string;
    readonly name: string;
    readonly due: string;
    readonly why: string;
    readonly water: number | null;
    readonly jobId: string | null;
  };
}>();
const hatch = useId();
const W = 272;
const TOP = 6;
const x = (v: number): number => 12 + (Math.min(v, TOP) / TOP) * (W - 24);
const today = new Date().toISOString().slice(0, 10);
const verdict = computed(() => fluidVerdict(props.fluid.due, today));
const colour = computed(() => ({ past: 'var(--past)', watch: 'var(--watch)', holds: 'var(--ink)' })[verdict.value]);
</script>

<template>
  <div class="due">
    <div class="line">
      <VerdictMark :verdict="verdict" :size="14" />
      <b class="plate-font">{{ fluid.name }}</b>
      <span class="grow" />
      <span class="second small">{{ fluid.due <= today ? 'since ' : '' }}{{ dayText(fluid.due) }}</span>
    </div>
    <svg
      v-if="fluid.water !== null"
      :viewBox="`0 0 ${W} 40`"
      role="img"
      :aria-label="`Water about ${fixed(fluid.water, 1)} percent, due at ${WATER_DUE}; ${fluid.why}`"
    >
      <defs>
        <pattern :id="hatch" width="4.5" height="4.5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V4.5" :stroke="verdict === 'past' ? 'var(--past)' : 'var(--ink2)'" stroke-width="1.5" opacity="0.7" />
        </pattern>
      </defs>
      <rect x="0.5" y="11" :width="W - 1" height="25" fill="var(--plate)" stroke="var(--slate)" />
      <rect :x="x(WATER_DUE)" y="12" :width="W - 1 - x(WATER_DUE)" height="23.5" :fill="`url(#${hatch})`" />
      <path :d="`M0 11H${W}`" stroke="var(--ink)" stroke-width="1.5" />
      <path
        v-for="i in 31"
        :key="i"
        :d="`M${x((i - 1) / 5)} 11v${(i - 1) % 5 === 0 ? 8 : 4}`"
        stroke="var(--ink)"
        :stroke-width="(i - 1) % 5 === 0 ? 1.1 : 0.8"
      />
      <text v-for="v in [0, 1, 2, 4, 5]" :key="v" class="numeral" :x="x(v)" y="33" text-anchor="middle">{{ v }}</text>
      <path :d="`M${x(WATER_DUE)} 4V36`" stroke="var(--ink)" stroke-width="3" />
      <path :d="`M${x(fluid.water)} 11l-6-10h12z`" :fill="colour" />
      <path :d="`M${x(fluid.water)} 11v12`" :stroke="colour" stroke-width="2" />
    </svg>
    <p class="small second">{{ fluid.water === null ? fluid.why : `${fluid.why}; water about ${fixed(fluid.water, 1)} %` }}</p>
  </div>
</template>

<style scoped>
.due {
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.line {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  font-size: var(--type-tag);
  white-space: nowrap;
}
.line b {
  overflow: hidden;
  text-overflow: ellipsis;
}
.grow {
  flex: 1;
}
svg {
  display: block;
  width: 100%;
  margin-top: var(--space-1);
}
.numeral {
  font: 400 var(--type-least) var(--figure-font);
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--plate);
  stroke-width: 4px;
}
</style>
