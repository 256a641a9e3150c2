import { diagnose } from '@dauer/core/inference';
import { buildLayout } from '@dauer/core/layout';
import { askable, linesOf, practiceCase, type PracticeCase, type ToTrace } from '@dauer/core/views';
import { expect } from 'chai';
import { betterCheck, hasMoved, heldLines, holdNow } from '../src/features/trace/heldTrace.ts';
import type { WeighedNow } from '../src/features/trace/useWeighing.ts';

let n = 0;
const made: PracticeCase = practiceCase(
  buildLayout('coupe_disc_disc_tandem_servo', 'l', 'v', () => `id-${(n += 1)}`),
  7,
);
type Known = ToTrace['evidence']['observations'];

/** The page after so much was said. */
function weighed(known: Known, firstRound: ToTrace['firstRound'] = []): WeighedNow {
  const checks = askable(made, known);
  const evidence = { observations: known, certain: {}, learntFrom: {}, found: new Map(), foreign: [], leverless: [], earlier: new Map() };
  const input: ToTrace = { network: made.network, evidence, checks, complaint: true, firstRound };
  return { input, result: diagnose(made.network, evidence, checks, true) };
}
/** A history of answers: each sign of the network in turn, seen or not. */
const answers = made.network.observations.map((o, i) => [o.id, i % 3 === 0 ? 'seen' : 'not_seen'] as const).slice(0, 24);

describe('what stands at Trace while somebody answers', () => {
  const first = weighed({ [answers[0]![0]]: 'seen' });
  const held = holdNow(first);
  it('keeps the order of causes and checks over every answer, and shows the figures of now', () => {
    let known: Known = { [answers[0]![0]]: 'seen' };
    let moved = 0;
    for (const [id, state] of answers.slice(1)) {
      known = { ...known, [id]: state };
      const now = weighed(known);
      const lines = heldLines(held, now);
      expect(lines.slice(0, held.lines.length).map((l) => l.alike)).to.deep.equal(held.lines);
      for (const l of lines) {
        const of = now.result.causes.filter((c) => l.alike.includes(c.fault)).map((c) => c.probability);
        expect(l.probability).to.equal(Math.max(...of));
        expect(l.apart).to.equal(Math.max(...of) - Math.min(...of) > 1e-9);
      }
      // Everything that is worth a line now is on the page.
      const all = new Set(lines.flatMap((l) => l.alike));
      for (const l of linesOf(now.input.network, now.result.causes)) expect(all.has(l.fault)).to.equal(true);
      expect(lines.filter((l) => l.likeliest).length).to.be.at.most(1);
      if (hasMoved(held, now)) moved += 1;
      expect(hasMoved(holdNow(now), now), 'gone on').to.equal(false);
      expect(betterCheck(holdNow(now), now)).to.equal(null);
    }
    expect(moved, 'the order of these answers does change').to.be.greaterThan(10);
  });
  it('marks the likeliest where it does not stand first, and only there', () => {
    const now = weighed(Object.fromEntries(answers));
    const best = linesOf(now.input.network, now.result.causes)[0]!;
    const marked = heldLines(held, now).find((l) => l.likeliest);
    const stands = heldLines(held, now)[0]!;
    expect(marked === undefined).to.equal(stands.probability >= best.probability);
    if (marked) expect(marked.probability).to.equal(best.probability);
    expect(heldLines(holdNow(now), now).some((l) => l.likeliest)).to.equal(false);
  });
  it('the first round stays until somebody goes on, and says what is better by now', () => {
    const round = weighed({}).input.checks.slice(0, 3);
    const silent = weighed({}, round);
    const laid = holdNow(silent);
    expect([laid.round, laid.checks.map((c) => c.id), laid.lines]).to.deep.equal([true, round.map((c) => c.id), []]);
    const now = weighed({ [answers[0]![0]]: 'seen' }, round);
    expect(betterCheck(laid, now)?.id).to.equal(now.result.next[0]?.id);
    expect(hasMoved(laid, now)).to.equal(true);
    expect(holdNow(now).round).to.equal(false);
    expect(heldLines(laid, silent)).to.deep.equal([]);
  });
});
