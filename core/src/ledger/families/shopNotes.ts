import type { ComponentKind } from '../../layout/kinds.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What a note is pinned to: this vehicle, every vehicle of its type, every unit of a kind and style, or a step of a card. */
export const PINS = ['vehicle', 'type', 'unit', 'step'] as const;
export type Pin = (typeof PINS)[number];

/** An arrow on a picture: where it points, 0 to 1 across and down. */
export interface NoteArrow {
  readonly x: number;
  readonly y: number;
}

/** What somebody found out, for whoever comes next. Source: handbook 55, Shop notes; 05, lesson 35. */
export interface ShopNote extends JobEvent {
  readonly vehicleId: string;
  readonly pin: Pin;
  /** Where it was found out; null where it is of the whole vehicle. */
  readonly slotId: string | null;
  /** Make and model; empty where it is not of a type. */
  readonly type: string;
  /** Of a unit or a step. */
  readonly kind: ComponentKind | null;
  readonly style: string | null;
  readonly cardId: string | null;
  readonly stepId: string | null;
  readonly words: string;
  /** The picture, by the hash of its bytes. */
  readonly hash: string | null;
  readonly arrow: NoteArrow | null;
}

export const shopNotes: FamilyDescriptor<ShopNote> = {
  ...PLAIN,
  label: 'note of the shop',
  subjects: ['shop', 'vehicle', 'slot'],
  readWith: 'pinned',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: { slotId: 'place' },
  blackable: ['words'],
  derive: (_, { vehicleId }) => ({ vehicleId }),
};
