import { JOB_KIND_NAME } from '@dauer/core/wording';
import type { Finish } from '@dauer/core/ledger';
import { parseMinor, toResult } from '@dauer/core/quantity';

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
/** Which wheels are driven: a driven one turns harder in neutral. */
export const DRIVEN = [
  { title: 'not said', value: null },
  { title: 'front', value: 'front' },
  { title: 'rear', value: 'rear' },
  { title: 'all', value: 'all' },
  { title: 'none', value: 'none' },
];
/** What lets go by itself when a line is opened. */
export const STORED_ENERGY = [
  { title: 'not said', value: null },
  { title: 'none', value: 'none' },
  { title: 'air tanks, spring chambers', value: 'air' },
  { title: 'accumulator', value: 'accumulator' },
];
export const JOB_KINDS = Object.entries(JOB_KIND_NAME).map(([value, title]) => ({ title, value }));

/** How good is good enough, as agreed at the desk. */
export const FINISHES: Readonly<Record<Finish, string>> = {
  not_said: 'not said yet',
  driver: 'driver: sound, as it comes',
  tidy: 'tidy: clean and painted',
  show: 'show: as new',
};
export const FINISH_ITEMS = Object.entries(FINISHES).map(([value, title]) => ({ title, value }));

/** A sum of money as it was typed; nothing typed is no sum. `why` says what is wrong with one that cannot be read. */
export function sumOf(
  text: string,
  currency: string | null,
): { readonly ok: true; readonly sum: number | null } | { readonly ok: false; readonly why: string } {
  if (text.trim() === '') return { ok: true, sum: null };
  const read = toResult(() => parseMinor(text, currency));
  return read.ok ? { ok: true, sum: read.value } : { ok: false, why: read.refusal.message };
}
