import { either, IN_MM, round, size, spot, spots, upTo } from './patterns.ts';
import { FREE_WHEEL } from './practice.ts';
import type { Entry } from './types.ts';

/** Hubs, and the wheel as a whole. Source: handbook 20; gravity: handbook 10, Decision rule; what is asked of each: handbook 15, Scope and programme. */
export const HUBS = {
  hub_end_float: {
    ...{ name: 'End float', on: ['hub'], subject: 'fit', ...IN_MM, usualGauge: 'dial', plausible: [0, 1.5], least: 1 },
    frame: 'place',
    pattern: spots(spot('float', 'push and pull', 'Dial on the hub face, push and pull')),
    how: 'Dial on the hub face, pushed and pulled by hand, not rocked. Runout means nothing until this holds.',
    dialTurn: 2,
    possible: upTo(30),
    access: 'drum off',
    programme: [{ of: ['hub'], done: ['found'] }],
    characteristics: {
      hub_end_float: {
        ...{ name: 'Wheel bearing end float', short: 'End float', gravity: 'safety', newWord: 'None' },
        reduction: { op: 'at', place: 'float' },
        readAsDifference: true,
        generic: [
          {
            name: 'hub_end_float_taper',
            bound: 'range',
            low: 0.02,
            high: 0.1,
            gravity: 'safety',
            where: 'common workshop practice for adjustable taper rollers',
          },
          {
            name: 'hub_end_float_unit',
            bound: 'upper',
            at: 0.05,
            gravity: 'safety',
            where: 'common workshop practice for angular ball and unit bearings',
          },
        ],
      },
    },
  },
  hub_face_runout: {
    ...{ name: 'Face runout', on: ['hub'], subject: 'part', ...IN_MM, usualGauge: 'dial', plausible: [-2, 2], least: 8 },
    frame: 'hub_stud',
    pattern: round(
      360,
      [8, 12],
      8,
      [],
      [],
      [
        { ...spot('dial radius', 'dial at', 'Radius at which the dial stands'), plausible: [15, 250] },
        { ...spot('swept radius', 'swept at', 'Radius at which the pads run'), plausible: [40, 300] },
      ],
    ),
    how: 'Dial near the edge of the bare, clean face. It reaches the rotor multiplied by swept radius over dial radius.',
    dialTurn: 3,
    possible: either(30),
    possibleAt: { 'dial radius': size(500), 'swept radius': size(500) },
    access: 'rotor off',
    programme: [{ of: ['hub'], done: ['found'], need: 'wanted' }],
    characteristics: {
      hub_face_runout: {
        ...{ name: 'Hub face runout at the rotor', short: 'Face runout', newWord: 'True', onBearing: true },
        reduction: { op: 'sweep_scaled', times: 'swept radius', over: 'dial radius' },
        generic: [
          { bound: 'upper', at: 0.05, nominal: 0, gravity: 'function', where: 'common workshop practice, at the rotor’s swept radius' },
        ],
      },
    },
  },
  wheel_rocking: {
    ...{ name: 'Rocking', on: ['hub'], subject: 'slot', ...IN_MM, usualGauge: 'dial', plausible: [0, 10], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('brake held', 'brake held', 'Rocked top and bottom, brake held'),
      spot('brake free', 'brake free', 'Rocked top and bottom, brake free'),
    ),
    how: 'What is left with the brake held is not the bearing: ball joint or king pin. Settle it before end float is judged.',
    dialTurn: 1,
    possible: upTo(100),
    characteristics: {
      wheel_rocking: {
        ...{ name: 'Rocking that is not the bearing', short: 'Rocking', newWord: 'None', recorded: true },
        reduction: { op: 'at', place: 'brake held' },
        readAsDifference: true,
      },
    },
  },
  wheel_drag: {
    ...{ name: 'Drag', on: ['hub'], subject: 'slot', kind: 'torque', unit: 'Nm', usualGauge: 'torque_wrench' },
    ...{ plausible: [0, 60], least: 2, frame: 'place' },
    pattern: spots(
      spot('before', 'before', 'Turning, before a hard application'),
      spot('after', '5 s after', 'Turning, 5 s after release'),
    ),
    how: 'Turning torque of the wheel before a hard application and 5 s after release. By a spring scale: force × radius, like 38 N × 312 mm.',
    possible: upTo(2000),
    possibleAt: { radius: size(1000) },
    programme: [{ of: ['hub'], done: ['found'], need: 'wanted' }],
    characteristics: {
      wheel_drag: {
        ...{ name: 'Drag left after release', short: 'Drag', newWord: 'Free' },
        reduction: { op: 'apart', of: 'after', less: 'before' },
        generic: [
          {
            bound: 'upper',
            at: 4,
            nominal: null,
            gravity: 'function',
            where: 'common workshop practice: what a hard application leaves behind',
          },
        ],
      },
      wheel_drag_after: {
        ...{ name: 'Drag after release', short: 'Still drags', newWord: 'Free' },
        reduction: { op: 'at', place: 'after' },
        generic: [
          { name: 'wheel_drag_after_driven', bound: 'upper', at: FREE_WHEEL.driven, gravity: 'function', where: FREE_WHEEL.ofDriven },
          { name: 'wheel_drag_after_free', bound: 'upper', at: FREE_WHEEL.free, gravity: 'function', where: FREE_WHEEL.ofFree },
        ],
      },
      wheel_drag_pair: {
        ...{ name: 'Drag, left to right', short: 'Drag pair', newWord: 'Alike', recorded: true },
        reduction: { op: 'between' },
        generic: [{ bound: 'upper', at: 2, nominal: null, gravity: 'function', where: 'common workshop practice, left to right' }],
      },
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
