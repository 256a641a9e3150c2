import { expect } from 'chai';
import fc from 'fast-check';
import {
  askable,
  answersToWords,
  buildLayout,
  caseOf,
  changesOf,
  type CauseLook,
  type Corner,
  deriveJob,
  evenNumbers,
  figuresAt,
  firstRound,
  givenSomething,
  hasTools,
  HAZARD_CAUTION,
  HAZARD_OF,
  hide,
  infer,
  inferSampled,
  judgeNamed,
  linesOf,
  type LoopCase,
  meaningful,
  measurementsOn,
  networkOf,
  NOTHING_ELSE,
  type Observation,
  OBSERVATIONS,
  ON_THE_BENCH,
  outcomeOf,
  pinnedDown,
  practiceCase,
  proposalsOf,
  proposedPath,
  readBench,
  readHazards,
  recordOf,
  SAID_IN_WORDS,
  Refusal,
  SUPPLIED_WEIGHT,
  TABLES,
  TEMPLATES,
  toTrace,
  weigh,
} from '../src/index.ts';
import { base, FOUR, id, NOW, Told } from './told.ts';

/** A job in which something was said, and looked for. */
class Asked extends Told {
  say(code: string, state: Observation['state'], corner: Corner | null = null): this {
    this.file.observations = [...this.file.observations, { ...base(this.next()), code, corner, state }];
    return this;
  }
  look(fault: string, place: string, state: CauseLook['state'], said: number | null = null, rank: number | null = null): this {
    this.file.causeLooks = [...this.file.causeLooks, { ...base(this.next()), fault, place, state, said, rank }];
    return this;
  }
  state() {
    return deriveJob(this.file, NOW);
  }
  weighed() {
    const given = toTrace(this.state());
    return { given, ...weigh(given.network, given.evidence, given.checks, given.complaint) };
  }
  p(faultId: string): number {
    const { given, causes } = this.weighed();
    return causes.find((c) => given.network.faults[c.fault]?.id === faultId)?.probability ?? NaN;
  }
}

describe('what the bench makes certain', () => {
  it('a cause said to be found is certain, and takes from the others what it explains', () => {
    const t = new Asked(FOUR).say('drags', 'seen', 'RL');
    const piston = t.slot('piston', 'RL');
    const other = `slides_seized@${t.slot('caliper', 'RL')}`;
    const before = t.p(other);
    t.look('piston_seized', piston, 'found', 0.4, 1);
    expect(t.p(`piston_seized@${piston}`)).to.equal(1);
    expect(t.p(other)).to.be.lessThan(before / 2);
    const { given, expected } = t.weighed();
    const i = given.network.faults.findIndex((f) => f.id === `piston_seized@${piston}`);
    expect(expected[i]).to.be.within(0.05, 0.95);
    expect(t.look('piston_seized', piston, 'absent').p(`piston_seized@${piston}`)).to.equal(0);
    expect(t.look('piston_seized', piston, 'open').p(other)).to.be.closeTo(before, 1e-12);
  });
  it('a finding of the catalogue that is the fault makes it certain by itself, and a new part ends that', () => {
    const t = new Asked(FOUR);
    const piston = t.slot('piston', 'RL');
    t.file.findings = [
      {
        ...base(t.next()),
        ...{ slotId: piston, partId: `part:${piston}`, severity: 'reject', words: 'seized solid', rulesOut: [], code: 'seized' },
        ...{ ...SAID_IN_WORDS, cleaning: 'after', settles: null, entry: 'seized' },
      },
    ];
    expect(t.p(`piston_seized@${piston}`)).to.equal(1);
    expect(t.weighed().given.evidence.found.get(`piston_seized@${piston}`)?.finding).to.equal('seized solid');
    t.part(piston, 'fitted');
    expect(t.p(`piston_seized@${piston}`)).to.be.lessThan(0.5);
  });
  it('what is put on the bench’s list is owed there until it is said whether it was found, and proposes the usual work', () => {
    const t = new Asked(['FL']);
    const piston = t.slot('piston', 'RL');
    const owed = () => t.state().obligations.filter((o) => o.key.startsWith(`cause:piston_seized:${piston}`));
    expect(owed()).to.deep.equal([]);
    t.look('piston_seized', piston, 'wanted');
    expect(owed().map((o) => o.state)).to.include('open');
    expect(owed().every((o) => o.stage === 'gauge' && o.slotId === piston)).to.equal(true);
    expect(owed().some((o) => /as found$/.test(o.what))).to.equal(true);
    // A piston is resealed with the caliper that carries it.
    expect(proposalsOf(t.state()).get(t.slot('caliper', 'RL'))).to.deep.equal({
      option: 'reseal',
      because: 'Usually clean and reseal: piston seized is looked for.',
    });
    t.look('piston_seized', piston, 'found');
    expect(owed().map((o) => o.state)).to.deep.equal(['closed']);
    expect(proposalsOf(t.state()).get(t.slot('caliper', 'RL'))?.because).to.contain('was found');
    expect(proposalsOf(t.look('piston_seized', piston, 'open').state()).size).to.equal(0);
    expect(owed()).to.deep.equal([]);
  });
  it('the bench’s table names figures that its parts have, findings that exist, and is refused by its line', () => {
    const kinds = new Set(TABLES.faults.map((f) => f.id));
    for (const b of ON_THE_BENCH) {
      const kind = TABLES.faults.find((f) => f.id === b.fault)!;
      const on = kind.on === 'system' || kind.on === 'circuit' || kind.on === 'axle' ? [] : measurementsOn(kind.on);
      for (const g of b.gauge)
        expect(
          on.map((m) => m.id),
          `${b.fault} ${g}`,
        ).to.include(g);
    }
    expect(() => readBench('\nnobody | - | a look | -', kinds)).to.throw(Refusal, /^bench, line 2/);
    expect(() => readBench('piston_seized | - | | -', kinds)).to.throw(Refusal, /^bench, line 1/);
    const t = new Asked(FOUR);
    const slot = t.layout.slots.find((s) => s.kind === 'rotor')!;
    expect(
      figuresAt(
        slot,
        ON_THE_BENCH.find((b) => b.fault === 'rotor_thin'),
      ),
    ).to.deep.equal(['rotor_thickness']);
    expect(figuresAt(slot, undefined)).to.deep.equal([]);
  });
});

