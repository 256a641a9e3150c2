import type { Characteristic } from '../catalogue/characteristics.ts';
import type { Runout } from '../metrology/rotorRunout.ts';
import { convert, fixed, groupThousands, plainFixed } from '../quantity/display.ts';
import { unitOf } from '../quantity/units.ts';
import { SOURCE_WORD } from '../verdict/limits.ts';
import type { Judged } from './judge.ts';

/** A figure in mm with the decimals its readings are worth. */
export function mm(value: number, decimals: number): string {
  return `${fixed(value, decimals)} mm`;
}

/** A figure of a characteristic with its unit: lengths in mm, shares in %, the rest in their own. */
export function figureText(of: Pick<Characteristic, 'kind' | 'unit'>, value: number, decimals: number): string {
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

/** Distance of the figure to the governing end of its limit, positive on the good side, mm; null without a limit. */
export function roomLeft(j: Judged): number | null {
  const b = j.bound;
  if (b.kind === 'none') return null;
  if (b.kind === 'range') return Math.min(j.reduced.value - b.low, b.high - j.reduced.value);
  return b.kind === 'lower' ? j.reduced.value - b.at : b.at - j.reduced.value;
}

/** One sentence under the rule: what is left, or what is wrong, in words. */
export function sentence(j: Judged): string {
  const room = roomLeft(j);
  const least = j.characteristic.kind === 'length' ? Math.max(j.reduced.decimals, 2) : j.reduced.decimals;
  const say = (value: number): string => figureText(j.characteristic, value, d);
  const d = room !== null && Number(plainFixed(room, least)) === 0 ? least + 1 : least;
  if (!j.enough && j.verdict === 'not_gauged' && j.reduced.why) return j.reduced.why;
  if (!j.enough && j.verdict === 'not_gauged')
    return `${j.reduced.taken} of at least ${j.reduced.needed} positions taken: too few to judge.`;
  if (j.contradicts !== null) return j.contradicts;
  if (j.unsaid !== null) return j.unsaid;
  if (j.reduced.pastBecause !== undefined) return j.reduced.pastBecause;
  if (j.bearingFirst) return 'Bearing first: the end float is past its limit, so this says nothing until the bearing is put right.';
  if (j.second && !j.second.agrees)
    return `Two people measured ${say(Math.abs(j.second.value - j.reduced.value))} apart: more than the gauges explain. Take it a third time together.`;
  if (room === null) return 'No limit on file. Enter it from the maker’s document, or a lead accepts it with a reason.';
  switch (j.verdict) {
    case 'past':
      return `${say(-room)} past the ${limitName(j)}. The gauge’s ${plusMinus(j)} does not change that.`;
    case 'cant_tell': {
      const side = j.lies === 'within' ? `${say(Math.abs(room))} inside` : `${say(Math.abs(room))} outside`;
      return `${side} the ${limitName(j)}, and the gauge can be ${plusMinus(j)} out. A finer gauge would settle it.`;
    }
    default: {
      const left = `${say(room)} left before the ${limitName(j)}`;
      if (!j.wear) return `${left}.${j.noWear === null ? '' : ` ${j.noWear}`}`;
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

function runoutCause(r: Runout): { means: string; next: string } {
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
      next: 'Decide: machine the rotor if the thickness allows, or replace both of the axle.',
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
    /** The cheapest way out of a figure that cannot be told. */
    readonly decisiveNextStep?: (j: Judged) => string;
  } = { taken: 0, rejects: [] },
): Meaning {
  const judgedEnough = judged.filter((j) => j.enough || j.verdict === 'past');
  const matters = judgedEnough.filter((j) => VERDICT_PHRASE[j.verdict] !== undefined);
  const phrases = matters.map((j) => `${j.characteristic.short} ${figureOf(j)} ${VERDICT_PHRASE[j.verdict] ?? ''}`);
  const found =
    judgedEnough.length === 0
      ? 'Nothing judged yet.'
      : phrases.length === 0
        ? 'Everything taken so far holds.'
        : `${phrases.join('. ')}.${matters.length < judgedEnough.length ? ' All else holds.' : ''}`;
  const bad = matters.find((j) => j.verdict === 'past') ?? matters.find((j) => j.verdict === 'cant_tell');
  if (bad?.characteristic.role === 'runout' && runout) return { found, ...runoutCause(runout) };
  const [rejected] = beside.rejects;
  if (bad?.verdict !== 'past' && rejected)
    return {
      found: `By eye: ${rejected}${phrases.length > 0 ? ` ${phrases.join('. ')}.` : ''}`,
      means: 'It is rejected for what was seen on it. No figure takes that back.',
      next: 'Decide for this side and the other together.',
    };
  if (bad?.verdict === 'past') {
    const word =
      bad.characteristic.gravity === 'safety'
        ? 'It may not be used again; this is answered by the part, not by a waiver.'
        : 'It will be felt at the pedal or wear the linings.';
    return { found, means: word, next: 'Decide for this side and the other together.' };
  }
  if (bad?.verdict === 'cant_tell')
    return {
      found,
      means:
        bad.contradicts ??
        bad.unsaid ??
        `The figure lies ${bad.lies === 'within' ? 'inside' : 'outside'} the limit, but nearer than the gauge can tell.`,
      next: beside.decisiveNextStep?.(bad) ?? 'Take it again with a finer gauge, or clean and repeat.',
    };
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
  return { found, means: 'Nothing here needs deciding for its own sake.', next: 'Gauge the other side of the axle, then decide for both.' };
}
