import type { ComponentKind } from '../layout/kinds.ts';
import type { CharacteristicId } from './measurements.ts';

/** How something by which an article is known is said. */
type IdentityForm = 'length' | 'count' | 'choice' | 'words' | 'day' | 'degrees';

/** Something by which an article is known: a figure or a feature that another one is held against, or a property of it. */
export interface IdentityFact {
  readonly id: string;
  readonly name: string;
  readonly form: IdentityForm;
  readonly kinds: readonly ComponentKind[];
  /** What it may be, of a choice, with the word for each. */
  readonly choices: Readonly<Record<string, string>>;
  /** By how much another one may differ, mm; generic. */
  readonly tolerance: number;
  /** Which way the old one may have worn: a new one is then no smaller, or no greater, rather than the same. */
  readonly worn: 'thinner' | 'wider' | null;
  /** What is gauged of the old part anyway, and counts here. */
  readonly gauged: CharacteristicId | null;
  /** It is held against the old part's when another one arrives. */
  readonly compared: boolean;
}

const HYDRAULIC: readonly ComponentKind[] = [
  ...(['master_cylinder', 'caliper', 'wheel_cylinder', 'hose', 'line', 'valve', 'union', 'clutch_master', 'clutch_slave'] as const),
];
const BORED: readonly ComponentKind[] = ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'];
const ROUND: readonly ComponentKind[] = ['rotor', 'drum', 'hub', 'band_drum'];
const LINED: readonly ComponentKind[] = ['pads', 'shoes', 'parking_shoes', 'band'];
const RUBBER: readonly ComponentKind[] = [...HYDRAULIC.filter((k) => k !== 'line' && k !== 'union'), 'servo', 'reservoir'];

const of = (
  id: string,
  name: string,
  form: IdentityForm,
  kinds: readonly ComponentKind[],
  more: Partial<IdentityFact> = {},
): IdentityFact => ({ id, name, form, kinds, choices: {}, tolerance: 0, worn: null, gauged: null, compared: true, ...more });

const property = (
  id: string,
  name: string,
  form: IdentityForm,
  kinds: readonly ComponentKind[] = [],
  choices: IdentityFact['choices'] = {},
): IdentityFact => of(id, name, form, kinds, { compared: false, choices });

/**
 * What articles are known by. No kinds named: any. Tolerances are generic: what a hand tool at a bench tells apart.
 * Source: handbook 40, Check on arrival; 58, A10, A18, A20.
 */
export const IDENTITY: readonly IdentityFact[] = [
  of('bore', 'Bore', 'length', BORED, { tolerance: 0.2 }),
  of('piston', 'Piston diameter', 'length', ['caliper', 'piston'], { tolerance: 0.1, gauged: 'piston_diameter' }),
  of('pistons', 'Pistons', 'count', ['caliper']),
  of('diameter', 'Outside diameter', 'length', ['rotor', 'hub'], { tolerance: 0.5 }),
  of('drum', 'Drum diameter', 'length', ['drum', 'band_drum'], { tolerance: 0.3, worn: 'wider', gauged: 'drum_diameter' }),
  of('thickness', 'Thickness', 'length', ['rotor'], { tolerance: 0.1, worn: 'thinner', gauged: 'rotor_thickness' }),
  of('height', 'Height', 'length', ROUND, { tolerance: 0.5 }),
  of('bolt_circle', 'Bolt circle', 'length', ROUND, { tolerance: 0.2 }),
  of('bolt_holes', 'Bolt holes', 'count', ROUND),
  of('centre', 'Centre hole', 'length', ROUND, { tolerance: 0.1 }),
  of('width', 'Width', 'length', ['shoes', 'parking_shoes', 'band'], { tolerance: 0.5 }),
  of('thread', 'Thread of each port', 'words', HYDRAULIC),
  of('seat', 'Flare or seat of each port', 'choice', HYDRAULIC, {
    choices: { single: 'single flare', double: 'double flare', bubble: 'bubble flare', banjo: 'banjo', o_ring: 'O-ring', taper: 'taper' },
  }),
  of('outlets', 'Outlets', 'count', ['master_cylinder', 'clutch_master', 'valve', 'union', 'caliper', 'wheel_cylinder']),
  of('plugs', 'Plugs', 'count', ['master_cylinder', 'valve', 'caliper']),
  of('hand', 'Hand', 'choice', ['caliper', 'hose', 'wheel_cylinder', 'shoes', 'cable'], {
    choices: { left: 'left', right: 'right', either: 'either side' },
  }),
  of('length', 'Length', 'length', ['hose', 'line', 'cable', 'rod'], { tolerance: 5 }),
  of('ends', 'End at each side', 'words', ['hose', 'line', 'cable', 'rod']),
  of('bends', 'Bends', 'words', ['line', 'rod']),
  of('springs', 'Springs', 'count', ['shoes', 'parking_shoes', 'pads']),
  of('outline', 'Outline, laid on the old one', 'choice', LINED, { choices: { like: 'like the old one', unlike: 'unlike' } }),
  property('origin', 'Where it is from', 'choice', [], {
    as_built: 'as built',
    maker: 'from the maker',
    other_make: 'another make',
    used: 'used',
    unknown: 'not known',
  }),
  property('made', 'Made', 'day'),
  property('rubber', 'Rubber renewed', 'day', RUBBER),
  property('codes', 'Codes on it', 'words'),
  property('make', 'Maker of the lining', 'words', LINED),
  property('compound', 'Compound', 'words', LINED),
  property('use', 'Meant for', 'words', LINED),
  property('coating', 'Coating', 'words'),
  property('rated', 'Rated to', 'degrees', [...LINED, 'rotor', 'drum']),
];

const BY_ID = new Map(IDENTITY.map((f) => [f.id, f]));

/** What an article may be known by; undefined where there is no such thing. */
export function identityFact(id: string): IdentityFact | undefined {
  return BY_ID.get(id);
}

/** What an article of a kind is known by. @param compared only what another one is held against */
export function identityOf(kind: ComponentKind, compared = true): IdentityFact[] {
  return IDENTITY.filter((f) => f.compared === compared && (f.kinds.length === 0 || f.kinds.includes(kind)));
}

/** Figures by which parts and articles are found. */
export const IDENTITY_FIGURES: readonly IdentityFact[] = IDENTITY.filter((f) => f.form === 'length' || f.form === 'count');
