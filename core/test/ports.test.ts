import { expect } from 'chai';
import { gateFacts, isHeld } from '../src/readiness/cardGates.ts';
import { jointsOf, portFact, portsOf, whyNotMade, whyNotPort, whyNotPutIn } from '../src/readiness/index.ts';
import { openHistory } from '../src/history/index.ts';
import type { JointSeal, LineShape, PortFact, PortSeat } from '../src/ledger/index.ts';
import { PORT_SEATS } from '../src/ledger/index.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

/** The ports of a unit: each is closed, described and joined by itself. Sources: handbook 58, A20 and D19. */
describe('ports of a unit', () => {
  const job = new JobFixture(FOUR);
  const at = (kind: string, corner: string | null) => job.layout.slots.find((s) => s.kind === kind && s.corner === corner)!;
  const master = at('master_cylinder', null);
  const lines = jointsOf(job.layout).filter((j) => j.slot.id === master.id);
  const [first, second] = lines.map((j) => j.connection.id) as [string, string];
  const told = base(600);
  const partId = job.file.partEvents.find((e) => e.slotId === master.id)?.partId ?? null;
  const fact = (seat: PortSeat, more: Partial<PortFact> = {}): PortFact => ({
    ...{ ...told, id: `fact:${seat}`, slotId: master.id, partId, port: first, seat, thread: 'M10 × 1', lies: '', ...more },
  });
  const cap = (id: string, port: string | null, slotId = master.id) => ({ ...told, id, slotId, what: 'cap' as const, note: '', port });
  const history = (change: (file: JobFixture['file']) => void) => {
    const file = { ...job.file };
    change(file);
    return openHistory(file);
  };
  const made = (seal: JointSeal | null, connectionId = first) => ({ connectionId, slotId: master.id, kind: 'made' as const, seal });

  it('are where its lines end, the bridge of two halves, and what is plugged; a hose has none but those of its ends', () => {
    expect(lines.length).to.be.greaterThan(1);
    expect(portsOf(job.layout, master).map((p) => p.id)).to.deep.equal([...lines.map((j) => j.connection.id), 'plug']);
    const hose = job.layout.slots.find((s) => s.kind === 'hose')!;
    expect(portsOf(job.layout, hose).every((p) => p.kind === 'line')).to.equal(true);
    const fixed = job.layout.slots.find((s) => s.kind === 'caliper' && s.style === 'fixed');
    if (fixed) expect(portsOf(job.layout, fixed).map((p) => p.kind)).to.include.members(['bridge', 'plug']);
    expect(portsOf(job.layout, at('pedal', null))).to.deep.equal([]);
  });

  it('one cap does not close two: the gate stays shut until each open one has its own', () => {
    const caps = (...list: ReturnType<typeof cap>[]) => {
      const h = history((file) => {
        file.jointEvents = lines.map((j, i) => ({
          ...{ ...told, id: `open:${i}`, connectionId: j.connection.id, slotId: master.id, kind: 'opened', seal: null, note: '' },
          ...{ typed: null, torqueNm: null },
        }));
        file.putIns = list;
      });
      return isHeld(gateFacts(h, NOW), master, 'capped');
    };
    expect(caps()).to.equal(false);
    expect(caps(cap('1', first))).to.equal(false);
    expect(caps(cap('1', first), cap('2', first))).to.equal(false);
    expect(caps(cap('1', null))).to.equal(false);
    expect(caps(...lines.map((j) => cap(j.connection.id, j.connection.id)))).to.equal(true);
    expect(caps(...lines.map((j) => cap(j.connection.id, null)))).to.equal(true);
  });

  it('is free before its line goes in: what closes another one is in nobody’s way', () => {
    const plugged = (port: string | null, taken = false) =>
      history((file) => {
        file.putIns = [cap('c', port)];
        if (taken) file.takenOuts = [{ ...told, id: 'o', putInId: 'c' }];
      });
    expect(whyNotMade(plugged(first), made('flare'))).to.match(/^Cap still in this port of the master cylinder/);
    expect(whyNotMade(plugged(second), made('flare'))).to.equal(null);
    expect(whyNotMade(plugged(first, true), made('flare'))).to.equal(null);
  });

  it('takes the one way of sealing that its seat is made for, and says which', () => {
    const takes: Readonly<Record<PortSeat, JointSeal>> = {
      ...{ cone: 'flare', hollow: 'flare', flat: 'washers', taper: 'taper_sealant', o_ring: 'o_ring' },
    };
    for (const seat of PORT_SEATS)
      for (const seal of ['flare', 'washers', 'taper_sealant', 'o_ring', 'other'] as const) {
        const why = whyNotMade(
          history((file) => (file.portFacts = [fact(seat)])),
          made(seal),
        );
        expect(why === null, `${seal} on ${seat}`).to.equal(seal === 'other' || takes[seat] === seal);
      }
  });

  it('takes no flare of another form than its seat, once the line was measured', () => {
    const shape = (flare: 'single' | 'double' | 'bubble'): LineShape => ({
      ...{ ...told, id: 'shape', connectionId: first, stretches: [], outsideMm: 4.75, bendRadiusMm: 15, slackMm: 0, by: 'wire', note: '' },
      first: { flare, thread: '', usedMm: 2 },
      last: { flare, thread: '', usedMm: 2 },
    });
    const why = (flare: 'single' | 'double' | 'bubble', seat: PortSeat) =>
      whyNotMade(
        history((file) => {
          file.portFacts = [fact(seat)];
          file.lineShapes = [shape(flare)];
        }),
        made('flare'),
      );
    expect(why('double', 'cone')).to.equal(null);
    expect(why('bubble', 'hollow')).to.equal(null);
    expect(why('bubble', 'cone')).to.match(/^A bubble flare does not seal here: this port is cone/);
    expect(why('single', 'hollow')).to.match(/takes a bubble flare/);
  });

  it('belongs to the part that sits there: another one has its own, and the newest of one part counts', () => {
    const h = history(
      (file) => (file.portFacts = [fact('cone'), fact('flat', { id: 'newer' }), fact('taper', { id: 'x', partId: 'other' })]),
    );
    expect(portFact(h, master.id, first)?.seat).to.equal('flat');
    expect(portFact(h, master.id, second)).to.equal(null);
    expect(whyNotPort(h, { slotId: master.id, partId, port: first })).to.equal(null);
    expect(whyNotPort(h, { slotId: master.id, partId: 'other', port: first })).to.match(/^Another part sits there/);
    expect(whyNotPort(h, { slotId: master.id, partId, port: 'bridge' })).to.match(/no such port/);
    expect(whyNotPutIn(job.layout, { slotId: master.id, what: 'block', port: first })).to.match(/no such port/);
    expect(whyNotPutIn(job.layout, { slotId: master.id, what: 'plug', port: first })).to.equal(null);
    expect(whyNotPutIn(job.layout, { slotId: master.id, what: 'plug', port: null })).to.equal(null);
  });
});
