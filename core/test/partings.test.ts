import { expect } from 'chai';
import { estimateOf } from '../src/estimate/variants.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { partedOf, partingsOf } from '../src/judging/partings.ts';
import { slotById } from '../src/layout/graph.ts';
import { buildSheet } from '../src/views/handback.ts';
import { FOUR, JobFixture, NOW } from './jobFixture.ts';

/** Front pads and rotors sit in their places. */
function pair(): JobFixture {
  const told = new JobFixture(FOUR);
  for (const kind of ['rotor', 'pads', 'hub', 'caliper'] as const)
    for (const corner of ['FL', 'FR'] as const) {
      const slotId = told.slot(kind, corner);
      if (!told.file.partEvents.some((e) => e.slotId === slotId)) told.part(slotId, 'found', `${kind}-${corner}`);
    }
  return told;
}
const of = (told: JobFixture, kind: string, option: Parameters<typeof partingsOf>[2]): string[] =>
  partingsOf(openHistory(told.file), slotById(told.layout, told.slot(kind))!, option).map((p) => p.stays.kind);

describe('what belongs together', () => {
  it('is parted by a new part, or by a cut, of either of the two, while the other stays', () => {
    const told = pair();
    expect(of(told, 'rotor', 'replace')).to.have.members(['pads', 'hub']);
    expect(of(told, 'pads', 'replace')).to.have.members(['rotor']);
    // A cut face is bedded anew; the hub is not parted by it.
    expect(of(told, 'rotor', 'machine')).to.have.members(['pads']);
    expect(of(told, 'rotor', 'use_again')).to.deep.equal([]);
    told.decide(told.slot('pads'), 'replace');
    expect(of(told, 'rotor', 'replace')).to.have.members(['hub']);
  });

  it('is said at the way of doing it, for what may stay, and of a whole job for what does', () => {
    const told = pair();
    const est = () => {
      const s = deriveJob(told.file, NOW);
      return estimateOf(s.history, s.components);
    };
    const way = est()
      .rows.find((r) => r.row.name === 'Front rotors')!
      .options.find((o) => o.option === 'replace')!;
    expect(way.risks.some((r) => r.startsWith('If the front pads stay'))).to.equal(true);
    for (const corner of ['FL', 'FR'] as const) told.decide(told.slot('rotor', corner), 'replace');
    const says = (): string[] => est().now.leaves.flatMap((l) => l.risks);
    expect(says().some((r) => r.startsWith('Parted from the front pads'))).to.equal(true);
    for (const corner of ['FL', 'FR'] as const) told.decide(told.slot('pads', corner), 'replace');
    expect(says().some((r) => r.startsWith('Parted from the front pads'))).to.equal(false);
  });

  it('is parted by the record that does it, and that stands on the sheet', () => {
    const told = pair();
    const rotor = told.slot('rotor');
    told.part(rotor, 'removed');
    told.part(rotor, 'fitted', 'new-rotor');
    expect(partedOf(openHistory(told.file)).map((p) => p.stays.kind)).to.have.members(['pads', 'hub']);
    expect(
      buildSheet(deriveJob(told.file, NOW), NOW).parts.some((l) => l.text.includes('Parted from the') && l.text.includes('pads')),
    ).to.equal(true);
    // Both new on this job: nothing old belongs to either.
    const pads = told.slot('pads');
    told.part(pads, 'removed');
    told.part(pads, 'fitted', 'new-pads');
    expect(partedOf(openHistory(told.file)).map((p) => p.stays.kind)).to.deep.equal(['hub']);
  });

  it('is not parted by what only went off and back on', () => {
    const told = pair();
    const rotor = told.slot('rotor');
    told.part(rotor, 'removed');
    told.part(rotor, 'fitted', told.file.partEvents.find((e) => e.slotId === rotor && e.kind === 'found')!.partId);
    expect(partedOf(openHistory(told.file))).to.deep.equal([]);
  });
});
