import { isSeenInReservoir, observationFacts, observationKey } from '../../catalogue/observations.ts';
import type { Link, Sign, Tables } from '../../catalogue/trace/tables.ts';
import { CLUTCH_CIRCUIT, type Layout, cornersOf, isHydraulic, placeName } from '../../layout/graph.ts';
import { type Axle, type Corner, axleOf } from '../../layout/kinds.ts';
import { type Control, controlsOf, type Reservoir } from '../../layout/reach.ts';
import { upperFirst } from '../../quantity/display.ts';
import type { At } from './places.ts';

const sideOf = (c: Corner): 'left' | 'right' | null => (c === 'FL' || c === 'RL' ? 'left' : c === 'FR' || c === 'RR' ? 'right' : null);

/** One of several alike at a wheel, or one circuit of several: what of it is answered by itself. */
export interface Piece {
  readonly code: string;
  readonly corner: Corner | null;
  readonly name: string;
}

export function pieceOf(code: string, at: At, layout: Layout): Piece {
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
export function controlsAt(layout: Layout, at: At, controls: readonly Control[]): Control[] {
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
export function reservoirsAt(at: At, reservoirs: readonly Reservoir[]): readonly Reservoir[] {
  if (at.fluidOf) return [at.fluidOf];
  const { slot } = at;
  if (slot === null && at.circuits.length === 0) return reservoirs;
  const holding = slot === null ? [] : reservoirs.filter((r) => r.reach.has(slot.id));
  return holding.length > 0 ? holding : reservoirs.filter((r) => r.circuits.some((c) => at.circuits.includes(c)));
}

/** The observations that a link comes to at a place, by their keys. */
export function shownAt(link: Link, at: At, layout: Layout): string[] {
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
export const PULL_BEHIND = 0.2;

/** Signs that one axle alone makes. */
const AXLE_OF_SIGN: Readonly<Record<string, Axle>> = { judder_wheel: 'front', judder_seat: 'rear' };

/** Whether a link can show at a place: what the parking lever tells, of what it reaches; what is felt in the steering, of what is in front. */
export function isShown(layout: Layout, link: Link, at: At): boolean {
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
export function scopeOf(tables: Tables, sign: string, link: Link): Link['where'] {
  return tables.signs.find((s) => s.code === sign)?.scope === 'system' ? 'system' : link.where;
}

/** The kind of component without which there is nothing to see of some signs. */
const SHOWN_BY = { servo: 'servo', clutch: 'clutch_master', parking: 'parking_lever' } as const;

/** Whether a layout has what a sign is about at all: no fluid, no level; no brake on an axle, no wheel that it locks. */
export function canShow(sign: Sign, layout: Layout): boolean {
  if (sign.code === 'locks_front') return cornersOf(layout).some((c) => axleOf(c) === 'front');
  if (sign.code === 'locks_rear') return cornersOf(layout).some((c) => axleOf(c) !== 'front');
  const needs = observationFacts(sign.code)?.needs ?? null;
  if (needs === null) return true;
  return needs === 'hydraulic' ? isHydraulic(layout) : layout.slots.some((s) => s.kind === SHOWN_BY[needs]);
}

/** A sign in words at a place. */
export function wordsOf(sign: Sign, where: string): string {
  const text = sign.text ?? observationFacts(sign.code)?.text ?? sign.code;
  const at = upperFirst(where);
  return where === '' ? text : `${at}: ${text.charAt(0).toLowerCase()}${text.slice(1)}`;
}
