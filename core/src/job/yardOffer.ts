import { isProofOf, isDuty, type Obligation, obligation } from '../ledger/obligation.ts';
import { TITLE, REASON } from '../wording/en/duties.ts';

/**
 * What a lead may grant by name while the parking brake is not proved: the yard, with a person and chocks at it. It
 * rests on what stands in the way now, and falls when that changes.
 */
export function yardOffer(obligations: readonly Obligation[]): Obligation {
  const inTheWay = obligations.filter((o) => o.state === 'open' && (isDuty(o, 'lock') || isProofOf(o, 'parking')));
  return obligation({ kind: 'yard' }, TITLE.yard, false, {
    why: REASON.yard,
    acceptBy: 'lead',
    rests: inTheWay
      .map((o) => `${o.key.slice(-14)}=${o.rests.length}${o.why ?? ''}`)
      .join(';')
      .slice(0, 200),
  });
}
