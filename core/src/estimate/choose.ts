/** One way of doing a row: what it costs by itself, which shared things it needs, and how long it waits. */
export interface Way {
  readonly cost: number;
  /** Indexes of the shared things that it needs; each is paid once, however many rows need it. */
  readonly needs: readonly number[];
  /** Working days until it can be done. */
  readonly lead: number;
}

export interface ChoiceProblem {
  /** Each row is done one way. */
  readonly rows: readonly (readonly Way[])[];
  /** What each shared thing costs where any row needs it, at least 0. */
  readonly shared: readonly number[];
  /** What waiting costs, never less for a longer wait. */
  delay(lead: number): number;
}

export interface Chosen {
  /** Which way each row is done. */
  readonly ways: readonly number[];
  readonly cost: number;
  /** Nothing is cheaper than this; equal to the cost where the answer is exact. */
  readonly bound: number;
}

/** Nodes that are looked at for one threshold before the best so far has to do. */
const MOST_NODES = 60_000;

interface Looked {
  best: number;
  ways: number[] | null;
  nodes: number;
  /** Least bound of what was given up unfinished. */
  left: number;
}

/**
 * For each depth of the search, the share of a shared thing that a row from there on bears at least where it needs it: the whole
 * over the rows that could. The rows that use it bear no more than all of it together, so their shares bound it from below.
 */
function sharesFrom(rows: readonly (readonly Way[])[], shared: readonly number[]): number[][] {
  const users = shared.map(() => 0);
  const from: number[][] = [];
  for (let i = rows.length - 1; i >= 0; i -= 1) {
    for (const r of new Set(rows[i]?.flatMap((w) => w.needs) ?? [])) users[r] = (users[r] ?? 0) + 1;
    from[i] = shared.map((cost, r) => ((users[r] ?? 0) > 0 ? cost / (users[r] ?? 1) : 0));
  }
  return from;
}

function search(rows: readonly (readonly Way[])[], shared: readonly number[], from: readonly number[][], known: number): Looked {
  const looked: Looked = { best: known, ways: null, nodes: 0, left: Number.POSITIVE_INFINITY };
  const on = shared.map(() => 0);
  const ways: number[] = [];
  const least = (depth: number): number => {
    const share = from[depth] ?? [];
    let sum = 0;
    for (let i = depth; i < rows.length; i += 1) {
      let row = Number.POSITIVE_INFINITY;
      for (const w of rows[i] ?? []) {
        let cost = w.cost;
        for (const r of w.needs) if (on[r] === 0) cost += share[r] ?? 0;
        if (cost < row) row = cost;
      }
      sum += row;
    }
    return sum;
  };
  const go = (depth: number, spent: number): void => {
    looked.nodes += 1;
    const bound = spent + least(depth);
    if (bound >= looked.best - 1e-9) return;
    if (looked.nodes > MOST_NODES) {
      looked.left = Math.min(looked.left, bound);
      return;
    }
    if (depth === rows.length) {
      looked.best = spent;
      looked.ways = [...ways];
      return;
    }
    const share = from[depth] ?? [];
    const mine = (rows[depth] ?? []).map((w, i) => {
      const turned = w.needs.reduce((sum, r) => sum + (on[r] === 0 ? (shared[r] ?? 0) : 0), 0);
      const promised = w.needs.reduce((sum, r) => sum + (on[r] === 0 ? (share[r] ?? 0) : 0), 0);
      return { w, i, pays: w.cost + turned, looks: w.cost + promised };
    });
    mine.sort((a, b) => a.looks - b.looks || a.i - b.i);
    for (const { w, i, pays } of mine) {
      for (const r of w.needs) on[r] = (on[r] ?? 0) + 1;
      ways[depth] = i;
      go(depth + 1, spent + pays);
      for (const r of w.needs) on[r] = (on[r] ?? 1) - 1;
    }
    ways.length = depth;
  };
  go(0, 0);
  return looked;
}

/**
 * The cheapest way of doing every row, shared things paid once and waiting paid by the longest wait: exact by branch and bound
 * for each distinct wait as a threshold; where the search is cut off, the bound says how much cheaper it could be at most.
 * Source: handbook 40, whole-job variants.
 * @returns null where a row has no way at all
 */
export function chooseCheapest(problem: ChoiceProblem): Chosen | null {
  const { rows, shared } = problem;
  if (rows.some((r) => r.length === 0)) return null;
  const leads = [...new Set([0, ...rows.flatMap((r) => r.map((w) => w.lead))])].sort((a, b) => a - b);
  // The rows that differ most decide first.
  const spread = (r: readonly Way[]): number => Math.max(...r.map((w) => w.cost)) - Math.min(...r.map((w) => w.cost));
  let best: { ways: number[]; cost: number } | null = null;
  let bound = Number.POSITIVE_INFINITY;
  for (const lead of leads) {
    const within = rows.map((r) => r.flatMap((w, i) => (w.lead <= lead ? [{ w, i }] : [])));
    if (within.some((r) => r.length === 0)) continue;
    const order = within.map((_, i) => i).sort((a, b) => spread(rows[b] ?? []) - spread(rows[a] ?? []));
    const ordered = order.map((i) => (within[i] ?? []).map((k) => k.w));
    const delay = problem.delay(lead);
    const looked = search(ordered, shared, sharesFrom(ordered, shared), (best?.cost ?? Number.POSITIVE_INFINITY) - delay);
    if (looked.ways) {
      const ways = within.map(() => 0);
      order.forEach((row, depth) => (ways[row] = within[row]?.[looked.ways?.[depth] ?? 0]?.i ?? 0));
      best = { ways, cost: looked.best + delay };
    }
    bound = Math.min(bound, looked.left + delay);
  }
  return best && { ...best, bound: Math.min(best.cost, bound) };
}

/** What a choice of ways costs. @param ways one index a row */
export function costOfWays({ rows, shared, delay }: ChoiceProblem, ways: readonly number[]): number {
  const picked = rows.flatMap((r, i) => r[ways[i] ?? 0] ?? []);
  const on = new Set(picked.flatMap((w) => w.needs));
  const lead = picked.reduce((most, w) => Math.max(most, w.lead), 0);
  return picked.reduce((sum, w) => sum + w.cost, 0) + [...on].reduce((sum, r) => sum + (shared[r] ?? 0), 0) + delay(lead);
}
