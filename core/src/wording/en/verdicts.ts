import type { Followed } from '../../catalogue/cards/types.ts';
import { GAUGE_UNIT } from '../../catalogue/gaugeKinds.ts';
import { type MeasurementId, MEASUREMENTS } from '../../catalogue/measurements.ts';
import type { Characteristic } from '../../catalogue/characteristics.ts';
import type { Runout } from '../../metrology/rotorRunout.ts';
import { convert, displayWithUnit, fixed, groupThousands, plainFixed, upperFirst } from '../../quantity/display.ts';
import { unitOf } from '../../quantity/units.ts';
import { holdWords } from './holds.ts';
import { SOURCE_WORD } from './names.ts';
import { roomLeft, type Judged, type NoWear, type Note } from '../../judging/judge.ts';
import type { Contradiction } from '../../judging/contradicts.ts';
import type { Unsaid } from '../../judging/genericLimits.ts';
import { placeName } from '../../layout/graph.ts';
import type { NotYet, PastBecause } from '../../metrology/figures.ts';
import type { ProvisionalCause } from '../../metrology/provisional.ts';

/** A figure in mm with the decimals its readings are worth. */
export function mm(value: number, decimals: number): string {
  return `${fixed(value, decimals)} mm`;
}

/** A figure of a characteristic with its unit: lengths in mm, shares in %, what was counted as a count, the rest in their own. */
export function figureText(of: Pick<Characteristic, 'kind' | 'unit'> & Partial<Characteristic>, value: number, decimals: number): string {
  if (of.kind === 'ratio' && of.takenFrom !== undefined && MEASUREMENTS[of.takenFrom].usualGauge === 'count')
    return `${fixed(value, decimals)} ${GAUGE_UNIT.count}`;
  if (of.kind === 'ratio') return `${fixed(value * 100, Math.max(0, decimals - 2))} %`;
  const { symbol } = unitOf(of.kind, of.unit);
  return `${fixed(value, decimals)}${symbol === '°' ? '' : ' '}${symbol}`;
}

/** The figure of a verdict with its unit, and which way it goes where only its amount is judged. */
export function figureOf(j: Judged): string {
  const text = figureText(j.characteristic, j.reduced.value, j.reduced.decimals);
  return j.reduced.sense === undefined ? text : `${text}, ${j.reduced.sense}`;
}

/** Its uncertainty, one decimal finer than the readings: "±0.007 mm". */
export function plusMinus(j: Judged): string {
  return `±${figureText(j.characteristic, j.reduced.expanded, Math.min(4, j.reduced.decimals + 1))}`;
}

/** A length in inches, one more decimal than its millimetres carry. */
export function inches(valueMm: number, decimals: number): string {
  return `${fixed(convert(valueMm, 'length', 'in'), Math.min(4, decimals + 1))} in`;
}

const limitName = (j: Judged): string => {
  if (j.phase === 'after_machining' && j.limit?.machineTo != null) return 'machine-to figure';
  return j.limit?.bound === 'range'
    ? 'end of the range'
    : `${j.characteristic.limitWord.toLowerCase()}${j.characteristic.limitWord === 'Limit' ? '' : ' limit'}`;
};

const notYetWords = (n: NotYet, id: MeasurementId): string => {
  if (n.kind === 'hold') return `${upperFirst(holdWords(id, n.fault))}.`;
  if (n.kind === 'refused') return n.refusal.message;
  return n.kind === 'gap'
    ? `They are no turn: the greatest gap is ${n.degrees}°. Take them evenly round.`
    : 'No ring or depth has enough readings yet. Take one evenly round.';
};

const PAST_BECAUSE: Readonly<Record<PastBecause, string>> = {
  first_stroke_to_floor: 'The first stroke went to the floor.',
};

/** What has to be said of a part before its figure can be judged. */
const UNSAID: Readonly<Record<Unsaid, string>> = {
  bearing: 'Which bearing? Adjustable taper rollers need some float, an angular ball or unit bearing nearly none. Say it in the layout.',
  driven: 'Is this wheel driven? A driven one turns harder in neutral. Say at Book in which wheels are.',
};

