import { expect } from 'chai';
import fc from 'fast-check';
import { CHARACTERISTICS } from '../src/catalogue/characteristics.ts';
import { MEASUREMENT_IDS } from '../src/catalogue/measurements.ts';
import { deriveJob } from '../src/job/job.ts';
import { CORNERS } from '../src/layout/kinds.ts';
import { type Duty, dutyKey, dutyOf, fastenerKey, readFastener, stageOf } from '../src/ledger/duty.ts';
import { JobFixture, NOW } from './jobFixture.ts';

const SLOT = '0192f000-0000-7000-8000-000000000001';
const LINE = '0192f000-0000-7000-8000-000000000002';

/** Names as they stand in books of every version: acceptances, torques and things left refer to them. */
const STORED: readonly (readonly [string, Duty])[] = [
  ['bookin:complaint', { kind: 'bookin', ask: 'complaint' }],
  ['trace:pedal', { kind: 'trace', ask: 'pedal' }],
  ['trace:wheel:FL', { kind: 'trace_wheel', corner: 'FL' }],
  [`gauge:${SLOT}:rotor_thickness:as_found`, { kind: 'gauge', slotId: SLOT, measurement: 'rotor_thickness', phase: 'as_found' }],
  [`look:${SLOT}`, { kind: 'look', slotId: SLOT }],
  [`because:no_lining:look:${SLOT}`, { kind: 'because', finding: 'no_lining', slotId: SLOT, measurement: null }],
  [`because:no_lining:rotor_thickness:${SLOT}`, { kind: 'because', finding: 'no_lining', slotId: SLOT, measurement: 'rotor_thickness' }],
  [`cause:caliper_seized:${SLOT}`, { kind: 'cause', fault: 'caliper_seized', slotId: SLOT, measurement: null }],
  [
    `cause:caliper_seized:${SLOT}:rotor_thickness`,
    { kind: 'cause', fault: 'caliper_seized', slotId: SLOT, measurement: 'rotor_thickness' },
  ],
  [`second:${SLOT}:rotor_thickness`, { kind: 'second', slotId: SLOT, characteristic: 'rotor_thickness' }],
  [`moved:${SLOT}`, { kind: 'moved', setId: SLOT }],
  [`stray:${SLOT}`, { kind: 'stray', recordId: SLOT }],
  [`impossible:${SLOT}`, { kind: 'impossible', readingId: SLOT }],
  [`decide:${SLOT}`, { kind: 'decide', slotId: SLOT }],
  [`work:${SLOT}`, { kind: 'work', slotId: SLOT }],
  [`fit:${SLOT}`, { kind: 'fit', slotId: SLOT }],
  [`for_now:${SLOT}`, { kind: 'for_now', slotId: SLOT }],
  [`care:${SLOT}`, { kind: 'care', slotId: SLOT }],
  [`clamped:${SLOT}`, { kind: 'clamped', slotId: SLOT }],
  [`op:${SLOT}`, { kind: 'op', operationId: SLOT }],
  [`joint:${LINE}:${SLOT}:held`, { kind: 'joint', connectionId: LINE, slotId: SLOT, step: 'held' }],
  ['torque:wheel:RR', { kind: 'torque', fastener: { of: 'wheel', corner: 'RR' } }],
  [`torque:caliper:${SLOT}`, { kind: 'torque', fastener: { of: 'unit', kind: 'caliper', slotId: SLOT } }],
  ['bleed:fluid', { kind: 'fluid' }],
  [`bleed:${SLOT}`, { kind: 'bleed', slotId: SLOT }],
  [`verdict:${SLOT}:rotor_thickness`, { kind: 'verdict', slotId: SLOT, characteristic: 'rotor_thickness' }],
  [`finding:${SLOT}`, { kind: 'finding', findingId: SLOT }],
  [`hazard:${SLOT}`, { kind: 'hazard', slotId: SLOT }],
  [`lock:${SLOT}`, { kind: 'lock', slotId: SLOT }],
  [`came:${SLOT}`, { kind: 'came', slotId: SLOT }],
  [`board:${SLOT}`, { kind: 'board', slotId: SLOT }],
  [`application:${SLOT}`, { kind: 'application', slotId: SLOT }],
  [`card:${SLOT}`, { kind: 'card', slotId: SLOT }],
  [`strip:${SLOT}`, { kind: 'strip', slotId: SLOT }],
  [`freed:${SLOT}`, { kind: 'freed', slotId: SLOT }],
  [`identify:${SLOT}`, { kind: 'identify', slotId: SLOT }],
  [`out:${SLOT}`, { kind: 'out', putInId: SLOT }],
  ['proof:pedal_hold', { kind: 'proof', item: 'pedal_hold', corner: null }],
  ['proof:release@FL', { kind: 'proof', item: 'release', corner: 'FL' }],
  ['proof:again:drags@RL', { kind: 'proof', item: 'again:drags', corner: 'RL' }],
  ['move:yard', { kind: 'yard' }],
  ['money:authorised', { kind: 'authorised' }],
  [`wanted:${SLOT}:hub_face_runout`, { kind: 'wanted', slotId: SLOT, measurement: 'hub_face_runout' }],
];

