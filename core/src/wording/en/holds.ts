import { type MeasurementId, MEASUREMENTS } from '../../catalogue/measurements.ts';
import type { HoldFault } from '../../metrology/holdFault.ts';
import { figure } from '../../quantity/display.ts';
import { unitOf } from '../../quantity/units.ts';

/** Seconds as a clock shows them: 4:05. */
const minutes = (s: number): string => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;

/** Why what was set and held is no test, and what is done about it. */
export function holdWords(id: MeasurementId, fault: HoldFault): string {
  if (fault.kind === 'short') return `held ${minutes(fault.ran)} of ${minutes(fault.needs)}: set it anew, and hold it`;
  const { symbol } = unitOf(MEASUREMENTS[id].kind, MEASUREMENTS[id].unit);
  return `set to ${figure(fault.value)} ${symbol}, and it counts from ${fault.from} to ${fault.to} ${symbol}: set it anew, and hold it`;
}
