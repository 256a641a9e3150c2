import { controlOfItem, itemBase, type ProofItem, proofCloses } from '../catalogue/proofItems.ts';
import type { Proof } from '../ledger/families/proofs.ts';

/** Whether a proof answers an item; what was answered of all controls together answers it of each. */
function answers(proof: Proof, item: ProofItem): boolean {
  if (proof.corner !== item.corner) return false;
  return proof.item === item.item || (controlOfItem(item.item) !== null && proof.item === itemBase(item.item));
}

/**
 * The newest answer to an item. Where another one was written down later, and the two do not agree on whether it is
 * proved, that it is not holds: no clock that runs ahead keeps a good answer standing over a bad one.
 */
export function answerTo(proofs: readonly Proof[], item: ProofItem): Proof | null {
  const mine = proofs.filter((p) => answers(p, item));
  const newest = mine.at(-1);
  if (!newest) return null;
  const later = mine.filter((p) => p.recordedAt > newest.recordedAt && !proofCloses(p.result));
  return proofCloses(newest.result) ? (later.at(-1) ?? newest) : newest;
}