describe('rounds of evidence', () => {
  it('what was felt before something on its path was changed is shown and not counted, until it is felt again', () => {
    const t = new Asked(FOUR).say('drags', 'seen', 'RL').say('drags', 'seen', 'FR');
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
    const t = new Asked(FOUR).say('pedal_spongy', 'seen').say('bearing_play', 'seen', 'FL');
    t.file.fluidServices = [{ ...base(t.next()), product: 'New', fluidClass: '4', batch: '', lowMoisture: false }];
    const { evidence } = toTrace(t.state());
    expect([...evidence.earlier.keys()]).to.deep.equal(['pedal_spongy']);
    expect(evidence.observations).to.have.property('bearing_play@FL', 'seen');
    expect(changesOf(t.state().book).map((c) => c.what)).to.deep.equal(['fluid changed']);
  });
  it('taking a part off to look changes nothing', () => {
    const t = new Asked(FOUR).say('drags', 'seen', 'RL');
    t.part(t.slot('pads', 'RL'), 'removed');
    expect(toTrace(t.state()).evidence.earlier.size).to.equal(0);
  });
});

describe('the loop closed', () => {
  it('a job counts once nothing else was found: with what had been said of each, and where it was looked for', () => {
    const t = new Asked(FOUR).look('piston_seized', '', 'open');
    const piston = t.slot('piston', 'RL');
    t.look('piston_seized', piston, 'found', 0.62, 1).look('hose_flap', t.slot('hose', 'FL'), 'absent', 0.2, 2);
    expect(caseOf(t.state())).to.equal(null);
    t.look(NOTHING_ELSE, 'system', 'found');
    const c = caseOf(t.state())!;
    expect(c.causes.map((x) => [x.fault, x.found, x.said, x.rank])).to.deep.equal([
      ['piston_seized', true, 0.62, 1],
      ['hose_flap', false, 0.2, 2],
    ]);
    const pistons = c.exposed.find((e) => e.fault === 'piston_seized')!;
    expect(pistons.places).to.equal(t.layout.slots.filter((s) => s.kind === 'piston').length);
    expect(pistons.found).to.equal(1);
    expect(caseOf(t.look(NOTHING_ELSE, 'system', 'open').state())).to.equal(null);
  });
  it('says how often the true fault was first and among three, and whether what was said came true', () => {
    const one = (said: number, rank: number, found: boolean): LoopCase['causes'][number] => ({
      ...{ fault: 'air_in_system', name: 'Air', where: 'the whole vehicle', said, rank, found },
    });
    const of = (causes: LoopCase['causes']): LoopCase => ({ jobId: 'j', tag: 'V 1', vehicle: 'Car', at: NOW, causes, exposed: [] });
    const r = recordOf([
      of([one(0.72, 1, true), one(0.31, 2, false)]),
      of([one(0.05, 5, true), one(0.75, 1, false)]),
      of([one(1, 3, true)]),
    ]);
    expect([r.cases, r.found, r.first, r.firstThree]).to.deep.equal([3, 3, 1, 2]);
    expect(r.tenths[7]).to.deep.equal({ from: 0.7, times: 2, said: 0.735, true: 1 });
    expect(r.tenths[9]).to.deep.include({ times: 1, true: 1 });
    expect(r.tenths.reduce((s, x) => s + x.times, 0)).to.equal(5);
  });
  it('the shop’s odds lie between the supplied ones and its own cases, and more cases weigh more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 4000 }),
        fc.double({ min: 0.01, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (places, m, share) => {
          const found = Math.round(places * share);
          const exposed = [{ fault: 'air_in_system', places, expected: m * places, found }];
          const [e] = recordOf([{ jobId: 'j', tag: 'V 1', vehicle: 'Car', at: NOW, causes: [], exposed }]).estimates;
          const own = found / places;
          expect(e!.own).to.be.within(Math.min(m, own) - 1e-12, Math.max(m, own) + 1e-12);
          expect(e!.own - m).to.be.closeTo(((own - m) * places) / (places + SUPPLIED_WEIGHT), 1e-9);
          expect(e!.times > 1).to.equal(e!.own > e!.supplied);
        },
      ),
    );
  });
  it('odds that were taken over shift the prior, and the newest version counts', () => {
    const t = new Asked(FOUR);
    const prior = (): number => toTrace(t.state()).network.faults.find((f) => f.kind.id === 'air_in_system')!.prior;
    const supplied = prior();
    const version = (times: number, enteredAt: string) => ({
      id: id(),
      fault: 'air_in_system',
      times,
      lookedAt: 9,
      found: 3,
      enteredBy: 'ann',
      enteredAt,
    });
    t.file.priors = [version(1, '2026-03-01T00:00:00.000Z'), version(3, '2026-02-01T00:00:00.000Z')];
    expect(prior()).to.equal(supplied);
    t.file.priors = [version(3, '2026-03-02T00:00:00.000Z'), ...t.file.priors];
    expect(prior() / (1 - prior())).to.be.closeTo((3 * supplied) / (1 - supplied), 1e-12);
  });
});

