import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Says that two articles on record are one (join), or that one is two from an instant on (split). */
export interface PartCorrection extends JobEvent {
  readonly kind: 'join' | 'split';
  readonly partId: string;
  /** The article that stays (join), or the new one (split). */
  readonly otherId: string;
  /** Split: what happened from this instant on happened to the other one. */
  readonly since: string | null;
  readonly reason: string;
}

export const partCorrections: FamilyDescriptor<PartCorrection> = {
  ...PLAIN,
  label: 'articles that are one',
  subjects: ['part'],
  readWith: 'parts',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => true,
  /** Both articles are looked at where parts are corrected. */
  names: {},
  blackable: ['reason'],
};
