import { expect } from 'chai';
import fc from 'fast-check';
import { acceptanceKey } from '../src/ledger/obligation.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob, itemLock } from '../src/job/job.ts';
import { placeName, type Slot } from '../src/layout/graph.ts';
import { axleOf, KIND_FACTS } from '../src/layout/kinds.ts';
import { type Control, controlsOf } from '../src/layout/reach.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import type { BleedMethod } from '../src/ledger/families/bleedPulls.ts';
import type { PutInKind } from '../src/ledger/families/putIns.ts';
import { jointsOf } from '../src/readiness/joints.ts';
import { isOnShaft, lockOf } from '../src/readiness/pedalLock.ts';
import { whyNotGood } from '../src/readiness/proofStatus.ts';
import { placeStates } from '../src/readiness/unitState.ts';
import { takenOutRefusal } from '../src/views/takenOutRefusal.ts';
import { base, id, NOW, JobFixture, FOUR } from './jobFixture.ts';

class Shop extends JobFixture {
  putIn(slotId: string, what: PutInKind): string {
    const row = { ...base(this.next()), slotId, what, note: '' };
    this.file.putIns = [...this.file.putIns, row];
    return row.id;
  }
  takeOut(putInId: string): void {
    this.file.takenOuts = [...this.file.takenOuts, { ...base(this.next()), putInId }];
  }
  temporary(slotId: string): void {
    this.file.partEvents = [
      ...this.file.partEvents,
      {
        ...base(this.next()),
        partId: id(),
        kind: 'fitted',
        slotId,
        note: 'until the new one comes',
        temporary: true,
        until: null,
        lot: null,
        lineOn: false,
      },
    ];
  }
  prove(item: string): void {
    this.sound(item);
    this.file.proofs = [...this.file.proofs, { ...base(this.next()), item, slotId: null, corner: null, result: 'passed', note: '' }];
  }
  state() {
    return deriveJob(this.file, NOW);
  }
  at(slotId: string): string {
    return placeStates(openHistory(this.file), this.layout).find((s) => s.slot.id === slotId)!.state;
  }
  lock(item: string): string | null {
    return itemLock(this.state(), { item, corner: null })?.why ?? null;
  }
  obligation(key: string) {
    return this.state().obligations.find((o) => o.key === key);
  }
}

describe('the state of a place', () => {
  it('a chock or a mask makes nothing dangerous: it locks no control, and is owed out all the same', () => {
    for (const what of ['chock', 'mask'] as const) {
      const t = new Shop();
      const wheel = t.slot('hub');
      const put = t.putIn(wheel, what);
      expect([t.at(wheel), t.lock('pedal_hold')], what).to.deep.equal(['complete', null]);
      expect(t.obligation(`out:${put}`)?.state, what).to.equal('open');
      const block = t.putIn(wheel, 'block');
      expect(t.at(wheel), 'a block beside it').to.equal('blocked');
      expect(t.lock('pedal_hold')).to.match(/block in the front left hub/);
      t.takeOut(block);
      expect(t.at(wheel)).to.equal('complete');
    }
  });
  it('follows from the events alone: off, away, blocked, temporary, complete', () => {
    const t = new Shop();
    const hose = t.slot('hose');
    const part = t.component(hose).part!.id;
    expect(t.at(hose)).to.equal('complete');
    const clamp = t.putIn(hose, 'clamp');
    expect(t.at(hose)).to.equal('blocked');
    t.takeOut(clamp);
    expect(t.at(hose)).to.equal('complete');
    t.part(hose, 'removed');
    expect(t.at(hose)).to.equal('open');
    t.part(hose, 'sent', part);
    expect(t.at(hose)).to.equal('away');
    t.temporary(hose);
    expect(t.at(hose)).to.equal('temporary');
    t.part(hose, 'fitted', part);
    expect(t.at(hose)).to.equal('complete');
  });

  it('what was put in stays an obligation until it is taken out, and blocks the hand-back', () => {
    const t = new Shop();
    const put = t.putIn(t.slot('caliper'), 'block');
    expect(t.obligation(`out:${put}`)?.what).to.equal('Take out: block at the front left caliper');
    expect(t.state().blocks.map((b) => b.key)).to.include(`out:${put}`);
    t.takeOut(put);
    expect(t.obligation(`out:${put}`)).to.equal(undefined);
  });
});

