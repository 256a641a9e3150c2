import { childrenOf, CLUTCH_CIRCUIT, cornersOf, isHydraulic, type Layout, placeName, type Slot } from '../layout/graph.ts';
import { axleOf, type Corner, CORNER_NAME } from '../layout/kinds.ts';
import { bleedersFedThrough } from '../standing/disturbed.ts';
import type { NetworkCheck } from './nextCheck.ts';
import type { Network, NetworkFault, NetworkObservation } from './noisyOr.ts';
import { observationFacts, observationKey } from './observations.ts';
import type { CheckKind, FaultKind, Link, Shift, Sign, Tables } from './tables.ts';

/** What is known of the vehicle before anything is observed: it shifts the priors. */
export interface TraceContext {
  /** Years since each place was renewed, resealed or open; by slot id. */
  readonly years: ReadonlyMap<string, number>;
  /** For what has no place of its own. */
  readonly yearsOfAll: number;
  readonly shifts: ReadonlySet<Shift>;
  /** Places at which somebody worked within the last months. */
  readonly fresh: ReadonlySet<string>;
}

/** A fault of this vehicle: of one of its places, or of the whole. */
export interface PlacedFault extends NetworkFault {
  readonly kind: FaultKind;
  readonly slot: Slot | null;
  /** Where it is, in words. */
  readonly where: string;
}
export interface PlacedSign extends NetworkObservation {
  readonly sign: Sign;
  readonly corner: Corner | null;
  readonly text: string;
}
export interface PlacedCheck extends NetworkCheck {
  readonly kind: CheckKind;
  readonly corner: Corner | null;
  readonly name: string;
}

/** The network of one vehicle. */
export interface VehicleNetwork extends Network {
  readonly faults: readonly PlacedFault[];
  readonly observations: readonly PlacedSign[];
  readonly checks: readonly PlacedCheck[];
}

/** Priors per year count for no more years than these. */
const MOST_YEARS = 40;
/** No prior is taken for certain before anything was looked at. */
const MOST_LIKELY = 0.6;

/** A prior with the years and the context: 1 − (1 − q)^years, its odds multiplied by what applies. */
function priorOf(kind: FaultKind, years: number, applies: ReadonlySet<Shift>): number {
  const plain = kind.per === 'year' ? 1 - (1 - kind.prior) ** Math.min(MOST_YEARS, Math.max(0.25, years)) : kind.prior;
  const odds = Object.entries(kind.shifts).reduce((o, [shift, by]) => (applies.has(shift as Shift) ? o * by : o), plain / (1 - plain));
  return Math.min(MOST_LIKELY, odds / (1 + odds));
}

/** A place that a fault is at: its wheels, its axle, its circuits. */
interface At {
  readonly slot: Slot | null;
  readonly corners: readonly Corner[];
  readonly circuits: readonly number[];
  readonly where: string;
  readonly id: string;
}

function placesOf(kind: FaultKind, layout: Layout): At[] {
  const hydraulic = isHydraulic(layout);
  const wheels = cornersOf(layout);
  if (kind.on === 'system')
    return kind.style === 'hydraulic' && !hydraulic
      ? []
      : [{ slot: null, corners: wheels, circuits: [], where: 'the whole vehicle', id: 'system' }];
  if (kind.on === 'axle')
    return (['front', 'rear'] as const).flatMap((axle) => {
      const corners = wheels.filter((c) => axleOf(c) === axle);
      // What pulls is on one side of an axle.
      return corners.length < 2
        ? []
        : corners.map((c): At => ({
            slot: null,
            corners: [c],
            circuits: [],
            where: `${CORNER_NAME[c].toLowerCase()}, outside the brakes`,
            id: c,
          }));
    });
  if (kind.on === 'circuit') {
    const circuits = [...new Set(layout.slots.flatMap((s) => s.circuits))].filter((c) => c !== CLUTCH_CIRCUIT);
    return circuits.map((c): At => {
      const corners = wheels.filter((w) => layout.slots.some((s) => s.corner === w && s.circuits.includes(c)));
      return { slot: null, corners, circuits: [c], where: `circuit ${c}`, id: `circuit${c}` };
    });
  }
  return layout.slots
    .filter((s) => s.kind === kind.on && (kind.style === null || (s.style ?? '').startsWith(kind.style)))
    .map((slot): At => {
      const fed = slot.corner ? [] : bleedersFedThrough(layout, slot).flatMap((id) => layout.slots.find((s) => s.id === id)?.corner ?? []);
      const corners = slot.corner ? [slot.corner] : [...new Set(fed)];
      return { slot, corners, circuits: slot.circuits, where: placeName(slot).toLowerCase(), id: slot.id };
    });
}

