import { expect } from 'chai';
import { codeAt, isSeenInReservoir, observedCode, slotOfObservation } from '../src/catalogue/observations.ts';

import { TABLES } from '../src/catalogue/trace/tables.ts';
import type { Layout } from '../src/layout/graph.ts';
import { reservoirsOf } from '../src/layout/reach.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { networkOf } from '../src/stages/trace/network.ts';
import { askedGroups, controlPicked } from '../src/views/trace/askedGroups.ts';
import { askedOf } from '../src/views/trace/toAnswer.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { TracingFixture } from './tracingFixture.ts';

const CLUTCH = 'saloon_disc_drum_single';
const RACER = 'single_seater_balance_bar';
const layoutOf = (template: string): Layout => {
  let n = 0;
  return buildLayout(template, 'layout', 'vehicle', () => `i${(n += 1)}`);
};
const fixture = (template: string) => new TracingFixture(['FL', 'RL'], [], template);
const worth = (t: TracingFixture) => {
  const { causes, given } = t.weighed();
  return (id: string): number => causes.find((c) => given.network.faults[c.fault]!.id === id)?.probability ?? 0;
};

describe('what is seen in each of several reservoirs', () => {
  it('a clutch has its own; one that the brakes’ reservoir feeds has not', () => {
    const own = layoutOf(CLUTCH);
    expect(reservoirsOf(own).map((r) => r.name)).to.deep.equal(['Brake reservoir', 'Clutch reservoir']);
    const [brake, clutch] = reservoirsOf(own);
    const at = (kind: string) => own.slots.filter((s) => s.kind === kind).map((s) => s.id);
    for (const id of [...at('master_cylinder'), ...at('wheel_cylinder')])
      expect([brake!.reach.has(id), clutch!.reach.has(id)]).to.deep.equal([true, false]);
    for (const id of at('clutch_slave')) expect([brake!.reach.has(id), clutch!.reach.has(id)]).to.deep.equal([false, true]);
    const feed = { ...own.connections.find((c) => c.kind === 'feed')!, id: 'feed2', to: at('clutch_master')[0]! };
    const shared = reservoirsOf({ ...own, connections: [...own.connections, feed] });
    expect(shared.map((r) => r.name)).to.deep.equal(['Reservoir']);
    for (const id of at('clutch_slave')) expect(shared[0]!.reach.has(id)).to.equal(true);
  });

  it('is asked and owed of each by itself, and of a vehicle’s only one as before', () => {
    const t = fixture(CLUTCH);
    const [brake, clutch] = reservoirsOf(t.layout);
    const asked = askedOf(toTrace(t.state()), t.state().context.answers);
    expect(asked.filter((o) => observedCode(o.code) === 'level_low').map((o) => o.text)).to.deep.equal([
      'Brake reservoir: level low',
      'Clutch reservoir: level low',
    ]);
    const titles = askedGroups(t.layout, asked).flatMap((g) => (g.group === 'reservoir' ? [g.title] : []));
    expect(titles).to.include('In the brake reservoir').and.include('In the clutch reservoir');
    expect(controlPicked(t.layout, brake!.slotId)?.slotId).to.equal(brake!.slotId);
    const owed = () => t.state().obligations.find((o) => o.key === 'trace:reservoir')!;
    expect(owed().what).to.equal('Look into the brake reservoir and the clutch reservoir');
    // The only one on the map is meant where none is named, as it was before they were told apart.
    t.say('level_low', 'not_seen');
    expect(toTrace(t.state()).evidence.leverless).to.deep.equal([]);
    expect(owed().state).to.equal('open');
    t.say(codeAt('fluid_dark', clutch!.slotId), 'seen');
    expect(owed().state).to.equal('closed');
    t.say('level_empty', 'seen');
    const again = t.state().context.proofItems.find((i) => i.item.includes('level_empty'))!;
    expect(again.question).to.equal('Brake reservoir: empty');
    const one = fixture('coupe_disc_disc_tandem_servo');
    expect(askedOf(toTrace(one.state()), one.state().context.answers).some((o) => slotOfObservation(o.code) !== null)).to.equal(false);
    expect(controlPicked(one.layout, one.slot('reservoir', null))).to.equal(null);
  });

  it('speaks for what it feeds, and for nothing else', () => {
    for (const template of [CLUTCH, RACER]) {
      const t = fixture(template);
      const all = reservoirsOf(t.layout);
      const { network } = toTrace(t.state());
      for (const r of all) {
        const signs = network.observations.filter(
          (o) => isSeenInReservoir(o.sign.code) && slotOfObservation(o.code) === (r.plain ? null : r.slotId),
        );
        expect(signs.length, r.name).to.be.greaterThan(4);
        for (const o of signs)
          for (const id of Object.keys(o.strengths)) {
            const f = network.faults.find((x) => x.id === id)!;
            if (f.slot) expect(r.reach.has(f.slot.id) || !all.some((x) => x.reach.has(f.slot!.id)), `${o.id} ${id}`).to.equal(true);
          }
      }
    }
  });

  it('a clutch that loses fluid accuses no brake, and air in it makes no pedal soft', () => {
    const t = fixture(CLUTCH);
    const [, clutch] = reservoirsOf(t.layout);
    const before = worth(t);
    t.say(codeAt('level_low', clutch!.slotId), 'seen').say('level_low', 'not_seen');
    const after = worth(t);
    const slave = `slave_leaks@${t.slot('clutch_slave', null)}`;
    const wheel = `wc_leaks@${t.slot('wheel_cylinder', 'RL')}`;
    expect(after(slave)).to.be.greaterThan(1.5 * before(slave));
    expect(after(wheel)).to.be.lessThan(before(wheel));
    const { network } = toTrace(t.state());
    const shows = (fault: string) => network.observations.flatMap((o) => (o.strengths[fault] === undefined ? [] : [o.sign.code]));
    expect(shows(`fluid_lost@${clutch!.slotId}`).sort()).to.deep.equal(['clutch_spongy', 'level_empty']);
    expect(shows('fluid_lost@system')).to.include('pedal_to_floor').and.not.include('clutch_spongy');
    expect(network.faults.some((f) => f.id === `air_in_system@${clutch!.slotId}`)).to.equal(false);
    // Work on whatever it stands in brings air into it.
    const air = (fresh: string): number =>
      networkOf(t.layout, { years: new Map(), yearsOfAll: 10, shifts: new Set(), fresh: new Set([fresh]) }, TABLES).faults.find(
        (f) => f.id === 'air_in_system@system',
      )!.prior;
    expect(air(t.slot('wheel_cylinder', 'RL'))).to.be.greaterThan(2 * air(t.slot('clutch_slave', null)));
  });

  it('each is looked into by itself, and what was seen before they were told apart is left out and said', () => {
    const t = fixture(RACER).say('level_low', 'seen');
    const { network, evidence } = toTrace(t.state());
    const looks = network.checks.filter((c) => c.kind.id === 'reservoir');
    expect(looks.map((c) => c.name.split(': ')[1])).to.deep.equal(reservoirsOf(t.layout).map((r) => r.name.toLowerCase()));
    for (const c of looks) expect(new Set(c.observations.map((id) => slotOfObservation(id))).size).to.equal(1);
    expect(evidence.leverless).to.deep.equal(['level_low']);
  });
});
