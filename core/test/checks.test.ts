import { expect } from 'chai';
import { HAZARD_CAUTION } from '../src/catalogue/cautions.ts';
import { OBSERVATIONS } from '../src/catalogue/observations.ts';
import { TABLES } from '../src/catalogue/trace/tables.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { HAZARD_OF, readHazards } from '../src/stages/trace/hazards.ts';
import { meaningful, networkOf } from '../src/stages/trace/network.ts';
import { hasTools } from '../src/views/trace/possible.ts';
import { answersToWords } from '../src/views/trace/shopWords.ts';
import { linesOf, whereWords } from '../src/views/trace/traceWords.ts';
import { firstRound, toTrace } from '../src/views/trace/tracing.ts';
import { TracingFixture } from './tracingFixture.ts';
import { FOUR, id } from './jobFixture.ts';

describe('checks as the vehicle stands', () => {
  it('one about a dragging wheel is proposed where a wheel drags, and follows the flow joint by joint', () => {
    const t = new TracingFixture(FOUR);
    const about = (): string[] => toTrace(t.state()).checks.flatMap((c) => (c.kind.id === 'open_bleeder' ? [c.corner ?? ''] : []));
    expect(about()).to.deep.equal([]);
    t.say('drags', 'seen', 'RL');
    expect(about()).to.deep.equal(['RL']);
    const flow = meaningful(toTrace(t.state()).network.checks, { 'no_braking@FL': 'seen' }).find((c) => c.kind.id === 'follow_flow')!;
    expect(flow.kind.inTurn).to.equal(true);
    expect(flow.observations).to.deep.equal(['bleeder_dry@FL', 'dry_hose_end@FL', 'dry_line_end@FL']);
    expect(flow.kind.steps).to.match(/Cap each end.*not bleeding/);
    // No flow out of the hose, and flow at the line's end: the hose.
    t.say('no_braking', 'seen', 'FL')
      .say('bleeder_dry', 'seen', 'FL')
      .say('dry_hose_end', 'seen', 'FL')
      .say('dry_line_end', 'not_seen', 'FL');
    const { given, causes } = t.weighed();
    expect(given.network.faults[causes.find((c) => c.raised)!.fault]?.id).to.equal(`hose_blocked@${t.slot('hose', 'FL')}`);
    expect(flow.kind.hazards.map((h) => HAZARD_CAUTION[h]).join(' ')).to.contain('Cap what stands open');
  });
  it('causes that nothing tells apart at one wheel stand as one line', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'FL');
    const { given, causes, ...rest } = t.weighed();
    const pistons = t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL').length;
    const line = (of: ReturnType<TracingFixture['weighed']>) =>
      linesOf(of.given.network, of.causes).find((l) => {
        const fault = of.given.network.faults[l.fault];
        return fault?.kind.id === 'piston_seized' && fault.slot?.corner === 'FL';
      });
    expect(line({ given, causes, ...rest })?.alike).to.have.length(pistons);
    const told = t.say('piston_stiff#1', 'not_seen', 'FL').weighed();
    expect(line(told)?.alike ?? []).to.have.length(pistons - 1);
  });
  it('so do those of several wheels, named together, and what is found is a line of its own', () => {
    const t = new TracingFixture(FOUR).say('judder', 'seen');
    const lines = () => {
      const { given, causes } = t.weighed();
      return linesOf(given.network, causes).flatMap((l) =>
        given.network.faults[l.fault]?.kind.id === 'rotor_uneven' ? [whereWords(given.network, l)] : [],
      );
    };
    expect(lines()).to.deep.equal(['front left, front right, rear left or rear right rotor']);
    t.look('rotor_uneven', t.slot('rotor', 'FR'), 'found').look('rotor_uneven', t.slot('rotor', 'FL'), 'found');
    expect(lines().slice(0, 2)).to.deep.equal(['front left rotor', 'front right rotor']);
    const one = t.look('rotor_uneven', t.slot('rotor', 'FR'), 'open');
    expect(one.p(`rotor_uneven@${t.slot('rotor', 'FL')}`)).to.equal(1);
  });
  it('each piston is tried by itself', () => {
    const t = new TracingFixture(FOUR);
    const pistons = t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL');
    expect(pistons.length).to.be.greaterThan(1);
    t.say('piston_stiff#2', 'seen', 'FL').say('piston_stiff#1', 'not_seen', 'FL');
    expect(t.p(`piston_seized@${pistons[1]?.id}`)).to.be.greaterThan(0.5);
    expect(t.p(`piston_seized@${pistons[0]?.id}`)).to.be.lessThan(0.05);
  });
  it('nothing is tried at a wheel that is off, by a gauge that is not on the rack, or by two where one is alone', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL').say('drags', 'seen', 'FR');
    const ids = (alone = false): string[] => toTrace(t.state(), alone).checks.map((c) => c.id);
    expect(ids()).to.include.members(['open_bleeder@RL', 'open_bleeder@FR', 'sweep@RL', 'slide@RL']);
    expect(ids(true)).to.not.include('open_bleeder@RL');
    expect(ids(true)).to.include('slide@RL');
    t.part(t.slot('caliper', 'RL'), 'removed');
    expect(ids().filter((c) => c.endsWith('@RL'))).to.deep.equal([]);
    const round = toTrace(t.state()).checks.find((c) => c.kind.id === 'wheels_off')!;
    expect(round.observations.some((o) => o.endsWith('@RL'))).to.equal(false);
    expect(round.observations.some((o) => o.endsWith('@FR'))).to.equal(true);
    const sweep = toTrace(t.state()).network.checks.find((c) => c.kind.id === 'sweep')!;
    const spin = toTrace(t.state()).network.checks.find((c) => c.kind.id === 'spin')!;
    expect([hasTools(sweep, new Set(['dial'])), hasTools(sweep, new Set(['micrometer'])), hasTools(sweep, new Set())]).to.deep.equal([
      true,
      false,
      true,
    ]);
    expect(hasTools(spin, new Set(['micrometer']))).to.equal(true);
  });
  it('an answer about what the vehicle does not have is named and left out, and the rest is weighed', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL').say('drags', 'seen', 'F').say('teapot', 'seen');
    const { given, refused, causes } = t.weighed();
    expect(given.evidence.foreign).to.deep.equal(['drags@F', 'teapot']);
    expect(refused).to.equal(null);
    expect(causes[0]!.probability).to.be.greaterThan(0.1);
  });
  it('a fault with which nobody drives says why', () => {
    expect(HAZARD_OF.get('rotor_cracked')).to.equal('It may break');
    expect(HAZARD_OF.has('park_maladjusted')).to.equal(false);
    expect(() => readHazards('\nteapot | It leaks', new Set(['rotor_thin']))).to.throw(DomainError, /^hazards, line 2/);
  });
  it('the first round fits in ten minutes, opens nothing and asks nothing twice', () => {
    for (const template of TEMPLATES) {
      const layout = buildLayout(template.id, 'lay', 'car', id);
      const n = networkOf(layout, { years: new Map(), yearsOfAll: 10, shifts: new Set(), fresh: new Set() }, TABLES);
      const round = firstRound(n, n.checks);
      expect(round.length, template.id).to.be.greaterThan(0);
      expect(round.reduce((s, c) => s + c.minutes, 0)).to.be.at.most(10);
      expect(round.every((c) => !c.kind.hazards.includes('opens') && !c.kind.hazards.includes('drives'))).to.equal(true);
    }
    expect(toTrace(new TracingFixture(FOUR).state()).firstRound.length).to.be.greaterThan(0);
    expect(toTrace(new TracingFixture(FOUR).say('judder', 'seen').state()).firstRound).to.deep.equal([]);
  });
});

describe('the shop’s own words', () => {
  const found = (typed: string): string[] => OBSERVATIONS.filter((o) => answersToWords(o, typed)).map((o) => o.code);
  it('find what is meant', () => {
    expect(found('goes soft')).to.include('pedal_spongy');
    expect(found('binding')).to.include('drags');
    expect(found('long pedal')).to.include.members(['pedal_low_pumps_up', 'pedal_play_excessive']);
    expect(found('HANDBRAKE')).to.include('park_no_hold');
    expect(found('reservoir')).to.include('level_low');
    expect(found('xyzzy')).to.deep.equal([]);
    expect(found('')).to.have.length(OBSERVATIONS.length);
  });
});
