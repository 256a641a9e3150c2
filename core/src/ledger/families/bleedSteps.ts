import type { FluidClass } from '../../catalogue/fluids.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';
import type { BleedPull } from './bleedPulls.ts';

/** What happens in a session: a stroke, what came with it, the reservoir filled or looked at, a bleeder closed in three ticks. */
export const BLEED_STEPS = [
  /** A bleeder opened, to run by itself: how long until it does is looked at. */
  ...(['opened', 'stroke', 'filled', 'level', 'closed_under_flow', 'pedal_felt', 'dry'] as const),
  /** Another device counts from now on; and the end of the session. */
  ...(['took_over', 'ended'] as const),
] as const;
export type BleedStepKind = (typeof BLEED_STEPS)[number];

/** What closes a bleeder, in the order in which it is done. */
export const CLOSING = ['closed_under_flow', 'pedal_felt', 'dry'] as const satisfies readonly BleedStepKind[];

export interface BleedStepEvent extends JobEvent {
  readonly sessionId: string;
  readonly kind: BleedStepKind;
  /** The bleeder, of a stroke and of what closes it. */
  readonly slotId: string | null;
  /** Of a stroke. */
  readonly colour: BleedPull['colour'] | null;
  readonly air: BleedPull['air'] | null;
  /** Of a look at the level: what is in it, mL. */
  readonly levelMl: number | null;
  /** Of a filling: out of which bottle, by its kind and what is written on it. */
  readonly fluidClass: FluidClass | null;
  readonly bottle: string;
}

export const bleedSteps: FamilyDescriptor<BleedStepEvent> = {
  ...PLAIN,
  label: 'step of a bleeding session',
  subjects: ['fill', 'slot', 'record'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { sessionId: 'event_of_job', slotId: 'place' },
  blackable: ['bottle'],
};
