import { type Obligation, obligation } from '../../ledger/obligation.ts';
import { KIND_OF_JOB, cornersTakenIn } from '../../history/scope.ts';
import { isStandalone } from '../../layout/standaloneUnits.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import type { RuleContext } from '../ruleContext.ts';
import { TITLE } from '../../wording/en/duties.ts';

export function traceObligations({ history, answers, hydraulic }: RuleContext): Obligation[] {
  const { job } = history.records;
  if (KIND_OF_JOB[job.kind].without.includes('trace') || isStandalone(history.records.layout)) return [];
  const answered = (test: (o: Observation) => boolean): boolean => [...answers.values()].some((o) => o.state !== 'not_checked' && test(o));
  return [
    obligation(
      { kind: 'trace', ask: 'pedal' },
      TITLE.pedal,
      answered((o) => o.code.startsWith('pedal_')),
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
