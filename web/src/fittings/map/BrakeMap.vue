<script setup lang="ts">
import { VERDICT_WORD } from '@dauer/core/wording';
import { isStandalone, type Corner, CORNER_NAME, cornersOf, type Layout, placeName, type Slot, walk, isGripped } from '@dauer/core/layout';
import type { Play, PlayDoes } from '@dauer/core/readiness';
import { type Verdict, worst } from '@dauer/core/verdict';
import { computed, ref } from 'vue';
import MarkShape from '../MarkShape.vue';
import ComponentShape from './ComponentShape.vue';
import MapFlag from './MapFlag.vue';
import MapLegend from './MapLegend.vue';
import MapRoutes from './MapRoutes.vue';
import { carried, labelLines } from './places.ts';
import { type Drawn, isInLine, WHEELS } from './usualPlaces.ts';
import type { MapMarks } from './overlays.ts';
import { middleOf, planMap } from './plan.ts';
import ShareRing from './ShareRing.vue';

const props = defineProps<{
  layout: Layout;
  picked: string | null;
  /** What is laid over the places. */
  marks: MapMarks;
  /** Figure under each wheel, where the stage has one. */
  figures?: ReadonlyMap<Corner, string>;
  inScope?: readonly Corner[];
  /** A press or an opening that is played: where it goes, and what each place does. */
  play?: Play | null;
}>();
const emit = defineEmits<{ pick: [slotId: string | null] }>();
/** A connection of which only its ends matter. */
const NOWHERE = { kind: 'line', circuit: null, lengthMm: null, boreMm: null } as const;
const root = ref<SVGSVGElement | null>(null);

const plan = computed(() => planMap(props.layout));
const pickedSlot = computed(() => props.layout.slots.find((s) => s.id === props.picked) ?? null);
/** What is drawn for the picked slot: itself, or the part it sits in. */
const pickedDrawn = computed<Drawn | null>(() => {
  const slot = pickedSlot.value;
  if (!slot) return null;
  return (
    plan.value.drawn.find((d) => d.slot.id === slot.id) ??
    plan.value.drawn.find((d) => d.slot.id === slot.parentId || carried(props.layout, d.slot).some((s) => s.id === slot.id)) ??
    null
  );
});
function verdictAt(d: Drawn): Verdict | null {
  const all = [d.slot, ...carried(props.layout, d.slot)].map((s) => props.marks.get(s.id)?.verdict ?? null);
  return worst(all.filter((v): v is Verdict => v !== null));
}
const nameOf = (slot: Slot, v: Verdict | null): string => (v ? `${placeName(slot)}, ${VERDICT_WORD[v]}` : placeName(slot));
const labelOf = (d: Drawn): string =>
  [nameOf(d.slot, verdictAt(d)), flagOf(d.slot.id), props.marks.get(d.slot.id)?.share?.text].filter(Boolean).join(', ');
/** What a place does in the play, in a word; what it is, where nothing is played. */
const DOES: Readonly<Partial<Record<PlayDoes, string>>> = {
  comes_out: 'comes out',
  leaks: 'leaks',
  held: 'held',
  soft: 'air',
  runs_out: 'runs out',
  drains: 'drains',
  spoils: 'paint',
};
function flagOf(slotId: string): string | undefined {
  if (!props.play) return props.marks.get(slotId)?.flag;
  const step = props.play.steps.find((s) => s.slotId === slotId);
  return step ? DOES[step.does] : undefined;
}
const moving = computed(() => new Set(props.play?.steps.filter((s) => s.does === 'moves').map((s) => s.slotId)));
const moves = (d: Drawn): boolean => moving.value.has(d.slot.id) || carried(props.layout, d.slot).some((s) => moving.value.has(s.id));
/** The flag of a wheel: of the first thing there that is not complete, and how many more there are. */
function flagAt(corner: Corner): string | null {
  const flags = props.layout.slots.flatMap((s) => {
    const flag = s.corner === corner ? flagOf(s.id) : undefined;
    return flag ? [props.play ? flag : `${s.name} ${flag}`] : [];
  });
  const [first] = flags;
  if (props.play) return [...new Set(flags)].join(', ') || null;
  return first ? `${first}${flags.length > 1 ? ` +${flags.length - 1}` : ''}` : null;
}
const bodyless = (c: Corner): boolean => props.inScope !== undefined && !props.inScope.includes(c);
const corners = computed(() => cornersOf(props.layout));
/** Units alone lie side by side; there is no vehicle round them. */
const loose = computed(() => isStandalone(props.layout));

