import { expect } from 'chai';
import { openHistory } from '../src/history/jobHistory.ts';
import { openProofStatus } from '../src/readiness/proofStatus.ts';
import { type BleedGate, bleedGates, blocksBleeding, isContaminated, ticksOwed } from '../src/stages/bleed/gates.ts';
import { FACTOR } from '../src/hydraulics/ofLayout.ts';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import { bleedOrder } from '../src/stages/bleed/order.ts';
import { unfitFor } from '../src/stages/bleed/unfit.ts';
import { BLEED_METHODS } from '../src/wording/en/bleedMethods.ts';
import type { BleedMethod } from '../src/ledger/families/bleedPulls.ts';
import { gateWords } from '../src/wording/en/gates.ts';
import { ReworkFixture } from './contributions.ts';
import { base, FOUR } from './jobFixture.ts';

const NOW = '2026-01-02T00:00:00.000Z';
function gates(t: ReworkFixture, method: BleedMethod = 'vacuum', circuits: readonly number[] = [1, 2]): BleedGate[] {
  const history = openHistory(t.file);
  return bleedGates({ history, proofStatus: openProofStatus(history), circuits, method, today: NOW });
}
const kinds = (t: ReworkFixture, ...more: [BleedMethod?, (readonly number[])?]): string[] =>
  gates(t, ...more).flatMap((g) =>
    g.kind === 'mind' || g.kind === 'unknown' ? [] : [`${g.kind}:${'slot' in g ? t.name(g.slot.id) : g.corner}`],
  );

