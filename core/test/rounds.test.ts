import { expect } from 'chai';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import { changesOf } from '../src/stages/trace/rounds.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { TracingFixture } from './tracingFixture.ts';
import { base, FOUR } from './jobFixture.ts';

describe('rounds of evidence', () => {
  it('what was felt before something on its path was changed is shown and not counted, until it is felt again', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL').say('drags', 'seen', 'FR');
    t.part(t.slot('caliper', 'RL'), 'resealed');
    const { evidence } = toTrace(t.state());
    expect(evidence.observations).to.have.property('drags@FR', 'seen');
    expect(evidence.observations).to.not.have.property('drags@RL');
    expect(evidence.earlier.get('drags@RL')?.since.what).to.equal('resealed');
    t.say('drags', 'not_seen', 'RL');
    const after = toTrace(t.state()).evidence;
    expect(after.observations).to.have.property('drags@RL', 'not_seen');
    expect(after.earlier.has('drags@RL')).to.equal(false);
  });
  it('new fluid and bleeding open a new round for the pedal, not for a bearing', () => {
    const t = new TracingFixture(FOUR).say('pedal_spongy', 'seen').say('bearing_play', 'seen', 'FL');
    t.file.fluidServices = [{ ...base(t.next()), product: 'New', fluidClass: '4', batch: '', lowMoisture: false, ...BY_CLASS_ALONE }];
    const { evidence } = toTrace(t.state());
    expect([...evidence.earlier.keys()]).to.deep.equal(['pedal_spongy']);
    expect(evidence.observations).to.have.property('bearing_play@FL', 'seen');
    expect(changesOf(t.state().history).map((c) => c.what)).to.deep.equal(['fluid changed']);
  });
  it('taking a part off to look changes nothing', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL');
    t.part(t.slot('pads', 'RL'), 'removed');
    expect(toTrace(t.state()).evidence.earlier.size).to.equal(0);
  });
});
