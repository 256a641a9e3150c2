import { stretchesOfPoints } from '../src/metrology/lineLength.ts';
import { adapterSetting } from '../src/metrology/torqueAdapter.ts';
import { lineVolume } from '../src/hydraulics/volume.ts';
import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { boilingTau, fluidDue, refitWater } from '../src/catalogue/fluids.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { checkNetwork } from '../src/inference/faultNetwork.ts';
import { recordFrom } from '../src/ledger/families.ts';
import { judgeBore } from '../src/metrology/bore.ts';
import { reduceDrum } from '../src/metrology/drum.ts';
import { reducePads } from '../src/metrology/padLining.ts';
import { pitZone } from '../src/metrology/pitZone.ts';
import { repeatStudy } from '../src/metrology/rack.ts';
import { splitRunout } from '../src/metrology/rotorRunout.ts';
import { reduceThickness } from '../src/metrology/rotorThickness.ts';
import { shoeArc } from '../src/metrology/shoeArc.ts';
import { chooseLifts, liningCircle } from '../src/metrology/shoeCentring.ts';
import { DomainError, toResult } from '../src/quantity/domainError.ts';
import { DOMAIN_ERRORS, type DomainErrorCode } from '../src/quantity/domainErrors.ts';
import { parseMoney } from '../src/quantity/money.ts';
import { parseQuantity } from '../src/quantity/parse.ts';
import { parsePartialDate } from '../src/quantity/partialDate.ts';
import { readBench } from '../src/stages/trace/causes.ts';
import { splitTravel } from '../src/judging/pedalGauge.ts';
import { decide } from '../src/verdict/decide.ts';
import { checkLimit } from '../src/verdict/limits.ts';
import { ofReduction, sampleDeviation } from '../src/verdict/uncertainty.ts';
import { wear } from '../src/verdict/wear.ts';
import { MAX_LIMIT_ROWS, readLimitList, readLimitRow, rowOfLimit } from '../src/views/limitExchange.ts';
import { readReadingList } from '../src/views/readingsFile.ts';
import { base, JobFixture, LIMIT } from './jobFixture.ts';

const ROOT = join(import.meta.dirname, '../..');
const CODES = Object.keys(DOMAIN_ERRORS) as DomainErrorCode[];
const textOf = (folder: string, ...kinds: readonly string[]): string =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((f) => kinds.some((k) => f.endsWith(k)))
    .map((f) => readFileSync(join(ROOT, folder, f), 'utf8'))
    .join('\n');

const fluid = {
  ...{ changed: '2026-01-01', climate: 'temperate', stands: false, competition: false, kind: 'glycol', lowMoisture: false },
  ...{ dry: 230, wet: 155, makerMonths: null, hottest: null, measured: null },
} as const;
const bore = {
  ...{ depths: [[20, 20, 20]], nominal: 20, piston: [19.95], pits: [], sweptFrom: 5, sweptTo: 20, material: 'iron' as const, honeTo: null },
} as const;
const seal = { grooveDepth: 5, sealWidth: 2 };
const at = (run: number, value: number) => ({ run, value });
const limitRow = (over: Record<string, string>) => ({ ...rowOfLimit({ ...LIMIT, scope: 'shop', appliesTo: null }), ...over });
const evenly = [0, 45, 90, 135, 180, 225, 270, 315];
const readingRow = (over: Record<string, string>): string => {
  const row = {
    ...{ component: 'Front left rotor', measurement: 'rotor_thickness', phase: 'as_found', place: 'outer ring', angle_deg: '0', pass: '1' },
    ...{ typed: '12.1', unit: 'mm', gauge: '', surface: 'clean', cold: 'yes' },
    ...over,
  };
  return readReadingList([row], openHistory(new JobFixture().file))[0]?.code ?? 'taken';
};
const network = { faults: [{ id: 'a', prior: 0.1 }], observations: [{ id: 'o', leak: 0.01, strengths: { b: 0.5 } }] };

