import { IN_MM, dimension, size, spot, spots, upTo } from './patterns.ts';
import { ARC_AIM } from './practice.ts';
import type { Entry, Spot } from './types.ts';

/**
 * Angles of the six points of a pair of shoes, seen from the wheel side, counter-clockwise from x to the right, y up:
 * shoe A (to the right) heel, middle, toe, then shoe B. Source: handbook 20, Shoe centring.
 */
export const SHOE_POINTS: readonly Spot[] = [
  spot('A: heel', 'A heel', 'Shoe A, heel', 305),
  spot('A: middle', 'A middle', 'Shoe A, middle', 0),
  spot('A: toe', 'A toe', 'Shoe A, toe', 55),
  spot('B: heel', 'B heel', 'Shoe B, heel', 235),
  spot('B: middle', 'B middle', 'Shoe B, middle', 180),
  spot('B: toe', 'B toe', 'Shoe B, toe', 125),
];

const SHOE_THIRDS: readonly Spot[] = (['leading', 'trailing'] as const).flatMap((shoe) =>
  (['heel', 'middle', 'toe'] as const).map((at) =>
    spot(`${shoe}: ${at}`, at, `${shoe === 'leading' ? 'Leading' : 'Trailing'} shoe, ${at}`),
  ),
);

const PAD_SPOTS: readonly Spot[] = (['inner', 'outer'] as const).flatMap((pad) =>
  (['leading top', 'trailing top', 'leading bottom', 'trailing bottom'] as const).map((corner) =>
    spot(`${pad}: ${corner}`, corner, `${pad === 'inner' ? 'Inner' : 'Outer'} pad, ${corner}`),
  ),
);

