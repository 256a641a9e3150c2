import type { ProofResult } from '../../catalogue/proofItems.ts';
import { readTold } from '../../quantity/told.ts';
import type { Corner } from '../../layout/kinds.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Proof extends JobEvent {
  readonly item: string;
  readonly slotId: string | null;
  readonly corner: Corner | null;
  readonly result: ProofResult;
  readonly note: string;
  /** How far it was driven, as typed and in km; of the road test alone. */
  readonly roadTyped?: string | null;
  readonly roadKm?: number | null;
  /** What was felt on the road, by its code; none where nothing was, null where it was not asked. */
  readonly felt?: readonly string[] | null;
}

export const proofs: FamilyDescriptor<Proof, { readonly roadTyped?: string | null; readonly roadUnit?: 'km' | 'mi' }> = {
  ...PLAIN,
  label: 'proof',
  subjects: ['vehicle', 'slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { slotId: 'place', corner: 'corner' },
  blackable: ['note'],
  aside: ['roadUnit'],
  derive: ({ roadTyped, roadUnit }) => ({
    roadTyped: roadTyped ?? null,
    roadKm: roadTyped ? readTold('road', roadTyped, roadUnit ?? 'km').canonical : null,
  }),
};
