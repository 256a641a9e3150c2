import { expect } from 'chai';
import fc from 'fast-check';
import { measurementsOn } from '../src/catalogue/measurements.ts';
import { TABLES } from '../src/catalogue/trace/tables.ts';
import { NOTHING_ELSE } from '../src/ledger/families/causeLooks.ts';
import { SAID_IN_WORDS } from '../src/ledger/families/findings.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { figuresAt, ON_THE_BENCH, readBench } from '../src/stages/trace/causes.ts';
import { proposalsOf } from '../src/views/proposals.ts';
import { calibrationCase, type CalibrationCase, recordOf, SUPPLIED_WEIGHT } from '../src/views/trace/calibration.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { TracingFixture } from './tracingFixture.ts';
import { base, FOUR, id, NOW } from './jobFixture.ts';

describe('what the bench makes certain', () => {
  it('a cause said to be found is certain, and takes from the others what it explains', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL');
    const piston = t.slot('piston', 'RL');
    const other = `slides_seized@${t.slot('caliper', 'RL')}`;
    const before = t.p(other);
    t.look('piston_seized', piston, 'found', 0.4, 1);
    expect(t.p(`piston_seized@${piston}`)).to.equal(1);
    expect(t.p(other)).to.be.lessThan(before / 2);
    const { given, expected } = t.weighed();
    const i = given.network.faults.findIndex((f) => f.id === `piston_seized@${piston}`);
    expect(expected[i]).to.be.within(0.05, 0.95);
    expect(t.look('piston_seized', piston, 'absent').p(`piston_seized@${piston}`)).to.equal(0);
    expect(t.look('piston_seized', piston, 'open').p(other)).to.be.closeTo(before, 1e-12);
  });
  it('a finding of the catalogue that is the fault makes it certain by itself, and a new part ends that', () => {
    const t = new TracingFixture(FOUR);
    const piston = t.slot('piston', 'RL');
    t.file.findings = [
      {
        ...base(t.next()),
        ...{ slotId: piston, partId: `part:${piston}`, severity: 'reject', words: 'seized solid', rulesOut: [], code: 'seized' },
        ...{ ...SAID_IN_WORDS, cleaning: 'after', settles: null, entry: 'seized' },
      },
    ];
    expect(t.p(`piston_seized@${piston}`)).to.equal(1);
    expect(t.weighed().given.evidence.found.get(`piston_seized@${piston}`)?.finding).to.equal('seized solid');
    t.part(piston, 'fitted');
    expect(t.p(`piston_seized@${piston}`)).to.be.lessThan(0.5);
  });
  it('what is put on the bench’s list is owed there until it is said whether it was found, and proposes the usual work', () => {
    const t = new TracingFixture(['FL']);
    const piston = t.slot('piston', 'RL');
    const owed = () => t.state().obligations.filter((o) => o.key.startsWith(`cause:piston_seized:${piston}`));
    expect(owed()).to.deep.equal([]);
    t.look('piston_seized', piston, 'wanted');
    expect(owed().map((o) => o.state)).to.include('open');
    expect(owed().every((o) => o.stage === 'gauge' && o.slotId === piston)).to.equal(true);
    expect(owed().some((o) => /as found$/.test(o.what))).to.equal(true);
    // A piston is resealed with the caliper that carries it.
    expect(proposalsOf(t.state()).get(t.slot('caliper', 'RL'))).to.deep.equal({
      option: 'reseal',
      because: 'Usually clean and reseal: piston seized is looked for.',
    });
    t.look('piston_seized', piston, 'found');
    expect(owed().map((o) => o.state)).to.deep.equal(['closed']);
    expect(proposalsOf(t.state()).get(t.slot('caliper', 'RL'))?.because).to.contain('was found');
    expect(proposalsOf(t.look('piston_seized', piston, 'open').state()).size).to.equal(0);
    expect(owed()).to.deep.equal([]);
  });
  it('the bench’s table names figures that its parts have, findings that exist, and is refused by its line', () => {
    const kinds = new Set(TABLES.faults.map((f) => f.id));
    for (const b of ON_THE_BENCH) {
      const kind = TABLES.faults.find((f) => f.id === b.fault)!;
      const on = kind.on === 'system' || kind.on === 'fluid' || kind.on === 'circuit' || kind.on === 'axle' ? [] : measurementsOn(kind.on);
      for (const g of b.gauge)
        expect(
          on.map((m) => m.id),
          `${b.fault} ${g}`,
        ).to.include(g);
    }
    expect(() => readBench('\nnobody | - | a look | -', kinds)).to.throw(DomainError, /^bench, line 2/);
    expect(() => readBench('piston_seized | - | | -', kinds)).to.throw(DomainError, /^bench, line 1/);
    const t = new TracingFixture(FOUR);
    const slot = t.layout.slots.find((s) => s.kind === 'rotor')!;
    expect(
      figuresAt(
        slot,
        ON_THE_BENCH.find((b) => b.fault === 'rotor_thin'),
      ),
    ).to.deep.equal(['rotor_thickness']);
    expect(figuresAt(slot, undefined)).to.deep.equal([]);
  });
});

