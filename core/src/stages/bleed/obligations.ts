import { type Obligation, obligation } from '../../catalogue/stages.ts';
import type { Book } from '../../history/book.ts';
import { circuitFluids, closedClear } from '../../history/due.ts';
import { workDone } from '../../judging/workDone.ts';
import { placeName } from '../../layout/graph.ts';
import { KIND_FACTS } from '../../layout/kinds.ts';
import type { BleedPull } from '../../ledger/families/bleedPulls.ts';
import { whyNotGood } from '../../readiness/stands.ts';
import type { RuleContext } from '../ruleContext.ts';
import { isWorked } from '../torquePoints.ts';
import { bleedOrder } from './order.ts';

/** Whether nobody knows what is in the circuits that will be opened: then nothing may be mixed. */
function unknownFluid(book: Book, circuits: readonly number[]): boolean {
  if (circuits.length === 0) return false;
  const records = {
    services: book.stand(book.file.fluidServices).filter((f) => f.jobId !== book.file.job.id),
    pulls: book.stand(book.file.bleedPulls),
  };
  return circuitFluids(book.file.layout, records).some((c) => circuits.includes(c.circuit) && c.service === null);
}

/** Circuits fed from the same reservoir as these. */
function sharing(book: Book, circuits: readonly number[]): number[] {
  const { layout } = book.file;
  return layout.slots.filter((s) => s.kind === 'reservoir' && s.circuits.some((c) => circuits.includes(c))).flatMap((s) => s.circuits);
}

/** Circuits whose fluid this job has to change: opened by its decisions, or all for a fluid job. */
export function circuitsToBleed({ book, components, standing }: RuleContext): number[] {
  const hydraulic = components.filter((c) => KIND_FACTS[c.slot.kind].hydraulic && c.slot.kind !== 'bleeder');
  const joints = new Set(standing.joints.map((j) => j.joint.slot.id));
  const touched =
    book.file.job.kind === 'fluid' ? hydraulic : hydraulic.filter((c) => isWorked(c) || c.fittedHere || c.empty || joints.has(c.slot.id));
  const circuits = [...new Set([...touched.flatMap((c) => c.slot.circuits), ...standing.joints.flatMap((j) => j.joint.slot.circuits)])];
  return unknownFluid(book, circuits) ? [...new Set([...circuits, ...sharing(book, circuits)])] : circuits;
}

function pullFault(pull: BleedPull): string {
  if (!pull.closed) return 'The bleeder is not closed.';
  return pull.air !== 'none' ? 'Air was still coming.' : 'The fluid was not clear yet.';
}

export function bleedObligations(s: RuleContext): Obligation[] {
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
        closedBy: newest?.id ?? null,
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
  const unknown = unknownFluid(book, circuits);
  return [
    obligation('bleed', 'bleed:fluid', 'Name the fluid that goes in', fluid, {
      why: unknown && !fluid ? 'What is in it is not known: nothing is mixed, every bleeder of the reservoir is drawn clear.' : null,
    }),
    ...bleeders,
  ];
}