describe('too many things seen for an exact sum', () => {
  const network = (faults: number, signs: number, seed: number) => {
    const next = evenNumbers(seed);
    const list = Array.from({ length: faults }, (_, i) => ({ id: `f${i}`, prior: 0.02 + 0.2 * next() }));
    const observations = Array.from({ length: signs }, (_, k) => ({
      id: `o${k}`,
      leak: 0.01 + 0.05 * next(),
      strengths: Object.fromEntries(list.flatMap((f) => (next() < 0.3 ? [[f.id, 0.2 + 0.7 * next()]] : []))),
    }));
    return { faults: list, observations };
  };
  it('is drawn by chance, and agrees with the exact one within some times the error it states', () => {
    for (let seed = 1; seed <= 6; seed += 1) {
      const n = network(12, 8, seed);
      const evidence = {
        observations: Object.fromEntries(n.observations.map((o, k) => [o.id, k % 3 === 0 ? ('not_seen' as const) : ('seen' as const)])),
        certain: { f0: 'absent' as const, f1: 'present' as const },
      };
      const exact = infer(n, evidence).posterior;
      const drawn = inferSampled(n, evidence);
      expect(drawn.error).to.be.within(0, 0.05);
      exact.forEach((p, i) => expect(drawn.posterior[i], `seed ${seed} f${i}`).to.be.closeTo(p, 5 * Math.max(drawn.error, 0.004)));
      expect([drawn.posterior[0], drawn.posterior[1]]).to.deep.equal([0, 1]);
    }
  });
  it('where one exact sum is quick and hundreds are not, the causes are exact and nothing is ranked', () => {
    const n = network(40, 16, 5);
    const all = {
      ...n,
      observations: n.observations.map((o) => ({ ...o, strengths: Object.fromEntries(n.faults.map((f) => [f.id, 0.3])) })),
    };
    const evidence = { observations: Object.fromEntries(all.observations.map((o) => [o.id, 'seen' as const])), certain: {} };
    const w = weigh(all, evidence, []);
    expect([w.unranked, w.sampled, w.refused, w.next.length]).to.deep.equal([true, null, null, 0]);
    const exact = infer(all, evidence).posterior;
    for (const c of w.causes) expect(c.probability).to.equal(exact[c.fault]);
  });
  it('is what weighing falls back to, with its error stated and no check ranked', () => {
    const n = network(60, 40, 9);
    const evidence = { observations: Object.fromEntries(n.observations.map((o) => [o.id, 'seen' as const])), certain: {} };
    expect(() => infer(n, evidence)).to.throw(Refusal, /hang together/);
    const w = weigh(n, evidence, [{ id: 'c', minutes: 1, observations: ['o1'] }]);
    expect([w.refused, w.next.length]).to.deep.equal([null, 0]);
    expect(w.sampled).to.be.within(1e-6, 0.2);
    expect(w.causes).to.have.length(60);
  });
});

