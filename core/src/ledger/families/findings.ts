import type { FindingCode, FindingSeverity } from '../../catalogue/findingKinds.ts';
import type { OptionId } from '../../catalogue/repairOptions.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Finding extends JobEvent {
  readonly slotId: string;
  readonly partId: string | null;
  readonly words: string;
  /** What it is called, where it is one that others follow from. */
  readonly code: FindingCode | null;
  readonly severity: FindingSeverity;
  readonly cleaning: 'before' | 'after';
  readonly rulesOut: readonly OptionId[];
  /** An earlier finding that this one settles. */
  readonly settles: string | null;
  /** Which of the catalogue, or of the shop's own, it is; null where it was only said in words. */
  readonly entry: string | null;
  /** Where on the part. */
  readonly place: string | null;
  /** A stretch along it, mm: of a piston from its outer face, of a bore from its mouth. */
  readonly fromMm: number | null;
  readonly toMm: number | null;
  /** How deep, mm. */
  readonly depthMm: number | null;
  /** Done in this shop: by whom and at which step; null where it was not. */
  readonly doneHere: string | null;
}

/** What a finding in words alone has nothing of. */
export const SAID_IN_WORDS = {
  entry: null,
  place: null,
  fromMm: null,
  toMm: null,
  depthMm: null,
  doneHere: null,
} as const satisfies Partial<Finding>;

export const findings: FamilyDescriptor<Finding> = {
  ...PLAIN,
  label: 'finding',
  subjects: ['slot', 'part'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', partId: 'part', settles: 'event_of_vehicle' },
  blackable: ['words', 'place', 'doneHere'],
};
