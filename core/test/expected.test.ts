import { expect } from 'chai';
import fc from 'fast-check';
import { cautionOfCheck } from '../src/catalogue/cautions.ts';
import { OBSERVATIONS } from '../src/catalogue/observations.ts';
import { cornersOf } from '../src/layout/graph.ts';
import { TEMPLATES } from '../src/layout/templates.ts';
import { NOTHING_ELSE } from '../src/ledger/families/causeLooks.ts';
import { looksOf } from '../src/stages/trace/causes.ts';
import { expectedAndFound, rankIn, saidOf, toClose } from '../src/views/trace/expected.ts';
import { type Estimate, estimatesWorth } from '../src/views/trace/calibration.ts';
import { askedOf, askedWords, toAnswer } from '../src/views/trace/toAnswer.ts';
import { linesOf, quietLinesOf, shortPlaces, whereWords } from '../src/views/trace/traceWords.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { TracingFixture } from './tracingFixture.ts';
import { FOUR } from './jobFixture.ts';

/** What stands on the screen of a job. */
function stands(t: TracingFixture) {
  const { given, ...result } = t.weighed();
  const looks = looksOf(t.state().history);
  return { given, result, looks, rows: expectedAndFound(given, result, looks), toClose: toClose(given, result, looks) };
}

describe('what had been expected, and what is found', () => {
  it('ranks are a permutation, the likeliest first', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(0, 0.1, 0.2, 0.5, 1), { minLength: 1, maxLength: 12 }), (p) => {
        const ranks = p.map((_, i) => rankIn(p, i));
        expect([...ranks].sort((a, b) => a - b)).to.deep.equal(p.map((_, i) => i + 1));
        for (let i = 0; i < p.length; i += 1)
          for (let k = 0; k < p.length; k += 1) if ((p[i] ?? 0) > (p[k] ?? 0)) expect(ranks[i]).to.be.lessThan(ranks[k] ?? 0);
      }),
    );
  });
  it('keeps what had been said of a cause when it was asked about, whatever is learnt later', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL');
    const { given, result, rows } = stands(t);
    expect(rows).to.deep.equal([]);
    const i = given.network.faults.findIndex((f) => f.id === `piston_seized@${t.slot('piston', 'RL')}`);
    const [said] = saidOf(given, result, i, 'wanted');
    expect(said).to.deep.include({ fault: 'piston_seized', place: t.slot('piston', 'RL'), state: 'wanted', said: result.expected[i] });
    expect(said?.rank).to.be.within(1, 4);
    t.look('piston_seized', said?.place ?? '', 'wanted', said?.said ?? null, said?.rank ?? null).say('piston_stiff', 'not_seen', 'RL');
    const after = stands(t);
    expect(after.rows).to.deep.equal([{ fault: after.given.network.faults[i], said: said?.said, rank: said?.rank, state: 'wanted' }]);
    expect(after.result.expected[i]).to.be.lessThan((said?.said ?? 0) / 2);
    expect(saidOf(given, result, -1, 'found')).to.deep.equal([]);
  });
  it('nothing else found: what stood on the list or was looked for is not there, what a finding says is, and the loop is closed', () => {
    const t = new TracingFixture(FOUR).say('drags', 'seen', 'RL');
    const rotor = t.slot('rotor', 'FR');
    t.look('rotor_thin', rotor, 'wanted', 0.02, 30).find(t.slot('piston', 'RL'), { severity: 'reject', entry: 'seized', words: 'solid' });
    const { given, result, toClose: said, rows } = stands(t);
    expect(said.at(-1)).to.deep.equal({ fault: NOTHING_ELSE, place: 'system', state: 'found', said: null, rank: null });
    expect(said.filter((s) => s.state === 'found').map((s) => s.fault)).to.deep.equal(['piston_seized', NOTHING_ELSE]);
    const absent = said.filter((s) => s.state === 'absent');
    expect(absent.some((s) => s.fault === 'rotor_thin' && s.place === rotor)).to.equal(true);
    const listed = linesOf(given.network, result.causes).flatMap((l) => l.alike.map((i) => given.network.faults[i]?.id));
    for (const id of listed.filter((x) => x !== `piston_seized@${t.slot('piston', 'RL')}`))
      expect(absent.map((s) => `${s.fault}@${s.place}`)).to.include(id);
    // No more than that is said not to be there.
    for (const a of absent.filter((s) => s.fault !== 'rotor_thin')) expect(listed).to.include(`${a.fault}@${a.place}`);
    expect(rows.map((r) => [r.fault.kind.id, r.state])).to.deep.include(['piston_seized', 'found']);
    for (const s of said) t.look(s.fault, s.place, s.state, s.said, s.rank);
    expect(stands(t).toClose).to.deep.equal([{ fault: NOTHING_ELSE, place: 'system', state: 'found', said: null, rank: null }]);
  });
});

