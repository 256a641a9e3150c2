import { expect } from 'chai';
import { FINISH_CARDS } from '../src/catalogue/cards/finishes.ts';
import { attendedMinutes, cardFor, CARDS, piecesFor, stepsFor } from '../src/catalogue/cards/cards.ts';
import type { Followed } from '../src/catalogue/cards/types.ts';
import { HOUSE_RULES, houseRule } from '../src/catalogue/houseRules.ts';
import { workFor } from '../src/catalogue/operations.ts';
import { ENDS_PLACE, optionsFor, STAYS } from '../src/catalogue/repairOptions.ts';
import { estimateOf } from '../src/estimate/variants.ts';
import { deriveJob } from '../src/job/job.ts';
import { type ComponentKind, KIND_FACTS } from '../src/layout/kinds.ts';
import { houseSays } from '../src/wording/en/estimate.ts';
import { usualAt } from '../src/views/proposals.ts';
import { FOUR, JobFixture, NOW } from './jobFixture.ts';

const follows =
  (picked: Readonly<Record<string, string>>): Followed =>
  (rule) =>
    picked[rule] ?? null;
const at = (kind: Parameters<typeof cardFor>[0]['kind'], style: string | null = null) => ({ kind, style });
const words = (
  kind: Parameters<typeof cardFor>[0]['kind'],
  option: Parameters<typeof stepsFor>[1],
  followed: Followed,
  style: string | null = null,
) => stepsFor(cardFor(at(kind, style), option)!, option, followed).map((s) => s.words);

function told(picked: Readonly<Record<string, string>>): JobFixture {
  const t = new JobFixture(FOUR);
  t.file.houseRules = Object.entries(picked).map(([rule, school]) => ({
    ...{ id: `${rule}-1`, rule, school, reason: 'ours', enteredBy: 'ann', enteredAt: NOW },
  }));
  return t;
}

