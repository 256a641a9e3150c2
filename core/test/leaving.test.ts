import { expect } from 'chai';
import { mayBeWaived, type ProofItem, type ProofResult } from '../src/catalogue/proofItems.ts';
import { deriveJob, type JobState } from '../src/job/job.ts';
import type { LeavingHow } from '../src/ledger/families/leavings.ts';
import { afterCareOf } from '../src/views/afterCare.ts';
import { buildSheet } from '../src/views/handback.ts';
import { mayMove } from '../src/views/mayMove.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const state = (t: JobFixture): JobState => deriveJob(t.file, NOW);
const owed = (t: JobFixture, key: string) => state(t).obligations.find((o) => o.key === key);
function leave(t: JobFixture, how: LeavingHow, note = 'It goes on a trailer'): void {
  t.file.leavings = [...t.file.leavings, { ...base(t.next()), how, note }];
}
function answer(t: JobFixture, item: Pick<ProofItem, 'item' | 'corner'>, result: ProofResult, note = ''): void {
  t.file.proofs = [...t.file.proofs, { ...base(t.next()), item: item.item, slotId: null, corner: item.corner, result, note }];
}
function see(t: JobFixture, code: string): void {
  t.file.observations = [...t.file.observations, { ...base(t.next()), code, corner: null, state: 'seen' }];
}
function accept(t: JobFixture, key: string): void {
  const o = owed(t, key)!;
  t.file.acceptances = [
    ...t.file.acceptances,
    { ...base(t.next()), obligation: `${o.key}|${o.acceptBy ?? 'lead'}|${o.rests}`, reason: 'Owner was told, and wants it so' },
  ];
}

describe('what no reason passes', () => {
  it('is what must not be there when it is driven: a line that may burst, a leak, no brake at a wheel', () => {
    for (const code of ['line_rusted', 'fluid_at_wheel', 'hose_bad', 'no_braking', 'pedal_to_floor', 'locked'])
      for (const result of ['same', 'not_tried'] as const)
        expect(mayBeWaived(`again:${code}`, result, 'No lift here'), `${code} ${result}`).to.equal(false);
    for (const code of ['noise', 'judder', 'fluid_dark', 'park_long'])
      expect(mayBeWaived(`again:${code}`, 'same', ''), code).to.equal(true);
  });
  it('is that the pedal holds, comes back and lets go; what cannot be tried beside that may be passed', () => {
    for (const item of ['pedal_hold', 'pedal_reserve~x', 'pedal_return', 'release', 'leak_look', 'first_press', 'road', 'road_walk'])
      expect(mayBeWaived(item, 'not_tried', 'No lift here'), item).to.equal(false);
    for (const item of ['parking', 'stop_lamp', 'warning_lamps', 'hose_clear']) {
      expect(mayBeWaived(item, 'not_tried', 'No lift here'), item).to.equal(true);
      expect(mayBeWaived(item, 'not_tried', ''), `${item} without why`).to.equal(false);
      expect(mayBeWaived(item, 'failed', 'No lift here'), `${item} failed`).to.equal(false);
    }
  });
  it('stays in the way, whatever was accepted of it', () => {
    const t = new JobFixture(FOUR);
    see(t, 'line_rusted');
    answer(t, { item: 'again:line_rusted', corner: null }, 'same');
    expect([owed(t, 'proof:again:line_rusted')?.state, owed(t, 'proof:again:line_rusted')?.acceptBy]).to.deep.equal(['open', null]);
    accept(t, 'proof:again:line_rusted');
    expect(owed(t, 'proof:again:line_rusted')?.state).to.equal('open');
    see(t, 'noise');
    answer(t, { item: 'again:noise', corner: null }, 'same');
    accept(t, 'proof:again:noise');
    expect(owed(t, 'proof:again:noise')?.state, 'a squeal may stay').to.equal('closed');
  });
});

