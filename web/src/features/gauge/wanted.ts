import type { MeasurementId } from '@dauer/core/catalogue';
import { useSessionStorage } from '@vueuse/core';
import { ref } from 'vue';
import { useJob } from '../../job/job.ts';

/** What is to be gauged next at a place, where somebody comes along the route. */
export const wanted = ref<{ readonly slotId: string; readonly measurement: MeasurementId } | null>(null);

/** Goes to a stop of the route. */
export function goTo(stop: { readonly slotId: string; readonly measurement: MeasurementId }): void {
  wanted.value = { slotId: stop.slotId, measurement: stop.measurement };
  useJob().picked = stop.slotId;
}

/** Stops that were passed over for now, on this device: "slot|measurement". */
export const skipped = useSessionStorage<string[]>('dauer.skipped', []);
export const skippedStops = (): ReadonlySet<string> => new Set(skipped.value);
