import { expect } from 'chai';
import { openHistory } from '../src/history/jobHistory.ts';
import { TEMPLATES } from '../src/layout/templates.ts';
import { isStandalone } from '../src/layout/standaloneUnits.ts';
import type { BleedSession } from '../src/ledger/families/bleedSessions.ts';
import type { PartEventKind } from '../src/ledger/families/partEvents.ts';
import { EVENT_LISTS, familyOf } from '../src/ledger/families.ts';
import { deriveJob } from '../src/job/job.ts';
import { jointsOf } from '../src/readiness/joints.ts';
import { parkedNow, parkGaps, whyNotParked } from '../src/readiness/parked.ts';
import { parkingCard } from '../src/views/parkingCard.ts';
import { PARK_REFUSED } from '../src/wording/en/parking.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const LEFT = { standsOn: 'stands', heldBy: 'Four stands', knows: 'Ruth', waitsFor: '', until: null } as const;

describe('a vehicle that is left for longer than a night', () => {
  for (const template of TEMPLATES.map((t) => t.id))
    it(`names every open port, and none that has a cap: ${template}`, () => {
      const job = new JobFixture(FOUR, [], template);
      const joints = jointsOf(job.layout);
      job.file.jointEvents = joints.map((j, i) => ({
        ...{ ...base(10 + i), connectionId: j.connection.id, slotId: j.slot.id, kind: 'opened', seal: null, note: '' },
        ...{ typed: null, torqueNm: null },
      }));
      const ports = () => parkGaps(openHistory(job.file)).flatMap((g) => (g.kind === 'port' ? [`${g.slot.id}:${g.port}`] : []));
      if (isStandalone(job.layout)) return expect(ports()).to.deep.equal([]);
      const keys = joints.map((j) => `${j.slot.id}:${j.connection.id}`);
      expect(ports()).to.have.members(keys);
      joints.forEach((j, i) => {
        const which = { slotId: j.slot.id, what: i % 2 === 0 ? ('cap' as const) : ('plug' as const) };
        job.file.putIns = [...job.file.putIns, { ...base(500 + i), ...which, note: '', port: j.connection.id }];
        expect(ports()).to.have.members(keys.slice(i + 1));
      });
      // Of which nobody said which port, each closes one.
      job.file.putIns = job.file.putIns.map((p) => ({ ...p, port: null }));
      expect(ports()).to.deep.equal([]);
      // A cap that came out again closes nothing.
      const [first] = job.file.putIns;
      if (!first) return;
      job.file.takenOuts = [{ ...base(900), putInId: first.id }];
      expect(ports()).to.have.length(1);
      return expect(ports()[0]).to.match(new RegExp(`^${first.slotId}:`));
    });

  it('does not invite to press: each control that is locked has a board, and the card says so first', () => {
    const job = new JobFixture(FOUR);
    const drumless = job.layout.slots.find((s) => s.kind === 'caliper' && s.corner === 'FL')!;
    job.file.partEvents = [
      ...job.file.partEvents,
      {
        ...{ ...base(20), partId: `part:${drumless.id}`, kind: 'removed', slotId: drumless.id, note: '', temporary: false },
        ...{ until: null, lot: null, lineOn: true },
      },
    ];
    const gaps = () => parkGaps(openHistory(job.file)).map((g) => g.kind);
    expect(gaps()).to.deep.equal(['hangs', 'board']);
    const pedal = job.layout.slots.find((s) => s.kind === 'pedal')!;
    job.file.putIns = [
      { ...base(21), slotId: drumless.id, what: 'hung', note: '' },
      { ...base(22), slotId: pedal.id, what: 'board', note: '' },
    ];
    expect(gaps()).to.deep.equal([]);
    expect(whyNotParked(openHistory(job.file), LEFT, '2026-06-01')).to.equal(null);
    const card = parkingCard(deriveJob(job.file, NOW));
    expect(card.press[0]!.what).to.equal('Pedal: do not press');
    expect(card.off).to.include('Front left caliper');
    expect(card.inside).to.have.members(['Wire that it hangs on at the front left caliper', 'Board over it at the pedal']);
  });

  it('is not left in the middle of a bleeding', () => {
    const job = new JobFixture(FOUR);
    const session: BleedSession = {
      ...base(40),
      ...{ circuits: [1], product: 'Fluid', fullMl: 200, safeMl: 40, strokeMl: 20 },
      method: 'vacuum',
      fluidClass: '4',
      ...{ prepared: [], ordered: null, orderSource: null },
    };
    job.file.bleedSessions = [session];
    const why = () => whyNotParked(openHistory(job.file), LEFT, '2026-06-01');
    expect(why()).to.equal(PARK_REFUSED.gap({ kind: 'bleeding' }));
    const none = { slotId: null, colour: null, air: null, levelMl: null, fluidClass: null, bottle: '' };
    job.file.bleedSteps = [{ ...base(41), ...none, sessionId: session.id, kind: 'ended' }];
    expect(why()).to.equal(null);
  });

  it('is parked until somebody takes it over; what is taken back was neither', () => {
    const job = new JobFixture(FOUR);
    const now = () => parkedNow(openHistory(job.file))?.id ?? null;
    const parking = { ...base(30), ...LEFT };
    expect(now()).to.equal(null);
    job.file.parkings = [parking];
    expect(now()).to.equal(parking.id);
    expect(whyNotParked(openHistory(job.file), LEFT, '2026-06-01')).to.equal(PARK_REFUSED.already);
    const over = { ...base(31), parkingId: parking.id, note: '' };
    job.file.takeOvers = [over];
    expect(now()).to.equal(null);
    job.file.takeBacks = [{ ...base(32), corrects: over.id, reason: 'not read' }];
    expect(now()).to.equal(parking.id);
    job.file.takeBacks = [...job.file.takeBacks, { ...base(33), corrects: parking.id, reason: 'stays after all' }];
    expect(now()).to.equal(null);
  });

  it('keeps no reading, finding or order waiting, and no parcel that comes back', () => {
    const waits = EVENT_LISTS.filter((f) => familyOf(f).waitsParked !== undefined);
    for (const free of [
      'readings',
      'sets',
      'findings',
      'observations',
      'orderSteps',
      'takeBacks',
      'pictures',
      'putIns',
      'takeOvers',
      'timerSteps',
    ] as const)
      expect(waits).to.not.include(free);
    for (const kept of ['jointEvents', 'bleedPulls', 'bleedSteps', 'proofs', 'takenOuts', 'torques', 'fluidServices', 'cardTells'] as const)
      expect(waits).to.include(kept);
    const part = (kind: PartEventKind) => familyOf('partEvents').waitsParked?.({ ...base(1), kind } as never);
    expect((['returned', 'sent', 'found'] as const).map(part)).to.deep.equal([false, false, false]);
    expect((['removed', 'fitted', 'resealed'] as const).map(part)).to.deep.equal([true, true, true]);
  });
});
