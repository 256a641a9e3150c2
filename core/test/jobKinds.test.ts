import { expect } from 'chai';
import { acceptanceKey } from '../src/ledger/obligation.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { doableNow } from '../src/job/nextAct.ts';
import { isHydraulic } from '../src/layout/graph.ts';
import { KIND_FACTS } from '../src/layout/kinds.ts';
import { controlsOf, sharesReservoir } from '../src/layout/reach.ts';
import { withRuns } from '../src/layout/runs.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { openProofStatus } from '../src/readiness/proofStatus.ts';
import { placeStates } from '../src/readiness/unitState.ts';
import { afterCareOf } from '../src/views/afterCare.ts';
import { mayMove } from '../src/views/mayMove.ts';
import { base, FOUR, id, NOW } from './jobFixture.ts';
import { ReworkFixture } from './contributions.ts';
import { notApplicableWords } from '../src/wording/index.ts';

describe('kinds of job', () => {
  const slots = (t: ReworkFixture) => t.state().components.filter((c) => c.inScope && KIND_FACTS[c.slot.kind].article);
  it('one axle takes in its corners and its hoses, not the cylinder', () => {
    const t = new ReworkFixture(['RL', 'RR']);
    t.file.job = { ...t.file.job, kind: 'axle' };
    const kinds = new Set(slots(t).map((c) => c.slot.kind));
    expect(kinds.has('master_cylinder')).to.equal(false);
    expect(slots(t).map((c) => t.name(c.slot.id))).to.include('hose@');
    expect(slots(t).every((c) => c.slot.corner === null || c.slot.corner.startsWith('R'))).to.equal(true);
  });
  it('single units are taken in by hand, and left out by hand', () => {
    const t = new ReworkFixture([]);
    t.file.job = { ...t.file.job, kind: 'unit', scopeIn: [t.slot('caliper')] };
    expect(slots(t).map((c) => t.name(c.slot.id))).to.deep.equal(['caliper@FL']);
    t.file.job = { ...t.file.job, kind: 'overhaul', scopeCorners: FOUR, scopeIn: [], scopeOut: [t.slot('caliper')] };
    expect(slots(t).map((c) => c.slot.id)).to.not.include(t.slot('caliper'));
  });
  it('a stage that does not apply is hatched with its reason, unless something is owed in it', () => {
    const t = new ReworkFixture(FOUR);
    t.file.job = { ...t.file.job, kind: 'fluid' };
    const hatched = () =>
      Object.fromEntries(t.state().stages.map((s) => [s.stage, s.notApplicable && notApplicableWords(s.notApplicable)]));
    expect(hatched()).to.include({ trace: 'fluid only', gauge: 'fluid only', decide: 'fluid only', bleed: null });
    t.find(t.slot('pads'), { code: 'fluid_here', severity: 'watch' });
    expect(hatched()['gauge']).to.equal(null);
  });
  it('a hazard out of scope blocks, and a lead leaves it out by name', () => {
    const t = new ReworkFixture(['FR']);
    t.find(t.slot('hose', 'FL'), { severity: 'reject' });
    const hazard = t.open('hazard:')[0]!;
    expect(hazard.acceptBy).to.equal('lead');
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(hazard), reason: 'owner does it himself' }];
    expect(t.open('hazard:')).to.deep.equal([]);
    t.file.job = { ...t.file.job, scopeIn: [t.slot('hose', 'FL')] };
    expect(t.open('hazard:')).to.deep.equal([]);
    expect(t.open('finding:')).to.have.length(1);
  });
});

describe('after-care', () => {
  it('follows from what was done: nothing done leaves nothing', () => {
    const t = new ReworkFixture(FOUR);
    expect(afterCareOf(t.state(), NOW)).to.deep.equal([]);
    t.part(t.slot('pads'), 'fitted', 'new pads');
    expect(afterCareOf(t.state(), NOW).map((a) => a.item)).to.deep.equal(['bedding_in']);
    t.part(t.slot('caliper'), 'resealed');
    const list = afterCareOf(t.state(), NOW);
    expect(list.map((a) => a.item)).to.have.members(['bedding_in', 'leak_next_day', 'second_bleed']);
    expect(list.find((a) => a.item === 'leak_next_day')?.on).to.equal('2026-06-02');
  });
});

