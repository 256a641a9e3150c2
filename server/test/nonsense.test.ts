import { requireEndpoints } from '../src/platform/routes.ts';
import { ENDPOINTS, type Endpoint } from '@dauer/contract';
import { expect } from 'chai';
import fc from 'fast-check';
import { v7 } from 'uuid';
import { z } from 'zod';
import { type Booked, bookIn, openShop, type Shop } from './harness.ts';

/** As much of JSON Schema as Zod makes of the contract. */
interface Shape {
  readonly type?: string;
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly format?: string;
  readonly anyOf?: readonly Shape[];
  readonly oneOf?: readonly Shape[];
  readonly allOf?: readonly Shape[];
  readonly items?: Shape;
  readonly properties?: Readonly<Record<string, Shape>>;
  readonly $ref?: string;
  readonly $defs?: Readonly<Record<string, Shape>>;
}

const ODD_TEXT = [
  '',
  ' ',
  '0',
  '\u0000',
  'a\u0000b',
  'x'.repeat(6000),
  "'; drop table job; --",
  '💥',
  'NaN',
  '1e999',
  '9.8.1',
  '\ud800',
  '2026-02-31',
];
const ODD_NUMBERS = [0, -1, 1.5, 2 ** 53, 1e308, -1e308, 65536 * 65536];
const odd = (): fc.Arbitrary<unknown> =>
  fc.oneof(fc.constantFrom<unknown>(...ODD_TEXT, ...ODD_NUMBERS, null, true, [], {}), fc.jsonValue({ maxDepth: 2 }));

/** Values of a shape, most as they should be, every fifth or so as nobody should send it. */
function valuesOf(shape: Shape, ids: readonly string[], defs: Readonly<Record<string, Shape>>): fc.Arbitrary<unknown> {
  const of = (s: Shape): fc.Arbitrary<unknown> => valuesOf(s, ids, defs);
  const plain = (): fc.Arbitrary<unknown> => {
    if (shape.$ref) return of(defs[shape.$ref.split('/').at(-1) ?? ''] ?? {});
    if ('const' in shape) return fc.constant(shape.const);
    if (shape.enum) return fc.constantFrom(...shape.enum);
    const some = shape.anyOf ?? shape.oneOf ?? shape.allOf;
    if (some) return fc.oneof(...some.map(of));
    switch (shape.type) {
      case 'string':
        if (shape.format === 'uuid')
          return fc.oneof(
            fc.constantFrom(...ids),
            fc.constant(null).map(() => v7()),
          );
        if (shape.format === 'date-time')
          return fc.constantFrom(new Date().toISOString(), '1970-01-01T00:00:00.000Z', '9999-12-31T23:59:59.999Z');
        return fc.oneof(
          { weight: 8, arbitrary: fc.constantFrom('9.81', 'V 001', 'front left', '2026-01-02', 'mm', 'a reason') },
          { weight: 1, arbitrary: fc.constantFrom(...ODD_TEXT) },
        );
      case 'number':
      case 'integer':
        return fc.oneof(
          { weight: 8, arbitrary: fc.integer({ min: 0, max: 30 }) },
          { weight: 1, arbitrary: fc.constantFrom(...ODD_NUMBERS) },
        );
      case 'boolean':
        return fc.boolean();
      case 'array':
        return fc.array(of(shape.items ?? {}), { maxLength: 3 });
      case 'object':
        return fc.record(Object.fromEntries(Object.entries(shape.properties ?? {}).map(([key, s]) => [key, of(s)])));
      default:
        return odd();
    }
  };
  return fc.oneof({ weight: 40, arbitrary: plain() }, { weight: 1, arbitrary: odd() });
}

/** Each endpoint is asked this often. */
/** How often each endpoint is sent nonsense; the drill says more, and from another seed. */
const TIMES = Number(process.env['DAUER_FUZZ'] ?? 12);
const SEED = Number(process.env['DAUER_SEED'] ?? 7);
/** Would end the asking for everything after it. */
const LEFT_OUT: readonly string[] = ['signOut', 'signOutEverywhere', 'switchTo'];

describe('whatever is sent', function () {
  this.timeout(240000);
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());

  it('is answered by a sentence of the house and never by a fault of the server', async () => {
    const ids = [car.jobId, car.vehicleId, car.layout.id, car.slot('rotor', 'FL'), car.slot('piston', 'FL')];
    const answers = new Map<number, number>();
    for (const [name, line] of Object.entries(ENDPOINTS) as [string, Endpoint][]) {
      if (LEFT_OUT.includes(name)) continue;
      const shape =
        line.body instanceof z.ZodUndefined ? null : (z.toJSONSchema(line.body, { io: 'input', unrepresentable: 'any' }) as Shape);
      const bodies = shape ? fc.sample(valuesOf(shape, ids, shape.$defs ?? {}), { numRuns: TIMES, seed: SEED }) : [undefined];
      for (const [i, body] of bodies.entries()) {
        const path = line.path.replace(/:\w+/g, () => [...ids, 'not-an-id', '%00', v7()][i % 8] ?? '');
        const answer = await shop.lead.ask(line.method, path, body === undefined ? undefined : JSON.stringify(body));
        answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1);
        expect(
          answer.status,
          `${name} ${path} ${JSON.stringify(body)?.slice(0, 400)} → ${JSON.stringify(answer.body).slice(0, 300)}`,
        ).to.be.lessThan(500);
        if (answer.status >= 400) expect(answer.body, name).to.include.keys('title', 'status', 'code');
      }
    }
    // What was sent was neither all nonsense nor all sense.
    expect(answers.get(200) ?? 0).to.be.greaterThan(10);
    expect(answers.get(400) ?? 0).to.be.greaterThan(50);
  });
});

describe('the table of endpoints', () => {
  it('takes no handler that none of its lines names: what it looks at would be looked at by nobody', () => {
    expect(() => {
      requireEndpoints(Object.keys(ENDPOINTS));
    }).to.not.throw();
    expect(() => {
      requireEndpoints(['recordReading', 'recordReadings']);
    }).to.throw(/handlers recordReadings$/);
  });
});