describe('a vehicle that somebody complains about', () => {
  it('has at least one fault: brute force over small networks', () => {
    const next = evenNumbers(4);
    for (let n = 0; n < 20; n += 1) {
      const faults = Array.from({ length: 5 }, (_, i) => ({ id: `f${i}`, prior: 0.02 + 0.3 * next() }));
      const observations = Array.from({ length: 3 }, (_, k) => ({
        ...{ id: `o${k}`, leak: 0.02 + 0.1 * next() },
        strengths: Object.fromEntries(faults.flatMap((f) => (next() < 0.6 ? [[f.id, next()]] : []))) as Record<string, number>,
      }));
      const evidence = { observations: { o0: 'seen', o1: 'not_seen' } as const, certain: {} };
      const mass = faults.map(() => 0);
      let all = 0;
      for (let set = 1; set < 32; set += 1) {
        let p = faults.reduce((q, f, i) => q * (set & (1 << i) ? f.prior : 1 - f.prior), 1);
        for (const o of observations.slice(0, 2)) {
          const none = faults.reduce((q, f, i) => (set & (1 << i) ? q * (1 - (o.strengths[f.id] ?? 0)) : q), 1 - o.leak);
          p *= o.id === 'o0' ? 1 - none : none;
        }
        all += p;
        faults.forEach((_, i) => {
          if (set & (1 << i)) mass[i] = (mass[i] ?? 0) + p;
        });
      }
      const { posterior, logLikelihood } = givenSomething({ faults, observations }, evidence, infer({ faults, observations }, evidence));
      posterior.forEach((p, i) => expect(p).to.be.closeTo((mass[i] ?? 0) / all, 1e-9));
      expect(Math.exp(logLikelihood)).to.be.closeTo(all, 1e-12);
    }
  });
});

