import { expect } from 'chai';
import fc from 'fast-check';
import { identityFact } from '../src/catalogue/identity.ts';
import { completenessOf } from '../src/estimate/complete.ts';
import { needsOf, strandedLines } from '../src/estimate/needs.ts';
import { estimateOf } from '../src/estimate/variants.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import type { OrderLine } from '../src/ledger/families/orderLines.ts';
import { ORDER_STEPS, type OrderStep } from '../src/ledger/families/orderSteps.ts';
import { partFacts, type PartFact } from '../src/ledger/families/partFacts.ts';
import type { SendOut } from '../src/ledger/families/sendOuts.ts';
import type { LotVersion } from '../src/ledger/lotRecords.ts';
import type { ArticleVersion } from '../src/ledger/priceRecords.ts';
import { whyNotTakenBack } from '../src/readiness/takenBack.ts';
import { whyNotDone } from '../src/readiness/workRefusal.ts';
import { comparedAt, isAlike, rightRefusal } from '../src/supply/arrival.ts';
import { lotQuestion } from '../src/supply/lots.ts';
import { supplyRefusal } from '../src/supply/mayFit.ts';
import { lineState, orderStates, whyNotStep } from '../src/supply/orders.ts';
import { outStates, stillInPost, waitingBatches, whyNotOutStep } from '../src/supply/outs.ts';
import { readTagCode, tagCode } from '../src/supply/tagCode.ts';
import { lineRefusal, orderingRefusal, stepRefusal } from '../src/views/ordering.ts';
import { lineWords, outWords } from '../src/wording/en/supply.ts';
import { base, FOUR, id, JobFixture, NOW } from './jobFixture.ts';

const line = (over: Partial<OrderLine> = {}): OrderLine => ({
  ...base(50),
  ...{
    supplierId: 's',
    supplier: 'Bramhall Spares',
    name: 'Rotor',
    articleId: null,
    partNumber: 'R 1',
    supply: 'new',
    count: 2,
    places: [],
  },
  ...{ need: null, price: 4000, core: null, expected: '2026-02-01', shopsOwn: false, note: '' },
  ...over,
});
const step = (lineId: string, kind: OrderStep['kind'], over: Partial<OrderStep> = {}): OrderStep => ({
  ...base(60),
  ...{ lineId, kind, count: 1, day: null, result: null, slotId: null, amount: null, note: '' },
  ...over,
});
const said = (told: JobFixture, over: Pick<PartFact, 'fact' | 'typed'> & Partial<PartFact>): void => {
  const sent = {
    slotId: null,
    partId: null,
    lineId: null,
    unit: null,
    gaugeVersionId: null,
    canonical: null,
    ...base(told.next()),
    ...over,
  };
  const canonical = partFacts.derive?.(sent, { vehicleId: 'car', measurement: null, gaugeKind: null }).canonical ?? null;
  told.file.partFacts = [...told.file.partFacts, { ...sent, canonical }];
};
const ordered = (told: JobFixture, over: Partial<OrderLine> = {}): OrderLine => {
  const l = line({ ...base(told.next()), ...over });
  told.file.orderLines = [...told.file.orderLines, l];
  return l;
};
const told = (t: JobFixture, lineId: string, kind: OrderStep['kind'], over: Partial<OrderStep> = {}): void => {
  t.file.orderSteps = [...t.file.orderSteps, step(lineId, kind, { ...base(t.next()), ...over })];
};

const articleOf = (states: ArticleVersion['states']): ArticleVersion => ({
  ...{
    id: 'a',
    seriesId: 'a',
    name: 'Rotor',
    partNumber: null,
    supply: 'new',
    kind: 'rotor',
    process: null,
    fits: 'shop',
    appliesTo: null,
  },
  ...{ make: null, model: null, axle: null, supplierId: null, price: null, tax: 'standard', pricedOn: '2026-05-01', leadDays: null },
  ...{ core: 0, scarcity: 'available', covers: 'one', contents: [], states, retired: false, enteredBy: 'ann', enteredAt: NOW },
});