describe('how a vehicle leaves', () => {
  it('not driven: what only the road proves is left, and goes with the sheet; the rest stays owed', () => {
    const t = new JobFixture(FOUR);
    expect(owed(t, 'proof:road')?.state).to.equal('open');
    leave(t, 'not_driven');
    for (const key of ['proof:road', 'proof:road_walk', 'proof:complaint']) expect(owed(t, key)?.state, key).to.equal('put_off');
    for (const key of ['proof:pedal_hold', 'proof:leak_look', 'proof:parking']) expect(owed(t, key)?.state, key).to.equal('open');
    const care = afterCareOf(state(t), NOW).filter((a) => a.item.startsWith('left:'));
    expect(care.map((a) => a.what)).to.include.members(['Road test', 'Judder']);
    expect(care.every((a) => a.why === 'Before it is driven.')).to.equal(true);
    expect(buildSheet(state(t), NOW).leaves).to.equal('Not driven here: It goes on a trailer');
  });
  it('not driven leaves nothing that was tried and failed, and no hazard', () => {
    const t = new JobFixture(FOUR);
    see(t, 'line_rusted');
    answer(t, { item: 'road', corner: null }, 'failed', 'Pulled after 2 km');
    leave(t, 'not_driven');
    expect(owed(t, 'proof:road')?.state).to.equal('open');
    expect(owed(t, 'proof:again:line_rusted')?.state).to.equal('open');
    answer(t, { item: 'again:line_rusted', corner: null }, 'not_tried', 'No lift here');
    expect(owed(t, 'proof:again:line_rusted')?.state, 'not looked at').to.equal('open');
  });
  it('not to be driven: what is dangerous stays on it, on the first line of the sheet, and it goes nowhere but the yard', () => {
    const t = new JobFixture(FOUR);
    see(t, 'line_rusted');
    answer(t, { item: 'again:line_rusted', corner: null }, 'same');
    t.find(t.slot('rotor'), { severity: 'reject', words: 'Cracked from hub to rim' });
    leave(t, 'not_to_be_driven', 'Rear line rusted through, rotor cracked');
    expect(owed(t, 'proof:again:line_rusted')?.state).to.equal('put_off');
    expect(state(t).obligations.find((o) => o.key.startsWith('finding:'))?.state).to.equal('put_off');
    expect(state(t).blocks.some((o) => o.stage === 'prove')).to.equal(false);
    expect(buildSheet(state(t), NOW).leaves).to.equal('NOT TO BE DRIVEN: Rear line rusted through, rotor cracked');
    expect(mayMove(state(t)).level).to.not.equal('road_test');
    t.file.job = { ...t.file.job, kind: 'inspection' };
    leave(t, 'driven', '');
    expect(owed(t, 'proof:again:line_rusted')?.state, 'driven after all').to.equal('open');
    expect(buildSheet(state(t), NOW).leaves).to.equal(undefined);
  });
  it('not to be driven unlocks no pedal, and leaves nothing in that was put in', () => {
    const t = new JobFixture(FOUR);
    t.part(t.slot('pads'), 'removed');
    t.file.putIns = [...t.file.putIns, { ...base(t.next()), slotId: t.slot('caliper'), what: 'block', note: '' }];
    leave(t, 'not_to_be_driven', 'In pieces, fetched by its owner');
    expect(owed(t, `lock:${t.slot('pedal', null)}`)?.state).to.equal('open');
    expect(state(t).obligations.find((o) => o.key.startsWith('out:'))?.state).to.equal('open');
  });
});

describe('a motorcycle that never had a parking brake', () => {
  it('is moved by other means, said by whoever moves it', () => {
    const t = new JobFixture(['F', 'R'], [], 'motorcycle_disc_rod');
    expect(mayMove(state(t)).level).to.equal('do_not_move');
    const [offer] = state(t).offers;
    expect([offer?.what, offer?.acceptBy]).to.deep.equal(['Yard only, by other means: its stand, chocks, two people', 'technician']);
    const car = new JobFixture(FOUR);
    expect(state(car).offers[0]?.acceptBy, 'a parking brake that is not proved').to.equal('lead');
  });
});
