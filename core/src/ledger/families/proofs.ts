import type { ProofResult } from '../../catalogue/proofItems.ts';
import type { Corner } from '../../layout/kinds.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Proof extends JobEvent {
  readonly item: string;
  readonly slotId: string | null;
  readonly corner: Corner | null;
  readonly result: ProofResult;
  readonly note: string;
}

export const proofs: FamilyDescriptor<Proof> = {
  ...PLAIN,
  label: 'proof',
  subjects: ['vehicle', 'slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', corner: 'corner' },
  blackable: ['note'],
};
