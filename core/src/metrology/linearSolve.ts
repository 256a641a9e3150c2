/**
 * Solves a square linear system by Gaussian elimination with partial pivoting.
 * @param a rows of the matrix, n × n (not changed)
 * @param b right-hand side, n
 * @returns x with a·x = b, or null where the matrix is singular
 */
export function solve(a: readonly (readonly number[])[], b: readonly number[]): number[] | null {
  const n = b.length;
  const m = a.map((row, i) => [...row, b[i] ?? 0]);
  const at = (r: number, c: number): number => m[r]?.[c] ?? 0;
  for (let col = 0; col < n; col += 1) {
    let pivot = col;
    for (let r = col + 1; r < n; r += 1) if (Math.abs(at(r, col)) > Math.abs(at(pivot, col))) pivot = r;
    if (Math.abs(at(pivot, col)) < 1e-12) return null;
    const top = m[pivot] ?? [];
    m[pivot] = m[col] ?? [];
    m[col] = top;
    for (let r = col + 1; r < n; r += 1) {
      const factor = at(r, col) / at(col, col);
      m[r] = (m[r] ?? []).map((v, c) => v - factor * at(col, c));
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let r = n - 1; r >= 0; r -= 1) {
    let sum = at(r, n);
    for (let c = r + 1; c < n; c += 1) sum -= at(r, c) * (x[c] ?? 0);
    x[r] = sum / at(r, r);
  }
  return x;
}