describe('may it move', () => {
  it('a lead may grant the yard by name; what stands in the way changed, and it falls', () => {
    const t = new ReworkFixture(FOUR);
    t.part(t.slot('pads'), 'removed');
    expect(mayMove(t.state()).level).to.equal('do_not_move');
    const offer = t.state().offers[0]!;
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(offer), reason: 'two men and chocks' }];
    expect(mayMove(t.state()).level).to.equal('yard_only');
    t.part(t.slot('pads', 'RR'), 'removed');
    expect(mayMove(t.state()).level).to.equal('do_not_move');
  });
});

describe('what a grant of the yard rests on', () => {
  const granted = (t: ReworkFixture, rests: string): string => {
    t.file.acceptances = [
      { ...base(t.next()), obligation: acceptanceKey({ ...t.state().offers[0]!, rests }), reason: 'two men and chocks' },
    ];
    return mayMove(t.state()).level;
  };
  it('names places and answers, and no sentence of them', () => {
    const t = new ReworkFixture(FOUR);
    t.part(t.slot('pads'), 'removed');
    const { rests } = t.state().offers[0]!;
    expect(rests).to.match(/^([0-9a-z-]{1,6}=\d+:[\w,-]+;)*parking=$/);
    expect(granted(t, rests)).to.equal('yard_only');
  });
  it('falls when the parking brake is answered, as it falls when a place does', () => {
    const t = new ReworkFixture(FOUR);
    const { rests } = t.state().offers[0]!;
    expect(granted(t, rests)).to.equal('yard_only');
    t.file.proofs = [{ ...base(t.next()), item: 'parking', corner: null, slotId: null, result: 'failed', note: '' }];
    expect(granted(t, rests)).to.equal('do_not_move');
  });
  it('as an earlier program wrote it down is understood, and holds no longer either', () => {
    const t = new ReworkFixture(FOUR);
    t.part(t.slot('pads'), 'removed');
    const earlier = t.state().offers[0]!.restsBefore!;
    expect(earlier).to.contain('Do not press');
    expect(granted(t, earlier)).to.equal('yard_only');
    t.part(t.slot('pads', 'RR'), 'removed');
    expect(granted(t, earlier)).to.equal('do_not_move');
  });
});

describe('the list of what can be done', () => {
  it('is open, and never in a stage that waits for an earlier one', () => {
    const t = new ReworkFixture(FOUR);
    const s = t.state();
    const after = s.stages.filter((x) => x.waitsFor !== null).map((x) => x.stage);
    expect(doableNow(s).every((o) => o.state === 'open' && !after.includes(o.stage))).to.equal(true);
    expect(doableNow(s).length).to.be.greaterThan(0);
  });
});

describe('a shared reservoir', () => {
  it('is named: the clutch that drinks from the brake’s', () => {
    const layout = buildLayout('saloon_disc_drum_single', 'l', 'v', id);
    const controls = controlsOf(layout);
    const pedal = controls.find((c) => c.kind === 'pedal')!;
    expect(sharesReservoir(layout, pedal, controls)).to.deep.equal([]);
    const tank = layout.slots.find((s) => s.kind === 'reservoir')!;
    const clutch = layout.slots.find((s) => s.kind === 'clutch_master')!;
    const feed = { id: id(), from: tank.id, to: clutch.id, kind: 'feed' as const, circuit: null, lengthMm: null, boreMm: null };
    const shared = { ...layout, connections: [...layout.connections, feed] };
    expect(sharesReservoir(shared, pedal, controlsOf(shared)).map((c) => c.kind)).to.deep.equal(['clutch']);
  });
  it('a motorcycle has two controls, and the hand lever does not lock the foot', () => {
    const layout = buildLayout('motorcycle_disc_rod', 'l', 'v', id);
    expect(isHydraulic(layout)).to.equal(true);
    const [hand, foot] = controlsOf(layout);
    const shared = [...(hand?.reach ?? [])].filter((x) => foot?.reach.has(x));
    expect(shared).to.deep.equal([]);
  });
  it('the places of a standing are those of the layout', () => {
    const t = new ReworkFixture(FOUR);
    const history = openHistory(t.file);
    expect(openProofStatus(history).places).to.deep.equal(placeStates(history, withRuns(t.layout)));
  });
});
