import { placeName } from '../layout/graph.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import { workDone } from '../rebuild/obligations.ts';
import { isWorked } from '../rebuild/torquePoints.ts';
import type { BleedPull } from '../records/types.ts';
import type { Situation } from '../records/situation.ts';
import { type Obligation, obligation } from '../records/stages.ts';
import { whyNotGood } from '../standing/stands.ts';
import { closedClear } from './due.ts';
import { bleedOrder } from './order.ts';

/** Circuits whose fluid this job has to change: opened by its decisions, or all for a fluid job. */
export function circuitsToBleed({ book, components }: Situation): number[] {
  const hydraulic = components.filter((c) => KIND_FACTS[c.slot.kind].hydraulic && c.slot.kind !== 'bleeder');
  const touched = book.file.job.kind === 'fluid' ? hydraulic : hydraulic.filter((c) => isWorked(c) || c.fittedHere || c.empty);
  return [...new Set(touched.flatMap((c) => c.slot.circuits))];
}

function pullFault(pull: BleedPull): string {
  if (!pull.closed) return 'The bleeder is not closed.';
  return pull.air !== 'none' ? 'Air was still coming.' : 'The fluid was not clear yet.';
}

export function bleedObligations(s: Situation): Obligation[] {
  const { book, components } = s;
  const circuits = circuitsToBleed(s);
  if (circuits.length === 0) return [];
  const stillOpen = components.filter(
    (c) =>
      KIND_FACTS[c.slot.kind].hydraulic &&
      (c.empty || (isWorked(c) && !workDone(book, c))) &&
      c.slot.circuits.some((n) => circuits.includes(n)),
  );
  const waiting =
    stillOpen.length > 0
      ? {
          state: 'waiting' as const,
          why: `All hydraulic parts first: ${stillOpen.map((c) => placeName(c.slot).toLowerCase()).join(', ')}.`,
        }
      : {};
  const bleeders = bleedOrder(book.file.layout)
    .filter((b) => circuits.includes(b.circuit))
    .map((b) => {
      const now = s.standing.pull(b.bleeder.id);
      const newest = now?.record;
      const wrong = whyNotGood(now);
      const closed = closedClear(newest) && wrong === null;
      return obligation('bleed', `bleed:${b.bleeder.id}`, `Bleed at the ${placeName(b.bleeder).toLowerCase()}`, closed, {
        slotId: b.bleeder.id,
        ...(closed
          ? {}
          : newest
            ? {
                why: wrong ?? pullFault(newest),
              }
            : waiting),
      });
    });
  const fluid = book.stand(book.file.fluidServices).some((f) => f.jobId === book.file.job.id);
  return [obligation('bleed', 'bleed:fluid', 'Name the fluid that goes in', fluid), ...bleeders];
}
