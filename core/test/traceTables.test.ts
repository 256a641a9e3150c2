import { expect } from 'chai';
import { readTables, TABLES } from '../src/catalogue/trace/tables.ts';
import { infer } from '../src/inference/noisyOr.ts';
import { diagnose } from '../src/inference/diagnose.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { networkOf, type VehicleNetwork } from '../src/stages/trace/network.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { TracingFixture } from './tracingFixture.ts';
import { FOUR } from './jobFixture.ts';

function network(template: string): VehicleNetwork {
  let n = 0;
  const layout = buildLayout(template, 'layout', 'vehicle', () => `i${(n += 1)}`);
  return networkOf(layout, { years: new Map(), yearsOfAll: 10, shifts: new Set(), fresh: new Set() }, TABLES);
}
const faultAt = (n: VehicleNetwork, kind: string, corner: string) => n.faults.find((f) => f.kind.id === kind && f.slot?.corner === corner)!;
const strength = (n: VehicleNetwork, sign: string, fault: string): number =>
  n.observations.find((o) => o.id === sign)?.strengths[fault] ?? 0;

describe('the tables of tracing, gone through', () => {
  const settled = new Set(
    TABLES.checks.flatMap((c) =>
      c.signs.flatMap((s) => (s === 'pull' ? ['pulls_left', 'pulls_right'] : s === 'locks' ? ['locks_front', 'locks_rear'] : [s])),
    ),
  );
  it('every sign is settled by a check', () => {
    expect(TABLES.signs.filter((s) => !settled.has(s.code)).map((s) => s.code)).to.deep.equal([]);
  });
  it('every fault makes two signs at least, and every sign is made by one', () => {
    const signsOf = (fault: string) => new Set(TABLES.links.filter((l) => l.fault === fault).map((l) => l.sign));
    // Of these the one sign is the fault itself, gauged or looked at.
    const itself = ['rotor_thin', 'switch_dead', 'bar_remote'];
    expect(TABLES.faults.filter((f) => signsOf(f.id).size < 2 && !itself.includes(f.id)).map((f) => f.id)).to.deep.equal([]);
    const made = new Set([
      ...TABLES.links.flatMap((l) =>
        l.sign === 'pull' ? ['pulls_left', 'pulls_right'] : l.sign === 'locks' ? ['locks_front', 'locks_rear'] : [l.sign],
      ),
      ...TABLES.follows.map((f) => f.then),
    ]);
    expect(TABLES.signs.filter((s) => !made.has(s.code)).map((s) => s.code)).to.deep.equal([]);
  });
  it('a fault of a cylinder shows at its own circuits, and never at every wheel', () => {
    const cylinders = new Set(TABLES.faults.filter((f) => f.on === 'master_cylinder' || f.on === 'reservoir').map((f) => f.id));
    expect(TABLES.links.filter((l) => cylinders.has(l.fault) && l.where === 'all').map((l) => `${l.fault} ${l.sign}`)).to.deep.equal([]);
  });
  it('what asks for pressure says that it presses, and no check sends anybody onto a road', () => {
    const asks = /\b(press|presses|pressed|pedal held|stroke|push steadily|second stand)\b/i;
    const quiet = TABLES.checks.filter((c) => asks.test(c.steps) && !c.hazards.some((h) => h === 'presses' || h === 'drives'));
    expect(quiet.map((c) => c.id)).to.deep.equal([]);
    expect(TABLES.checks.filter((c) => /\broad\b/.test(c.steps)).map((c) => c.id)).to.deep.equal([]);
  });

  it('three signs of one drag do not count thrice', () => {
    const n = network('saloon_disc_drum_single');
    const [hose, piston] = [
      n.faults.find((f) => f.kind.id === 'hose_flap' && f.where.startsWith('front left'))!,
      faultAt(n, 'piston_seized', 'FL'),
    ];
    const odds = (observations: Record<string, 'seen'>): number => {
      const { posterior } = infer(n, { observations, certain: {} });
      return posterior[n.faults.indexOf(hose)]! / posterior[n.faults.indexOf(piston)]!;
    };
    const one = odds({ 'drags@FL': 'seen' });
    expect(odds({ 'drags@FL': 'seen', 'hot@FL': 'seen', 'blued@FL': 'seen' }) / one).to.be.within(0.9, 1.1);
    for (const sign of ['hot@FL', 'blued@FL']) expect(strength(n, sign, hose.id)).to.equal(strength(n, sign, piston.id));
  });
  it('the lever tells of what it reaches alone, and a wheel behind pulls less than one in front', () => {
    const n = network('drums_single');
    for (const sign of ['park_no_grip', 'park_no_hold']) {
      expect(strength(n, sign, faultAt(n, 'shoes_worn', 'RL').id), sign).to.be.greaterThan(0);
      expect(strength(n, sign, faultAt(n, 'shoes_worn', 'FL').id), sign).to.equal(0);
    }
    expect(strength(n, 'judder_parking', faultAt(n, 'drum_oval', 'FL').id)).to.equal(0);
    const pulls = (corner: string) => strength(n, 'pulls_right', faultAt(n, 'wc_seized', corner).id);
    expect(pulls('RL')).to.be.closeTo(pulls('FL') / 5, 1e-9);
    expect(strength(n, 'judder_wheel', faultAt(n, 'drum_oval', 'RL').id)).to.equal(0);
    expect(strength(n, 'judder_seat', faultAt(n, 'drum_oval', 'FL').id)).to.equal(0);
  });
  it('the front cylinder of two drags no rear wheel', () => {
    const n = network('single_seater_balance_bar');
    const ports = n.faults.filter((f) => f.kind.id === 'master_port');
    expect(ports.length).to.equal(2);
    for (const port of ports) {
      const wheels = n.observations
        .filter((o) => o.sign.code === 'drags' && (o.strengths[port.id] ?? 0) > 0)
        .map((o) => o.corner?.charAt(0));
      expect(new Set(wheels).size, port.id).to.equal(1);
    }
  });
});

