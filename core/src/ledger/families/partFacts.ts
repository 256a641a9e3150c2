import { identityFact } from '../../catalogue/identity.ts';
import { DomainError } from '../../quantity/domainError.ts';
import { readTold } from '../../quantity/told.ts';
import type { UnitId } from '../../quantity/units.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** A figure, a feature or a property by which an article is known: of a part, or of what arrived on an order line. */
export interface PartFact extends JobEvent {
  /** Which, of `IDENTITY`. */
  readonly fact: string;
  /** The place at which it was said: that of the old part, or that for which the new one is. */
  readonly slotId: string | null;
  readonly partId: string | null;
  /** The order line that it came on; null of a part that is on record. */
  readonly lineId: string | null;
  /** As it was typed, or the choice's id. */
  readonly typed: string;
  readonly unit: UnitId | null;
  /** Of a length mm, of a temperature °C, of a count the count; null of words. */
  readonly canonical: number | null;
  readonly gaugeVersionId: string | null;
}

/** What was typed, as a figure; null where the fact is said in words. @throws DomainError not_one_of, bad_count, and what is no length */
function figureOf({ fact, typed, unit }: Pick<PartFact, 'fact' | 'typed' | 'unit'>): number | null {
  const known = identityFact(fact);
  if (!known) throw new DomainError('not_one_of', `Articles are not known by “${fact}”.`);
  const text = typed.trim();
  if (text === '') throw new DomainError('not_one_of', `${known.name}: nothing is said.`);
  switch (known.form) {
    case 'length':
      return readTold('article', text, unit ?? 'mm').canonical;
    case 'degrees':
      return readTold('rated', text, unit ?? 'degC').canonical;
    case 'count':
      if (!/^\d{1,3}$/.test(text)) throw new DomainError('not_one_of', `${known.name}: “${text}” is no whole number.`);
      return Number(text);
    case 'choice':
      if (known.choices[text] === undefined)
        throw new DomainError('not_one_of', `${known.name} is one of ${Object.values(known.choices).join(', ')}.`);
      return null;
    default:
      return null;
  }
}

export const partFacts: FamilyDescriptor<PartFact, Pick<PartFact, 'fact' | 'typed' | 'unit'>> = {
  ...PLAIN,
  label: 'figure of an article',
  subjects: ['part', 'slot', 'order_line'],
  readWith: 'parts',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', partId: 'part', lineId: 'event_of_job', gaugeVersionId: 'gauge' },
  blackable: [],
  derive: (sent) => ({ canonical: figureOf(sent) }),
};
