import { DomainError } from '../quantity/domainError.ts';

/** A fault as the network has it: present or not, by itself as likely as its prior. */
export interface NetworkFault {
  readonly id: string;
  /** Probability before anything is observed, 0 to 1. */
  readonly prior: number;
  /** Nobody drives with it. */
  readonly hazard?: boolean;
  /** What it costs to leave it in, and to work on it in vain, minutes. */
  readonly miss?: number;
  readonly needless?: number;
}

/** Something that can be seen or not: brought about by any of its faults, or by none of them. */
export interface NetworkObservation {
  readonly id: string;
  /** Probability that it is seen without any fault of the network, 0 to 1. */
  readonly leak: number;
  /** How often each fault brings it about by itself, 0 to 1. */
  readonly strengths: Readonly<Record<string, number>>;
}

export interface Network {
  readonly faults: readonly NetworkFault[];
  readonly observations: readonly NetworkObservation[];
}

/** What is known: an observation that is not listed is unchecked, which is no evidence. */
export interface Evidence {
  readonly observations: Readonly<Record<string, 'seen' | 'not_seen'>>;
  /** What the bench found: certain. */
  readonly certain: Readonly<Record<string, 'present' | 'absent'>>;
}

export interface Inference {
  /** Probability of each fault given the evidence, in the order of the network's faults. */
  readonly posterior: readonly number[];
  /** Natural logarithm of the probability of all the evidence, certain findings included; −Infinity where it cannot happen. */
  readonly logLikelihood: number;
}

const probability = (p: number, what: 'prior' | 'leak' | 'strength', of: string): void => {
  if (!(p >= 0 && p <= 1)) throw new DomainError('bad_probability', `The ${what} of ${of} is ${p}: a probability lies between 0 and 1.`);
};

/** @throws DomainError bad_probability, unknown_id (a strength, an observation or a finding that names nothing in the network) */
export function checkNetwork(network: Network, evidence?: Evidence): void {
  const faults = new Set(network.faults.map((f) => f.id));
  for (const f of network.faults) probability(f.prior, 'prior', f.id);
  for (const o of network.observations) {
    probability(o.leak, 'leak', o.id);
    for (const [fault, strength] of Object.entries(o.strengths)) {
      if (!faults.has(fault)) throw new DomainError('unknown_id', `${o.id} names a fault that is not in the network: ${fault}.`);
      probability(strength, 'strength', `${fault} → ${o.id}`);
    }
  }
  if (!evidence) return;
  const observations = new Set(network.observations.map((o) => o.id));
  for (const id of Object.keys(evidence.observations))
    if (!observations.has(id)) throw new DomainError('unknown_id', `There is no observation ${id} in the network.`);
  for (const id of Object.keys(evidence.certain))
    if (!faults.has(id)) throw new DomainError('unknown_id', `There is no fault ${id} in the network.`);
}

/** Ids of what is seen. */
export const seenIn = (evidence: Evidence): string[] =>
  Object.entries(evidence.observations).flatMap(([id, v]) => (v === 'seen' ? [id] : []));