describe('before the first bleeder', () => {
  it('what is open or shut off on the circuit blocks, and on another circuit does not', () => {
    const t = new ReworkFixture(FOUR);
    expect(gates(t).filter(blocksBleeding)).to.deep.equal([]);
    t.part(t.slot('caliper'), 'removed');
    const { circuits } = t.layout.slots.find((s) => s.id === t.slot('caliper'))!;
    const other = [1, 2].filter((c) => !circuits.includes(c));
    expect(kinds(t)).to.include('open:caliper@FL');
    expect(kinds(t, 'vacuum', other).some((k) => k.startsWith('open'))).to.equal(false);
    const clamped = new ReworkFixture(FOUR);
    clamped.putIn(clamped.slot('hose'), 'clamp');
    clamped.putIn(clamped.slot('caliper'), 'block');
    expect(gates(clamped).filter(blocksBleeding).map(gateWords)).to.deep.equal(['A clamp is in the front left hose: it comes out first.']);
  });

  it('a joint made and not torqued, and a bleeder that came stuck, are said and do not block', () => {
    const t = new ReworkFixture(FOUR);
    t.joint(t.slot('hose'), 'opened');
    t.joint(t.slot('hose'), 'made');
    t.file.intakeLooks = [{ ...base(t.next()), corner: 'FR', thing: 'bleeders', state: 'rounded', note: '' }];
    expect(kinds(t)).to.deep.equal(['loose:hose@FL', 'stuck:FR']);
    expect(gates(t).filter(blocksBleeding)).to.deep.equal([]);
    const bleeder = t.slot('bleeder', 'FR');
    const pull = {
      slotId: bleeder,
      volumeMl: 20,
      volumeTyped: '20',
      colour: 'dark' as const,
      air: 'none' as const,
      closed: true,
      method: null,
    };
    t.file.bleedPulls = [{ ...base(t.next()), ...pull }];
    expect(kinds(t), 'it opened').to.deep.equal(['loose:hose@FL']);
  });

  it('a dry master cylinder comes first, with its end points; a coat of a day ago is covered', () => {
    const t = new ReworkFixture(FOUR);
    const master = t.slot('master_cylinder', null);
    t.part(master, 'removed');
    t.part(master, 'resealed');
    t.part(master, 'fitted', `part:${master}`);
    t.part(t.slot('caliper', 'FR'), 'coated');
    expect(kinds(t)).to.deep.equal(['master:master_cylinder@null', 'paint:caliper@FR'].map((k) => k.replace('null', '')));
    expect(ticksOwed(gates(t))).to.deep.equal(['reservoir_filled', 'master_no_bubble', 'master_hard']);
    expect(gates(t).map(gateWords).join(' '))
      .to.match(/over ten slow strokes/)
      .and.match(/Cover it/);
  });

  it('what nobody knows was in it is said while rubber lies in it; sludge takes the reservoir off', () => {
    const t = new ReworkFixture(FOUR);
    const unknown = () =>
      gates(t)
        .filter((g) => g.kind === 'unknown')
        .map(gateWords);
    expect(unknown()).to.have.length(1);
    expect(unknown()[0]).to.match(/^Nobody knows what was in it: test it first, or renew all its rubber: .* more lay in it\.$/);
    expect(isContaminated(openHistory(t.file), [1, 2])).to.equal(false);
    const tank = t.layout.slots.find((s) => s.kind === 'reservoir')!;
    const sample = { slotId: tank.id, fluidClass: '4' as const, waterPercent: null, boilC: null, how: 'Drop in water' };
    t.file.fluidSamples = [{ ...base(t.next()), ...sample }];
    expect(unknown()).to.deep.equal([]);
    const fluid = { product: 'Silicone', fluidClass: '5' as const, batch: '', lowMoisture: false, ...BY_CLASS_ALONE };
    t.file.fluidServices = [{ ...base(t.next()), ...fluid }];
    expect(unknown()[0]).to.match(/^Another kind goes in than was in it/);
    expect(isContaminated(openHistory(t.file), [1, 2]), 'and more is drawn').to.equal(true);
    t.file.fluidServices = [];

    expect(ticksOwed(gates(t))).to.deep.equal(['reservoir_filled']);
    const see = (state: 'seen' | 'not_seen') => {
      t.file.observations = [...t.file.observations, { ...base(t.next()), code: 'fluid_sludge', corner: null, state }];
    };
    see('seen');
    expect(kinds(t)).to.deep.equal([`sludge:${t.name(tank.id)}`]);
    expect(isContaminated(openHistory(t.file), [1, 2])).to.equal(true);
    expect(ticksOwed(gates(t))).to.deep.equal(['reservoir_filled', 'reservoir_off']);
    see('not_seen');
    expect(kinds(t)).to.deep.equal([]);
    const [clear, more] = [FACTOR.clear, FACTOR.contaminated].map((factor) => bleedOrder(t.layout, { factor })[0]!.exchangeMl);
    expect(more! / clear!).to.be.closeTo(2, 1e-9);
    const order = bleedOrder(t.layout).map((s) => s.bleeder.id);
    expect(
      bleedOrder(t.layout, { ordered: order.toReversed() }).map((s) => s.bleeder.id),
      'a maker’s order holds',
    ).to.deep.equal(order.toReversed());
  });

  it('what the layout asks to be minded is said: wheel nuts where it is pressed, shoes where there are drums', () => {
    const minds = (t: ReworkFixture, method: BleedMethod): string[] => gates(t, method).flatMap((g) => (g.kind === 'mind' ? [g.what] : []));
    const discs = new ReworkFixture(FOUR);
    expect(minds(discs, 'vacuum')).to.not.include('wheel_nuts');
    expect(minds(discs, 'pedal')).to.include.members(['wheel_nuts', 'servo', 'uppermost']);
    const drums = new ReworkFixture(FOUR, [], 'drums_single');
    expect(minds(drums, 'vacuum')).to.include('shoes');
  });

  it('a method is unfit where nothing would run, or dirt would be pushed up; each says how it goes', () => {
    const t = new ReworkFixture(FOUR);
    const history = openHistory(t.file);
    expect(unfitFor(history, 'reverse', [1, 2])).to.equal('never_opened');
    expect(unfitFor(history, 'gravity', [1, 2])).to.equal(null);
    const valve = t.layout.slots.find((s) => s.kind === 'valve');
    const layout = { ...t.layout, slots: t.layout.slots.map((s) => (s === valve ? { ...s, style: 'residual' } : s)) };
    expect(unfitFor(openHistory({ ...t.file, layout }), 'gravity', [1, 2])).to.equal(valve ? 'residual_valve' : null);
    expect(valve, 'there is one to ask').to.not.equal(undefined);
    for (const facts of Object.values(BLEED_METHODS))
      expect([facts.gear.length, facts.steps.length, facts.traps.length].every((n) => n > 0)).to.equal(true);
  });
});
