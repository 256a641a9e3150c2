import type { Contradiction } from './explain.ts';
import type { PlacedSign } from './network.ts';
import type { ToTrace, Weighed, WeighedCheck } from './tracing.ts';

/** Less likely causes than this are not worth a line, and so many lines at most. */
const WORTH_A_LINE = 0.03;
const MOST_LINES = 6;
/** What changes the log-odds by less neither speaks for nor against, and so much is said at most. */
const WORTH_SAYING = 0.1;
const MOST_SAID = 3;
/** Outcomes less likely than this are left out. */
const WORTH_FORESEEING = 0.02;

/** A probability in whole percent: "41 %". */
export const percentText = (p: number): string => `${Math.round(p * 100)} %`;

/** The causes that are worth a line, the likeliest first. */
export function causesToShow(causes: readonly Weighed[]): Weighed[] {
  return causes.filter((c) => c.probability >= WORTH_A_LINE).slice(0, MOST_LINES);
}

const signIn = (of: ToTrace, id: string): PlacedSign | undefined => of.network.observations.find((o) => o.id === id);
const textOf = (of: ToTrace, id: string): string => signIn(of, id)?.text ?? id;

/** What speaks most for a cause (1), or against it (−1), in words; empty where nothing does. */
export function speakingWords(of: ToTrace, cause: Weighed, way: 1 | -1): string {
  return (cause.speaks ?? [])
    .filter((s) => s.logOdds * way > WORTH_SAYING)
    .slice(0, MOST_SAID)
    .map(({ observation: id }) => {
      const measured = of.evidence.learntFrom[id] === 'measured' ? ' (measured)' : '';
      return `${textOf(of, id)}${of.evidence.observations[id] === 'seen' ? '' : ': not seen'}${measured}`;
    })
    .join('; ');
}

/** What each likely outcome of a check would make of the leading cause, in words. */
export function outcomeWords(of: ToTrace, check: WeighedCheck): string[] {
  return check.outcomes
    .filter((o) => o.probability > WORTH_FORESEEING)
    .map((o) => {
      const [first] = o.leads;
      const fault = first && of.network.faults[first.fault];
      const seen = o.seen.length === 0 ? 'None of it' : o.seen.map((id) => signIn(of, id)?.sign.text ?? textOf(of, id)).join('; ');
      const then = first && fault ? `: then first ${fault.kind.name.toLowerCase()}, ${fault.where}, ${percentText(first.probability)}` : '';
      return `${seen} (${percentText(o.probability)})${then}`;
    });
}

/** What does not go together, in words. */
export function contradictionWords(of: ToTrace, odd: Contradiction): string {
  const one = textOf(of, odd.observation);
  return odd.against === null
    ? `${one}: that goes with nothing else that is known. Look again.`
    : `These two do not go together: ${one}; ${textOf(of, odd.against)}. Look at both again.`;
}
