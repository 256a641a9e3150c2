import { isStandalone, type Corner, type Layout, type Slot, isGripped } from '@dauer/core/layout';
import type { Box } from './route.ts';
import { atWheel, type Drawn, inMiddle, type Place, Setting, sideOf, WIDTH } from './usualPlaces.ts';

/** Height of the drawing as it is where everything finds room. */
const HEIGHT = 380;
const LEGEND = 26;

/** Kinds that are drawn by themselves; the others show with the part that carries them. */
const DRAWN_KINDS: readonly Slot['kind'][] = [
  'rotor',
  'drum',
  'band_drum',
  'caliper',
  'wheel_cylinder',
  'master_cylinder',
  'reservoir',
  'servo',
  'pedal',
  'hand_lever',
  'foot_lever',
  'balance_bar',
  'valve',
  'parking_lever',
  'equaliser',
  'cross_shaft',
  'clutch_master',
  'clutch_slave',
  'union',
  'switch',
  'hose',
];

/** The corner's slots whose mark a drawn part carries with its own. */
export function carried(layout: Layout, slot: Slot): Slot[] {
  const mates: Partial<Record<Slot['kind'], readonly Slot['kind'][]>> = {
    rotor: ['hub', 'parking_shoes', 'bleeder'],
    drum: ['shoes', 'hub', 'expander'],
    band_drum: ['band', 'hub', 'expander'],
    caliper: ['piston', 'pads'],
    wheel_cylinder: ['piston'],
  };
  const kinds = mates[slot.kind] ?? [];
  const side = sideOf(slot);
  return layout.slots.filter(
    (s) =>
      s.parentId === slot.id ||
      (s.corner === slot.corner &&
        (slot.corner !== null || isGripped(slot.kind)) &&
        s.parentId === null &&
        kinds.includes(s.kind) &&
        (side === 0 || sideOf(s) === 0 || sideOf(s) === side)),
  );
}

/** Seen in a mirror: for a driver on the left. */
const mirrored = (p: Place): Place => ({ ...p, x: WIDTH - p.x, mark: { x: -p.mark.x, y: p.mark.y } });

export const boxOf = (d: Pick<Drawn, 'x' | 'y' | 'hit'>, room = 0): Box => ({
  left: d.x - d.hit.w / 2 - room,
  right: d.x + d.hit.w / 2 + room,
  top: d.y - d.hit.h / 2 - room,
  bottom: d.y + d.hit.h / 2 + room,
});
export const overlap = (a: Box, b: Box): boolean => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** What is drawn on a wheel itself lies over it on purpose. */
export const ON_WHEEL: readonly Slot['kind'][] = ['caliper', 'wheel_cylinder'];
const STEP = 6;

/** The nearest free place to where something would stand; further down where there is none. */
function settle(place: Place, taken: readonly Box[], corner: Corner | null): Place {
  const free = (x: number, y: number): boolean => {
    const box = boxOf({ ...place, x, y });
    const within = corner === null ? box.left >= 92 && box.right <= WIDTH - 92 : box.left >= 6 && box.right <= WIDTH - 6;
    return within && box.top >= 24 && !taken.some((t) => overlap(box, t));
  };
  const fits = boxOf(place);
  if (!taken.some((t) => overlap(fits, t))) return place;
  for (let ring = 1; ring < 120; ring += 1) {
    const near: [number, number][] = [];
    for (let dx = -ring; dx <= ring; dx += 1) {
      const dy = ring - Math.abs(dx);
      near.push([dx, dy], [dx, -dy]);
    }
    const found = near.find(([dx, dy]) => free(place.x + dx * STEP, place.y + dy * STEP));
    if (found) return { ...place, x: place.x + found[0] * STEP, y: place.y + found[1] * STEP };
  }
  return { ...place, y: Math.max(...taken.map((t) => t.bottom)) + place.hit.h };
}

/** Kinds that stand in a line: a further one stands between what it joins. */
const IN_LINE: readonly Slot['kind'][] = ['union', 'valve', 'switch', 'hose', 'servo'];

/** Half way between what a slot's lines join, as far as that is placed; null where nothing is. */
function between(layout: Layout, slot: Slot, drawn: readonly Drawn[]): { readonly x: number; readonly y: number } | null {
  const ends = layout.connections.flatMap((c) => (c.kind !== 'line' ? [] : c.from === slot.id ? [c.to] : c.to === slot.id ? [c.from] : []));
  const placed = drawn.filter((d) => ends.includes(d.slot.id));
  if (placed.length === 0) return null;
  const mean = (of: (d: Drawn) => number): number => Math.round(placed.reduce((sum, d) => sum + of(d), 0) / placed.length / STEP) * STEP;
  return { x: mean((d) => d.x), y: mean((d) => d.y) };
}

