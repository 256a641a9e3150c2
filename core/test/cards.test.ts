import { expect } from 'chai';
import fc from 'fast-check';
import { CARDS, stepsFor } from '../src/catalogue/cards/cards.ts';
import { FINISH_CARDS } from '../src/catalogue/cards/finishes.ts';
import { type CardStep, type Gate, HARD_GATES, STEP_GROUPS } from '../src/catalogue/cards/types.ts';
import { whyNotBegun } from '../src/readiness/cardRefusals.ts';
import { isOfDecision, runAt } from '../src/readiness/cardRuns.ts';
import { whyNotDone } from '../src/readiness/workRefusal.ts';
import { CARD_REFUSED, GATE_WORDS } from '../src/wording/en/cards.ts';
import { Bench } from './cardBench.ts';
import { base, NOW } from './jobFixture.ts';

const ALL = [...CARDS, ...FINISH_CARDS];

describe('cards as data', () => {
  it('name their steps once, in the order of the groups or as the work goes, each with a reason of its own', () => {
    for (const c of ALL) {
      const ids = c.steps.map((s) => s.id);
      expect(new Set(ids).size, c.id).to.equal(ids.length);
      for (const s of c.steps) {
        expect(s.why, `${c.id} ${s.id}`).to.match(/^[A-ZÀ-Ý].{14,}\.$/);
        expect(s.words, `${c.id} ${s.id}`).to.match(/^[A-Z].{5,}\.$/);
        expect(s.why, `${c.id} ${s.id}`).to.not.equal(s.words);
        expect(STEP_GROUPS).to.include(s.group);
      }
    }
  });

  it('need nothing but steps of their own that stand before, and no circle', () => {
    for (const c of ALL)
      for (const option of c.serves.length > 0 ? c.serves : [null]) {
        const steps: readonly CardStep[] = option === null ? c.steps : stepsFor(c, option);
        steps.forEach((s, i) => {
          for (const n of s.needs) {
            if (n.of === 'record') continue;
            const at = c.steps.findIndex((x) => x.id === n.step);
            expect(at, `${c.id} ${s.id} needs ${n.step}`).to.not.equal(-1);
            const here = steps.findIndex((x) => x.id === n.step);
            if (here === -1) continue;
            if (n.of === 'before') expect(here, `${c.id} ${s.id}`).to.be.greaterThan(i);
            else expect(here, `${c.id} ${s.id}`).to.be.lessThan(i);
          }
        });
      }
  });

  it('have every gate that there is, with words for both of its states', () => {
    const used = new Set(ALL.flatMap((c) => c.steps.flatMap((s) => s.needs.flatMap((n) => (n.of === 'record' ? [n.gate] : [])))));
    expect(Object.keys(GATE_WORDS).filter((g) => !used.has(g as Gate))).to.deep.equal([]);
  });
});

