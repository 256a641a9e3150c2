import { expect } from 'chai';
import { FINISH_CARDS } from '../src/catalogue/cards/finishes.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { lastPartIn } from '../src/history/whereabouts.ts';
import { COAT_STATES } from '../src/ledger/families/coatLooks.ts';
import type { Coat } from '../src/ledger/families/coats.ts';
import { deriveJob } from '../src/job/job.ts';
import type { JobEvent } from '../src/ledger/eventBase.ts';
import { cardRefusal, whyNotBegun } from '../src/readiness/cardRefusals.ts';
import { finishAt, finishContent, runAt } from '../src/readiness/cardRuns.ts';
import { cardState } from '../src/readiness/cardState.ts';
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

  /** A finish that was begun by its card at the drum, with what was told of its steps. */
  function begun(cardId: string, ...told: readonly string[]) {
    const t = new JobFixture(FOUR, [], 'drums_single');
    const slotId = t.slot('drum');
    t.part(slotId, 'removed');
    const run = { ...base(t.next()), slotId, option: 'use_again' as const, ...finishContent(openHistory(t.file), cardId)! };
    t.file.cardRuns = [run];
    const tell = (stepId: string) =>
      (t.file.cardTells = [...t.file.cardTells, { ...base(t.next()), runId: run.id, stepId, kind: 'done', gate: null, note: '' }]);
    told.forEach(tell);
    const partId = lastPartIn(slotId, t.file.partEvents)!;
    const fitted = () => cardRefusal(openHistory(t.file), { partId, kind: 'fitted', slotId }, LATER);
    return { t, slotId, run, tell, partId, fitted };
  }
  const LATER = '2030-01-01T00:00:00.000Z';

  it('runs by its card beside that of the work, of a part that is off; one at a time, as the card is', () => {
    const { t, slotId, run } = begun('finish_brush');
    const h = openHistory(t.file);
    expect(runAt(h, slotId)).to.equal(null);
    expect(finishAt(h, slotId)?.id).to.equal(run.id);
    expect(whyNotBegun(h, run, LATER)).to.equal('running');
    const before = openHistory({ ...t.file, cardRuns: [] });
    expect(whyNotBegun(before, run, LATER)).to.equal(null);
    expect(whyNotBegun(before, { ...run, steps: run.steps.slice(1) }, LATER)).to.equal('other_card');
    expect(whyNotBegun(before, { ...run, option: 'replace' }, LATER)).to.equal('other_card');
    const on = openHistory({ ...t.file, cardRuns: [], partEvents: t.file.partEvents.slice(0, -1) });
    expect(whyNotBegun(on, run, LATER)).to.equal('not_off');
    t.decide(slotId, 'replace');
    expect(whyNotBegun(openHistory({ ...t.file, cardRuns: [] }), run, LATER)).to.equal('renewed');
  });

  it('is of the bench, also for a unit that came without its vehicle', () => {
    for (const { id, steps } of FINISH_CARDS)
      expect(
        steps.filter((s) => s.at === 'vehicle').map((s) => s.id),
        id,
      ).to.deep.equal([]);
  });

  it('is coated once it is masked, and what was coated before it was begun is no coat of it', () => {
    const { t, slotId, run, tell, partId } = begun('finish_powder', 'rubber_out', 'bare', 'baked', 'cooled');
    const coat = () => cardRefusal(openHistory(t.file), { partId, kind: 'coated', slotId: null }, LATER);
    expect(coat()).to.match(/Plug bores and ports/);
    tell('plugged');
    t.file.kitCounts = [{ ...base(t.next()), slotId, runId: run.id, pieces: [{ name: 'Powder', wanted: 1, found: 1 }], note: '' }];
    expect(coat()).to.equal(null);
    const step = () => cardState(openHistory(t.file), run, LATER)!.steps.find((s) => s.step.id === 'coated')!.status;
    t.file.partEvents = [
      { ...base(1), partId, kind: 'coated', slotId, note: '', lot: 'x', lineOn: false, temporary: false, until: null },
      ...t.file.partEvents,
    ] as typeof t.file.partEvents;
    expect(step()).to.equal('open');
    t.part(slotId, 'coated', partId);
    expect(step()).to.equal('done');
  });

  it('keeps the part off, and its rubber out, until what was plugged is out and counted', () => {
    for (const { id, steps } of FINISH_CARDS) {
      const { t, slotId, partId, fitted, tell } = begun(id);
      const last = steps.filter((s) => s.obliged);
      expect(last, id).to.not.deep.equal([]);
      expect(fitted(), id).to.match(/^Its finish is not through/);
      expect(cardRefusal(openHistory(t.file), { partId, kind: 'resealed', slotId: null }, LATER), id).to.match(/not through/);
      expect(cardRefusal(openHistory(t.file), { partId, kind: 'fitted', slotId, temporary: true }, LATER), id).to.match(/not through/);
      expect(cardRefusal(openHistory(t.file), { partId: 'another', kind: 'fitted', slotId }, LATER), id).to.equal(null);
      const owed = () => deriveJob(t.file, LATER).obligations.find((o) => o.key === `card:${slotId}`)?.state;
      expect(owed(), id).to.equal('open');
      const before = t.file.partEvents;
      t.part(slotId, 'fitted', 'another');
      expect(finishAt(openHistory(t.file), slotId), 'ends with its part').to.equal(null);
      t.file.partEvents = before;
      for (const s of steps) tell(s.id);
      t.part(slotId, 'coated', partId);
      expect(fitted(), id).to.equal(null);
      const [state] = [cardState(openHistory(t.file), finishAt(openHistory(t.file), slotId)!, LATER)!];
      // Who never did it before still has somebody look.
      expect(
        state.steps.some((s) => s.step.obliged && s.status === 'open'),
        id,
      ).to.equal(false);
    }
  });
});
