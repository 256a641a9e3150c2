import {
  codeAt,
  isFeltAtControl,
  isSeenInReservoir,
  observationFacts,
  observationKey,
  observedCode,
  slotOfObservation,
} from '../../catalogue/observations.ts';
import { waterLikely } from '../../catalogue/fluids.ts';
import type { CheckKind, FaultKind, Link, Shift, Sign, Tables } from '../../catalogue/trace/tables.ts';
import type { Evidence, Network, NetworkFault, NetworkObservation } from '../../inference/faultNetwork.ts';
import type { NetworkCheck } from '../../inference/nextCheck.ts';
import { CLUTCH_CIRCUIT, type Layout, type Slot, childrenOf, cornersOf, isHydraulic, placeName } from '../../layout/graph.ts';
import { type Axle, AXLES, CORNER_NAME, type Corner, axleOf } from '../../layout/kinds.ts';
import { type Control, controlsOf, pedalsOf, type Reservoir, reservoirsOf } from '../../layout/reach.ts';
import { lowerFirst, upperFirst } from '../../quantity/display.ts';
import { bleedersFedThrough } from '../../readiness/disturbed.ts';
import { checkCost, costsOf } from './costs.ts';
import { HAZARD_OF, HOT_ONLY } from './hazards.ts';
import { TRACE_PLACE } from '../../wording/en/trace.ts';

/** What is known of the vehicle before anything is observed: it shifts the priors. */
export interface TraceContext {
  /** Years since each place was renewed, resealed or open; by slot id. */
  readonly years: ReadonlyMap<string, number>;
  /** For what has no place of its own. */
  readonly yearsOfAll: number;
  /** Water that is reckoned with, percent, by circuit; where nothing is told of it, fluid is as old as the context says. */
  readonly water?: ReadonlyMap<number, number>;
  readonly shifts: ReadonlySet<Shift>;
  /** Places at which somebody worked within the last months. */
  readonly fresh: ReadonlySet<string>;
  /** By which the odds of a kind of fault are multiplied, from the shop's own cases; none where not named. */
  readonly times?: ReadonlyMap<string, number>;
}

