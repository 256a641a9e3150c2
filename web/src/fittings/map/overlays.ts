import { PUT_IN_NAME, STATE_WORD } from '@dauer/core/wording';
import { lastPartIn, whereabouts } from '@dauer/core/history';
import type { JobState } from '@dauer/core/job';
import { inOrder } from '@dauer/core/ledger';
import type { Verdict } from '@dauer/core/verdict';

/** What is laid over a place on the map: a verdict's shape, a word on a flag, a share of something as a ring. */
interface MapMark {
  readonly verdict?: Verdict | null;
  readonly flag?: string;
  /** 0 to 1, drawn as a ring that is so far round; with what stands in it. */
  readonly share?: { readonly of: number; readonly text: string };
}
export type MapMarks = ReadonlyMap<string, MapMark>;
export const NO_MARKS: MapMarks = new Map();

export type OverlayKind = 'suspicion' | 'verdict' | 'whereabouts' | 'assembly';
export const OVERLAYS: readonly { readonly kind: OverlayKind; readonly name: string }[] = [
  { kind: 'suspicion', name: 'Suspected' },
  { kind: 'verdict', name: 'Verdicts' },
  { kind: 'whereabouts', name: 'Where' },
  { kind: 'assembly', name: 'Together' },
];

const verdicts = (state: JobState): [string, MapMark][] =>
  state.components.map((c) => [c.slot.id, { verdict: c.inScope ? c.verdict : null }]);

function whereIs(state: JobState): [string, MapMark][] {
  const events = inOrder(state.history.active(state.records.partEvents));
  return state.components.flatMap((c): [string, MapMark][] => {
    if (c.part && !c.empty) return c.part.tag ? [[c.slot.id, { flag: c.part.tag }]] : [];
    const last = lastPartIn(c.slot.id, events);
    const at = last ? whereabouts(last, events).at : 'unknown';
    const word = { slot: 'elsewhere', shelf: 'shelf', away: 'away', scrap: 'scrapped', missing: 'missing', unknown: 'empty' }[at];
    return c.empty ? [[c.slot.id, { flag: word }]] : [];
  });
}

/** At each place, how likely something is at fault there. */
const suspected = (likelihood: ReadonlyMap<string, number>): [string, MapMark][] =>
  [...likelihood].map(([id, p]) => [id, { share: { of: p, text: String(Math.round(p * 100)) } }]);

/** What is wrong with a place in a word: what lies in it, where something does. */
const flagOf = (p: JobState['context']['proofStatus']['places'][number]): string =>
  p.cause?.kind === 'inside' ? PUT_IN_NAME[p.cause.what].toLowerCase() : STATE_WORD[p.state];

/** What one overlay lays over the places of a job. */
export function overlayOf(kind: OverlayKind, state: JobState, likelihood: ReadonlyMap<string, number>): MapMarks {
  switch (kind) {
    case 'suspicion':
      return new Map(suspected(likelihood));
    case 'whereabouts':
      return new Map(whereIs(state));
    case 'verdict':
      return new Map(verdicts(state));
    case 'assembly': {
      const marks = new Map(verdicts(state));
      for (const p of state.context.proofStatus.places)
        if (p.state !== 'complete') marks.set(p.slot.id, { ...marks.get(p.slot.id), flag: flagOf(p) });
      return marks;
    }
  }
}
