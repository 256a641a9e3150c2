import { expect } from 'chai';
import fc from 'fast-check';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import type { Proof } from '../src/ledger/families/proofs.ts';
import type { SetMove } from '../src/ledger/families/setMoves.ts';
import { headsOf, inForce } from '../src/ledger/inForce.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, FOUR, NOW, JobFixture } from './jobFixture.ts';

interface Act {
  readonly id: string;
  readonly happenedAt: string;
  readonly recordedAt: string;
  readonly supersedes: readonly string[] | null;
}
const at = (minute: number): string => new Date(Date.UTC(2026, 0, 1) + minute * 60000).toISOString();
const act = (id: string, happened: number, received: number, supersedes: readonly string[] | null) => ({
  ...base(0, { id }),
  happenedAt: at(happened),
  recordedAt: at(received),
  supersedes,
});
const ids = (list: readonly Act[]): string[] => list.map((a) => a.id);

describe('of several acts about one thing', () => {
  it('the one that names what it replaces is in force, whatever the clocks say', () => {
    const ahead = act('a', 24 * 60, 1, []);
    const later = act('b', 2, 2, ['a']);
    expect(inForce([ahead, later]).now?.id).to.equal('b');
    expect(inForce([later, ahead]).against).to.deep.equal([]);
  });

  it('one that names what was outdated by then governs nothing until somebody who saw both chooses', () => {
    const first = act('a', 1, 1, []);
    const known = act('b', 5, 5, ['a']);
    const late = act('c', 9, 9, ['a']);
    const both = inForce([first, known, late]);
    expect([both.now?.id, ids(both.against)]).to.deep.equal(['b', ['c']]);
    const half = inForce([first, known, late, act('d', 10, 10, ['c'])]);
    expect([half.now?.id, ids(half.against)]).to.deep.equal(['b', ['d']]);
    const chosen = inForce([first, known, late, act('e', 11, 11, headsOf([first, known, late]))]);
    expect([chosen.now?.id, chosen.against]).to.deep.equal(['e', []]);
  });

  it('acts that do not say what was seen replace what happened no later than themselves', () => {
    expect(inForce([act('a', 1, 1, null), act('b', 5, 2, null), act('c', 3, 9, null)]).now?.id).to.equal('b');
  });

  it('whoever sees all of it settles it, and the order of a list says nothing', () => {
    const seen = fc.array(fc.nat(5), { maxLength: 3 });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(50), seen, fc.boolean()), { minLength: 1, maxLength: 12 }), fc.nat(), (told, turn) => {
        const acts = told.map(([happened, see, silent], i) =>
          act(`x${i}`, happened, i, silent ? null : [...new Set(see.filter((s) => s < i).map((s) => `x${s}`))]),
        );
        const now = inForce(acts);
        expect(now.now).to.not.equal(null);
        const turned = [...acts.slice(turn % acts.length), ...acts.slice(0, turn % acts.length)];
        expect(inForce(turned)).to.deep.equal(now);
        const all = act('z', 0, 99, headsOf(acts));
        expect(inForce([...acts, all])).to.deep.equal({ now: all, against: [] });
        // Whatever stands against it did not see all that was in force when it came in.
        for (const other of now.against)
          expect(headsOf(acts.filter((a) => a.recordedAt < other.recordedAt)).every((id) => other.supersedes!.includes(id))).to.equal(
            false,
          );
      }),
    );
  });
});