describe('controls', () => {
  const namesOf = (layout: ReturnType<typeof buildLayout>, c: Control): string[] =>
    layout.slots.filter((s) => c.reach.has(s.id)).map((s) => placeName(s));
  it('a tandem cylinder’s pedal reaches both its circuits; the lever only what its cables reach', () => {
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'l', 'v', id);
    const [pedal, lever] = ['pedal', 'parking'].map((k) => controlsOf(layout).find((c) => c.kind === k)!);
    expect(namesOf(layout, pedal!)).to.include.members(['Front left rotor', 'Rear right pads', 'Rear hose', 'Servo', 'Rear left piston 1']);
    expect(namesOf(layout, lever!)).to.include.members(['Rear left rotor', 'Rear right caliper']);
    expect(namesOf(layout, lever!)).to.not.include.members(['Front left caliper', 'Master cylinder']);
  });
  it('the clutch is a control of its own', () => {
    const layout = buildLayout('saloon_disc_drum_single', 'l', 'v', id);
    const clutch = controlsOf(layout).find((c) => c.kind === 'clutch')!;
    expect(namesOf(layout, clutch)).to.have.members(['Clutch master', 'Clutch slave', 'Clutch bleeder']);
    expect(
      namesOf(
        layout,
        controlsOf(layout).find((c) => c.kind === 'pedal')!,
      ),
    ).to.not.include('Clutch slave');
  });
  it('rods carry the pedal and the lever to all four drums', () => {
    const layout = buildLayout('utility_rods', 'l', 'v', id);
    for (const c of controlsOf(layout)) expect(namesOf(layout, c)).to.include.members(['Front left drum', 'Rear right shoes']);
  });
});

