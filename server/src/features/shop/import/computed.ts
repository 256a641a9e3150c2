import type { EventFamily } from '@dauer/contract';
import { MEASUREMENTS, type MeasurementId, parseQuantity, type UnitId } from '@dauer/core';
import { Fault } from '../../../platform/problem.ts';

export type Row = Record<string, unknown>;

const text = (row: Row, field: string): string => String(row[field] ?? '');

/**
 * What is worked out of what was typed, whatever a file says it is: by the same core that takes a reading at the bench.
 * @param measurementOf of a set, by its id
 * @throws Refusal where what was typed is no such figure; Fault where a reading has no set
 */
export function computed(family: EventFamily, row: Row, measurementOf: (setId: string) => MeasurementId | undefined): Row {
  switch (family) {
    case 'readings': {
      const measurement = measurementOf(text(row, 'setId'));
      if (!measurement) throw new Fault(422, 'unknown_reference', 'A reading belongs to a set that is not among the records of its job.');
      const q = parseQuantity(text(row, 'typed'), MEASUREMENTS[measurement].kind, row['unit'] as UnitId);
      return { ...row, canonical: q.canonical, resolution: q.resolution, fraction: q.fraction };
    }
    case 'torques': {
      const of = (typed: string): number => parseQuantity(typed, 'torque', row['unit'] as UnitId).canonical;
      return { ...row, target: of(text(row, 'targetTyped')), canonical: of(text(row, 'typed')) };
    }
    case 'bleedPulls':
      return { ...row, volumeMl: parseQuantity(text(row, 'volumeTyped'), 'volume', 'mL').canonical };
    case 'counters':
      return { ...row, km: parseQuantity(text(row, 'typed'), 'distance_run', 'km').canonical };
    default:
      return row;
  }
}
