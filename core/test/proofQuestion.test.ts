import { expect } from 'chai';
import { proofItems, questionOf } from '../src/catalogue/proofItems.ts';

describe('a proof that stands on record though it is not asked for', () => {
  it('is said in words, whatever it is and whichever control it was of', () => {
    expect(questionOf('first_press', null, 'Foot pedal')).to.equal('Foot pedal pumped up: high, and staying');
    expect(questionOf('pedal_hold~0197a000-0000-7000-8000-000000000001', null, 'Hand lever')).to.equal(
      'Hand lever held for 60 s does not sink',
    );
    expect(questionOf('release', 'RL', 'Pedal')).to.equal('Rear left wheel turns at once after a hard press');
    expect(questionOf('again:judder', null, 'Pedal')).to.equal('Judder');
    expect(questionOf('again:of_another_time', null, 'Pedal')).to.equal('What nobody asks any more');
    expect(questionOf('bench_tight', null, 'Pedal')).to.equal('Tight under pressure on the bench');
    expect(questionOf('complaint', null, 'Pedal')).to.equal('The complaint');
  });
  it('is said in the words in which it is asked, for whatever a vehicle is asked', () => {
    const controls = [{ slotId: 'p', name: 'Pedal', wet: true, pushed: true, servo: true }];
    const asked = proofItems({
      ...{ complaint: '', seen: [], hydraulic: true, controls, parking: true, corners: ['FL', 'RR'], tandem: true, clutch: true },
    });
    expect(asked.length).to.be.greaterThan(12);
    for (const i of asked) expect(questionOf(i.item, i.corner, 'Pedal'), i.item).to.equal(i.question);
  });
});
