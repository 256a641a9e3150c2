/** A stretch of tube or hose between two nodes, open both ways. */
export interface Pipe {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly lengthMm: number;
}

/** The shortest way to a node: its pipes from the start on, and their length. */
export interface Way<P extends Pipe> {
  readonly pipes: readonly P[];
  readonly lengthMm: number;
}

/**
 * The shortest ways from a start by length, loops and double feeds too. Source: Dijkstra 1959.
 * @returns by node; a node that nothing leads to is not in it
 */
export function shortestWays<P extends Pipe>(pipes: readonly P[], start: string): ReadonlyMap<string, Way<P>> {
  const at = new Map<string, P[]>();
  for (const p of pipes)
    for (const end of [p.from, p.to]) {
      const list = at.get(end);
      if (list) list.push(p);
      else at.set(end, [p]);
    }
  const best = new Map<string, Way<P>>([[start, { pipes: [], lengthMm: 0 }]]);
  const done = new Set<string>();
  for (;;) {
    let here: string | null = null;
    for (const [node, way] of best)
      if (!done.has(node) && (here === null || way.lengthMm < (best.get(here)?.lengthMm ?? Infinity))) here = node;
    if (here === null) return best;
    done.add(here);
    const way = best.get(here);
    if (!way) return best;
    for (const p of at.get(here) ?? []) {
      const next = p.from === here ? p.to : p.from;
      const lengthMm = way.lengthMm + p.lengthMm;
      if (!done.has(next) && lengthMm < (best.get(next)?.lengthMm ?? Infinity)) best.set(next, { pipes: [...way.pipes, p], lengthMm });
    }
  }
}
