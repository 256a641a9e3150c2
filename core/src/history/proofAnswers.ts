import { type ProofItem, proofCloses } from '../catalogue/proofItems.ts';
import type { Proof } from '../ledger/families/proofs.ts';

/**
 * The newest answer to an item. Where another one was written down later, and the two do not agree on whether it is
 * proved, that it is not holds: no clock that runs ahead keeps a good answer standing over a bad one.
 */
export function answerTo(proofs: readonly Proof[], item: ProofItem): Proof | null {
  const mine = proofs.filter((p) => p.item === item.item && p.corner === item.corner);
  const newest = mine.at(-1);
  if (!newest) return null;
  const later = mine.filter((p) => p.recordedAt > newest.recordedAt && !proofCloses(p.result));
  return proofCloses(newest.result) ? (later.at(-1) ?? newest) : newest;
}
