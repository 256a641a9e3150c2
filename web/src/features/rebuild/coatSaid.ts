import type { Coat } from '@dauer/core/ledger';

/** What is said of a finish where a part is coated. */
export type CoatSaid = Pick<Coat, 'way' | 'colour' | 'gloss' | 'coats' | 'batch'>;

/** Whether anything is said of it at all. */
export const saysFinish = (c: CoatSaid): boolean =>
  c.way !== 'unknown' || c.gloss !== 'unknown' || c.colour !== '' || c.coats !== null || c.batch !== '';
