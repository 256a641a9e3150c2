import { type Slot } from '../../layout/graph.ts';
import type { Control } from '../../layout/reach.ts';
import { lower } from './lower.ts';
import type { PartEventKind } from '../../ledger/families/partEvents.ts';
import type { Hindrance, DisturbedBy } from '../reasons.ts';

export function hindranceWords(h: Hindrance): string {
  switch (h.kind) {
    case 'nothing_there':
      return `Nothing sits at the ${lower(h.slot)}, and nothing was found there: there is nothing to gauge.`;
    case 'away':
      return `What sat at the ${lower(h.slot)} is away: it is gauged when it is back.`;
    case 'scrapped':
      return `What sat at the ${lower(h.slot)} was scrapped: fit what takes its place, and gauge that.`;
    case 'elsewhere':
      return `What sat at the ${lower(h.slot)} sits elsewhere now: gauge it there.`;
    case 'drum_stuck':
      return `The ${lower(h.slot)} does not come off yet, so nobody can have gauged that. Say that it is off first.`;
    case 'closed_again':
      return `The ${lower(h.slot)} is on again: take it off first.`;
    case 'sealed_again':
      return `The ${lower(h.slot)} is sealed again: its inside is gauged before that. Take back “Resealed”, or open it once more.`;
    case 'fit_is_off':
      return `${h.figure} is a figure of what is fitted, and the ${lower(h.slot)} is off.`;
    case 'altered':
      return `It was ${h.by} since it came off: as found it cannot be gauged any more. Gauge it after machining, or once it is fitted.`;
  }
}

const MOVED: Readonly<Partial<Record<PartEventKind, string>>> = { removed: 'taken off' };

/** As it goes on in a sentence: "front left hose fitted". */
export function disturbedWords(slot: Slot, by: DisturbedBy): string {
  if (by.kind === 'part') return `${lower(slot)} ${MOVED[by.event] ?? by.event}`;
  return by.kind === 'joint' ? `a joint at the ${lower(slot)} opened` : `${lower(slot)} opened`;
}

/** Why a record counts for nothing now: something ended it since, or something was open when it was made. */
export const STATUS = {
  lapsed: (what: string): string => `Lapsed: ${what} since.`,
  provisional: (what: string | null): string => `Provisional, as it stood then: ${what ?? 'something open'}. Do it again.`,
  jointNotTorqued: (joint: string): string => `joint at the ${joint} is not torqued`,
  notClosed: (slot: Slot): string => `${lower(slot)} is not closed`,
};

/** Why a brake on the propeller shaft holds nothing. */
export const SHAFT_LIFTED = 'A brake on the shaft holds only through both driven wheels on the ground: chock it.';

/** What a hand or foot does to a control. */
export function workedBy(control: Pick<Control, 'kind'>): string {
  return control.kind === 'parking' ? 'pull' : 'press';
}

/**
 * Why a control is locked.
 * @param causes of the places that lock it, the most dangerous first
 * @param more how many others lock it as well
 * @param shared controls on the same reservoir
 */
export function lockWords(
  control: Pick<Control, 'kind' | 'name'>,
  causes: readonly string[],
  more: number,
  shared: readonly string[],
): string {
  const others = more > 0 ? ` and ${more} more` : '';
  const beside =
    shared.length > 0 ? ` It shares its reservoir with the ${shared.map((name) => name.toLowerCase()).join(' and the ')}.` : '';
  return `Do not ${workedBy(control)} the ${control.name.toLowerCase()}: ${causes.join(', ')}${others}.${beside}`;
}

/** What stays free while a control is locked. */
export const STILL_FREE = 'Gravity and vacuum at another unit stay free; no pedal, no lever, no pressure on the reservoir.';

/** What keeps a vehicle from being moved further. */
export const MOVE = {
  undriven: (note: string): string => `It leaves as not to be driven: ${note}`,
  units: 'Units alone: they may be carried.',
  beforeRoad: (n: number): string => `${n} to do before the road`,
  granted: 'With a person and chocks, by a lead’s name.',
  firstPress: 'The pedal was not pumped up since the brakes were worked on.',
  noParkingBrake: 'It has no parking brake.',
  notProved: 'The parking brake is not proved.',
};
