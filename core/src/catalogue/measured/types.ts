import type { Gravity } from '../../verdict/severity.ts';
import type { ComponentKind } from '../../layout/kinds.ts';
import type { QuantityKind, UnitId } from '../../quantity/units.ts';
import type { GaugeKind } from '../gaugeKinds.ts';
import type { OptionId } from '../repairOptions.ts';

/** The frame that a position is named in. */
export type Frame = 'rotor_mark' | 'hub_stud' | 'drum_mark' | 'pads' | 'bore' | 'piston' | 'shoes' | 'place';

/** A named place within a measurement. */
export interface Spot {
  readonly id: string;
  /** Short, drawn beside the figure. */
  readonly label: string;
  readonly name: string;
  /** Only where it belongs to the place, degrees. */
  readonly angleDeg?: number;
  /** Only where it differs from the measurement's, canonical unit. */
  readonly plausible?: readonly [number, number];
  /** Only where it is taken with another gauge than the rest. */
  readonly usualGauge?: GaugeKind;
  /** It is read after something was held for so long, s. */
  readonly holdS?: number;
}

/** Where readings are taken: evenly round, at each of some rings or depths, or at places with names. */
export type Pattern =
  | {
      readonly form: 'round';
      /** Degrees over which the positions are spread. */
      readonly turn: 180 | 360;
      readonly counts: readonly number[];
      readonly usual: number;
      /** Rings or depths; none where the angle says it all. */
      readonly rings: readonly Spot[];
      /** Rings that may be taken as well. */
      readonly more: readonly Spot[];
      /** Places with names that belong to the sweep (a radius). */
      readonly also: readonly Spot[];
    }
  | { readonly form: 'spots'; readonly spots: readonly Spot[] };

/**
 * Whose figure it is: a part's, that of the fit of a part in its place, the place's own, or that of the article which the
 * place is in (a bore belongs to its cylinder or caliper, whichever piston sits in it).
 */
type Subject = 'part' | 'fit' | 'slot' | 'article';

/** Least and greatest that such a thing can be at all, canonical unit. */
export type Range = readonly [number, number];

/** What something may be put off until: the step that gives access, by the name under which decisions keep it. */
export type AccessName = 'drum off' | 'band off' | 'pads out' | 'caliper off' | 'rotor off' | 'master off servo';

/** What is asked of a figure: owed, wanted where there is time, or only written down. */
export type Need = 'required' | 'wanted' | 'recorded';

/** Of which kinds of component a measurement is asked: as found, or after what is done with them. */
interface Asked {
  readonly of: readonly ComponentKind[];
  readonly done: readonly ('found' | OptionId)[];
  /** Required where nothing is said. */
  readonly need?: Need;
  /** As found before the work and as fitted after it, where nothing is said. */
  readonly phase?: 'as_found' | 'after_machining' | 'as_fitted';
  /** The measurement that answers it as well: the same thing taken another way. */
  readonly or?: string;
}

/** How a figure is made of a set's readings. */
type ReductionRule =
  /** Least or greatest of all, or of the places named. */
  | { readonly op: 'least' | 'greatest'; readonly places?: readonly string[] }
  /** Largest of the ranges within each ring or depth. */
  | { readonly op: 'range_within' }
  /** Range over all readings. */
  | { readonly op: 'range' }
  /** Range of a sweep that can be split. */
  | { readonly op: 'sweep' }
  /** Range of a sweep, times the reading of one place over that of another. */
  | { readonly op: 'sweep_scaled'; readonly times: string; readonly over: string }
  /** Mean of one ring or depth less that of another. */
  | { readonly op: 'means_apart'; readonly of: string; readonly less: string }
  /** Mean of the middle less the mean of the ends. */
  | { readonly op: 'barrel'; readonly middle: string; readonly ends: readonly [string, string] }
  /** Largest mean of a ring or depth less the smallest. */
  | { readonly op: 'means_spread' }
  /** The reading at one place. */
  | { readonly op: 'at'; readonly place: string }
  /** The reading at one place less that at another. */
  | { readonly op: 'apart'; readonly of: string; readonly less: string }
  /** Largest difference of pairs of places, one way or in amount. */
  | { readonly op: 'pairs_apart'; readonly pairs: readonly (readonly [string, string])[]; readonly either: boolean }
  /** By how much the second lies over the first, as a share of the first. */
  | { readonly op: 'rise'; readonly of: string; readonly over: string }
  /** Greatest of all less what it was when new. */
  | { readonly op: 'over_nominal' }
  /** Made of two sets: see between.ts. */
  | { readonly op: 'between' };