describe('two people who did not know of each other', () => {
  it('have decided nothing until somebody chooses, and it says so', () => {
    const t = new JobFixture(FOUR);
    const slotId = t.slot('rotor', 'FL');
    const decide = (option: 'replace' | 'use_again', supersedes: readonly string[]) => ({
      ...{
        ...base(t.next()),
        slotId,
        partId: null,
        option,
        reason: 'x',
        reviewOn: null,
        untilKm: null,
        access: null,
        code: null,
        metal: null,
        supersedes,
      },
    });
    const first = decide('replace', []);
    const second = decide('use_again', []);
    t.file.decisions = [first, second];
    const owed = () => deriveJob(t.file, NOW).obligations.find((o) => o.key === `decide:${slotId}`)!;
    expect(owed().state).to.equal('open');
    expect(owed().why).to.contain('Choose one');
    expect(t.component(slotId).decision?.id).to.equal(first.id);
    t.file.decisions = [...t.file.decisions, decide('replace', [first.id, second.id])];
    expect(owed().state).to.equal('closed');
  });

  it('have moved a set to the first place until somebody says where it was taken', () => {
    const t = new JobFixture(FOUR);
    const set = t.gauge(t.slot('rotor', 'FL'), ['12.10', '12.11', '12.10', '12.10']);
    const move = (corner: 'FR' | 'RL', supersedes: readonly string[]): SetMove => ({
      ...{ ...base(t.next(), { corrects: set.id }), setId: set.id, slotId: t.slot('rotor', corner), partId: null, supersedes },
    });
    const [one, two] = [move('FR', []), move('RL', [])];
    t.file.setMoves = [one, two];
    expect(openHistory(t.file).sets.find((s) => s.id === set.id)?.slotId).to.equal(one.slotId);
    const owed = () => deriveJob(t.file, NOW).obligations.find((o) => o.key === `moved:${set.id}`);
    expect(owed()?.state).to.equal('open');
    t.file.setMoves = [one, two, move('RL', [one.id, two.id])];
    expect(owed()).to.equal(undefined);
    expect(openHistory(t.file).sets.find((s) => s.id === set.id)?.slotId).to.equal(two.slotId);
  });
});

describe('a clock that runs ahead', () => {
  const proof = (t: JobFixture, result: Proof['result'], happened: number, received: number): Proof => ({
    ...base(t.next()),
    ...{ happenedAt: at(happened), recordedAt: at(received), item: 'leak_look', slotId: null, corner: null, result, note: '' },
  });
  const stands = (t: JobFixture): boolean => {
    const { context: situation } = deriveJob(t.file, NOW);
    const item = situation.proofItems.find((i) => i.item === 'leak_look')!;
    const answer = situation.proofStatus.answer(item);
    return answer !== null && answer.lapsed === null && answer.record.result === 'passed';
  };

  it('keeps no proof standing over what ended it: it has to be later in both orders', () => {
    for (const [opened, written, holds] of [
      [5, 5, true],
      [15, 15, false],
      [5, 15, false],
      [15, 5, false],
    ] as const) {
      const t = new JobFixture(FOUR);
      t.file.proofs = [proof(t, 'passed', 10, 10)];
      const line = t.layout.connections.find((c) => c.kind === 'line')!;
      t.file.jointEvents = [
        {
          ...base(t.next()),
          ...{
            happenedAt: at(opened),
            recordedAt: at(written),
            connectionId: line.id,
            slotId: line.from,
            kind: 'opened',
            seal: null,
            typed: null,
            torqueNm: null,
            note: '',
          },
        },
      ];
      expect(stands(t), `opened ${opened}, written down ${written}`).to.equal(holds);
    }
  });

  it('keeps no good answer over a bad one that was written down later', () => {
    const t = new JobFixture(FOUR);
    t.file.proofs = [proof(t, 'passed', 20, 10), proof(t, 'failed', 15, 15)];
    expect(stands(t)).to.equal(false);
    t.file.proofs = [proof(t, 'failed', 5, 5), proof(t, 'passed', 20, 20)];
    expect(stands(t)).to.equal(true);
  });

  it('names on the sheet the answer that counts, once, and not those given anew since', () => {
    const t = new JobFixture(FOUR);
    const said = (): string[] => buildSheet(deriveJob(t.file, NOW), NOW).proofs.map((p) => p.text);
    t.file.proofs = [proof(t, 'failed', 5, 5), proof(t, 'passed', 20, 20)];
    expect(said()).to.have.length(1);
    expect(said()[0]).to.match(/passed$/);
    t.file.proofs = [proof(t, 'passed', 20, 10), proof(t, 'failed', 15, 15)];
    expect(said()).to.have.length(1);
    expect(said()[0], 'a good one over a bad one').to.match(/failed$/);
    // What nobody asks any more was answered all the same.
    t.file.proofs = [...t.file.proofs, { ...proof(t, 'passed', 25, 25), item: 'asked_once' }];
    expect(said()).to.have.length(2);
  });
});