/** What a figure contradicts, in a sentence. */
export function contradictionWords(j: Pick<Judged, 'characteristic' | 'reduced'>, c: Contradiction): string {
  const of = j.characteristic;
  const text = (v: number): string => displayWithUnit(v, of.kind, 10 ** -j.reduced.decimals, of.unit);
  const check = 'is this the part, is this the figure?';
  switch (c.kind) {
    case 'below_nothing':
      return of.belowNothing ?? '';
    case 'new':
      return `${text(c.now)}, and it was ${text(c.fresh)} when new: ${check}`;
    case 'partner':
      return `${text(c.apart)} apart from the ${placeName(c.partner).toLowerCase()}: ${check}`;
  }
}

function noWearWords(w: NoWear): string {
  if (w.kind === 'refused') return w.refusal.message;
  const km = (v: number): string => groupThousands(Math.round(v));
  return `Only ${km(w.run)} km were run between the figures: too few to foretell anything over the ${km(w.ahead)} km to the next service.`;
}

function noteWords(j: Judged, n: Note): string {
  switch (n.kind) {
    case 'contradicts':
      return j.contradicts ? contradictionWords(j, j.contradicts) : '';
    case 'unsaid':
      return j.unsaid ? UNSAID[j.unsaid] : '';
    case 'past_because':
      return j.reduced.pastBecause ? PAST_BECAUSE[j.reduced.pastBecause] : '';
    case 'sense':
      return `It is ${j.reduced.sense ?? ''}.`;
    case 'bearing_first':
      return 'Bearing first: its end float is past the limit.';
    case 'dirty':
      return 'Taken on a dirty surface: rust reads as runout. Provisional until taken clean.';
    case 'warm':
      return 'Taken warm. Parts are measured cold.';
    case 'no_gauge':
      return 'No gauge named: the usual gauge’s generic accuracy was taken.';
    case 'limit_wrong_side':
      return 'The limit on file lies on the wrong side of such a figure: enter it again.';
    case 'limit_unchecked':
      return 'The limit has not been checked against its source by a second person.';
    case 'part_has_own_number':
      return 'The limit is the vehicle’s; this part has a number of its own.';
    case 'along_with':
      return `With the ${placeName(n.slot).toLowerCase()}.`;
    case 'calibration_past':
      return `${n.tag} is past its calibration date (${n.due}).`;
    case 'called_back':
      return `${n.tag} was called back: off by up to ${n.offBy} from ${n.since} on. The doubt is counted in.`;
    case 'again_agrees':
      return `Measured again by ${n.by ?? 'another person'}, who did not see the first: the two agree.`;
    case 'again_differs':
      return `${n.by ?? 'another person'} measured something else: find out why.`;
  }
}

/** What a verdict says about its own footing, a sentence each. */
export function notesOf(j: Judged): string[] {
  return j.notes.map((n) => noteWords(j, n));
}

/** Why a set closes nothing, in a sentence. */
export const PROVISIONAL: Readonly<Record<ProvisionalCause, string>> = {
  dirty: 'Taken on a dirty surface: clean it and take it again.',
  warm: 'Taken warm: let it cool and take it again.',
};

/** One sentence under the rule: what is left, or what is wrong, in words. */
export function sentence(j: Judged): string {
  const room = roomLeft(j);
  const least = j.characteristic.kind === 'length' ? Math.max(j.reduced.decimals, 2) : j.reduced.decimals;
  const say = (value: number): string => figureText(j.characteristic, value, d);
  const d = room !== null && Number(plainFixed(room, least)) === 0 ? least + 1 : least;
  if (!j.enough && j.verdict === 'not_gauged' && j.reduced.notYet) return notYetWords(j.reduced.notYet, j.characteristic.takenFrom);
  if (!j.enough && j.verdict === 'not_gauged')
    return `${j.reduced.taken} of at least ${j.reduced.needed} positions taken: too few to judge.`;
  if (j.contradicts !== null) return contradictionWords(j, j.contradicts);
  if (j.unsaid !== null) return UNSAID[j.unsaid];
  if (j.reduced.pastBecause !== undefined) return PAST_BECAUSE[j.reduced.pastBecause];
  if (j.bearingFirst) return 'Bearing first: the end float is past its limit, so this says nothing until the bearing is put right.';
  if (j.second && !j.second.agrees)
    return `Two people measured ${say(Math.abs(j.second.value - j.reduced.value))} apart: more than the gauges explain. Take it a third time together.`;
  if (room === null) return 'No limit on file. Enter it from the maker’s document, or a lead accepts it with a reason.';
  switch (j.verdict) {
    case 'past':
      return `${say(-room)} past the ${limitName(j)}. The gauge’s ${plusMinus(j)} does not change that.`;
    case 'cant_tell': {
      const side = j.side === 'within' ? `${say(Math.abs(room))} inside` : `${say(Math.abs(room))} outside`;
      return `${side} the ${limitName(j)}, and the gauge can be ${plusMinus(j)} out. A finer gauge would settle it.`;
    }
    default: {
      const left = `${say(room)} left before the ${limitName(j)}`;
      if (!j.wear) return `${left}.${j.noWear === null ? '' : ` ${noWearWords(j.noWear)}`}`;
      const far = groupThousands(roundTo(convert(j.wear.remaining, 'distance_run', j.distanceUnit), 2));
      const tail = j.verdict === 'watch' ? '; not enough for the next service' : '';
      return `${left}; about ${far} ${j.distanceUnit} at this vehicle’s rate${tail}.`;
    }
  }
}

