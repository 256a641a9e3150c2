/** What falls due on a vehicle, from its records. */
export { DUE_SOON_DAYS, type DueAccess } from './dueRules.ts';
export { type Due, duesOf, lastExercised } from './dues.ts';
