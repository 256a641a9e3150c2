import type { QuantityKind, UnitId } from '@dauer/core/quantity';

/** The units that a figure of a kind is switched between at the bench, the first one by default. */
export const UNIT_PAIRS: Readonly<Record<QuantityKind, readonly [UnitId, ...UnitId[]]>> = {
  length: ['mm', 'in'],
  angle: ['deg'],
  volume: ['mL', 'us_fl_oz'],
  mass: ['kg', 'lb'],
  force: ['N', 'lbf'],
  torque: ['Nm', 'lbf_ft'],
  pressure: ['bar', 'psi'],
  vacuum: ['kPa', 'inHg'],
  temperature: ['degC', 'degF'],
  time: ['s'],
  distance_run: ['km', 'mi'],
  ratio: ['1'],
};
