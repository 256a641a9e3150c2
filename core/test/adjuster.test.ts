import { expect } from 'chai';
import fc from 'fast-check';
import { openHistory } from '../src/history/jobHistory.ts';
import { adjusterFacts, type AdjusterInput, adjusterTravel } from '../src/judging/adjusterTravel.ts';
import { adjusterWords } from '../src/wording/en/bench.ts';
import { slotById } from '../src/layout/graph.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { FOUR, LIMIT, JobFixture } from './jobFixture.ts';

const PLAIN: AdjusterInput = {
  drum: { now: 254.6, fresh: 254 },
  linings: [
    { now: 3, fresh: 5 },
    { now: 4, fresh: 5 },
  ],
  liningDiscard: 1.6,
  link: { now: 148.6, fresh: 150 },
  cam: { now: 18.2, fresh: 19 },
  travel: 18,
  perClick: 0.25,
  leverage: 2,
};

describe('what is left of an adjuster', () => {
  it('is drawn on by drum, linings, link and cam together', () => {
    const r = adjusterTravel(PLAIN);
    // Two shoes, hinged: the drum's growth 2 × 2 × 0.3, the linings 2 × (2 + 1), link 1.4, cam 0.8.
    expect(r.draws.map((d) => Number(d.mm.toFixed(9)))).to.deep.equal([1.2, 6, 1.4, 0.8]);
    expect(r.used).to.be.closeTo(9.4, 1e-9);
    expect(r.left).to.be.closeTo(8.6, 1e-9);
    expect(r.clicksLeft).to.equal(34);
    expect(r.liftToMiddle).to.be.closeTo(0.4, 1e-9);
    // 8.6 mm over two hinged shoes is 2.15 of lining: from 3 down to 0.85, under the discard.
    expect(r.endsAtLining).to.be.closeTo(0.85, 1e-9);
    expect(r.endsBeforeDiscard).to.equal(false);
    expect(adjusterWords(r, 1.6)).to.contain('It lasts until the linings are worn out.');
  });
  const length = fc.double({ min: 0, max: 3, noNaN: true });
  const any = fc.record({
    grown: length,
    lost: fc.array(length, { minLength: 1, maxLength: 2 }),
    short: length,
    worn: length,
    travel: fc.double({ min: 1, max: 40, noNaN: true }),
    leverage: fc.constantFrom(1 as const, 2 as const),
  });
  const inputOf = (a: typeof any extends fc.Arbitrary<infer T> ? T : never): AdjusterInput => ({
    drum: { now: 254 + a.grown, fresh: 254 },
    linings: a.lost.map((l) => ({ now: 5 - l, fresh: 5 })),
    liningDiscard: 1.6,
    link: { now: 150 - a.short, fresh: 150 },
    cam: { now: 19 - a.worn, fresh: 19 },
    travel: a.travel,
    leverage: a.leverage,
  });
  it('worn on to where it ends, nothing is left; lifted as told, it stands in the middle', () => {
    fc.assert(
      fc.property(any, (a) => {
        const input = inputOf(a);
        const r = adjusterTravel(input);
        const thinnest = Math.min(...input.linings.map((l) => l.now));
        const off = thinnest - r.endsAtLining;
        const worn = { ...input, linings: input.linings.map((l) => ({ ...l, now: l.now - off })) };
        // Below nothing the lining is gone before the travel is.
        if (worn.linings.every((l) => l.now >= 0)) expect(adjusterTravel(worn).left).to.be.closeTo(0, 1e-9);
        if (r.liftToMiddle > 0) expect(r.used - r.liftToMiddle).to.be.closeTo(input.travel / 2, 1e-9);
        else expect(r.used).to.be.at.most(input.travel / 2 + 1e-9);
        expect(r.draws.reduce((s, d) => s + d.mm, 0)).to.be.closeTo(input.travel - r.left, 1e-9);
      }),
    );
  });
  it('whatever wears more leaves less', () => {
    fc.assert(
      fc.property(
        any,
        fc.constantFrom('grown', 'short', 'worn' as const),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (a, what, more) => {
          const before = adjusterTravel(inputOf(a));
          const after = adjusterTravel(inputOf({ ...a, [what]: a[what] + more }));
          expect(after.left).to.be.lessThan(before.left);
        },
      ),
    );
  });
  it('says when it has run out, and by how much it must be lifted', () => {
    const r = adjusterTravel({ ...PLAIN, travel: 8 });
    expect(r.left).to.be.closeTo(-1.4, 1e-9);
    expect(adjusterWords(r, 1.6)).to.match(/The travel has run out by 1\.40 mm.*5\.40 mm more in all/);
    const thin = adjusterTravel({ ...PLAIN, travel: 12 });
    expect(thin.endsBeforeDiscard).to.equal(true);
    expect(adjusterWords(thin, 1.6)).to.contain('It runs out with the thinnest lining at 2.4 mm, before it is worn to 1.6.');
  });
  it('refuses what cannot be', () => {
    for (const [over, code] of [
      [{ linings: [] }, 'nothing_measured'],
      [{ travel: 0 }, 'nonpositive_length'],
      [{ drum: { now: -1, fresh: 254 } }, 'nonpositive_length'],
      [{ link: { now: 151, fresh: 150 } }, 'longer_than_new'],
      [{ cam: { now: 20, fresh: 19 } }, 'longer_than_new'],
    ] as const) {
      const sum = (): unknown => adjusterTravel({ ...PLAIN, ...over });
      expect(sum, code).to.throw(DomainError).with.property('code', code);
    }
  });
});

describe('what draws on an adjuster, from what was gauged at the wheel', () => {
  const DRUM = {
    ...LIMIT,
    ...{
      id: 'dl',
      seriesId: 'dl',
      characteristic: 'drum_diameter',
      axle: null,
      bound: 'upper' as const,
      nominal: 279.4,
      machineTo: null,
      at: 281.4,
    },
  };
  it('names what is missing until it is there', () => {
    const t = new JobFixture(FOUR, [DRUM], 'lorry_drums_single_servo');
    const shoes = slotById(t.layout, t.slot('shoes'))!;
    const facts = () => adjusterFacts(openHistory(t.file), shoes);
    expect(facts().missing).to.deep.equal(['drum', 'linings', 'whole_travel']);
    t.gauge(t.slot('drum'), Array<string>(12).fill('280.00'), { measurement: 'drum_diameter', count: 4 });
    t.gauge(shoes.id, ['3', '4', '5', '4', '4', '4'], { measurement: 'shoe_lining' });
    expect(facts().missing).to.deep.equal(['lining_new', 'whole_travel']);
    t.gauge(shoes.id, ['18', '0.25', '6', '4', '148', '150'], { measurement: 'adjuster_travel', partId: null });
    expect(facts()).to.deep.include({
      missing: [],
      drum: { now: 280, fresh: 279.4 },
      linings: [
        { now: 4, fresh: 6 },
        { now: 4, fresh: 6 },
      ],
      link: { now: 148, fresh: 150 },
      cam: null,
      travel: 18,
      perClick: 0.25,
    });
  });
});