/** A fault of this vehicle: of one of its places, or of the whole. */
export interface PlacedFault extends NetworkFault {
  readonly kind: FaultKind;
  readonly slot: Slot | null;
  /** The slot's id, or what names a place without one: system, circuit1, a corner. */
  readonly place: string;
  /** Where it is, in words. */
  readonly where: string;
}
export interface PlacedSign extends NetworkObservation {
  readonly sign: Sign;
  /** The sign's code, with the number of the piece where there are several alike: piston_stiff#2. */
  readonly code: string;
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
const MAX_YEARS = 40;
/** No prior is taken for certain before anything was looked at. */
const MAX_LIKELY = 0.6;

/** A prior with the years and the context: 1 − (1 − q)^years, its odds multiplied by what applies. */
function priorOf(kind: FaultKind, years: number, applies: ReadonlySet<Shift>, times: number): number {
  const plain = kind.per === 'year' ? 1 - (1 - kind.prior) ** Math.min(MAX_YEARS, Math.max(0.25, years)) : kind.prior;
  const odds = Object.entries(kind.shifts).reduce(
    (o, [shift, by]) => (applies.has(shift as Shift) ? o * by : o),
    (times * plain) / (1 - plain),
  );
  return Math.min(MAX_LIKELY, odds / (1 + odds));
}

/** Water of a fluid that nobody has told anything of, percent: more than is borne. */
const WATER_UNKNOWN = 6;
/** Nothing is ruled out before anything was looked at. */
const LEAST_LIKELY = 0.0005;

/** How likely water is, by the circuit of a reservoir that has the most of it. Source: handbook 35, Links to mend (fluid_water). */
function waterPrior(kind: FaultKind, of: Reservoir, context: TraceContext, times: number): number {
  const { water } = context;
  const share = water
    ? Math.max(...of.circuits.map((c) => waterLikely(water.get(c) ?? WATER_UNKNOWN)))
    : Number(context.shifts.has('old_fluid'));
  const odds = (times * kind.prior) / (1 - kind.prior);
  return Math.max(LEAST_LIKELY, (share * odds) / (1 + odds));
}

/** A place that a fault is at: its wheels, its axle, its circuits. */
interface At {
  readonly slot: Slot | null;
  readonly corners: readonly Corner[];
  readonly circuits: readonly number[];
  readonly where: string;
  readonly id: string;
  /** The reservoir that it is the fluid of. */
  readonly fluidOf?: Reservoir;
}

/** Whether a part is built as a fault needs it: by the beginning of its style, spread by a cam or wedge, pulled by a cable, holding fluid. */
function hasStyle(layout: Layout, s: Slot, style: string | null): boolean {
  if (style === 'levered') return layout.connections.some((c) => c.kind === 'cable' && (c.from === s.id || c.to === s.id));
  if (style === 'wet') return s.circuits.length > 0;
  if (style === 'mechanical') return layout.slots.some((o) => o.corner === s.corner && o.kind === 'expander');
  return style === null || (s.style ?? '').startsWith(style);
}

/** The fluid of each reservoir, by its slot; the only one on the map stands for the vehicle’s, as it did before others were told apart. */
function fluidPlaces(kind: FaultKind, layout: Layout): At[] {
  const wheels = cornersOf(layout);
  const all = reservoirsOf(layout);
  return all.flatMap((r): At[] => {
    const corners = wheels.filter((w) => layout.slots.some((s) => s.corner === w && s.circuits.some((c) => r.circuits.includes(c))));
    // What only presses the clutch is no brake.
    if (kind.style === 'brakes' && r.circuits.every((c) => c === CLUTCH_CIRCUIT)) return [];
    const of = { corners, circuits: r.circuits, fluidOf: r };
    return all.length === 1
      ? [{ ...of, slot: null, where: TRACE_PLACE.system, id: 'system' }]
      : [
          {
            ...of,
            slot: layout.slots.find((s) => s.id === r.slotId) ?? null,
            where: lowerFirst(r.name),
            id: r.plain ? 'system' : r.slotId,
          },
        ];
  });
}

function placesOf(kind: FaultKind, layout: Layout): At[] {
  const hydraulic = isHydraulic(layout);
  const wheels = cornersOf(layout);
  if (kind.on === 'system')
    return kind.style === 'hydraulic' && !hydraulic
      ? []
      : [{ slot: null, corners: wheels, circuits: [], where: TRACE_PLACE.system, id: 'system' }];
  if (kind.on === 'fluid') return fluidPlaces(kind, layout);
  if (kind.on === 'axle')
    return AXLES.flatMap((axle) => {
      const corners = wheels.filter((c) => axleOf(c) === axle);
      // What pulls is on one side of an axle.
      return corners.length < 2
        ? []
        : corners.map((c): At => ({
            slot: null,
            corners: [c],
            circuits: [],
            where: TRACE_PLACE.outsideBrakes(c),
            id: c,
          }));
    });
  if (kind.on === 'circuit') {
    const circuits = [...new Set(layout.slots.flatMap((s) => s.circuits))].filter((c) => c !== CLUTCH_CIRCUIT);
    return circuits.map((c): At => {
      const corners = wheels.filter((w) => layout.slots.some((s) => s.corner === w && s.circuits.includes(c)));
      return { slot: null, corners, circuits: [c], where: TRACE_PLACE.circuit(c), id: `circuit${c}` };
    });
  }
  return layout.slots
    .filter((s) => s.kind === kind.on && hasStyle(layout, s, kind.style))
    .map((slot): At => {
      const fed = slot.corner ? [] : bleedersFedThrough(layout, slot).flatMap((id) => layout.slots.find((s) => s.id === id)?.corner ?? []);
      const corners = slot.corner ? [slot.corner] : [...new Set(fed)];
      return { slot, corners, circuits: slot.circuits, where: placeName(slot).toLowerCase(), id: slot.id };
    });
}

const sideOf = (c: Corner): 'left' | 'right' | null => (c === 'FL' || c === 'RL' ? 'left' : c === 'FR' || c === 'RR' ? 'right' : null);

/** One of several alike at a wheel, or one circuit of several: what of it is answered by itself. */
interface Piece {
  readonly code: string;
  readonly corner: Corner | null;
  readonly name: string;
}
function pieceOf(code: string, at: At, layout: Layout): Piece {
  const { slot } = at;
  if (slot === null) {
    const several = new Set(layout.slots.flatMap((s) => s.circuits).filter((c) => c !== CLUTCH_CIRCUIT)).size > 1;
    return { code: several ? `${code}#${at.circuits[0] ?? 1}` : code, corner: null, name: several ? at.where : '' };
  }
  const alike = layout.slots.filter((s) => s.kind === slot.kind && s.corner === slot.corner);
  const number = alike.findIndex((s) => s.id === slot.id) + 1;
  return { code: alike.length > 1 ? `${code}#${number}` : code, corner: slot.corner, name: placeName(slot) };
}

/** The pedals and levers that reach where a fault is; all of them where it is of the whole. */
function controlsAt(layout: Layout, at: At, controls: readonly Control[]): Control[] {
  const reaching = controls.filter((c) => {
    if (at.fluidOf) return [...at.fluidOf.reach].some((id) => c.reach.has(id));
    if (at.slot && c.reach.has(at.slot.id)) return true;
    const circuits = at.circuits;
    if (circuits.length > 0) return layout.slots.some((s) => c.reach.has(s.id) && s.circuits.some((x) => circuits.includes(x)));
    return at.slot === null && layout.slots.some((s) => s.corner !== null && at.corners.includes(s.corner) && c.reach.has(s.id));
  });
  return reaching.length > 0 ? reaching : [...controls];
}

/** The reservoirs in which something at a place shows: those whose fluid stands there; all of them where it is of the whole. */
function reservoirsAt(at: At, reservoirs: readonly Reservoir[]): readonly Reservoir[] {
  if (at.fluidOf) return [at.fluidOf];
  const { slot } = at;
  if (slot === null && at.circuits.length === 0) return reservoirs;
  const holding = slot === null ? [] : reservoirs.filter((r) => r.reach.has(slot.id));
  return holding.length > 0 ? holding : reservoirs.filter((r) => r.circuits.some((c) => at.circuits.includes(c)));
}

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

/** How much less a wheel behind makes a vehicle pull than one in front. Source: handbook 35, Links to mend. */
const PULL_BEHIND = 0.2;
/** Signs that one axle alone makes. */
const AXLE_OF_SIGN: Readonly<Record<string, Axle>> = { judder_wheel: 'front', judder_seat: 'rear' };

/** Whether a link can show at a place: what the parking lever tells, of what it reaches; what is felt in the steering, of what is in front. */
function isShown(layout: Layout, link: Link, at: At): boolean {
  const { fluidOf } = at;
  const facts = observationFacts(link.sign);
  if (fluidOf) {
    // Fluid shows where it is: the clutch's at the clutch, the brakes' at the brakes.
    const clutch = facts?.needs === 'clutch' || isSeenInReservoir(link.sign);
    const brakes = facts?.needs !== 'clutch';
    const ofClutch = fluidOf.circuits.includes(CLUTCH_CIRCUIT);
    if (!(clutch && ofClutch) && !(brakes && fluidOf.circuits.some((c) => c !== CLUTCH_CIRCUIT))) return false;
  }
  const axle = AXLE_OF_SIGN[link.sign];
  if (axle !== undefined && at.slot !== null && at.corners.some((c) => axleOf(c) !== axle)) return false;
  const ofLever = link.sign === 'judder_parking' || facts?.group === 'parking';
  const levers = ofLever ? controlsOf(layout).filter((c) => c.kind === 'parking') : [];
  return levers.length === 0 || at.slot?.corner == null || levers.some((c) => at.slot !== null && c.reach.has(at.slot.id));
}

/** Where what follows shows: of the whole, or at the wheels of what it follows from. */
function scopeOf(tables: Tables, sign: string, link: Link): Link['where'] {
  return tables.signs.find((s) => s.code === sign)?.scope === 'system' ? 'system' : link.where;
}

/** The kind of component without which there is nothing to see of some signs. */
const SHOWN_BY = { servo: 'servo', clutch: 'clutch_master', parking: 'parking_lever' } as const;

/** Whether a layout has what a sign is about at all: no fluid, no level; no brake on an axle, no wheel that it locks. */
function canShow(sign: Sign, layout: Layout): boolean {
  if (sign.code === 'locks_front') return cornersOf(layout).some((c) => axleOf(c) === 'front');
  if (sign.code === 'locks_rear') return cornersOf(layout).some((c) => axleOf(c) !== 'front');
  const needs = observationFacts(sign.code)?.needs ?? null;
  if (needs === null) return true;
  return needs === 'hydraulic' ? isHydraulic(layout) : layout.slots.some((s) => s.kind === SHOWN_BY[needs]);
}

/** A sign in words at a place. */
function wordsOf(sign: Sign, where: string): string {
  const text = sign.text ?? observationFacts(sign.code)?.text ?? sign.code;
  const at = upperFirst(where);
  return where === '' ? text : `${at}: ${text.charAt(0).toLowerCase()}${text.slice(1)}`;
}

/**
 * The network of one vehicle, from its own layout: every fault at every place that can have it, joined to what it makes
 * visible there.
 * Source: handbook 30, Faults; How the evidence is weighed (priors per year, context).
 */
export function networkOf(layout: Layout, context: TraceContext, tables: Tables): VehicleNetwork {
  const strengths = new Map<string, Record<string, number>>();
  const faults: PlacedFault[] = [];
  const inPieces = new Set(tables.signs.flatMap((s) => (s.scope === 'piece' ? [s.code] : [])));
  const pieces = new Map<string, Map<string, Piece>>();
  // What is felt at one of several pedals and levers is answered by itself.
  const pedals = pedalsOf(layout);
  const wet = new Set(pedals.filter((c) => layout.slots.some((s) => s.kind === 'master_cylinder' && c.reach.has(s.id))));
  const canFeel =
    (sign: string) =>
    (c: Control): boolean =>
      observationFacts(sign)?.needs !== 'hydraulic' || wet.has(c);
  const byControl = (sign: string): boolean => pedals.length > 1 && isFeltAtControl(sign);
  // What is seen in one of several reservoirs is answered of that one.
  const reservoirs = reservoirsOf(layout);
  const byReservoir = (sign: string): boolean => reservoirs.length > 1 && isSeenInReservoir(sign);
  const keysAt = (sign: string, list: readonly (Control | Reservoir)[]): string[] =>
    list.map((of) => {
      const piece: Piece = { code: 'plain' in of && of.plain ? sign : codeAt(sign, of.slotId), corner: null, name: of.name };
      pieces.set(sign, (pieces.get(sign) ?? new Map<string, Piece>()).set(piece.code, piece));
      return piece.code;
    });
  const keysOf = (link: Link, at: At): string[] => {
    if (byControl(link.sign)) return keysAt(link.sign, controlsAt(layout, at, pedals).filter(canFeel(link.sign)));
    if (byReservoir(link.sign)) return keysAt(link.sign, reservoirsAt(at, reservoirs));
    if (!inPieces.has(link.sign)) return shownAt(link, at, layout);
    const piece = pieceOf(link.sign, at, layout);
    const key = observationKey(piece.code, piece.corner);
    pieces.set(link.sign, (pieces.get(link.sign) ?? new Map<string, Piece>()).set(key, piece));
    return [key];
  };
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
      const times = context.times?.get(kind.id) ?? 1;
      const prior =
        kind.per === 'fluid' && at.fluidOf ? waterPrior(kind, at.fluidOf, context, times) : priorOf(kind, years, applies, times);
      faults.push({
        id,
        prior,
        hazard: HAZARD_OF.has(kind.id) && !HOT_ONLY.has(kind.id),
        ...costsOf(kind),
        kind,
        slot: at.slot,
        place: at.id,
        where: at.where,
      });
      const show = (link: Link, strength: number): void => {
        for (const key of keysOf(link, at)) {
          const mine = strengths.get(key) ?? {};
          mine[id] = Math.max(mine[id] ?? 0, strength);
          strengths.set(key, mine);
        }
      };
      for (const link of links.filter((l) => isShown(layout, l, at))) {
        show(link, link.sign === 'pull' && at.corners.every((c) => axleOf(c) !== 'front') ? link.strength * PULL_BEHIND : link.strength);
        // What follows from it follows alike, whichever fault it is.
        for (const f of tables.follows.filter((x) => x.sign === link.sign))
          show({ ...link, sign: f.then, where: scopeOf(tables, f.then, link) }, f.strength);
      }
    }
  }
  const wheels = cornersOf(layout);
  const observations = tables.signs.flatMap((sign): PlacedSign[] => {
    if (!canShow(sign, layout)) return [];
    const wanted: readonly Piece[] =
      sign.scope === 'piece' || byControl(sign.code) || byReservoir(sign.code)
        ? [...(pieces.get(sign.code)?.values() ?? [])]
        : (sign.scope === 'corner' ? wheels : [null]).map((corner) => ({
            code: sign.code,
            corner,
            name: corner ? CORNER_NAME[corner] : '',
          }));
    return wanted.flatMap(({ code, corner, name }) => {
      const id = observationKey(code, corner);
      const mine = strengths.get(id);
      return mine ? [{ id, leak: sign.leak, strengths: mine, sign, code, corner, text: wordsOf(sign, name) }] : [];
    });
  });
  const idsOf = (code: string, corner: Corner | null): string[] =>
    observations.flatMap((o) => (o.sign.code === code && o.corner === corner ? [o.id] : []));
  const checks = tables.checks.flatMap((kind): PlacedCheck[] =>
    (kind.scope === 'corner' ? wheels : [null]).flatMap((corner) => {
      const at = kind.scope === 'wheels' ? wheels : [corner];
      const settles = at.flatMap((c) => kind.signs.flatMap((code) => idsOf(code, c)));
      // Each of several reservoirs is looked into by itself.
      const each = kind.signs.every(byReservoir) ? reservoirs : [];
      if (each.length > 0)
        return each.flatMap((r): PlacedCheck[] => {
          const mine = settles.filter((id) => slotOfObservation(id) === (r.plain ? null : r.slotId));
          const name = `${kind.name}: ${lowerFirst(r.name)}`;
          const { minutes } = kind;
          const of = { id: r.plain ? kind.id : codeAt(kind.id, r.slotId), minutes, observations: mine, kind, corner, name };
          return mine.length === 0 ? [] : [{ ...of, drives: kind.hazards.includes('drives'), cost: checkCost(kind, minutes) }];
        });
      const name = corner ? `${kind.name}: ${CORNER_NAME[corner].toLowerCase()}` : kind.name;
      const minutes = kind.minutes + kind.minutesEach * wheels.length;
      return settles.length === 0
        ? []
        : [
            {
              ...{ id: observationKey(kind.id, corner), minutes, observations: settles, kind, corner, name },
              drives: kind.hazards.includes('drives'),
              cost: checkCost(kind, minutes),
            },
          ];
    }),
  );
  return { faults, observations, checks };
}

/** The checks that mean something as things are known: one that is about a dragging wheel needs a wheel that drags. */
export function meaningful<C extends PlacedCheck>(checks: readonly C[], observations: Evidence['observations']): C[] {
  return checks.filter(
    ({ kind, corner }) =>
      kind.onlyWhere.length === 0 ||
      kind.onlyWhere.some(
        (code) =>
          observations[observationKey(code, corner)] === 'seen' ||
          Object.keys(observations).some((key) => observedCode(key) === code && observations[key] === 'seen'),
      ),
  );
}
