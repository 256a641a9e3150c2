import type { ComponentKind } from '../layout/kinds.ts';

export type OptionId = 'use_again' | 'reseal' | 'hone' | 'sleeve' | 'machine' | 'replace' | 'put_off';

/** Metal of a bore: it decides whether it is honed at all. */
export type BoreMaterial = 'iron' | 'steel' | 'aluminium';

export const OPTION_NAME: Readonly<Record<OptionId, string>> = {
  use_again: 'Use again',
  reseal: 'Clean and reseal',
  hone: 'Hone and reseal',
  sleeve: 'Sleeve',
  machine: 'Machine',
  replace: 'Replace',
  put_off: 'Put off',
};

/** What is opened and gets new seals. */
export const SEALED: readonly ComponentKind[] = ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'valve'];

/** What has a bore of its own that a seal runs in. */
export const BORED: readonly ComponentKind[] = ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'];

const MACHINED: readonly ComponentKind[] = ['rotor', 'drum', 'band_drum'];

/** Options a kind of part has at all. */
export function optionsFor(kind: ComponentKind): OptionId[] {
  return [
    'use_again',
    ...(SEALED.includes(kind) ? (['reseal'] as const) : []),
    ...(BORED.includes(kind) ? (['hone', 'sleeve'] as const) : []),
    ...(MACHINED.includes(kind) ? (['machine'] as const) : []),
    'replace',
    'put_off',
  ];
}
