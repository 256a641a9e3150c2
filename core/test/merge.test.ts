import { expect } from 'chai';
import fc from 'fast-check';
import type { Finding } from '../src/ledger/families/findings.ts';
import { withChanges } from '../src/ledger/merge.ts';
import { JobFixture } from './jobFixture.ts';

const file = new JobFixture().file;
const finding = (id: string, words: string): Finding => ({ ...new JobFixture().file.findings[0]!, id, words });

describe('a job’s file with what is new of it', () => {
  it('has each event once, as it was told last, where it stood', () => {
    const had = { ...file, findings: [finding('a', 'one'), finding('b', 'two')] };
    const now = withChanges(had, { findings: [finding('c', 'three'), finding('a', 'blacked out')] });
    expect(now.findings.map((f) => [f.id, f.words])).to.deep.equal([
      ['a', 'blacked out'],
      ['b', 'two'],
      ['c', 'three'],
    ]);
    expect(
      had.findings.map((f) => f.words),
      'what was there is not written over',
    ).to.deep.equal(['one', 'two']);
  });

  it('has everything beside the events as it was told last, and keeps what was not told', () => {
    const now = withChanges(file, { job: { ...file.job, wants: 'Otherwise' }, gauges: [] });
    expect(now.job.wants).to.equal('Otherwise');
    expect(now.vehicle).to.equal(file.vehicle);
    expect(now.partEvents).to.equal(file.partEvents);
    expect(withChanges(file, {})).to.deep.equal(file);
  });

  it('is the same however often, and in whatever portions, it is told', () => {
    const ids = fc.uniqueArray(fc.constantFrom(...'abcdefgh'), { maxLength: 8 });
    fc.assert(
      fc.property(ids, ids, fc.nat(8), (had, fresh, cut) => {
        const before = { ...file, findings: had.map((i) => finding(i, 'was')) };
        const news = fresh.map((i) => finding(i, 'is'));
        const once = withChanges(before, { findings: news });
        const parts = withChanges(withChanges(before, { findings: news.slice(0, cut) }), { findings: news.slice(cut) });
        expect(withChanges(once, { findings: news }).findings).to.deep.equal(once.findings);
        expect(parts.findings).to.deep.equal(once.findings);
        expect(new Set(once.findings.map((f) => f.id)).size).to.equal(once.findings.length);
      }),
    );
  });
});
