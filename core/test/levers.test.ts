import { expect } from 'chai';
import { codeAt, slotOfObservation, observedCode } from '../src/catalogue/observations.ts';
import { isHazard } from '../src/catalogue/proofItems.ts';
import { answerable } from '../src/catalogue/trace/tables.ts';
import { controlsOf } from '../src/layout/reach.ts';
import { askedOf } from '../src/views/trace/toAnswer.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { answersToWords } from '../src/views/trace/shopWords.ts';
import { pressedFor } from '../src/readiness/pedalLock.ts';
import { TracingFixture } from './tracingFixture.ts';

const bike = () => new TracingFixture(['F', 'R'], [], 'motorcycle_disc_rod');
const leversOf = (t: TracingFixture) => {
  const [hand, foot] = controlsOf(t.layout).filter((c) => c.kind === 'pedal');
  return { hand: hand!, foot: foot! };
};

describe('what is felt at each of several levers', () => {
  it('is asked of each by itself, and of a car’s one pedal as before', () => {
    const t = bike();
    const { hand, foot } = leversOf(t);
    const asked = askedOf(toTrace(t.state()), t.state().context.answers);
    const texts = (code: string) => asked.filter((o) => observedCode(o.code) === code).map((o) => o.text);
    expect(texts('pedal_no_return').sort()).to.deep.equal([
      `${foot.name}: does not return, or returns slowly`,
      `${hand.name}: does not return, or returns slowly`,
    ]);
    // The rear is on a rod: nothing of it is spongy.
    expect(texts('pedal_spongy')).to.deep.equal([`${hand.name}: spongy`]);
    expect(asked.filter((o) => answersToWords(o, 'mushy')).map((o) => o.text)).to.deep.equal([`${hand.name}: spongy`]);
    const car = new TracingFixture(['FL'], [], 'coupe_disc_disc_tandem_servo');
    const codes = askedOf(toTrace(car.state()), car.state().context.answers).map((o) => o.code);
    expect(codes).to.include('pedal_spongy');
    expect(codes.some((c) => slotOfObservation(c) !== null)).to.equal(false);
  });

  it('speaks for faults that its own lever reaches, and for no others', () => {
    const t = bike();
    const { hand, foot } = leversOf(t);
    const { network } = toTrace(t.state());
    const at = (slotId: string) => network.observations.filter((o) => slotOfObservation(o.code) === slotId);
    expect(at(hand.slotId).length).to.be.greaterThan(4);
    expect(at(foot.slotId).length).to.be.greaterThan(1);
    for (const [mine, other] of [
      [hand, foot],
      [foot, hand],
    ] as const)
      for (const o of at(mine.slotId))
        for (const id of Object.keys(o.strengths)) {
          const slot = network.faults.find((f) => f.id === id)?.slot;
          if (slot) expect(mine.reach.has(slot.id) || !other.reach.has(slot.id), `${o.id} ${id}`).to.equal(true);
        }
  });

  it('what was felt before they were told apart names no lever: it is said so, left out, and not called foreign', () => {
    const t = bike().say('pedal_sinks', 'seen').say('teapot', 'seen');
    const { evidence } = toTrace(t.state());
    expect([evidence.leverless, evidence.foreign]).to.deep.equal([['pedal_sinks'], ['teapot']]);
    expect(evidence.observations).to.not.have.property('pedal_sinks');
    const car = new TracingFixture(['FL'], [], 'coupe_disc_disc_tandem_servo').say('pedal_sinks', 'seen');
    expect(toTrace(car.state()).evidence.leverless).to.deep.equal([]);
  });

  it('a soft hand lever raises what is in front, and nothing behind', () => {
    const t = bike();
    const { hand } = leversOf(t);
    const worth = () => {
      const { given, causes } = t.weighed();
      return new Map(causes.map((c) => [given.network.faults[c.fault]!.id, c.probability] as const));
    };
    const master = t.slot('master_cylinder', null);
    const before = worth();
    t.say(codeAt('pedal_sinks', hand.slotId), 'seen');
    const after = worth();
    expect(after.get(`master_passes@${master}`)!).to.be.greaterThan(3 * before.get(`master_passes@${master}`)!);
    const rear = [...before.keys()].filter((id) => toTrace(t.state()).network.faults.find((f) => f.id === id)?.slot?.corner === 'R');
    expect(rear.length).to.be.greaterThan(2);
    for (const id of rear) expect(after.get(id)!, id).to.be.at.most(before.get(id)! + 1e-9);
  });

  it('is owed of each lever, and asked again of the same one, which alone is pressed for it', () => {
    const t = bike();
    const { hand, foot } = leversOf(t);
    const felt = () => t.state().obligations.find((o) => o.key === 'trace:pedal')!;
    expect(felt().what).to.equal(`Feel the ${hand.name.toLowerCase()} and the ${foot.name.toLowerCase()}`);
    t.say(codeAt('pedal_to_floor', hand.slotId), 'seen');
    expect(felt().state).to.equal('open');
    t.say(codeAt('pedal_no_return', foot.slotId), 'not_seen');
    expect(felt().state).to.equal('closed');
    const again = t.state().context.proofItems.find((i) => i.item.includes('pedal_to_floor'))!;
    expect(again.question).to.equal(`${hand.name}: goes to the floor with no resistance but its spring`);
    expect(isHazard(again.item), 'no reason passes it').to.equal(true);
    expect(pressedFor(t.layout, again).map((c) => c.slotId)).to.deep.equal([hand.slotId]);
  });

  it('a code says what is felt and where', () => {
    expect(answerable('pedal_spongy~x')).to.deep.equal({ perCorner: false });
    expect(answerable('nothing~x')).to.equal(null);
    expect([observedCode('pedal_spongy~x'), slotOfObservation('pedal_spongy~x'), slotOfObservation('pedal_spongy')]).to.deep.equal([
      'pedal_spongy',
      'x',
      null,
    ]);
  });
});
