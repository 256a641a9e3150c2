import { figure } from '@dauer/core/quantity';
import {
  GAUGE_KIND_NAME,
  GAUGE_UNIT,
  type GaugeKind,
  GENERIC_GAUGE,
  isShare,
  type Measurement,
  takes,
  usualGaugeAt,
} from '@dauer/core/catalogue';
import type { GaugeVersion } from '@dauer/core/ledger';
import { asksForCheck } from '@dauer/core/metrology';
import { ofSingle } from '@dauer/core/verdict';
import { useLocalStorage } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

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
  test_gauge: 'Low pressure',
  vacuum_gauge: 'Vacuum',
  fluid_tester: 'Fluid tester',
  boil_tester: 'Boiling tester',
  thermometer: 'Probe',
  angle_gauge: 'Angle gauge',
  brake_tester: 'Tester',
  scale: 'Scale',
  count: 'Counted',
};

/** Which gauge a measurement is taken with on this device, and what it is good for. */
export function useGaugeChoice(measurement: ComputedRef<Measurement | null>, place: ComputedRef<string | null>) {
  const job = useOpenJob();
  const chosenGauges = useLocalStorage<Record<string, string>>('dauer.gauges', {});
  const gauges = computed<GaugeVersion[]>(() => {
    const last = new Map(job.state.records.gauges.map((g) => [g.gaugeId, g]));
    const m = measurement.value;
    return [...last.values()].filter((g) => m === null || takes(m.id, g.kind));
  });
  const usual = computed(() => (measurement.value ? usualGaugeAt(measurement.value.id, place.value) : null));
  /** A pin and its bush are taken with two gauges: what is chosen for the one is not for the other. */
  const key = computed(() => {
    const m = measurement.value;
    return m && usual.value !== m.usualGauge ? `${m.id}|${usual.value}` : (m?.id ?? '');
  });
  const gauge = computed<GaugeVersion | null>(() => {
    const m = measurement.value;
    if (!m) return null;
    const chosen = gauges.value.find((g) => g.gaugeId === chosenGauges.value[key.value]);
    if (chosen || chosenGauges.value[key.value] === 'none') return chosen ?? null;
    const fitting = gauges.value.filter((g) => g.kind === usual.value).sort((a, b) => a.resolution - b.resolution);
    return fitting[0] ?? null;
  });
  const gaugeName = computed(() => (gauge.value ? `${GAUGE_SHORT[gauge.value.kind]} ${gauge.value.tag}` : 'No gauge named'));
  const gaugeNote = computed(() => {
    const m = measurement.value;
    if (!m) return '';
    const facts = gauge.value ?? GENERIC_GAUGE[usual.value ?? m.usualGauge];
    const kind = gauge.value?.kind ?? usual.value ?? m.usualGauge;
    const first = gauge.value && asksForCheck(gauge.value, job.state.records.gaugeChecks, job.today);
    if (first) return `look at its ${figure(gauge.value?.settingPiece ?? 0)} mm piece first`;
    const accuracy = isShare(kind) ? `±${figure(facts.accuracy * 100)} %` : `±${figure(facts.accuracy)} ${GAUGE_UNIT[kind]}`;
    return `reads to ${figure(facts.resolution)} ${GAUGE_UNIT[kind]}, ${accuracy}${gauge.value ? '' : `, generic ${GAUGE_KIND_NAME[kind].toLowerCase()}`}`;
  });
  /** Expanded uncertainty of one reading over a short span; the coarser of the gauge's resolution and what was typed counts. */
  function errorOf(typedResolution: number): number {
    const facts = gauge.value ?? (measurement.value ? GENERIC_GAUGE[measurement.value.usualGauge] : null);
    if (!facts) return 0;
    const resolution = Math.max(gauge.value?.resolution ?? 0, typedResolution);
    return ofSingle({ accuracy: facts.shortSpan, resolution }).expanded;
  }
  function choose(id: string): void {
    if (measurement.value) chosenGauges.value = { ...chosenGauges.value, [key.value]: id };
  }
  return { gauges, gauge, choose, gaugeName, gaugeNote, errorOf };
}