describe('nothing is driven', () => {
  const drives = (t: TracingFixture): boolean => toTrace(t.state()).checks.some((c) => c.kind.hazards.includes('drives'));
  it('with a sign of a brake that is not there, whatever brings it about', () => {
    expect(drives(new TracingFixture(FOUR).say('pedal_spongy', 'seen'))).to.equal(true);
    for (const sign of ['pedal_to_floor', 'pedal_hard_no_stop', 'pedal_disconnected', 'level_empty', 'line_rusted'])
      expect(drives(new TracingFixture(FOUR).say(sign, 'seen')), sign).to.equal(false);
    for (const sign of ['no_braking', 'fluid_at_wheel'])
      expect(drives(new TracingFixture(FOUR).say(sign, 'seen', 'RL')), sign).to.equal(false);
    expect(drives(new TracingFixture(FOUR).say('pedal_to_floor', 'not_seen'))).to.equal(true);
  });
  it('with a fault that kills at one in ten, and the fault is named', () => {
    const n = network('drums_single');
    const road = n.checks.filter((c) => c.kind.id === 'road_round');
    const safe = diagnose(n, { observations: { 'drags@RL': 'seen', fluid_water: 'not_seen' }, certain: {} }, road, true);
    const wet = diagnose(n, { observations: { level_low: 'seen', pedal_sinks: 'seen' }, certain: {} }, road, true);
    expect(wet.danger === null ? null : n.faults[wet.danger]?.hazard).to.equal(true);
    expect(wet.next).to.deep.equal([]);
    if (safe.danger === null) expect(safe.next.length).to.equal(1);
  });
});

describe('a table that is wrong', () => {
  const tables = (over: Partial<Record<'links' | 'checks' | 'follows', string>>) =>
    readTables({
      faults: { name: 'faults', text: '\nleak | hose | - | Leaks | 0.01 | once | - | replace | It does' },
      signs: { name: 'signs', text: '\nwet | 0.01 | checked | system | Wet | Rain' },
      links: { name: 'links', text: over.links ?? '\nleak | wet | 0.5 | system | It runs out' },
      checks: { name: 'checks', text: over.checks ?? '\nlook | Look | 5 | 0 | system | wet | none | - | By eye' },
      follows: { name: 'follows', text: over.follows ?? '' },
    });
  it('is refused by table and line: linked twice, nearly certain, settling nothing, a hazard or a sign that nobody knows', () => {
    expect(() => tables({})).to.not.throw();
    for (const [over, where] of [
      [{ links: '\nleak | wet | 0.5 | system | It runs out\nleak | wet | 0.6 | system | Once more' }, /^links, line 3: .*twice/],
      [{ links: '\nleak | wet | 0.99 | system | It runs out' }, /^links, line 2: .*between 0\.02 and 0\.98/],
      [{ links: '\nleak | wet | 0.01 | system | It runs out' }, /^links, line 2: .*between 0\.02 and 0\.98/],
      [{ checks: '\nlook | Look | 5 | 0 | system |  | none | - | By eye' }, /^checks, line 2: a check settles something/],
      [{ checks: '\nlook | Look | 5 | 0 | system | wet | bites | - | By eye' }, /^checks, line 2: .*bites/],
      [{ follows: '\nwet | teapot | 0.5 | It boils' }, /^follows, line 2: .*teapot/],
    ] as const)
      expect(() => tables(over), JSON.stringify(over)).to.throw(DomainError, where);
  });
});