describe('the pedal lock', () => {
  it('one corner open locks the whole pedal, across the circuits, and not the lever', () => {
    const t = new Shop(FOUR);
    expect(t.lock('pedal_hold')).to.equal(null);
    t.part(t.slot('pads', 'RR'), 'removed');
    expect(t.lock('pedal_hold')).to.equal('Do not press the pedal: rear right pads are off.');
    expect(t.lock('road')).to.not.equal(null);
    t.part(t.slot('rotor', 'FL'), 'removed');
    expect(t.lock('parking')).to.include('rear right pads');
  });

  it('the lever is free while only the front is open', () => {
    const t = new Shop(FOUR);
    t.part(t.slot('caliper', 'FL'), 'removed');
    expect(t.lock('pedal_hold')).to.not.equal(null);
    expect(t.lock('parking')).to.equal(null);
  });

  it('the parking lever is locked where shoes or pistons can come out by it, not by a joint elsewhere', () => {
    const t = new Shop(FOUR, [], 'drums_single');
    const joint = jointsOf(t.layout).find((j) => j.slot.id === t.slot('wheel_cylinder', 'RL'))!;
    const at = { connectionId: joint.connection.id, slotId: joint.slot.id, seal: null, typed: null, torqueNm: null, note: '' };
    t.file.jointEvents = [{ ...base(t.next()), ...at, kind: 'opened' }];
    expect(t.lock('pedal_hold')).to.match(/a joint is open/);
    expect(t.lock('parking')).to.equal(null);
    t.part(t.slot('drum', 'RL'), 'removed');
    expect(t.lock('parking')).to.match(/rear left drum is off/);
  });

  it('with the first open unit a board is owed on the pedal, and it comes off last', () => {
    const t = new Shop(FOUR);
    const pedal = t.slot('pedal', null);
    expect(t.obligation(`board:${pedal}`)).to.equal(undefined);
    const pads = t.component(t.slot('pads')).part!.id;
    t.part(t.slot('pads'), 'removed');
    expect(t.obligation(`board:${pedal}`)?.what).to.equal('Put a board on the pedal: a lock on a screen stops nobody in the seat');
    const board = t.putIn(pedal, 'board');
    expect(t.obligation(`board:${pedal}`)).to.equal(undefined);
    expect(t.obligation(`out:${board}`)?.what).to.equal('Take the board off the pedal, last of all');
    expect(takenOutRefusal(t.state(), board)).to.match(/^The board on the pedal comes off last: front left pads are off/);
    t.part(t.slot('pads'), 'fitted', pads);
    expect(takenOutRefusal(t.state(), board)).to.equal(null);
    expect(t.lock('first_press'), 'nothing is pressed through a board').to.match(/a board lies on the pedal/);
    t.takeOut(board);
    expect(t.lock('first_press')).to.equal(null);
  });

  it('what presses nothing is drawn with the board in its place; what presses is provisional', () => {
    const t = new Shop(FOUR);
    t.putIn(t.slot('pedal', null), 'board');
    const slotId = t.slot('bleeder');
    const draw = (method: BleedMethod, volumeMl = 300): string | null => {
      const pull = { slotId, volumeTyped: `${volumeMl}`, volumeMl, colour: 'clear', air: 'none', closed: true, method } as const;
      t.file.bleedPulls = [...t.file.bleedPulls, { ...base(t.next()), ...pull }];
      return whyNotGood(t.state().context.proofStatus.pull(slotId));
    };
    for (const method of ['vacuum', 'gravity', 'reverse'] as const) expect(draw(method), method).to.equal(null);
    for (const method of ['pedal', 'pressure'] as const)
      expect(draw(method), method).to.match(/as it stood then: a board lies on the pedal/);
    t.part(t.slot('pads'), 'removed');
    expect(draw('vacuum'), 'an open unit beside the board').to.match(/front left pads are off/);
  });

  it('what was drawn with something open is provisional, and says as well that it was too little', () => {
    const t = new Shop(FOUR);
    t.decide(t.slot('caliper'), 'reseal');
    t.putIn(t.slot('caliper', 'FR'), 'block');
    const pull = {
      slotId: t.slot('bleeder'),
      volumeTyped: '2',
      volumeMl: 2,
      colour: 'clear',
      air: 'none',
      closed: true,
      method: 'vacuum',
    } as const;
    t.file.bleedPulls = [{ ...base(t.next()), ...pull }];
    expect(t.obligation(`bleed:${pull.slotId}`)?.why).to.match(/^Provisional, .*block in .* 2 mL drawn; \d+ mL stand between/);
  });

  it('a servo without its cylinder, and a clutch slave off its housing, lock what would press them', () => {
    const servo = new Shop(FOUR);
    servo.part(servo.slot('master_cylinder', null), 'removed');
    const pedal = servo.state().context.proofStatus.locks.find((l) => l.control.kind === 'pedal');
    expect([pedal?.passable, pedal?.why]).to.deep.equal([false, 'Do not press the pedal: master cylinder is off.']);
    const clutch = new JobFixture(FOUR, [], 'saloon_disc_drum_single');
    clutch.part(clutch.slot('clutch_slave', null), 'removed');
    const locks = deriveJob(clutch.file, NOW).context.proofStatus.locks;
    expect(locks.map((l) => [l.control.name, l.passable])).to.deep.equal([['Clutch pedal', false]]);
  });

  it('is never passed while a piston can come out', () => {
    const t = new Shop(FOUR);
    t.part(t.slot('rotor'), 'removed');
    const lock = t.obligation(`lock:${t.slot('pedal', null)}`)!;
    expect(lock.acceptBy).to.equal(null);
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(lock), reason: 'only a little' }];
    expect(t.lock('pedal_hold')).to.not.equal(null);
  });

  it('a block is passed by a lead’s named reason, for that block only', () => {
    const t = new Shop(FOUR);
    t.putIn(t.slot('caliper'), 'block');
    const key = `lock:${t.slot('pedal', null)}`;
    const lock = t.obligation(key)!;
    expect(lock.acceptBy).to.equal('lead');
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(lock), reason: 'to push the other piston out' }];
    expect(t.lock('pedal_hold')).to.equal(null);
    t.putIn(t.slot('caliper', 'FR'), 'block');
    expect(t.lock('pedal_hold')).to.not.equal(null);
  });

  it('a result taken meanwhile is provisional: kept, and closes nothing until it is taken again', () => {
    const t = new Shop(FOUR);
    const put = t.putIn(t.slot('caliper'), 'block');
    t.prove('pedal_hold');
    t.takeOut(put);
    const held = () => t.obligation('proof:pedal_hold')!;
    expect([held().state, held().why]).to.deep.equal([
      'open',
      'Provisional, as it stood then: block in the front left caliper. Do it again.',
    ]);
    t.prove('pedal_hold');
    expect(held().state).to.equal('closed');
  });

  for (const template of TEMPLATES) {
    it(`${template.name}: no pedal step is free while a unit on its control is open`, () => {
      const layout = buildLayout(template.id, 'l', 'v', id);
      const articles = layout.slots.filter((s) => KIND_FACTS[s.kind].article);
      const controls = controlsOf(layout);
      fc.assert(
        fc.property(fc.subarray(articles, { maxLength: 5 }), (off: Slot[]) => {
          const states = layout.slots.map((slot) => ({
            slot,
            inside: [],
            state: off.includes(slot) ? ('open' as const) : ('complete' as const),
            cause: off.includes(slot) ? ({ kind: 'off' } as const) : null,
            why: off.includes(slot) ? 'off' : null,
            unsecured: null,
          }));
          for (const c of controls) {
            // The parking lever is pulled over an open line, and not into an open drum.
            // One that brakes the shaft holds nothing while a driven wheel hangs free.
            const lifted = (s: Slot): boolean =>
              isOnShaft(layout, c) && axleOf(s.corner) === 'rear' && ['hub', 'drum', 'rotor', 'band_drum'].includes(s.kind);
            const touched = off.filter((s) => (c.reach.has(s.id) && (c.kind !== 'parking' || s.kind !== 'hose')) || lifted(s));
            const lock = lockOf(layout, c, states);
            expect(lock?.by.map((s) => s.slot.id).sort() ?? []).to.deep.equal(touched.map((s) => s.id).sort());
            if (touched.some((s) => s.circuits.length > 0)) expect(lock?.passable).to.equal(false);
          }
        }),
        { numRuns: 50 },
      );
    });
  }
});
