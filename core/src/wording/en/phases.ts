import type { Phase } from '../../ledger/families/sets.ts';

export const PHASE_WORD: Readonly<Record<Phase, string>> = {
  as_found: 'as found',
  after_machining: 'after machining',
  as_fitted: 'as fitted',
  at_service: 'at service',
};
