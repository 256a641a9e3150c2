import type { GaugeKind } from '../../catalogue/gaugeKinds.ts';
import { observedCode } from '../../catalogue/observations.ts';
import { cornersTakenIn } from '../../history/scope.ts';
import { isCharged } from '../../readiness/storedEnergy.ts';
import type { JobState } from '../../job/job.ts';
import { NOT_DRIVEN_WITH } from '../../stages/trace/hazards.ts';
import { mayMove } from '../mayMove.ts';
import type { Corner } from '../../layout/kinds.ts';
import type { PlacedCheck, VehicleNetwork } from '../../stages/trace/network.ts';

/** Tools of the checks that are gauges of the rack. */
const GAUGE_OF_TOOL: Readonly<Partial<Record<string, GaugeKind>>> = {
  micrometer: 'micrometer',
  dial: 'dial',
  'drum gauge': 'drum_gauge',
  caliper: 'caliper',
  thermometer: 'thermometer',
  tester: 'fluid_tester',
  'vacuum gauge': 'vacuum_gauge',
  'gauge set': 'pressure_gauge',
};

/** Whether a check can be done with what is on the rack: not where all it needs are gauges that are not on it. */
export function hasTools(check: Pick<PlacedCheck, 'kind'>, rack: ReadonlySet<GaugeKind>): boolean {
  const tools = check.kind.tools?.split(',').map((t) => t.trim()) ?? [];
  return rack.size === 0 || tools.length === 0 || tools.some((t) => !(t in GAUGE_OF_TOOL) || rack.has(GAUGE_OF_TOOL[t] ?? 'count'));
}

/** Kinds of part without which a wheel cannot be tried. */
const OF_A_WHEEL: ReadonlySet<string> = new Set([
  'rotor',
  'drum',
  'band_drum',
  'caliper',
  'wheel_cylinder',
  'pads',
  'shoes',
  'band',
  'hub',
]);

/** Wheels of which something is off: what is tried there would say nothing. */
function strippedWheels(state: JobState): Set<Corner> {
  return new Set(
    state.components.flatMap((c) => (c.slot.corner !== null && c.empty && OF_A_WHEEL.has(c.slot.kind) ? [c.slot.corner] : [])),
  );
}

/** Whether something was seen with which nobody drives, or the vehicle may not be moved for what was done to it. */
function notDriven(state: JobState): boolean {
  const seen = [...state.context.answers].some(
    ([key, o]) => o.state === 'seen' && NOT_DRIVEN_WITH.includes(observedCode(key.split('@')[0] ?? key)),
  );
  return (
    seen || (mayMove(state).level === 'do_not_move' && mayMove(state).reasons.some((r) => r.about === 'lock' || r.about === 'first_press'))
  );
}

/**
 * The checks that are possible as the vehicle stands: nothing that presses, clamps or is driven while anything locks the
 * pedal; at wheels that the job takes in and that are together; with the gauges on the rack; alone, where nobody helps.
 * Source: handbook 30, Next check worth doing.
 */
export function possibleChecks(state: JobState, network: VehicleNetwork, alone = false): PlacedCheck[] {
  const locked = state.context.proofStatus.locks.length > 0;
  const charged = isCharged(state.history);
  const undriven = notDriven(state);
  const taken = new Set(cornersTakenIn(state.records.job, state.records.layout));
  const off = strippedWheels(state);
  const rack = new Set(state.records.gauges.map((g) => g.kind));
  const cornerOf = new Map(network.observations.map((o) => [o.id, o.corner]));
  return network.checks.flatMap((c): PlacedCheck[] => {
    const { hazards, helpers } = c.kind;
    if (locked && hazards.some((h) => h === 'presses' || h === 'clamps' || h === 'drives')) return [];
    if (undriven && hazards.includes('drives')) return [];
    // Nothing is opened while a spring or a tank waits behind it.
    if (charged && hazards.includes('opens')) return [];
    if ((alone && helpers > 0) || !hasTools(c, rack)) return [];
    if (c.corner !== null) return taken.has(c.corner) && !off.has(c.corner) ? [c] : [];
    const observations = c.observations.filter((id) => {
      const corner = cornerOf.get(id) ?? null;
      return corner === null || (taken.has(corner) && !off.has(corner));
    });
    return observations.length > 0 ? [{ ...c, observations }] : [];
  });
}