/** Lines, cables and rods that are places of their own: where each runs. */
const runs = computed(() =>
  plan.value.routes.flatMap((r) => props.layout.slots.filter((s) => s.id === r.id).map((slot) => ({ slot, d: r.d }))),
);
const pickedRun = computed(() => runs.value.find((r) => r.slot.id === props.picked) ?? null);
const places = computed(() => {
  const at = new Map(plan.value.drawn.map((d) => [d.slot.id, { x: d.x, y: d.y }]));
  const run = pickedRun.value && middleOf(pickedRun.value.d);
  if (pickedRun.value && run) at.set(pickedRun.value.slot.id, run);
  return at;
});
/** Onto the line, cable or rod that leads from here most in a direction. */
function ontoRun(from: string, direction: 'up' | 'down' | 'left' | 'right'): string | null {
  const here = runs.value.filter((r) => props.layout.connections.some((c) => c.id === r.slot.id && (c.from === from || c.to === from)));
  const at = new Map([...places.value].filter(([id]) => id === from));
  for (const r of here) at.set(r.slot.id, middleOf(r.d));
  const joined = { ...props.layout, connections: here.map((r) => ({ ...NOWHERE, id: `to ${r.slot.id}`, from, to: r.slot.id })) };
  return walk(joined, from, direction, at);
}
const ARROWS: Readonly<Record<string, 'up' | 'down' | 'left' | 'right'>> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'left',
  ArrowRight: 'right',
};
function onKey(event: KeyboardEvent): void {
  const direction = ARROWS[event.key];
  if (direction) {
    event.preventDefault();
    event.stopPropagation();
    const from = pickedRun.value?.slot.id ?? pickedDrawn.value?.slot.id ?? plan.value.drawn[0]?.slot.id;
    if (!from) return;
    const next = event.shiftKey && !pickedRun.value ? ontoRun(from, direction) : walk(props.layout, from, direction, places.value);
    emit('pick', props.picked === null ? from : (next ?? from));
  } else if (event.key === 'Escape') {
    event.stopPropagation();
    root.value?.blur();
  }
}
function pickWheel(corner: Corner): void {
  const first = props.layout.slots.find((s) => s.corner === corner && isGripped(s.kind));
  emit('pick', first?.id ?? null);
}
const bracket = computed(() => {
  const d = pickedDrawn.value;
  if (!d) return null;
  const w = (d.slot.corner && isGripped(d.slot.kind) ? 76 : d.hit.w) / 2 + 3;
  const h = (d.slot.corner && isGripped(d.slot.kind) ? 76 : d.hit.h) / 2 + 3;
  const [l, r, t, b] = [d.x - w, d.x + w, d.y - h, d.y + h];
  return `M${l} ${t + 9}V${t}H${l + 9}M${r - 9} ${t}H${r}V${t + 9}M${r} ${b - 9}V${b}H${r - 9}M${l + 9} ${b}H${l}V${b - 9}`;
});
/** How far out a label stands: beside the mark, and clear of a share's ring. */
const RING = 26;
function labelAt(d: Drawn): { x: number; anchor: 'start' | 'end' } {
  const out = Math.max(Math.abs(d.mark.x) + 12, props.marks.get(d.slot.id)?.share && !props.play ? RING : 0);
  return d.mark.x < 0 ? { x: -out, anchor: 'end' } : { x: out, anchor: 'start' };
}
defineExpose({ focus: () => root.value?.focus() });
</script>

