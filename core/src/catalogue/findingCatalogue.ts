import type { ComponentKind } from '../layout/kinds.ts';
import type { FindingEntry, KnownFinding } from './findingKinds.ts';
import { ON_ANY, ON_RUNS } from './findingsAnywhere.ts';
import { FINDING_CATALOGUE } from './findingsOfParts.ts';

/** A shop's own entry, as one of the catalogue. */
function own(entry: FindingEntry): KnownFinding {
  const { id, kinds, name, looks, matters, severity } = entry;
  return { id, kinds, name, looks, matters, severity, rulesOut: [], code: null, stretch: false };
}

/** What is known by name on a kind of component, the shop's own ones last. */
export function findingsOn(kind: ComponentKind, owned: readonly FindingEntry[] = []): KnownFinding[] {
  return [...FINDING_CATALOGUE, ...ON_RUNS, ...ON_ANY, ...owned.map(own)].filter((f) => f.kinds.includes(kind));
}
