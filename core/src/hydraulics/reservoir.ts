import { DomainError } from '../quantity/domainError.ts';

/** A reservoir as it is drawn from. */
export interface ReservoirFacts {
  readonly fullMl: number;
  /** Lowest level at which no air is drawn in, mL. */
  readonly lowestSafeMl: number;
}

/** Share of the full level at which it is warned. Source: handbook 60, How much. */
const WARN_SHARE = 1 / 4;
const SLACK = 1e-9;

/**
 * The level pull by pull: full at the start; before a pull that would go below the lowest safe mark it is filled up again.
 * Source: handbook 60, How much.
 * @returns pulls counted from 1
 * @throws DomainError reservoir_too_small where a full one does not bear one pull
 */
export function levelCourse(
  { fullMl, lowestSafeMl }: ReservoirFacts,
  pullMl: number,
  pulls: number,
): {
  readonly topUpBefore: readonly number[];
  readonly warnAfter: readonly number[];
  readonly levelMl: number;
  readonly toppedMl: number;
} {
  if (fullMl - pullMl < lowestSafeMl - SLACK)
    throw new DomainError('reservoir_too_small', 'One pull would take this reservoir below its lowest safe mark: draw less at a time.');
  const [topUpBefore, warnAfter]: [number[], number[]] = [[], []];
  let [level, topped] = [fullMl, 0];
  for (let n = 1; n <= pulls; n += 1) {
    if (level - pullMl < lowestSafeMl - SLACK) {
      topUpBefore.push(n);
      topped += fullMl - level;
      level = fullMl;
    }
    level -= pullMl;
    if (level <= fullMl * WARN_SHARE + SLACK) warnAfter.push(n);
  }
  return { topUpBefore, warnAfter, levelMl: level, toppedMl: topped };
}