describe('an order line', () => {
  it('counts what it was told and never more than was ordered, whatever is tried in whatever order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }),
        fc.constantFrom(0, 500),
        fc.array(fc.record({ kind: fc.constantFrom(...ORDER_STEPS), count: fc.integer({ min: 1, max: 3 }), good: fc.boolean() }), {
          maxLength: 25,
        }),
        (count, core, tries) => {
          const l = line({ count, core });
          let steps: OrderStep[] = [];
          for (const t of tries) {
            const s = step(l.id, t.kind, {
              count: t.count,
              day: '2026-03-01',
              result: t.kind === 'checked' ? (t.good ? 'right' : 'wrong') : null,
            });
            if (whyNotStep(lineState(l, steps), s) === null) steps = [...steps, s];
          }
          const at = lineState(l, steps);
          expect(at.arrived + at.cancelled).to.be.at.most(count);
          expect(at.right + at.bad).to.be.at.most(at.arrived);
          expect(at.returned).to.be.at.most(at.bad);
          expect([at.coming, at.toCheck, at.toReturn].every((n) => n >= 0)).to.equal(true);
          if (at.done) expect(at.coming + at.toCheck + at.toReturn).to.equal(0);
        },
      ),
    );
  });

  it('comes in parts, is late from its promised day on, and says what falls due', () => {
    const l = line();
    expect(lineWords(lineState(l, []), '2026-01-20')).to.equal('promised for 1 Feb 2026');
    expect(lineWords(lineState(l, []), '2026-02-02')).to.match(/late$/);
    const one = [step(l.id, 'arrived')];
    expect(lineWords(lineState(l, one), '2026-01-20')).to.equal('1 here, not looked at; 1 still promised for 1 Feb 2026');
    const wrong = [...one, step(l.id, 'checked', { result: 'wrong', day: '2026-01-30' })];
    expect(lineState(l, wrong).dues).to.deep.equal([{ what: 'return', on: '2026-01-30' }]);
    const back = [...wrong, step(l.id, 'returned')];
    expect(lineState(l, back).creditWaits).to.equal(true);
    expect(lineState(l, [...back, step(l.id, 'credited', { amount: 4000 }), step(l.id, 'cancelled')]).done).to.equal(true);
  });

  it('has core money out until the old unit went and was credited, or is kept', () => {
    const l = line({ count: 1, core: 3000, supply: 'exchange' });
    const right = [step(l.id, 'arrived'), step(l.id, 'checked', { result: 'right' })];
    expect(lineState(l, right).core).to.equal('here');
    expect(lineState(l, right).dues[0]?.what).to.equal('core');
    expect(whyNotStep(lineState(l, right), step(l.id, 'core_sent', { count: 2 }))).to.equal('no_core');
    expect(whyNotStep(lineState(l, right), step(l.id, 'core_credited')), 'credited before it went').to.equal('no_core');
    expect(lineState(l, [...right, step(l.id, 'core_sent')]).core).to.equal('sent');
    expect(lineState(l, [...right, step(l.id, 'core_sent'), step(l.id, 'core_credited')]).done).to.equal(true);
    expect(lineState(l, [...right, step(l.id, 'core_kept')]).done).to.equal(true);
  });
});

