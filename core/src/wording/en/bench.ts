/** What the benches say: adjuster, seal, bore, cut, studs, shoes, pads. */

import { GAUGE_KIND_NAME } from '../../catalogue/gaugeKinds.ts';
import type { AdjusterMissing, AdjusterTravel, Draw } from '../../judging/adjusterTravel.ts';
import type { NotGauged, Cut, CutPair } from '../../judging/cutting.ts';
import type { NextStep } from '../../judging/decisiveNextStep.ts';
import type { BoreMissing, Honing } from '../../judging/honing.ts';
import type { Judged } from '../../judging/judge.ts';
import type { SealMissing, SealZone } from '../../judging/sealZone.ts';
import type { OnStuds } from '../../judging/turnOnStuds.ts';
import { DRUM_PAIR_DIFFERENCE } from '../../metrology/drum.ts';
import type { PadPattern } from '../../metrology/padLining.ts';
import type { ShoeArc } from '../../metrology/shoeArc.ts';
import { type LiningCircle, type Lifts, type Chosen, MAX_SETTINGS, SHOE_ENDS, spread } from '../../metrology/shoeCentring.ts';
import { fixed, groupThousands } from '../../quantity/display.ts';
import { SLACK } from '../../quantity/domainError.ts';

import { figureText } from './verdicts.ts';

/** A length of less than this is not worth saying, mm. */
const WORTH_SAYING = 0.005;

const ADJUSTER_MISSING: Readonly<Record<AdjusterMissing, string>> = {
  drum: 'the drum’s diameter',
  drum_new: 'the drum when new (limit book)',
  linings: 'the linings',
  lining_new: 'the lining when new (limit book, or measured here)',
  above_rivets_new: 'the lining above its rivets when new (limit book, or measured here)',
  whole_travel: 'the adjuster’s whole travel',
};

/** What is missing before an adjuster can be reckoned, in words. */
export const adjusterMissingWords = (missing: readonly AdjusterMissing[]): string => missing.map((m) => ADJUSTER_MISSING[m]).join(', ');

const SEAL_MISSING: Readonly<Record<SealMissing, string>> = {
  mouth: 'mouth of the bore to the rotor’s face or the fingers',
  seal_place: 'where the seal sits',
  seal_width: 'width of the seal',
  sealing_length: 'sealing length of the piston',
  lining_new: 'lining thickness when new (limit book)',
  lining_discard: 'discard thickness of the lining (limit book)',
  inner_pad: 'inner pad with backing and shims',
  outer_pad: 'outer pad with backing and shims',
  inner_lining: 'lining of the inner pad',
  outer_lining: 'lining of the outer pad',
  rotor_new: 'rotor thickness when new (limit book)',
  rotor_discard: 'discard thickness of the rotor (limit book)',
  rotor: 'rotor thickness',
};

/** What is missing before it can be said where the seal sweeps, in words. */
export const sealMissingWords = (z: SealZone): string => z.missing.map((m) => SEAL_MISSING[m]).join(', ');

/** The first thing that is missing, in words; null where nothing is. */
export const firstSealMissing = (z: SealZone): string | null => {
  const [first] = z.missing;
  return first === undefined ? null : SEAL_MISSING[first];
};

const BORE_MISSING: Readonly<Record<BoreMissing, string>> = {
  bore: 'the bore',
  piston: 'the piston to be fitted',
  bore_new: 'the bore when new (in the layout)',
  swept_zone: 'the zone that the seals sweep',
  pit_depth: 'how deep the pits are',
};

const DRAW_WORD: Readonly<Record<Draw['what'], string>> = {
  drum: 'the drum',
  linings: 'thin linings',
  link: 'a short link',
  cam: 'a worn cam',
};

