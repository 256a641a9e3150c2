import { type Obligation, obligation } from '../../ledger/obligation.ts';
import { KIND_OF_JOB, cornersTakenIn } from '../../history/scope.ts';
import { isStandalone } from '../../layout/standaloneUnits.ts';
import { controlOfObservation, isFeltAtControl } from '../../catalogue/observations.ts';
import { pedalsOf } from '../../layout/reach.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import type { RuleContext } from '../ruleContext.ts';
import { TITLE } from '../../wording/en/duties.ts';

export function traceObligations({ history, answers, hydraulic }: RuleContext): Obligation[] {
  const { job } = history.records;
  if (KIND_OF_JOB[job.kind].without.includes('trace') || isStandalone(history.records.layout)) return [];
  // What was said before each was asked by itself was said of all of them.
  const pedals = pedalsOf(history.records.layout);
  const answered = (test: (o: Observation) => boolean): boolean => [...answers.values()].some((o) => o.state !== 'not_checked' && test(o));
  return [
    obligation(
      { kind: 'trace', ask: 'pedal' },
      pedals.length > 1 ? TITLE.pedals(pedals.map((c) => c.name)) : TITLE.pedal,
      pedals.length > 1
        ? pedals.every((c) => answered((o) => isFeltAtControl(o.code) && [c.slotId, null].includes(controlOfObservation(o.code))))
        : answered((o) => isFeltAtControl(o.code)),
    ),
    ...(hydraulic
      ? [
          obligation(
            { kind: 'trace', ask: 'reservoir' },
            TITLE.reservoir,
            answered((o) => o.code.startsWith('level_') || o.code.startsWith('fluid_')),
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
