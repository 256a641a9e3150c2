import type { Slot } from '../../layout/graph.ts';
import type { OptionId } from '../repairOptions.ts';
import { DISC_CARDS } from './discs.ts';
import { DRUM_CARDS } from './drums.ts';
import { HYDRAULIC_CARDS } from './hydraulics.ts';
import { LINKAGE_CARDS } from './linkage.ts';
import type { CardPiece, CardStep, Followed, Rig, WorkCard } from './types.ts';

/** Cards of the work on one unit, by kind and decision. */
export const CARDS: readonly WorkCard[] = [...DISC_CARDS, ...DRUM_CARDS, ...HYDRAULIC_CARDS, ...LINKAGE_CARDS];

/** The card of what is done at a place; undefined where none serves it. */
export function cardFor(slot: Pick<Slot, 'kind' | 'style'>, option: OptionId): WorkCard | undefined {
  const mine = CARDS.filter((c) => c.kinds.includes(slot.kind) && c.serves.includes(option));
  return mine.find((c) => c.styles.includes(slot.style ?? '')) ?? mine.find((c) => c.styles.length === 0) ?? mine[0];
}

const NONE_PICKED: Followed = () => null;

/** Whether a step is done by the school that is followed. */
function isDone({ only }: CardStep, followed: Followed): boolean {
  if (only === null) return true;
  const school = followed(only.rule);
  return school === null ? !only.picked : only.schools.includes(school);
}

/** Steps of a card that a decision needs, in their order, as the shop does it and by the schools that it follows; of a kind of vehicle with what is done on it alone. */
export function stepsFor(work: WorkCard, option: OptionId, followed: Followed = NONE_PICKED, rig: Rig | null = null): CardStep[] {
  return (followed.card?.(work) ?? work).steps
    .filter((s) => s.rig === null || s.rig === rig)
    .filter((s) => (s.of.length === 0 || s.of.includes(option)) && isDone(s, followed))
    .map((s) => ({ ...s, words: (s.by && s.by.words[followed(s.by.rule) ?? '']) ?? s.words }));
}

/** Attended minutes of what is done at a place, generic; 0 where nothing is done to it. */
export function attendedMinutes(slot: Pick<Slot, 'kind' | 'style'>, option: OptionId, followed: Followed = NONE_PICKED): number {
  const work = cardFor(slot, option);
  return work ? stepsFor(work, option, followed).reduce((sum, s) => sum + s.minutes, 0) : 0;
}

/** One-use parts and consumables that the work at a place takes, added up by name. */
export function piecesFor(slot: Pick<Slot, 'kind' | 'style'>, option: OptionId, followed: Followed = NONE_PICKED): CardPiece[] {
  const work = cardFor(slot, option);
  const counts = new Map<string, number>();
  for (const p of work ? stepsFor(work, option, followed).flatMap((s) => s.takes) : [])
    counts.set(p.name, (counts.get(p.name) ?? 0) + p.count);
  return [...counts].map(([name, count]) => ({ name, count }));
}
