import type { Phase } from './families/sets.ts';

/** Immutable: what was handed back, by whom, and exactly what was shown. */
export interface ReleaseRecord {
  readonly id: string;
  readonly jobId: string;
  /** Nobody of this shop for what was handed back before its records, as told; then `importId` says where that is from. */
  readonly releasedBy: string | null;
  readonly importId: string | null;
  readonly releasedAt: string;
  readonly ownWork: boolean;
  readonly ruleVersion: string;
  readonly sheet: HandbackSheet;
}

export interface SheetFigure {
  readonly place: string;
  readonly tag: string | null;
  readonly characteristic: string;
  readonly phase: Phase;
  readonly figure: string;
  readonly uncertainty: string;
  readonly limit: string;
  readonly source: string;
  readonly verdict: string;
  readonly gauges: string;
  readonly takenBy: string;
  readonly takenOn: string;
}

export interface SheetLine {
  readonly place: string;
  readonly text: string;
  readonly by: string;
  readonly on: string;
}

/** Where a text of a sheet came from: its path in the sheet, the record and its field, and from which character to which. */
export interface SheetRef {
  readonly path: string;
  readonly event: string;
  readonly field: string;
  readonly from: number;
  readonly to: number;
}

/** What a job was authorised and reckoned with, and what it took. Sums gross, minor units. Source: handbook 58, A59. */
export interface SheetAccount {
  readonly currency: string | null;
  readonly authorised: number | null;
  /** Whose word that is; null where nobody authorised a sum. */
  readonly agreed: SheetLine | null;
  readonly reckoned: number;
  readonly actual: number;
  readonly lines: readonly {
    readonly what: string;
    readonly reckoned: number;
    readonly reckonedMinutes: number;
    /** Attended minutes; null where no work on it is logged. */
    readonly minutes: number | null;
    readonly actual: number;
    /** What made it another sum than was reckoned, and what has no price. */
    readonly why: string;
  }[];
}

/** A figure as it came and as it leaves. */
export interface SheetPair {
  readonly place: string;
  readonly what: string;
  readonly before: string;
  readonly after: string;
  readonly limit: string;
}

/** What the owner reads: plain words, short enough for one side of paper. Source: handbook 60, Hand-back sheet; 58, A58. */
export interface OwnerPage {
  readonly wrong: readonly string[];
  /** Where it came from, in a line; empty where the records do not say. */
  readonly why: string;
  /** Habit that keeps it from coming again; empty where none is to be named. */
  readonly habit: string;
  readonly done: readonly string[];
  readonly watch: readonly string[];
  readonly back: readonly { readonly what: string; readonly on: string; readonly km: number | null }[];
  /** Pictures of a place before and after, by the hashes of their images. */
  readonly pictures: readonly { readonly place: string; readonly before: string; readonly after: string }[];
}

/** What the owner takes home, exactly as it was shown at release. */
export interface HandbackSheet {
  /** How it leaves, where it is not driven; sheets of an earlier form, and of what is driven, have none. */
  readonly leaves?: string;
  readonly vehicleTag: string;
  readonly vehicleName: string;
  readonly distance: string;
  readonly complaint: string;
  readonly complaintAnswer: string;
  readonly figures: readonly SheetFigure[];
  readonly findings: readonly SheetLine[];
  readonly done: readonly SheetLine[];
  readonly torques: readonly SheetLine[];
  readonly parts: readonly SheetLine[];
  readonly fluid: readonly SheetLine[];
  readonly nextDue: readonly { readonly what: string; readonly on: string; readonly why: string }[];
  readonly putOff: readonly SheetLine[];
  readonly watch: readonly string[];
  readonly accepted: readonly SheetLine[];
  readonly proofs: readonly SheetLine[];
  /** What has to be done after hand-back, by when. */
  readonly afterCare: readonly {
    readonly item: string;
    readonly what: string;
    readonly on: string;
    readonly km: number | null;
    readonly why: string;
  }[];
  /** Left out of scope, with their last verdict. */
  readonly outOfScope: readonly string[];
  /** Figures as they came and as they leave; sheets of an earlier form have none. */
  readonly pairs?: readonly SheetPair[];
  /** The owner's page; sheets of an earlier form have none. */
  readonly owner?: OwnerPage;
  /** Sheets of an earlier form, and of jobs of the past, have none; it is left out for who is shown no prices. */
  readonly account?: SheetAccount;
  /** Where what somebody typed came from, so that it can be blacked out; sheets of an earlier form have no such list. */
  readonly made?: readonly SheetRef[];
}
