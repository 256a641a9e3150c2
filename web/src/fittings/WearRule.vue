<script setup lang="ts">
import { figureOf, inches, notesOf, sentence, sourceOf, VERDICT_WORD } from '@dauer/core/wording';
import { type Judged } from '@dauer/core/judging';
import { convert, fixed, unitOf } from '@dauer/core/quantity';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useId } from 'vue';
import { MARK_COLOUR } from './marks.ts';
import { inPercent } from './inPercent.ts';
import { UNIT_PAIRS } from './unitPairs.ts';
import { ruleScale } from './ruleScale.ts';
import VerdictMark from './VerdictMark.vue';

const props = defineProps<{
  judged: Judged;
  /** Single readings to stand on the rule, mm; none where the figure is a difference. */
  readings?: readonly number[];
  live?: number | null;
  ghost?: { readonly value: number; readonly says: string } | null;
  inch?: boolean;
}>();
const box = ref<HTMLElement | null>(null);
const { width: measured } = useElementSize(box);
const width = computed(() => Math.max(240, Math.round(measured.value || 480)));
const hatch = useId();

const foretold = computed(
  () => props.ghost ?? (props.judged.wear ? { value: props.judged.wear.predicted, says: 'by next service' } : null),
);
const extra = computed(() => [props.judged.reduced.value, ...(props.readings ?? []), ...(foretold.value ? [foretold.value.value] : [])]);
/** A share is drawn in per cent. */
const drawn = computed(() => inPercent(props.judged));
const scale = computed(() => ruleScale(drawn.value, width.value, props.judged === drawn.value ? extra.value : [drawn.value.reduced.value]));
const value = computed(() => drawn.value.reduced.value);
const cursor = computed(() => scale.value.x(value.value));
const whisker = computed(() => Math.abs(scale.value.x(value.value + drawn.value.reduced.expanded) - cursor.value));
/** The uncertainty about the figure, drawn as far as the rule goes: an end beyond it has no bar. */
const whiskerPath = computed(() => {
  const ends = [cursor.value - whisker.value, cursor.value + whisker.value];
  const [from, to] = ends.map((x) => Math.min(Math.max(x, 0), width.value));
  return `M${from} 18H${to}${ends.flatMap((x) => (x >= 0 && x <= width.value ? [`M${x} 14v8`] : [])).join('')}`;
});
const past = computed(() => props.judged.verdict === 'past');
const colour = computed(() => MARK_COLOUR[props.judged.verdict === 'not_gauged' ? 'holds' : props.judged.verdict]);
const decimals = computed(() => drawn.value.reduced.decimals);
const length = computed(() => props.judged.characteristic.kind === 'length');
/** The figure in the other unit: what it is read in besides. */
const otherUnit = computed(() => {
  const { kind, unit } = props.judged.characteristic;
  const second = UNIT_PAIRS[kind].find((u) => u !== unit);
  if (length.value) return props.inch ? `${figure.value} mm` : inches(value.value, decimals.value);
  return second ? `${fixed(convert(value.value, kind, second), decimals.value)} ${unitOf(kind, second).symbol}` : '';
});
const figure = computed(() => fixed(value.value, decimals.value));
const anchorAt = (x: number): 'start' | 'middle' | 'end' => (x < 60 ? 'start' : x > width.value - 60 ? 'end' : 'middle');
/** Labels under the rule keep clear of one another: a neighbour too near moves to its own side. */
const labels = computed(() => {
  const sorted = [...scale.value.limits].sort((a, b) => a.x - b.x);
  return sorted.map((l, i) => {
    const next = sorted[i + 1];
    const before = sorted[i - 1];
    const tight = 132;
    if (next && next.x - l.x < tight) return { ...l, anchor: 'end' as const, at: l.x + 2 };
    if (before && l.x - before.x < tight)
      return {
        ...l,
        anchor: l.x > width.value - 100 ? ('end' as const) : ('start' as const),
        at: l.x > width.value - 100 ? width.value : l.x - 2,
      };
    return { ...l, anchor: anchorAt(l.x), at: Math.min(Math.max(l.x, 2), width.value - 2) };
  });
});
const ghostText = computed(() =>
  foretold.value ? `${fixed(foretold.value.value, Math.max(2, decimals.value - 1))} ${foretold.value.says}` : '',
);
</script>

