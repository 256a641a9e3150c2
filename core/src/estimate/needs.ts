import { piecesFor } from '../catalogue/cards/cards.ts';
import { BRAKE_FLUID } from '../catalogue/cards/types.ts';
import { STAYS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { planOfLayout } from '../hydraulics/ofLayout.ts';
import { workDone } from '../judging/workDone.ts';
import type { Layout } from '../layout/graph.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import type { ArticleVersion, Supply } from '../ledger/priceRecords.ts';
import { inHand, type LineState, orderStates } from '../supply/orders.ts';
import { COST, ORDER } from '../wording/en/estimate.ts';
import { articleFor, type PriceBook } from './book.ts';
import { completenessOf } from './complete.ts';
import { BOUGHT_AS, type Doing } from './cost.ts';
import type { Estimate } from './variants.ts';

/** Something that has to be bought for the job as it is decided. */
export interface Need {
  /** Stable while what it is for stays decided so. */
  readonly key: string;
  readonly name: string;
  readonly supply: Supply;
  /** Its best article; null where the price book has none. */
  readonly article: ArticleVersion | null;
  readonly count: number;
  readonly places: readonly string[];
  /** The row or the small thing that it is for, in words. */
  readonly because: string;
  /** On its way, here or found right already. */
  readonly ordered: number;
  readonly missing: number;
}

interface Draft extends Omit<Need, 'ordered' | 'missing'> {
  readonly perAxle: boolean;
}

/** What one place of a row needs bought. */
function ofDoing(book: PriceBook, rowId: string, rowName: string, { component: c, option }: Doing): Draft[] {
  const number = c.part?.partNumber ?? null;
  const draft = (name: string, supply: Supply, article: ArticleVersion | null, count: number): Draft => ({
    key: `${rowId}:${supply}:${name}`,
    ...{ name, supply, article, count, places: [c.slot.id], because: rowName, perAxle: article?.covers === 'axle' },
  });
  const supply = BOUGHT_AS[option];
  const unit = supply && articleFor(book, { supply, kind: c.slot.kind }, c.slot, number);
  const pieces = piecesFor(c.slot, option, book.followed).map((p) => {
    const named = { kind: null, name: p.name };
    const article =
      articleFor(book, { supply: 'consumable', ...named }, c.slot, number) ??
      articleFor(book, { supply: 'piece', ...named }, c.slot, number);
    return draft(p.name, article?.supply ?? 'piece', article, p.count);
  });
  return [...(supply ? [draft(unit?.name ?? COST.noArticle(supply, c.slot.kind), supply, unit ?? null, 1)] : []), ...pieces];
}

/** Fluid for every circuit that is opened: bottles for what is drawn through them and what their reservoirs hold. */
function fluid(layout: Layout, estimate: Estimate): Draft[] {
  const worked = estimate.rows.flatMap((r) => r.decided?.doings ?? []).filter((d) => !STAYS.includes(d.option));
  const circuits = new Set(worked.flatMap((d) => (KIND_FACTS[d.component.slot.kind].hydraulic ? d.component.slot.circuits : [])));
  if (circuits.size === 0) return [];
  const { bottles, totalMl } = planOfLayout(layout, { circuits: [...circuits] });
  if (bottles === 0) return [];
  const article = articleFor(estimate.book, { supply: 'consumable', kind: null, name: BRAKE_FLUID }, null, null);
  return [
    {
      key: `fluid:consumable:${BRAKE_FLUID}`,
      ...{
        name: BRAKE_FLUID,
        supply: 'consumable',
        article,
        count: bottles,
        places: [],
        because: ORDER.circuits(circuits.size, Math.round(totalMl)),
      },
      perAxle: false,
    },
  ];
}

function merged(drafts: readonly Draft[]): Draft[] {
  const all = new Map<string, Draft>();
  for (const d of drafts) {
    const had = all.get(d.key);
    all.set(d.key, had ? { ...had, places: [...had.places, ...d.places], count: d.perAxle ? had.count : had.count + d.count } : d);
  }
  return [...all.values()];
}

/**
 * Everything that has to be bought for the job as it is decided: units, kits, one-use pieces of the cards, fluid, and small
 * things that somebody said are needed, with how much of it is ordered already. Source: handbook 40, Orders and send-outs.
 */
export function needsOf(history: JobHistory, estimate: Estimate): Need[] {
  const rows = estimate.rows.flatMap((r) =>
    // What is done already needs nothing more.
    (r.decided?.doings ?? [])
      .filter((d) => !workDone(history, d.component))
      .flatMap((d) => ofDoing(estimate.book, r.row.id, r.row.name, d)),
  );
  const looked = completenessOf(history).flatMap((c): Draft[] =>
    c.state === 'needed' && !c.ordered
      ? [
          {
            key: `look:${c.corner ?? 'middle'}:${c.thing}`,
            ...{
              name: ORDER.thingAt(c.thing, c.corner),
              supply: 'piece',
              article: null,
              count: 1,
              places: c.places,
              because: ORDER.looked,
            },
            perAxle: false,
          },
        ]
      : [],
  );
  const states = orderStates(history);
  return merged([...rows, ...fluid(history.records.layout, estimate), ...looked]).map(({ perAxle: _perAxle, ...d }) => {
    const ordered = states.filter((s) => s.line.need === d.key).reduce((sum, s) => sum + inHand(s), 0);
    return { ...d, ordered, missing: Math.max(0, d.count - ordered) };
  });
}

/** Lines that answered a need which is no more: what was decided fell, or is decided otherwise. */
export function strandedLines(history: JobHistory, needs: readonly Need[]): LineState[] {
  const keys = new Set(needs.map((n) => n.key));
  return orderStates(history).filter((s) => s.line.need !== null && !keys.has(s.line.need) && s.coming + s.toCheck > 0);
}
