/** Numbers 0 to n-1 so that what comes next lies far from what came last: every second one, then those between. */
function spread(n: number): number[] {
  const all = Array.from({ length: n }, (_, i) => i);
  return n <= 3 ? all : [...all.filter((i) => i % 2 === 0), ...all.filter((i) => i % 2 === 1)];
}

/**
 * The order in which fasteners on one circle are drawn up, crosswise: each is followed by the one across from it; where their number
 * is odd, by the one nearest to that.
 * @param count fasteners on the circle, numbered clockwise from 1
 * @returns their numbers in the order of tightening; empty for less than one
 * Source: handbook 50, Torque (order of tightening); 55, card 29 (side by side).
 */
export function tighteningOrder(count: number): number[] {
  if (!Number.isInteger(count) || count < 1) return [];
  if (count % 2 === 0) return spread(count / 2).flatMap((i) => [i + 1, i + 1 + count / 2]);
  const step = (count - 1) / 2;
  return Array.from({ length: count }, (_, i) => ((i * step) % count) + 1);
}
