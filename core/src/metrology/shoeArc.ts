import { ARC_AIM } from '../catalogue/measured/practice.ts';
import { DomainError, SLACK } from '../quantity/domainError.ts';

export interface ShoeArc {
  /** Drum less lining arc, mm in diameter. */
  readonly difference: number;
  readonly contact: 'crown' | 'full' | 'heel_and_toe';
  /** How far heel and toe stand off with the crown touching, mm. */
  readonly heelToeGap: number;
  /** How far the crown stands off with heel and toe touching, mm. */
  readonly crownGap: number;
  readonly mustBeArced: boolean;
  readonly withinAim: boolean;
  /** Lining more on each shoe than with the drum when new, mm; null without its diameter. */
  readonly extraLining: number | null;
}

/**
 * How a shoe's lining meets its drum, to first order.
 * @param input.drum diameter of the drum, mm
 * @param input.lining diameter of the lining's arc, mm
 * @param input.halfArc from the crown to heel or toe, degrees, between 0 and 90
 * @param input.drumNew diameter of the drum when new, mm
 * @throws DomainError bad_half_arc, nonpositive_diameter
 * Source: handbook 20, Shoe arc against drum: (R − r)(1 − cos α), and (r − R)(1/cos α − 1) where r > R.
 */
export function shoeArc(input: {
  readonly drum: number;
  readonly lining: number;
  readonly halfArc: number;
  readonly drumNew?: number | null;
  readonly aim?: { readonly low: number; readonly high: number };
}): ShoeArc {
  const drumNew = input.drumNew ?? null;
  if (!(input.halfArc > 0) || !(input.halfArc < 90)) {
    throw new DomainError('bad_half_arc', 'The half-arc of a lining lies between 0 and 90°, neither included.');
  }
  if (!(input.drum > 0) || !(input.lining > 0) || (drumNew !== null && !(drumNew > 0))) {
    throw new DomainError('nonpositive_diameter', 'A diameter is more than nothing.');
  }
  const aim = input.aim ?? ARC_AIM;
  const difference = input.drum - input.lining;
  const cos = Math.cos((input.halfArc * Math.PI) / 180);
  const contact = Math.abs(difference) <= SLACK ? 'full' : difference > 0 ? 'crown' : 'heel_and_toe';
  return {
    difference,
    contact,
    heelToeGap: contact === 'crown' ? (difference / 2) * (1 - cos) : 0,
    crownGap: contact === 'heel_and_toe' ? (-difference / 2) * (1 / cos - 1) : 0,
    mustBeArced: contact === 'heel_and_toe',
    withinAim: difference >= aim.low - SLACK && difference <= aim.high + SLACK,
    extraLining: drumNew === null ? null : (input.drum - drumNew) / 2,
  };
}