describe('a card at the bench', () => {
  it('is begun for what is decided, once, and as it is now', () => {
    const t = new Bench('caliper', 'reseal');
    expect(t.now().run.cardId).to.equal('caliper_fixed');
    expect(t.begin('reseal')).to.equal('running');
    expect(t.begin('replace')).to.equal('not_decided');
    t.decide(t.at, 'replace');
    const stale = { ...base(t.next()), slotId: t.at, cardId: 'caliper_fixed', option: 'replace' as const, steps: [] };
    expect(whyNotBegun(t.history(), stale, NOW)).to.equal('other_card');
    expect(isOfDecision(t.history(), runAt(t.history(), t.at)!), 'of the decision before').to.equal(false);
    expect(t.begin('replace')).to.equal(null);
    // Decided back, the card that was begun first goes on.
    t.decide(t.at, 'reseal');
    expect(t.now().run.option).to.equal('reseal');
    expect(t.begin('reseal')).to.equal('running');
  });

  it('closes by its record what a record can tell, and not by being told', () => {
    const t = new Bench('caliper', 'reseal');
    expect(t.tell('off')).to.equal(CARD_REFUSED.by_record);
    expect(t.status('off')).to.equal('open');
    t.off();
    expect(t.status('off')).to.equal('done');
    expect(t.tell('pistons_out')).to.equal(CARD_REFUSED.by_record);
    expect(t.tell('bracket_torque')).to.equal(CARD_REFUSED.torque);
    t.takeBack(t.file.partEvents.at(-1)!.id);
    expect(t.status('off')).to.equal('open');
  });

  it('what was sealed again was open: the step is closed by that too, and by nothing else', () => {
    const opening = (t: Bench): string => t.now().steps.find((s) => s.step.enters === 'opened')!.step.id;
    const sealed = new Bench('caliper', 'reseal');
    sealed.off();
    expect(sealed.status(opening(sealed))).to.equal('open');
    sealed.part(sealed.at, 'resealed', `part:${sealed.at}`);
    expect(sealed.status(opening(sealed))).to.equal('done');
    const on = new Bench('caliper', 'reseal');
    on.part(on.at, 'resealed', `part:${on.at}`);
    expect(on.status('off'), 'sealed is not taken off').to.equal('open');
    const opened = new Bench('caliper', 'reseal');
    opened.off();
    opened.part(opened.at, 'freed', `part:${opened.at}`);
    expect(opened.status(opening(opened)), 'freed is not opened').to.equal('open');
    opened.part(opened.at, 'opened', `part:${opened.at}`);
    expect(opened.status(opening(opened))).to.equal('done');
  });

  it('refuses the wrong order with its reason: blasted after the seals are out, sealed over an open figure, joined before it is on', () => {
    const t = new Bench('caliper', 'reseal');
    expect(t.tell('outside')).to.equal(GATE_WORDS.off.missing);
    t.off();
    expect(t.tell('seals_out')).to.equal(GATE_WORDS.opened.missing);
    t.part(t.at, 'opened', `part:${t.at}`);
    expect(t.tell('seals_out')).to.equal(null);
    expect(t.tell('blasted')).to.match(/^Too late for this/);
    const seal = { id: '', partId: `part:${t.at}`, kind: 'resealed' as const, slotId: null, lot: 'K 1', lineOn: false };
    expect(whyNotDone(t.history(), seal, NOW)).to.contain('Wipe bore, grooves and piston once more');
    for (const id of ['groove_seal', 'blown', 'wiped']) expect(t.tell(id), id).to.equal(null);
    expect(whyNotDone(t.history(), seal, NOW)).to.equal(null);
    // Blown through once more: the bore is wiped once more.
    t.takeBack(t.file.cardTells.find((x) => x.stepId === 'blown')!.id);
    expect(t.tell('blown')).to.equal(null);
    expect(whyNotDone(t.history(), seal, NOW)).to.contain('Not since');
  });

  it('lets a lead alone pass a gate, with a reason, and nobody a hard one', () => {
    const t = new Bench('caliper', 'reseal');
    const pass = { kind: 'passed' as const, gate: 'off' as const, note: 'it lies on the bench' };
    expect(t.tell('outside', pass)).to.equal(CARD_REFUSED.lead_only);
    expect(t.tell('outside', { ...pass, note: '' }, 'lead')).to.equal(CARD_REFUSED.reason);
    expect(t.tell('outside', { ...pass, gate: 'cured' }, 'lead')).to.equal(CARD_REFUSED.no_gate);
    expect(t.tell('outside', pass, 'lead')).to.equal(null);
    expect(t.tell('outside')).to.equal(null);
    for (const gate of HARD_GATES)
      for (const s of t.now().steps.filter((x) => x.needs.some((n) => n.need.of === 'record' && n.need.gate === gate)))
        expect(t.tell(s.step.id, { ...pass, gate }, 'lead'), `${s.step.id} ${gate}`).to.equal(CARD_REFUSED.hard_gate);
  });

  it('takes not applicable with a reason, once, and never over what is done', () => {
    const t = new Bench('caliper', 'reseal');
    expect(t.tell('pushed_back', { kind: 'not_here' })).to.equal(CARD_REFUSED.reason);
    expect(t.tell('pushed_back', { kind: 'not_here', note: 'no lip' })).to.equal(null);
    expect(t.tell('pushed_back', { kind: 'not_here', note: 'no lip' })).to.equal(CARD_REFUSED.told_already);
    expect(t.tell('pads_out')).to.equal(null);
    expect(t.tell('pads_out')).to.equal(CARD_REFUSED.told_already);
    expect(t.tell('nowhere')).to.equal(CARD_REFUSED.unknown_step);
  });

  it('asks a second person where the card does, and is owed until the last obligatory step', () => {
    const t = new Bench('hub', 'replace');
    const owed = (): number => t.now().owed;
    const before = owed();
    expect(t.tell('nut_loosened')).to.equal(null);
    expect(owed()).to.equal(before - 1);
    expect(t.tell('pinned', { kind: 'seconded', authorId: 'bob' })).to.equal(CARD_REFUSED.second_early);
    for (const s of t.now().steps) if (s.status === 'open') t.tell(s.step.id, { kind: 'not_here', note: 'shown' });
    expect(owed()).to.equal(0);
    t.takeBack(t.file.cardTells.find((x) => x.stepId === 'pinned')!.id);
    t.takeBack(t.file.cardTells.find((x) => x.stepId === 'float')!.id);
    expect(t.tell('float', { kind: 'not_here', note: 'unit bearing' })).to.equal(null);
    expect(t.tell('pinned')).to.equal(null);
    expect(owed(), 'the second look').to.equal(1);
    expect(t.tell('pinned', { kind: 'seconded' })).to.equal(CARD_REFUSED.second_self);
    expect(t.tell('pinned', { kind: 'seconded', authorId: 'bob' })).to.equal(null);
    expect(owed()).to.equal(0);
  });

  it('blocks the hand-back while an obligatory step is open, and no longer once another way was decided', () => {
    const t = new Bench('caliper', 'reseal');
    expect(t.open('card:').map((o) => o.slotId)).to.deep.equal([t.at]);
    t.decide(t.at, 'use_again');
    expect(t.open('card:')).to.deep.equal([]);
  });

  it('opens no gate by the order of entry: whatever is told, a step closes only while what it needs holds', () => {
    const kinds = [
      ['caliper', 'reseal'],
      ['rotor', 'replace'],
      ['hub', 'replace'],
      ['hose', 'replace'],
    ] as const;
    fc.assert(
      fc.property(fc.constantFrom(...kinds), fc.array(fc.nat(99), { maxLength: 40 }), ([kind, option], picks) => {
        const t = new Bench(kind, option);
        for (const p of picks) {
          const { steps } = t.now();
          const s = steps[p % steps.length]!;
          const why = t.tell(s.step.id);
          if (why === null) expect(s.ready && s.step.enters === null && s.status !== 'done', s.step.id).to.equal(true);
          else expect(t.status(s.step.id)).to.equal(s.status);
        }
        for (const s of t.now().steps)
          if (s.status === 'done' && s.tell)
            for (const n of s.step.needs)
              if (n.of === 'after') expect(t.status(n.step), `${s.step.id} after ${n.step}`).to.not.equal('open');
      }),
      { numRuns: 40 },
    );
  });
});
