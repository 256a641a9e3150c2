import type { ArticleVersion } from '@dauer/core/ledger';
import { v7 } from 'uuid';

type Fields = Omit<ArticleVersion, 'enteredBy' | 'enteredAt'>;
type Post = (path: string, body: object) => Promise<unknown>;

export const SUPPLIERS = {
  spares: 'Bramhall Spares',
  exchange: 'Ostley Exchange Units',
  turner: 'Cask Lane Turners',
  linings: 'Fellgate Linings',
  coater: 'Hollin Row Coaters',
} as const;

/** Ids of the suppliers and of what was entered, by name: what orders and the store lean on. */
export interface Told {
  readonly suppliers: Readonly<Record<keyof typeof SUPPLIERS, string>>;
  readonly articles: ReadonlyMap<string, string>;
}

/** What the demonstration shop pays and reckons with: its suppliers, a small price book, rates, and the schools that it follows. */
export async function tellOfPrices(post: Post, day: (inDays: number) => string): Promise<Told> {
  await post('/api/shop/currency', { currency: 'GBP' });
  const ids = Object.fromEntries(Object.keys(SUPPLIERS).map((k) => [k, v7()])) as Record<keyof typeof SUPPLIERS, string>;
  for (const [key, name] of Object.entries(SUPPLIERS))
    await post('/api/suppliers', { id: ids[key as keyof typeof SUPPLIERS], name, contact: 'Orders in writing' });
  await post('/api/reckoning/rates', {
    ...{ id: v7(), hourly: 4800, hoursADay: 5, bayADay: 1200, shipping: 850, towing: 9500 },
    ...{ standardPermille: 200, reducedPermille: 50, reason: 'From the books of last year' },
  });
  for (const [rule, school, reason] of [
    ['pairs', 'both', 'Two sides that age alike pull alike.'],
    ['rotors', 'machine', 'Old iron is better than what is sold for these vehicles.'],
    ['hardware', 'always', 'A broken spring cost a whole job twice.'],
  ] as const)
    await post('/api/reckoning/house-rules', { id: v7(), rule, school, reason });
  const article = (
    name: string,
    kind: Fields['kind'],
    supply: Fields['supply'],
    price: number | null,
    supplier: keyof typeof SUPPLIERS,
    leadDays: number,
    more: Partial<Fields> = {},
  ): Fields => ({
    ...{ id: v7(), seriesId: v7(), name, partNumber: null, supply, kind, process: null, fits: 'shop', appliesTo: null, make: null },
    ...{ model: null, axle: null, supplierId: ids[supplier], price, tax: 'standard', pricedOn: day(-40), leadDays, core: 0 },
    ...{ scarcity: 'available', covers: 'one', contents: [], states: {}, retired: false },
    ...more,
  });
  const corrie = { fits: 'type', make: 'Tavell', model: 'Corrie' } as const;
  const small = (name: string, price: number): Fields => article(name, null, 'consumable', price, 'spares', 0);
  const kit = (seals: string, boots: string): Partial<Fields> => ({
    contents: [
      { name: seals, count: 2 },
      { name: boots, count: 2 },
    ],
  });
  const articles = [
    article('Rotor, front', 'rotor', 'new', 5400, 'spares', 4, { ...corrie, axle: 'front', partNumber: 'TC 4471' }),
    article('Rotor, rear', 'rotor', 'new', 4900, 'spares', 6, { ...corrie, axle: 'rear', partNumber: 'TC 4472' }),
    article('Pads', 'pads', 'new', 3200, 'linings', 3, { covers: 'axle' }),
    article('Seal kit, caliper', 'caliper', 'kit', 1450, 'spares', 2, kit('Square seal', 'Boot')),
    article('Piston', 'piston', 'new', 1900, 'spares', 3),
    article('Caliper, new', 'caliper', 'new', 20_500, 'spares', 5, { scarcity: 'scarce', pricedOn: day(-700) }),
    article('Caliper, exchange', 'caliper', 'exchange', 13_400, 'exchange', 9, { core: 3000 }),
    article('Hose', 'hose', 'new', 1850, 'spares', 2),
    article('Seal kit, master cylinder', 'master_cylinder', 'kit', 2400, 'spares', 2),
    article('Master cylinder', 'master_cylinder', 'new', 14_800, 'spares', 7),
    article('Sleeving, master cylinder', 'master_cylinder', 'process', 11_000, 'turner', 12, { process: 'sleeve' }),
    article('Servo, exchange', 'servo', 'exchange', 19_500, 'exchange', 10, { core: 5000 }),
    article('Hub bearing set', 'hub', 'new', 4200, 'spares', 3),
    article('Wheel cylinder', 'wheel_cylinder', 'new', 3600, 'spares', 3),
    article('Seal kit, wheel cylinder', 'wheel_cylinder', 'kit', 650, 'spares', 2, kit('Cup', 'Boot')),
    article('Sleeving, wheel cylinder', 'wheel_cylinder', 'process', 5800, 'turner', 12, { process: 'sleeve' }),
    article('Shoes, exchange', 'shoes', 'exchange', 4400, 'linings', 8, { core: 800 }),
    article('Lining, bonded on', 'shoes', 'process', 3100, 'linings', 6, { process: 'reline' }),
    article('Drum', 'drum', 'new', 11_800, 'spares', 14, { scarcity: 'scarce', pricedOn: day(-420) }),
    article('Turning, drum', 'drum', 'process', 2600, 'turner', 5, { process: 'machine' }),
    article('Valve', 'valve', 'new', 6100, 'spares', 8),
    article('Stop-lamp switch', 'switch', 'new', 900, 'spares', 2),
    article('Brake line, by the metre', 'line', 'new', 700, 'spares', 0),
    article('Parking shoes', 'parking_shoes', 'new', 3900, 'linings', 5, { covers: 'axle' }),
    small('Copper washer', 15),
    small('Brake fluid', 950),
    small('Pad hardware set', 780),
    small('Spring and clip set', 1120),
    small('Rivets', 12),
    small('Split pin', 10),
    small('Hub seal', 420),
    small('Tube union', 95),
    small('Locking piece', 60),
  ];
  await post('/api/articles/import', { articles });
  return { suppliers: ids, articles: new Map(articles.map((a) => [a.name, a.seriesId])) };
}
