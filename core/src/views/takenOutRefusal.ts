import type { JobState } from '../job/job.ts';
import { lockedBeside } from '../readiness/pedalLock.ts';
import { BOARD_LAST } from '../wording/en/prove.ts';

/** Why what was put in cannot come out yet, in a sentence; null where it can: a board comes off the pedal last. Source: handbook 58, D08. */
export function takenOutRefusal(state: JobState, putInId: string): string | null {
  const place = state.context.proofStatus.places.find((p) => p.inside.some((x) => x.id === putInId && x.what === 'board'));
  const lock = place && state.context.proofStatus.locks.find((l) => l.control.slotId === place.slot.id);
  const others = lock ? lockedBeside(lock) : [];
  return lock && others.length > 0
    ? BOARD_LAST(
        lock.control.name,
        others.map((s) => s.why ?? ''),
      )
    : null;
}
