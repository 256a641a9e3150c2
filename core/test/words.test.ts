import { expect } from 'chai';
import type { MeasurementId } from '../src/catalogue/measurements.ts';
import { MEASUREMENTS } from '../src/catalogue/measurements.ts';
import { isPlaceOf, plannedPositions } from '../src/catalogue/positions.ts';
import { type Honing } from '../src/judging/honing.ts';
import { honingWords } from '../src/wording/en/bench.ts';
import type { Judged } from '../src/judging/judge.ts';
import { type SealZone } from '../src/judging/sealZone.ts';
import { sealZoneWords } from '../src/wording/en/bench.ts';
import { figureOf, limitText, meaningOf, roundTo, sentence, sourceOf } from '../src/wording/en/verdicts.ts';
import { roomLeft } from '../src/judging/judge.ts';
import type { Runout } from '../src/metrology/rotorRunout.ts';
import type { LimitVersion } from '../src/verdict/limits.ts';
import { likelyPlaces } from '../src/views/trace/traceWords.ts';
import { TracingFixture } from './tracingFixture.ts';
import { FOUR, LIMIT, JobFixture } from './jobFixture.ts';
import { DomainError } from '../src/quantity/domainError.ts';

/** A rotor of this thickness, judged by limits. */
function judged(mm: string, limits: readonly LimitVersion[] = [LIMIT], phase: 'as_found' | 'after_machining' = 'as_found'): Judged {
  const t = new JobFixture(['FL'], limits);
  const rotor = t.slot('rotor');
  t.gauge(
    rotor,
    Array.from({ length: 8 }, () => mm),
    { phase },
  );
  return t.component(rotor).judged.find((j) => j.characteristic.id === 'rotor_thickness')!;
}

describe('a figure in words', () => {
  it('what is left, what is past and by how much, and what a gauge cannot tell', () => {
    const holds = judged('12.40');
    expect(holds.verdict).to.equal('holds');
    expect(sentence(holds)).to.match(/^1\.40 mm left before the discard limit/);
    const past = judged('10.80');
    expect(past.verdict).to.equal('past');
    expect(roomLeft(past)).to.be.closeTo(-0.2, 1e-9);
    expect(sentence(past)).to.match(/^0\.20 mm past the discard limit\. The gauge’s ±0\.\d+ mm does not change that\.$/);
    const near = judged('11.00');
    expect(near.verdict).to.equal('cant_tell');
    expect(sentence(near)).to.match(/A finer gauge would settle it\.$/);
    expect(sentence(judged('11.20', [LIMIT], 'after_machining'))).to.match(/past the machine-to figure/);
    expect(sentence(judged('12.40', []))).to.match(/^(No limit on file|[\d.]+ mm left)/);
    expect(figureOf(holds)).to.equal('12.40 mm');
  });
  it('a limit as a short text, and where it comes from, also that nobody or only its author checked it', () => {
    expect(limitText(judged('12.40'))).to.equal('at least 11.00 mm');
    const bound = (over: Partial<LimitVersion>): Judged => judged('12.40', [{ ...LIMIT, ...over }]);
    expect(limitText(bound({ bound: 'range', low: 11, high: 13.2, at: null, machineTo: null }))).to.equal('11.00 mm to 13.20 mm');
    expect(sourceOf(bound({ checkedBy: null }))).to.match(/: works manual, unchecked$/);
    expect(sourceOf(bound({ checkedBy: LIMIT.enteredBy }))).to.match(/, checked alone$/);
    expect(sourceOf(bound({ checkedBy: 'somebody else' }))).to.match(/: works manual$/);
    expect(roundTo(0, 2)).to.equal(0);
    expect([roundTo(12345, 2), roundTo(0.004567, 2)]).to.deep.equal([12000, 0.0046]);
  });
});

