import {
  asksForCheck,
  type Component,
  displayWithUnit,
  GAUGE_KIND_NAME,
  type GaugeKind,
  GENERIC_GAUGE,
  type GaugeVersion,
  isImplausible,
  type Measurement,
  type Phase,
  type PlannedPosition,
  plannedPositions,
  parseQuantity,
  positionKey,
  type Reading,
  type ReadingSet,
  Refusal,
  type Surface,
  type Taken,
  type UnitId,
  USUAL_COUNT,
} from '@dauer/core';
import { useLocalStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, type ComputedRef, type Ref, ref, watch } from 'vue';
import { useJob } from '../../app/job.ts';

const GAUGE_SHORT: Readonly<Record<GaugeKind, string>> = {
  micrometer: 'Micrometer',
  bore_gauge: 'Bore gauge',
  dial: 'Dial',
  caliper: 'Caliper',
  depth_gauge: 'Depth gauge',
  drum_gauge: 'Drum gauge',
  feeler: 'Feeler',
  rule: 'Rule',
  tape: 'Tape',
  torque_wrench: 'Wrench',
  spring_scale: 'Scale',
  pedal_force: 'Pedal force',
  pressure_gauge: 'Pressure',
  vacuum_gauge: 'Vacuum',
  fluid_tester: 'Fluid tester',
  thermometer: 'Probe',
};

