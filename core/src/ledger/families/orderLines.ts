import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';
import type { Supply } from '../priceRecords.ts';

/** Something that is ordered for a job, from one supplier. It stands from the moment at which it was ordered. */
export interface OrderLine extends JobEvent {
  readonly supplierId: string;
  /** His name then: it is read where suppliers are not. */
  readonly supplier: string;
  readonly name: string;
  /** The version of the article that it was ordered by; null where the price book has none. */
  readonly articleId: string | null;
  readonly partNumber: string | null;
  readonly supply: Supply;
  readonly count: number;
  /** Places that it is for; none where it is of no place, or the shop's own. */
  readonly places: readonly string[];
  /** What it answers of what the job needs; null where somebody added it. */
  readonly need: string | null;
  /** Each, net, minor units; null where nobody said it. */
  readonly price: number | null;
  /** Given back for each old unit, net, minor units. */
  readonly core: number | null;
  /** Day on which it was promised, ISO 8601. */
  readonly expected: string | null;
  /** A tool of the shop, bought for this job: in no owner's sum. Source: handbook 58, A02. */
  readonly shopsOwn: boolean;
  readonly note: string;
}

export const orderLines: FamilyDescriptor<OrderLine> = {
  ...PLAIN,
  label: 'order line',
  subjects: ['order_line', 'slot'],
  readWith: 'job',
  release: 'either_side',
  late: 'late',
  /** What was ordered comes, whatever became of the job. */
  dropsWhenVoid: () => false,
  names: { places: 'place' },
  blackable: ['name', 'note'],
  price: ['price', 'core'],
  sending: 'online',
};
