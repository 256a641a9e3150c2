import { DomainError } from '../quantity/domainError.ts';

/**
 * A cell of a list that says one of a few things, in whatever letters.
 * @throws DomainError not_one_of, with the column and what it may say
 */
export function oneOf<T extends string>(cell: string, list: readonly T[], column: string): T {
  const found = list.find((x) => x === cell.trim().toLowerCase());
  if (!found) throw new DomainError('not_one_of', `“${column}” says “${cell}”; it is one of ${list.join(', ')}.`);
  return found;
}
