import type { ComponentKind } from '../../layout/kinds.ts';
import { either, IN_MM, size, spot, spots, upTo } from './patterns.ts';
import type { Entry } from './types.ts';

const LEVERS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever'];

/** Pedal, parking brake and linkage. Source: handbook 20; gravity: handbook 10, Decision rule; what is asked of each: handbook 15, Scope and programme. */
export const CONTROLS = {
  pedal_setting: {
    ...{ name: 'Height and play', on: LEVERS, subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 400], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('height', 'height', 'Height above the floor, at rest'),
      spot('free play', 'free play', 'Free play at the pad'),
      spot('travel', 'travel', 'Travel under the stated force'),
      spot('reserve', 'reserve', 'Left to the floor under the stated force'),
      spot('push rod', 'push rod', 'Threads or length showing on the push rod'),
    ),
    how: 'Before anything is disturbed. Recorded, not judged, unless the vehicle’s book gives a figure.',
    possible: upTo(1000),
    programme: [{ of: ['pedal', 'hand_lever', 'foot_lever'], done: ['found'], need: 'wanted' }],
    characteristics: {
      pedal_reserve: {
        ...{ name: 'Pedal reserve to the floor', short: 'Reserve', bound: 'lower', recorded: true },
        reduction: { op: 'at', place: 'reserve' },
      },
      pedal_free_play: {
        ...{ name: 'Pedal free play', short: 'Free play', recorded: true },
        reduction: { op: 'at', place: 'free play' },
      },
      pedal_height: {
        ...{ name: 'Pedal height at rest', short: 'Height', bound: 'lower', limitWord: 'Least', recorded: true },
        reduction: { op: 'at', place: 'height' },
      },
      pedal_travel: {
        ...{ name: 'Pedal travel under force', short: 'Travel', recorded: true },
        reduction: { op: 'at', place: 'travel' },
      },
    },
  },
  pedal_sink: {
    ...{ name: 'Sink', on: LEVERS, subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 200], least: 2 },
    frame: 'place',
    pattern: spots(
      { ...spot('hard', 'hard', 'Sink in 60 s, hard push'), holdS: 60 },
      { ...spot('light', 'light', 'Sink in 60 s, light push'), holdS: 60 },
    ),
    how: 'Steady push for 60 s, engine stopped and the servo’s vacuum used up: once hard, once light, since a worn lip may seal hard and pass light.',
    possible: upTo(1000),
    programme: [{ of: ['pedal', 'hand_lever', 'foot_lever'], done: ['found'], need: 'wanted' }],
    characteristics: {
      pedal_sink: {
        ...{ name: 'Pedal sink in 60 s', short: 'Sink', gravity: 'safety', newWord: 'None' },
        reduction: { op: 'greatest' },
        generic: [
          {
            bound: 'upper',
            at: 5,
            nominal: null,
            gravity: 'safety',
            where: 'common workshop practice: more with no leak outside means that seals pass',
          },
        ],
      },
    },
  },
  pedal_pump_up: {
    ...{ name: 'Pump-up', on: LEVERS, subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [5, 400], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('first', 'first', 'Height where the first stroke stops'),
      spot('second', 'second', 'Height where the second stops'),
    ),
    how: 'Two quick strokes: a second that stops much higher says air, or adjustment.',
    possible: upTo(1000),
    programme: [{ of: ['pedal', 'hand_lever', 'foot_lever'], done: ['found'], need: 'wanted' }],
    characteristics: {
      pedal_pump_up: {
        ...{ name: 'Pedal pump-up', short: 'Pump-up', kind: 'ratio', unit: '1', newWord: 'None' },
        reduction: { op: 'rise', of: 'second', over: 'first' },
        generic: [
          { bound: 'upper', at: 0.25, nominal: null, gravity: 'function', where: 'common workshop practice: above it, air or adjustment' },
        ],
      },
    },
  },
  pedal_travel: {
    ...{
      name: 'Travel at two forces',
      on: ['pedal', 'foot_lever'],
      subject: 'slot',
      ...IN_MM,
      usualGauge: 'rule',
      plausible: [1, 400],
      least: 2,
    },
    frame: 'place',
    pattern: spots(
      spot('light', 'light', 'Travel from rest under 100 N'),
      spot('hard', 'hard', 'Travel from rest under 300 N'),
      spot('pad arm', 'pad arm', 'Pivot to the middle of the pad'),
      spot('rod arm', 'rod arm', 'Pivot to the push rod'),
    ),
    how: 'Engine stopped and the servo’s vacuum used up; force by a spring balance on the pad. Once with everything open, then again with one hose clamped or one unit blocked, entered as put in: its share of the volume is what is then missing.',
    possible: upTo(1000),
    possibleAt: { 'pad arm': size(1500), 'rod arm': size(1500) },
    programme: [{ of: ['pedal', 'foot_lever'], done: ['found'], need: 'recorded' }],
    characteristics: {},
  },
  parking_travel: {
    ...{ name: 'Clicks', on: ['parking_lever'], subject: 'slot', kind: 'ratio', unit: '1', usualGauge: 'count' },
    ...{ plausible: [0, 40], least: 1, frame: 'place' },
    pattern: spots(spot('clicks', 'clicks', 'Clicks until the brake holds')),
    how: 'Shoes adjusted first with the cable slack, then the cable. Count at the usual pull.',
    possible: upTo(200),
    programme: [{ of: ['parking_lever'], done: ['found'], need: 'wanted' }],
    characteristics: {
      parking_clicks: {
        ...{ name: 'Parking lever, clicks', short: 'Clicks', recorded: true },
        reduction: { op: 'at', place: 'clicks' },
      },
    },
  },
  parking_cable: {
    ...{ name: 'Cable', on: ['parking_lever', 'equaliser'], subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 300], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('threads left', 'left', 'Thread showing, left cable'),
      spot('threads right', 'right', 'Thread showing, right cable'),
    ),
    how: 'Thread showing at the adjuster before it is touched. Recorded, not judged.',
    possible: upTo(1000),
    programme: [{ of: ['parking_lever'], done: ['found'], need: 'recorded' }],
    characteristics: {},
  },
  linkage_play: {
    ...{ name: 'Play', on: ['cross_shaft', 'equaliser'], subject: 'slot', ...IN_MM, usualGauge: 'feeler', plausible: [0, 10], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('clevis front', 'front clevis', 'Clevis, front rod'),
      spot('clevis rear', 'rear clevis', 'Clevis, rear rod'),
      spot('bush left', 'left bush', 'Shaft bush, left'),
      spot('bush right', 'right bush', 'Shaft bush, right'),
    ),
    how: 'Play at each pin and bush, by feeler or dial. It all adds up at the pedal.',
    possible: upTo(100),
    programme: [{ of: ['cross_shaft'], done: ['found'], need: 'wanted' }],
    characteristics: {
      linkage_play: {
        ...{ name: 'Play in the linkage', short: 'Play', wears: 'grows', newWord: 'None', recorded: true },
        reduction: { op: 'greatest' },
      },
    },
  },
  lift_off: {
    ...{ name: 'Lift-off', on: LEVERS, subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 300], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('FL', 'front left', 'Pedal travel at which the front left wheel drags'),
      spot('FR', 'front right', 'Pedal travel at which the front right wheel drags'),
      spot('RL', 'rear left', 'Pedal travel at which the rear left wheel drags'),
      spot('RR', 'rear right', 'Pedal travel at which the rear right wheel drags'),
    ),
    how: 'Wheels clear, pedal pushed down in steps: the travel at which each wheel first drags. The lowest drags first.',
    possible: upTo(1000),
    characteristics: {
      lift_off_front: {
        ...{ name: 'Lift-off of the front wheels apart', short: 'Front lift-off', newWord: 'Alike', recorded: true },
        reduction: { op: 'pairs_apart', either: true, pairs: [['FL', 'FR']] },
      },
      lift_off_rear: {
        ...{ name: 'Lift-off of the rear wheels apart', short: 'Rear lift-off', newWord: 'Alike', recorded: true },
        reduction: { op: 'pairs_apart', either: true, pairs: [['RL', 'RR']] },
      },
    },
  },
  expander_play: {
    ...{ name: 'Spindle play', on: ['expander'], subject: 'part', ...IN_MM, usualGauge: 'dial', plausible: [0, 5], least: 1 },
    frame: 'place',
    pattern: spots(spot('spindle', 'spindle', 'Cam spindle rocked in its bush')),
    how: 'Dial on the spindle, rocked across its bush. It lets the cam tip before it spreads the shoes.',
    possible: upTo(100),
    access: 'drum off',
    characteristics: {
      expander_play: {
        ...{ name: 'Cam spindle play', short: 'Spindle', wears: 'grows', newWord: 'None', recorded: true },
        reduction: { op: 'greatest' },
        readAsDifference: true,
      },
    },
  },
  cam_angle: {
    ...{ name: 'Cam lever', on: ['expander'], subject: 'slot', kind: 'angle', unit: 'deg', usualGauge: 'angle_gauge' },
    ...{ plausible: [30, 140], least: 1, frame: 'place' },
    pattern: spots(
      spot('at contact', 'at contact', 'Lever to rod, linings just touching'),
      spot('full', 'full on', 'Lever to rod, fully applied'),
    ),
    how: 'Angle between lever and rod. At or just under a right angle at contact; past it the brake weakens as it is pushed.',
    possible: upTo(180),
    programme: [{ of: ['expander'], done: ['found'], need: 'wanted' }],
    characteristics: {
      cam_angle: {
        ...{ name: 'Cam lever to rod, at contact', short: 'Lever angle', limitWord: 'Right angle' },
        reduction: { op: 'at', place: 'at contact' },
        generic: [
          {
            bound: 'range',
            low: 75,
            high: 90,
            gravity: 'function',
            where: 'common workshop practice: at or just under a right angle at contact, never past it',
          },
        ],
      },
      cam_angle_full: {
        ...{ name: 'Cam lever to rod, fully applied', short: 'Full angle', recorded: true },
        reduction: { op: 'at', place: 'full' },
      },
    },
  },
  equaliser_level: {
    ...{ name: 'Level', on: ['equaliser'], subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 300], least: 2 },
    frame: 'place',
    pattern: spots(spot('left', 'left', 'Left end to the datum'), spot('right', 'right', 'Right end to the datum')),
    how: 'Both ends from one datum, brake applied: level, or one side does the work.',
    possible: either(1000),
    characteristics: {
      equaliser_level: {
        ...{ name: 'Equaliser out of level', short: 'Level', newWord: 'Level', recorded: true },
        reduction: { op: 'pairs_apart', either: true, pairs: [['left', 'right']] },
      },
    },
  },
  balance_bar_setting: {
    ...{ name: 'Setting', on: ['balance_bar'], subject: 'slot', ...IN_MM, usualGauge: 'caliper', plausible: [0, 200], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('offset', 'offset', 'Offset of the pivot from the middle'),
      spot('front rod', 'front rod', 'Length of the front push rod'),
      spot('rear rod', 'rear rod', 'Length of the rear push rod'),
    ),
    how: 'Before it is turned. Recorded, not judged.',
    possible: size(600),
    possibleAt: { offset: either(300) },
    programme: [{ of: ['balance_bar'], done: ['found'], need: 'wanted' }],
    characteristics: {},
  },
} as const satisfies Readonly<Record<string, Entry>>;
