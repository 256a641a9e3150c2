import { readTold } from '../../quantity/told.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What is told of a clock: the part's temperature, that it came to its end, or that it was broken off. */
export const TIMER_STEPS = ['measured', 'ended', 'broken_off'] as const;
export type TimerStepKind = (typeof TIMER_STEPS)[number];

export interface TimerStep extends JobEvent {
  readonly timerId: string;
  readonly kind: TimerStepKind;
  /** Temperature of the part as it was typed, and in °C; null where none was measured. */
  readonly typed: string | null;
  readonly tempC: number | null;
  readonly note: string;
}

export const timerSteps: FamilyDescriptor<TimerStep, Pick<TimerStep, 'typed'>> = {
  ...PLAIN,
  label: 'clock of a process, told of',
  subjects: ['record'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { timerId: 'event_of_job' },
  blackable: ['note'],
  derive: ({ typed }) => ({ tempC: typed === null ? null : readTold('part_heat', typed, 'degC').canonical }),
};
