import { type Finish, KIND_OF_JOB } from '@dauer/core';

/** The words of Book in, as they are offered. */
export const USES = [
  { title: 'daily', value: 'daily' },
  { title: 'seasonal', value: 'seasonal' },
  { title: 'stands', value: 'stands' },
  { title: 'work', value: 'work' },
  { title: 'competition', value: 'competition' },
];
export const CLIMATES = [
  { title: 'dry', value: 'dry' },
  { title: 'temperate', value: 'temperate' },
  { title: 'damp', value: 'damp' },
];
export const STORAGES = [
  { title: 'heated', value: 'heated' },
  { title: 'dry', value: 'dry' },
  { title: 'damp', value: 'damp' },
  { title: 'outside', value: 'outside' },
];
export const COUNTERS = [
  { title: 'km', value: 'km' },
  { title: 'miles', value: 'mi' },
  { title: 'no counter', value: 'none' },
];
export const JOB_KINDS = Object.entries(KIND_OF_JOB).map(([value, k]) => ({ title: k.name, value }));

/** How good is good enough, as agreed at the desk. */
export const FINISHES: Readonly<Record<Finish, string>> = {
  not_said: 'not said yet',
  driver: 'driver: sound, as it comes',
  tidy: 'tidy: clean and painted',
  show: 'show: as new',
};
export const FINISH_ITEMS = Object.entries(FINISHES).map(([value, title]) => ({ title, value }));

/** A sum of money as it was typed; nothing typed is no sum. */
export function sumOf(text: string): { readonly ok: boolean; readonly sum: number | null } {
  if (text.trim() === '') return { ok: true, sum: null };
  const sum = Number(text.replace(/[\s,’']/g, ''));
  return Number.isFinite(sum) && sum >= 0 && sum <= 1e9 ? { ok: true, sum } : { ok: false, sum: null };
}
