import type { Climate, Storage, Use, Vehicle } from '@dauer/core';

/** A vehicle as it is being typed: every figure still as text. */
export interface VehicleDraft {
  tag: string;
  name: string;
  make: string;
  model: string;
  year: string;
  variant: string;
  body: string;
  use: Use;
  climate: Climate;
  storage: Storage;
  standsYears: string;
  distanceUnit: Vehicle['distanceUnit'];
}

export const blankVehicle = (): VehicleDraft => ({
  tag: '',
  name: '',
  make: '',
  model: '',
  year: '',
  variant: '',
  body: '',
  use: 'seasonal',
  climate: 'temperate',
  storage: 'dry',
  standsYears: '',
  distanceUnit: 'km',
});

export function draftOf(v: Vehicle): VehicleDraft {
  const { tag, name, make, model, body, use, climate, storage, distanceUnit } = v;
  return {
    ...{ tag, name, make, model, body, use, climate, storage, distanceUnit },
    year: v.year === null ? '' : String(v.year),
    variant: v.variant ?? '',
    standsYears: v.standsYears === null ? '' : String(v.standsYears),
  };
}

/** What cannot be used in a draft, by field, in words. */
export function faultsOf(d: VehicleDraft): Record<string, string> {
  const found: Record<string, string> = {};
  for (const key of ['tag', 'name', 'make', 'model'] as const) if (d[key].trim() === '') found[key] = 'This is needed.';
  const year = Number(d.year);
  if (d.year.trim() !== '' && !(Number.isInteger(year) && year >= 1885 && year <= 2100))
    found['year'] = `“${d.year}” is not a year. Leave it empty where it is not known.`;
  const stood = Number(d.standsYears.replace(',', '.'));
  if (d.standsYears.trim() !== '' && !(stood >= 0 && stood <= 150)) found['standsYears'] = `“${d.standsYears}” cannot be read as years.`;
  return found;
}

export const orNull = (text: string): string | null => text.trim() || null;

/** The draft as the contract takes it. */
export function vehicleOf(d: VehicleDraft) {
  return {
    ...d,
    year: d.year.trim() ? Number(d.year) : null,
    variant: orNull(d.variant),
    standsYears: d.standsYears.trim() ? Number(d.standsYears.replace(',', '.')) : null,
  };
}