/** Rounds to a number of figures that matter. */
export function roundTo(value: number, figures: number): number {
  return value === 0 ? 0 : Number(value.toPrecision(figures));
}

/** Where a limit comes from, in words. */
export function sourceOf(j: Judged): string {
  if (!j.limit) return 'no limit on file';
  const { source, checkedBy, enteredBy } = j.limit;
  const checked = source === 'generic' ? '' : !checkedBy ? ', unchecked' : checkedBy === enteredBy ? ', checked alone' : '';
  return `${SOURCE_WORD[j.limit.source]}: ${j.limit.sourceText}${checked}`;
}

/** The limit as a short text: "at least 11.40 mm". */
export function limitText(j: Judged): string {
  const b = j.bound;
  if (b.kind === 'none') return 'none on file';
  const places = j.characteristic.kind === 'length' || j.characteristic.kind === 'ratio' ? 2 : 0;
  const show = (v: number): string => figureText(j.characteristic, v, Math.max(places, String(v).split('.')[1]?.length ?? 0));
  if (b.kind === 'range') return `${show(b.low)} to ${show(b.high)}`;
  return `${b.kind === 'lower' ? 'at least' : 'at most'} ${show(b.at)}`;
}

export interface Meaning {
  readonly found: string;
  readonly means: string;
  readonly next: string;
}

const VERDICT_PHRASE: Partial<Record<Judged['verdict'], string>> = {
  past: 'is past its limit',
  cant_tell: 'cannot be told from its limit',
  watch: 'holds, but not to the next service or by little',
  no_limit: 'has no limit on file',
};

/** What is done about a rotor that is warped, by the school of the house. */
const WARPED: Readonly<Record<string, string>> = {
  machine: 'Decide: machine both of the axle while the thickness allows, as the house does.',
  replace: 'Decide: replace both of the axle, as the house does.',
};

function runoutCause(r: Runout, followed: Followed): { means: string; next: string } {
  const w = fixed(r.wobble, 2);
  if ((r.shareWobble ?? 0) >= 0.5) {
    return {
      means: `${w} mm of it is wobble, once a turn: seating face, debris, a bent hub or the order of the nuts. Warp is ${fixed(r.warp, 2)} mm.`,
      next: 'Clean hub face and seat to metal, torque the nuts in order, sweep again. Then turn the rotor on its studs and sweep once more.',
    };
  }
  if ((r.shareWarp ?? 0) >= 0.5) {
    return {
      means: `${fixed(r.warp, 2)} mm of it is warp, twice a turn: heat or casting stress in the rotor itself.`,
      next: WARPED[followed('rotors') ?? ''] ?? 'Decide: machine the rotor if the thickness allows, or replace both of the axle.',
    };
  }
  return {
    means: `${fixed(r.residual, 2)} mm is neither wobble nor warp: rust or noise on the surface.`,
    next: 'Clean the swept faces to metal and sweep again before blaming anything.',
  };
}

/**
 * What was found on a component, what it means and what to do next.
 * @param judged its figures, worst matter first or in any order
 * @param runout the split of its newest sweep, where there is one
 * @param missing names of measurements still to take
 * @param beside figures of the set in hand, also those that are not judged, and what was rejected by eye
 */