/** What the adjuster has left, in words: found, and what to do. */
export function adjusterWords(t: AdjusterTravel, liningDiscard: number | null): string {
  const parts = t.draws.filter((d) => Math.abs(d.mm) > WORTH_SAYING).map((d) => `${DRAW_WORD[d.what]} ${fixed(d.mm, 2)}`);
  const from = parts.length === 0 ? 'Nothing draws on the adjuster yet' : `${fixed(t.used, 2)} mm used: ${parts.join(', ')}`;
  const clicks = t.clicksLeft === null ? '' : `, ${t.clicksLeft} clicks or turns`;
  if (t.left <= SLACK)
    return `${from}. The travel has run out by ${fixed(-t.left, 2)} mm: the shoes cannot be set to this drum. ${lift(t)}`;
  const ends =
    t.endsBeforeDiscard === true
      ? ` It runs out with the thinnest lining at ${fixed(t.endsAtLining, 1)} mm, before it is worn to ${fixed(liningDiscard ?? 0, 1)}.`
      : t.endsBeforeDiscard === false
        ? ' It lasts until the linings are worn out.'
        : '';
  return `${from}. ${fixed(t.left, 2)} mm left${clicks}.${ends}${t.liftToMiddle > WORTH_SAYING ? ` ${lift(t)}` : ''}`;
}

const lift = (t: AdjusterTravel): string =>
  `${fixed(t.liftToMiddle, 2)} mm more in all, of thicker linings, a longer link or packing, puts the adjuster back into the middle.`;

/** What the zone says, in words: found, and what to do. */
export function sealZoneWords(z: SealZone): string {
  if (z.refused) return z.refused.message;
  if (!z.result) return z.pits.length === 0 ? 'No pit was written down on this piston.' : `Not known yet: ${sealMissingWords(z)}.`;
  const { result } = z;
  const leaves = result.leavesSeal ? ' Worn out, the set would let the piston leave its seal.' : '';
  if (z.pits.length === 0) return `No pit was written down on this piston.${leaves}`;
  const withPad = z.caliper === 'fixed' ? ` Reckoned with the ${z.pad} pad, on which this piston presses.` : '';
  if (result.wornPadTrap)
    return `Tight today on worn pads: the seal stands beside the pit. New pads push the piston home, and the pit comes under the seal: it will leak then. Reject the piston.${leaves}${withPad}`;
  if (result.reject) return `A pit lies where the seal rests or sweeps between worn and new linings. Reject the piston.${leaves}${withPad}`;
  return `Every pit stays clear of the seal in all three states. The piston may be used for them.${leaves}${withPad}`;
}

/** What a bore allows, in words. */
export function honingWords(h: Honing): string {
  if (h.refused) return h.refused.message;
  if (!h.result) return `Not known yet: ${h.missing.map((m) => BORE_MISSING[m]).join(', ')}.`;
  const { result } = h;
  if (result.wearPast) return 'The bore is worn past its limit: sleeve or replace.';
  if (result.clearancePast) return 'The piston has too much clearance in this bore: sleeve or replace, or another piston.';
  if (result.decision === 'use') return 'No pit lies where a seal rests or sweeps: it may be used as it is.';
  if (result.decision === 'hone') return 'The pits come out with a light hone and the clearance still holds.';
  return h.honeTo === null
    ? 'A pit lies where a seal sweeps, and no hone-to figure is on file: no hone. Sleeve or replace.'
    : 'A pit lies where a seal sweeps and is too deep to hone out, or the metal is not honed: sleeve or replace.';
}

