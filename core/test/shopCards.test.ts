import { expect } from 'chai';
import fc from 'fast-check';
import { CARDS, stepsFor } from '../src/catalogue/cards/cards.ts';
import {
  mayLeaveOut,
  MOST_STEPS,
  type ShopCard,
  shopCardFault,
  type ShopStep,
  type StepChange,
  withShop,
} from '../src/catalogue/cards/shopCard.ts';
import type { WorkCard } from '../src/catalogue/cards/types.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { followedIn } from '../src/ledger/priceRecords.ts';
import type { ShopCardVersion } from '../src/ledger/shopCards.ts';
import { whyNotBegun } from '../src/readiness/cardRefusals.ts';
import { cardContent } from '../src/readiness/cardRuns.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const SHOES = CARDS.find((c) => c.id === 'shoes')!;
const change = (stepId: string, over: Partial<StepChange>): StepChange => ({
  ...{ stepId, words: '', minutes: null, ready: '', hazard: '', leftOut: false },
  ...over,
});
const own = (id: string, over: Partial<ShopStep> = {}): ShopStep => ({
  ...{ id, after: null, group: 'strip', words: 'Blow the dust out of the vice', why: 'It scratches.', kind: 'do', minutes: 3 },
  ...{ ready: '', hazard: '', obliged: true, second: false },
  ...over,
});
const fault = (work: WorkCard | undefined, changes: readonly StepChange[], owns: readonly ShopStep[] = []): string | null =>
  shopCardFault(work, { changes, own: owns })?.code ?? null;

/** Any way a shop may do a card. */
const anyShop = fc.constantFrom(...CARDS).chain((work) => {
  const changes = fc.uniqueArray(
    fc.record({
      step: fc.constantFrom(...work.steps),
      words: fc.constantFrom('', 'Otherwise, here'),
      minutes: fc.option(fc.integer({ min: 0, max: 600 })),
      hazard: fc.constantFrom('', 'It is heavy.'),
      leftOut: fc.boolean(),
    }),
    { selector: (c) => c.step.id, maxLength: 8 },
  );
  const owns = fc.array(fc.constantFrom(...work.steps), { maxLength: 5 });
  return fc.tuple(changes, owns).map(([list, after]) => ({
    work,
    shop: {
      cardId: work.id,
      changes: list.map(({ step, ...c }) => change(step.id, c)),
      own: after.map((s, i) => own(`own_${i + 1}`, { after: s.id, group: s.group })),
    } satisfies ShopCard,
  }));
});

