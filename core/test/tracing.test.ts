import { expect } from 'chai';
import fc from 'fast-check';
import { observationKey, OBSERVATIONS } from '../src/catalogue/observations.ts';
import { readTables, TABLES } from '../src/catalogue/trace/tables.ts';
import { infer } from '../src/inference/noisyOr.ts';
import { diagnose } from '../src/inference/diagnose.ts';
import { deriveJob } from '../src/job/job.ts';
import { isHydraulic } from '../src/layout/graph.ts';
import type { Corner } from '../src/layout/kinds.ts';
import { reservoirsOf } from '../src/layout/reach.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import type { Observation } from '../src/ledger/families/observations.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { networkOf, type PlacedCheck } from '../src/stages/trace/network.ts';
import type { TraceContext } from '../src/stages/trace/priors.ts';
import { readOpposites } from '../src/views/trace/opposites.ts';
import { contradictionWords, linesOf, conflictWords, outcomeWords, speakingWords } from '../src/views/trace/traceWords.ts';
import { evidenceOf, toTrace } from '../src/views/trace/tracing.ts';
import { base, FOUR, id, NOW, JobFixture } from './jobFixture.ts';

const PLAIN: TraceContext = { years: new Map(), yearsOfAll: 10, shifts: new Set(), fresh: new Set() };
const layoutOf = (template: string) => buildLayout(template, 'lay', 'car', id);

/** A job in which something was said. */
class TracingFixture extends JobFixture {
  say(code: string, state: Observation['state'], corner: Corner | null = null): this {
    this.file.observations = [...this.file.observations, { ...base(this.next()), code, corner, state }];
    return this;
  }
  trace(possible: (c: PlacedCheck) => boolean = () => true) {
    const { network, evidence, checks } = toTrace(deriveJob(this.file, NOW));
    const w = diagnose(network, evidence, checks.filter(possible));
    return {
      ...w,
      causes: w.causes.map((c) => ({
        fault: network.faults[c.fault]!,
        probability: c.probability,
        speaks: c.contributions,
        raised: c.raised,
      })),
      next: w.next.map((n) => ({ ...n, check: network.checks.find((c) => c.id === n.id)! })),
    };
  }
  /** The causes that something speaks for, the likeliest first. */
  speaksFor() {
    return this.trace().causes.filter((c) => c.raised);
  }
  /** Probability of a kind of fault, at a wheel where it is one's. */
  p(kind: string, corner: Corner | null = null): number {
    const found = this.trace().causes.filter((c) => c.fault.kind.id === kind && (corner === null || c.fault.slot?.corner === corner));
    return Math.max(0, ...found.map((c) => c.probability));
  }
}

