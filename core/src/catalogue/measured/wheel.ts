import { type Given, IN_MM, round, spot, spots } from './patterns.ts';
import type { MeasurementId } from './types.ts';

/** Rotors, drums, hubs and the wheel as a whole. Source: handbook 20. */
export const WHEEL = {
  rotor_thickness: {
    ...{ name: 'Thickness', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'micrometer', plausible: [3, 45], least: 4 },
    frame: 'rotor_mark',
    pattern: round(360, [4, 6, 8, 12], 8, [spot('outer ring', 'outer', 'Outer ring')], [spot('inner ring', 'inner', 'Inner ring')]),
    how: 'Micrometer, 10 to 15 mm in from the edge, evenly round from stud 1 in the direction in which studs are counted.',
  },
  rotor_runout: {
    ...{ name: 'Runout', on: ['rotor'], subject: 'fit', ...IN_MM, usualGauge: 'dial', plausible: [-2, 2], least: 6 },
    frame: 'hub_stud',
    pattern: round(360, [6, 8, 12, 16], 12),
    how: 'Dial near the rim, every nut with plain washers at wheel torque, hub pushed the same way throughout. Plunger pushed in is positive.',
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
  },
  rotor_play: {
    ...{ name: 'Button play', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'dial', plausible: [0, 3], least: 1 },
    frame: 'place',
    pattern: spots(spot('radial', 'radial', 'Radial play at the buttons'), spot('axial', 'axial', 'Axial play at the buttons')),
    how: 'Floating rotors only: dial against the band, carrier held.',
  },
  rotor_paint: {
    ...{ name: 'Paint bands', on: ['rotor'], subject: 'part', kind: 'temperature', unit: 'degC', usualGauge: 'thermometer' },
    ...{ plausible: [100, 1000], least: 1, frame: 'place' },
    pattern: spots(
      spot('hottest turned', 'turned', 'Hottest band that turned'),
      spot('coolest kept', 'kept', 'Coolest band that kept its colour'),
    ),
    how: 'Temperatures of the bands as printed on the product. What turned says how hot it got at least.',
  },
  rotor_drum: {
    ...{ name: 'Drum inside', on: ['rotor'], subject: 'part', ...IN_MM, usualGauge: 'drum_gauge', plausible: [90, 400], least: 4 },
    frame: 'drum_mark',
    onStyle: 'drum_in_disc',
    pattern: round(180, [4, 6, 8], 4),
    how: 'Drum gauge inside the hat, where the parking shoes run, at even angles and clear of the ridge.',
  },
  hub_end_float: {
    ...{ name: 'End float', on: ['hub'], subject: 'fit', ...IN_MM, usualGauge: 'dial', plausible: [0, 1.5], least: 1 },
    frame: 'place',
    pattern: spots(spot('float', 'push and pull', 'Dial on the hub face, push and pull')),
    how: 'Dial on the hub face, pushed and pulled by hand, not rocked. Runout means nothing until this holds.',
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
  },
  wheel_rocking: {
    ...{ name: 'Rocking', on: ['hub'], subject: 'slot', ...IN_MM, usualGauge: 'dial', plausible: [0, 10], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('brake held', 'brake held', 'Rocked top and bottom, brake held'),
      spot('brake free', 'brake free', 'Rocked top and bottom, brake free'),
    ),
    how: 'What is left with the brake held is not the bearing: ball joint or king pin. Settle it before end float is judged.',
  },
  wheel_drag: {
    ...{ name: 'Drag', on: ['hub'], subject: 'slot', kind: 'torque', unit: 'Nm', usualGauge: 'torque_wrench' },
    ...{ plausible: [0, 60], least: 2, frame: 'place' },
    pattern: spots(
      spot('before', 'before', 'Turning, before a hard application'),
      spot('after', '5 s after', 'Turning, 5 s after release'),
    ),
    how: 'Turning torque of the wheel before a hard application and 5 s after release. By a spring scale: force × radius, like 38 N × 312 mm.',
  },
  drum_diameter: {
    ...{ name: 'Diameter', on: ['drum'], subject: 'part', ...IN_MM, usualGauge: 'drum_gauge', plausible: [90, 520], least: 4 },
    frame: 'drum_mark',
    pattern: round(180, [4, 6, 8], 4, [
      spot('open', 'open', 'Open end'),
      spot('middle', 'middle', 'Middle'),
      spot('closed', 'closed', 'Closed end'),
    ]),
    how: 'Drum gauge at 0, 45, 90 and 135°, at the open end, the middle and the closed end, clear of the ridge.',
  },
  drum_wall: {
    ...{ name: 'Wall', on: ['drum'], subject: 'part', ...IN_MM, usualGauge: 'caliper', plausible: [1, 30], least: 4 },
    frame: 'drum_mark',
    pattern: round(360, [4, 6, 8], 4),
    how: 'Wall of a pressed steel drum, or of one whose history nobody knows, where it is thinnest.',
  },
  drum_runout: {
    ...{ name: 'Radial runout', on: ['drum'], subject: 'fit', ...IN_MM, usualGauge: 'dial', plausible: [-2, 2], least: 6 },
    frame: 'hub_stud',
    pattern: round(360, [6, 8, 12], 12),
    how: 'Dial inside the drum on its own hub, every nut tight. An eccentric or three-lobed drum measures round across every diameter.',
  },
  drum_surface: {
    ...{ name: 'Scores and ridge', on: ['drum'], subject: 'part', ...IN_MM, usualGauge: 'depth_gauge', plausible: [0, 4], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('score', 'score', 'Deepest score of the swept face'),
      spot('ridge', 'ridge', 'Height of the ridge at the open end'),
    ),
    how: 'Depth gauge across the deepest groove; 0 where there is none.',
  },
} satisfies Partial<Record<MeasurementId, Given>>;
