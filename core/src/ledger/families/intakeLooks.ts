import type { Corner } from '../../layout/kinds.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What is looked at and tried at intake, corner by corner, before the first order. Source: handbook 05, 11 and 15. */
export type IntakeThing = 'unions' | 'bleeders' | 'hoses' | 'fasteners' | 'adjusters' | 'springs';

export type IntakeState = 'sound' | 'stiff' | 'rounded' | 'seized' | 'cracked' | 'leaks' | 'missing' | 'none_here';

export interface IntakeLook extends JobEvent {
  /** The wheel; null for the middle of the vehicle. */
  readonly corner: Corner | null;
  readonly thing: IntakeThing;
  readonly state: IntakeState;
  readonly note: string;
}

export const intakeLooks: FamilyDescriptor<IntakeLook> = {
  ...PLAIN,
  label: 'intake look',
  subjects: ['vehicle'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { corner: 'corner' },
  blackable: ['note'],
};
