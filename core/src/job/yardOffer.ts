import { type Obligation, obligation } from '../catalogue/stages.ts';

/**
 * What a lead may grant by name while the parking brake is not proved: the yard, with a person and chocks at it. It
 * rests on what stands in the way now, and falls when that changes.
 */
export function yardOffer(obligations: readonly Obligation[]): Obligation {
  const inTheWay = obligations.filter((o) => o.state === 'open' && (o.key.startsWith('lock:') || o.key === 'proof:parking'));
  return obligation('prove', 'move:yard', 'Yard only, with a person and chocks', false, {
    why: 'The parking brake is not proved, the vehicle has none, or a control is locked.',
    acceptBy: 'lead',
    rests: inTheWay
      .map((o) => `${o.key.slice(-14)}=${o.rests.length}${o.why ?? ''}`)
      .join(';')
      .slice(0, 200),
  });
}
