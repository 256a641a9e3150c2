/** Until when something is put off or used for now: a day, a distance, an access. */
export interface Until {
  readonly reviewOn: string | null;
  readonly untilKm: number | null;
  readonly access: string | null;
}
export const NO_TIME: Until = { reviewOn: null, untilKm: null, access: null };
