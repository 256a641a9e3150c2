/**
 * A stretch of time in which a device's clock ran through: what it showed is a fixed distance from the server's clock. A new
 * one begins where it was set, where the device slept, and with every page.
 */
export interface Era {
  readonly id: string;
  /** How far this clock is behind the server's, ms, as the answers in this era said; null where none came. */
  readonly offset: number | null;
  /** Between which it lies, ms, as far as the answers say: how long each was on its way leaves that open. */
  readonly within?: Within;
  /**
   * How far the clock ran ahead of a steady one where this era began, ms: set forward or slept through where above zero, set
   * back where below; null where nothing was looking, between two pages.
   */
  readonly jump: number | null;
}

/** The least and the most of something. */
type Within = readonly [number, number];

/** Beside a moment that something is stamped with: what this device's clock showed, ms, and in which era. */
export interface Stamp {
  readonly wall: number;
  readonly era: string;
}

/** A device's clock as one page knows it: its eras in order, and both clocks when it last looked. */
export interface DeviceClock {
  readonly eras: readonly Era[];
  readonly wall: number;
  readonly steady: number;
}

/** Two clocks that are this near run together, ms: what keeps a page busy is not a setting. */
const NEAR_MS = 2000;
/** Eras that a device remembers. */
export const MOST_ERAS = 60;
/** Most jumps whose kind is told by trying them all. */
const TRIED = 6;

/** A page's clock as it opens, after the eras of the pages before it. */
export const openClock = (before: readonly Era[], id: string, wall: number, steady: number): DeviceClock => ({
  eras: [...before, { id, offset: null, jump: null }].slice(-MOST_ERAS),
  wall,
  steady,
});

/** The clock as it is looked at again: where it and a steady one ran apart, a new era has begun. */
export function lookAt(clock: DeviceClock, wall: number, steady: number, newId: () => string): DeviceClock {
  const jump = wall - clock.wall - (steady - clock.steady);
  const eras = Math.abs(jump) > NEAR_MS ? [...clock.eras, { id: newId(), offset: null, jump }].slice(-MOST_ERAS) : clock.eras;
  return { eras, wall, steady };
}

/** Where both lie; the later one where they lie apart, as with a clock that drifts. */
function meet(before: Within | undefined, now: Within): Within {
  const both: Within = before ? [Math.max(before[0], now[0]), Math.min(before[1], now[1])] : now;
  return both[0] <= both[1] ? both : now;
}

/**
 * The clock after an answer. Slow answers leave much open, quick ones little; what nothing shows to be wrong stays as it
 * was, so that two devices whose clocks are right tell what they saw in the order in which it happened, however slow the
 * network is. After K. Marzullo and S. Owicki, Maintaining the time in a distributed system (1983).
 * @param within how far it is behind the server's, ms: the server's time less this clock's, when the answer came and when it was asked for
 */
export function measured(clock: DeviceClock, within: Within): DeviceClock {
  const now = clock.eras.at(-1);
  if (!now) return clock;
  const [least, most] = meet(now.within, within);
  const offset = Math.min(Math.max(now.offset ?? 0, least), most);
  if (now.offset === offset && now.within?.[0] === least && now.within[1] === most) return clock;
  return { ...clock, eras: [...clock.eras.slice(0, -1), { ...now, offset, within: [least, most] }] };
}

/** A stamp that comes after the one before it, also where the clock was turned back by a little. */
export const nextStamp = (before: Stamp | null, now: Stamp): Stamp =>
  before && before.era === now.era && before.wall >= now.wall ? { ...now, wall: before.wall + 1 } : now;

/** Every way of choosing among jumps, fewest first. */
function choices(jumps: readonly number[]): number[][] {
  return Array.from({ length: 2 ** jumps.length }, (_, bits) => jumps.filter((_j, i) => (bits >> i) & 1)).sort(
    (a, b) => a.length - b.length,
  );
}

