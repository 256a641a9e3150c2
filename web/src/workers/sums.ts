import { type Evidence, type Network, type NetworkCheck, diagnose } from '@dauer/core/inference';
import { type ChooseInput, chooseLifts } from '@dauer/core/metrology';
import { toResult } from '@dauer/core/quantity';
import { type PracticeCase, proposedPath } from '@dauer/core/views';
import { expose } from 'comlink';

let current: Network = { faults: [], observations: [] };

/** Sums that would hold up the screen, done beside it. A refusal comes back as its sentence. */
export const sums = {
  chooseLifts(input: ChooseInput) {
    const done = toResult(() => chooseLifts(input));
    return done.ok ? { ok: true as const, value: done.value } : { ok: false as const, why: done.refusal.message };
  },
  /** The network is sent once: it stays until another is. */
  setNetwork(network: Network) {
    current = network;
  },
  weigh: (evidence: Evidence, checks: readonly NetworkCheck[], complaint: boolean) => diagnose(current, evidence, checks, complaint),
  proposedPath: (made: PracticeCase) => proposedPath(made),
};
export type Sums = typeof sums;
expose(sums);