describe('the lines of the causes', () => {
  it('those that something speaks for stand apart from those as likely as on any such vehicle, and none is in both', () => {
    for (const [code, corner] of [
      ['judder', null],
      ['pedal_spongy', null],
      ['drags', 'RL'],
      ['long_stop', null],
    ] as const) {
      const { given, causes } = new TracingFixture(FOUR).say(code, 'seen', corner).weighed();
      const raised = linesOf(given.network, causes);
      const quiet = quietLinesOf(given.network, causes);
      expect(raised.length, code).to.be.within(1, 6);
      expect(raised.every((l) => l.raised && l.contributions?.some((s) => s.logOdds > 0.04))).to.equal(true);
      expect(quiet.every((l) => !l.raised && l.contributions?.every((s) => s.logOdds < 0.06))).to.equal(true);
      const all = [...raised, ...quiet].flatMap((l) => l.alike);
      expect(new Set(all).size).to.equal(all.length);
    }
  });
  it('name where they are: by wheel where that tells them apart, each by itself, or counted where they are many', () => {
    const told = (code: string) => new TracingFixture(FOUR).say(code, 'seen').weighed();
    const lineOf = ({ given, causes }: ReturnType<typeof told>, kind: string) =>
      linesOf(given.network, causes).find((l) => given.network.faults[l.fault]?.kind.id === kind)!;
    const low = told('level_low');
    expect(whereWords(low.given.network, lineOf(low, 'piston_leaks'))).to.equal(
      'one of 6, at front left, front right, rear left or rear right',
    );
    const bad = told('hose_bad');
    expect(whereWords(bad.given.network, lineOf(bad, 'hose_swells'))).to.equal('front left hose, front right hose or rear hose');
    expect(shortPlaces(bad.given.network, lineOf(bad, 'hose_swells'))).to.deep.equal(['front left hose', 'front right hose', 'rear hose']);
    const pull = new TracingFixture(FOUR).say('pulls_left', 'seen').weighed();
    const outside = linesOf(pull.given.network, pull.causes).find((l) => pull.given.network.faults[l.fault]?.kind.id === 'outside_pull')!;
    expect(whereWords(pull.given.network, outside)).to.equal('front left, outside the brakes');
    expect(shortPlaces(pull.given.network, outside)).to.deep.equal(['front left']);
  });
});

describe('what a vehicle is asked about', () => {
  const of = (template: string) => {
    const t = new TracingFixture(FOUR, [], template);
    return { t, asked: askedOf(toTrace(t.state()), t.state().context.answers) };
  };
  it('what some fault of its layout brings about, at the wheels that have it, and nothing else', () => {
    const codes = (template: string): string[] => of(template).asked.map((o) => o.code);
    expect(codes('utility_rods')).to.include.members(['pedal_play_excessive', 'drags', 'fades', 'pedal_hard_no_stop', 'tightens_warm']);
    for (const none of [
      'pedal_spongy',
      'pedal_low_pumps_up',
      'level_low',
      'fluid_at_wheel',
      'servo_none',
      'clutch_spongy',
      'difference_lamp',
    ])
      expect(codes('utility_rods')).to.not.include(none);
    expect(codes('drums_single')).to.not.include('servo_wet');
    for (const o of of('motorcycle_disc_rod').asked) expect(o.group).to.not.equal('parking');
    for (const none of ['park_no_hold', 'park_frozen', 'pulls_left']) expect(codes('motorcycle_double_disc')).to.not.include(none);
    const corners = (template: string, code: string) => of(template).asked.find((o) => o.code === code)?.corners;
    expect(corners('saloon_disc_drum_single', 'drum_stuck')).to.deep.equal(['RL', 'RR']);
    expect(corners('saloon_disc_drum_single', 'locked')).to.deep.equal(['FL', 'FR', 'RL', 'RR']);
    expect(corners('coupe_disc_disc_tandem_servo', 'drum_stuck')).to.equal(undefined);
  });
  it('everything on the list is asked of some vehicle, and of every wheel whether it drags, locks and runs hot', () => {
    const lists = TEMPLATES.map((x) => of(x.id));
    const all = new Set(lists.flatMap((l) => l.asked.map((o) => o.code)));
    expect(OBSERVATIONS.filter((o) => !all.has(o.code)).map((o) => o.code)).to.deep.equal([]);
    for (const { t, asked } of lists)
      for (const code of ['drags', 'locked', 'hot'])
        expect(asked.find((o) => o.code === code)?.corners, `${t.layout.template} ${code}`).to.have.members(cornersOf(t.layout));
  });
  it('an answer to something else is shown to be put right, is said to be left out, and does not count', () => {
    const { t } = of('coupe_disc_disc_tandem_servo');
    t.say('drum_stuck', 'seen', 'FL');
    const given = toTrace(t.state());
    expect(given.evidence.foreign).to.deep.equal(['drum_stuck@FL']);
    expect(given.evidence.observations).to.deep.equal({});
    expect(askedOf(given, t.state().context.answers).find((o) => o.code === 'drum_stuck')?.corners).to.deep.equal(['FL']);
    t.say('drum_stuck', 'not_checked', 'FL');
    expect(toTrace(t.state()).evidence.foreign).to.deep.equal([]);
  });
});