describe('what a component’s figures mean', () => {
  const runout = (over: Partial<Runout>): Runout => ({
    ...{
      a0: 0,
      a1: 0.07,
      b1: 0,
      a2: 0.02,
      b2: 0,
      tir: 0.2,
      wobble: 0.15,
      wobbleHighAngle: 30,
      warp: 0.04,
      residual: 0.03,
      bearingFirst: false,
    },
    ...{ shareWobble: 0.7, shareWarp: 0.2, shareResidual: 0.1 },
    ...over,
  });
  const swept = (): Judged => {
    const t = new JobFixture(
      ['FL'],
      [{ ...LIMIT, characteristic: 'rotor_runout', bound: 'upper', at: 0.1, machineTo: null, nominal: null }],
    );
    const rotor = t.slot('rotor');
    const sweep = Array.from({ length: 12 }, (_, i) => (0.15 * (1 + Math.cos((i * Math.PI) / 6))).toFixed(2));
    t.gauge(rotor, sweep, { measurement: 'rotor_runout' });
    return t.component(rotor).judged.find((j) => j.characteristic.id === 'rotor_runout')!;
  };
  it('a runout names its cause: the seat, the rotor itself, or the surface', () => {
    const j = swept();
    expect(j.verdict).to.equal('past');
    expect(meaningOf([j], runout({}), []).next).to.match(/^Clean hub face and seat to metal/);
    expect(meaningOf([j], runout({ shareWobble: 0.2, shareWarp: 0.7 }), []).next).to.match(/^Decide: machine the rotor/);
    const warped = (school: string): string =>
      meaningOf([j], runout({ shareWobble: 0.2, shareWarp: 0.7 }), [], { taken: 8, rejects: [], followed: () => school }).next;
    expect(warped('replace')).to.match(/^Decide: replace both/);
    expect(warped('machine')).to.match(/^Decide: machine both/);
    expect(meaningOf([j], runout({ shareWobble: 0.2, shareWarp: 0.3, shareResidual: 0.5 }), []).next).to.match(/^Clean the swept faces/);
    expect(meaningOf([j], runout({ shareWobble: null, shareWarp: null }), []).means).to.match(/neither wobble nor warp/);
  });
  it('what is past is answered by the part, before and above what was seen; a reject by eye before what cannot be told', () => {
    expect(meaningOf([judged('10.80')], null, []).means).to.match(/answered by the part, not by a waiver/);
    const eye = meaningOf([judged('11.00')], null, [], { taken: 8, rejects: ['Cracks to the edge.'] });
    expect(eye.found).to.match(/^By eye: Cracks to the edge\./);
    expect(meaningOf([judged('10.80')], null, [], { taken: 8, rejects: ['Cracks to the edge.'] }).found).to.not.match(/^By eye/);
    const sound = meaningOf([judged('12.60')], null, [], { taken: 8, rejects: [], doubts: ['Heat checks.'] });
    expect(sound.found, 'not everything holds beside an open finding').to.equal('The figures taken so far hold. Open: Heat checks.');
    expect(meaningOf([judged('12.60')], null, [], { taken: 8, rejects: [], doubts: [] }).found).to.equal('Everything taken so far holds.');
    expect(sound.means).to.match(/stands open/);
    const alone = meaningOf([judged('12.60')], null, [], { taken: 8, rejects: [], paired: false });
    expect(alone.next).to.not.match(/axle/);
    const near = meaningOf([judged('11.00')], null, [], { taken: 8, rejects: [], decisiveNextStep: () => 'Take it with M 2.' });
    expect(near.next).to.equal('Take it with M 2.');
    expect(meaningOf([judged('11.00')], null, []).next).to.match(/finer gauge/);
  });
  it('what is missing is asked for, what has no limit is kept, and a part without a figure is not good', () => {
    expect(meaningOf([judged('12.40')], null, ['Runout', 'Lining']).next).to.equal('Take runout and lining.');
    expect(meaningOf([], null, [], { taken: 3, rejects: [] }).found).to.equal('Written down.');
    expect(meaningOf([], null, []).means).to.equal('A part without a figure is not good, it is not gauged.');
    expect(meaningOf([judged('12.40')], null, []).next).to.match(/^Gauge the other side/);
  });
});

