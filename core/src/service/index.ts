/** What falls due on a vehicle, from its records. */
export { type Due, duesOf, lastExercised } from './dues.ts';
