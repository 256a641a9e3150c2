import { BLEEDER_STEPS, CIRCUIT_STEPS, WHEEL_STEPS } from '../catalogue/cards/linkage.ts';
import { BRAKE_FLUID, type CardStep } from '../catalogue/cards/types.ts';
import { STAYS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { planOfLayout } from '../hydraulics/ofLayout.ts';
import { CORNER_NAME, KIND_FACTS } from '../layout/kinds.ts';
import { grossOf } from '../quantity/money.ts';
import { SHARED } from '../wording/en/estimate.ts';
import { articleFor, permilleOf, type PriceBook } from './book.ts';
import { billed, type Cost, type Doing } from './cost.ts';

/** What several rows need and is paid once: getting there, bleeding, postage. */
export interface SharedThing {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  /** Minor units. */
  readonly net: number;
  readonly gross: number;
  /** What of the net is fluid. */
  readonly fluid: number;
}

const minutesOf = (steps: readonly Pick<CardStep, 'minutes'>[]): number => steps.reduce((sum, s) => sum + s.minutes, 0);
/** Minutes of one wheel off and on, of a circuit and of each of its bleeders; generic, by their cards. */
const [WHEEL, CIRCUIT, BLEEDER] = [WHEEL_STEPS, CIRCUIT_STEPS, BLEEDER_STEPS].map(minutesOf) as [number, number, number];

/** What a way of doing a row needs beside its own: by id, with what each is. */
export function sharedOf(history: JobHistory, book: PriceBook, doings: readonly Doing[], cost: Cost): SharedThing[] {
  const { rates } = book;
  const labour = (id: string, name: string, minutes: number, goods = 0, goodsPermille = 0): SharedThing => {
    const net = Math.round((minutes * (rates?.hourly ?? 0)) / 60);
    return {
      id,
      name,
      minutes,
      fluid: goods,
      net: net + goods,
      gross: grossOf(net, permilleOf(rates, 'standard')) + grossOf(goods, goodsPermille),
    };
  };
  const worked = doings.filter((d) => !STAYS.includes(d.option)).map((d) => d.component.slot);
  const corners = new Set(worked.flatMap((s) => s.corner ?? []));
  const circuits = new Set(worked.filter((s) => KIND_FACTS[s.kind].hydraulic).flatMap((s) => s.circuits));
  const fluid = articleFor(book, { supply: 'consumable', kind: null, name: BRAKE_FLUID }, null, null);
  const suppliers = new Set(cost.articles.flatMap((a) => a.article.supplierId ?? []));
  const bleeders = (circuit: number): number =>
    history.records.layout.slots.filter((s) => s.kind === 'bleeder' && s.circuits.includes(circuit)).length;
  return [
    ...[...corners].map((c) => labour(`wheel:${c}`, SHARED.wheel(CORNER_NAME[c]), WHEEL)),
    ...[...circuits].map((c) =>
      labour(
        `bleed:${c}`,
        SHARED.bleed(c),
        CIRCUIT + BLEEDER * bleeders(c),
        (fluid?.price ?? 0) * planOfLayout(history.records.layout, { circuits: [c] }).bottles,
        permilleOf(rates, fluid?.tax ?? 'standard'),
      ),
    ),
    ...(rates && rates.shipping > 0
      ? [...suppliers].map((s) => ({
          ...{ id: `post:${s}`, name: SHARED.post, minutes: 0, net: rates.shipping, fluid: 0 },
          gross: grossOf(rates.shipping, rates.standardPermille),
        }))
      : []),
  ];
}

/** What a way of doing a row costs the owner as a job of its own, gross, minor units: all that is shared today is paid alone. */
export function standsAlone(history: JobHistory, book: PriceBook, way: { readonly plan: readonly Doing[]; readonly cost: Cost }): number {
  return billed(way.cost) + sharedOf(history, book, way.plan, way.cost).reduce((sum, s) => sum + s.gross, 0);
}