<template>
  <svg
    ref="root"
    class="map"
    :viewBox="`0 0 384 ${plan.height}`"
    tabindex="0"
    role="listbox"
    aria-label="Brake map. Arrow keys walk along the hydraulics; with Shift onto a line, cable or rod."
    data-map
    :aria-activedescendant="pickedRun ? `map-${pickedRun.slot.id}` : pickedDrawn ? `map-${pickedDrawn.slot.id}` : undefined"
    @keydown="onKey"
  >
    <path
      v-if="!isInLine(layout) && !loose"
      class="body"
      d="M116 22 150 4H234L268 22 276 96V290L264 338 246 352H138L120 338 108 290V96ZM120 122 132 106H252L264 122M126 312 136 300H248L258 312"
      aria-hidden="true"
    />
    <path v-if="pickedRun" class="run picked" :d="pickedRun.d" aria-hidden="true" />
    <MapRoutes :routes="plan.routes" :play="play ?? null" />
    <text v-if="!loose" class="front" x="192" :y="isInLine(layout) ? 16 : 20" text-anchor="middle" aria-hidden="true">FRONT</text>
    <g v-for="c in corners" :key="c" class="wheel" :class="{ out: bodyless(c) }">
      <text class="wheelname" :x="WHEELS[c].x" :y="WHEELS[c].y - 42" text-anchor="middle">{{ CORNER_NAME[c] }}</text>
      <MapFlag
        v-if="flagAt(c)"
        :text="flagAt(c) ?? ''"
        :anchor="c.endsWith('R') && c !== 'R' ? 'end' : 'start'"
        :transform="`translate(${c.length === 1 ? 118 : c.endsWith('R') ? 364 : 20} ${WHEELS[c].y + 48})`"
      />
      <text v-else-if="figures?.get(c)" class="figure" :x="WHEELS[c].x" :y="WHEELS[c].y + 52" text-anchor="middle">
        {{ figures.get(c) ?? '' }}
      </text>
      <rect class="hit" :x="WHEELS[c].x - 56" :y="WHEELS[c].y - 56" width="112" height="112" :data-corner="c" @click="pickWheel(c)" />
    </g>
    <g
      v-for="r in runs"
      :id="`map-${r.slot.id}`"
      :key="r.slot.id"
      role="option"
      class="drawn"
      :aria-selected="pickedRun?.slot.id === r.slot.id"
      :aria-label="[nameOf(r.slot, marks.get(r.slot.id)?.verdict ?? null), flagOf(r.slot.id)].filter(Boolean).join(', ')"
      @click.stop="emit('pick', r.slot.id)"
    >
      <path class="run" :d="r.d" />
      <g v-if="marks.get(r.slot.id)?.verdict" :transform="`translate(${middleOf(r.d).x} ${middleOf(r.d).y}) scale(0.82)`">
        <MarkShape :verdict="marks.get(r.slot.id)?.verdict ?? 'not_gauged'" />
      </g>
      <MapFlag
        v-if="r.slot.corner === null && flagOf(r.slot.id)"
        :text="flagOf(r.slot.id) ?? ''"
        :transform="`translate(${middleOf(r.d).x} ${middleOf(r.d).y})`"
      />
    </g>
    <g
      v-for="d in plan.drawn"
      :id="`map-${d.slot.id}`"
      :key="d.slot.id"
      :transform="`translate(${d.x} ${d.y})`"
      role="option"
      :aria-selected="pickedDrawn?.slot.id === d.slot.id"
      :aria-label="labelOf(d)"
      :class="{ out: d.slot.corner !== null && bodyless(d.slot.corner), drawn: true, moves: moves(d) }"
      @click.stop="emit('pick', d.slot.id)"
    >
      <rect class="hit" :x="-d.hit.w / 2" :y="-d.hit.h / 2" :width="d.hit.w" :height="d.hit.h" />
      <ComponentShape :d="d" :picked="pickedDrawn?.slot.id === d.slot.id" />
      <g v-if="verdictAt(d)" :transform="`translate(${d.mark.x} ${d.mark.y}) scale(${verdictAt(d) === 'past' ? 1.1 : 0.82})`">
        <MarkShape :verdict="verdictAt(d) ?? 'not_gauged'" />
      </g>
      <ShareRing v-if="marks.get(d.slot.id)?.share && !play" v-bind="marks.get(d.slot.id)?.share ?? { of: 0, text: '' }" />
      <text v-if="loose" class="label" y="52" text-anchor="middle">{{ d.slot.name }}</text>
      <text v-if="d.label" class="label" :x="labelAt(d).x" y="4.5" :text-anchor="labelAt(d).anchor">
        <tspan v-for="(line, i) in labelLines(d.label)" :key="i" :x="labelAt(d).x" :y="labelLines(d.label).length > 1 ? -2 + 16 * i : 4.5">
          {{ line }}
        </tspan>
      </text>
    </g>
    <!-- Over every drawing, so that none hides what is said of a neighbour. -->
    <template v-for="d in plan.drawn" :key="d.slot.id">
      <MapFlag
        v-if="d.slot.corner === null && flagOf(d.slot.id)"
        :text="flagOf(d.slot.id) ?? ''"
        :transform="`translate(${d.x} ${d.y - 20})`"
        aria-hidden="true"
        @click.stop="emit('pick', d.slot.id)"
      />
    </template>
    <path v-if="bracket" class="bracket" :d="bracket" aria-hidden="true" />
    <MapLegend v-if="!loose" :y="plan.height - 7" :circuits="plan.circuits" :mechanical="plan.mechanical" />
  </svg>
</template>

<style scoped>
.map {
  display: block;
  width: 100%;
  max-width: var(--map);
  height: auto;
  margin: 0 auto;
  background: var(--plate);
  cursor: default;
}
.map:focus-visible {
  outline-offset: -3px;
}
.body {
  fill: none;
  stroke: var(--hair);
  stroke-width: 1.25;
}
.moves .shape {
  animation: press 0.15s ease-out 6 alternate;
}
@keyframes press {
  to {
    transform: translate(0, 2px);
  }
}
@media (prefers-reduced-motion: reduce) {
  .moves .shape {
    animation: none;
  }
}
.hit {
  fill: transparent;
}
/* Wide enough for a finger, and seen only while it is picked. */
.run {
  fill: none;
  stroke: transparent;
  stroke-width: 14;
  pointer-events: stroke;
}
.run.picked {
  stroke: var(--blue);
  stroke-width: 7;
}
.drawn,
.wheel .hit {
  cursor: pointer;
}
.out {
  opacity: 0.45;
}
.wheelname {
  font: 600 var(--type-body) var(--plate-font);
  fill: var(--ink);
}
.front {
  font: 600 var(--type-least) var(--plate-font);
  letter-spacing: 0.12em;
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--plate);
  stroke-width: 4px;
}
.figure {
  font: 400 var(--type-paragraph) var(--figure-font);
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--plate);
  stroke-width: 4px;
}
.label {
  font: 400 var(--type-second) var(--text-font);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--plate);
  stroke-width: 4px;
}
.bracket {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2.5;
  pointer-events: none;
}
</style>
