/** Sentences, by subject and by language: what a typed reason is called. No rule reads them. */
export { PHASE_WORD } from './en/phases.ts';
export { PUT_IN_NAME } from './en/places.ts';
export { STILL_FREE } from './en/readiness.ts';
