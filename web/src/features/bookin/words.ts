import { KIND_OF_JOB } from '@dauer/core';

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
