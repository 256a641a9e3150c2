/** Sentences, by subject and by language: what a typed reason is called. No rule reads them. */
export { PUT_IN_NAME } from './en/places.ts';