describe('the old part is the gauge for the new one', () => {
  const fact = (name: string) => identityFact(name)!;
  const mm = (value: number) => ({ typed: `${value} mm`, value });
  it('within a tolerance of each figure, and one that wears only the one way', () => {
    expect(isAlike(fact('height'), mm(48), mm(48.5))).to.equal(true);
    expect(isAlike(fact('height'), mm(48), mm(48.6))).to.equal(false);
    expect([isAlike(fact('thickness'), mm(11.2), mm(12.7)), isAlike(fact('thickness'), mm(11.2), mm(9.9))]).to.deep.equal([true, false]);
    expect([isAlike(fact('drum'), mm(229.4), mm(228.6)), isAlike(fact('drum'), mm(228.6), mm(254))]).to.deep.equal([true, false]);
    const words = (typed: string) => ({ typed, value: null });
    expect(isAlike(fact('thread'), words('M10 x 1'), words('m10×1'))).to.equal(true);
    expect(isAlike(fact('thread'), words('M10 x 1'), words('3/8-24'))).to.equal(false);
    expect([isAlike(fact('hand'), words('left'), words('either')), isAlike(fact('hand'), words('left'), words('right'))]).to.deep.equal([
      true,
      false,
    ]);
    expect(isAlike(fact('outline'), words('like'), words('unlike'))).to.equal(false);
  });

  it('takes no figure that is none: letters, nothing, less than nothing', () => {
    const t = new JobFixture();
    for (const [f, typed] of [
      ['height', 'tall'],
      ['height', ''],
      ['height', '-4'],
      ['outlets', '2.5'],
      ['hand', 'up'],
      ['nothing', '4'],
    ] as const)
      expect(() => said(t, { fact: f, typed, partId: 'x' }), `${f} ${typed}`).to.throw();
  });

  it('a new rotor is right only where everything known of the old one was looked at and is alike', () => {
    const t = new JobFixture();
    const at = t.slot('rotor');
    const old = `part:${at}`;
    said(t, { fact: 'height', typed: '48', partId: old, slotId: at });
    said(t, { fact: 'bolt_circle', typed: '114.3 mm', partId: old, slotId: at });
    const l = ordered(t, { places: [at], count: 1 });
    told(t, l.id, 'arrived');
    const check = (note = '') =>
      stepRefusal(deriveJob(t.file, NOW), { lineId: l.id, kind: 'checked', count: 1, day: null, result: 'right', slotId: at, note });
    expect(check()?.words).to.contain('Not looked at on the new one yet: height, bolt circle');
    said(t, { fact: 'height', typed: '48.1', lineId: l.id, slotId: at });
    said(t, { fact: 'bolt_circle', typed: '108', lineId: l.id, slotId: at });
    expect(check()?.code).to.equal('unlike');
    expect(check('It will do')?.words, 'words do not make it right').to.contain('Bolt circle: 108.00 mm, and 114.30 mm on the old one');
    said(t, { fact: 'bolt_circle', typed: '114.2', lineId: l.id, slotId: at });
    expect(check()).to.equal(null);
    const list = comparedAt(openHistory(t.file), at, old, l.id, null);
    expect(rightRefusal(list)).to.deep.equal({ unlike: [], unlooked: [] });
  });

  it('where nothing of it is on record, somebody says what was looked at', () => {
    const t = new JobFixture();
    const at = t.slot('hub');
    const l = ordered(t, { places: [at], count: 1 });
    told(t, l.id, 'arrived');
    const check = (note: string) =>
      stepRefusal(deriveJob(t.file, NOW), { lineId: l.id, kind: 'checked', count: 1, day: null, result: 'right', slotId: at, note });
    expect(check('')?.code).to.equal('unlike');
    expect(check('Laid side by side')).to.equal(null);
  });

  it('what the seller states is held against it before anything is ordered', () => {
    const t = new JobFixture();
    const at = t.slot('rotor');
    said(t, { fact: 'height', typed: '48', partId: `part:${at}`, slotId: at });
    const article = articleOf({ height: '52 mm' });
    const height = comparedAt(openHistory(t.file), at, `part:${at}`, null, article).find((c) => c.fact.id === 'height');
    expect([height?.statedUnlike, height?.alike]).to.deep.equal([true, null]);
  });
});

