import { expect } from 'chai';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import fc from 'fast-check';
import { deriveJob } from '../src/job/job.ts';
import type { Corner } from '../src/layout/kinds.ts';
import type { JobRecords } from '../src/ledger/jobRecords.ts';
import { buildSheet } from '../src/views/handback.ts';
import { mayMove } from '../src/views/mayMove.ts';
import { MOVE_NAME } from '../src/wording/en/names.ts';
import type { MoveLevel } from '../src/wording/reasons.ts';
import { waitsOf } from '../src/views/waits.ts';
import { base, NOW, JobFixture, FOUR } from './jobFixture.ts';

/** A job about fluid only: little is owed, so that how far the vehicle may move can be walked through. */
class Vehicle extends JobFixture {
  constructor() {
    super(FOUR);
    this.file.job = { ...this.file.job, kind: 'fluid', complaint: '', wants: 'Fluid change', scopeCorners: [] };
    this.file.counters = [{ ...base(this.next()), vehicleId: 'car', typed: '1', km: 1 }];
  }
  prove(item: string, corner: Corner | null = null): void {
    this.file.proofs = [...this.file.proofs, { ...base(this.next()), item, slotId: null, corner, result: 'passed', note: '' }];
  }
  fluid(): void {
    const sample = {
      slotId: this.slot('reservoir', null),
      waterPercent: null,
      boilC: null,
      fluidClass: '4' as const,
      how: 'Drop in water',
    };
    this.file.fluidSamples = [{ ...base(this.next()), ...sample }];
    this.file.fluidServices = [{ ...base(this.next()), product: 'p', fluidClass: '4', batch: '', lowMoisture: false, ...BY_CLASS_ALONE }];
    for (const b of this.layout.slots.filter((s) => s.kind === 'bleeder')) {
      const pull = {
        ...base(this.next()),
        slotId: b.id,
        volumeTyped: '120',
        volumeMl: 120,
        colour: 'clear',
        air: 'none',
        closed: true,
        method: null,
      } as const;
      this.file.bleedPulls = [...this.file.bleedPulls, pull];
      const seat = {
        slotId: b.id,
        point: `bleeder:${b.id}`,
        targetTyped: '',
        target: 0,
        typed: '8',
        canonical: 8,
        unit: 'Nm' as const,
        wrench: '',
      };
      this.file.torques = [...this.file.torques, { ...base(this.next()), ...seat }];
    }
  }
  standing(): void {
    this.fluid();
    const items = deriveJob(this.file, NOW).context.proofItems.filter((i) => !i.item.startsWith('road'));
    this.sound();
    for (const i of items) this.prove(i.item, i.corner);
  }
  move() {
    return mayMove(deriveJob(this.file, NOW));
  }
}

describe('may it move', () => {
  it('not before the parking brake is proved, and says so', () => {
    const t = new Vehicle();
    expect(t.move().level).to.equal('do_not_move');
    expect(t.move().reasons).to.deep.equal([{ about: 'parking', words: 'The parking brake is not proved.' }]);
    expect(t.move().next?.key).to.equal('proof:parking');
  });
  it('in the yard once it holds, with what is left before the road', () => {
    const t = new Vehicle();
    t.prove('parking');
    expect(t.move().level, 'without its figures').to.equal('do_not_move');
    t.sound('parking');
    expect(t.move().level).to.equal('yard_only');
    expect(t.move().reasons[0]?.words).to.match(/^\d+ to do before the road$/);
  });
  it('on the road once all that can be proved standing is, the road itself being left', () => {
    const t = new Vehicle();
    t.standing();
    expect(t.move()).to.deep.include({ level: 'road_test' });
    expect(t.move().next?.key).to.equal('proof:road_walk');
  });
  it('falls back at once when a unit is opened, and names it', () => {
    const t = new Vehicle();
    t.standing();
    t.part(t.slot('hose'), 'removed');
    expect(t.move().level).to.equal('do_not_move');
    expect(t.move().reasons[0]).to.deep.equal({ about: 'lock', words: 'Do not press the pedal: front left hose is off.' });
  });
  it('is handed back when it is', () => {
    const t = new Vehicle();
    t.standing();
    const sheet = buildSheet(deriveJob(t.file, NOW), NOW);
    const release = { id: 'r', jobId: 'job', releasedBy: 'ann', importId: null, releasedAt: NOW, ownWork: true, ruleVersion: '1', sheet };
    const records: JobRecords = { ...t.file, release };
    expect(mayMove(deriveJob(records, NOW))).to.deep.equal({ level: 'handed_back', reasons: [], next: null });
  });
  it('has a word for every level', () => {
    const levels: MoveLevel[] = ['do_not_move', 'yard_only', 'road_test', 'handed_back'];
    expect(new Set(levels.map((l) => MOVE_NAME[l])).size).to.equal(4);
  });
  it('is never more than standing still while a control is locked, whatever was proved', () => {
    const kinds = fc.constantFrom('hose', 'caliper', 'pads', 'rotor', 'piston');
    fc.assert(
      fc.property(kinds, fc.constantFrom(...FOUR), fc.boolean(), (kind, corner, proved) => {
        const t = new Vehicle();
        const slot = t.layout.slots.find((s) => s.kind === kind && s.corner === corner);
        if (proved) t.standing();
        if (!slot) return;
        t.part(slot.id, 'removed');
        expect(t.move().level).to.equal('do_not_move');
      }),
      { numRuns: 30 },
    );
  });
});

describe('what a job waits for', () => {
  const waits = (t: JobFixture): string[] => waitsOf(deriveJob(t.file, NOW));
  function away(t: JobFixture, corner: Corner, note: string): void {
    const slot = t.slot('rotor', corner);
    const part = t.component(slot).part!.id;
    t.part(slot, 'removed');
    t.part(slot, 'sent', part);
    t.file.partEvents = t.file.partEvents.map((e) => (e.partId === part && e.kind === 'sent' ? { ...e, note } : e));
  }
  it('is nothing while all of it is here', () => {
    expect(waits(new JobFixture())).to.deep.equal([]);
  });
  it('reminds of a lever that was tied, once the night is over to untie it; what is tied elsewhere is not the lever', () => {
    const t = new JobFixture(FOUR);
    const tie = (slotId: string, hours: number): void => {
      const at = new Date(Date.parse(NOW) - hours * 3600000).toISOString();
      t.file.putIns = [{ ...base(1, { happenedAt: at, recordedAt: at }), slotId, what: 'tie', note: '' }];
    };
    tie(t.slot('hose'), 14);
    expect(waits(t)).to.deep.equal([]);
    tie(t.slot('pedal', null), 3);
    expect(waits(t)).to.deep.equal(['Pedal tied for 3 h, overnight']);
    tie(t.slot('pedal', null), 14);
    expect(waits(t)[0]).to.equal('Pedal tied for 14 h: untie it, then bleed a second time');
    t.file.takenOuts = [{ ...base(2, { happenedAt: NOW, recordedAt: NOW }), putInId: t.file.putIns[0]!.id }];
    expect(waits(t)).to.deep.equal([]);
  });
  it('tells parts that went together as one', () => {
    const t = new JobFixture(FOUR);
    away(t, 'FL', 'to the turner');
    expect(waits(t)[0]).to.equal('rotor, to the turner');
    away(t, 'FR', 'to the turner');
    expect(waits(t)[0]).to.equal('2 rotors, to the turner');
    away(t, 'RL', '');
    expect(waits(t)).to.include('rotor, sent out');
  });
});
