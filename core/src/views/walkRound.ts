import type { GaugeKind } from '../catalogue/gaugeKinds.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS } from '../catalogue/measurements.ts';
import { plannedPositions, usualCount } from '../catalogue/positions.ts';
import type { JobState } from '../job/job.ts';
import type { Component, Required } from '../judging/components.ts';
import { placeName } from '../layout/graph.ts';
import { gaugedAt, whyNotGauged } from '../readiness/mayGauge.ts';
import { CORNERS, type Corner } from '../layout/kinds.ts';

/** One stop of the walk: a measurement of a component. */
export interface Stop {
  readonly slotId: string;
  readonly place: string;
  readonly corner: Corner | null;
  readonly measurement: MeasurementId;
  readonly name: string;
  readonly gauge: GaugeKind;
  readonly positions: number;
  /** Seconds, with the change of gauge and the walk where they are needed. */
  readonly seconds: number;
  /** It was passed over for now and comes back at the end. */
  readonly skipped: boolean;
}

export interface Walk {
  readonly stops: readonly Stop[];
  readonly seconds: number;
  /** The same in the order of the list, without the route. */
  readonly secondsUnordered: number;
  readonly gaugeChanges: number;
}

/** Seconds of a careful person (generic): a reading, another gauge in hand, a set-up, the way to the next corner. */
const TAKES = { reading: 5, gauge: 20, setUp: 60, walk: 25 } as const;
/** What stands on a magnet or knuckle and is set up once a place: a dial. */
const SET_UP: readonly GaugeKind[] = ['dial'];
/** The order in which a corner is taken: bearing first, where runout would lie. */
const ORDER: readonly GaugeKind[] = ['dial', 'micrometer', 'caliper', 'depth_gauge', 'feeler', 'drum_gauge', 'bore_gauge'];

interface Owed {
  readonly slotId: string;
  readonly place: string;
  readonly corner: Corner | null;
  readonly measurement: MeasurementId;
}

const rank = (o: Owed): number => {
  const at = ORDER.indexOf(MEASUREMENTS[o.measurement].usualGauge);
  return at < 0 ? ORDER.length : at;
};
/** When something is taken among what shares a set-up of the dial. */
const dialTurn = (m: MeasurementId): number => MEASUREMENTS[m].dialTurn ?? 0;

function timed(
  list: readonly Owed[],
  skipped: ReadonlySet<string>,
): { readonly stops: Stop[]; readonly seconds: number; readonly changes: number } {
  let gauge: GaugeKind | null = null;
  let corner: Corner | null | undefined;
  let changes = 0;
  const stops = list.map((o): Stop => {
    const m = MEASUREMENTS[o.measurement];
    const positions = plannedPositions(o.measurement, usualCount(o.measurement)).length;
    let seconds = positions * TAKES.reading;
    const moved = corner !== undefined && o.corner !== corner;
    if (moved) seconds += TAKES.walk;
    if (m.usualGauge !== gauge) {
      seconds += TAKES.gauge;
      changes += 1;
    }
    if (SET_UP.includes(m.usualGauge) && (m.usualGauge !== gauge || moved)) seconds += TAKES.setUp;
    gauge = m.usualGauge;
    corner = o.corner;
    return {
      ...o,
      name: m.name,
      gauge: m.usualGauge,
      positions,
      seconds,
      skipped: skipped.has(`${o.slotId}|${o.measurement}`),
    };
  });
  return { stops, seconds: stops.reduce((n, s) => n + s.seconds, 0), changes };
}

/** What sits there, or lies on the bench and can be gauged there: no figure of a fit, nor as found of what was worked on since. */
function inReach(state: JobState, c: Component, { measurement, phase }: Required): boolean {
  if (!c.empty) return true;
  return c.bench !== null && whyNotGauged(gaugedAt(state.history, LAST), c.slot, measurement.id, phase === 'as_found') === null;
}
/** After everything on record. */
const LAST = '9999';

/**
 * The way round a vehicle that takes everything required in the least time: corner by corner, at each the gauges in an
 * order that the next corner begins with the one that the last ended with, and with one set-up of the dial end float,
 * hub face and runout. What was skipped comes back at the end.
 * @param skipped keys "slot|measurement"
 * Source: handbook 20, One walk round.
 */
export function walkRound(state: JobState, skipped: ReadonlySet<string> = new Set()): Walk {
  const owed: Owed[] = state.components.flatMap((c) => {
    const due = c.required.filter(
      (r) => r.need === 'required' && !r.done && (r.phase === 'as_found' || c.fittedHere) && inReach(state, c, r),
    );
    const ids = [...new Set(due.map((r) => r.measurement.id))];
    return ids.map((measurement) => ({ slotId: c.slot.id, place: placeName(c.slot), corner: c.slot.corner, measurement }));
  });
  const corners: (Corner | null)[] = [...CORNERS.filter((c) => owed.some((o) => o.corner === c)), null];
  const key = (o: Owed): string => `${o.slotId}|${o.measurement}`;
  const route: Owed[] = [];
  corners.forEach((corner, i) => {
    const here = owed.filter((o) => o.corner === corner && !skipped.has(key(o)));
    const ordered = here.sort(
      (a, b) => rank(a) - rank(b) || dialTurn(a.measurement) - dialTurn(b.measurement) || (a.place < b.place ? -1 : 1),
    );
    // Every other corner backwards by gauge, so that the gauge in hand is used again; the dial keeps its own order.
    const gauges = [...new Set(ordered.map((o) => MEASUREMENTS[o.measurement].usualGauge))];
    const sequence = i % 2 === 0 ? gauges : gauges.reverse();
    route.push(...sequence.flatMap((g) => ordered.filter((o) => MEASUREMENTS[o.measurement].usualGauge === g)));
  });
  route.push(...owed.filter((o) => skipped.has(key(o))));
  const walk = timed(route, skipped);
  return { stops: walk.stops, seconds: walk.seconds, secondsUnordered: timed(owed, skipped).seconds, gaugeChanges: walk.changes };
}