describe('what rests on an entry of an order', () => {
  it('is taken back before it: an arrival that was looked at, a line of which something came, a check that something was fitted by', () => {
    const t = new JobFixture();
    const at = t.slot('rotor');
    const l = ordered(t, { places: [at], count: 1 });
    const back = (recordId: string) => whyNotTakenBack(openHistory(t.file), recordId);
    expect(back(l.id)).to.equal(null);
    told(t, l.id, 'promised', { day: '2026-03-01' });
    expect(back(l.id), 'a promise may fall with it').to.equal(null);
    told(t, l.id, 'arrived');
    told(t, l.id, 'checked', { result: 'right', slotId: at });
    const [, arrived, checked] = t.file.orderSteps.map((s) => s.id);
    expect(back(l.id)).to.contain('rests on it');
    expect(back(arrived!)).to.contain('rests on it');
    expect(back(checked!)).to.equal(null);
    t.part(t.slot('caliper'), 'removed');
    t.part(at, 'removed');
    t.file.partEvents = [
      ...t.file.partEvents,
      { ...base(t.next()), partId: 'fresh', kind: 'fitted', slotId: at, note: '', temporary: false, until: null, lot: null, lineOn: false },
    ];
    expect(back(checked!), 'fitted by it').to.not.equal(null);
  });
});

describe('what was ordered for a place', () => {
  const off = (t: JobFixture, at: string) => {
    t.part(t.slot('caliper'), 'removed');
    t.part(at, 'removed');
  };
  const fit = (t: JobFixture, at: string, more = {}) =>
    whyNotDone(openHistory(t.file), { id: id(), partId: 'fresh', kind: 'fitted', slotId: at, lot: null, lineOn: false, ...more }, NOW);

  it('is not fitted before it is here and right; for now only, another one is', () => {
    const t = new JobFixture();
    const at = t.slot('rotor');
    off(t, at);
    expect(fit(t, at), 'nothing ordered').to.equal(null);
    const l = ordered(t, { places: [at], count: 1 });
    expect(fit(t, at)).to.contain('is on order from Bramhall Spares');
    expect(fit(t, at, { temporary: true })).to.equal(null);
    expect(fit(t, at, { kind: 'found' }), 'nor told of as found there').to.contain('is on order');
    told(t, l.id, 'arrived');
    expect(fit(t, at)).to.contain('was not looked at');
    told(t, l.id, 'checked', { result: 'wrong', slotId: at, note: 'Of another build' });
    expect(fit(t, at)).to.contain('found not to be right');
    const again = ordered(t, { places: [at], count: 1 });
    told(t, again.id, 'arrived');
    told(t, again.id, 'checked', { result: 'right', slotId: at });
    expect(fit(t, at)).to.equal(null);
    t.part(at, 'fitted', 'fresh');
    t.part(at, 'removed', 'fresh');
    expect(
      whyNotDone(openHistory(t.file), { id: id(), partId: 'third', kind: 'fitted', slotId: at, lot: null, lineOn: false }, NOW),
    ).to.contain('found not to be right');
    told(t, l.id, 'returned');
    expect(fit(t, at), 'what was wrong is gone').to.equal(null);
  });

  it('leaves the old part unscrapped until the new one was found right, and while its core money is out', () => {
    const t = new JobFixture();
    const at = t.slot('rotor');
    off(t, at);
    const scrap = () =>
      whyNotDone(openHistory(t.file), { id: id(), partId: `part:${at}`, kind: 'scrapped', slotId: at, lot: null, lineOn: false }, NOW);
    expect(scrap()).to.equal(null);
    const l = ordered(t, { places: [at], count: 1, supply: 'exchange', core: 3000 });
    expect(scrap()).to.contain('It is the gauge for the new one');
    told(t, l.id, 'arrived');
    told(t, l.id, 'checked', { result: 'right', slotId: at });
    expect(scrap()).to.contain('core money is out');
    told(t, l.id, 'core_kept', { note: 'Kept as a pattern' });
    expect(scrap()).to.equal(null);
  });

  it('a unit is not sealed with a kit that is still on its way', () => {
    const t = new JobFixture();
    const at = t.slot('caliper');
    const refused = () => supplyRefusal(openHistory(t.file), { id: id(), partId: `part:${at}`, kind: 'resealed', slotId: at })?.kind;
    expect(refused()).to.equal(undefined);
    const l = ordered(t, { places: [at], count: 1, supply: 'kit', name: 'Seal kit' });
    expect(refused()).to.equal('on_order');
    told(t, l.id, 'arrived');
    expect(refused()).to.equal('not_checked');
    told(t, l.id, 'checked', { result: 'right', slotId: at });
    expect(refused()).to.equal(undefined);
  });

  it('makes the work at its place wait, and says for what', () => {
    const t = new JobFixture();
    const at = t.slot('rotor');
    t.decide(at, 'replace');
    ordered(t, { places: [at], count: 1 });
    const work = deriveJob(t.file, NOW).obligations.find((o) => o.duty.kind === 'work' && o.slotId === at);
    expect([work?.state, work?.waitsFor]).to.deep.equal(['waiting', 'on_order']);
    expect(work?.why).to.contain('promised for 1 Feb 2026');
  });
});

