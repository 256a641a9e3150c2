import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What a port seals on. Source: handbook 58, D19. */
export const PORT_SEATS = ['cone', 'hollow', 'flat', 'taper', 'o_ring'] as const;
export type PortSeat = (typeof PORT_SEATS)[number];

/** What a port of a unit is: the newest of its part counts. Source: handbook 58, A20. */
export interface PortFact extends JobEvent {
  readonly slotId: string;
  /** The part that sat there; null where the place has no article. Another one has ports of its own. */
  readonly partId: string | null;
  /** Which of its ports: the line that ends there, `bridge` or `plug`. */
  readonly port: string;
  readonly seat: PortSeat;
  readonly thread: string;
  /** Where it lies on the unit, in words. */
  readonly lies: string;
}

export const portFacts: FamilyDescriptor<PortFact> = {
  ...PLAIN,
  label: 'port of a unit',
  subjects: ['slot', 'part'],
  readWith: 'vehicle',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: { slotId: 'place', partId: 'part' },
  blackable: ['thread', 'lies'],
};
