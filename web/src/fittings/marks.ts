import type { Verdict } from '@dauer/core/verdict';

/** Colour of each verdict's mark. What is fine stays quiet: a figure that holds is plain ink. */
export const MARK_COLOUR: Readonly<Record<Verdict, string>> = {
  holds: 'var(--ink)',
  watch: 'var(--watch)',
  cant_tell: 'var(--cant-tell)',
  past: 'var(--past)',
  no_limit: 'var(--none)',
  not_gauged: 'var(--slate)',
};
