import { STAGES } from '../catalogue/stages.ts';
import { isDuty, type Obligation } from '../ledger/obligation.ts';
import type { JobState } from './job.ts';

/** What can be done on a job now, in the order of the stages: open, and not in a stage that waits for an earlier one. */
export function doableNow(state: JobState): Obligation[] {
  return STAGES.flatMap((stage) => {
    const waitsFor = state.stages.find((s) => s.stage === stage)?.waitsFor ?? null;
    return waitsFor ? [] : state.obligations.filter((o) => o.stage === stage && o.state === 'open');
  });
}

/** How much an act moves a job: what nobody may be hurt by first, then what others wait for, then the place with most to do. */
function weight(state: JobState, o: Obligation): number {
  if (isDuty(o, 'board', 'out')) return 10000;
  const waiting = state.obligations.filter((x) => x.state === 'waiting');
  const held = isDuty(o, 'work', 'fit') ? waiting.filter((x) => x.waitsFor === 'hydraulic_parts').length : 0;
  const here = o.slotId === null ? 0 : state.obligations.filter((x) => x.slotId === o.slotId && x.state !== 'closed').length;
  return 100 * held + here;
}

/** The act that moves a job most of those that can be done now, in its earliest stage. */
export function nextAct(state: JobState): Obligation | null {
  const doable = doableNow(state);
  const [first] = doable;
  if (!first) return state.obligations.find((o) => o.state === 'open') ?? null;
  return doable.filter((o) => o.stage === first.stage).reduce((best, o) => (weight(state, o) > weight(state, best) ? o : best), first);
}
