import type { ComponentKind } from '../../layout/kinds.ts';
import { type Given, IN_MM, round, spot, spots } from './patterns.ts';
import type { MeasurementId } from './types.ts';

const PRESSED: readonly ComponentKind[] = ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'piston'];
const LEVERS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever'];

/** Cylinders, pistons, pins, servo, pedal and linkage. Source: handbook 20. */
export const REST = {
  pin_runout: {
    ...{ name: 'Pin runout', on: ['caliper'], subject: 'part', ...IN_MM, usualGauge: 'dial', plausible: [0, 2], least: 1 },
    frame: 'place',
    pattern: spots(spot('upper', 'upper pin', 'Upper pin on V-blocks'), spot('lower', 'lower pin', 'Lower pin on V-blocks')),
    how: 'Pins on V-blocks under the dial, or rolled on glass: any wobble on glass rejects one.',
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
  },
  piston_diameter: {
    ...{ name: 'Piston', on: PRESSED, subject: 'part', ...IN_MM, usualGauge: 'micrometer', plausible: [8, 90], least: 4 },
    frame: 'piston',
    pattern: round(180, [2, 4], 2, [spot('outer', 'outer', 'Near the outer end'), spot('inner', 'inner', 'Near the inner end')]),
    how: 'Outside micrometer at two levels, each at two angles.',
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
  },
  bore_zone: {
    ...{ name: 'Swept zone', on: ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'], subject: 'article', ...IN_MM },
    ...{ usualGauge: 'depth_gauge', plausible: [0, 300], least: 2, frame: 'place' },
    pattern: spots(spot('from', 'from', 'Seal sweeps from, below the mouth'), spot('to', 'to', 'Seal sweeps to, below the mouth')),
    how: 'Where the seals rest and sweep, from the mouth inwards: polish marks show it. Only pits in there decide.',
  },
  line_pressure: {
    ...{ name: 'Line pressure', on: ['caliper', 'wheel_cylinder'], subject: 'slot', kind: 'pressure', unit: 'bar' },
    ...{ usualGauge: 'pressure_gauge', plausible: [0, 250], least: 2, frame: 'place' },
    pattern: spots(spot('light', 'light', 'At a light push'), spot('hard', 'hard', 'At a hard push')),
    how: 'At the bleeder, at two stated pedal forces; the same on the other side.',
  },
  servo_vacuum: {
    ...{ name: 'Vacuum held', on: ['servo'], subject: 'part', kind: 'vacuum', unit: 'kPa', usualGauge: 'vacuum_gauge' },
    ...{ plausible: [0, 90], least: 2, frame: 'place' },
    pattern: spots(spot('at rest', 'at rest', 'Lost in a minute, brakes off'), spot('applied', 'applied', 'Lost in 15 s, brakes applied')),
    how: 'Engine stopped: vacuum lost in one minute with the brakes off, then in 15 s with them applied.',
  },
  servo_push_rod: {
    ...{ name: 'Push rod', on: ['servo'], subject: 'fit', ...IN_MM, usualGauge: 'depth_gauge', plausible: [-5, 200], least: 1 },
    frame: 'place',
    pattern: spots(
      { ...spot('length', 'length', 'Push-rod length from the flange'), plausible: [5, 300] },
      { ...spot('free play', 'free play', 'Free play to the master cylinder'), plausible: [-5, 20] },
    ),
    how: 'As found before the cylinder comes off. No free play: the brakes drag as they warm; too much: a low pedal.',
  },
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
  },
  pedal_sink: {
    ...{ name: 'Sink', on: LEVERS, subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 200], least: 2 },
    frame: 'place',
    pattern: spots(spot('hard', 'hard', 'Sink in 60 s, hard push'), spot('light', 'light', 'Sink in 60 s, light push')),
    how: 'Steady push for 60 s, engine stopped and the servo’s vacuum used up: once hard, once light, since a worn lip may seal hard and pass light.',
  },
  pedal_pump_up: {
    ...{ name: 'Pump-up', on: LEVERS, subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [5, 400], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('first', 'first', 'Height where the first stroke stops'),
      spot('second', 'second', 'Height where the second stops'),
    ),
    how: 'Two quick strokes: a second that stops much higher says air, or adjustment.',
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
  },
  parking_travel: {
    ...{ name: 'Clicks', on: ['parking_lever'], subject: 'slot', kind: 'ratio', unit: '1', usualGauge: 'count' },
    ...{ plausible: [0, 40], least: 1, frame: 'place' },
    pattern: spots(spot('clicks', 'clicks', 'Clicks until the brake holds')),
    how: 'Shoes adjusted first with the cable slack, then the cable. Count at the usual pull.',
  },
  parking_cable: {
    ...{ name: 'Cable', on: ['parking_lever', 'equaliser'], subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 300], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('threads left', 'left', 'Thread showing, left cable'),
      spot('threads right', 'right', 'Thread showing, right cable'),
    ),
    how: 'Thread showing at the adjuster before it is touched. Recorded, not judged.',
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
  },
  expander_play: {
    ...{ name: 'Spindle play', on: ['expander'], subject: 'part', ...IN_MM, usualGauge: 'dial', plausible: [0, 5], least: 1 },
    frame: 'place',
    pattern: spots(spot('spindle', 'spindle', 'Cam spindle rocked in its bush')),
    how: 'Dial on the spindle, rocked across its bush. It lets the cam tip before it spreads the shoes.',
  },
  cam_angle: {
    ...{ name: 'Cam lever', on: ['expander'], subject: 'slot', kind: 'angle', unit: 'deg', usualGauge: 'angle_gauge' },
    ...{ plausible: [30, 140], least: 1, frame: 'place' },
    pattern: spots(
      spot('at contact', 'at contact', 'Lever to rod, linings just touching'),
      spot('full', 'full on', 'Lever to rod, fully applied'),
    ),
    how: 'Angle between lever and rod. At or just under a right angle at contact; past it the brake weakens as it is pushed.',
  },
  equaliser_level: {
    ...{ name: 'Level', on: ['equaliser'], subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 300], least: 2 },
    frame: 'place',
    pattern: spots(spot('left', 'left', 'Left end to the datum'), spot('right', 'right', 'Right end to the datum')),
    how: 'Both ends from one datum, brake applied: level, or one side does the work.',
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
  },
} satisfies Partial<Record<MeasurementId, Given>>;
