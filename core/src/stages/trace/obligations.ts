import { type Obligation, obligation } from '../../catalogue/stages.ts';
import { KIND_OF_JOB, cornersTakenIn } from '../../history/scope.ts';
import { CORNER_NAME } from '../../layout/kinds.ts';
import { areLoose } from '../../layout/looseUnits.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import type { RuleContext } from '../ruleContext.ts';

export function traceObligations({ book, answers, hydraulic }: RuleContext): Obligation[] {
  const { job } = book.file;
  if (KIND_OF_JOB[job.kind].without.trace !== undefined || areLoose(book.file.layout)) return [];
  const answered = (test: (o: Observation) => boolean): boolean => [...answers.values()].some((o) => o.state !== 'not_checked' && test(o));
  return [
    obligation(
      'trace',
      'trace:pedal',
      'Feel the pedal',
      answered((o) => o.code.startsWith('pedal_')),
    ),
    ...(hydraulic
      ? [
          obligation(
            'trace',
            'trace:reservoir',
            'Look into the reservoir',
            answered((o) => o.code.startsWith('level_') || o.code.startsWith('fluid_')),
          ),
        ]
      : []),
    ...cornersTakenIn(job, book.file.layout).map((c) =>
      obligation(
        'trace',
        `trace:wheel:${c}`,
        `Spin the ${CORNER_NAME[c].toLowerCase()} wheel`,
        answered((o) => o.corner === c && (o.code === 'drags' || o.code === 'locked')),
      ),
    ),
    ...(book.file.layout.slots.some((s) => s.kind === 'parking_lever')
      ? [
          obligation(
            'trace',
            'trace:parking',
            'Work the parking brake',
            answered((o) => o.code.startsWith('park_')),
          ),
        ]
      : []),
  ];
}
