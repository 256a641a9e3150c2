import type { ProofItem } from '../catalogue/proofItems.ts';
import { type Obligation, isDuty, isProofOf, obligation } from '../ledger/obligation.ts';
import type { ProofStatus } from '../readiness/proofStatus.ts';
import { REASON, TITLE } from '../wording/en/duties.ts';

const tail = (id: string): string => id.slice(-6);

/** What a lock and an answer rest on: the places that lock a control and how they stand, and the answer with what ended it. */
function restsOn(standing: ProofStatus, item: ProofItem | undefined, o: Obligation): string {
  const lock = isDuty(o, 'lock') ? standing.locks.find((l) => l.control.slotId === o.duty.slotId) : undefined;
  if (lock) {
    const places = lock.by.slice(0, 8).map((p) => `${tail(p.slot.id)}${p.cause?.kind.charAt(0) ?? ''}`);
    return `${tail(lock.control.slotId)}=${lock.by.length}:${places.join(',')}`;
  }
  const answer = item ? standing.answer(item) : null;
  if (answer === null) return 'parking=';
  const { record, lapsed, provisional } = answer;
  return `parking=${tail(record.id)}:${lapsed ? tail(lapsed.eventId) : ''}:${provisional ? tail(provisional.slot.id) : ''}`;
}

/** As an earlier program wrote down what the grant rests on: by the sentences of its day. */
function restedBefore(inTheWay: readonly Obligation[]): string {
  return inTheWay
    .map((o) => `${o.key.slice(-14)}=${o.rests.length}${o.why ?? ''}`)
    .join(';')
    .slice(0, 200);
}

/**
 * What a lead may grant by name while the parking brake is not proved: the yard, with a person and chocks at it. It
 * rests on what stands in the way now, and falls when that changes.
 */
export function yardOffer(obligations: readonly Obligation[], standing: ProofStatus, items: readonly ProofItem[]): Obligation {
  const inTheWay = obligations.filter((o) => o.state === 'open' && (isDuty(o, 'lock') || isProofOf(o, 'parking')));
  const parking = items.find((i) => i.item === 'parking');
  return obligation({ kind: 'yard' }, parking ? TITLE.yard : TITLE.otherMeans, false, {
    why: parking ? REASON.yard : REASON.otherMeans,
    // What never had a parking brake is moved as such things are moved; who and how is said.
    acceptBy: parking || inTheWay.length > 0 ? 'lead' : 'technician',
    rests: inTheWay
      .map((o) => restsOn(standing, parking, o))
      .join(';')
      .slice(0, 300),
    restsBefore: restedBefore(inTheWay),
  });
}
