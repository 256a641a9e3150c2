/** What a lot is of. Source: handbook 40, The part's life. */
export const LOT_KINDS = ['rubber', 'fluid', 'lining', 'adhesive', 'coating'] as const;
export type LotKind = (typeof LOT_KINDS)[number];

/** One version of what is written of a lot: a later one says more, nothing is changed. */
export interface LotVersion {
  readonly id: string;
  /** The lot that this is a version of. */
  readonly seriesId: string;
  /** Short, as it is written on the tin or the bag. */
  readonly label: string;
  readonly kind: LotKind;
  readonly name: string;
  readonly partNumber: string | null;
  readonly supplierId: string | null;
  /** Partial dates, ISO 8601 up to what is known. */
  readonly made: string | null;
  readonly bought: string | null;
  readonly opened: string | null;
  readonly batch: string;
  /** What the product's slip says: torque, bedding, cure. */
  readonly torque: string;
  readonly bedding: string;
  readonly cure: string;
  readonly note: string;
  /** Of linings and coatings. */
  readonly compound: string;
  readonly grade: string;
  readonly meantFor: string;
  readonly coating: string;
  /** °C; null where it is not said. */
  readonly ratedC: number | null;
  /** Of a coating: whether brake fluid lifts it. Source: handbook 58, A42. */
  readonly lifted: 'yes' | 'no' | 'unknown';
  /** Years on the shelf by its maker; null where it is the usual. */
  readonly shelfYears: number | null;
  /** Used up, or called in: it is offered no more. */
  readonly closed: boolean;
  /** Called in: why nothing of it may go on; empty where it may. */
  readonly recalled: string;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** What happens to a count in the store. */
export const STOCK_MOVES = ['counted', 'came', 'taken', 'level'] as const;
export type StockMoveKind = (typeof STOCK_MOVES)[number];

/** One move of what lies in the store of an article: counted anew, come in, taken, or its reorder level set. */
export interface StockMove {
  readonly id: string;
  /** The article, whatever version of it. */
  readonly seriesId: string;
  readonly kind: StockMoveKind;
  readonly count: number;
  readonly jobId: string | null;
  readonly note: string;
  readonly enteredBy: string;
  readonly enteredAt: string;
}