/** What the sweeps of a rotor on its hub say, in words; each empty where there is nothing to say yet. */
export function studsWords(f: OnStuds): { readonly advice: string; readonly apart: string; readonly proof: string } {
  const mm = (v: number | undefined): string => fixed(v ?? 0, 2);
  const r = f.result;
  const proof = f.proof ? `Proof sweep: total ${mm(f.proof.runout.tir)} mm, wobble ${mm(f.proof.runout.wobble)} mm.` : '';
  if (!r) return { advice: '', apart: '', proof };
  const apart = `Rotor ${mm(r.rotor.tir)}, hub ${mm(r.hub.tir)} mm of wobble, told apart by two sweeps.`;
  if (r.hubOverLimit)
    return { advice: `The hub alone makes ${mm(r.hub.tir)} mm: no position of the rotor helps. Clean or replace the hub.`, apart, proof };
  if (f.stays) return { advice: `It sits as well as it can: about ${mm(r.bestTir)} mm of wobble. Put it back as it was.`, apart, proof };
  const still = r.bestWithinLimit ? '' : ' That is still over the limit.';
  return {
    advice: `Put hole ${f.hole} on stud 1: ${mm(r.predicted[0])} becomes about ${mm(r.bestTir)} mm of wobble.${still}`,
    apart,
    proof,
  };
}

const NOT_GAUGED: Readonly<Record<NotGauged, string>> = {
  score_depth: 'score depth',
  radial_runout: 'radial runout',
  warp_and_wobble: 'warp and wobble',
};

/** What a cut leans on and nobody gauged, in words; empty where everything was. */
export function takenAsNoneWords(cut: Cut): string {
  return cut.takenAsNone.map((n) => NOT_GAUGED[n]).join(', ');
}

function pairWords(pair: CutPair): string {
  const other = fixed(pair.other, 2);
  if (pair.together === null) return ` With the other side at ${other} mm the pair stays within ${fixed(DRUM_PAIR_DIFFERENCE, 2)} mm.`;
  const { mine, other: theirs, allowed } = pair.together;
  return ` The other side comes out at ${other} mm: turn this one to ${fixed(mine, 2)} and that one to ${fixed(theirs, 2)} mm${allowed ? '' : ', which one of them does not allow'}.`;
}

/** Whether a part may be cut, in words. */
export function cutWords(cut: Cut): string {
  if (cut.refused) return cut.refused.message;
  const would = `Cut clean it would come out at ${fixed(cut.after, 2)} mm`;
  const to = fixed(cut.machineTo ?? 0, 2);
  const pair = cut.pair ? pairWords(cut.pair) : '';
  switch (cut.state) {
    case 'past_discard':
      return `It is past discard already: nothing is cut.${pair}`;
    case 'no_machine_to_on_file':
      return `${would}. No machine-to figure is on file: no cut until it is entered.${pair}`;
    case 'machinable':
    case 'turnable': {
      const early = cut.early ? ' At this vehicle’s rate it would be past discard before the next service.' : '';
      return `${would}; machine-to is ${to} mm. It can be cut.${early}${pair}`;
    }
    default:
      return `${would}, past machine-to ${to} mm. It may be used as it is if the surface allows, not cut.${pair}`;
  }
}

/** The cheapest way out of a figure that cannot be told from its limit, in words. */
export function nextStepWords(j: Judged, step: NextStep): string {
  const text = (u: number): string => figureText(j.characteristic, u, Math.min(4, j.reduced.decimals + 1));
  switch (step.kind) {
    case 'look_at_number':
      return 'Look at the number on the part, and let another person gauge it blind. Where the part is another, enter what it was when new.';
    case 'say_it':
      return 'Say it there, and the figure is judged at once.';
    case 'bearing_first':
      return 'Put the bearing right first, then sweep again.';
    case 'third_time':
      return 'Measure it a third time, both of you together.';
    case 'finer': {
      const what = step.of === null ? ' it' : ` what the ${GAUGE_KIND_NAME[step.of].toLowerCase()} gave`;
      return `${step.tag} tells to ±${text(step.u)}: take${what} again with that.`;
    }
    case 'finest_together':
      return `${step.tags.join(' and ')} tell to ±${text(step.u)} together: take both again with those.`;
    case 'no_gauge': {
      const none = `No ${step.kinds.map((k) => GAUGE_KIND_NAME[k].toLowerCase()).join(' or ')} on the rack tells that near.`;
      if (j.side === 'past') return `${none} It lies outside: decide as if it were past.`;
      const who =
        j.characteristic.gravity === 'safety' ? 'a lead may accept it after the finest gauge was used' : 'it may be accepted with a reason';
      return `${none} Clean it and take it once more; it lies inside, and ${who}.`;
    }
  }
}

