import { expect } from 'chai';
import { arrivalsOf } from '../src/history/arrivals.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { optionsOf } from '../src/readiness/options.ts';
import { placeStates } from '../src/readiness/unitState.ts';
import { whyNotDone } from '../src/readiness/workRefusal.ts';
import { FOUR, JobFixture, NOW } from './jobFixture.ts';

const told = (kind: 'came_loose' | 'came_missing' | 'came_unknown'): { t: JobFixture; slot: string } => {
  const t = new JobFixture(FOUR);
  const slot = t.slot('caliper');
  t.part(slot, kind);
  return { t, slot };
};
const place = (t: JobFixture, slot: string) => placeStates(openHistory(t.file), t.layout).find((p) => p.slot.id === slot)!;
const why = (t: JobFixture, slot: string, kind: 'fitted' | 'removed' | 'came_missing'): string | null =>
  whyNotDone(openHistory(t.file), { id: 'x', partId: `part:${slot}`, kind, slotId: slot, lot: null, lineOn: true }, NOW);

describe('a caliper comes with its pistons', () => {
  it('those of the old one go with it off the vehicle, pads in or not, and what was found on them is over', () => {
    const t = new JobFixture(['FL', 'FR']);
    const caliper = t.slot('caliper', 'FL');
    const piston = t.layout.slots.find((s) => s.kind === 'piston' && s.parentId === caliper)!.id;
    t.find(piston, { severity: 'reject', rulesOut: ['use_again', 'put_off'], words: 'Pitted' });
    const owed = () =>
      deriveJob(t.file, NOW)
        .obligations.filter((o) => o.slotId === piston && o.state === 'open')
        .map((o) => o.key.split(':')[0]);
    expect(owed()).to.deep.equal(['decide', 'finding']);
    t.decide(caliper, 'exchange');
    expect(owed(), 'it comes with the other caliper').to.deep.equal(['finding']);
    const refused = (partId: string, kind: 'removed' | 'fitted') =>
      whyNotDone(openHistory(t.file), { id: 'x', partId, kind, slotId: piston, lot: null, lineOn: false }, NOW);
    expect(refused(`part:${piston}`, 'removed'), 'behind its pads').to.not.equal(null);
    t.part(caliper, 'removed');
    expect(refused(`part:${piston}`, 'removed')).to.equal(null);
    t.part(piston, 'removed');
    expect(refused('another', 'fitted')).to.equal(null);
    t.part(piston, 'fitted', 'another');
    t.part(caliper, 'fitted', 'other caliper');
    expect(owed()).to.deep.equal([]);
  });
});

describe('how a vehicle came', () => {
  it('is there where nothing else is said', () => {
    expect(new Set(arrivalsOf(openHistory(new JobFixture().file)).map((a) => a.arrival))).to.deep.equal(new Set(['there']));
  });

  it('loose in a box: on the bench, its place open and the pedal locked, and gauged and fitted like any other', () => {
    const { t, slot } = told('came_loose');
    expect(arrivalsOf(openHistory(t.file)).find((a) => a.slot.id === slot)?.arrival).to.equal('loose');
    expect([place(t, slot).state, place(t, slot).why]).to.deep.equal(['open', 'front left caliper came loose and is not on']);
    const state = deriveJob(t.file, NOW);
    expect(state.context.proofStatus.locks.map((l) => l.control.name)).to.include('Pedal');
    expect(t.component(slot).bench, 'it lies in the shop').to.equal(`part:${slot}`);
    expect(t.component(slot).lookRequired).to.equal(true);
    expect(why(t, slot, 'removed')).to.match(/not in its place/);
    expect(why(t, slot, 'fitted')).to.equal(null);
  });

  it('missing: nothing to look at, gauge or use again; another one, or none', () => {
    const { t, slot } = told('came_missing');
    const c = t.component(slot);
    expect([c.empty, c.bench, c.lookRequired, c.required.length]).to.deep.equal([true, null, false, 0]);
    const open = optionsOf(openHistory(t.file), c).filter((o) => o.ruledOut === null);
    expect(open.map((o) => o.id)).to.deep.equal(['replace', 'exchange', 'used', 'put_off']);
    expect(deriveJob(t.file, NOW).obligations.find((o) => o.key === `fit:${slot}`)?.what).to.equal(
      'Front left caliper is missing: find it, or fit another',
    );
    expect(why(t, slot, 'fitted')).to.match(/was missing when it came/);
    expect(
      whyNotDone(openHistory(t.file), { id: 'x', partId: 'new one', kind: 'fitted', slotId: slot, lot: null, lineOn: true }, NOW),
    ).to.match(/line at the front left caliper is still on/);
  });

  it('not known: asked at Book in until somebody says', () => {
    const { t, slot } = told('came_unknown');
    const asked = () => deriveJob(t.file, NOW).obligations.find((o) => o.key === `came:${slot}`);
    expect([asked()?.stage, asked()?.what]).to.deep.equal(['bookin', 'Say whether the front left caliper came with it']);
    t.takeBack(t.file.partEvents.at(-1)!.id);
    expect(asked()).to.equal(undefined);
    expect(place(t, slot).state).to.equal('complete');
  });

  it('stands once something was worked on', () => {
    const t = new JobFixture(FOUR);
    const slot = t.slot('pads');
    expect(why(t, slot, 'came_missing')).to.equal(null);
    t.part(slot, 'removed');
    expect(why(t, slot, 'came_missing')).to.match(/was worked on in this job: how it came stands/);
  });
});
