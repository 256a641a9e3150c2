/** A sum that stands on the rule. */
export interface SumMark {
  readonly id: string;
  readonly name: string;
  /** Minor units. */
  readonly gross: number;
  readonly says: string;
  readonly filled: boolean;
}
interface PlacedMark extends SumMark {
  readonly x: number;
  /** Line of labels above the rule, 0 nearest to it. */
  readonly level: number;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly at: number;
}
interface SumScale {
  readonly x: (minor: number) => number;
  readonly ticks: readonly { readonly x: number; readonly size: 'minor' | 'middle' | 'major'; readonly minor: number | null }[];
  readonly marks: readonly PlacedMark[];
  readonly levels: number;
}

/** Room that a label takes on its line, px. */
const LABEL = 150;
const PAD = 14;

/** Lays out the rule of sums: nothing at the left, room beyond the greatest, labels on lines of their own where they would meet. */
export function sumScale(marks: readonly SumMark[], authorised: number | null, width: number, unit: number): SumScale {
  const most = Math.max(...marks.map((m) => m.gross), authorised ?? 0, 10 * unit);
  const end = most * 1.12;
  const x = (minor: number): number => PAD + (Math.max(minor, 0) / end) * (width - 2 * PAD);
  const rough = end / unit / 8;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((n) => n * power).find((n) => n >= rough) ?? 10 * power;
  const small = (step * unit) / 10;
  const ticks = Array.from({ length: Math.floor(end / small) + 1 }, (_, i) => {
    const at = x(i * small);
    const size = i % 10 === 0 ? ('major' as const) : i % 5 === 0 ? ('middle' as const) : ('minor' as const);
    const clear = authorised === null || Math.abs(x(authorised) - at) > 30;
    return { x: at, size, minor: size === 'major' && i > 0 && clear && at < width - 24 ? i * small : null };
  });
  const placed: PlacedMark[] = [];
  const half = Math.min(LABEL / 2, width / 2 - PAD);
  for (const m of [...marks].sort((a, b) => a.gross - b.gross)) {
    const at = x(m.gross);
    const [middle, anchor] = at < half ? [2, 'start' as const] : at > width - half ? [width - 2, 'end' as const] : [at, 'middle' as const];
    const from = anchor === 'start' ? middle : anchor === 'end' ? middle - LABEL : middle - LABEL / 2;
    const taken = (level: number): boolean => placed.some((p) => p.level === level && from < fromOf(p) + LABEL && fromOf(p) < from + LABEL);
    let level = 0;
    while (taken(level)) level += 1;
    placed.push({ ...m, x: at, level, anchor, at: middle });
  }
  // A line that leads up to a higher label is kept clear by those below it.
  for (const [i, p] of placed.entries()) {
    const from = fromOf(p);
    const line = placed.find((q) => q.level > p.level && q.x > from && q.x < from + LABEL);
    const left = line && line.x > p.x ? line.x - 8 : null;
    if (left !== null && left >= LABEL) placed[i] = { ...p, anchor: 'end', at: left };
    else if (line && left === null && line.x + 8 + LABEL <= width) placed[i] = { ...p, anchor: 'start', at: line.x + 8 };
  }
  return { x, ticks, marks: placed, levels: Math.max(0, ...placed.map((p) => p.level)) + 1 };
}

const fromOf = (p: PlacedMark): number => (p.anchor === 'start' ? p.at : p.anchor === 'end' ? p.at - LABEL : p.at - LABEL / 2);