describe('what a job needs bought', () => {
  const of = (t: JobFixture) => {
    const state = deriveJob(t.file, NOW);
    return needsOf(state.history, estimateOf(state.history, state.components));
  };
  const decideRow = (t: JobFixture): void => {
    for (const corner of ['FL', 'FR'] as const) t.decide(t.slot('rotor', corner), 'replace');
  };

  it('is derived from what is decided: both sides in one, one-use pieces and fluid with it', () => {
    const t = new JobFixture(FOUR);
    expect(of(t).filter((n) => n.name.startsWith('Rotor'))).to.deep.equal([]);
    decideRow(t);
    const rotors = of(t).find((n) => n.name === 'Rotor, new');
    expect([rotors?.count, rotors?.missing, rotors?.places.length]).to.deep.equal([2, 2, 2]);
    for (const corner of ['FL', 'FR'] as const) {
      t.decide(t.slot('caliper', corner), 'replace');
    }
    const all = of(t);
    expect(all.find((n) => n.name === 'Copper washer')?.count).to.equal(4);
    expect(all.find((n) => n.name === 'Brake fluid')?.count).to.be.greaterThan(0);
  });

  it('is ordered once: what is on its way counts, what was wrong is needed again, what fell is stranded', () => {
    const t = new JobFixture(FOUR);
    decideRow(t);
    const need = of(t).find((n) => n.name === 'Rotor, new')!;
    const l = ordered(t, { need: need.key, count: 2, places: need.places });
    expect(of(t).find((n) => n.key === need.key)?.missing).to.equal(0);
    told(t, l.id, 'arrived', { count: 2 });
    told(t, l.id, 'checked', { result: 'wrong', note: 'Too high' });
    expect(of(t).find((n) => n.key === need.key)?.missing).to.equal(1);
    for (const corner of ['FL', 'FR'] as const) t.decide(t.slot('rotor', corner), 'use_again');
    const state = deriveJob(t.file, NOW);
    const now = needsOf(state.history, estimateOf(state.history, state.components));
    expect(strandedLines(state.history, now).map((s) => s.line.id)).to.deep.equal([l.id]);
    expect(orderStates(state.history)[0]?.toReturn).to.equal(1);
  });

  it('nothing is ordered before somebody looked at small things, or left them by name', () => {
    const t = new JobFixture(['FL']);
    const state = () => deriveJob(t.file, NOW);
    expect(orderingRefusal(state())?.code).to.equal('not_looked');
    expect(lineRefusal(state(), { need: null, count: 1, name: 'Puller', shopsOwn: true }), 'a tool of the shop').to.equal(null);
    const open = completenessOf(openHistory(t.file)).filter((c) => c.state === 'nobody');
    expect(open.map((c) => c.thing)).to.include.members(['hoses', 'seals', 'bleeders']);
    t.file.orderLooks = open.map((c) => ({ ...base(t.next()), corner: c.corner, thing: c.thing, answer: 'needed', note: '' }));
    expect(orderingRefusal(state())).to.equal(null);
    expect(of(t).some((n) => n.name === 'Bleeders, front left')).to.equal(true);
    const need = of(t).find((n) => n.name === 'Bleeders, front left')!;
    expect(lineRefusal(state(), { need: need.key, count: 2, name: need.name, shopsOwn: false })?.code).to.equal('ordered_already');
    expect(lineRefusal(state(), { need: need.key, count: 1, name: need.name, shopsOwn: false })).to.equal(null);
  });

  it('nor past what the owner authorised', () => {
    const t = new JobFixture(['FL']);
    t.file.orderLooks = completenessOf(openHistory(t.file)).map((c) => ({
      ...base(t.next()),
      ...{ corner: c.corner, thing: c.thing, answer: 'left' as const, note: '' },
    }));
    t.file.rates = [
      {
        ...{ id: 'r', currency: null, hourly: 6000, hoursADay: 6, bayADay: 0, shipping: 0, towing: 0, standardPermille: 0 },
        ...{ reducedPermille: 0, reason: '', enteredBy: 'ann', enteredAt: NOW },
      },
    ];
    t.decide(t.slot('rotor'), 'replace');
    t.file.job = { ...t.file.job, authorisedMinor: 100 };
    expect(orderingRefusal(deriveJob(t.file, NOW))?.code).to.equal('over_authorised');
  });
});

