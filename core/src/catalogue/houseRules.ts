import type { ComponentKind } from '../layout/kinds.ts';
import type { OptionId } from './repairOptions.ts';

export interface School {
  readonly id: string;
  readonly name: string;
  /** What speaks for it, a sentence that the other school would grant. */
  readonly because: string;
}

/** Where good workshops differ: each shop picks a school once, and a job departs from it by reason. */
export interface HouseRule {
  readonly id: string;
  readonly name: string;
  readonly schools: readonly [School, School, ...School[]];
  /** Options that a school departs from, of these kinds. */
  readonly departs: readonly { readonly school: string; readonly kinds: readonly ComponentKind[]; readonly options: readonly OptionId[] }[];
}

const BORES: readonly ComponentKind[] = ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'];

/** Source: handbook 40, House rules. */
export const HOUSE_RULES: readonly HouseRule[] = [
  {
    id: 'rotors',
    name: 'Worn rotors',
    schools: [
      { id: 'machine', name: 'Machined while they may be', because: 'A maker’s iron once trued is often better than what is sold today.' },
      { id: 'replace', name: 'Replaced', because: 'The metal that is cut away is heat that the rotor no longer takes.' },
    ],
    departs: [
      { school: 'machine', kinds: ['rotor'], options: [] },
      { school: 'replace', kinds: ['rotor'], options: ['machine'] },
    ],
  },
  {
    id: 'seized_calipers',
    name: 'Calipers that were seized',
    schools: [
      { id: 'reseal', name: 'Freed, opened and resealed', because: 'The unit is known, and its bores are seen.' },
      { id: 'exchange', name: 'Exchanged', because: 'The hours of freeing are never paid for.' },
    ],
    departs: [{ school: 'exchange', kinds: ['caliper'], options: ['reseal'] }],
  },
  {
    id: 'bores',
    name: 'Pitted bores',
    schools: [
      { id: 'hone', name: 'Honed within their figure', because: 'It is done in the hour and keeps the metal.' },
      { id: 'sleeve', name: 'Sleeved', because: 'A honed bore is larger for good, and pits again.' },
    ],
    departs: [{ school: 'sleeve', kinds: BORES, options: ['hone'] }],
  },
  {
    id: 'master_bleeding',
    name: 'A master cylinder is bled',
    schools: [
      { id: 'bench', name: 'On the bench, before it is fitted', because: 'Its air never enters the lines.' },
      { id: 'place', name: 'In its place', because: 'Nothing drips over paint, and the rod is there.' },
    ],
    departs: [],
  },
  {
    id: 'pad_backs',
    name: 'Behind the pads',
    schools: [
      { id: 'grease', name: 'Rubber-safe grease', because: 'It keeps water out and pads moving.' },
      { id: 'paste', name: 'Paste', because: 'It damps the squeal and stays when hot.' },
      { id: 'nothing', name: 'Nothing', because: 'Whatever is there holds dust and finds the lining.' },
    ],
    departs: [],
  },
  {
    id: 'seal_wetting',
    name: 'Seals are wetted with',
    schools: [
      { id: 'fluid', name: 'Clean brake fluid alone', because: 'Nothing strange stays in the circuit.' },
      { id: 'grease', name: 'Assembly grease of the kit', because: 'It protects a unit that waits before it is filled.' },
    ],
    departs: [],
  },
  {
    id: 'pairs',
    name: 'Of a pair',
    schools: [
      { id: 'both', name: 'Both, always', because: 'Two sides that age alike pull alike.' },
      { id: 'failed', name: 'The one that failed', because: 'A good part is not thrown away for company.' },
    ],
    departs: [],
  },
  {
    id: 'hardware',
    name: 'Springs and hardware',
    schools: [
      { id: 'always', name: 'Renewed with the linings, always', because: 'A tired spring costs the whole job again.' },
      { id: 'worn', name: 'When worn', because: 'Many old springs are better than new ones.' },
    ],
    departs: [],
  },
  {
    id: 'bench_test',
    name: 'Resealed units are tried under pressure',
    schools: [
      { id: 'alone', name: 'Those that leave by themselves', because: 'On the vehicle the pedal tries the rest.' },
      { id: 'every', name: 'Every one, before it is fitted', because: 'A weep is found with the unit in the hand, not behind a wheel.' },
    ],
    departs: [],
  },
  {
    id: 'road_second',
    name: 'The road test is driven',
    schools: [
      { id: 'one', name: 'By one person', because: 'Whoever did the work knows what to feel for.' },
      { id: 'two', name: 'By two, each alone', because: 'A second foot feels what the first has got used to.' },
    ],
    departs: [],
  },
];

export function houseRule(id: string): HouseRule | undefined {
  return HOUSE_RULES.find((r) => r.id === id);
}

/** The house rule that an option departs from, by the school that the shop follows; null where it departs from none. */
export function departsFrom(
  kind: ComponentKind,
  option: OptionId,
  followed: (rule: string) => string | null,
  seized: boolean,
): { readonly rule: HouseRule; readonly school: School } | null {
  for (const rule of HOUSE_RULES) {
    if (rule.id === 'seized_calipers' && !seized) continue;
    const school = rule.schools.find((s) => s.id === followed(rule.id));
    const line = rule.departs.find((d) => d.school === school?.id && d.kinds.includes(kind) && d.options.includes(option));
    if (school && line) return { rule, school };
  }
  return null;
}
