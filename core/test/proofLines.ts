import type { JobState } from '../src/job/job.ts';
import { buildSheet } from '../src/views/handback.ts';
import { NOW } from './jobFixture.ts';

/** The lines of a hand-back sheet that tell what was proved, in words. */
export const buildHandbackProofs = (state: JobState): string[] => buildSheet(state, NOW).proofs.map((l) => l.text);
