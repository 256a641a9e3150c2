import { type ClassFacts, fluidClass, type FluidClass } from '../catalogue/fluids.ts';
import type { Vehicle } from '../ledger/vehicleRecords.ts';

/** Why a fluid is proposed. */
export type FluidProposalWhy = 'as_known' | 'hot' | 'usual';

/** The fluid that is proposed for a vehicle, until somebody picks another. */
export interface FluidProposal {
  readonly fluidClass: FluidClass;
  /** One that takes up little water. */
  readonly lowMoisture: boolean;
  readonly why: FluidProposalWhy;
}

/** Usual where nothing is known: glycol of class 4. What runs hot gets the highest class of its kind. */
const [USUAL, HOT] = ['4', '5.1'] as const satisfies readonly FluidClass[];

/**
 * What goes in, as it is proposed: the kind that is known to be in it and no other, of glycol one that boils higher where it runs
 * hot, and one that takes up little water where it stands or is damp. Source: handbook 58, A56.
 * @param before the class that was known or tested to be in it; null where nobody knows
 */
export function proposedFluid(before: ClassFacts | null, vehicle: Pick<Vehicle, 'use' | 'climate' | 'storage'>): FluidProposal {
  const wet = vehicle.use === 'stands' || vehicle.climate === 'damp' || vehicle.storage === 'damp' || vehicle.storage === 'outside';
  if (before !== null && before.kind !== 'glycol') return { fluidClass: before.id, lowMoisture: false, why: 'as_known' };
  const hotter = (fluidClass(HOT)?.dry ?? 0) > (before?.dry ?? 0);
  if (vehicle.use === 'competition' && hotter) return { fluidClass: HOT, lowMoisture: wet, why: 'hot' };
  return { fluidClass: before?.id ?? USUAL, lowMoisture: wet, why: before ? 'as_known' : 'usual' };
}