export function meaningOf(
  judged: readonly Judged[],
  runout: Runout | null,
  missing: readonly string[],
  beside: {
    readonly taken: number;
    readonly rejects: readonly string[];
    /** Findings that stand open, in their words. */
    readonly doubts?: readonly string[];
    /** Whether the axle has another side of it. */
    readonly paired?: boolean;
    /** The cheapest way out of a figure that cannot be told. */
    readonly decisiveNextStep?: (j: Judged) => string;
    /** Schools that the shop follows. */
    readonly followed?: Followed;
  } = { taken: 0, rejects: [] },
): Meaning {
  const judgedEnough = judged.filter((j) => j.enough || j.verdict === 'past');
  const matters = judgedEnough.filter((j) => VERDICT_PHRASE[j.verdict] !== undefined);
  const phrases = matters.map((j) => `${j.characteristic.short} ${figureOf(j)} ${VERDICT_PHRASE[j.verdict] ?? ''}`);
  const found =
    judgedEnough.length === 0
      ? 'Nothing judged yet.'
      : phrases.length === 0
        ? beside.doubts?.length
          ? `The figures taken so far hold. Open: ${beside.doubts.join(' ')}`
          : 'Everything taken so far holds.'
        : `${phrases.join('. ')}.${matters.length < judgedEnough.length ? ' All else holds.' : ''}`;
  const bad = matters.find((j) => j.verdict === 'past') ?? matters.find((j) => j.verdict === 'cant_tell');
  if (bad?.characteristic.role === 'runout' && runout) return { found, ...runoutCause(runout, beside.followed ?? (() => null)) };
  const decide = beside.paired === false ? 'Decide what becomes of it.' : 'Decide for this side and the other together.';
  const [rejected] = beside.rejects;
  if (bad?.verdict !== 'past' && rejected)
    return {
      found: `By eye: ${rejected}${phrases.length > 0 ? ` ${phrases.join('. ')}.` : ''}`,
      means: 'It is rejected for what was seen on it. No figure takes that back.',
      next: decide,
    };
  if (bad?.verdict === 'past') {
    const word =
      bad.characteristic.gravity === 'safety'
        ? 'It may not be used again; this is answered by the part, not by a waiver.'
        : 'It will be felt at the pedal or wear the linings.';
    return { found, means: word, next: decide };
  }
  if (bad?.verdict === 'cant_tell')
    return {
      found,
      means:
        (bad.contradicts && contradictionWords(bad, bad.contradicts)) ??
        (bad.unsaid && UNSAID[bad.unsaid]) ??
        `The figure lies ${bad.side === 'within' ? 'inside' : 'outside'} the limit, but nearer than the gauge can tell.`,
      next: beside.decisiveNextStep?.(bad) ?? 'Take it again with a finer gauge, or clean and repeat.',
    };
  const noTest = judged.find((j) => !j.enough && j.verdict === 'not_gauged' && j.reduced.notYet?.kind === 'hold');
  if (noTest) return { found, means: sentence(noTest), next: 'Take it again from the first figure, on the clock.' };
  if (missing.length > 0) return { found, means: 'Not enough is known to decide.', next: `Take ${missing.join(' and ').toLowerCase()}.` };
  if (matters.some((j) => j.verdict === 'no_limit'))
    return { found, means: 'Without a limit nothing is judged.', next: 'Enter the limit from the maker’s document.' };
  if (judgedEnough.length === 0 && beside.taken > 0)
    return {
      found: 'Written down.',
      means: 'There is no limit for it, and none is asked for: it is kept for whoever puts this together, and for the next time.',
      next: 'Go on to the next.',
    };
  if (judgedEnough.length === 0)
    return { found, means: 'A part without a figure is not good, it is not gauged.', next: 'Take the first position.' };
  if (beside.doubts?.length)
    return { found, means: 'What was seen on it stands open: the figures do not answer that.', next: 'Settle what was seen, then decide.' };
  const next = beside.paired === false ? 'Go on to the next.' : 'Gauge the other side of the axle, then decide for both.';
  return { found, means: 'Nothing here needs deciding for its own sake.', next };
}
