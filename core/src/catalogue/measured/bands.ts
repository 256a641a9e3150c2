import { dimension, either, IN_MM, round, size, spot, spots, upTo } from './patterns.ts';
import type { Entry, Spot } from './types.ts';

/** Round a band from its anchor, as it is set: the anchor first, then the lower half, then the upper. */
const ROUND_THE_BAND: readonly Spot[] = [
  spot('anchor', 'anchor', 'At the anchor'),
  spot('lower half', 'lower', 'Lower half, in its middle'),
  spot('lower end', 'lower end', 'Lower half, at its free end'),
  spot('upper half', 'upper', 'Upper half, in its middle'),
  spot('upper end', 'upper end', 'Upper half, at its free end'),
];

/**
 * Bands, and the drums that they grip from outside: a drum that wears gets smaller.
 * Source: handbook 58, D24; common workshop practice for contracting bands.
 */
export const BANDS = {
  band_drum_diameter: {
    ...{ name: 'Diameter', on: ['band_drum'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [80, 520], least: 4 },
    frame: 'drum_mark',
    pattern: round(180, [4, 6, 8], 4),
    how: 'Large caliper or outside micrometer over the swept face, at even angles over half a turn, where the lining ran and off the lip.',
    possible: size(1000),
    access: 'band off',
    programme: [{ of: ['band_drum'], done: ['found', 'replace', 'machine'] }],
    characteristics: {
      band_drum_diameter: {
        ...{ name: 'Band drum diameter', short: 'Diameter', reduction: { op: 'least' }, role: 'size' },
        ...dimension('lower'),
        nearNew: [-0.03, 0.005],
        nearPartner: 0.03,
      },
      band_drum_out_of_round: {
        ...{ name: 'Band drum out-of-round', short: 'Out-of-round', newWord: 'Round' },
        reduction: { op: 'range_within' },
        generic: [{ bound: 'upper', at: 0.15, nominal: 0, gravity: 'function', where: 'common workshop practice, as for other drums' }],
      },
    },
  },
  band_drum_runout: {
    ...{ name: 'Radial runout', on: ['band_drum'], subject: 'fit', ...IN_MM, usualGauge: 'dial', plausible: [-2, 2], least: 6 },
    frame: 'hub_stud',
    pattern: round(360, [6, 8, 12], 12),
    how: 'Dial on the outside of the drum on its own hub or shaft, every nut tight.',
    dialTurn: 5,
    possible: either(30),
    access: 'band off',
    programme: [{ of: ['band_drum'], done: ['found'], need: 'wanted' }],
    characteristics: {
      band_drum_runout: {
        ...{ name: 'Band drum radial runout', short: 'Radial runout', newWord: 'True', reduction: { op: 'sweep' }, onBearing: true },
        generic: [{ bound: 'upper', at: 0.15, nominal: 0, gravity: 'function', where: 'common workshop practice, on its own hub' }],
      },
    },
  },
  band_drum_surface: {
    ...{ name: 'Scores', on: ['band_drum'], subject: 'part', ...IN_MM, usualGauge: 'depth_gauge', plausible: [0, 4], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('score', 'score', 'Deepest score of the swept face'),
      spot('lip', 'lip', 'Height of the lip beside the swept face'),
    ),
    how: 'Depth gauge across the deepest groove; 0 where there is none.',
    possible: upTo(30),
    access: 'band off',
    programme: [{ of: ['band_drum'], done: ['found'], need: 'wanted' }],
    characteristics: {
      band_drum_score: {
        ...{ name: 'Band drum score depth', short: 'Score', newWord: 'Smooth', recorded: true },
        reduction: { op: 'at', place: 'score' },
      },
    },
  },
  band_lining: {
    ...{ name: 'Lining', on: ['band'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [0, 30], least: 5, frame: 'place' },
    pattern: spots(...ROUND_THE_BAND),
    how: 'Bonded: lining above the band, at the anchor, the middles and the free ends. Riveted linings are gauged above the rivet heads instead.',
    possible: upTo(60),
    programme: [{ of: ['band'], done: ['found', 'replace'], or: 'band_above_rivets' }],
    characteristics: {
      band_lining: {
        ...{ name: 'Band lining, bonded', short: 'Lining', reduction: { op: 'least' } },
        ...dimension('lower'),
        nearNew: [-1, 0.25],
        generic: [{ bound: 'lower', at: 1.6, gravity: 'safety', where: 'common workshop practice, as for bonded shoes' }],
      },
    },
  },
  band_above_rivets: {
    ...{ name: 'Above rivets', on: ['band'], subject: 'part', ...IN_MM, usualGauge: 'depth_gauge', plausible: [0, 20], least: 5 },
    frame: 'place',
    pattern: spots(...ROUND_THE_BAND),
    how: 'Riveted: lining above the rivet heads, at the anchor, the middles and the free ends.',
    possible: upTo(60),
    characteristics: {
      band_above_rivets: {
        ...{ name: 'Band lining above rivets', short: 'Above rivets', reduction: { op: 'least' } },
        ...dimension('lower'),
        generic: [{ bound: 'lower', at: 0.8, gravity: 'safety', where: 'common workshop practice, as for riveted shoes' }],
      },
    },
  },
  band_clearance: {
    ...{ name: 'Clearance', on: ['band'], subject: 'fit', ...IN_MM, usualGauge: 'feeler', plausible: [0, 4], least: 3, frame: 'place' },
    pattern: spots(
      spot('anchor', 'anchor', 'At the anchor, set first'),
      spot('lower half', 'lower', 'Under the lower half'),
      spot('upper half', 'upper', 'Under the upper half'),
    ),
    how: 'Feeler between lining and drum with the brake let go: the anchor is set first, then the lower half, then the upper.',
    possible: upTo(30),
    programme: [
      { of: ['band'], done: ['found'], need: 'recorded' },
      { of: ['band'], done: ['replace'] },
    ],
    characteristics: {
      band_tight: {
        ...{ name: 'Band clearance, tightest', short: 'Tightest', bound: 'lower', limitWord: 'Least' },
        reduction: { op: 'least' },
        generic: [{ bound: 'lower', at: 0.4, gravity: 'function', where: 'common workshop practice for contracting bands, let go' }],
      },
      band_loose: {
        ...{ name: 'Band clearance, loosest', short: 'Loosest', wears: 'grows', reduction: { op: 'greatest' } },
        generic: [
          { bound: 'upper', at: 0.9, nominal: null, gravity: 'function', where: 'common workshop practice for contracting bands, let go' },
        ],
      },
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
