import { type Obligation, obligation } from '../../ledger/obligation.ts';
import { KIND_OF_JOB, cornersTakenIn } from '../../history/scope.ts';
import { isStandalone } from '../../layout/standaloneUnits.ts';
import { slotOfObservation, isFeltAtControl } from '../../catalogue/observations.ts';
import { pedalsOf, type Reservoir, reservoirsOf } from '../../layout/reach.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import type { RuleContext } from '../ruleContext.ts';
import { TITLE } from '../../wording/en/duties.ts';

export function traceObligations({ history, answers, hydraulic }: RuleContext): Obligation[] {
  const { job } = history.records;
  if (KIND_OF_JOB[job.kind].without.includes('trace') || isStandalone(history.records.layout)) return [];
  // What was said before each was asked by itself was said of all of them.
  const pedals = pedalsOf(history.records.layout);
  const answered = (test: (o: Observation) => boolean): boolean => [...answers.values()].some((o) => o.state !== 'not_checked' && test(o));
  const reservoirs = reservoirsOf(history.records.layout);
  // What was said before each was asked by itself was said of all of them, or of the only one on the map.
  const saidOf = (r: Reservoir, at: string | null): boolean =>
    at === r.slotId || (at === null && (r.plain || !reservoirs.some((x) => x.plain)));
  const looked = (o: Observation): boolean => o.code.startsWith('level_') || o.code.startsWith('fluid_');
  return [
    obligation(
      { kind: 'trace', ask: 'pedal' },
      pedals.length > 1 ? TITLE.pedals(pedals.map((c) => c.name)) : TITLE.pedal,
      pedals.length > 1
        ? pedals.every((c) => answered((o) => isFeltAtControl(o.code) && [c.slotId, null].includes(slotOfObservation(o.code))))
        : answered((o) => isFeltAtControl(o.code)),
    ),
    ...(hydraulic
      ? [
          obligation(
            { kind: 'trace', ask: 'reservoir' },
            reservoirs.length > 1 ? TITLE.reservoirs(reservoirs.map((r) => r.name)) : TITLE.reservoir,
            reservoirs.length > 1
              ? reservoirs.every((r) => answered((o) => looked(o) && saidOf(r, slotOfObservation(o.code))))
              : answered(looked),
          ),
        ]
      : []),
    ...cornersTakenIn(job, history.records.layout).map((c) =>
      obligation(
        { kind: 'trace_wheel', corner: c },
        TITLE.wheel(c),
        answered((o) => o.corner === c && (o.code === 'drags' || o.code === 'locked')),
      ),
    ),
    ...(history.records.layout.slots.some((s) => s.kind === 'parking_lever')
      ? [
          obligation(
            { kind: 'trace', ask: 'parking' },
            TITLE.parking,
            answered((o) => o.code.startsWith('park_')),
          ),
        ]
      : []),
  ];
}
