import { expect } from 'chai';
import { TABLES } from '../src/catalogue/trace/tables.ts';
import { seededUniform } from '../src/inference/seededUniform.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import { networkOf } from '../src/stages/trace/network.ts';
import { sampleCase, isIdentified } from '../src/views/trace/sampledCase.ts';
import {
  askable,
  faultsMeant,
  judgeNamed,
  keepPractised,
  outcomeOf,
  practiceCase,
  practiceNumber,
  type Practised,
  practisedSum,
  proposedPath,
} from '../src/views/trace/practice.ts';
import { id, NOW } from './jobFixture.ts';

describe('practice', () => {
  it('the same number gives the same vehicle, whose owner noticed something', () => {
    for (const template of TEMPLATES.slice(0, 4))
      for (const number of [1, 2, 77]) {
        const layout = buildLayout(template.id, 'lay', 'car', id);
        const a = practiceCase(layout, number);
        const b = practiceCase(layout, number);
        expect(a.hidden.present).to.deep.equal(b.hidden.present);
        expect([...a.hidden.shows]).to.deep.equal([...b.hidden.shows]);
        expect(a.hidden.present.filter(Boolean).length).to.be.within(1, 4);
        expect(Object.values(a.notice)).to.include('seen');
      }
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id);
    expect(practiceCase(layout, 3).hidden.present).to.not.deep.equal(practiceCase(layout, 4).hidden.present);
  });
  it('a check comes out as the hidden faults would have it, is not asked twice, and the proposed way is walked by the same answers', () => {
    const made = practiceCase(buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id), 5);
    const [check] = askable(made, made.notice);
    const more = outcomeOf(made, check!, made.notice);
    for (const [key, state] of Object.entries(more)) expect(state === 'seen').to.equal(made.hidden.shows.has(key));
    expect(askable(made, { ...made.notice, ...more }).map((c) => c.id)).to.not.include(check!.id);
    const path = proposedPath(made);
    expect(path.steps.length).to.be.at.most(8);
    expect(path.minutes).to.equal(path.steps.reduce((s, x) => s + x.check.minutes, 0));
    for (const s of path.steps) for (const key of s.seen) expect(made.hidden.shows.has(key)).to.equal(true);
  });
  it('what is named is held against what is hidden', () => {
    const made = practiceCase(buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id), 6);
    const there = made.network.faults.filter((_, i) => made.hidden.present[i]).map((f) => f.id);
    const not = made.network.faults.find((_, i) => !made.hidden.present[i])!.id;
    expect(judgeNamed(made, new Set([there[0]!, not]))).to.deep.equal({ right: [there[0]], missed: there.slice(1), wrong: [not] });
  });
  it('a number is whole and from 1 on; anything else is none', () => {
    expect(['1', ' 4711 ', '999999'].map(practiceNumber)).to.deep.equal([1, 4711, 999999]);
    for (const nonsense of ['', '0', '-3', '2.5', '1e5', '1000000', 'seven', '4 711'])
      expect(practiceNumber(nonsense), nonsense).to.equal(null);
  });
  it('faults are found by name or place from three letters on, at most eight, none twice', () => {
    const made = practiceCase(buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id), 6);
    const meant = (typed: string, named: readonly string[] = []) => faultsMeant(made, typed, new Set(named)).map((f) => f.id);
    expect(meant('pi')).to.deep.equal([]);
    expect(meant('xyzzy')).to.deep.equal([]);
    const seized = meant('PISTON SEIZED front left');
    expect(seized.length).to.be.greaterThan(0);
    expect(meant('piston seized front left', seized)).to.deep.equal([]);
    expect(meant('left')).to.have.length(8);
    for (const f of faultsMeant(made, 'hose', new Set())) expect(`${f.kind.name} ${f.where}`.toLowerCase()).to.contain('hose');
  });
  it('faults are drawn as often as their priors say, among those kept', () => {
    const n = networkOf(
      buildLayout('utility_rods', 'lay', 'car', id),
      { years: new Map(), yearsOfAll: 15, shifts: new Set(), fresh: new Set() },
      TABLES,
    );
    const random = seededUniform(11);
    const draws = Array.from({ length: 3000 }, () => sampleCase(n, random));
    // Kept with one to four: as often as that allows, by Bayes.
    const none = n.faults.reduce((q, f) => q * (1 - f.prior), 1);
    const i = n.faults.findIndex((f) => f.kind.id === 'rods_out');
    const share = draws.filter((d) => d.present[i]).length / draws.length;
    expect(share).to.be.closeTo((n.faults[i]?.prior ?? 0) / (1 - none), 0.03);
    expect(isIdentified([true, false, false, false], [0.1, 0.2, 0.3, 0.4])).to.equal(false);
    expect(isIdentified([false, true, false, false], [0.1, 0.2, 0.3, 0.4])).to.equal(true);
  });
  it('how it went is kept, the newest first, once a vehicle, and summed up', () => {
    const one = (over: Partial<Practised>): Practised => ({
      ...{ at: NOW, number: 1, brakes: 'Saloon', right: 1, missed: 0, wrong: 0, minutes: 10, proposedMinutes: 20, helped: false },
      ...over,
    });
    let list = keepPractised([], one({}));
    list = keepPractised(list, one({ number: 2, missed: 1, minutes: 30 }));
    list = keepPractised(list, one({ brakes: 'Coupe', wrong: 1, minutes: 50 }));
    expect(practisedSum(list)).to.deep.equal({ vehicles: 3, clean: 1, minutes: 30, proposedMinutes: 20 });
    list = keepPractised(list, one({ minutes: 40 }));
    expect(list.map((p) => [p.brakes, p.number, p.minutes])).to.deep.equal([
      ['Saloon', 1, 40],
      ['Coupe', 1, 50],
      ['Saloon', 2, 30],
    ]);
    for (let n = 3; n < 80; n += 1) list = keepPractised(list, one({ number: n }));
    expect([list.length, list[0]?.number]).to.deep.equal([50, 79]);
    expect(practisedSum([])).to.deep.equal({ vehicles: 0, clean: 0, minutes: 0, proposedMinutes: null });
    expect(practisedSum([one({ proposedMinutes: null }), one({ minutes: 20, proposedMinutes: 8 })])).to.include({
      minutes: 15,
      proposedMinutes: 8,
    });
  });
});
