import type { ComponentKind } from '../layout/kinds.ts';
import type { FindingCode } from './findingKinds.ts';
import type { MeasurementId } from './measurements.ts';

/** Findings that others follow from, as they are offered. `asksCause`: without one it stays open on the hand-back sheet. */
export const FINDING_CODES: Readonly<
  Record<FindingCode, { readonly name: string; readonly on: readonly ComponentKind[]; readonly asksCause: boolean }>
> = {
  no_lining: { name: 'No lining left', on: ['pads', 'shoes', 'parking_shoes', 'band'], asksCause: false },
  fluid_here: {
    name: 'Fluid where none belongs',
    on: ['pads', 'shoes', 'parking_shoes', 'band', 'rotor', 'drum', 'band_drum', 'caliper', 'wheel_cylinder', 'hub'],
    asksCause: true,
  },
  blue: { name: 'Blued by heat', on: ['rotor', 'drum', 'band_drum'], asksCause: true },
  seized: {
    name: 'Seized',
    on: ['piston', 'caliper', 'wheel_cylinder', 'shoes', 'parking_shoes', 'band', 'master_cylinder'],
    asksCause: false,
  },
  broken: {
    name: 'Broken piece',
    on: ['pads', 'shoes', 'band', 'drum', 'band_drum', 'rotor', 'caliper', 'wheel_cylinder', 'hub', 'hose'],
    asksCause: true,
  },
  rub_mark: { name: 'Rub mark', on: ['hose', 'line', 'rotor', 'drum', 'band_drum', 'caliper', 'hub'], asksCause: true },
  pitted: { name: 'Pitted', on: ['piston', 'wheel_cylinder', 'master_cylinder', 'caliper'], asksCause: false },
  deposits: {
    name: 'Deposits',
    on: ['bleeder', 'reservoir', 'caliper', 'piston', 'hose', 'wheel_cylinder', 'master_cylinder'],
    asksCause: false,
  },
  worn_lip: { name: 'Worn lip or ridge', on: ['rotor', 'drum', 'band_drum'], asksCause: false },
  oil_here: { name: 'Oil from hub, axle or final drive', on: ['hub', 'rotor', 'drum', 'band_drum'], asksCause: false },
};

/** How far a consequence goes from where it was found: the corner, every corner of the axle, or the circuit. */
export type Where = 'corner' | 'axle' | 'others_of_axle' | 'circuit';

/** When this is found, this is owed. */
interface Consequence {
  readonly found: FindingCode;
  /** The same, as it is told at Trace. */
  readonly observed: string | null;
  readonly owes: readonly {
    readonly kinds: readonly ComponentKind[];
    readonly where: Where;
    /** Figures to take; a look where there is none. */
    readonly measure: readonly MeasurementId[];
    readonly look: string | null;
    /** It is opened, or put off by name with a date. */
    readonly opens?: true;
  }[];
}

/** Source: handbook 15, Scope and programme: consequences. */
export const CONSEQUENCES: readonly Consequence[] = [
  {
    found: 'no_lining',
    observed: null,
    owes: [
      { kinds: ['drum'], where: 'axle', measure: ['drum_diameter'], look: 'heat marks and cracks' },
      { kinds: ['band_drum'], where: 'axle', measure: ['band_drum_diameter'], look: 'heat marks and cracks' },
      { kinds: ['rotor'], where: 'axle', measure: ['rotor_thickness', 'rotor_runout', 'rotor_drum'], look: 'heat marks and cracks' },
    ],
  },
  {
    found: 'fluid_here',
    observed: 'fluid_at_wheel',
    owes: [
      { kinds: ['pads', 'shoes', 'parking_shoes', 'band'], where: 'axle', measure: [], look: 'lining soaked with fluid' },
      { kinds: ['wheel_cylinder', 'caliper'], where: 'corner', measure: [], look: 'where the fluid comes from' },
      { kinds: ['hose'], where: 'corner', measure: [], look: 'its end at the wheel' },
    ],
  },
  {
    found: 'blue',
    observed: 'blued',
    owes: [
      { kinds: ['rotor'], where: 'corner', measure: ['rotor_runout'], look: 'cracks' },
      { kinds: ['drum'], where: 'corner', measure: ['drum_diameter'], look: 'cracks' },
      { kinds: ['band_drum'], where: 'corner', measure: ['band_drum_diameter'], look: 'cracks' },
      { kinds: ['piston', 'wheel_cylinder'], where: 'corner', measure: [], look: 'whether it returns' },
      { kinds: ['bleeder'], where: 'corner', measure: [], look: 'boiling point of the fluid' },
    ],
  },
  {
    // Source: handbook 58, D24 and D29.
    found: 'oil_here',
    observed: null,
    owes: [{ kinds: ['pads', 'shoes', 'parking_shoes', 'band'], where: 'corner', measure: [], look: 'oil in the lining' }],
  },
  {
    // Source: handbook 58, A19.
    found: 'deposits',
    observed: 'fluid_sludge',
    owes: [
      {
        ...{ kinds: ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'], where: 'circuit' },
        ...{ measure: [], look: null, opens: true },
      },
    ],
  },
  {
    found: 'seized',
    observed: null,
    owes: [
      { kinds: ['piston', 'wheel_cylinder'], where: 'others_of_axle', measure: [], look: 'whether it moves by itself' },
      { kinds: ['caliper'], where: 'axle', measure: [], look: 'pins and slides' },
      { kinds: ['hose'], where: 'corner', measure: [], look: 'whether it lets fluid back' },
    ],
  },
];

/** Whether a finding asks for its cause and has none: nothing later settles it. */
export function causeMissing(code: FindingCode | null, settled: boolean): boolean {
  return code !== null && FINDING_CODES[code].asksCause && !settled;
}