/** What a characteristic says of itself. */
export interface CharacteristicFacts {
  readonly name: string;
  /** Short plate name over a rule. */
  readonly short: string;
  readonly reduction: ReductionRule;
  readonly kind: QuantityKind;
  readonly unit: UnitId;
  readonly bound: 'lower' | 'upper';
  /** What wear does to the figure; null where it is not wear. */
  readonly wears: 'falls' | 'grows' | null;
  readonly gravity: Gravity;
  /** Word for the last limit on the rule. */
  readonly limitWord: string;
  readonly newWord: string;
  /** What the rest of the house asks for by it: the size that a part is judged and machined by, or its running true on the hub. */
  readonly role: 'size' | 'runout' | null;
  /** Found wrong while the bearing has play, it says nothing of the part yet. */
  readonly onBearing: boolean;
  /** Written down: judged where the book has a limit, and never asked for one. */
  readonly recorded: boolean;
  /** Read as one difference on one gauge (pushed and pulled, turned round): its short-span accuracy counts. */
  readonly readAsDifference: boolean;
  /** Judged by its amount, either way: the words for more and for less than nothing. Null where the sign means something. */
  readonly senses: readonly [string, string] | null;
  /** What it says where the figure is surely below nothing, which such a thing cannot be; null where it may be. */
  readonly belowNothing: string | null;
  /** How far from new, as shares of it, the figure of this very part can be; null where nothing is known. */
  readonly nearNew: readonly [number, number] | null;
  /** How far, as a share of the larger, both sides of an axle can be apart and still be gauged right. */
  readonly nearPartner: number | null;
}

/** A limit of common workshop practice, offered until somebody enters the figure for the vehicle. */
export interface Generic {
  /** Where a characteristic has several, each by what it is for. */
  readonly name?: string;
  readonly bound: 'lower' | 'upper' | 'range';
  readonly at?: number;
  readonly low?: number;
  readonly high?: number;
  readonly nominal?: number | null;
  readonly gravity: Gravity;
  /** Common workshop practice, where nothing is said. */
  readonly where?: string;
}

/** A characteristic as it is written down: what is not said is an upper limit on function that is no wear, in the unit of its readings. */
type CharacteristicGiven = Partial<CharacteristicFacts> &
  Pick<CharacteristicFacts, 'name' | 'short' | 'reduction'> & { readonly generic?: readonly Generic[] };

/** One measurement, with everything that is known of it: how it is taken, what is asked of it, and what is judged of it. */
export interface Entry {
  readonly name: string;
  readonly on: readonly ComponentKind[];
  readonly subject: Subject;
  readonly kind: QuantityKind;
  readonly unit: UnitId;
  /** Gauge whose generic accuracy applies when none is named. */
  readonly usualGauge: GaugeKind;
  /** A figure outside is asked about at once, canonical unit. */
  readonly plausible: Range;
  /** What a figure can be at all; only what lies outside is refused. */
  readonly possible: Range;
  /** Where a named place is something else than the rest. */
  readonly possibleAt?: Readonly<Record<string, Range>>;
  /** Least number of positions before a set counts. */
  readonly least: number;
  readonly frame: Frame;
  readonly pattern: Pattern;
  /** Only on parts made so; on all of the kind where nothing is said. */
  readonly onStyle?: string;
  /** How it is taken, in a line. */
  readonly how: string;
  /** What has to be off or out before; reached with the wheel off, or from outside, where nothing is said. */
  readonly access?: AccessName;
  /** Its turn among what is taken with one set-up of the dial: end float before hub face before runout. */
  readonly dialTurn?: number;
  readonly programme?: readonly Asked[];
  /** What is judged of its readings, by id. */
  readonly characteristics: Readonly<Record<string, CharacteristicGiven>>;
}