describe('what is left to answer of a check', () => {
  const check = (t: TracingFixture, kind: string) => {
    const { given } = t.weighed();
    const found = given.network.checks.find((c) => c.kind.id === kind)!;
    return { check: found, left: toAnswer(given, found) };
  };
  it('figures are taken at Gauge, words here, and what is answered is not asked again', () => {
    const t = new TracingFixture(FOUR);
    expect(check(t, 'sweep').left).to.deep.equal({ open: [], gauged: true });
    const all = check(t, 'pedal_round').left;
    expect(all.gauged).to.equal(false);
    t.say('pedal_spongy', 'not_seen');
    expect(check(t, 'pedal_round').left.open.map((s) => s.code)).to.deep.equal(
      all.open.map((s) => s.code).filter((c) => c !== 'pedal_spongy'),
    );
  });
  it('joint after joint: the next once the one before is dry, none once one flows', () => {
    const t = new TracingFixture(FOUR).say('no_braking', 'seen', 'FL');
    const asked = (): string[] => check(t, 'follow_flow').left.open.map((s) => s.code);
    expect(asked()).to.deep.equal(['bleeder_dry']);
    t.say('bleeder_dry', 'seen', 'FL');
    expect(asked()).to.deep.equal(['dry_hose_end']);
    t.say('dry_hose_end', 'not_seen', 'FL');
    expect(asked()).to.deep.equal([]);
  });
  it('at one wheel its name is not said again, unless there are several alike', () => {
    const t = new TracingFixture(FOUR);
    const words = (kind: string): string[] => {
      const { check: c, left } = check(t, kind);
      return left.open.map((s) => askedWords(c, s));
    };
    expect(words('bearing')[0]).to.match(/^Bearing play/);
    expect(words('spin_all').some((w) => w.startsWith('Front left: '))).to.equal(true);
    expect(words('push_back').every((w) => /piston/i.test(w))).to.equal(true);
  });
  it('a hazard of the open circuit, a clamp or the road is always said, the others where the check comes first', () => {
    expect(cautionOfCheck(['opens'], false)).to.match(/Cap what stands open/);
    expect(cautionOfCheck(['drives'], false)).to.be.a('string');
    expect(cautionOfCheck(['presses'], false)).to.equal(null);
    expect(cautionOfCheck(['presses'], true)).to.be.a('string');
    expect(cautionOfCheck([], true)).to.equal(null);
  });
});

describe('odds that are worth a change', () => {
  const one = (over: Partial<Estimate>): Estimate => ({
    ...{ fault: 'air_in_system', name: 'Air', lookedAt: 20, found: 0, supplied: 0.05, own: 0.05, times: 1 },
    ...over,
  });
  it('are those that differ from what is in use, and those of what was found', () => {
    expect(estimatesWorth([one({})], new Map())).to.deep.equal([]);
    expect(estimatesWorth([one({ found: 1 })], new Map())).to.have.length(1);
    expect(estimatesWorth([one({ times: 1.2 })], new Map())).to.have.length(1);
    expect(estimatesWorth([one({ times: 1.2 })], new Map([['air_in_system', 1.2]]))).to.deep.equal([]);
    expect(estimatesWorth([one({ times: 1 })], new Map([['air_in_system', 1.2]]))).to.have.length(1);
  });
});
