import type { ComponentKind } from '../layout/kinds.ts';

/** What is done with a part. Source: handbook 40, Options for a part; 58, A06. */
export const OPTION_IDS = [
  'use_again',
  'for_now',
  'reseal',
  'hone',
  'sleeve',
  'machine',
  'reline',
  'replace',
  'exchange',
  'used',
  'convert',
  'take_off',
  'put_off',
] as const;
export type OptionId = (typeof OPTION_IDS)[number];

/** Another article comes in its place: new, overhauled by somebody else for its core, or from another vehicle. */
export const RENEWS: readonly OptionId[] = ['replace', 'exchange', 'used'];

/** What stays as it is until a day, a distance or an access, with a reason. */
export const WAITS: readonly OptionId[] = ['for_now', 'put_off'];

/** What goes back into use as it is. */
export const STAYS: readonly OptionId[] = ['use_again', 'for_now', 'put_off'];

/** What ends with the place itself: the layout of the vehicle is another one then. */
export const ENDS_PLACE: readonly OptionId[] = ['convert', 'take_off'];

/** Why a part is decided upon so. Source: handbook 15, Scope and programme: a coded reason. */
export const REASON_CODES = ['limit', 'finding', 'pair', 'preventive', 'access', 'scarcity', 'owner', 'choice'] as const;
export type ReasonCode = (typeof REASON_CODES)[number];

export const REASON_CODE_NAME: Readonly<Record<ReasonCode, string>> = {
  limit: 'Past its limit',
  finding: 'A finding',
  pair: 'Pair of the axle',
  preventive: 'Before it fails',
  access: 'Open anyway',
  scarcity: 'Getting scarce',
  owner: 'The owner wants it',
  choice: 'By choice',
};

/** Metal of a bore: it decides whether it is honed at all. */
export type BoreMaterial = 'iron' | 'steel' | 'aluminium';

export const OPTION_NAME: Readonly<Record<OptionId, string>> = {
  use_again: 'Use again',
  for_now: 'Use again for now',
  reseal: 'Clean and reseal',
  hone: 'Hone and reseal',
  sleeve: 'Sleeve',
  machine: 'Machine',
  reline: 'Re-line',
  replace: 'Replace new',
  exchange: 'Exchange',
  used: 'Replace used',
  convert: 'Convert',
  take_off: 'Take off the vehicle',
  put_off: 'Put off',
};

/** What is opened and gets new seals. */
export const SEALED: readonly ComponentKind[] = ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'valve'];

/** What has a bore of its own that a seal runs in. */
export const BORED: readonly ComponentKind[] = ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'];

const MACHINED: readonly ComponentKind[] = ['rotor', 'drum', 'band_drum'];

/** What carries a lining that is renewed on it. */
export const LINED: readonly ComponentKind[] = ['shoes', 'parking_shoes', 'band'];

/** Units that a trade overhauls and gives out for the old one. */
const EXCHANGED: readonly ComponentKind[] = [...SEALED, 'servo', 'shoes', 'parking_shoes', 'band'];

/** What an axle becomes another type by. */
const CONVERTED: readonly ComponentKind[] = ['drum', 'rotor', 'band_drum', 'master_cylinder', 'servo'];

/** Options a kind of part has at all. */
export function optionsFor(kind: ComponentKind): OptionId[] {
  const has: Readonly<Partial<Record<OptionId, boolean>>> = {
    reseal: SEALED.includes(kind),
    hone: BORED.includes(kind),
    sleeve: BORED.includes(kind),
    machine: MACHINED.includes(kind),
    reline: LINED.includes(kind),
    exchange: EXCHANGED.includes(kind),
    convert: CONVERTED.includes(kind),
    take_off: kind === 'servo' || kind === 'valve' || kind === 'switch',
  };
  return OPTION_IDS.filter((id) => has[id] ?? true);
}