describe('checks as the vehicle stands', () => {
  it('one about a dragging wheel is proposed where a wheel drags, and follows the flow joint by joint', () => {
    const t = new Asked(FOUR);
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
    expect(given.network.faults[causes[0]!.fault]?.id).to.equal(`hose_blocked@${t.slot('hose', 'FL')}`);
    expect(HAZARD_CAUTION[flow.kind.hazard]).to.contain('Cap what stands open');
  });
  it('causes that nothing tells apart at one wheel stand as one line', () => {
    const t = new Asked(FOUR).say('drags', 'seen', 'FL');
    const { given, causes } = t.weighed();
    const lines = linesOf(given.network, causes).filter((l) => given.network.faults[l.fault]?.kind.id === 'piston_seized');
    const pistons = t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL').length;
    expect(lines.find((l) => given.network.faults[l.fault]?.slot?.corner === 'FL')?.others).to.equal(pistons - 1);
    const told = t.say('piston_stiff#1', 'not_seen', 'FL').weighed();
    const after = linesOf(told.given.network, told.causes).filter((l) => told.given.network.faults[l.fault]?.kind.id === 'piston_seized');
    expect(after.every((l) => l.others < pistons - 1 || told.given.network.faults[l.fault]?.slot?.corner !== 'FL')).to.equal(true);
  });
  it('each piston is tried by itself', () => {
    const t = new Asked(FOUR);
    const pistons = t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL');
    expect(pistons.length).to.be.greaterThan(1);
    t.say('piston_stiff#2', 'seen', 'FL').say('piston_stiff#1', 'not_seen', 'FL');
    expect(t.p(`piston_seized@${pistons[1]?.id}`)).to.be.greaterThan(0.5);
    expect(t.p(`piston_seized@${pistons[0]?.id}`)).to.be.lessThan(0.05);
  });
  it('nothing is tried at a wheel that is off, by a gauge that is not on the rack, or by two where one is alone', () => {
    const t = new Asked(FOUR).say('drags', 'seen', 'RL').say('drags', 'seen', 'FR');
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
    const t = new Asked(FOUR).say('drags', 'seen', 'RL').say('drags', 'seen', 'F').say('teapot', 'seen');
    const { given, refused, causes } = t.weighed();
    expect(given.evidence.foreign).to.deep.equal(['drags@F', 'teapot']);
    expect(refused).to.equal(null);
    expect(causes[0]!.probability).to.be.greaterThan(0.1);
  });
  it('a fault with which nobody drives says why', () => {
    expect(HAZARD_OF.get('rotor_cracked')).to.equal('It may break');
    expect(HAZARD_OF.has('park_maladjusted')).to.equal(false);
    expect(() => readHazards('\nteapot | It leaks', new Set(['rotor_thin']))).to.throw(Refusal, /^hazards, line 2/);
  });
  it('the first round fits in ten minutes, opens nothing and asks nothing twice', () => {
    for (const template of TEMPLATES) {
      const layout = buildLayout(template.id, 'lay', 'car', id);
      const n = networkOf(layout, { years: new Map(), yearsOfAll: 10, shifts: new Set(), fresh: new Set() }, TABLES);
      const round = firstRound(n, n.checks);
      expect(round.length, template.id).to.be.greaterThan(0);
      expect(round.reduce((s, c) => s + c.minutes, 0)).to.be.at.most(10);
      expect(round.every((c) => c.kind.hazard !== 'opens' && c.kind.hazard !== 'drives')).to.equal(true);
    }
    expect(toTrace(new Asked(FOUR).state()).firstRound.length).to.be.greaterThan(0);
    expect(toTrace(new Asked(FOUR).say('judder', 'seen').state()).firstRound).to.deep.equal([]);
  });
});

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
        expect(Object.values(a.told)).to.include('seen');
      }
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id);
    expect(practiceCase(layout, 3).hidden.present).to.not.deep.equal(practiceCase(layout, 4).hidden.present);
  });
  it('a check comes out as the hidden faults would have it, is not asked twice, and the proposed way is walked by the same answers', () => {
    const made = practiceCase(buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id), 5);
    const [check] = askable(made, made.told);
    const more = outcomeOf(made, check!, made.told);
    for (const [key, state] of Object.entries(more)) expect(state === 'seen').to.equal(made.hidden.shows.has(key));
    expect(askable(made, { ...made.told, ...more }).map((c) => c.id)).to.not.include(check!.id);
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
  it('faults are drawn as often as their priors say, among those kept', () => {
    const n = networkOf(
      buildLayout('utility_rods', 'lay', 'car', id),
      { years: new Map(), yearsOfAll: 15, shifts: new Set(), fresh: new Set() },
      TABLES,
    );
    const random = evenNumbers(11);
    const draws = Array.from({ length: 3000 }, () => hide(n, random));
    // Kept with one to four: as often as that allows, by Bayes.
    const none = n.faults.reduce((q, f) => q * (1 - f.prior), 1);
    const i = n.faults.findIndex((f) => f.kind.id === 'rods_out');
    const share = draws.filter((d) => d.present[i]).length / draws.length;
    expect(share).to.be.closeTo((n.faults[i]?.prior ?? 0) / (1 - none), 0.03);
    expect(pinnedDown([true, false, false, false], [0.1, 0.2, 0.3, 0.4])).to.equal(false);
    expect(pinnedDown([false, true, false, false], [0.1, 0.2, 0.3, 0.4])).to.equal(true);
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
