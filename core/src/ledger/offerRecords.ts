import type { OptionId } from '../catalogue/repairOptions.ts';

/** One way of doing a row, as the owner is shown it: no supplier, no cost of the shop, nobody's contact. */
export interface OfferWay {
  readonly option: OptionId;
  readonly name: string;
  /** What he pays for it by itself, gross, minor units; what is shared with others is beside it. */
  readonly gross: number;
  /** Shared things that it needs, by id. */
  readonly needs: readonly string[];
  /** Working days until what it needs is there, and attended minutes. */
  readonly lead: number;
  readonly minutes: number;
  readonly risks: readonly string[];
  /** Why it cannot be chosen; null where it can. */
  readonly ruledOut: string | null;
  /** What it decides about each place. */
  readonly plan: readonly { readonly slotId: string; readonly option: OptionId }[];
}

export interface OfferRow {
  readonly id: string;
  readonly name: string;
  /** What was found there, a line. */
  readonly found: string;
  readonly ways: readonly OfferWay[];
}

/** What the owner was shown: kept as it was, whatever is found or priced later. */
export interface OfferSheet {
  readonly form: 1;
  readonly shop: string;
  readonly vehicle: { readonly tag: string; readonly name: string };
  /** Day on which it was made. */
  readonly made: string;
  readonly currency: string | null;
  readonly hoursADay: number;
  /** What he has authorised until then, gross, minor units. */
  readonly authorised: number | null;
  readonly rows: readonly OfferRow[];
  /** Rows that cannot be offered yet: nothing that may be done there has a price. */
  readonly without: readonly string[];
  readonly shared: readonly { readonly id: string; readonly name: string; readonly gross: number; readonly minutes: number }[];
  readonly variants: readonly {
    readonly id: string;
    readonly name: string;
    readonly ways: readonly { readonly row: string; readonly option: OptionId }[];
  }[];
}

/** A sheet that was made for the owner. */
export interface Offer {
  readonly id: string;
  readonly jobId: string;
  readonly sheet: OfferSheet;
  /** SHA-256 of the sheet as it was written, hexadecimal. */
  readonly hash: string;
  readonly madeBy: string;
  readonly madeAt: string;
}