describe('the tables of faults', () => {
  const texts = (over: Partial<Record<'faults' | 'links' | 'signs' | 'checks', string>> = {}) => {
    const plain = {
      faults: 'air | system | hydraulic | Air | 0.1 | once | fresh*3 | use_again | most often it is air',
      links: 'air | spongy | 0.9 | system | it is the feel of air',
      signs: 'spongy | 0.03 | felt | system | - | some feel it anyway',
      checks: 'pump | Pump it | 1 | 0 | system | spongy | presses | - | pump twice',
      ...over,
    };
    const named = (name: keyof typeof plain) => ({ name, text: `\n# ${name}\n${plain[name]}\n` });
    return { faults: named('faults'), links: named('links'), signs: named('signs'), checks: named('checks') };
  };
  it('are read, each figure with its reasoning', () => {
    const t = readTables(texts());
    expect(t.faults[0]).to.deep.include({ id: 'air', on: 'system', prior: 0.1, per: 'once', shifts: { fresh: 3 } });
    expect(t.links[0]).to.include({ strength: 0.9, where: 'system' });
  });
  it('are refused with the table and the line where a figure cannot be, a reasoning is missing, or a name is nowhere', () => {
    for (const [over, says] of [
      [{ links: 'air | spongy | 1.2 | system | it is the feel of air' }, /^links, line 3: “1\.2” is no probability/],
      [{ links: 'air | spongy | 0.9 | system |' }, /^links, line 3: the reasoning is missing/],
      [{ links: 'air | spongy | 0.9 | here | it is the feel of air' }, /^links, line 3: “spongy” is of the system/],
      [{ links: 'water | spongy | 0.9 | system | the feel of it' }, /^links, line 3: “water” is no fault/],
      [{ links: 'air | sponge | 0.9 | system | the feel of it' }, /^links, line 3: “sponge” is no sign/],
      [{ links: 'air | spongy | 0.9 | system' }, /^links, line 3: 5 columns are wanted, and there are 4/],
      [{ faults: 'air | teapot | - | Air | 0.1 | once | - | use_again | most often' }, /^faults, line 3: “teapot” is none of/],
      [{ faults: 'air | system | - | Air | 0.1 | once | often*2 | use_again | most often' }, /^faults, line 3: “often” is no shift/],
      [{ faults: 'air | system | - | Air | 0.1 | once | fresh | use_again | most often' }, /^faults, line 3: “fresh” does not say/],
      [{ signs: 'spongy | much | felt | system | - | anyway' }, /^signs, line 3: “much” is no probability/],
      [{ checks: 'pump | Pump it | 0 | 0 | system | spongy | presses | - | pump twice' }, /^checks, line 3: a check takes some minutes/],
    ] as const)
      expect(() => readTables(texts(over)), JSON.stringify(over)).to.throw(DomainError, says);
  });
  it('that come with the application link every fault, and word everything that is asked', () => {
    for (const f of TABLES.faults) expect(TABLES.links.filter((l) => l.fault === f.id).length, f.id).to.be.greaterThan(0);
    for (const o of OBSERVATIONS)
      expect(TABLES.signs.find((s) => s.code === o.code)?.scope, o.code).to.equal(o.perCorner ? 'corner' : 'system');
    for (const s of TABLES.signs)
      if (s.known !== 'felt')
        expect(
          TABLES.links.some((l) => l.sign === s.code),
          s.code,
        ).to.equal(true);
    for (const s of TABLES.signs.filter((x) => x.known === 'checked'))
      expect(
        TABLES.checks.some((c) => c.signs.includes(s.code)),
        s.code,
      ).to.equal(true);
  });
});

