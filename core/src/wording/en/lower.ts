import { type Slot, placeName } from '../../layout/graph.ts';

/** The name of a place as it goes on in a sentence. */
export const lower = (slot: Slot): string => placeName(slot).toLowerCase();