/** What is refused with a code, one way for each that no other test asserts. */
const REFUSED: Readonly<Partial<Record<DomainErrorCode, () => unknown>>> = {
  bad_bore: () => lineVolume(0, 100),
  bad_length: () => adapterSetting(10, { wrenchMm: 0, offsetMm: 35, angleDeg: 0 }),
  repeated_point: () =>
    stretchesOfPoints([
      [0, 0, 0],
      [0, 0, 0],
    ]),
  doubles_back: () =>
    stretchesOfPoints([
      [0, 0, 0],
      [9, 0, 0],
      [1, 0, 0],
    ]),
  bad_table: () => readBench('teapot|rotor_thickness|a look|seized', new Set(['piston_seized'])),
  unknown_id: () => checkNetwork(network),
  too_few_points: () => liningCircle([{ angle: 0, distance: 100 }], 230),
  empty_lift_list: () =>
    chooseLifts({
      points: [20, 60, 100, 200, 240, 280].map((angle) => ({ angle, distance: 110 })),
      drumDiameter: 230,
      lifts: { aHeel: [], aToe: [0], bHeel: [0], bToe: [0] },
    }),
  two_gauges_needed: () => ofReduction([{ accuracy: 0.01, resolution: 0.01 }], 'difference_of_gauges'),
  too_few_repeats: () => sampleDeviation([1]),
  too_many_people: () =>
    repeatStudy(
      ['a', 'b', 'c'].map((person) => ({ person, value: 1 })),
      0.01,
    ),
  too_few_angles: () => splitRunout([0, 0, 90, 90, 180, 270], [0, 0, 0, 0, 0, 0]),
  lengths_differ: () => splitRunout(evenly, [0]),
  nonpositive_reading: () => reduceThickness(Array<number>(8).fill(0)),
  no_depth: () => reduceDrum({}),
  negative_reading: () => reducePads({ inner: { 'leading top': -1 } }, 'fixed'),
  negative_uncertainty: () => decide({ kind: 'lower', at: 1, nominal: null } as never, 2, -1),
  limit_incomplete: () => checkLimit({ ...LIMIT, bound: 'range', low: null, high: 2 }),
  zone_upside_down: () => judgeBore({ ...bore, sweptFrom: 20, sweptTo: 5 }),
  no_piston: () => judgeBore({ ...bore, piston: [] }),
  pit_upside_down: () => pitZone({ caliper: 'floating', mouthToFingers: 60, states: {} } as never, seal as never, [{ from: 9, to: 3 }]),
  nonpositive_diameter: () => shoeArc({ drum: 0, lining: 228, halfArc: 55 }),
  nonpositive_dimension: () => splitTravel({ lightMm: 0, hardMm: 20, padArmMm: 250, rodArmMm: 50, masterMm2: 300 }),
  bad_boiling_points: () => boilingTau(150, 150),
  saturated: () => refitWater(2, 99),
  nothing_to_fit: () => refitWater(0, 1),
  measured_before_change: () => fluidDue({ ...fluid, measured: { date: '2025-01-01', water: 1 } } as never),
  bad_figure: () => wear([at(0, 12), at(NaN, 11)], 'falls', 10, 100),
  no_points: () => wear([], 'falls', 10, 100),
  ran_backwards: () =>
    wear(
      [
        { ...at(9000, 12), at: '2024-01-01' },
        { ...at(100, 11), at: '2025-01-01' },
      ],
      'falls',
      10,
      100,
    ),
  no_distance: () => wear([at(100, 12), at(100, 11)], 'falls', 10, 100),
  other_currency: () => parseMoney('450 EUR', 'GBP'),
  not_a_sum: () => parseMoney('4-5', null),
  too_many_digits: () => parseQuantity('123456789012345678901', 'length', 'mm'),
  no_such_year: () => parsePartialDate('1700'),
  no_such_month: () => parsePartialDate('13/1998'),
  no_such_day: () => parsePartialDate('31 Feb 1998'),
  unknown_set: () =>
    recordFrom('readings', { ...base(0), typed: '12', unit: 'mm', place: null }, { vehicleId: 'v', measurement: null, gaugeKind: null }),
  not_one_of: () => readLimitRow(limitRow({ bound: 'sideways' })),
  not_a_year: () => readLimitRow(limitRow({ year_from: '70' })),
  no_type: () => readLimitRow(limitRow({ scope: 'type', make: '' })),
  no_target: () => readLimitRow(limitRow({ scope: 'vehicle', applies_to: '' })),
  no_columns: () => readLimitList([{ fruit: 'pear' }], []),
  too_long: () =>
    readLimitList(
      Array.from({ length: MAX_LIMIT_ROWS + 1 }, () => limitRow({})),
      [],
    ),
};