/**
 * Which of the jumps between two measured eras were settings: those back always, those forward where that explains what the
 * clock gained on the whole; a forward jump that explains nothing was sleep.
 */
function settings(between: readonly Era[], change: number): ReadonlySet<Era> {
  const back = between.filter((e) => e.jump !== null && e.jump < 0);
  const forward = between.filter((e) => e.jump !== null && e.jump > 0);
  const left = -change - back.reduce((sum, e) => sum + (e.jump ?? 0), 0);
  const tried = forward.slice(-TRIED);
  const fit = choices(tried.map((_, i) => i)).find(
    (chosen) => Math.abs(chosen.reduce((sum, i) => sum + (tried[i]?.jump ?? 0), 0) - left) <= NEAR_MS,
  );
  return new Set([...back, ...(fit ?? []).flatMap((i) => tried[i] ?? [])]);
}

/**
 * How far the clock was behind the server's in an era, ms: as measured in it, or worked out from the measured eras beside it
 * and what the clock jumped between.
 * @param eras in order
 * @returns null where no era was measured at all
 */
export function offsetIn(eras: readonly Era[], id: string): number | null {
  const at = eras.findIndex((e) => e.id === id);
  const own = eras[at]?.offset ?? null;
  if (own !== null) return own;
  const before = eras.slice(0, Math.max(0, at)).findLastIndex((e) => e.offset !== null);
  const after = eras.findIndex((e, i) => i > at && e.offset !== null);
  const [a, b] = [eras[before]?.offset ?? null, eras[after]?.offset ?? null];
  if (at < 0 || (a === null && b === null)) return eras.findLast((e) => e.offset !== null)?.offset ?? null;
  const set = (from: number, to: number, known: ReadonlySet<Era>): number =>
    eras.slice(from, to).reduce((sum, e) => sum + (known.has(e) ? (e.jump ?? 0) : 0), 0);
  if (a === null) {
    const known = settings(eras.slice(at + 1, after + 1), -backOf(eras.slice(at + 1, after + 1)));
    return (b ?? 0) + set(at + 1, after + 1, known);
  }
  if (b === null) return a - set(before + 1, at + 1, new Set(eras.filter((e) => (e.jump ?? 0) < 0)));
  const between = eras.slice(before + 1, after + 1);
  return a - set(before + 1, at + 1, settings(between, b - a));
}
const backOf = (eras: readonly Era[]): number => eras.reduce((sum, e) => sum + Math.min(0, e.jump ?? 0), 0);

/** Whether what was stamped in an era can be told by the server's clock without asking it first. */
export const isSettled = (eras: readonly Era[], id: string): boolean => {
  const at = eras.findIndex((e) => e.id === id);
  return at < 0 || eras.slice(at).some((e) => e.offset !== null);
};

/** The instant of a stamp by the server's clock, ms; by this device's own where nothing was ever measured. */
export const instantOf = (eras: readonly Era[], stamp: Stamp): number => stamp.wall + (offsetIn(eras, stamp.era) ?? 0);

/** A moment, and the instant by the server's clock that it was told as, ms. */
export interface Told {
  readonly stamp: Stamp;
  readonly at: number;
}

/**
 * The instant of a stamp, after the one that was told before it: what came later is told later, however much the distance from
 * the server's clock was measured anew in between. The same moment is told the same again.
 */
export function toldAfter(eras: readonly Era[], before: Told | null, stamp: Stamp): Told {
  const at = instantOf(eras, stamp);
  if (!before) return { stamp, at };
  if (before.stamp.era === stamp.era && before.stamp.wall === stamp.wall) return before;
  const turn = ({ era }: Stamp): number => eras.findIndex((e) => e.id === era);
  const later = before.stamp.era === stamp.era ? stamp.wall > before.stamp.wall : turn(stamp) > turn(before.stamp);
  return { stamp, at: later && at <= before.at ? before.at + 1 : at };
}
