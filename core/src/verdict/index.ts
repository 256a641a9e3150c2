/** What a figure means against a limit: uncertainty, decision rule, wear. */
export type { Bound, Verdict } from './decide.ts';
export { currentLimits, LIMIT_AXLES, type LimitAxle, type LimitScope, type LimitSource, type LimitVersion } from './limits.ts';
export { compareSeverity, type Role, worst } from './severity.ts';
export { ofSingle } from './uncertainty.ts';