describe('the stored name of a duty', () => {
  for (const [name, duty] of STORED)
    it(`${name.replaceAll(SLOT, '…').replaceAll(LINE, '—')} is written and read as it always was`, () => {
      expect(dutyKey(duty)).to.equal(name);
      expect(dutyOf(name)).to.deep.equal(duty);
      expect(dutyOf(`${name}|lead|of that set: 3|x`), 'in an acceptance').to.deep.equal(duty);
    });

  it('every kind of duty has one in the list above', () => {
    const kinds = new Set(STORED.map(([, d]) => d.kind));
    const here: Record<Duty['kind'], true> = {
      ...{ bookin: true, trace: true, trace_wheel: true, gauge: true, look: true, decide: true, work: true, fit: true, for_now: true },
      ...{
        care: true,
        clamped: true,
        hazard: true,
        lock: true,
        came: true,
        board: true,
        identify: true,
        application: true,
        card: true,
        freed: true,
        strip: true,
        authorised: true,
        because: true,
        cause: true,
        second: true,
        verdict: true,
        moved: true,
        stray: true,
      },
      ...{ impossible: true, op: true, joint: true, torque: true, fluid: true, yard: true, bleed: true, finding: true, out: true },
      ...{ proof: true, wanted: true },
    };
    expect([...kinds].sort()).to.deep.equal(Object.keys(here).sort());
  });

  it('of anything else is nothing', () => {
    for (const name of ['', 'work', 'work:', 'nonsense:1', 'move:road', 'trace:wheel', 'gauge:a:b', '|lead|', ':', 'proof:'])
      expect(dutyOf(name), name).to.equal(null);
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = dutyOf(text);
        if (read !== null) expect(dutyKey(read)).to.equal(text.split('|')[0]);
      }),
    );
  });

  it('tells any two duties apart', () => {
    const slot = fc.uuid();
    const duty: fc.Arbitrary<Duty> = fc.oneof(
      fc.record({ kind: fc.constantFrom('look', 'decide', 'work', 'fit', 'lock'), slotId: slot }) as fc.Arbitrary<Duty>,
      fc.record({
        kind: fc.constant('gauge'),
        slotId: slot,
        measurement: fc.constantFrom(...MEASUREMENT_IDS),
        phase: fc.constantFrom('as_found', 'as_fitted'),
      }) as fc.Arbitrary<Duty>,
      fc.record({
        kind: fc.constantFrom('second', 'verdict'),
        slotId: slot,
        characteristic: fc.constantFrom(...CHARACTERISTICS.map((c) => c.id)),
      }) as fc.Arbitrary<Duty>,
      fc.record({
        kind: fc.constant('proof'),
        item: fc.constantFrom('road', 'again:drags', 'release'),
        corner: fc.option(fc.constantFrom(...CORNERS)),
      }) as fc.Arbitrary<Duty>,
    );
    fc.assert(fc.property(duty, (d) => void expect(dutyOf(dutyKey(d))).to.deep.equal(d)));
  });

  it('of everything a job owes leads back to what it is, and to the stage at which it is owed', () => {
    const owed = deriveJob(new JobFixture().file, NOW).obligations;
    expect(owed.length).to.be.greaterThan(20);
    for (const o of owed) {
      expect(dutyOf(o.key), o.key).to.deep.equal(o.duty);
      expect(o.stage).to.equal(stageOf(o.duty));
    }
    expect(new Set(owed.map((o) => o.key)).size).to.equal(owed.length);
  });
});

describe('the stored name of a fastener', () => {
  it('is of a wheel or of a unit', () => {
    for (const name of ['wheel:FL', `caliper:${SLOT}`, `master_cylinder:${SLOT}`]) expect(fastenerKey(readFastener(name))).to.equal(name);
    expect(readFastener('wheel:FL')).to.deep.equal({ of: 'wheel', corner: 'FL' });
  });
});
