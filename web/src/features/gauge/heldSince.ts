import { shallowRef } from 'vue';

/** Since when something is held, ms of the clock of this device, by "slot|measurement|place". */
export const heldSince = shallowRef<ReadonlyMap<string, number>>(new Map());
