import type { JobHistory } from '../history/jobHistory.ts';
import { placeName, slotById } from '../layout/graph.ts';
import type { OrderLine } from '../ledger/families/orderLines.ts';
import { articlesNow } from '../ledger/priceRecords.ts';
import { type Compared, comparedAt, patternAt, WHOLE } from '../supply/arrival.ts';
import { type LineState, orderStates } from '../supply/orders.ts';
import { knownWords } from '../wording/en/supply.ts';

/** One line of what is ordered from a supplier, as it is written out. */
export interface PaperLine {
  readonly count: number;
  readonly name: string;
  readonly partNumber: string;
  readonly vehicle: string;
  /** Figures of the old part that the new one has to have. */
  readonly asOld: readonly string[];
  /** Each, net, minor units. */
  readonly price: number | null;
  readonly core: number | null;
  readonly note: string;
}

/** Names of the places of a line. */
export function placesOf(history: JobHistory, line: Pick<OrderLine, 'places'>): string[] {
  return line.places.flatMap((id) => {
    const slot = slotById(history.records.layout, id);
    return slot ? [placeName(slot)] : [];
  });
}

/** What the old parts of a line are known by, place by place. */
export function comparedOf(history: JobHistory, line: OrderLine): { readonly slotId: string; readonly list: readonly Compared[] }[] {
  const article = articlesNow(history.records.articles).find((a) => a.id === line.articleId) ?? null;
  return WHOLE.includes(line.supply) || line.supply === 'piece'
    ? line.places.map((slotId) => ({ slotId, list: comparedAt(history, slotId, patternAt(history, line, slotId), line.id, article) }))
    : [];
}

/** What a job has on order from one supplier, to be written out. */
export function orderPaper(history: JobHistory, supplierId: string): PaperLine[] {
  const { vehicle } = history.records;
  return orderStates(history)
    .filter((s: LineState) => s.line.supplierId === supplierId && s.coming > 0)
    .map(({ line, coming }) => ({
      ...{ count: coming, name: line.name, partNumber: line.partNumber ?? '', price: line.price, core: line.core, note: line.note },
      vehicle: line.shopsOwn ? '' : `${vehicle.tag} ${vehicle.name}`,
      asOld: [
        ...new Set(
          comparedOf(history, line).flatMap(({ list }) =>
            list.flatMap((c) => (c.old && c.fact.id !== 'outline' ? [`${c.fact.name.toLowerCase()} ${knownWords(c.fact, c.old)}`] : [])),
          ),
        ),
      ],
    }));
}