/** Why a row of a list of readings is not taken. */
const ROWS: Readonly<Partial<Record<DomainErrorCode, Record<string, string>>>> = {
  unknown_position: { place: 'rim' },
  unknown_surface: { surface: 'shiny' },
  unknown_phase: { phase: 'yesterday' },
  unknown_measurement: { measurement: 'girth' },
  unknown_place: { component: 'Third wheel' },
  no_angle: { angle_deg: '400' },
  blind_second: { second: 'yes' },
};

describe('what is refused', () => {
  it('has a code that is thrown somewhere, asserted in a test, and in the document with what it means', () => {
    const thrown = textOf('core/src', '.ts') + textOf('web/src', '.ts', '.vue');
    const tests = ['core/test', 'contract/test', 'server/test', 'web/test'].map((f) => textOf(f, '.ts', '.json')).join('\n');
    const without = (text: string, more: readonly string[] = []): string[] =>
      CODES.filter((c) => !text.includes(`'${c}'`) && !text.includes(`"${c}"`) && !more.includes(c));
    // The registry names every code itself.
    const registry = readFileSync(join(ROOT, 'core/src/quantity/domainErrors.ts'), 'utf8');
    expect(without(thrown.replace(registry, ''))).to.deep.equal([]);
    // Thrown in a browser only, of what its own canvas and files are.
    expect(without(tests, [...Object.keys(REFUSED), ...Object.keys(ROWS), 'no_canvas', 'range'])).to.deep.equal([]);
    const rows = readFileSync(join(ROOT, 'docs/problems.md'), 'utf8')
      .split('\n')
      .filter((l) => l.startsWith('- `'));
    expect(rows).to.deep.equal(CODES.map((c) => `- \`${c}\`: ${DOMAIN_ERRORS[c]}`));
  });

  for (const [code, act] of Object.entries(REFUSED))
    it(`${code}: ${DOMAIN_ERRORS[code as DomainErrorCode]}`, () => {
      const tried = toResult(act);
      expect(tried.ok ? 'taken' : tried.refusal.code).to.equal(code);
      if (!tried.ok) expect(tried.refusal.message, 'a sentence').to.match(/^.{12,}\.$/s);
    });

  for (const [code, over] of Object.entries(ROWS)) it(`in a list of readings, ${code}`, () => expect(readingRow(over)).to.equal(code));

  it('in a list of readings, two places of one name', () => {
    const t = new JobFixture();
    const file = {
      ...t.file,
      layout: { ...t.layout, slots: t.layout.slots.map((s) => (s.kind === 'rotor' ? { ...s, name: 'Rotor', corner: null } : s)) },
    };
    const row = {
      component: 'Rotor',
      measurement: 'rotor_thickness',
      angle_deg: '0',
      place: 'outer ring',
      typed: '12.1',
      unit: 'mm',
      phase: '',
      surface: 'clean',
      cold: 'yes',
    };
    expect(readReadingList([row], openHistory(file))[0]?.code).to.equal('two_places');
    expect(() =>
      readReadingList(
        Array.from({ length: 2001 }, () => row),
        openHistory(file),
      ),
    )
      .to.throw(DomainError)
      .with.property('code', 'too_long');
  });
});
