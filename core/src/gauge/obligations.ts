import { placeName } from '../layout/graph.ts';
import type { Situation } from '../records/situation.ts';
import { type Obligation, obligation } from '../records/stages.ts';
import { PHASE_WORD } from './words.ts';

export function gaugeObligations({ components }: Situation): Obligation[] {
  return components.flatMap((c) => [
    ...c.required.map((r) =>
      obligation(
        'gauge',
        `gauge:${c.slot.id}:${r.measurement.id}:${r.phase}`,
        `${placeName(c.slot)} ${r.measurement.name.toLowerCase()}, ${PHASE_WORD[r.phase]}`,
        r.done,
        {
          slotId: c.slot.id,
          why: r.provisional
            ? 'Taken on a dirty surface: clean it and take it again.'
            : r.done
              ? null
              : r.taken > 0
                ? `${r.taken} taken so far`
                : null,
          ...(r.phase === 'as_fitted' && !r.done && !c.fittedHere ? { state: 'waiting' as const, why: 'Nothing fitted here yet.' } : {}),
        },
      ),
    ),
    ...(c.lookRequired
      ? [obligation('gauge', `look:${c.slot.id}`, `Look at the ${placeName(c.slot).toLowerCase()}`, c.lookDone, { slotId: c.slot.id })]
      : []),
  ]);
}