describe('what is sent out', () => {
  const out = (t: JobFixture, at: string, over: Partial<SendOut> = {}): SendOut => {
    const o: SendOut = {
      ...base(t.next()),
      ...{ supplierId: 's', supplier: 'Hollin Turning', batch: 'Monday', partId: `part:${at}`, slotId: at, process: 'powder', size: '' },
      ...{ colour: 'black', gloss: 'satin', masks: [], count: 2, note: '' },
      ...over,
    };
    t.file.sendOuts = [...t.file.sendOuts, o];
    return o;
  };
  it('is in its box, away, back, and goes on only once it was counted and looked at', () => {
    const t = new JobFixture();
    const at = t.slot('rotor');
    const o = out(t, at);
    const state = () => outStates(openHistory(t.file))[0]!;
    expect(outWords(state(), '2026-06-01')).to.contain('in the box “Monday”');
    t.part(t.slot('caliper'), 'removed');
    t.part(at, 'removed');
    t.part(at, 'sent', `part:${at}`);
    expect(outWords(state(), '2026-06-01')).to.match(/^away since/);
    const check = { kind: 'checked' as const, day: null, result: 'right' as const, count: 2, looked: ['T'], amount: null };
    expect(whyNotOutStep(state(), check, ['T'], null)).to.equal('not_back');
    t.part(at, 'returned', `part:${at}`);
    expect(whyNotOutStep(state(), { ...check, count: 1 }, ['T'], null)).to.equal('short');
    expect(whyNotOutStep(state(), { ...check, count: 3 }, ['T'], null)).to.equal('more_than_went');
    expect(whyNotOutStep(state(), { ...check, looked: [] }, ['T'], null)).to.equal('unlooked');
    expect(whyNotOutStep(state(), check, ['T'], 'none')).to.equal('not_gauged');
    expect(whyNotOutStep(state(), check, ['T'], 'past')).to.equal('past');
    const fit = () =>
      whyNotDone(openHistory(t.file), { id: id(), partId: `part:${at}`, kind: 'fitted', slotId: at, lot: null, lineOn: false }, NOW);
    expect(fit()).to.contain('was not looked at');
    const told = (result: 'right' | 'wrong', count: number) => {
      t.file.sendOutSteps = [
        ...t.file.sendOutSteps,
        { ...base(t.next()), sendOutId: o.id, kind: 'checked', day: null, result, count, looked: ['T'], amount: null, note: '' },
      ];
    };
    told('wrong', 1);
    expect([state().short, state().done]).to.deep.equal([1, false]);
    expect(fit()).to.contain('not to be right');
    told('right', 2);
    expect([state().done, fit()]).to.deep.equal([true, null]);
  });

  it('names what its batch still waits for once part of it has gone', () => {
    const t = new JobFixture();
    const [a, b] = [t.slot('rotor'), t.slot('hub')];
    out(t, a);
    out(t, b);
    const waits = () => stillInPost(outStates(openHistory(t.file)), 'Monday', 's').map((o) => o.out.slotId);
    expect(waits()).to.deep.equal([]);
    t.part(t.slot('caliper'), 'removed');
    t.part(a, 'removed');
    t.part(a, 'sent', `part:${a}`);
    expect(waits()).to.deep.equal([b]);
    const batches = () => waitingBatches(outStates(openHistory(t.file))).map((w) => [w.batch, w.missing.map((o) => o.out.slotId)]);
    expect(batches()).to.deep.equal([['Monday', [b]]]);
    t.part(b, 'removed');
    t.part(b, 'sent', `part:${b}`);
    expect(batches()).to.deep.equal([]);
  });
});

