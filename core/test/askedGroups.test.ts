import { expect } from 'chai';
import { slotOfObservation } from '../src/catalogue/observations.ts';
import { diagnose } from '../src/inference/diagnose.ts';
import { deriveJob } from '../src/job/job.ts';
import { askedGroups, controlPicked } from '../src/views/trace/askedGroups.ts';
import { plainChecks, plainNetwork } from '../src/views/trace/plain.ts';
import { askedOf } from '../src/views/trace/toAnswer.ts';
import { adviceWords } from '../src/views/trace/traceWords.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { FOUR, JobFixture, NOW } from './jobFixture.ts';
import { TracingFixture } from './tracingFixture.ts';

describe('what is asked of a vehicle', () => {
  const groupsOf = (template: string) => {
    const t = new JobFixture(['F', 'R', 'FL', 'FR', 'RL', 'RR'], [], template);
    const given = toTrace(deriveJob(t.file, NOW));
    return { layout: t.layout, groups: askedGroups(t.layout, askedOf(given, new Map())) };
  };
  it('stands by control and place: each lever by itself, the clutch, the parking lever, the road as it is told', () => {
    const { groups } = groupsOf('quad_lever_foot');
    expect(groups.slice(0, 2).map((g) => g.title)).to.deep.equal(['At the hand lever', 'At the foot lever']);
    for (const g of groups.slice(0, 2)) {
      expect(g.items.every((i) => slotOfObservation(i.code) === g.control)).to.equal(true);
      expect(g.items.map((i) => i.short)).to.include('Spongy');
    }
    const saloon = groupsOf('saloon_disc_drum_single').groups;
    expect(saloon.map((g) => g.title)).to.include.members(['At the pedal', 'At the clutch pedal', 'At the parking lever', 'At each wheel']);
    expect(saloon.find((g) => g.title === 'At the clutch pedal')!.items.every((i) => i.needs === 'clutch')).to.equal(true);
    // Nothing is asked twice, and nothing is lost.
    const codes = saloon.flatMap((g) => g.items.map((i) => i.code));
    expect(new Set(codes).size).to.equal(codes.length);
  });
  it('of a picked pedal or lever, or of the cylinder that it alone presses, is about that alone', () => {
    const { layout } = groupsOf('quad_lever_foot');
    const at = (kind: string) => layout.slots.find((s) => s.kind === kind)!;
    expect(controlPicked(layout, at('hand_lever').id)?.name).to.equal('Hand lever');
    expect(controlPicked(layout, at('master_cylinder').id)?.name).to.equal('Hand lever');
    expect(controlPicked(layout, at('caliper').id)).to.equal(null);
    expect(controlPicked(layout, null)).to.equal(null);
  });
  it('is weighed in another thread as here: dangers, costs and what is driven go along', () => {
    const given = new TracingFixture(FOUR).say('drags', 'seen', 'FL').say('pedal_hard_no_stop', 'seen');
    const { network, evidence, checks, complaint } = toTrace(deriveJob(given.file, NOW));
    const bare = { observations: evidence.observations, certain: evidence.certain };
    const there = structuredClone([plainNetwork(network), bare, plainChecks(checks)] as const);
    expect(diagnose(there[0], there[1], there[2], complaint)).to.deep.equal(diagnose(network, bare, checks, complaint));
  });
  it('is told what a check settles as a colleague would: its price, and the two works that it tells apart, where it does', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL');
    const given = toTrace(deriveJob(t.file, NOW));
    const at = (kind: string): number => given.network.faults.findIndex((f) => f.kind.id === kind);
    const check = given.checks.find((c) => c.kind.id === 'open_bleeder' && c.corner === 'RL')!;
    const [hose, slides] = [at('hose_flap'), at('slides_seized')];
    const outcome = (seen: string[], fault: number, probability: number) => ({
      ...{ seen, probability: 0.5, leads: [{ fault, probability }], takenUp: [], letBe: [] },
    });
    const rated = (free: number, still: number, exact = true) => ({
      ...{ id: check.id, drop: 1, dropPerMinute: 1, exact },
      outcomes: [outcome([], hose, free), outcome(['still_drags_bleeder@RL'], slides, still)],
    });
    expect(adviceWords(given, rated(0.7, 0.6))).to.match(
      /^8 min for two and a bleeding, since it opens the circuit; then you know which it is: slides seized .+ \(set right, about \d+ min\), or .+ \(renewed, about 20 min\)\.$/,
    );
    // What stays open either way, or was only drawn, is not said to be known then.
    expect(adviceWords(given, rated(0.4, 0.6))).to.equal(null);
    expect(adviceWords(given, rated(0.7, 0.6, false))).to.equal(null);
    expect(adviceWords(given, { ...rated(0.7, 0.6), outcomes: [outcome([], hose, 0.9), outcome(['x'], hose, 0.9)] })).to.equal(null);
  });
});
