import type { ComponentKind } from '../../layout/kinds.ts';
import { IN_MM, size, spot, spots, upTo } from './patterns.ts';
import { FREE_WHEEL } from './practice.ts';
import type { Entry } from './types.ts';

const LEVERS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever'];
/** Units that are resealed and held under pressure on the bench. */
const SEALED_UNITS: readonly ComponentKind[] = ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'];

const ROSE = 'It rose while it was held: one of the two figures is wrong, or something heats it. Hold it anew.';

/** What is measured to prove a vehicle or a unit, beside what was measured as found. Source: handbook 60, Bench test and Proving; 20, Servo and Pedal. */
export const PROVING = {
  pedal_return: {
    ...{ name: 'Return', on: LEVERS, subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 400], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('before', 'before', 'Height at rest, before a hard press'),
      spot('after', 'after', 'Height at rest, after it was let go'),
    ),
    how: 'From the same mark of the floor or grip, before a hard press and after it, without help by hand.',
    possible: upTo(1000),
    characteristics: {
      pedal_return: {
        ...{ name: 'Pedal stays short of its rest', short: 'Stays short', newWord: 'None', recorded: true },
        reduction: { op: 'apart', of: 'before', less: 'after' },
        readAsDifference: true,
      },
    },
  },
  servo_run_up: {
    ...{ name: 'Run-up', on: ['servo'], subject: 'slot', ...IN_MM, usualGauge: 'rule', plausible: [0, 60], least: 1 },
    frame: 'place',
    pattern: spots(spot('fall', 'falls', 'Pedal falls as the engine starts')),
    how: 'Vacuum used up by pressing, foot held steady on the pedal, then the engine is started: it falls a little.',
    possible: upTo(300),
    characteristics: {
      servo_run_up: {
        ...{ name: 'Pedal falls at run-up', short: 'Run-up', bound: 'lower', limitWord: 'Least', recorded: true },
        reduction: { op: 'at', place: 'fall' },
      },
    },
  },
  parking_slope: {
    ...{ name: 'Slope held', on: ['parking_lever'], subject: 'slot', kind: 'angle', unit: 'deg', usualGauge: 'angle_gauge' },
    ...{ plausible: [1, 25], least: 1, frame: 'place' },
    pattern: spots(spot('up', 'uphill', 'Slope held, facing uphill'), spot('down', 'downhill', 'Slope held, facing downhill')),
    how: 'On the slope that it has to hold on, out of gear, chocks a hand’s breadth away. 1 in 6 is 9.5°. What it has to hold is the law of the place.',
    possible: upTo(45),
    characteristics: {
      parking_slope: {
        ...{ name: 'Slope that the parking brake holds', short: 'Slope', bound: 'lower', limitWord: 'Least', gravity: 'safety' },
        ...{ recorded: true, reduction: { op: 'least' } },
      },
    },
  },
  parking_pull: {
    ...{ name: 'Pull held', on: ['parking_lever'], subject: 'slot', kind: 'force', unit: 'N', usualGauge: 'spring_scale' },
    ...{ plausible: [50, 20000], least: 1, frame: 'place' },
    pattern: spots(spot('pull', 'pull', 'Pull at the vehicle that it held')),
    how: 'On the level, out of gear: the vehicle pulled along its length until it gives, or as far as it has to hold.',
    possible: upTo(100000),
    characteristics: {
      parking_pull: {
        ...{ name: 'Pull that the parking brake holds', short: 'Pull', bound: 'lower', limitWord: 'Least', gravity: 'safety' },
        ...{ recorded: true, reduction: { op: 'at', place: 'pull' } },
      },
    },
  },
  parking_drag: {
    ...{ name: 'Parking drag', on: ['hub'], subject: 'slot', kind: 'torque', unit: 'Nm', usualGauge: 'torque_wrench' },
    ...{ plausible: [0, 60], least: 1, frame: 'place' },
    pattern: spots(spot('let go', 'let go', 'Turning, parking brake pulled and let go')),
    how: 'Parking brake pulled once and let go, then the turning torque of the wheel. By a spring scale: force × radius, like 38 N × 312 mm.',
    possible: upTo(2000),
    possibleAt: { radius: size(1000) },
    characteristics: {
      parking_drag: {
        ...{ name: 'Drag with the parking brake let go', short: 'Parking drag', newWord: 'Free' },
        reduction: { op: 'at', place: 'let go' },
        generic: [
          { name: 'parking_drag_driven', bound: 'upper', at: FREE_WHEEL.driven, gravity: 'function', where: FREE_WHEEL.ofDriven },
          { name: 'parking_drag_free', bound: 'upper', at: FREE_WHEEL.free, gravity: 'function', where: FREE_WHEEL.ofFree },
        ],
      },
    },
  },
  brake_force: {
    ...{ name: 'Brake force', on: ['hub'], subject: 'slot', kind: 'force', unit: 'N', usualGauge: 'brake_tester' },
    ...{ plausible: [50, 12000], least: 1, frame: 'place' },
    pattern: spots(spot('force', 'force', 'Greatest force before the wheel locks')),
    how: 'On the roller bench, wheel by wheel, at the same pedal force on both sides. The law of the place comes first.',
    possible: upTo(100000),
    characteristics: {
      brake_force_pair: {
        ...{ name: 'Brake force, left to right', short: 'Force pair', kind: 'ratio', unit: '1', gravity: 'safety' },
        ...{ newWord: 'Alike', recorded: true, reduction: { op: 'between' } },
        generic: [
          {
            ...{ bound: 'upper', at: 0.3, nominal: null, gravity: 'safety' },
            where: 'common workshop practice, of the larger one; the law of the place first',
          },
        ],
      },
    },
  },
  wheel_heat: {
    ...{ name: 'Heat', on: ['hub'], subject: 'slot', kind: 'temperature', unit: 'degC', usualGauge: 'thermometer' },
    ...{ plausible: [5, 400], least: 1, frame: 'place' },
    pattern: spots(spot('after', 'after', 'Drum or rotor, just after the road test')),
    how: 'Without contact, at once after the road test: one side much hotter than the other drags, one much colder does nothing.',
    possible: [-40, 1200],
    characteristics: {
      wheel_heat_pair: {
        ...{ name: 'Heat after the road, left to right', short: 'Heat pair', newWord: 'Alike', recorded: true },
        reduction: { op: 'between' },
      },
    },
  },
  bench_low: {
    ...{ name: 'Held low', on: SEALED_UNITS, subject: 'part', kind: 'pressure', unit: 'bar', usualGauge: 'test_gauge' },
    ...{ plausible: [0.5, 10], least: 2, frame: 'place' },
    pattern: spots(spot('start', 'set', 'Low pressure, as set: about 3 bar'), {
      ...spot('end', 'after 5 min', 'The same, after 5 min'),
      holdS: 300,
    }),
    how: 'With fluid, never air, pistons backed by a block. A lip may seal hard and weep light, so the low pressure comes first.',
    possible: upTo(700),
    characteristics: {
      bench_low_drop: {
        belowNothing: ROSE,
        ...{ name: 'Pressure lost in 5 min, low', short: 'Low drop', gravity: 'safety', newWord: 'None' },
        reduction: { op: 'apart', of: 'start', less: 'end' },
        readAsDifference: true,
        generic: [{ bound: 'upper', at: 0.3, nominal: null, gravity: 'safety', where: 'house bound: a tenth of 3 bar, set your own' }],
      },
    },
  },
  bench_high: {
    ...{ name: 'Held high', on: SEALED_UNITS, subject: 'part', kind: 'pressure', unit: 'bar', usualGauge: 'pressure_gauge' },
    ...{ plausible: [20, 160], least: 2, frame: 'place' },
    pattern: spots(spot('start', 'set', 'High pressure, as set: about 70 bar, or the maker’s figure'), {
      ...spot('end', 'after 2 min', 'The same, after 2 min'),
      holdS: 120,
    }),
    how: 'With fluid, never air, pistons backed by a block; looked at with card, never with a finger.',
    possible: upTo(700),
    characteristics: {
      bench_high_drop: {
        belowNothing: ROSE,
        ...{ name: 'Pressure lost in 2 min, high', short: 'High drop', gravity: 'safety', newWord: 'None' },
        reduction: { op: 'apart', of: 'start', less: 'end' },
        readAsDifference: true,
        generic: [{ bound: 'upper', at: 5, nominal: null, gravity: 'safety', where: 'house bound: a fourteenth of 70 bar, set your own' }],
      },
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