describe('the schools of a shop', () => {
  it('are the only ones that cards speak of', () => {
    for (const s of CARDS.flatMap((c) => c.steps)) {
      const rule = s.by?.rule ?? s.only?.rule;
      if (rule === undefined) continue;
      const schools = houseRule(rule)!.schools.map((x) => x.id);
      expect(schools).to.include.members([...Object.keys(s.by?.words ?? {}), ...(s.only?.schools ?? [])]);
    }
  });

  it('change words, pieces and where the master cylinder is bled, and never leave it out', () => {
    expect(words('caliper', 'reseal', follows({ seal_wetting: 'fluid' }), 'floating').join()).to.contain('clean brake fluid alone');
    expect(words('caliper', 'reseal', follows({ seal_wetting: 'grease' }), 'floating').join()).to.contain('assembly grease');
    expect(words('pads', 'replace', follows({ pad_backs: 'nothing' })).join()).to.contain('bare');
    const hardware = (school: string): boolean =>
      piecesFor(at('pads'), 'replace', follows({ hardware: school })).some((p) => p.name === 'Pad hardware set');
    expect([hardware('always'), hardware('worn')]).to.deep.equal([true, false]);
    for (const school of ['bench', 'place', '']) {
      const bled = words('master_cylinder', 'reseal', follows(school ? { master_bleeding: school } : {})).filter((w) =>
        w.includes('ten slow strokes'),
      );
      expect(bled, school).to.have.length(1);
      expect(bled[0]!.includes('on the bench')).to.equal(school === 'bench');
    }
  });

  it('say what a cause is answered with', () => {
    const usual = (picked: Readonly<Record<string, string>>, kind: string, option: Parameters<typeof usualAt>[2]) => {
      const t = told(picked);
      const slotId = t.slot(kind);
      if (kind === 'rotor') {
        t.part(slotId, 'found', 'rotor');
        t.gauge(slotId, ['12.2', '12.2', '12.2', '12.2', '12.2', '12.2', '12.2', '12.2']);
      }
      return usualAt(deriveJob(t.file, NOW), slotId, option);
    };
    expect(usual({ rotors: 'replace' }, 'rotor', 'machine')).to.equal('replace');
    expect(usual({}, 'caliper', 'reseal')).to.equal('reseal');
    expect(usual({ seized_calipers: 'exchange' }, 'caliper', 'reseal'), 'it was not seized').to.equal('reseal');
    const t = told({ seized_calipers: 'exchange' });
    t.find(t.slot('caliper'), { code: 'seized', severity: 'doubt' });
    expect(usualAt(deriveJob(t.file, NOW), t.slot('caliper'), 'reseal')).to.equal('exchange');
  });

  it('renew of a pair the one that failed, but linings, rotors and drums on both sides', () => {
    const rows = (picked: Readonly<Record<string, string>>) => {
      const t = told(picked);
      for (const kind of ['hose', 'pads']) t.find(t.slot(kind), { severity: 'reject', rulesOut: ['use_again'], words: 'cracked' });
      const state = deriveJob(t.file, NOW);
      const options = (name: string) => {
        const r = estimateOf(state.history, state.components).rows.find((x) => x.row.name === name)!;
        return r.options.find((o) => o.option === 'replace')!;
      };
      const plan = (name: string) => options(name).plan.map((d) => d.option);
      return { hoses: plan('Front hoses'), pads: plan('Front pads'), name: options('Front hoses').name };
    };
    expect(rows({ pairs: 'both' })).to.deep.equal({ hoses: ['replace', 'replace'], pads: ['replace', 'replace'], name: 'Replace new' });
    const failed = rows({ pairs: 'failed' });
    expect(failed.pads).to.deep.equal(['replace', 'replace']);
    expect(failed.hoses).to.deep.equal(['replace', 'use_again']);
    expect(failed.name).to.contain('front left hose only');
  });

  it('are said beside what a figure means, and not where none is picked', () => {
    expect(houseSays('rotors', follows({ rotors: 'replace' })))
      .to.contain('Worn rotors'.toLowerCase())
      .and.contain('replaced');
    expect(houseSays('bores', follows({}))).to.equal('');
  });

  it('leave no work without a card: what has no minutes would look cheap', () => {
    const kinds = Object.keys(KIND_FACTS) as ComponentKind[];
    const bare = kinds.flatMap((kind) =>
      optionsFor(kind)
        .filter((o) => !STAYS.includes(o) && !ENDS_PLACE.includes(o) && attendedMinutes(at(kind), o) === 0)
        .map((o) => `${kind} ${o}`),
    );
    expect(bare).to.deep.equal([]);
  });

  it('are each one of at least two, and a card’s minutes are those of the work that Rebuild proposes', () => {
    for (const r of HOUSE_RULES) expect(new Set(r.schools.map((s) => s.id)).size).to.equal(r.schools.length);
    for (const c of CARDS)
      for (const kind of c.kinds)
        for (const option of c.serves) {
          const work = workFor(at(kind, c.styles[0] ?? null), option, follows({}));
          expect(work?.attendedMinutes ?? 0).to.equal(attendedMinutes(at(kind, c.styles[0] ?? null), option));
        }
  });

  it('a cam, a wedge, a hand lever and a drawbar are each worked by a card of their own', () => {
    const worked = (kind: Parameters<typeof cardFor>[0]['kind'], style: string | null) => cardFor(at(kind, style), 'replace')?.id;
    expect([worked('expander', 'wedge'), worked('expander', null), worked('expander', 'cam')]).to.deep.equal([
      'expander',
      'expander',
      'cam',
    ]);
    expect([worked('hand_lever', 'drawbar'), worked('hand_lever', null)]).to.deep.equal(['drawbar', 'pedal_box']);
    const wordsOf = (kind: Parameters<typeof cardFor>[0]['kind'], style: string) => words(kind, 'replace', follows({}), style).join(' ');
    expect(wordsOf('expander', 'cam'))
      .to.match(/[Tt]orque arm.*split pin/)
      .and.match(/both touch together/)
      .and.match(/90°/)
      .and.match(/full lock/);
    expect(wordsOf('hand_lever', 'drawbar'))
      .to.match(/[Uu]ncoupled, chocked/)
      .and.match(/never taken up at the rod/)
      .and.match(/[Rr]everse release/);
  });

  it('what finishes a part has an order too: no rubber before it is cured, every plug counted', () => {
    for (const c of FINISH_CARDS) {
      const order = ['before lifting', 'strip', 'clean', 'finish', 'gauge', 'assemble', 'fit', 'after'];
      const groups = c.steps.map((s) => order.indexOf(s.group));
      expect(groups, c.name).to.deep.equal(groups.toSorted((a, b) => a - b));
      expect([...c.kinds, ...c.serves], `${c.name} serves no decision by itself`).to.deep.equal([]);
    }
    const said = (id: string) =>
      FINISH_CARDS.find((c) => c.id === id)!
        .steps.map((s) => s.words)
        .join(' ');
    expect(said('finish_brush')).to.match(/Degrease.*Blast.*rust.*Mask.*Prime.*coats.*Cure.*before any rubber/s);
    expect(said('finish_powder')).to.match(/Bake out.*Cool.*Plug.*Coat.*from when the part.*counted/s);
    expect(said('finish_coater')).to.match(/Bearings.*Clean.*mask map.*Packing list.*Count.*threads and seats/s);
  });
});
