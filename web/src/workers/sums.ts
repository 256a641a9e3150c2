import { attempt, type ChooseInput, chooseLifts, type Evidence, type Network, type NetworkCheck, weigh } from '@dauer/core';
import { expose } from 'comlink';

/** Sums that would hold up the screen, done beside it. A refusal comes back as its sentence. */
export const sums = {
  chooseLifts(input: ChooseInput) {
    const done = attempt(() => chooseLifts(input));
    return done.ok ? { ok: true as const, value: done.value } : { ok: false as const, why: done.refusal.message };
  },
  weigh: (network: Network, evidence: Evidence, checks: readonly NetworkCheck[], complaint: boolean) =>
    weigh(network, evidence, checks, complaint),
};
export type Sums = typeof sums;
expose(sums);