<template>
  <div class="rule" :data-verdict="judged.verdict">
    <div class="left">
      <div class="name">{{ judged.characteristic.short }}</div>
      <VerdictMark :verdict="judged.verdict" word :size="15" />
      <div class="other second">
        <span class="fig">{{ otherUnit }}</span>
      </div>
    </div>
    <div ref="box" class="band">
      <svg
        :width="width"
        height="78"
        :viewBox="`0 0 ${width} 78`"
        role="img"
        :aria-label="`${judged.characteristic.name} ${figureOf(judged)}, ${VERDICT_WORD[judged.verdict]}. ${sentence(judged)}`"
      >
        <defs>
          <pattern :id="`${hatch}m`" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V7" stroke="var(--slate)" opacity="0.55" />
          </pattern>
          <pattern :id="`${hatch}b`" width="4.5" height="4.5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V4.5" :stroke="past ? 'var(--past)' : 'var(--ink2)'" stroke-width="1.5" opacity="0.7" />
          </pattern>
        </defs>
        <rect x="0.5" y="30" :width="width - 1" height="28" fill="var(--plate)" stroke="var(--slate)" />
        <rect
          v-for="(z, i) in scale.zones"
          :key="`z${i}`"
          :x="Math.min(z.from, z.to)"
          y="31"
          :width="Math.abs(z.to - z.from)"
          height="26.5"
          :fill="`url(#${hatch}${z.kind === 'machine' ? 'm' : 'b'})`"
        />
        <path :d="`M0 30H${width}`" stroke="var(--ink)" stroke-width="1.5" />
        <g stroke="var(--ink)">
          <path
            v-for="(g, i) in scale.graduations"
            :key="`g${i}`"
            :d="`M${g.x} 30v${g.size === 'major' ? 12 : g.size === 'middle' ? 8 : 5}`"
            :stroke-width="g.size === 'major' ? 1.1 : 0.8"
          />
        </g>
        <g class="numeral">
          <text v-for="(g, i) in scale.graduations.filter((s) => s.text)" :key="`t${i}`" :x="g.x" y="54" text-anchor="middle">
            {{ g.text ?? '' }}
          </text>
        </g>
        <path
          v-for="(l, i) in scale.limits"
          :key="`l${i}`"
          :d="l.kind === 'limit' ? `M${l.x} 22V58` : `M${l.x} 30V58`"
          stroke="var(--ink)"
          :stroke-width="l.kind === 'limit' ? 3 : l.kind === 'machine' ? 2 : 1.25"
        />
        <path v-for="(r, i) in readings ?? []" :key="`r${i}`" :d="`M${scale.x(r)} 30v-10`" stroke="var(--ink)" />
        <path v-if="live != null" :d="`M${scale.x(live)} 30v-13`" stroke="var(--blue)" stroke-width="2" />
        <g v-if="foretold">
          <path
            :d="`M${scale.x(foretold.value)} 30l-5.5-11h11zM${scale.x(foretold.value)} 30v14`"
            fill="var(--page)"
            stroke="var(--slate)"
            stroke-width="1.25"
            stroke-dasharray="2.5 1.8"
          />
          <text
            class="ghost"
            :x="scale.x(foretold.value) + (scale.x(foretold.value) > width * 0.62 ? -10 : 10)"
            y="13"
            :text-anchor="scale.x(foretold.value) > width * 0.62 ? 'end' : 'start'"
          >
            {{
              Math.abs(scale.x(foretold.value) - cursor) > 90 ||
              (scale.x(foretold.value) <= width * 0.62 && scale.x(foretold.value) > cursor + 34)
                ? ghostText
                : ''
            }}
          </text>
        </g>
        <path v-if="whisker >= 4" :d="whiskerPath" :stroke="colour" stroke-width="1.5" />
        <path :d="`M${cursor} 30l-6-12h12z`" :fill="colour" />
        <path :d="`M${cursor} 30v14`" :stroke="colour" stroke-width="2" />
        <text
          class="governing"
          :x="Math.min(Math.max(cursor, 4), width - 4)"
          y="13"
          :text-anchor="cursor < 30 ? 'start' : cursor > width - 30 ? 'end' : 'middle'"
          :fill="colour"
        >
          {{ length ? figure : figureOf(judged) }}
        </text>
        <text v-for="(l, i) in labels" :key="`n${i}`" class="limit" :x="l.at" y="74" :text-anchor="l.anchor">
          {{ l.label }}
          <tspan class="lf">{{ l.figure }}</tspan>
        </text>
      </svg>
    </div>
    <div class="words">
      <p class="sentence" :title="sourceOf(judged)">{{ sentence(judged) }}</p>
      <p v-if="judged.notes.length > 0" class="footing second">{{ notesOf(judged).join(' ') }}</p>
    </div>
  </div>
</template>

<style scoped>
.rule {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr);
  column-gap: var(--space-2);
  margin-bottom: var(--space-2);
}
.left {
  padding-top: 14px;
}
.name {
  font: 600 var(--type-head)/22px var(--plate-font);
}
.left :deep(.word) {
  font-size: var(--type-tag);
  line-height: 22px;
}
.other {
  font-size: var(--type-least);
  line-height: 18px;
}
.band {
  min-width: 0;
}
svg {
  display: block;
  overflow: visible;
}
.numeral {
  font: 400 var(--type-least) var(--figure-font);
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--plate);
  stroke-width: 4px;
}
.governing {
  font: 700 var(--type-paragraph) var(--figure-font);
  paint-order: stroke;
  stroke: var(--page);
  stroke-width: 4px;
}
.ghost {
  font: 400 var(--type-second) var(--text-font);
  fill: var(--ink2);
}
.limit {
  font: 400 var(--type-second) var(--text-font);
  fill: var(--ink);
}
.lf {
  font: 400 var(--type-least) var(--figure-font);
}
/* Words begin under the rule, and reach to the left of it only where they need the room for one line. */
.words {
  grid-column: 1 / -1;
  justify-self: end;
  width: fit-content;
  min-width: calc(100% - 116px);
}
.footing {
  font-size: var(--type-second);
  line-height: 18px;
}
.sentence {
  font-size: var(--type-paragraph);
  line-height: var(--leading-tight);
}
@media (max-width: 560px) {
  .rule {
    grid-template-columns: minmax(0, 1fr);
  }
  .words {
    justify-self: start;
    min-width: 0;
  }
  .left {
    display: flex;
    gap: var(--space-3);
    align-items: center;
    padding-top: var(--space-2);
  }
}
</style>
