import type { Climate } from '@dauer/core/catalogue';
import type { Storage, UNWEIGHED, Use, Vehicle } from '@dauer/core/ledger';
import { isYear, parseQuantity, toResult } from '@dauer/core/quantity';

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
  driven: NonNullable<Vehicle['driven']> | null;
  stored: NonNullable<Vehicle['stored']> | null;
  massKg: string;
  massFrontKg: string;
  wheelbaseMm: string;
  cgHeightMm: string;
  tyreRadiusFrontMm: string;
  tyreRadiusRearMm: string;
}

interface Figure {
  readonly key: keyof typeof UNWEIGHED;
  readonly label: string;
  readonly kind: 'mass' | 'length';
  /** What lies outside is asked about: canonical units. */
  readonly plausible: readonly [number, number];
}
/** What the sums may want of a vehicle; all of it may be left empty. */
export const FIGURES: readonly Figure[] = [
  { key: 'massKg', label: 'Mass as driven (kg)', kind: 'mass', plausible: [60, 40000] },
  { key: 'massFrontKg', label: 'of it on the front axle (kg)', kind: 'mass', plausible: [20, 20000] },
  { key: 'wheelbaseMm', label: 'Wheelbase (mm)', kind: 'length', plausible: [700, 8000] },
  { key: 'cgHeightMm', label: 'Height of the centre of gravity (mm)', kind: 'length', plausible: [100, 2000] },
  { key: 'tyreRadiusFrontMm', label: 'Front tyre radius, loaded (mm)', kind: 'length', plausible: [120, 800] },
  { key: 'tyreRadiusRearMm', label: 'Rear tyre radius, loaded (mm)', kind: 'length', plausible: [120, 800] },
];
const UNIT = { mass: 'kg', length: 'mm' } as const;
const readFigure = (f: Figure, text: string): number => parseQuantity(text, f.kind, UNIT[f.kind]).canonical;

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
  driven: null,
  stored: null,
  massKg: '',
  massFrontKg: '',
  wheelbaseMm: '',
  cgHeightMm: '',
  tyreRadiusFrontMm: '',
  tyreRadiusRearMm: '',
});

const figures = (v: Vehicle): Pick<VehicleDraft, Figure['key']> => {
  const text = (n: number | null): string => (n === null ? '' : String(n));
  return {
    massKg: text(v.massKg),
    massFrontKg: text(v.massFrontKg),
    wheelbaseMm: text(v.wheelbaseMm),
    cgHeightMm: text(v.cgHeightMm),
    tyreRadiusFrontMm: text(v.tyreRadiusFrontMm),
    tyreRadiusRearMm: text(v.tyreRadiusRearMm),
  };
};

export function draftOf(v: Vehicle): VehicleDraft {
  const { tag, name, make, model, body, use, climate, storage, distanceUnit } = v;
  return {
    ...{ tag, name, make, model, body, use, climate, storage, distanceUnit },
    driven: v.driven ?? null,
    stored: v.stored ?? null,
    ...figures(v),
    year: v.year === null ? '' : String(v.year),
    variant: v.variant ?? '',
    standsYears: v.standsYears === null ? '' : String(v.standsYears),
  };
}

/** What cannot be used in a draft, by field, in words. */
export function faultsOf(d: VehicleDraft): Record<string, string> {
  const found: Record<string, string> = {};
  for (const key of ['tag', 'name'] as const) if (d[key].trim() === '') found[key] = 'This is needed.';
  const year = Number(d.year);
  if (d.year.trim() !== '' && !isYear(year)) found['year'] = `“${d.year}” is not a year. Leave it empty where it is not known.`;
  const stood = Number(d.standsYears.replace(',', '.'));
  if (d.standsYears.trim() !== '' && !(stood >= 0 && stood <= 150)) found['standsYears'] = `“${d.standsYears}” cannot be read as years.`;
  for (const f of FIGURES) {
    if (d[f.key].trim() === '') continue;
    const tried = toResult(() => readFigure(f, d[f.key]));
    const [low, high] = f.plausible;
    if (!tried.ok) found[f.key] = tried.refusal.message;
    else if (tried.value < low || tried.value > high)
      found[f.key] = `${d[f.key]} is read as ${Math.round(tried.value)} ${UNIT[f.kind]}, which cannot be. Look again.`;
  }
  const [all, front] = [d.massKg, d.massFrontKg].map((t) => toResult(() => parseQuantity(t, 'mass', 'kg').canonical));
  if (all?.ok && front?.ok && front.value >= all.value) found['massFrontKg'] = 'Less than the whole vehicle stands on its front axle.';
  return found;
}

export const orNull = (text: string): string | null => text.trim() || null;

function measured(d: VehicleDraft): Record<Figure['key'], number | null> {
  const of = (key: Figure['key']): number | null => {
    const f = FIGURES.find((x) => x.key === key);
    return f && d[key].trim() !== '' ? readFigure(f, d[key]) : null;
  };
  return {
    massKg: of('massKg'),
    massFrontKg: of('massFrontKg'),
    wheelbaseMm: of('wheelbaseMm'),
    cgHeightMm: of('cgHeightMm'),
    tyreRadiusFrontMm: of('tyreRadiusFrontMm'),
    tyreRadiusRearMm: of('tyreRadiusRearMm'),
  };
}

/** The draft as the contract takes it. */
export function vehicleOf(d: VehicleDraft) {
  return {
    ...d,
    year: d.year.trim() ? Number(d.year) : null,
    variant: orNull(d.variant),
    standsYears: d.standsYears.trim() ? Number(d.standsYears.replace(',', '.')) : null,
    ...measured(d),
  };
}
