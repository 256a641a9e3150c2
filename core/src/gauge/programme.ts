import type { ComponentKind } from '../layout/kinds.ts';
import type { OptionId } from '../records/types.ts';
import type { MeasurementId } from './characteristics.ts';

export interface ProgrammeLine {
  readonly kind: ComponentKind;
  /** Required of the part as found. */
  readonly asFound: readonly MeasurementId[];
  /** Required as fitted, by what was done. */
  readonly asFitted: Readonly<Partial<Record<OptionId, readonly MeasurementId[]>>>;
  /** A look with words is required. */
  readonly look: boolean;
}

/** What has to be gauged and looked at on each kind of component. Source: handbook 15, Scope and programme; 20. */
export const PROGRAMME: readonly ProgrammeLine[] = [
  {
    kind: 'rotor',
    asFound: ['rotor_thickness', 'rotor_runout'],
    asFitted: { replace: ['rotor_thickness', 'rotor_runout'], machine: ['rotor_thickness', 'rotor_runout'] },
    look: true,
  },
  { kind: 'drum', asFound: ['drum_diameter'], asFitted: { replace: ['drum_diameter'], machine: ['drum_diameter'] }, look: true },
  { kind: 'pads', asFound: ['pad_lining'], asFitted: { replace: ['pad_lining'] }, look: true },
  { kind: 'caliper', asFound: [], asFitted: {}, look: true },
  { kind: 'piston', asFound: [], asFitted: {}, look: true },
  { kind: 'wheel_cylinder', asFound: [], asFitted: {}, look: true },
  { kind: 'shoes', asFound: [], asFitted: {}, look: true },
  { kind: 'master_cylinder', asFound: [], asFitted: {}, look: true },
  { kind: 'servo', asFound: [], asFitted: {}, look: true },
  { kind: 'valve', asFound: [], asFitted: {}, look: true },
  { kind: 'hose', asFound: [], asFitted: {}, look: true },
  { kind: 'hub', asFound: [], asFitted: {}, look: true },
  { kind: 'clutch_master', asFound: [], asFitted: {}, look: true },
  { kind: 'clutch_slave', asFound: [], asFitted: {}, look: true },
];

export function programmeOf(kind: ComponentKind): ProgrammeLine {
  return PROGRAMME.find((p) => p.kind === kind) ?? { kind, asFound: [], asFitted: {}, look: false };
}