const CHARACTER = 7.2;
/** About what a label covers beside its part. */
function labelBox(p: Place): Box | null {
  if (p.label === null) return null;
  const lines = labelLines(p.label);
  const width = Math.max(...lines.map((l) => l.length)) * CHARACTER;
  const start = p.x + p.mark.x + (p.mark.x < 0 ? -12 - width : 12);
  return { left: start, right: start + width, top: p.y - 9 * lines.length, bottom: p.y + 9 * lines.length };
}

/** A long label stands in two lines beside its part. */
export function labelLines(label: string): string[] {
  const space = label.indexOf(' ');
  return label.length > 9 && space > 0 ? [label.slice(0, space), label.slice(space + 1)] : [label];
}

const PER_ROW = 3;
/** Units that came alone: side by side as they lie on the bench, each with its name under it. */
function onBench(layout: Layout): { readonly drawn: readonly Drawn[]; readonly height: number } {
  const units = layout.slots.filter((s) => s.parentId === null);
  const drawn = units.map((slot, i): Drawn => {
    const x = 72 + (i % PER_ROW) * 120;
    const y = 70 + Math.floor(i / PER_ROW) * 104;
    return { slot, x, y, dir: 1, label: null, mark: { x: 0, y: 0 }, hit: { w: 92, h: 76 } };
  });
  const rows = Math.ceil(units.length / PER_ROW);
  return { drawn, height: Math.max(200, 40 + rows * 104) };
}

/** Every drawn place, none over another, and how high the drawing is. A label that finds no room is left to the pick. */
export function placesOf(layout: Layout): { readonly drawn: readonly Drawn[]; readonly height: number } {
  if (isStandalone(layout)) return onBench(layout);
  const setting = new Setting(layout);
  const spots = new Set<string>();
  const later = new Set<string>();
  for (const s of layout.slots.filter((x) => x.corner === null && IN_LINE.includes(x.kind))) {
    const usual = inMiddle(setting, s);
    const spot = `${s.kind} ${usual?.x} ${usual?.y}`;
    if (spots.has(spot) || (s.kind === 'switch' && s.circuits.length > 0)) later.add(s.id);
    spots.add(spot);
  }
  const further = (s: Slot): boolean => later.has(s.id);
  const order = layout.slots
    .filter((s) => DRAWN_KINDS.includes(s.kind))
    .sort(
      (a, b) =>
        Number(a.corner === null) - Number(b.corner === null) ||
        Number(further(a)) - Number(further(b)) ||
        DRAWN_KINDS.indexOf(a.kind) - DRAWN_KINDS.indexOf(b.kind),
    );
  const drawn: Drawn[] = [];
  const taken: { readonly box: Box; readonly slot: Slot }[] = [];
  for (const slot of order) {
    const usual = slot.corner ? atWheel(setting, slot, slot.corner) : inMiddle(setting, slot);
    if (!usual) continue;
    const handed = slot.corner === null && layout.drive === 'left' && !setting.bike ? mirrored(usual) : usual;
    const wanted = further(slot) ? { ...handed, ...between(layout, slot, drawn) } : handed;
    // A caliper lies over its rotor and a wheel cylinder over its drum.
    const others = taken.filter((t) => !(ON_WHEEL.includes(slot.kind) && t.slot.corner === slot.corner && isGripped(t.slot.kind)));
    const place = settle(
      wanted,
      others.map((t) => t.box),
      slot.corner,
    );
    drawn.push({ slot, ...place });
    taken.push({ box: boxOf(place), slot });
  }
  const written: Box[] = [];
  const named = drawn.map((d) => {
    const box = labelBox(d);
    if (!box) return d;
    const room =
      box.left >= 2 &&
      box.right <= WIDTH + 8 &&
      ![...drawn.filter((o) => o !== d).map((o) => boxOf(o)), ...written].some((o) => overlap(box, o));
    if (room) written.push(box);
    return room ? d : { ...d, label: null };
  });
  const lowest = Math.max(0, ...drawn.map((d) => d.y + d.hit.h / 2));
  const inOrder = layout.slots.flatMap((s) => named.filter((d) => d.slot.id === s.id));
  return { drawn: inOrder, height: Math.max(HEIGHT, Math.ceil(lowest) + LEGEND) };
}