describe('the network of a vehicle', () => {
  it('is made of its own layout: every fault where it can be, and nothing else', () => {
    for (const template of TEMPLATES) {
      const layout = layoutOf(template.id);
      const n = networkOf(layout, PLAIN, TABLES);
      expect(new Set(n.faults.map((f) => f.id)).size, template.id).to.equal(n.faults.length);
      const faults = new Set(n.faults.map((f) => f.id));
      for (const o of n.observations)
        for (const f of Object.keys(o.strengths)) expect(faults.has(f), `${template.id} ${o.id} ${f}`).to.equal(true);
      const holds = new Set(reservoirsOf(layout).map((r) => r.slotId));
      for (const f of n.faults)
        if (f.slot)
          expect(
            layout.slots.some((s) => s.id === f.slot?.id && (f.kind.on === 'fluid' ? holds.has(s.id) : f.kind.on === s.kind)),
          ).to.equal(true);
      const fluid = n.faults.some((f) => f.kind.id === 'air_in_system');
      expect(fluid, template.id).to.equal(isHydraulic(layout));
      expect(() => infer(n, { observations: {}, certain: {} })).to.not.throw();
    }
  });
  it('a wedge is seized only where one spreads the shoes, and a lever stiff only where a cable pulls the caliper', () => {
    const kinds = (template: string) => new Set(networkOf(layoutOf(template), PLAIN, TABLES).faults.map((f) => f.kind.id));
    for (const template of ['utility_rods', 'motorcycle_disc_rod']) expect([...kinds(template)]).to.include('wedge_seized');
    expect([...kinds('drums_single')]).to.not.include('wedge_seized');
    // Shoes are set off centre on hydraulic drums too; none of it where there are no shoes.
    for (const template of ['utility_rods', 'drums_single']) expect([...kinds(template)]).to.include('shoes_off_centre');
    expect([...kinds('coupe_disc_disc_tandem_servo')]).to.not.include('shoes_off_centre');
    // A parking lever at the caliper is where a cable pulls one.
    expect([...kinds('discs_cable_calipers')]).to.include('caliper_lever');
    expect([...kinds('disc_disc_parking_drum')]).to.not.include('caliper_lever');
    expect([...kinds('motorcycle_disc_rod')]).to.include.members(['foot_dry', 'lever_dry']);
    expect([...kinds('disc_disc_parking_drum')]).to.include('park_shoes_worn');
  });
  it('every kind of fault can be on some vehicle', () => {
    const all = new Set(TEMPLATES.flatMap((x) => networkOf(layoutOf(x.id), PLAIN, TABLES).faults.map((f) => f.kind.id)));
    expect(TABLES.faults.filter((f) => !all.has(f.id)).map((f) => f.id)).to.deep.equal(['switch_dead', 'switch_leaks']);
  });
  it('a prior grows with the years, and is shifted by what is known of the vehicle', () => {
    const layout = layoutOf('coupe_disc_disc_tandem_servo');
    const prior = (context: Partial<TraceContext>, kind: string): number =>
      networkOf(layout, { ...PLAIN, ...context }, TABLES).faults.find((f) => f.kind.id === kind)?.prior ?? NaN;
    // 0.0024 a year over ten years.
    expect(prior({}, 'piston_seized')).to.be.closeTo(1 - 0.9976 ** 10, 1e-12);
    expect(prior({ yearsOfAll: 20 }, 'piston_seized')).to.be.greaterThan(prior({}, 'piston_seized'));
    const odds = (p: number): number => p / (1 - p);
    expect(odds(prior({ shifts: new Set(['stood'] as const) }, 'piston_seized'))).to.be.closeTo(3 * odds(prior({}, 'piston_seized')), 1e-9);
    expect(prior({ fresh: new Set([layout.slots.find((s) => s.kind === 'master_cylinder')!.id]) }, 'pushrod_no_play')).to.be.greaterThan(
      0.02,
    );
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.subarray(['stood', 'damp', 'old_fluid', 'hard'] as const),
        (yearsOfAll, shifts) => {
          for (const f of networkOf(layout, { ...PLAIN, yearsOfAll, shifts: new Set(shifts) }, TABLES).faults) {
            expect(f.prior).to.be.greaterThan(0);
            expect(f.prior, f.id).to.be.at.most(f.kind.per === 'fluid' ? 0.95 : 0.6);
          }
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('from what is felt to the part at fault', () => {
  it('one wheel that drags speaks for its own parts, not for another’s', () => {
    const t = new TracingFixture(FOUR)
      .say('drags', 'seen', 'RL')
      .say('drags', 'not_seen', 'RR')
      .say('drags', 'not_seen', 'FL')
      .say('drags', 'not_seen', 'FR');
    expect(t.p('piston_seized', 'RL')).to.be.greaterThan(3 * t.p('piston_seized', 'RR'));
    expect(t.p('master_port')).to.be.lessThan(0.02);
    t.say('still_drags_bleeder', 'not_seen', 'RL');
    expect(t.p('hose_flap', 'RL')).to.be.lessThan(1.1);
    expect(t.p('piston_seized', 'RL')).to.be.lessThan(0.15);
  });
  it('all wheels that drag point at the cylinder or its push-rod', () => {
    const t = new TracingFixture(FOUR);
    for (const c of FOUR) t.say('drags', 'seen', c);
    t.say('pedal_play_none', 'seen');
    const first = t.speaksFor().slice(0, 2);
    expect(first.map((c) => c.fault.kind.id)).to.have.members(['pushrod_no_play', 'master_port']);
    // Fluid that goes back through the port leaves the push-rod alone in question.
    expect(t.say('no_fountain', 'not_seen').p('master_port')).to.be.lessThan(
      first.find((c) => c.fault.kind.id === 'master_port')!.probability,
    );
  });
  it('a spongy pedal is air first; a sinking one the cylinder', () => {
    expect(new TracingFixture(FOUR).say('pedal_spongy', 'seen').say('pedal_low_pumps_up', 'seen').speaksFor()[0]?.fault.kind.id).to.equal(
      'air_in_system',
    );
    expect(
      new TracingFixture(FOUR).say('pedal_sinks', 'seen').say('pedal_spongy', 'not_seen').say('level_low', 'not_seen').speaksFor()[0]?.fault
        .kind.id,
    ).to.equal('master_passes');
  });
  it('a measured figure is evidence by itself, stands in for the words about it, and counts once', () => {
    const t = new TracingFixture(FOUR).say('bearing_play', 'not_seen', 'FL');
    t.gauge(t.slot('hub'), ['0.30'], { measurement: 'hub_end_float' });
    const state = deriveJob(t.file, NOW);
    const { network } = toTrace(state);
    const e = evidenceOf(state, network);
    const key = observationKey('bearing_play', 'FL');
    expect([e.observations[key], e.learntFrom[key]]).to.deep.equal(['seen', 'measured']);
    expect(t.p('bearing_loose', 'FL')).to.be.greaterThan(0.5);
    const dirty = new TracingFixture(FOUR);
    dirty.gauge(dirty.slot('hub'), ['0.30'], { measurement: 'hub_end_float', surface: 'dirty' });
    expect(evidenceOf(deriveJob(dirty.file, NOW), network).observations[key]).to.equal(undefined);
  });
  it('a job read anew has the network it had, another layout or context has another', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL');
    const network = (file: typeof t.file) => toTrace(deriveJob(file, NOW)).network;
    const first = network(t.file);
    expect(network(structuredClone(t.file))).to.equal(first);
    const damp = structuredClone(t.file);
    damp.vehicle = { ...damp.vehicle, storage: 'damp' };
    expect(network(damp)).to.not.equal(first);
    const other = structuredClone(t.file);
    other.layout = { ...other.layout, slots: other.layout.slots.filter((s) => s.kind !== 'servo') };
    expect(network(other).faults.some((f) => f.kind.on === 'servo')).to.equal(false);
    expect(network(t.file).faults.some((f) => f.kind.on === 'servo')).to.equal(true);
  });
  it('what nobody checked is no evidence', () => {
    const plain = new TracingFixture(FOUR).trace().causes.map((c) => c.probability);
    const asked = new TracingFixture(FOUR)
      .say('judder', 'not_checked')
      .trace()
      .causes.map((c) => c.probability);
    plain.forEach((p, i) => expect(asked[i]).to.be.closeTo(p, 1e-12));
  });
  it('proposes checks that are possible, those worth most a minute first, and says what each outcome would make of it', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'FL');
    const all = t.trace().next;
    expect(all).to.have.length(3);
    // What bears on what was seen goes before at equal worth, which is within a tenth.
    for (const [i, p] of all.entries()) expect(p.dropPerMinute).to.be.greaterThan(((all[i + 1]?.dropPerMinute ?? 0) * 10) / 11);
    for (const p of all.filter((x) => x.exact && x.outcomes.length < 5))
      expect(p.outcomes.reduce((s, o) => s + o.probability, 0)).to.be.closeTo(1, 1e-9);
    const dry = t.trace((c) => c.kind.hazards.length === 0).next;
    expect(dry.every((p) => p.check.kind.hazards.length === 0)).to.equal(true);
    // With a wheel unit open no check that presses is on offer.
    t.part(t.slot('caliper', 'RR'), 'removed');
    const { checks } = toTrace(deriveJob(t.file, NOW));
    expect(checks.some((c) => c.kind.hazards.includes('presses'))).to.equal(false);
    expect(checks.length).to.be.greaterThan(0);
  });
  it('says what speaks for a cause and against it', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL').say('level_low', 'not_seen');
    const lead = t.trace().causes.find((c) => c.fault.slot?.corner === 'RL')!;
    expect(lead.speaks?.[0]?.observation).to.equal('drags@RL');
    expect(lead.speaks?.[0]?.logOdds).to.be.greaterThan(0.5);
  });
  it('in words: what speaks, what an outcome would make of it, what does not go together', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL').say('hot', 'not_seen', 'RL').say('bearing_play', 'not_seen', 'FL');
    t.gauge(t.slot('hub'), ['0.30'], { measurement: 'hub_end_float' });
    const given = toTrace(deriveJob(t.file, NOW));
    const w = diagnose(given.network, given.evidence, given.checks);
    const shown = linesOf(given.network, w.causes);
    expect(shown.length).to.be.within(1, 6);
    expect(shown.every((c) => c.probability >= 0.03)).to.equal(true);
    const at = (kind: string, corner: Corner) =>
      w.causes.find((c) => given.network.faults[c.fault]?.kind.id === kind && given.network.faults[c.fault]?.slot?.corner === corner)!;
    expect(speakingWords(given, at('bearing_loose', 'FL'), 1)).to.contain('Front left: bearing play (measured)');
    const held = shown.find((c) => given.network.faults[c.fault]?.slot?.corner === 'RL')!;
    expect(speakingWords(given, held, 1)).to.contain('Rear left: drags after release');
    expect(speakingWords(given, held, -1)).to.contain('Rear left: hot after a run: not seen');
    for (const line of outcomeWords(given, w.next[0]!))
      expect(line).to.match(/^.+ \(\d+\s%\): then first .+, \d+\s%; (taken up|let be|nothing done otherwise)/);
    expect(contradictionWords(given, { observation: 'drags@RL', against: 'hot@RL', likelihood: 0.01 })).to.equal(
      'These two do not go together: Rear left: drags after release; Rear left: hot after a run. Look at both again.',
    );
    expect(contradictionWords(given, { observation: 'drags@RL', against: null, likelihood: 0.01 })).to.match(/goes with nothing else/);
  });
  it('two that do not go together are named', () => {
    const words = (t: TracingFixture): string[] => {
      const given = toTrace(deriveJob(t.file, NOW));
      return conflictWords(given, diagnose(given.network, given.evidence, given.checks));
    };
    expect(words(new TracingFixture(FOUR).say('pedal_to_floor', 'seen').say('pedal_hard_no_stop', 'seen'))[0]).to.equal(
      'These two do not go together: Hard, and the vehicle does not stop; Goes to the floor with no resistance but its spring. A pedal that has no resistance is not hard. Look at both again.',
    );
    // At one wheel they are opposed, at two they are not.
    expect(words(new TracingFixture(FOUR).say('locked', 'seen', 'RL').say('no_braking', 'seen', 'RL'))[0]).to.match(
      /Rear left: .*; Rear left: /,
    );
    expect(words(new TracingFixture(FOUR).say('locked', 'seen', 'RL').say('no_braking', 'seen', 'FR'))).to.deep.equal([]);
    // Seldom is not odd.
    expect(words(new TracingFixture(FOUR).say('pedal_no_return', 'seen'))).to.deep.equal([]);
  });
  it('opposites of a table that names no sign, or the same twice, are refused by their line', () => {
    const signs = new Set(['locked', 'drags']);
    expect(() => readOpposites('\nlocked | teapot | why', signs)).to.throw(DomainError, /^opposites, line 2/);
    expect(() => readOpposites('locked | locked | why', signs)).to.throw(DomainError, /^opposites, line 1/);
    expect(() => readOpposites('locked | drags |', signs)).to.throw(DomainError, /^opposites, line 1/);
    expect(readOpposites('locked | drags | why', signs)).to.deep.equal([{ one: 'locked', other: 'drags', reason: 'why' }]);
  });
});