/** Pads and shoes. Source: handbook 20; gravity: handbook 10, Decision rule; what is asked of each: handbook 15, Scope and programme. */
export const LININGS = {
  pad_lining: {
    ...{ name: 'Lining', on: ['pads'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [0, 30], least: 8 },
    frame: 'pads',
    pattern: spots(...PAD_SPOTS),
    how: 'Friction material at the four corners of each pad, without the backing.',
    possible: upTo(60),
    programme: [{ of: ['pads'], done: ['found', 'replace'] }],
    characteristics: {
      pad_lining: {
        ...{ name: 'Pad lining', short: 'Lining', reduction: { op: 'least' } },
        ...dimension('lower'),
        nearNew: [-1, 0.25],
        generic: [{ bound: 'lower', at: 2, gravity: 'safety', where: 'common workshop practice for bonded pads' }],
      },
    },
  },
  pad_total: {
    ...{ name: 'Pad total', on: ['pads'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [3, 45], least: 2 },
    frame: 'place',
    pattern: spots(spot('inner', 'inner', 'Inner pad with backing and shims'), spot('outer', 'outer', 'Outer pad with backing and shims')),
    how: 'Lining, backing and shims together, in the middle of the pad: it says how far the piston stands out.',
    possible: size(100),
    programme: [{ of: ['pads'], done: ['found'], need: 'wanted' }],
    characteristics: {},
  },
  pad_ears: {
    ...{ name: 'Ears in bracket', on: ['pads'], subject: 'fit', ...IN_MM, usualGauge: 'feeler', plausible: [0, 4], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('inner: leading', 'inner leading', 'Inner pad, leading ear'),
      spot('inner: trailing', 'inner trailing', 'Inner pad, trailing ear'),
      spot('outer: leading', 'outer leading', 'Outer pad, leading ear'),
      spot('outer: trailing', 'outer trailing', 'Outer pad, trailing ear'),
    ),
    how: 'Feeler between ear and abutment; the pad slides by hand. Look for steps worn into the abutment.',
    possible: upTo(30),
    characteristics: {
      pad_ears_tight: {
        ...{ name: 'Pad ears, tightest', short: 'Tightest ear', bound: 'lower', limitWord: 'Least' },
        reduction: { op: 'least' },
        generic: [{ bound: 'lower', at: 0.1, gravity: 'function' }],
      },
      pad_ears_loose: {
        ...{ name: 'Pad ears, loosest', short: 'Loosest ear', wears: 'grows', reduction: { op: 'greatest' } },
        generic: [{ bound: 'upper', at: 0.6, nominal: null, gravity: 'function' }],
      },
    },
  },
  shoe_lining: {
    ...{ name: 'Lining', on: ['shoes', 'parking_shoes'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [0, 30], least: 6 },
    frame: 'shoes',
    pattern: spots(...SHOE_THIRDS),
    how: 'Bonded: lining above the shoe at heel, middle and toe of both. Riveted linings are gauged above the rivet heads instead.',
    possible: upTo(60),
    access: 'drum off',
    programme: [{ of: ['shoes', 'parking_shoes'], done: ['found', 'replace'], or: 'shoe_above_rivets' }],
    characteristics: {
      shoe_lining: {
        ...{ name: 'Shoe lining, bonded', short: 'Lining', reduction: { op: 'least' } },
        ...dimension('lower'),
        nearNew: [-1, 0.25],
        generic: [{ bound: 'lower', at: 1.6, gravity: 'safety', where: 'common workshop practice for bonded shoes' }],
      },
    },
  },
  shoe_above_rivets: {
    ...{ name: 'Above rivets', on: ['shoes', 'parking_shoes'], subject: 'part', ...IN_MM, usualGauge: 'depth_gauge', plausible: [0, 20] },
    ...{ least: 6, frame: 'shoes' },
    pattern: spots(...SHOE_THIRDS),
    how: 'Riveted: lining above the rivet heads at heel, middle and toe of both shoes.',
    possible: upTo(60),
    access: 'drum off',
    characteristics: {
      shoe_above_rivets: {
        ...{ name: 'Shoe lining above rivets', short: 'Above rivets', reduction: { op: 'least' } },
        ...dimension('lower'),
        generic: [{ bound: 'lower', at: 0.8, gravity: 'safety', where: 'common workshop practice for riveted shoes' }],
      },
    },
  },
  shoe_arc: {
    ...{ name: 'Lining arc', on: ['shoes'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [90, 520], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('leading', 'leading', 'Diameter of the leading lining’s arc'),
      spot('trailing', 'trailing', 'Diameter of the trailing lining’s arc'),
    ),
    how: 'Diameter of the arc that the lining was ground to, by arc gauge; or chord × sag under a straightedge, typed like 180 × 28.6.',
    possible: size(1000),
    access: 'drum off',
    characteristics: {
      shoe_arc_difference: {
        ...{ name: 'Lining arc under the drum', short: 'Arc', reduction: { op: 'between' } },
        generic: [
          {
            bound: 'range',
            low: ARC_AIM.low,
            high: ARC_AIM.high,
            gravity: 'function',
            where: 'common workshop practice: lining arc smaller in diameter than the drum',
          },
        ],
      },
    },
  },
  shoe_centring: {
    ...{ name: 'Centring', on: ['shoes'], subject: 'fit', ...IN_MM, usualGauge: 'depth_gauge', plausible: [40, 260], least: 6 },
    frame: 'shoes',
    pattern: spots(...SHOE_POINTS),
    how: 'Distance from the axle’s centre to the lining, seen from the wheel side: shoe A stands to the right, B to the left.',
    possible: size(500),
    access: 'drum off',
    programme: [{ of: ['shoes'], done: ['found'], need: 'wanted' }],
    characteristics: {
      shoe_unequal: {
        ...{ name: 'Clearance of the shoes, unequal', short: 'Unequal', newWord: 'Even', recorded: true },
        reduction: { op: 'range' },
      },
    },
  },
  shoe_springs: {
    ...{ name: 'Return springs', on: ['shoes'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [10, 250], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('upper', 'upper', 'Upper spring, free length'),
      spot('upper partner', 'its partner', 'The same spring of the other side'),
      spot('lower', 'lower', 'Lower spring, free length'),
      spot('lower partner', 'its partner', 'The same spring of the other side, lower'),
    ),
    how: 'Free length against the partner of the other side. Open coils or burnt paint reject it by eye.',
    possible: size(1000),
    access: 'drum off',
    characteristics: {
      shoe_springs: {
        ...{ name: 'Return springs, pair apart', short: 'Springs', newWord: 'Alike', recorded: true },
        reduction: {
          op: 'pairs_apart',
          either: true,
          pairs: [
            ['upper', 'upper partner'],
            ['lower', 'lower partner'],
          ],
        },
      },
    },
  },
  shoe_adjuster: {
    ...{ name: 'Adjuster', on: ['shoes', 'parking_shoes'], subject: 'slot', kind: 'ratio', unit: '1', usualGauge: 'count' },
    ...{ plausible: [0, 200], least: 1, frame: 'place' },
    pattern: spots(spot('turns', 'turns', 'Clicks or turns back from contact'), spot('left', 'left', 'Clicks or turns of travel left')),
    how: 'Count before it is disturbed; note beside it which way tightens. Recorded, not judged.',
    possible: upTo(2000),
    access: 'drum off',
    programme: [{ of: ['shoes'], done: ['found'], need: 'recorded' }],
    characteristics: {},
  },
  adjuster_travel: {
    ...{
      name: 'Travel and links',
      on: ['shoes', 'parking_shoes'],
      subject: 'slot',
      ...IN_MM,
      usualGauge: 'caliper',
      plausible: [0.01, 300],
    },
    ...{ least: 1, frame: 'place' },
    pattern: spots(
      spot('whole travel', 'travel', 'How far the adjuster runs out from all the way in'),
      spot('per click', 'a click', 'Travel of one click or turn'),
      spot('lining new', 'lining new', 'Lining when new, off the new part'),
      spot('above rivets new', 'above rivets new', 'Riveted: above the rivets when new'),
      spot('link', 'link', 'Link or push rod between the shoes'),
      spot('link new', 'link new', 'The same when new'),
      spot('cam', 'cam', 'Height of the cam or wedge'),
      spot('cam new', 'cam new', 'The same when new'),
    ),
    how: 'With the adjuster in the hand. What has no link or cam is left out; drum and linings count with it below.',
    possible: size(1000),
    access: 'drum off',
    characteristics: {
      link_short: {
        ...{ name: 'Link shorter than new', short: 'Link', wears: 'grows', newWord: 'Full', recorded: true },
        reduction: { op: 'apart', of: 'link new', less: 'link' },
        belowNothing: 'The link is longer than when new: is this the link, is this the figure?',
      },
      cam_worn: {
        ...{ name: 'Cam lower than new', short: 'Cam', wears: 'grows', newWord: 'Full', recorded: true },
        reduction: { op: 'apart', of: 'cam new', less: 'cam' },
        belowNothing: 'The cam is higher than when new: is this the cam, is this the figure?',
      },
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
