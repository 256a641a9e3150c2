import { expect } from 'chai';
import { fileUntil } from '../src/history/asOf.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { type Settling, whyNotSettled } from '../src/readiness/settling.ts';
import type { Finding } from '../src/ledger/families/findings.ts';
import { FOUR, JobFixture } from './jobFixture.ts';

const PIT = { severity: 'doubt', words: 'Pit', fromMm: 20, toMm: 22, depthMm: 0.1 } as const;
const said = (found: Finding, over: Partial<Settling> = {}): Settling => ({
  ...{ slotId: found.slotId, settles: found.id, severity: 'note', cleaning: 'after', fromMm: null, toMm: null, authorId: 'ben' },
  ...over,
});
const why = (t: JobFixture, s: Settling): string | null => whyNotSettled(openHistory(t.file), s);

describe('a finding that has a position in figures', () => {
  it('is not talked away: by nobody without figures, and by its own finder not with them', () => {
    const t = new JobFixture(FOUR);
    const pit = t.find(t.slot('piston'), PIT);
    expect(why(t, said(pit))).to.match(/^“Pit” has its position in figures/);
    expect(why(t, said(pit, { severity: 'watch' }))).to.match(/position in figures/);
    expect(why(t, said(pit, { fromMm: 40, toMm: 42, authorId: 'ann' }))).to.match(/measured by somebody else than who found it/);
    expect(why(t, said(pit, { fromMm: 40, toMm: 42 }))).to.equal(null);
  });
  it('may be made worse by anybody, and one in words alone is settled by words', () => {
    const t = new JobFixture(FOUR);
    const pit = t.find(t.slot('piston'), PIT);
    expect(why(t, said(pit, { severity: 'reject', authorId: 'ann' }))).to.equal(null);
    const blue = t.find(t.slot('rotor'), { severity: 'doubt', words: 'Blue' });
    expect(why(t, said(blue, { authorId: 'ann' }))).to.equal(null);
  });
  it('is settled by a look after work, and not by one before cleaning', () => {
    const t = new JobFixture(FOUR, [], 'drums_single');
    const cylinder = t.slot('wheel_cylinder', 'RL');
    const pit = t.find(cylinder, PIT);
    t.part(cylinder, 'honed');
    expect(why(t, said(pit))).to.equal(null);
    expect(why(t, said(pit, { cleaning: 'before' }))).to.match(/position in figures/);
    const before = fileUntil(t.file, pit.happenedAt);
    expect(whyNotSettled(openHistory(before), said(pit)), 'before the work').to.match(/position in figures/);
  });
});
