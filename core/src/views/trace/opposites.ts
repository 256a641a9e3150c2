import { slotOfObservation } from '../../catalogue/observations.ts';
import { OPPOSITES_TABLE } from '../../catalogue/trace/opposites.ts';
import { TABLES } from '../../catalogue/trace/tables.ts';
import { DomainError } from '../../quantity/domainError.ts';
import type { PlacedSign } from '../../stages/trace/network.ts';
import type { ToTrace } from './tracing.ts';

/** Two signs that cannot both be seen in one look. */
export interface Opposites {
  readonly one: string;
  readonly other: string;
  readonly reason: string;
}

/** Reads the table of opposites. @throws DomainError bad_table with the line */
export function readOpposites(text: string, signs: ReadonlySet<string>): Opposites[] {
  return text.split('\n').flatMap((line, i): Opposites[] => {
    if (line.trim() === '') return [];
    const [one = '', other = '', reason = '', ...more] = line.split('|').map((c) => c.trim());
    if (!signs.has(one) || !signs.has(other) || one === other || reason === '' || more.length > 0)
      throw new DomainError('bad_table', `opposites, line ${i + 1}: two signs of the table and the reasoning are wanted.`);
    return [{ one, other, reason }];
  });
}
const OPPOSITES: readonly Opposites[] = readOpposites(OPPOSITES_TABLE, new Set(TABLES.signs.map((s) => s.code)));

/** Opposites that were both seen, of the same wheel where they are at one. */
export function oppositesSeen(of: ToTrace): { readonly one: PlacedSign; readonly other: PlacedSign; readonly reason: string }[] {
  const seen = of.network.observations.filter((o) => of.evidence.observations[o.id] === 'seen');
  return OPPOSITES.flatMap(({ one, other, reason }) =>
    seen
      .filter((s) => s.sign.code === one)
      .flatMap((s) =>
        seen
          .filter((t) => t.sign.code === other && t.corner === s.corner && slotOfObservation(t.code) === slotOfObservation(s.code))
          .map((t) => ({ one: s, other: t, reason })),
      ),
  );
}
