import type { Position } from '../../catalogue/positions.ts';
import { readFigure } from '../../catalogue/typedFigure.ts';
import { DomainError } from '../../quantity/domainError.ts';
import type { UnitId } from '../../quantity/units.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Reading extends JobEvent, Position {
  readonly setId: string;
  readonly pass: number;
  readonly gaugeVersionId: string | null;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  readonly resolution: number;
  readonly fraction: boolean;
}

export const readings: FamilyDescriptor<Reading, Pick<Reading, 'place' | 'typed' | 'unit'>> = {
  ...PLAIN,
  label: 'reading',
  subjects: ['record'],
  readWith: 'set',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { setId: 'set', gaugeVersionId: 'gauge' },
  blackable: [],
  derive: ({ place, typed, unit }, { measurement, gaugeKind }) => {
    if (measurement === null) throw new DomainError('unknown_set', 'A reading belongs to a set that is not among the records of its job.');
    const { canonical, resolution, fraction } = readFigure(measurement, place, typed, unit, gaugeKind);
    return { canonical, resolution, fraction };
  },
};