describe('the loop closed', () => {
  it('a job counts once nothing else was found: with what had been said of each, and where it was looked for', () => {
    const t = new TracingFixture(FOUR).look('piston_seized', '', 'open');
    const piston = t.slot('piston', 'RL');
    t.look('piston_seized', piston, 'found', 0.62, 1).look('hose_flap', t.slot('hose', 'FL'), 'absent', 0.2, 2);
    expect(calibrationCase(t.state())).to.equal(null);
    t.look(NOTHING_ELSE, 'system', 'found');
    const c = calibrationCase(t.state())!;
    expect(c.causes.map((x) => [x.fault, x.found, x.said, x.rank])).to.deep.equal([
      ['piston_seized', true, 0.62, 1],
      ['hose_flap', false, 0.2, 2],
    ]);
    const pistons = c.exposed.find((e) => e.fault === 'piston_seized')!;
    expect(pistons.places).to.equal(t.layout.slots.filter((s) => s.kind === 'piston').length);
    expect(pistons.found).to.equal(1);
    expect(calibrationCase(t.look(NOTHING_ELSE, 'system', 'open').state())).to.equal(null);
  });
  it('says how often the true fault was first and among three, and whether what was said came true', () => {
    const one = (said: number, rank: number, found: boolean): CalibrationCase['causes'][number] => ({
      ...{ fault: 'air_in_system', name: 'Air', where: 'the whole vehicle', said, rank, found },
    });
    const of = (causes: CalibrationCase['causes']): CalibrationCase => ({
      jobId: 'j',
      tag: 'V 1',
      vehicle: 'Car',
      at: NOW,
      causes,
      exposed: [],
    });
    const r = recordOf([
      of([one(0.72, 1, true), one(0.31, 2, false)]),
      of([one(0.05, 5, true), one(0.75, 1, false)]),
      of([one(1, 3, true)]),
    ]);
    expect([r.cases, r.found, r.first, r.firstThree]).to.deep.equal([3, 3, 1, 2]);
    expect(r.tenths[7]).to.deep.equal({ from: 0.7, times: 2, said: 0.735, true: 1 });
    expect(r.tenths[9]).to.deep.include({ times: 1, true: 1 });
    expect(r.tenths.reduce((s, x) => s + x.times, 0)).to.equal(5);
  });
  it('the shop’s odds lie between the supplied ones and its own cases, and more cases weigh more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 4000 }),
        fc.double({ min: 0.01, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (places, m, share) => {
          const found = Math.round(places * share);
          const exposed = [{ fault: 'air_in_system', places, expected: m * places, found }];
          const [e] = recordOf([{ jobId: 'j', tag: 'V 1', vehicle: 'Car', at: NOW, causes: [], exposed }]).estimates;
          const own = found / places;
          expect(e!.own).to.be.within(Math.min(m, own) - 1e-12, Math.max(m, own) + 1e-12);
          expect(e!.own - m).to.be.closeTo(((own - m) * places) / (places + SUPPLIED_WEIGHT), 1e-9);
          expect(e!.times > 1).to.equal(e!.own > e!.supplied);
        },
      ),
    );
  });
  it('odds that were taken over shift the prior, and the newest version counts', () => {
    const t = new TracingFixture(FOUR);
    const prior = (): number => toTrace(t.state()).network.faults.find((f) => f.kind.id === 'air_in_system')!.prior;
    const supplied = prior();
    const version = (times: number, enteredAt: string) => ({
      id: id(),
      fault: 'air_in_system',
      times,
      lookedAt: 9,
      found: 3,
      enteredBy: 'ann',
      enteredAt,
    });
    t.file.priors = [version(1, '2026-03-01T00:00:00.000Z'), version(3, '2026-02-01T00:00:00.000Z')];
    expect(prior()).to.equal(supplied);
    t.file.priors = [version(3, '2026-03-02T00:00:00.000Z'), ...t.file.priors];
    expect(prior() / (1 - prior())).to.be.closeTo((3 * supplied) / (1 - supplied), 1e-12);
  });
});