describe('what a bore and a piston allow, in words', () => {
  const bore = (over: Partial<Honing>): Honing => ({
    ...{ result: null, refused: null, missing: [], nominal: 22.2, honeTo: 22.25, zone: { from: 10, to: 20 }, pits: [] },
    ...over,
  });
  const result = (over: Partial<NonNullable<Honing['result']>>): NonNullable<Honing['result']> => ({
    ...{ max: 22.2, outOfRound: [0], taper: 0, wear: 0, clearance: 0.05, deepestPitInZone: 0, afterHone: null, clearanceAfterHone: null },
    ...{ wearPast: false, clearancePast: false, decision: 'use' },
    ...over,
  });
  it('a bore: worn first, then its clearance, then its pits', () => {
    expect(honingWords(bore({ missing: ['piston', 'bore'] }))).to.equal('Not known yet: the piston to be fitted, the bore.');
    expect(honingWords(bore({ refused: new DomainError('pit_upside_down', 'No.') }))).to.equal('No.');
    expect(honingWords(bore({ result: result({ wearPast: true, clearancePast: true }) }))).to.match(/^The bore is worn/);
    expect(honingWords(bore({ result: result({ clearancePast: true }) }))).to.match(/^The piston has too much clearance/);
    expect(honingWords(bore({ result: result({}) }))).to.match(/^No pit lies where/);
    expect(honingWords(bore({ result: result({ decision: 'hone' }) }))).to.match(/light hone/);
    expect(honingWords(bore({ result: result({ decision: 'sleeve_or_replace' }) }))).to.match(/too deep to hone out/);
    expect(honingWords(bore({ honeTo: null, result: result({ decision: 'sleeve_or_replace' }) }))).to.match(/no hone-to figure is on file/);
  });
  it('a piston: no pit, one that is clear, one under the seal, and the trap of worn pads', () => {
    const stretch = { from: 1, to: 2 };
    const each = <T>(v: T) => ({ as_found: v, new: v, discard: v });
    const zone = (over: Partial<NonNullable<SealZone['result']>>): NonNullable<SealZone['result']> => ({
      ...{ standOut: each(5), zone: each(stretch), hull: stretch, pitRejects: [], reject: false, wornPadTrap: false, leavesSeal: false },
      ...over,
    });
    const pit: SealZone['pits'] = [{ findingId: 'f', foundAt: '2026-07-01T08:00:00.000Z', from: 1, to: 2, depth: 0.1 }];
    const piston = (over: Partial<SealZone>): string =>
      sealZoneWords({
        caliper: 'floating',
        pad: 'inner',
        pits: pit,
        seal: null,
        result: null,
        refused: null,
        missing: ['rotor', 'inner_pad'],
        ...over,
      });
    expect(piston({ pits: [] })).to.equal('No pit was written down on this piston.');
    expect(piston({})).to.equal('Not known yet: rotor thickness, inner pad with backing and shims.');
    expect(piston({ refused: new DomainError('linings_do_not_fit', 'The pads do not fit.') })).to.equal('The pads do not fit.');
    expect(piston({ result: zone({}) })).to.match(/^Every pit stays clear/);
    expect(piston({ result: zone({ reject: true }) })).to.match(/^A pit lies where the seal rests.*Reject the piston\.$/);
    expect(piston({ result: zone({ reject: true, wornPadTrap: true }) })).to.match(/^Tight today on worn pads/);
    expect(piston({ pits: [], result: zone({ leavesSeal: true }) })).to.match(/let the piston leave its seal\.$/);
  });
});

describe('where a reading may be taken', () => {
  it('every planned position of every measurement is one of its own, and none of another frame', () => {
    for (const id of Object.keys(MEASUREMENTS) as MeasurementId[]) {
      const planned = plannedPositions(id, 8);
      expect(planned.length, id).to.be.greaterThan(0);
      for (const p of planned) {
        expect(isPlaceOf(id, p), `${id} ${p.name}`).to.equal(true);
        expect(isPlaceOf(id, { ...p, frame: p.frame === 'place' ? 'bore' : 'place' }), `${id} in another frame`).to.equal(false);
        expect(isPlaceOf(id, { ...p, place: 'nowhere' }), `${id} nowhere`).to.equal(false);
      }
    }
  });
});

describe('where a fault is likely, on the map', () => {
  it('stands at each wheel’s rotor or drum and in the middle, from one in ten on, and nowhere before anything was said', () => {
    const t = new TracingFixture(FOUR);
    const before = t.weighed();
    expect(likelyPlaces(before.given, t.layout, before).size).to.equal(0);
    const { given, ...result } = t.say('drags', 'seen', 'RL').say('pedal_sinks', 'seen').weighed();
    const places = likelyPlaces(given, t.layout, result);
    const most = (ids: readonly string[]): number =>
      Math.max(
        ...result.causes.filter((c) => c.raised && ids.includes(given.network.faults[c.fault]?.slot?.id ?? '')).map((c) => c.probability),
      );
    expect(places.get(t.slot('rotor', 'RL'))).to.equal(most(t.layout.slots.filter((s) => s.corner === 'RL').map((s) => s.id)));
    expect(places.get(t.slot('master_cylinder', null))).to.equal(most([t.slot('master_cylinder', null)]));
    for (const p of places.values()) expect(p).to.be.within(0.1, 1);
    // Nothing speaks for anything at the front, however old it is.
    expect(places.has(t.slot('rotor', 'FL'))).to.equal(false);
    // Parts of a wheel are not shown beside its rotor.
    expect([...places.keys()]).to.not.include(t.slot('caliper', 'RL'));
  });
});