/** Everything between a typed figure and a kept reading, for one measurement of one component. */
export function useCapture(component: ComputedRef<Component | null>, measurement: ComputedRef<Measurement | null>, phase: Ref<Phase>) {
  const job = useJob();
  const unit = useLocalStorage<UnitId>('dauer.lengthUnit', 'mm');
  const chosenGauges = useLocalStorage<Record<string, string>>('dauer.gauges', {});
  const surface = ref<Surface>('clean');
  const count = ref(8);
  const index = ref(0);
  const message = ref<string | null>(null);
  const asked = ref<{ text: string } | null>(null);
  /** Begin a set of its own with the next reading, beside the one that stands. */
  const afresh = ref(false);
  /** The set and the reading just made, until they are safe on this device and show. */
  let begun: string | null = null;
  let newest: string | null = null;

  const gauges = computed<GaugeVersion[]>(() => {
    const newest = new Map((job.state?.file.gauges ?? []).map((g) => [g.gaugeId, g]));
    return [...newest.values()];
  });
  const gauge = computed<GaugeVersion | null>(() => {
    const m = measurement.value;
    if (!m) return null;
    const kept = gauges.value.find((g) => g.gaugeId === chosenGauges.value[m.id]);
    if (kept || chosenGauges.value[m.id] === 'none') return kept ?? null;
    const fitting = gauges.value.filter((g) => g.kind === m.usualGauge).sort((a, b) => a.resolution - b.resolution);
    return fitting[0] ?? null;
  });
  const set = computed<ReadingSet | null>(() => {
    const c = component.value;
    const m = measurement.value;
    if (!c || !m || !job.state || afresh.value) return null;
    const mine = job.state.book.sets.filter(
      (s) =>
        s.jobId === job.state?.file.job.id &&
        s.slotId === c.slot.id &&
        s.measurement === m.id &&
        s.phase === phase.value &&
        s.partId === (c.part?.id ?? null),
    );
    return mine.at(-1) ?? null;
  });
  const taken = computed<readonly Taken[]>(() => (set.value && job.state ? job.state.book.taken(set.value) : []));
  const positions = computed<PlannedPosition[]>(() =>
    measurement.value ? plannedPositions(measurement.value.id, set.value?.count ?? count.value) : [],
  );
  const at = computed<PlannedPosition | null>(() => positions.value[index.value] ?? null);
  const standing = computed<Taken | null>(() =>
    at.value ? (taken.value.find((t) => t.key === positionKey(at.value as PlannedPosition)) ?? null) : null,
  );
  const isTaken = (p: PlannedPosition): boolean => taken.value.some((t) => t.key === positionKey(p));

  function firstOpen(): number {
    const open = positions.value.findIndex((p) => !isTaken(p));
    return open < 0 ? positions.value.length - 1 : open;
  }
  watch(
    [() => component.value?.slot.id, () => measurement.value?.id, phase],
    () => {
      afresh.value = false;
      begun = null;
      newest = null;
      if (measurement.value) count.value = USUAL_COUNT[measurement.value.id];
      surface.value = 'clean';
      message.value = null;
      asked.value = null;
      index.value = firstOpen();
    },
    { immediate: true },
  );

  /** Takes a typed figure. What was typed is kept as typed; a figure that cannot be read stays in the bar with the reason. */
  function take(text: string): boolean {
    const c = component.value;
    const m = measurement.value;
    const p = at.value;
    if (!c || !m || !p) return false;
    let canonical: number;
    try {
      canonical = parseQuantity(text, m.kind, unit.value).canonical;
    } catch (error) {
      message.value = error instanceof Refusal ? error.message : String(error);
      return false;
    }
    const showing = begun !== null && job.state?.book.sets.some((x) => x.id === begun);
    let setId = begun !== null && !showing ? begun : (set.value?.id ?? null);
    if (setId === null) {
      setId = v7();
      begun = setId;
      job.add('sets', {
        id: setId,
        slotId: c.slot.id,
        partId: c.part?.id ?? null,
        measurement: m.id,
        phase: phase.value,
        surface: surface.value,
        cold: true,
        averages: false,
        count: count.value,
      });
      afresh.value = false;
    }
    newest = job.add('readings', {
      setId,
      frame: p.frame,
      angleDeg: p.angleDeg,
      place: p.place,
      pass: 1,
      gaugeVersionId: gauge.value?.id ?? null,
      typed: text,
      unit: unit.value,
    });
    message.value = null;
    asked.value = isImplausible(canonical, m.plausible)
      ? {
          text: `${text.trim()} ${/[a-z"]/i.test(text) ? '' : unit.value} for ${m.name.toLowerCase()} of a ${c.slot.name.toLowerCase()}? It is kept.`,
        }
      : null;
    if (!asked.value) index.value = nextOpen(index.value);
    return true;
  }
  function nextOpen(from: number): number {
    const list = positions.value;
    for (let i = 1; i <= list.length; i += 1) {
      const p = list[(from + i) % list.length];
      if (p && !isTaken(p)) return (from + i) % list.length;
    }
    return Math.min(from + 1, list.length - 1);
  }
  /** The newest reading of this set is taken back; the bar stands at its position again. */
  function takeBack(): void {
    const last = [...taken.value].map((t) => t.reading).sort((a, b) => (a.happenedAt < b.happenedAt ? 1 : -1))[0];
    if (newest !== null && last?.id !== newest && !gone(newest)) {
      job.takeBack(newest);
      move(-1);
    } else if (last) takeBackReading(last);
    newest = null;
  }
  const gone = (id: string): boolean => job.state?.book.gone.has(id) ?? false;
  function takeBackReading(reading: Reading): void {
    job.takeBack(reading.id);
    asked.value = null;
    const key = positionKey(reading);
    index.value = Math.max(
      0,
      positions.value.findIndex((p) => positionKey(p) === key),
    );
    message.value = `${reading.typed} at ${positions.value[index.value]?.name ?? 'its position'} is taken back.`;
  }
  function move(step: number): void {
    index.value = Math.min(positions.value.length - 1, Math.max(0, index.value + step));
    message.value = null;
  }
  function switchUnit(): void {
    unit.value = unit.value === 'mm' ? 'in' : 'mm';
  }
  const gaugeName = computed(() => (gauge.value ? `${GAUGE_SHORT[gauge.value.kind]} ${gauge.value.tag}` : 'No gauge named'));
  const gaugeNote = computed(() => {
    const facts = gauge.value ?? (measurement.value ? GENERIC_GAUGE[measurement.value.usualGauge] : null);
    if (!facts) return '';
    const first = gauge.value && job.state && asksForCheck(gauge.value, job.state.file.gaugeChecks, job.today);
    if (first) return `look at its ${gauge.value?.settingPiece} mm piece first`;
    return `reads to ${facts.resolution} mm, ±${facts.accuracy} mm${gauge.value ? '' : `, generic ${measurement.value ? GAUGE_KIND_NAME[measurement.value.usualGauge].toLowerCase() : ''}`}`;
  });
  function inUnit(t: Taken, shown: UnitId): string {
    return displayWithUnit(t.value, 'length', t.reading.resolution, shown, t.reading.fraction);
  }
  return {
    unit,
    gauges,
    gauge,
    chosenGauges,
    gaugeName,
    gaugeNote,
    surface,
    count,
    index,
    message,
    asked,
    afresh,
    set,
    taken,
    positions,
    at,
    standing,
    isTaken,
    take,
    takeBack,
    takeBackReading,
    move,
    switchUnit,
    inUnit,
  };
}

export type Capture = ReturnType<typeof useCapture>;
