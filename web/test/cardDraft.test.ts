import { CARDS, shopCardFault, type ShopStep, type StepChange } from '@dauer/core/catalogue';
import { expect } from 'chai';
import {
  AS_SHIPPED,
  type CardDraft,
  draftOf,
  fitting,
  ownId,
  readDrafts,
  sameDraft,
  withChange,
  withOwn,
  withoutOwn,
} from '../src/features/shop/cards/cardDraft.ts';
import { minutesOf } from '../src/features/shop/cards/minutesOf.ts';

const WORK = CARDS.find((c) => c.id === 'shoes')!;
const [FIRST, SECOND] = WORK.steps;
const change = (stepId: string, over: Partial<StepChange> = {}): StepChange => ({
  ...{ stepId, words: '', minutes: null, ready: '', hazard: '', leftOut: false },
  ...over,
});
const own = (id: string, after: string | null): ShopStep => ({
  ...{ id, after, group: FIRST!.group, words: 'Ours', why: 'Because', kind: 'do', minutes: 1, ready: '', hazard: '' },
  ...{ obliged: true, second: false },
});

describe('what is changed of a card before it is kept', () => {
  it('a change that says nothing any more is none, and what was put back is as before', () => {
    const changed = withChange(AS_SHIPPED, change(FIRST!.id, { words: 'In our words' }));
    expect(sameDraft(changed, AS_SHIPPED)).to.equal(false);
    expect(sameDraft(withChange(changed, change(FIRST!.id)), AS_SHIPPED)).to.equal(true);
    const two = withChange(changed, change(SECOND!.id, { minutes: 9 }));
    const other = withChange(withChange(AS_SHIPPED, change(SECOND!.id, { minutes: 9 })), change(FIRST!.id, { words: 'In our words' }));
    expect(sameDraft(two, other), 'in whatever order').to.equal(true);
  });

  it('steps of the shop’s own are changed in their place; what followed one that was taken away follows what that followed', () => {
    const two = withOwn(withOwn(AS_SHIPPED, own('own_1', FIRST!.id)), own('own_2', 'own_1'));
    const again = withOwn(two, { ...own('own_1', FIRST!.id), words: 'Better' });
    expect(again.own.map((o) => [o.id, o.words])).to.deep.equal([
      ['own_1', 'Better'],
      ['own_2', 'Ours'],
    ]);
    expect(withoutOwn(again, 'own_1').own.map((o) => [o.id, o.after])).to.deep.equal([['own_2', FIRST!.id]]);
  });

  it('no step is ever named as another of an earlier version was', () => {
    expect(ownId([], AS_SHIPPED)).to.equal('own_1');
    expect(ownId([{ own: [own('own_4', null)] }], withOwn(AS_SHIPPED, own('own_2', null)))).to.equal('own_5');
  });

  it('an older version is made one that the card of today takes', () => {
    const obliged = WORK.steps.find((s) => s.obliged)!;
    const old: CardDraft = {
      changes: [change('of_an_older_card', { words: 'x' }), change(obliged.id, { leftOut: true }), change(FIRST!.id, { minutes: 4 })],
      own: [own('own_1', 'of_an_older_card')],
    };
    expect(shopCardFault(WORK, old)).to.not.equal(null);
    const fit = fitting(WORK, old);
    expect(shopCardFault(WORK, fit)).to.equal(null);
    expect(fit.changes.map((c) => c.stepId)).to.deep.equal([FIRST!.id]);
    expect(fit.own.map((o) => o.after)).to.deep.equal([null]);
    expect(draftOf(null)).to.equal(AS_SHIPPED);
  });

  it('minutes are whole, from none to ten hours', () => {
    expect(['0', ' 45 ', '600'].map(minutesOf)).to.deep.equal([0, 45, 600]);
    expect(['601', '4.5', '-3', '', 'ten', '1e2'].map(minutesOf)).to.deep.equal([null, null, null, null, null, null]);
  });

  it('is read back as it was stored, and what nobody can read is none', () => {
    const draft = { ...withOwn(withChange(AS_SHIPPED, change(FIRST!.id, { words: 'x' })), own('own_1', null)), on: 'v1' };
    expect(readDrafts(JSON.stringify({ 'ines:shoes': draft }))).to.deep.equal({ 'ines:shoes': draft });
    for (const bad of ['', 'null', '[]', '{', '{"a":1}', '{"a":{"changes":[null],"own":[],"on":null}}', '{"a":{"changes":[],"own":[]}}'])
      expect(readDrafts(bad), bad).to.deep.equal({});
  });
});
