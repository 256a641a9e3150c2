import { expect } from 'chai';
import { LADDERS } from '../src/catalogue/ladders.ts';
import { fightOrBuy } from '../src/estimate/fightOrBuy.ts';
import { estimateOf } from '../src/estimate/variants.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { slotById } from '../src/layout/graph.ts';
import type { LadderTry } from '../src/ledger/families/ladderTries.ts';
import { ladderState, whyNotTried } from '../src/readiness/ladder.ts';
import { RUNG_MISSING, TRY_REFUSED } from '../src/wording/en/ladders.ts';
import { ReworkFixture } from './contributions.ts';
import { base, FOUR, NOW } from './jobFixture.ts';

/** Somebody trying to free what will not move, rung by rung. */
class Stuck extends ReworkFixture {
  readonly at: string;
  readonly ladder: string;
  constructor(kind: string, ladder: string) {
    super(FOUR);
    this.at = this.slot(kind, kind === 'master_cylinder' ? null : 'FL');
    this.ladder = ladder;
  }
  history() {
    return openHistory(this.file);
  }
  now() {
    return ladderState(this.history(), slotById(this.layout, this.at)!, NOW)!;
  }
  try(rungId: string, over: Partial<LadderTry> = {}): string | null {
    const t: LadderTry = {
      ...base(this.next()),
      slotId: this.at,
      ladderId: this.ladder,
      rungId,
      moved: false,
      minutes: 15,
      note: '',
      ...over,
    };
    const why = whyNotTried(this.history(), t, NOW);
    if (why === null) this.file.ladderTries = [...this.file.ladderTries, t];
    return why;
  }
}

describe('a ladder for what will not move', () => {
  it('names its rungs once, from gentle to harsh, and owes something only after a harsh one', () => {
    for (const l of LADDERS) {
      const ids = l.rungs.map((r) => r.id);
      expect(new Set(ids).size, l.id).to.equal(ids.length);
      expect(l.rungs[0]!.owes, l.id).to.deep.equal([]);
      for (const r of l.rungs) expect(r.owes.length === 0 || r.owed !== null, `${l.id} ${r.id}`).to.equal(true);
    }
  });

  it('lets the own pedal push a piston only while it sits whole and nothing else on its circuit is open', () => {
    const t = new Stuck('caliper', 'piston');
    expect(t.try('own_pedal')).to.equal(null);
    const { circuits } = slotById(t.layout, t.at)!;
    const other = t.layout.slots.find((s) => s.kind === 'caliper' && s.id !== t.at && s.circuits.some((c) => circuits.includes(c)))!;
    t.part(other.id, 'removed');
    expect(t.try('own_pedal')).to.equal(RUNG_MISSING.whole);
    expect(t.now().next!.rung.id).to.equal('soak');
    expect(t.try('air')).to.equal(RUNG_MISSING.off);
    expect(t.try('pump')).to.equal(RUNG_MISSING.plugged);
  });

  it('takes no warmth in a closed cylinder, no nonsense, and nothing more once it moves', () => {
    const t = new Stuck('caliper', 'piston');
    expect(t.try('warmth')).to.equal(RUNG_MISSING.opened);
    expect(t.try('soak', { minutes: 0 })).to.equal(TRY_REFUSED.minutes);
    expect(t.try('soak', { minutes: 1000 })).to.equal(TRY_REFUSED.minutes);
    expect(t.try('stand_on_it')).to.equal(TRY_REFUSED.no_rung);
    expect(t.try('soak', { ladderId: 'drum' })).to.equal(TRY_REFUSED.no_rung);
    expect(t.try('clamp', { moved: true })).to.equal(null);
    expect(t.now().moves).to.equal(true);
    expect(t.try('clamp')).to.equal(TRY_REFUSED.moves);
    t.takeBack(t.file.ladderTries.at(-1)!.id);
    expect(t.try('clamp')).to.equal(null);
  });

  it('a soak works by itself for its hours', () => {
    const t = new Stuck('caliper', 'piston');
    expect(t.try('soak', { happenedAt: '2026-05-31T12:00:00.000Z' })).to.equal(null);
    expect(t.now().rungs[0]!.worksUntil).to.equal('2026-06-02T12:00:00.000Z');
    t.file.ladderTries = [{ ...t.file.ladderTries[0]!, happenedAt: '2026-05-01T12:00:00.000Z' }];
    expect(t.now().rungs[0]!.worksUntil).to.equal(null);
  });

  it('a pump leaves every seal owed until it is resealed, and blocks the hand-back until then', () => {
    const t = new Stuck('caliper', 'piston');
    t.joint(t.at, 'opened');
    t.part(t.at, 'removed');
    t.putIn(t.at, 'plug');
    expect(t.try('pump', { moved: true })).to.equal(null);
    expect(t.now().owes).to.deep.equal(['seals']);
    expect(t.open('freed:').map((o) => o.slotId)).to.deep.equal([t.at]);
    t.part(t.at, 'resealed', `part:${t.at}`);
    expect(t.now().owes).to.deep.equal([]);
    expect(t.open('freed:')).to.deep.equal([]);
  });

  it('what was cut is answered by another part alone', () => {
    const t = new Stuck('rotor', 'rotor');
    expect(t.try('cut', { moved: true })).to.equal(null);
    expect(t.now().owes).to.deep.equal(['renewed']);
    t.part(t.at, 'removed');
    t.part(t.at, 'fitted', `part:${t.at}`);
    expect(t.now().owes, 'the same one again').to.deep.equal(['renewed']);
    t.part(t.at, 'removed');
    t.part(t.at, 'fitted', 'new');
    expect(t.now().owes).to.deep.equal([]);
  });

  it('counts what was tried against another unit, and only what is left for its chance', () => {
    const t = new Stuck('caliper', 'piston');
    t.find(t.at, { code: 'seized', severity: 'reject' });
    const fight = () => {
      const state = deriveJob(t.file, NOW);
      const estimate = estimateOf(state.history, state.components);
      const priced = estimate.rows.find((r) => r.row.members.some((m) => m.slot.id === t.at))!;
      return fightOrBuy(state.history, estimate.book, priced.row, priced.options)!;
    };
    expect([fight().spentMinutes, fight().rungs[0]!.id]).to.deep.equal([0, 'soak']);
    expect(t.try('soak', { minutes: 20 })).to.equal(null);
    expect(t.try('clamp', { minutes: 40 })).to.equal(null);
    expect([fight().spentMinutes, fight().rungs[0]!.id]).to.deep.equal([60, 'own_pedal']);
    expect(fight().chance).to.be.lessThan(1);
  });
});
