import type { Gate } from '../../catalogue/cards/types.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What is told of a step: done, not applicable here, looked at by a second person, or a gate before it passed by a lead. */
export const CARD_TELLS = ['done', 'not_here', 'seconded', 'passed'] as const;
export type CardTellKind = (typeof CARD_TELLS)[number];

export interface CardTell extends JobEvent {
  readonly runId: string;
  /** Of the steps of its card. */
  readonly stepId: string;
  readonly kind: CardTellKind;
  /** Of a gate that was passed. */
  readonly gate: Gate | null;
  /** Why it is not applicable here, or why the gate was passed; else what was seen, empty where nothing was. */
  readonly note: string;
}

export const cardTells: FamilyDescriptor<CardTell> = {
  ...PLAIN,
  label: 'step of a work card',
  subjects: ['record'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { runId: 'event_of_job' },
  blackable: ['note'],
};