const CONTACT_WORD: Readonly<Record<ShoeArc['contact'], string>> = {
  crown: 'touches at the crown',
  full: 'touches all over',
  heel_and_toe: 'touches at heel and toe first: it must be arced',
};

/** How a lining meets its drum, in words. */
export function shoeArcWords(a: ShoeArc): string {
  const gaps = `gap at heel and toe ${fixed(a.heelToeGap, 2)} mm, at the crown ${fixed(a.crownGap, 2)} mm`;
  const grown =
    a.extraLining !== null && a.extraLining > WORTH_SAYING
      ? ` The drum has grown: each lining wants ${fixed(a.extraLining, 2)} mm more for the adjuster to start with its fresh travel.`
      : '';
  return `${CONTACT_WORD[a.contact]}; ${fixed(a.difference, 2)} mm smaller than the drum, ${gaps}.${grown}`;
}

/** Where the linings stand, in words. */
export function centringWords(c: LiningCircle): string {
  const side = `${fixed(Math.abs(c.dx), 2)} mm to the ${c.dx < 0 ? 'left' : 'right'}, ${fixed(Math.abs(c.dy), 2)} mm ${c.dy < 0 ? 'down' : 'up'}`;
  return `The linings’ centre lies ${fixed(Math.hypot(c.dx, c.dy), 2)} mm off the axle (${side}); the clearance is unequal by ${fixed(c.unequal, 2)} mm.`;
}

export const SHOE_END_NAME: Readonly<Record<keyof Lifts, string>> = { aHeel: 'A heel', aToe: 'A toe', bHeel: 'B heel', bToe: 'B toe' };
/** A chosen setting in words: what to do, what comes of it, and out of how many it was chosen. */
export function liftsWords(c: Chosen): {
  readonly setting: string;
  readonly outcome: string;
  readonly tried: string;
  /** Something is to be done. */
  readonly lifts: boolean;
} {
  const lifts = SHOE_ENDS.flatMap((id) => (c.lifts[id] === 0 ? [] : [`${SHOE_END_NAME[id]} by ${fixed(c.lifts[id], 2)} mm`]));
  const setting = lifts.length === 0 ? 'Leave it as it is' : `Lift ${lifts.join(', ')}`;
  const touch = c.leftOut > 0 ? `, ${groupThousands(c.leftOut)} of them touch` : '';
  return {
    setting,
    lifts: lifts.length > 0,
    outcome: `${setting}: unequal by ${fixed(c.score, 2)} mm instead of ${fixed(spread(c.before), 2)} mm.`,
    tried: `${groupThousands(c.tried)} settings tried${touch}; at most ${groupThousands(MAX_SETTINGS)}.`,
  };
}

/** What uneven wear of pads says, in words. */
export function padPatternWords(p: PadPattern): string {
  switch (p.code) {
    case 'fixed_uneven':
      return `The ${p.pad} piston may be seized and not applying, or the other not releasing.`;
    case 'inner_thinner':
      return 'Slides seized or dry, or the piston does not return.';
    case 'outer_thinner':
      return 'The outer slide or the bracket binds.';
    case 'lengthwise':
      return `The ${p.pad} pad is worn along its length: caliper not square, worn slides or abutments.`;
    case 'radial':
      return `The ${p.pad} pad is worn across its height: caliper spreading or rotor coning.`;
  }
}

/** Why a finding with a position does not settle by words. */
export const SETTLING = {
  needsFigures: (words: string): string =>
    `“${words}” has its position in figures. It is settled by a reading that clears it, a look after work, another part, or its new position in figures.`,
  needsAnother: (words: string): string => `“${words}”: that it lies elsewhere is measured by somebody else than who found it.`,
};
