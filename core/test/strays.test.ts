import { expect } from 'chai';
import { openHistory } from '../src/history/jobHistory.ts';
import { strayRecords } from '../src/history/strays.ts';
import { deriveJob } from '../src/job/job.ts';
import { removedPlacesOf } from '../src/layout/compare.ts';
import { removeComponent } from '../src/layout/edit.ts';
import type { Layout } from '../src/layout/graph.ts';
import { base, id, JobFixture, NOW } from './jobFixture.ts';

/** Instants before and after the layout was drawn anew. */
const [BEFORE, DRAWN, AFTER] = ['2026-05-01T08:00:00.000Z', '2026-05-01T09:00:00.000Z', '2026-05-01T10:00:00.000Z'];
const ring = (figure: number): string[] => Array.from({ length: 8 }, () => figure.toFixed(2));

class Redrawn extends JobFixture {
  /** Takes a place out of the layout. */
  without(slotId: string, enteredAt = DRAWN): void {
    const next: Layout = removeComponent(this.file.layout, slotId, id);
    const removedPlaces = removedPlacesOf(this.file.layout, next);
    this.file.layoutRevisions = [
      ...this.file.layoutRevisions,
      {
        id: id(),
        revision: 'correction',
        why: 'it has none',
        enteredBy: 'ann',
        enteredAt,
        added: [],
        removed: [],
        changed: [],
        removedPlaces,
      },
    ];
    this.file.layout = next;
  }
  move(setId: string, slotId: string): void {
    this.file.setMoves = [
      ...this.file.setMoves,
      { ...base(this.next(), { corrects: setId, recordedAt: AFTER }), setId, slotId, partId: null, supersedes: null },
    ];
  }
  strays() {
    return strayRecords(openHistory(this.file));
  }
  blocks(): string[] {
    return deriveJob(this.file, NOW)
      .blocks.filter((o) => o.duty.kind === 'stray')
      .map((o) => o.what);
  }
}

describe('what came in at a place that is gone', () => {
  it('is told with its place, and keeps the vehicle here until it is moved to a place that is there', () => {
    const t = new Redrawn(['FL', 'FR']);
    const [left, right] = [t.slot('rotor', 'FL'), t.slot('rotor', 'FR')];
    const set = t.gauge(left, ring(12.1), { recordedAt: AFTER });
    expect(t.strays()).to.deep.equal([]);
    t.without(left);
    expect(t.strays().map((s) => [s.family, s.set?.id, s.at.name, s.at.kind])).to.deep.equal([
      ['sets', set.id, 'Front left rotor', 'rotor'],
    ]);
    expect(t.blocks()).to.deep.equal(['Say where the thickness belongs: front left rotor is gone']);
    t.move(set.id, right);
    expect([t.strays(), t.blocks()]).to.deep.equal([[], []]);
    expect(t.component(right).judged.find((j) => j.characteristic.id === 'rotor_thickness')?.reduced.value).to.be.closeTo(12.1, 1e-9);
    // Nor is it hidden by being moved to another place that is gone.
    t.without(right, '2026-05-01T09:30:00.000Z');
    expect(t.strays().map((s) => s.at.name)).to.deep.equal(['Front right rotor']);
  });
  it('goes when it is taken back, whatever it is', () => {
    const t = new Redrawn(['FL']);
    const hose = t.slot('hose');
    t.file.torques = [
      {
        ...base(t.next(), { recordedAt: AFTER }),
        key: `hose:${hose}`,
        slotId: hose,
        target: 18,
        value: 18,
        unit: 'N·m',
        by: 'wrench',
      } as never,
    ];
    t.without(hose);
    expect(t.strays().map((s) => [s.family, s.set])).to.deep.equal([['torques', null]]);
    const [stray] = t.strays();
    t.file.takeBacks = [{ ...base(t.next(), { corrects: stray!.record.id }), corrects: stray!.record.id, reason: '' } as never];
    expect([t.strays(), t.blocks()]).to.deep.equal([[], []]);
  });
  it('is not what was on record before, nor of another job, nor the going of a part', () => {
    const t = new Redrawn(['FL']);
    const rotor = t.slot('rotor', 'FL');
    t.gauge(rotor, ring(12.1), { recordedAt: BEFORE });
    t.gauge(rotor, ring(12.2), { recordedAt: AFTER, jobId: 'another' });
    t.file.partEvents = [
      ...t.file.partEvents,
      {
        ...base(t.next(), { recordedAt: AFTER }),
        partId: `part:${rotor}`,
        kind: 'scrapped',
        slotId: rotor,
        note: '',
        temporary: false,
        until: null,
        lot: null,
        lineOn: false,
      },
    ];
    t.without(rotor);
    expect(t.strays()).to.deep.equal([]);
  });
  it('a place that is drawn again takes its records back', () => {
    const t = new Redrawn(['FL']);
    const was = t.file.layout;
    t.gauge(t.slot('rotor', 'FL'), ring(12.1), { recordedAt: AFTER });
    t.without(t.slot('rotor', 'FL'));
    expect(t.strays()).to.have.length(1);
    t.file.layout = was;
    expect(t.strays()).to.deep.equal([]);
  });
});
