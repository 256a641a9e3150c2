import {
  asksForCheck,
  GAUGE_KIND_NAME,
  GAUGE_UNIT,
  type GaugeKind,
  type GaugeVersion,
  GENERIC_GAUGE,
  type Measurement,
  ofSingle,
} from '@dauer/core';
import { useLocalStorage } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
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
  angle_gauge: 'Angle gauge',
  count: 'Counted',
};

/** Which gauge a measurement is taken with on this device, and what it is good for. */
export function useGaugeChoice(measurement: ComputedRef<Measurement | null>) {
  const job = useJob();
  const chosenGauges = useLocalStorage<Record<string, string>>('dauer.gauges', {});
  const gauges = computed<GaugeVersion[]>(() => {
    const last = new Map((job.state?.file.gauges ?? []).map((g) => [g.gaugeId, g]));
    return [...last.values()];
  });
  const gauge = computed<GaugeVersion | null>(() => {
    const m = measurement.value;
    if (!m) return null;
    const kept = gauges.value.find((g) => g.gaugeId === chosenGauges.value[m.id]);
    if (kept || chosenGauges.value[m.id] === 'none') return kept ?? null;
    const fitting = gauges.value.filter((g) => g.kind === m.usualGauge).sort((a, b) => a.resolution - b.resolution);
    return fitting[0] ?? null;
  });
  const gaugeName = computed(() => (gauge.value ? `${GAUGE_SHORT[gauge.value.kind]} ${gauge.value.tag}` : 'No gauge named'));
  const gaugeNote = computed(() => {
    const m = measurement.value;
    if (!m) return '';
    const facts = gauge.value ?? GENERIC_GAUGE[m.usualGauge];
    const kind = gauge.value?.kind ?? m.usualGauge;
    const first = gauge.value && job.state && asksForCheck(gauge.value, job.state.file.gaugeChecks, job.today);
    if (first) return `look at its ${gauge.value?.settingPiece} mm piece first`;
    const accuracy = kind === 'torque_wrench' ? `±${facts.accuracy * 100} %` : `±${facts.accuracy} ${GAUGE_UNIT[kind]}`;
    return `reads to ${facts.resolution} ${GAUGE_UNIT[kind]}, ${accuracy}${gauge.value ? '' : `, generic ${GAUGE_KIND_NAME[kind].toLowerCase()}`}`;
  });
  /** Expanded uncertainty of one reading over a short span; the coarser of the gauge's resolution and what was typed counts. */
  function errorOf(typedResolution: number): number {
    const facts = gauge.value ?? (measurement.value ? GENERIC_GAUGE[measurement.value.usualGauge] : null);
    if (!facts) return 0;
    const resolution = Math.max(gauge.value?.resolution ?? 0, typedResolution);
    return ofSingle({ accuracy: facts.shortSpan, resolution }).expanded;
  }
  function choose(id: string): void {
    if (measurement.value) chosenGauges.value = { ...chosenGauges.value, [measurement.value.id]: id };
  }
  return { gauges, gauge, choose, gaugeName, gaugeNote, errorOf };
}
