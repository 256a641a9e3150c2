import type { PlannedPosition } from '@dauer/core/catalogue';

/** In which order the positions round a part are taken. */
export type TakingOrder = 'round' | 'across';

/**
 * The order as indices into the positions: one after the other, or each followed by the one across, ring by ring.
 * Places with names keep their order.
 */
export function orderOf(positions: readonly PlannedPosition[], order: TakingOrder): number[] {
  const plain = positions.map((_, i) => i);
  if (order === 'round') return plain;
  const out: number[] = [];
  const rings = new Map<string, number[]>();
  for (const i of plain) {
    const p = positions[i];
    const key = p?.angleDeg === null ? `named ${i}` : (p?.place ?? '');
    rings.set(key, [...(rings.get(key) ?? []), i]);
  }
  for (const ring of rings.values()) {
    const half = Math.ceil(ring.length / 2);
    for (let i = 0; i < half; i += 1) {
      const [a, b] = [ring[i], ring[i + half]];
      if (a !== undefined) out.push(a);
      if (b !== undefined) out.push(b);
    }
  }
  return out;
}
