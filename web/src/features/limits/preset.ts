import { characteristic } from '@dauer/core/catalogue';
import { LIMIT_AXLES, type LimitAxle, type LimitScope } from '@dauer/core/verdict';
import type { LocationQuery } from 'vue-router';

/** What a limit is about, where somebody comes from a vehicle or a part that misses one. */
export interface LimitPreset {
  readonly characteristic: string;
  readonly scope: LimitScope;
  readonly make: string;
  readonly model: string;
  readonly axle: LimitAxle | 'both';
  readonly appliesTo: string;
  readonly label: string | null;
}

const SCOPES: readonly LimitScope[] = ['part', 'part_number', 'vehicle', 'type', 'shop'];

/** Reads it from the address; null where none was asked for. */
export function presetOf(query: LocationQuery): LimitPreset | null {
  const text = (key: string): string => (typeof query[key] === 'string' ? query[key] : '');
  const scope = SCOPES.find((s) => s === text('scope'));
  if (!scope || text('enter') !== '1') return null;
  const axle = text('axle');
  return {
    characteristic: characteristic(text('characteristic')) ? text('characteristic') : 'rotor_thickness',
    scope,
    make: text('make'),
    model: text('model'),
    axle: LIMIT_AXLES.find((a) => a === axle) ?? 'both',
    appliesTo: text('appliesTo'),
    label: text('label') || null,
  };
}