const sideOf = (c: Corner): 'left' | 'right' | null => (c === 'FL' || c === 'RL' ? 'left' : c === 'FR' || c === 'RR' ? 'right' : null);

/** The observations that a link comes to at a place, by their keys. */
function shownAt(link: Link, at: At, layout: Layout): string[] {
  const wheels = cornersOf(layout);
  const keys = (corners: readonly Corner[]): string[] => corners.map((c) => observationKey(link.sign, c));
  const [own] = at.corners;
  switch (link.where) {
    case 'system':
      return [link.sign];
    case 'here':
      return keys(at.corners);
    case 'all':
      return keys(wheels);
    case 'axle':
      return keys(wheels.filter((w) => at.corners.some((c) => axleOf(c) === axleOf(w))));
    case 'rear':
      return keys(wheels.filter((w) => axleOf(w) === 'rear'));
    case 'circuit':
      return keys(wheels.filter((w) => layout.slots.some((s) => s.corner === w && s.circuits.some((c) => at.circuits.includes(c)))));
    case 'away':
    case 'toward': {
      const side = at.corners.length === 1 && own ? sideOf(own) : null;
      if (side === null) return [];
      return [(side === 'left') === (link.where === 'toward') ? 'pulls_left' : 'pulls_right'];
    }
    case 'own':
    case 'other': {
      const axle = own ? axleOf(own) : null;
      if (axle === null) return link.where === 'other' ? ['locks_rear'] : ['locks_front', 'locks_rear'];
      return [(axle === 'front') === (link.where === 'own') ? 'locks_front' : 'locks_rear'];
    }
  }
}

/** A sign in words at a wheel. */
function wordsOf(sign: Sign, corner: Corner | null): string {
  const text = sign.text ?? observationFacts(sign.code)?.text ?? sign.code;
  return corner ? `${CORNER_NAME[corner]}: ${text.charAt(0).toLowerCase()}${text.slice(1)}` : text;
}

/**
 * The network of one vehicle, from its own layout: every fault at every place that can have it, joined to what it makes
 * visible there.
 * Source: handbook 30, Faults; How the evidence is weighed (priors per year, context).
 */
export function networkOf(layout: Layout, context: TraceContext, tables: Tables): VehicleNetwork {
  const strengths = new Map<string, Record<string, number>>();
  const faults: PlacedFault[] = [];
  for (const kind of tables.faults) {
    const links = tables.links.filter((l) => l.fault === kind.id);
    for (const at of placesOf(kind, layout)) {
      const id = `${kind.id}@${at.id}`;
      const own = at.slot
        ? [at.slot.id, ...(at.slot.parentId ? [at.slot.parentId] : []), ...childrenOf(layout, at.slot.id).map((s) => s.id)]
        : [];
      const applies = new Set<Shift>([...context.shifts].filter((s) => s !== 'fresh'));
      if (own.some((s) => context.fresh.has(s)) || (at.slot === null && context.fresh.size > 0)) applies.add('fresh');
      const years = (at.slot && context.years.get(at.slot.id)) ?? context.yearsOfAll;
      faults.push({ id, prior: priorOf(kind, years, applies), kind, slot: at.slot, where: at.where });
      for (const link of links)
        for (const key of shownAt(link, at, layout)) {
          const mine = strengths.get(key) ?? {};
          mine[id] = Math.max(mine[id] ?? 0, link.strength);
          strengths.set(key, mine);
        }
    }
  }
  const wheels = cornersOf(layout);
  const observations = tables.signs.flatMap((sign): PlacedSign[] =>
    (sign.scope === 'corner' ? wheels : [null]).flatMap((corner) => {
      const id = observationKey(sign.code, corner);
      const mine = strengths.get(id);
      return mine ? [{ id, leak: sign.leak, strengths: mine, sign, corner, text: wordsOf(sign, corner) }] : [];
    }),
  );
  const there = new Set(observations.map((o) => o.id));
  const checks = tables.checks.flatMap((kind): PlacedCheck[] =>
    (kind.scope === 'corner' ? wheels : [null]).flatMap((corner) => {
      const settles = kind.signs.map((code) => observationKey(code, corner)).filter((id) => there.has(id));
      const name = corner ? `${kind.name}: ${CORNER_NAME[corner].toLowerCase()}` : kind.name;
      return settles.length === 0
        ? []
        : [{ id: observationKey(kind.id, corner), minutes: kind.minutes, observations: settles, kind, corner, name }];
    }),
  );
  return { faults, observations, checks };
}
