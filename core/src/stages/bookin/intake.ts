import type { JobHistory } from '../../history/jobHistory.ts';
import { lastPartIn, partIn } from '../../history/whereabouts.ts';
import { type Layout, type Slot, childrenOf, cornersOf } from '../../layout/graph.ts';
import { type ComponentKind, type Corner, KIND_FACTS } from '../../layout/kinds.ts';
import type { CameWith } from '../../ledger/families/cameWith.ts';
import type { IntakeLook, IntakeState, IntakeThing } from '../../ledger/families/intakeLooks.ts';

const INTAKE_THINGS: readonly IntakeThing[] = ['unions', 'bleeders', 'hoses', 'fasteners', 'adjusters', 'springs'];
/** What each thing can be found as. */
export const STATES_OF: Readonly<Record<IntakeThing, readonly IntakeState[]>> = {
  unions: ['sound', 'stiff', 'rounded', 'seized', 'leaks', 'none_here'],
  bleeders: ['sound', 'stiff', 'rounded', 'seized', 'missing', 'none_here'],
  hoses: ['sound', 'cracked', 'leaks', 'missing', 'none_here'],
  fasteners: ['sound', 'stiff', 'rounded', 'seized', 'missing', 'none_here'],
  adjusters: ['sound', 'stiff', 'seized', 'missing', 'none_here'],
  springs: ['sound', 'cracked', 'missing', 'none_here'],
};
/** What costs hours and perhaps a line: soak it, days ahead. Source: handbook 05, Fasteners foretell the bill. */
export const FORETELLS: readonly IntakeState[] = ['stiff', 'rounded', 'seized'];

/** What there is to look at in one place of the vehicle, with the newest look. */
export interface IntakeRow {
  readonly corner: Corner | null;
  readonly thing: IntakeThing;
  readonly look: IntakeLook | null;
}

function thingsAt(layout: Layout, corner: Corner | null): IntakeThing[] {
  const here = layout.slots.filter((s) => s.corner === corner);
  const has = (...kinds: ComponentKind[]): boolean => here.some((s) => kinds.includes(s.kind));
  const lines = layout.connections.some((c) => c.kind === 'line' && here.some((s) => s.id === c.from || s.id === c.to));
  const linkage = layout.connections.some(
    (c) => (c.kind === 'cable' || c.kind === 'rod') && here.some((s) => s.id === c.from || s.id === c.to),
  );
  const there: Readonly<Record<IntakeThing, boolean>> = {
    unions: lines,
    bleeders: has('bleeder'),
    hoses: has('hose'),
    fasteners: corner !== null || has('master_cylinder', 'servo'),
    adjusters: has('shoes', 'parking_shoes', 'drum', 'band') || (corner === null && linkage),
    springs: has('shoes', 'parking_shoes', 'pads', 'band'),
  };
  return INTAKE_THINGS.filter((t) => there[t]);
}

/** Everything that is looked at before the first order, wheel by wheel and then the middle, with what was found. */
export function intakeRows(layout: Layout, looks: readonly IntakeLook[]): IntakeRow[] {
  return [...cornersOf(layout), null].flatMap((corner) =>
    thingsAt(layout, corner).map((thing) => ({
      corner,
      thing,
      look: looks.findLast((l) => l.corner === corner && l.thing === thing) ?? null,
    })),
  );
}

export interface CameWithState {
  readonly there: readonly CameWith[];
  readonly doesNotFit: readonly CameWith[];
  /** Places that stand empty and for which nothing came that fits. */
  readonly missing: readonly Slot[];
}

/** What came with the vehicle against what its layout needs. Source: handbook 00, Book in. */
export function compareCameWith(history: JobHistory): CameWithState {
  const { layout, partEvents, cameWith } = history.records;
  const events = history.active(partEvents);
  const came = history.active(cameWith);
  const fits = new Set(came.filter((c) => c.fits === 'fits').map((c) => c.slotId));
  const missing = layout.slots.filter((s) => {
    const never = lastPartIn(s.id, events) === null;
    const carrier = s.parentId !== null && childrenOf(layout, s.parentId).includes(s);
    return KIND_FACTS[s.kind].article && !carrier && never && partIn(s.id, events) === null && !fits.has(s.id);
  });
  return { there: came, doesNotFit: came.filter((c) => c.fits === 'does_not_fit'), missing };
}
