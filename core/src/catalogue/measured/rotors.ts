import { dimension, either, IN_MM, round, size, spot, spots, upTo } from './patterns.ts';
import type { Entry } from './types.ts';

/** Rotors, and the drum in one. Source: handbook 20; gravity: handbook 10, Decision rule; what is asked of each: handbook 15, Scope and programme. */
export const ROTORS = {
  rotor_thickness: {
    ...{ name: 'Thickness', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'micrometer', plausible: [3, 45], least: 4 },
    frame: 'rotor_mark',
    pattern: round(360, [4, 6, 8, 12], 8, [spot('outer ring', 'outer', 'Outer ring')], [spot('inner ring', 'inner', 'Inner ring')]),
    how: 'Micrometer, 10 to 15 mm in from the edge, evenly round from stud 1 in the direction in which studs are counted.',
    possible: size(150),
    programme: [{ of: ['rotor'], done: ['found', 'replace', 'machine'] }],
    characteristics: {
      rotor_thickness: {
        ...{ name: 'Rotor thickness', short: 'Thickness', reduction: { op: 'least' }, role: 'size' },
        ...dimension('lower'),
        nearNew: [-0.5, 0.05],
        nearPartner: 0.3,
      },
      rotor_thickness_variation: {
        ...{ name: 'Rotor thickness variation', short: 'Variation', newWord: 'Even' },
        reduction: { op: 'range_within' },
        generic: [
          { bound: 'upper', at: 0.015, nominal: 0, gravity: 'function', where: 'common workshop practice: above it the pedal pulses' },
        ],
      },
      rotor_taper: {
        ...{ name: 'Rotor taper', short: 'Taper', newWord: 'Parallel', recorded: true },
        reduction: { op: 'means_apart', of: 'outer ring', less: 'inner ring' },
        senses: ['thicker at the outer ring', 'thinner at the outer ring'],
      },
      rotor_pair: {
        ...{ name: 'Rotors of the axle apart', short: 'Pair', newWord: 'Alike', recorded: true },
        reduction: { op: 'between' },
        generic: [{ bound: 'upper', at: 0.25, nominal: null, gravity: 'function', where: 'common workshop practice, after machining' }],
      },
    },
  },
  rotor_runout: {
    ...{ name: 'Runout', on: ['rotor'], subject: 'fit', ...IN_MM, usualGauge: 'dial', plausible: [-2, 2], least: 6 },
    frame: 'hub_stud',
    pattern: round(360, [6, 8, 12, 16], 12),
    how: 'Dial near the rim, every nut with plain washers at wheel torque, hub pushed the same way throughout. Plunger pushed in is positive.',
    dialTurn: 4,
    possible: either(30),
    programme: [{ of: ['rotor'], done: ['found', 'replace', 'machine'] }],
    characteristics: {
      rotor_runout: {
        ...{ name: 'Rotor runout', short: 'Runout', newWord: 'True', reduction: { op: 'sweep' } },
        ...{ role: 'runout', onBearing: true },
        generic: [{ bound: 'upper', at: 0.1, nominal: 0, gravity: 'function', where: 'common workshop practice, fitted' }],
      },
    },
  },
  rotor_surface: {
    ...{ name: 'Scores and lip', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'depth_gauge', plausible: [0, 3], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('outer face: score', 'outer score', 'Deepest score, outer face'),
      spot('inner face: score', 'inner score', 'Deepest score, inner face'),
      spot('edge: lip', 'lip', 'Height of the lip at the edge'),
    ),
    how: 'Depth gauge across the deepest groove of each face; 0 where there is none. The lip from the swept face up.',
    possible: upTo(30),
    programme: [{ of: ['rotor'], done: ['found'], need: 'wanted' }],
    characteristics: {
      rotor_score: {
        ...{ name: 'Rotor score depth', short: 'Score', newWord: 'Smooth', recorded: true },
        reduction: { op: 'greatest', places: ['outer face: score', 'inner face: score'] },
      },
      rotor_lip: {
        ...{ name: 'Rotor lip', short: 'Lip', newWord: 'None', recorded: true },
        reduction: { op: 'at', place: 'edge: lip' },
      },
    },
  },
  rotor_identity: {
    ...{ name: 'Identity', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [10, 520], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('outside diameter', 'outside', 'Outside diameter'),
      spot('overall height', 'height', 'Overall height, hat to face'),
      spot('centre bore', 'bore', 'Centre bore'),
      spot('bolt circle', 'bolt circle', 'Bolt circle diameter'),
    ),
    how: 'What a new one is ordered by, beside thickness and number of holes. Not judged.',
    possible: size(1000),
    characteristics: {},
  },
  rotor_play: {
    ...{ name: 'Button play', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'dial', plausible: [0, 3], least: 1 },
    frame: 'place',
    pattern: spots(spot('radial', 'radial', 'Radial play at the buttons'), spot('axial', 'axial', 'Axial play at the buttons')),
    how: 'Floating rotors only: dial against the band, carrier held.',
    possible: upTo(30),
    characteristics: {
      rotor_play_radial: {
        ...{ name: 'Rotor button play, radial', short: 'Radial play', recorded: true },
        reduction: { op: 'at', place: 'radial' },
        readAsDifference: true,
      },
      rotor_play_axial: {
        ...{ name: 'Rotor button play, axial', short: 'Axial play', recorded: true },
        reduction: { op: 'at', place: 'axial' },
        readAsDifference: true,
      },
    },
  },
  rotor_paint: {
    ...{ name: 'Paint bands', on: ['rotor'], subject: 'part', kind: 'temperature', unit: 'degC', usualGauge: 'thermometer' },
    ...{ plausible: [100, 1000], least: 1, frame: 'place' },
    pattern: spots(
      spot('hottest turned', 'turned', 'Hottest band that turned'),
      spot('coolest kept', 'kept', 'Coolest band that kept its colour'),
    ),
    how: 'Temperatures of the bands as printed on the product. What turned says how hot it got at least.',
    possible: [20, 1500],
    characteristics: {},
  },
  rotor_drum: {
    ...{ name: 'Drum inside', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'drum_gauge', plausible: [90, 400], least: 4 },
    frame: 'drum_mark',
    onStyle: 'drum_in_disc',
    pattern: round(180, [4, 6, 8], 4),
    how: 'Drum gauge inside the hat, where the parking shoes run, at even angles and clear of the ridge.',
    possible: size(1000),
    access: 'rotor off',
    programme: [{ of: ['rotor'], done: ['found', 'replace'] }],
    characteristics: {
      rotor_drum: {
        ...{ name: 'Drum inside the rotor', short: 'Drum inside', reduction: { op: 'greatest' } },
        ...dimension('upper'),
        nearNew: [-0.005, 0.03],
        nearPartner: 0.03,
      },
      rotor_drum_out_of_round: {
        ...{ name: 'Out-of-round of the drum inside', short: 'Out-of-round', newWord: 'Round', recorded: true },
        reduction: { op: 'range_within' },
      },
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
