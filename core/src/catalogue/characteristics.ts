import type { Slot } from '../layout/graph.ts';
import { DomainError } from '../quantity/domainError.ts';
import { type LimitVersion, checkLimit } from '../verdict/limits.ts';
import type { CharacteristicFacts, Generic } from './measured/types.ts';
import { type CharacteristicId, MEASUREMENT_IDS, MEASUREMENTS, type MeasurementId, measurementsAt } from './measurements.ts';

export type { CharacteristicId } from './measurements.ts';

export interface Characteristic extends CharacteristicFacts {
  readonly id: CharacteristicId;
  readonly takenFrom: MeasurementId;
  /** What common workshop practice allows. */
  readonly generic: readonly Generic[];
}

/** What a characteristic is that says nothing else of itself. */
const UNSAID: Omit<Characteristic, 'id' | 'takenFrom' | 'name' | 'short' | 'reduction' | 'kind' | 'unit'> = {
  ...{
    bound: 'upper',
    wears: null,
    gravity: 'function',
    limitWord: 'Limit',
    newWord: 'New',
    role: null,
    onBearing: false,
    recorded: false,
  },
  ...{ readAsDifference: false, senses: null, belowNothing: null, nearNew: null, nearPartner: null, generic: [] },
};

/** Everything that is judged, in the order of the measurements that it is taken from. */
export const CHARACTERISTICS: readonly Characteristic[] = MEASUREMENT_IDS.flatMap((takenFrom) => {
  const { kind, unit, characteristics } = MEASUREMENTS[takenFrom];
  return Object.entries(characteristics).map(([id, facts]): Characteristic => ({
    ...UNSAID,
    id: id as CharacteristicId,
    kind,
    unit,
    takenFrom,
    ...facts,
  }));
});

export function characteristic(id: string): Characteristic | undefined {
  return CHARACTERISTICS.find((c) => c.id === id);
}

/** What is judged at a place. */
export function characteristicsAt(slot: Slot): Characteristic[] {
  const taken = measurementsAt(slot).map((m) => m.id);
  return CHARACTERISTICS.filter((c) => taken.includes(c.takenFrom));
}

/** What is reduced from a measurement. */
export function characteristicsFrom(id: MeasurementId): Characteristic[] {
  return CHARACTERISTICS.filter((c) => c.takenFrom === id);
}

/**
 * Checks a limit of a characteristic before it is entered: its figures in order, none below nothing, and on the side that
 * belongs to the characteristic. A range has both sides.
 * @throws DomainError limit_inconsistent, limit_incomplete, wrong_side, impossible
 */
export function checkLimitOf(
  limit: Pick<LimitVersion, 'characteristic' | 'bound' | 'nominal' | 'machineTo' | 'at' | 'low' | 'high'>,
): void {
  checkLimit(limit);
  const c = characteristic(limit.characteristic);
  if (!c) return;
  if (limit.bound !== 'range' && limit.bound !== c.bound)
    throw new DomainError(
      'wrong_side',
      `${c.name} has ${c.bound === 'lower' ? 'a least' : 'a greatest'} figure, not ${c.bound === 'lower' ? 'a greatest' : 'a least'} one.`,
    );
  const figures = [limit.nominal, limit.machineTo, limit.at, limit.low, limit.high];
  if (figures.some((f) => f !== null && f < 0))
    throw new DomainError('impossible', `No figure of ${c.name.toLowerCase()} is below nothing.`);
}