describe('a lot', () => {
  const lot = (over: Partial<LotVersion> = {}): LotVersion => ({
    ...{
      id: 'l',
      seriesId: 'l',
      label: 'L 1',
      kind: 'rubber',
      name: 'Hoses',
      partNumber: null,
      supplierId: null,
      made: '2024',
      bought: null,
    },
    ...{ opened: null, batch: '', torque: '', bedding: '', cure: '', note: '', compound: '', grade: '', meantFor: '', coating: '' },
    ...{ ratedC: null, lifted: 'unknown', shelfYears: null, closed: false, recalled: '', enteredBy: 'ann', enteredAt: NOW },
    ...over,
  });
  it('past its age asks, of unknown age too; one called in is barred', () => {
    expect(lotQuestion(lot(), '2026-06-01')).to.equal(null);
    expect(lotQuestion(lot({ made: '2019-03' }), '2026-06-01')?.kind).to.equal('old');
    expect(lotQuestion(lot({ made: null }), '2026-06-01')?.kind).to.equal('age_unknown');
    expect(lotQuestion(lot({ made: null, bought: '2025' }), '2026-06-01')).to.equal(null);
    expect(lotQuestion(lot({ kind: 'lining', made: '1990' }), '2026-06-01'), 'linings keep').to.equal(null);
    expect(lotQuestion(lot({ kind: 'fluid', made: '2025', opened: '2025-01' }), '2026-06-01')?.kind).to.equal('open_long');
    expect(lotQuestion(lot({ recalled: 'It swells' }), '2026-06-01')?.kind).to.equal('recalled');
  });
});

describe('the code on a tag', () => {
  it('reads back; a letter that is wrong and two that are swapped are always found', () => {
    const tag = fc.stringMatching(/^[A-Z0-9 -]{1,19}[A-Z0-9]$/).filter((t) => t === t.trim());
    fc.assert(
      fc.property(tag, fc.nat(), fc.constantFrom(...'ABCXYZ0123456789'), (t, n, letter) => {
        const code = tagCode(t);
        expect(readTagCode(code)).to.deep.equal({ tag: t });
        expect(readTagCode(code.toLowerCase())).to.deep.equal({ tag: t });
        const at = 6 + (n % t.length);
        const wrong = code.slice(0, at) + letter + code.slice(at + 1);
        if (wrong !== code) expect(readTagCode(wrong)).to.equal('bad');
        const [x, y] = [code.charAt(at), code.charAt(at + 1)];
        if (at + 1 < 6 + t.length && x !== y) expect(readTagCode(code.slice(0, at) + y + x + code.slice(at + 2))).to.equal('bad');
      }),
    );
    expect(readTagCode('12.4')).to.equal(null);
    expect(readTagCode('DAUER:')).to.equal('bad');
  });
});
