import {
  codeAt,
  codeIn,
  isFeltAtControl,
  isSaidOf,
  isSeenInReservoir,
  observationFacts,
  observationKey,
  observedCode,
} from '../../catalogue/observations.ts';
import type { CheckKind, FaultKind, Link, Shift, Sign, Tables } from '../../catalogue/trace/tables.ts';
import type { Evidence, Network, NetworkFault, NetworkObservation } from '../../inference/faultNetwork.ts';
import type { NetworkCheck } from '../../inference/nextCheck.ts';
import { type Layout, type Slot, childrenOf, cornersOf } from '../../layout/graph.ts';
import { CORNER_NAME, type Corner, axleOf } from '../../layout/kinds.ts';
import { type Control, pedalsOf, type Reservoir, reservoirsOf } from '../../layout/reach.ts';
import { lowerFirst } from '../../quantity/display.ts';
import { checkCost, costsOf } from './costs.ts';
import { HAZARD_OF, HOT_ONLY } from './hazards.ts';
import { type At, placesOf } from './places.ts';
import { priorOf, type TraceContext, waterPrior } from './priors.ts';
import { canShow, controlsAt, isShown, type Piece, pieceOf, PULL_BEHIND, reservoirsAt, scopeOf, shownAt, wordsOf } from './shown.ts';

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

/** The checks of a vehicle, with what each settles: of the whole, of each wheel, of each of several reservoirs. */
function checksOf(layout: Layout, tables: Tables, observations: readonly PlacedSign[]): PlacedCheck[] {
  const wheels = cornersOf(layout);
  const reservoirs = reservoirsOf(layout);
  const idsOf = (code: string, corner: Corner | null): string[] =>
    observations.flatMap((o) => (o.sign.code === code && o.corner === corner ? [o.id] : []));
  const placed = (kind: CheckKind, id: string, name: string, corner: Corner | null, minutes: number, settles: string[]): PlacedCheck[] =>
    settles.length === 0
      ? []
      : [
          {
            ...{ id, minutes, observations: settles, kind, corner, name },
            ...{ drives: kind.hazards.includes('drives'), cost: checkCost(kind, minutes) },
          },
        ];
  return tables.checks.flatMap((kind): PlacedCheck[] => {
    const of = (at: readonly (Corner | null)[]): string[] => at.flatMap((c) => kind.signs.flatMap((code) => idsOf(code, c)));
    if (reservoirs.length > 1 && kind.signs.every(isSeenInReservoir))
      return reservoirs.flatMap((r) => {
        const mine = of([null]).filter((id) => isSaidOf(id, r));
        return placed(kind, codeIn(kind.id, r), `${kind.name}: ${lowerFirst(r.name)}`, null, kind.minutes, mine);
      });
    return (kind.scope === 'corner' ? wheels : [null]).flatMap((corner) => {
      const name = corner ? `${kind.name}: ${CORNER_NAME[corner].toLowerCase()}` : kind.name;
      const minutes = kind.minutes + kind.minutesEach * wheels.length;
      return placed(kind, observationKey(kind.id, corner), name, corner, minutes, of(kind.scope === 'wheels' ? wheels : [corner]));
    });
  });
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
      const piece: Piece = { code: 'plain' in of ? codeIn(sign, of) : codeAt(sign, of.slotId), corner: null, name: of.name };
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
      // Fluid is new, or has air in it, by work on anything that it stands in.
      const near = at.fluidOf && at.slot ? [...at.fluidOf.reach] : own;
      if (near.some((s) => context.fresh.has(s)) || (at.slot === null && context.fresh.size > 0)) applies.add('fresh');
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
  return { faults, observations, checks: checksOf(layout, tables, observations) };
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
