import type { Judged } from '@dauer/core/judging';
import { fixed } from '@dauer/core/quantity';

/** Geometry of a wear rule: wear always runs from left to right, whatever the figure does. */
export interface RuleScale {
  readonly x: (value: number) => number;
  readonly graduations: readonly { readonly x: number; readonly size: 'minor' | 'middle' | 'major'; readonly text: string | null }[];
  readonly limits: readonly {
    readonly x: number;
    readonly kind: 'new' | 'machine' | 'limit';
    readonly label: string;
    readonly figure: string;
  }[];
  readonly zones: readonly { readonly from: number; readonly to: number; readonly kind: 'machine' | 'beyond' }[];
}

const STEPS = [1, 2, 5];

/** A graduation step so that minor ticks lie 4 to 9 px apart. */
function stepFor(unitsPerPx: number): number {
  for (let power = -4; power < 4; power += 1) {
    for (const s of STEPS) if (s * 10 ** power >= 4 * unitsPerPx) return s * 10 ** power;
  }
  return 1000;
}

const decimalsOf = (step: number): number => Math.max(0, Math.ceil(-Math.log10(step) - 1e-9));

/**
 * Lays out a rule for a judged figure.
 * @param width px of the band
 * @param extra figures that must lie on the scale (readings, ghosts), mm
 */
export function ruleScale(judged: Judged, width: number, extra: readonly number[], pad = 20): RuleScale {
  const { bound } = judged;
  const falls = bound.kind === 'lower' || (bound.kind === 'none' && judged.characteristic.bound === 'lower');
  const nominal = bound.kind === 'none' ? null : (bound.nominal ?? null);
  const end = bound.kind === 'lower' || bound.kind === 'upper' ? bound.at : bound.kind === 'range' ? bound.high : null;
  const machine = judged.limit?.machineTo ?? null;
  const start = nominal ?? (bound.kind === 'range' ? bound.low : falls ? Math.max(...extra) : 0);
  const known = [start, ...(end === null ? [] : [end]), ...(machine === null ? [] : [machine]), ...extra];
  const low = Math.min(...known);
  const high = Math.max(...known);
  const span = high - low || Math.max(Math.abs(high) * 0.1, 0.1);
  const room = span * 0.16;
  const [left, right] = falls ? [high + span * 0.03, low - room] : [low - span * 0.03, high + room];
  const x = (v: number): number => pad + ((v - left) / (right - left)) * (width - 2 * pad);
  return { x, graduations: graduate(left, right, width - 2 * pad, x, limitPlaces()), limits: limitList(), zones: zoneList() };

  function limitPlaces(): number[] {
    return [nominal, machine, end].filter((v): v is number => v !== null).map(x);
  }
  function limitList(): RuleScale['limits'] {
    const least = judged.characteristic.kind === 'length' ? 2 : 0;
    const text = (v: number): string => fixed(v, Math.max(least, String(v).split('.')[1]?.length ?? 0));
    const { newWord, limitWord } = judged.characteristic;
    return [
      ...(nominal !== null ? [{ x: x(nominal), kind: 'new' as const, label: newWord, figure: text(nominal) }] : []),
      ...(machine !== null ? [{ x: x(machine), kind: 'machine' as const, label: 'Machine to', figure: text(machine) }] : []),
      ...(end !== null ? [{ x: x(end), kind: 'limit' as const, label: limitWord, figure: text(end) }] : []),
      ...(bound.kind === 'range' ? [{ x: x(bound.low), kind: 'limit' as const, label: 'Least', figure: text(bound.low) }] : []),
    ];
  }
  function zoneList(): RuleScale['zones'] {
    const zones: { from: number; to: number; kind: 'machine' | 'beyond' }[] = [];
    if (machine !== null && end !== null) zones.push({ from: x(machine), to: x(end), kind: 'machine' });
    if (end !== null) zones.push({ from: x(end), to: width, kind: 'beyond' });
    if (bound.kind === 'range') zones.push({ from: 0, to: x(bound.low), kind: 'beyond' });
    return zones;
  }
}

function graduate(
  left: number,
  right: number,
  px: number,
  x: (v: number) => number,
  keepClear: readonly number[],
): RuleScale['graduations'] {
  const step = stepFor(Math.abs(right - left) / px);
  const from = Math.ceil(Math.min(left, right) / step - 1e-6);
  const to = Math.floor(Math.max(left, right) / step + 1e-6);
  const majorEvery = 10;
  const decimals = decimalsOf(step * majorEvery);
  const out: { x: number; size: 'minor' | 'middle' | 'major'; text: string | null }[] = [];
  for (let i = from; i <= to; i += 1) {
    const at = x(i * step);
    const major = i % majorEvery === 0;
    const clear = keepClear.every((k) => Math.abs(k - at) > 26);
    out.push({
      x: at,
      size: major ? 'major' : i % (majorEvery / 2) === 0 ? 'middle' : 'minor',
      text: major && clear && at > 14 && at < px + 20 ? fixed(i * step, decimals) : null,
    });
  }
  return out;
}
