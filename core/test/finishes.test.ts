import { expect } from 'chai';
import { openHistory } from '../src/history/jobHistory.ts';
import { lastPartIn } from '../src/history/whereabouts.ts';
import { COAT_STATES } from '../src/ledger/families/coatLooks.ts';
import type { Coat } from '../src/ledger/families/coats.ts';
import type { JobEvent } from '../src/ledger/eventBase.ts';
import { finishOf, whyNotFinished, whyNotLookedAt } from '../src/readiness/finishes.ts';
import { finishWords } from '../src/wording/en/finishes.ts';
import { base, FOUR, JobFixture } from './jobFixture.ts';

const SAID: Omit<Coat, keyof JobEvent | 'eventId'> = { way: 'powder', colour: 'Black', gloss: 'satin', coats: 2, batch: 'Front drums' };

/** A drum that was taken off and coated, in this job or an earlier one. */
function coatedDrum(earlier = false): { t: JobFixture; partId: string; eventId: string } {
  const t = new JobFixture(FOUR, [], 'drums_single');
  const drum = t.slot('drum');
  const partId = lastPartIn(drum, t.file.partEvents)!;
  t.part(drum, 'removed');
  t.part(drum, 'coated', partId);
  const eventId = t.file.partEvents.at(-1)!.id;
  if (earlier) t.file.partEvents = t.file.partEvents.map((e) => (e.id === eventId ? { ...e, jobId: 'before' } : e));
  return { t, partId, eventId };
}
const of = (t: JobFixture, partId: string) => finishOf(openHistory(t.file), partId);

describe('the finish of a part', () => {
  it('is what was said last of its last coat; of a part that was never coated there is none', () => {
    const { t, partId, eventId } = coatedDrum();
    expect(of(t, 'another')).to.equal(null);
    expect(of(t, partId)?.coat).to.equal(null);
    t.file.coats = [
      { ...base(t.next()), eventId, ...SAID, coats: 1 },
      { ...base(t.next()), eventId, ...SAID },
    ];
    expect(of(t, partId)?.coat?.coats).to.equal(2);
    t.part(t.slot('drum'), 'coated', partId);
    expect(of(t, partId)?.coat, 'coated anew').to.equal(null);
  });

  it('is cured by its clock where one came to its end, else after a week in air', () => {
    const { t, partId } = coatedDrum();
    const on = of(t, partId)!.coated.happenedAt.slice(0, 10);
    const week = new Date(Date.parse(on) + 7 * 86_400_000).toISOString().slice(0, 10);
    expect(of(t, partId)?.cured).to.deep.equal({ by: 'air', on: week });
    const timer = { ...base(t.next()), slotId: t.slot('drum'), process: 'paint_cure' as const, minutes: 60 };
    const heat = { fromC: 150, toC: 170, metal: 'iron_or_steel' as const, sheet: '' };
    t.file.timers = [{ ...timer, ...heat }];
    const running = of(t, partId)?.cured.by;
    t.file.timerSteps = [{ ...base(t.next()), timerId: timer.id, kind: 'ended', note: '', typed: null, tempC: null }];
    expect([running, of(t, partId)?.cured.by]).to.deep.equal(['air', 'clock']);
  });

  it('is asked about on a later visit until somebody looked, and never on the job on which it went on', () => {
    const now = coatedDrum();
    expect(of(now.t, now.partId)?.asksLook).to.equal(false);
    const { t, partId, eventId } = coatedDrum(true);
    expect(of(t, partId)?.asksLook).to.equal(true);
    t.file.coatLooks = [{ ...base(t.next()), eventId, state: 'lifting', note: 'Round the studs' }];
    expect([of(t, partId)?.asksLook, of(t, partId)?.looks.map((l) => l.state)]).to.deep.equal([false, ['lifting']]);
    t.takeBack(t.file.coatLooks[0]!.id);
    expect(of(t, partId)?.asksLook).to.equal(true);
  });

  it('is said of a coat alone, and what is wrong with it is said in words', () => {
    const { t, eventId } = coatedDrum();
    const history = () => openHistory(t.file);
    const removed = t.file.partEvents.find((e) => e.kind === 'removed')!.id;
    expect(whyNotFinished(history(), { eventId: removed })).to.match(/does not say that a part was coated/);
    expect(whyNotFinished(history(), { eventId })).to.equal(null);
    for (const state of COAT_STATES) {
      expect(whyNotLookedAt(history(), { eventId, state, note: '' }) === null, state).to.equal(state === 'sound');
      expect(whyNotLookedAt(history(), { eventId, state, note: 'At the rim' })).to.equal(null);
      expect(whyNotLookedAt(history(), { eventId: removed, state, note: 'At the rim' })).to.not.equal(null);
    }
    t.takeBack(eventId);
    expect(whyNotFinished(history(), { eventId })).to.not.equal(null);
  });

  it('stands in a line with what was said and nothing else', () => {
    const coat: Coat = { ...base(1), eventId: 'e', ...SAID };
    const cured = { by: 'clock', on: '2026-11-03' } as const;
    expect(finishWords('', coat, cured)).to.match(/^Black, satin, powder, 2 coats, batch Front drums; cured by its clock on /);
    const bare: Coat = { ...coat, way: 'unknown', colour: '', gloss: 'unknown', coats: null, batch: '' };
    expect(finishWords('', bare, { by: 'air', on: '2026-11-03' })).to.match(/^Coated; cured in air from /);
    expect(finishWords('Lacquer L 3', { ...bare, coats: 1 }, cured)).to.match(/^Lacquer L 3, 1 coat; /);
  });
});
