import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What a picture shows. */
export type PictureOf = 'vehicle' | 'came_with' | 'place' | 'paper' | 'finding';

/** A picture: the image itself is kept once, under the hash of its bytes. */
export interface Picture extends JobEvent {
  /** SHA-256 of the image's bytes, hexadecimal. */
  readonly hash: string;
  readonly of: PictureOf;
  readonly slotId: string | null;
  /** The finding that it shows. */
  readonly findingId: string | null;
  readonly note: string;
}

export const pictures: FamilyDescriptor<Picture> = {
  ...PLAIN,
  label: 'picture',
  subjects: ['vehicle', 'slot', 'record'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', findingId: 'event_of_vehicle' },
  blackable: ['note'],
};
