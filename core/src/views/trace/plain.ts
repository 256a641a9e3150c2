import type { Network } from '../../inference/faultNetwork.ts';
import type { NetworkCheck } from '../../inference/nextCheck.ts';

/** A network with nothing but what the sums need: what is sent to another thread. */
export function plainNetwork({ faults, observations }: Network): Network {
  return {
    faults: faults.map(({ id, prior, hazard, miss, needless }) => ({ id, prior, hazard, miss, needless })),
    observations: observations.map(({ id, leak, strengths }) => ({ id, leak, strengths: { ...strengths } })),
  };
}

/** The same of checks. */
export function plainChecks(checks: readonly NetworkCheck[]): NetworkCheck[] {
  return checks.map(({ id, minutes, observations, drives, cost }) => ({ id, minutes, observations: [...observations], drives, cost }));
}
