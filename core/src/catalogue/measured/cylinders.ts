import type { ComponentKind } from '../../layout/kinds.ts';
import { BORED } from '../repairOptions.ts';
import { dimension, either, IN_MM, round, size, spot, spots, upTo } from './patterns.ts';
import { BORE_WEAR_LIMIT, CLEARANCE_LIMIT } from './practice.ts';
import type { Entry } from './types.ts';

const PRESSED: readonly ComponentKind[] = [...BORED, 'piston'];

/** Pins, lines, bores, pistons and the servo. Source: handbook 20; gravity: handbook 10, Decision rule; what is asked of each: handbook 15, Scope and programme. */
export const CYLINDERS = {
  pin_runout: {
    ...{ name: 'Pin runout', on: ['caliper'], subject: 'part', ...IN_MM, usualGauge: 'dial', plausible: [0, 2], least: 1 },
    frame: 'place',
    pattern: spots(spot('upper', 'upper pin', 'Upper pin on V-blocks'), spot('lower', 'lower pin', 'Lower pin on V-blocks')),
    how: 'Pins on V-blocks under the dial, or rolled on glass: any wobble on glass rejects one.',
    possible: upTo(30),
    programme: [{ of: ['caliper'], done: ['found'], need: 'wanted' }],
    characteristics: {
      pin_runout: {
        ...{ name: 'Slide pin runout', short: 'Pin runout', newWord: 'True', reduction: { op: 'greatest' } },
        readAsDifference: true,
        generic: [{ bound: 'upper', at: 0.1, nominal: 0, gravity: 'function' }],
      },
    },
  },
  pin_fit: {
    ...{ name: 'Pins in bushes', on: ['caliper'], subject: 'part', ...IN_MM, usualGauge: 'micrometer', plausible: [4, 40], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('upper pin', 'upper pin', 'Upper pin, diameter'),
      { ...spot('upper bush', 'upper bush', 'Upper bush, bore'), usualGauge: 'bore_gauge' },
      spot('lower pin', 'lower pin', 'Lower pin, diameter'),
      { ...spot('lower bush', 'lower bush', 'Lower bush, bore'), usualGauge: 'bore_gauge' },
    ),
    how: 'Pin where it is worn most, its bush at right angles to the wear.',
    possible: size(100),
    characteristics: {
      pin_clearance: {
        ...{ name: 'Slide pin clearance', short: 'Pin clearance', wears: 'grows' },
        reduction: {
          op: 'pairs_apart',
          either: false,
          pairs: [
            ['upper bush', 'upper pin'],
            ['lower bush', 'lower pin'],
          ],
        },
        belowNothing: 'The pin is larger than its bush: one of the two figures is wrong.',
        generic: [{ bound: 'upper', at: 0.25, nominal: null, gravity: 'function' }],
      },
    },
  },
  bore_diameter: {
    ...{ name: 'Bore', on: PRESSED, subject: 'article', ...IN_MM, usualGauge: 'bore_gauge', plausible: [8, 90], least: 6 },
    frame: 'bore',
    pattern: round(180, [2, 4], 2, [
      spot('mouth', 'mouth', 'At the mouth'),
      spot('middle', 'middle', 'In the middle'),
      spot('bottom', 'bottom', 'At the bottom'),
    ]),
    how: 'Bore gauge at three depths, each at two angles at right angles. Wash it dry first: rust reads as metal.',
    possible: size(200),
    access: 'drum off',
    programme: [
      { of: BORED, done: ['reseal', 'hone'], phase: 'as_found' },
      { of: BORED, done: ['hone', 'sleeve'], phase: 'after_machining' },
      { of: BORED, done: ['found'], need: 'wanted' },
    ],
    characteristics: {
      bore_wear: {
        ...{ name: 'Bore wear', short: 'Bore wear', wears: 'grows', gravity: 'safety' },
        reduction: { op: 'over_nominal' },
        belowNothing: 'The bore is smaller than when new: is this the part, is this the figure?',
        nearNew: [-0.004, 0.015],
        generic: [
          {
            name: 'bore_wear_small',
            bound: 'upper',
            at: BORE_WEAR_LIMIT.small,
            nominal: 0,
            gravity: 'safety',
            where: `common workshop practice for bores to ${BORE_WEAR_LIMIT.smallTo} mm`,
          },
          {
            name: 'bore_wear_large',
            bound: 'upper',
            at: BORE_WEAR_LIMIT.large,
            nominal: 0,
            gravity: 'safety',
            where: `common workshop practice for bores over ${BORE_WEAR_LIMIT.smallTo} mm`,
          },
        ],
      },
      bore_out_of_round: {
        ...{ name: 'Bore out-of-round', short: 'Out-of-round', newWord: 'Round', recorded: true },
        reduction: { op: 'range_within' },
      },
      bore_taper: {
        ...{ name: 'Bore taper', short: 'Taper', newWord: 'Straight', recorded: true },
        reduction: { op: 'means_spread' },
      },
    },
  },
  piston_diameter: {
    ...{ name: 'Piston', on: PRESSED, subject: 'part', ...IN_MM, usualGauge: 'micrometer', plausible: [8, 90], least: 4 },
    frame: 'piston',
    pattern: round(180, [2, 4], 2, [spot('outer', 'outer', 'Near the outer end'), spot('inner', 'inner', 'Near the inner end')]),
    how: 'Outside micrometer at two levels, each at two angles.',
    possible: size(200),
    access: 'pads out',
    programme: [
      { of: ['piston', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'], done: ['found'], need: 'wanted' },
      { of: BORED, done: ['reseal', 'hone', 'sleeve'], phase: 'as_found' },
    ],
    characteristics: {
      piston_diameter: {
        ...{ name: 'Piston diameter', short: 'Piston', recorded: true, reduction: { op: 'least' } },
        ...dimension('lower'),
        nearNew: [-0.015, 0.004],
        nearPartner: 0.015,
      },
      bore_clearance: {
        ...{ name: 'Piston clearance', short: 'Clearance', wears: 'grows', gravity: 'safety' },
        reduction: { op: 'between' },
        belowNothing: 'The piston is larger than its bore: one of the two figures is wrong.',
        generic: [{ bound: 'upper', at: CLEARANCE_LIMIT, nominal: null, gravity: 'safety' }],
      },
    },
  },
  piston_seal: {
    ...{ name: 'Seal and reach', on: ['piston'], subject: 'article', ...IN_MM, usualGauge: 'depth_gauge', plausible: [0.5, 150], least: 4 },
    frame: 'place',
    pattern: spots(
      spot('mouth to face', 'to face', 'Mouth of the bore to the face of a new rotor, or to the fingers'),
      spot('seal below mouth', 'seal at', 'Mouth to the centre of the seal’s groove'),
      spot('seal width', 'seal width', 'Width of the seal'),
      spot('sealing length', 'sealing length', 'Cylindrical length of the piston from its outer face'),
    ),
    how: 'Fixed caliper: from the mouth to the face of a new rotor. Floating: from the mouth to the inner face of the fingers.',
    possible: size(400),
    possibleAt: { 'seal below mouth': upTo(400) },
    access: 'pads out',
    programme: [{ of: ['piston'], done: ['found'], need: 'wanted' }],
    characteristics: {},
  },
  bore_zone: {
    ...{ name: 'Swept zone', on: ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'], subject: 'article', ...IN_MM },
    ...{ usualGauge: 'depth_gauge', plausible: [0, 300], least: 2, frame: 'place' },
    pattern: spots(spot('from', 'from', 'Seal sweeps from, below the mouth'), spot('to', 'to', 'Seal sweeps to, below the mouth')),
    how: 'Where the seals rest and sweep, from the mouth inwards: polish marks show it. Only pits in there decide.',
    possible: upTo(1000),
    characteristics: {},
  },
  line_pressure: {
    ...{ name: 'Line pressure', on: ['caliper', 'wheel_cylinder'], subject: 'slot', kind: 'pressure', unit: 'bar' },
    ...{ usualGauge: 'pressure_gauge', plausible: [0, 250], least: 2, frame: 'place' },
    pattern: spots(spot('light', 'light', 'At a light push'), spot('hard', 'hard', 'At a hard push')),
    how: 'At the bleeder, at two stated pedal forces; the same on the other side.',
    possible: upTo(700),
    characteristics: {
      line_pressure_pair: {
        ...{ name: 'Line pressure, left to right', short: 'Pressure pair', kind: 'ratio', unit: '1' },
        ...{ newWord: 'Alike', recorded: true, reduction: { op: 'between' } },
        generic: [{ bound: 'upper', at: 0.05, nominal: null, gravity: 'function', where: 'common workshop practice, left to right' }],
      },
    },
  },
  servo_vacuum: {
    ...{ name: 'Vacuum held', on: ['servo'], subject: 'part', kind: 'vacuum', unit: 'kPa', usualGauge: 'vacuum_gauge' },
    ...{ plausible: [0, 90], least: 2, frame: 'place' },
    pattern: spots(
      { ...spot('at rest', 'at rest', 'Lost in a minute, brakes off'), holdS: 60 },
      { ...spot('applied', 'applied', 'Lost in 15 s, brakes applied'), holdS: 15 },
    ),
    how: 'Engine stopped: vacuum lost in one minute with the brakes off, then in 15 s with them applied.',
    possible: upTo(101.325),
    programme: [{ of: ['servo'], done: ['found'], need: 'wanted' }],
    characteristics: {
      servo_rest_loss: {
        ...{ name: 'Servo vacuum lost in a minute, at rest', short: 'At rest', newWord: 'None' },
        reduction: { op: 'at', place: 'at rest' },
        generic: [{ bound: 'upper', at: 12, nominal: null, gravity: 'function' }],
      },
      servo_applied_loss: {
        ...{ name: 'Servo vacuum lost in 15 s, applied', short: 'Applied', newWord: 'None' },
        reduction: { op: 'at', place: 'applied' },
        generic: [{ bound: 'upper', at: 3, nominal: null, gravity: 'function' }],
      },
    },
  },
  servo_push_rod: {
    ...{ name: 'Push rod', on: ['servo'], subject: 'fit', ...IN_MM, usualGauge: 'depth_gauge', plausible: [-5, 200], least: 1 },
    frame: 'place',
    pattern: spots(
      { ...spot('length', 'length', 'Push-rod length from the flange'), plausible: [5, 300] },
      { ...spot('free play', 'free play', 'Free play to the master cylinder'), plausible: [-5, 20] },
    ),
    how: 'As found before the cylinder comes off. No free play: the brakes drag as they warm; too much: a low pedal.',
    possible: size(600),
    possibleAt: { 'free play': either(50) },
    access: 'master off servo',
    programme: [{ of: ['servo'], done: ['found'], need: 'wanted' }],
    characteristics: {
      push_rod_play: {
        ...{ name: 'Push-rod free play to the cylinder', short: 'Rod play', recorded: true },
        reduction: { op: 'at', place: 'free play' },
      },
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
