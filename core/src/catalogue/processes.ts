/** Processes that run by the clock: how hot, how long, and from when it counts. Generic figures; the product's sheet replaces them. */

export const PROCESS_IDS = [
  'soak',
  'ultrasonic',
  'converter',
  'bake_out',
  'flash_off',
  'air_cure',
  'paint_cure',
  'powder_cure',
  'cool',
  'dry',
] as const;
export type ProcessId = (typeof PROCESS_IDS)[number];

/** What a part is made of, as far as heat matters. */
export const HEATED_METALS = ['iron_or_steel', 'aluminium', 'other'] as const;
export type HeatedMetal = (typeof HEATED_METALS)[number];

export interface Process {
  readonly id: ProcessId;
  readonly name: string;
  /** How long, minutes, where no sheet says otherwise. */
  readonly minutes: number;
  /** Temperature of the part, not of the oven, °C; null where it does not matter. It counts from when the part is there. */
  readonly partC: { readonly from: number; readonly to: number } | null;
  /** Whether a coat is hard at its end. */
  readonly cures: boolean;
  readonly hazard: string;
  /** What is done at its end, in a sentence. */
  readonly then: string;
}

const plain = { partC: null, cures: false, hazard: '' };

/** Source: handbook 50, Process recipes. */
export const PROCESSES: Readonly<Record<ProcessId, Process>> = {
  soak: {
    ...plain,
    id: 'soak',
    name: 'Penetrating oil soaks',
    minutes: 1440,
    then: 'Try it by hand, and put oil on again where it does not move.',
  },
  ultrasonic: {
    ...{ ...plain, id: 'ultrasonic', name: 'Ultrasonic bath', minutes: 40 },
    hazard: 'No hand in the running bath.',
    then: 'Rinse, blow through and dry at once.',
  },
  converter: {
    ...plain,
    id: 'converter',
    name: 'Rust converter works',
    minutes: 1440,
    then: 'Look whether it is black all over, then mask and prime.',
  },
  bake_out: {
    ...{ ...plain, id: 'bake_out', name: 'Baked out', minutes: 60, partC: { from: 220, to: 240 } },
    hazard: 'Fumes: extraction on. Hot parts: gloves.',
    then: 'Let it cool, wipe it, then plug and mask.',
  },
  flash_off: { ...plain, id: 'flash_off', name: 'Coat flashes off', minutes: 15, then: 'The next thin coat, or the cure.' },
  air_cure: { ...plain, id: 'air_cure', name: 'Paint cures in air', minutes: 7 * 1440, cures: true, then: 'Seals may go in.' },
  paint_cure: {
    ...{ ...plain, id: 'paint_cure', name: 'Paint cures in the oven', minutes: 60, partC: { from: 150, to: 170 }, cures: true },
    hazard: 'Fumes: extraction on. Hot parts: gloves.',
    then: 'Let it cool before anything of rubber goes in.',
  },
  powder_cure: {
    ...{ ...plain, id: 'powder_cure', name: 'Powder cures', minutes: 20, partC: { from: 190, to: 210 }, cures: true },
    hazard: 'Fumes: extraction on. Hot parts: gloves.',
    then: 'Let it cool overnight, count the plugs out, and look at threads and seats.',
  },
  cool: { ...plain, id: 'cool', name: 'Cools', minutes: 480, then: 'Cold to the hand: go on.' },
  dry: { ...plain, id: 'dry', name: 'Dries', minutes: 120, then: 'Blow it through once more, and look.' },
};

/** Above this heat-treated aluminium loses strength, °C. Source: handbook 50, Process recipes. */
export const ALUMINIUM_BEARS_C = 150;
