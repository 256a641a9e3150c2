<script setup lang="ts">
import { PHASE_WORD } from '@dauer/core/wording';
import { type Measurement, type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import { placeName, type Slot } from '@dauer/core/layout';
import type { Phase } from '@dauer/core/ledger';
import { convert, display, parseQuantity, toResult } from '@dauer/core/quantity';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useInstrument } from '../../app/instruments.ts';
import { onLetter } from '../../app/keys.ts';
import { useOutbox } from '../../job/outbox/store.ts';
import CaptureBar from '../../fittings/CaptureBar.vue';
import GaugeChooser from '../../fittings/GaugeChooser.vue';
import type { Capture } from './useCapture.ts';
import { useLive } from './useLive.ts';
import { useSpeech } from '../../app/speech.ts';

/** The capture bar of the bench: keys, a gauge that types, or one that speaks. */
const props = defineProps<{
  slotAt: Slot;
  measurement: Measurement;
  phase: Phase;
  capture: Capture;
  decimals: number;
  note: string;
  /** Where Enter goes on to once everything here is taken, in words; null where nowhere. */
  onward: string | null;
}>();
const emit = defineEmits<{ typed: [text: string]; onward: [] }>();
const { unit, other: secondUnit, symbolOf, message, at, standing, positions, taken, index } = props.capture;
const bar = ref<InstanceType<typeof CaptureBar> | null>(null);
const choosing = ref(false);
const typed = ref('');
const speech = useSpeech();
const kind = computed(() => props.measurement.kind);
const standingText = computed(() => {
  const t = standing.value;
  return t ? display(t.value, kind.value, t.reading.resolution, unit.value, t.reading.fraction) : null;
});
const otherUnit = computed(() => {
  const u = secondUnit.value;
  if (!u) return '';
  return standing.value ? props.capture.inUnit(standing.value, u) : `${symbolOf(u)} with u`;
});
/** The short scale in the bar: what was taken, and the figure typed or standing here, in the unit shown. */
const shortScale = computed(() => {
  const shown = (v: number): number => convert(v, kind.value, unit.value);
  const read = toResult(() => parseQuantity(typed.value, kind.value, unit.value).canonical);
  const now = read.ok ? read.value : (live.value?.canonical ?? standing.value?.value ?? null);
  return {
    values: taken.value.map((t) => shown(t.value)),
    live: now === null ? null : shown(now),
    decimals: props.decimals + (unit.value === 'in' ? 1 : 0),
  };
});
const outbox = useOutbox();
/** A dot fills when the figure is safe on this device. */
const isStored = (p: PlannedPosition): boolean =>
  taken.value.some((t) => t.key === positionKey(p) && !outbox.storing.has(t.reading.id) && !outbox.loose.has(t.reading.id));
const dots = computed(() => positions.value.map((p, i) => ({ key: `${i}`, taken: isStored(p), now: i === index.value })));
const instrument = useInstrument(
  computed(() => props.capture.gauge.value?.tag ?? null),
  (text) => take(text),
);
const { live, steady, held, hold, release } = useLive(instrument, kind, unit);
/** A gauge that was listened to and falls silent in the middle of a set. */
watch(instrument.speaks, (speaks, spoke) => {
  if (!spoke || speaks || instrument.listening.value === null) return;
  message.value = `${props.capture.gaugeName.value} has fallen silent. What was taken stands; type the figures, or plug it in and listen again.`;
});
function take(text: string): void {
  if (text.trim() === '' && live.value) {
    take(`${live.value.text} ${symbolOf(unit.value)}`.trim());
    return;
  }
  if (text.trim() === '') {
    if (props.onward) emit('onward');
    else props.capture.move(1);
    return;
  }
  const where = at.value?.name ?? '';
  if (!props.capture.take(text)) return;
  said.value = `${text} taken at ${where.toLowerCase()}.`;
  speech.say(text);
  release();
  bar.value?.clear();
  put('');
}
/** What was taken last, for whoever does not see the ring. */
const said = ref('');
function put(text: string): void {
  typed.value = text;
  emit('typed', text);
}
const off = [onLetter('KeyG', () => (choosing.value = true)), onLetter('KeyH', hold)];
onBeforeUnmount(() => off.forEach((f) => f()));
function choose(id: string): void {
  props.capture.choose(id);
  choosing.value = false;
}
</script>

<template>
  <p class="sr" role="status">{{ said }}</p>
  <CaptureBar
    v-if="at"
    ref="bar"
    :position="at.name"
    :what="`${measurement.name}, ${placeName(slotAt).toLowerCase()}, ${PHASE_WORD[phase]}`"
    :unit="symbolOf(unit)"
    :other="otherUnit"
    :standing="standingText"
    :dots="dots"
    :gauge="capture.gaugeName.value"
    :gauge-note="capture.gaugeNote.value"
    :message="message"
    :note="note"
    :onward="onward"
    :scale="shortScale"
    :live="live"
    :steady="steady"
    :held="held !== null"
    :speaks="instrument.speaks.value"
    @listen="instrument.listen"
    @take="take"
    @back="capture.takeBack()"
    @move="capture.move"
    @unit="capture.switchUnit()"
    @gauge="choosing = true"
    @typed="
      (t) => {
        put(t);
        message = null;
      }
    "
  />
  <GaugeChooser v-model="choosing" :gauges="capture.gauges.value" @choose="choose" />
</template>
