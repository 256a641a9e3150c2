import { dimension, either, IN_MM, round, size, spot, spots, upTo } from './patterns.ts';
import type { Entry } from './types.ts';

/** Drums. Source: handbook 20; gravity: handbook 10, Decision rule; what is asked of each: handbook 15, Scope and programme. */
export const DRUMS = {
  drum_diameter: {
    ...{ name: 'Diameter', on: ['drum'], subject: 'part', ...IN_MM, usualGauge: 'drum_gauge', plausible: [90, 520], least: 4 },
    frame: 'drum_mark',
    pattern: round(180, [4, 6, 8], 4, [
      spot('open', 'open', 'Open end'),
      spot('middle', 'middle', 'Middle'),
      spot('closed', 'closed', 'Closed end'),
    ]),
    how: 'Drum gauge at 0, 45, 90 and 135°, at the open end, the middle and the closed end, clear of the ridge.',
    possible: size(1000),
    programme: [{ of: ['drum'], done: ['found', 'replace', 'machine'] }],
    characteristics: {
      drum_diameter: {
        ...{ name: 'Drum diameter', short: 'Diameter', reduction: { op: 'greatest' }, role: 'size' },
        ...dimension('upper'),
        nearNew: [-0.005, 0.03],
        nearPartner: 0.03,
      },
      drum_out_of_round: {
        ...{ name: 'Drum out-of-round', short: 'Out-of-round', newWord: 'Round' },
        reduction: { op: 'range_within' },
        generic: [{ bound: 'upper', at: 0.15, nominal: 0, gravity: 'function' }],
      },
      drum_taper: {
        ...{ name: 'Drum taper', short: 'Taper', newWord: 'Straight' },
        reduction: { op: 'means_apart', of: 'open', less: 'closed' },
        senses: ['wider at the open end', 'wider at the closed end'],
        generic: [{ bound: 'upper', at: 0.15, nominal: 0, gravity: 'function' }],
      },
      drum_barrel: {
        ...{ name: 'Drum barrel', short: 'Barrel', newWord: 'Straight', recorded: true },
        reduction: { op: 'barrel', middle: 'middle', ends: ['open', 'closed'] },
        senses: ['wider in the middle', 'narrower in the middle'],
      },
      drum_pair: {
        ...{ name: 'Drums of the axle apart', short: 'Pair', newWord: 'Alike', recorded: true },
        reduction: { op: 'between' },
        generic: [{ bound: 'upper', at: 0.25, nominal: null, gravity: 'function', where: 'common workshop practice, after turning' }],
      },
    },
  },
  drum_wall: {
    ...{ name: 'Wall', on: ['drum'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [1, 30], least: 4 },
    frame: 'drum_mark',
    pattern: round(360, [4, 6, 8], 4),
    how: 'Wall of a pressed steel drum, or of one whose history nobody knows, where it is thinnest.',
    possible: size(100),
    characteristics: {
      drum_wall: {
        ...{ name: 'Drum wall', short: 'Wall', reduction: { op: 'least' } },
        ...dimension('lower'),
        nearNew: [-0.9, 0.25],
      },
    },
  },
  drum_runout: {
    ...{ name: 'Radial runout', on: ['drum'], subject: 'fit', ...IN_MM, usualGauge: 'dial', plausible: [-2, 2], least: 6 },
    frame: 'hub_stud',
    pattern: round(360, [6, 8, 12], 12),
    how: 'Dial inside the drum on its own hub, every nut tight. An eccentric or three-lobed drum measures round across every diameter.',
    dialTurn: 5,
    possible: either(30),
    programme: [{ of: ['drum'], done: ['found'], need: 'wanted' }],
    characteristics: {
      drum_runout: {
        ...{ name: 'Drum radial runout', short: 'Radial runout', newWord: 'True', reduction: { op: 'sweep' }, onBearing: true },
        generic: [{ bound: 'upper', at: 0.15, nominal: 0, gravity: 'function', where: 'common workshop practice, on its own hub' }],
      },
    },
  },
  drum_surface: {
    ...{ name: 'Scores and ridge', on: ['drum'], subject: 'part', ...IN_MM, usualGauge: 'depth_gauge', plausible: [0, 4], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('score', 'score', 'Deepest score of the swept face'),
      spot('ridge', 'ridge', 'Height of the ridge at the open end'),
    ),
    how: 'Depth gauge across the deepest groove; 0 where there is none.',
    possible: upTo(30),
    programme: [{ of: ['drum'], done: ['found'], need: 'wanted' }],
    characteristics: {
      drum_score: {
        ...{ name: 'Drum score depth', short: 'Score', newWord: 'Smooth', recorded: true },
        reduction: { op: 'at', place: 'score' },
      },
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