describe('cards as the shop does them', () => {
  it('keep every step that has to stay, in order, with its gates, its record and its hazard, whatever is wanted', () => {
    let taken = 0;
    fc.assert(
      fc.property(anyShop, ({ work, shop }) => {
        if (shopCardFault(work, shop) === null) taken += 1;
        const steps = withShop(work, shop).steps;
        const left = steps.filter((s) => !shop.own.some((o) => o.id === s.id));
        // What is left of the card is in its order, and what is missing may be.
        expect(left.map((s) => s.id)).to.deep.equal(work.steps.filter((s) => left.some((l) => l.id === s.id)).map((s) => s.id));
        for (const s of work.steps.filter((x) => !left.some((l) => l.id === x.id))) expect(mayLeaveOut(work, s), s.id).to.equal(true);
        for (const s of left) {
          const was = work.steps.find((x) => x.id === s.id)!;
          expect([s.needs, s.enters, s.kind, s.obliged, s.second, s.of, s.only]).to.deep.equal([
            ...[was.needs, was.enters, was.kind, was.obliged, was.second, was.of, was.only],
          ]);
          expect(s.hazard.startsWith(was.hazard)).to.equal(true);
        }
        for (const o of shop.own) expect(steps.filter((s) => s.id === o.id)).to.have.length(1);
      }),
      { numRuns: 300 },
    );
    expect(taken, 'some of them are taken').to.be.greaterThan(20);
  });

  it('a step of its own stands after the one that it follows, else last of its group', () => {
    const [first] = SHOES.steps.filter((s) => s.group === 'strip');
    const ids = (o: ShopStep) => withShop(SHOES, { cardId: 'shoes', changes: [], own: [o] }).steps.map((s) => s.id);
    const after = ids(own('own_1', { after: first!.id }));
    expect(after.indexOf('own_1')).to.equal(after.indexOf(first!.id) + 1);
    const last = ids(own('own_1'));
    const strip = SHOES.steps.filter((s) => s.group === 'strip').at(-1)!;
    expect(last.indexOf('own_1')).to.equal(last.indexOf(strip.id) + 1);
  });

  it('are refused for what is not there, what stays, what is said twice and what says nothing', () => {
    const obliged = SHOES.steps.find((s) => s.obliged)!;
    const entering = CARDS.flatMap((c) => c.steps.map((s) => [c, s] as const)).find(([, s]) => s.enters !== null)!;
    expect(fault(undefined, [])).to.equal('unknown_card');
    expect(fault(SHOES, [change('nothing_such', { words: 'x' })])).to.equal('unknown_step');
    expect(fault(SHOES, [change(obliged.id, { leftOut: true })])).to.equal('cannot_leave');
    expect(fault(entering[0], [change(entering[1].id, { leftOut: true })])).to.equal('cannot_leave');
    expect(fault(SHOES, [change(obliged.id, {})])).to.equal('nothing');
    expect(fault(SHOES, [change(obliged.id, { minutes: 1 }), change(obliged.id, { minutes: 2 })])).to.equal('twice');
    expect(fault(SHOES, [], [own(obliged.id)])).to.equal('twice');
    expect(fault(SHOES, [], [own('own_1', { after: 'nothing_such' })])).to.equal('unknown_after');
    expect(fault(SHOES, [], [own('own_1', { after: obliged.id, group: obliged.group === 'after' ? 'strip' : 'after' })])).to.equal(
      'other_group',
    );
    const many = Array.from({ length: MOST_STEPS }, (_, i) => own(`own_${i + 1}`));
    expect(fault(SHOES, [], many)).to.equal('too_many');
    expect(fault(SHOES, [change(obliged.id, { words: 'In our words' })], [own('own_1')])).to.equal(null);
  });

  it('a card is begun as the shop does it, on a device that has not heard of the newest version as it did before, and keeps its steps', () => {
    const t = new JobFixture(FOUR, [], 'drums_single');
    const slotId = t.slot('shoes');
    const slot = t.file.layout.slots.find((s) => s.id === slotId)!;
    t.decide(slotId, 'replace');
    const version = (n: number, words: string): ShopCardVersion => ({
      ...{ id: `v${n}`, cardId: 'shoes', changes: [], own: [own('own_1', { words })], reason: 'ours' },
      ...{ enteredBy: 'ann', enteredAt: base(n).happenedAt },
    });
    const contentOf = () => cardContent(openHistory(t.file), slot, 'replace')!;
    const shipped = contentOf();
    t.file.shopCards = [version(1, 'First words')];
    const first = contentOf();
    expect(first.steps.find((s) => s.id === 'own_1')?.words).to.equal('First words');
    t.file.shopCards = [...t.file.shopCards, version(2, 'Second words')];
    const second = contentOf();
    const begun = (c: typeof first) => whyNotBegun(openHistory(t.file), { slotId, option: 'replace', ...c }, NOW);
    expect([begun(shipped), begun(first), begun(second)]).to.deep.equal([null, null, null]);
    expect(begun({ ...second, steps: second.steps.map((s) => ({ ...s, obliged: false })) })).to.equal('other_card');
    // The reckoning of minutes is by the newest.
    const minutes = (followed: ReturnType<typeof followedIn>) =>
      stepsFor(SHOES, 'replace', followed).reduce((sum, s) => sum + s.minutes, 0);
    expect(minutes(followedIn(t.file)) - minutes(followedIn({ ...t.file, shopCards: [] }))).to.equal(3);
  });
});
