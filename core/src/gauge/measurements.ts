import type { ComponentKind } from '../layout/kinds.ts';
import type { Kind, UnitId } from '../quantity/units.ts';
import type { GaugeKind } from './gaugeKinds.ts';

/** What is taken with a gauge; characteristics are reduced from its readings. */
export type MeasurementId =
  | 'rotor_thickness'
  | 'rotor_runout'
  | 'rotor_surface'
  | 'rotor_identity'
  | 'rotor_play'
  | 'rotor_paint'
  | 'hub_end_float'
  | 'hub_face_runout'
  | 'wheel_rocking'
  | 'wheel_drag'
  | 'drum_diameter'
  | 'drum_wall'
  | 'drum_runout'
  | 'drum_surface'
  | 'pad_lining'
  | 'pad_total'
  | 'pad_ears'
  | 'shoe_lining'
  | 'shoe_above_rivets'
  | 'shoe_arc'
  | 'shoe_centring'
  | 'shoe_springs'
  | 'shoe_adjuster'
  | 'pin_runout'
  | 'pin_fit'
  | 'line_pressure'
  | 'bore_diameter'
  | 'piston_diameter'
  | 'piston_seal'
  | 'bore_zone'
  | 'servo_vacuum'
  | 'servo_push_rod'
  | 'pedal_setting'
  | 'pedal_sink'
  | 'pedal_pump_up'
  | 'parking_travel'
  | 'parking_cable'
  | 'linkage_play'
  | 'cam_angle'
  | 'equaliser_level'
  | 'balance_bar_setting';

/** The frame that a position is named in. */
export type Frame = 'rotor_mark' | 'hub_stud' | 'drum_mark' | 'pads' | 'bore' | 'piston' | 'shoes' | 'place';

/** A named place within a measurement. */
export interface Spot {
  readonly id: string;
  /** Short, drawn beside the figure. */
  readonly label: string;
  readonly name: string;
  /** Only where it belongs to the place, degrees. */
  readonly angleDeg?: number;
  /** Only where it differs from the measurement's, canonical unit. */
  readonly plausible?: readonly [number, number];
}

/** Where readings are taken: evenly round, at each of some rings or depths, or at places with names. */
export type Pattern =
  | {
      readonly form: 'round';
      /** Degrees over which the positions are spread. */
      readonly turn: 180 | 360;
      readonly counts: readonly number[];
      readonly usual: number;
      /** Rings or depths; none where the angle says it all. */
      readonly rings: readonly Spot[];
      /** Rings that may be taken as well. */
      readonly more: readonly Spot[];
      /** Places with names that belong to the sweep (a radius). */
      readonly also: readonly Spot[];
    }
  | { readonly form: 'spots'; readonly spots: readonly Spot[] };

/** Whose figure it is: a part's, that of the fit of a part in its place, or the place's own. */
export type Subject = 'part' | 'fit' | 'slot';

export interface Measurement {
  readonly id: MeasurementId;
  readonly name: string;
  readonly on: readonly ComponentKind[];
  readonly subject: Subject;
  readonly kind: Kind;
  readonly unit: UnitId;
  /** Gauge whose generic accuracy applies when none is named. */
  readonly usualGauge: GaugeKind;
  /** A figure outside is asked about at once, canonical unit. */
  readonly plausible: readonly [number, number];
  /** Least number of positions before a set counts. */
  readonly least: number;
  readonly frame: Frame;
  readonly pattern: Pattern;
  /** How it is taken, in a line. */
  readonly how: string;
}

const spot = (id: string, label = id, name = label.charAt(0).toUpperCase() + label.slice(1), angleDeg?: number): Spot =>
  angleDeg === undefined ? { id, label, name } : { id, label, name, angleDeg };
const spots = (...list: readonly Spot[]): Pattern => ({ form: 'spots', spots: list });
const round = (
  turn: 180 | 360,
  counts: readonly number[],
  usual: number,
  rings: readonly Spot[] = [],
  more: readonly Spot[] = [],
  also: readonly Spot[] = [],
): Pattern => ({ form: 'round', turn, counts, usual, rings, more, also });

type Given = Omit<Measurement, 'id'>;
const mm = { kind: 'length', unit: 'mm' } as const;
const PRESSED: readonly ComponentKind[] = ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'piston'];
const LEVERS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever'];

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

const GIVEN: Readonly<Record<MeasurementId, Given>> = {
  rotor_thickness: {
    ...{ name: 'Thickness', on: ['rotor'], subject: 'part', ...mm, usualGauge: 'micrometer', plausible: [3, 45], least: 4 },
    frame: 'rotor_mark',
    pattern: round(360, [4, 6, 8, 12], 8, [spot('outer ring', 'outer', 'Outer ring')], [spot('inner ring', 'inner', 'Inner ring')]),
    how: 'Micrometer, 10 to 15 mm in from the edge, evenly round from stud 1 in the direction in which studs are counted.',
  },
  rotor_runout: {
    ...{ name: 'Runout', on: ['rotor'], subject: 'fit', ...mm, usualGauge: 'dial', plausible: [-2, 2], least: 6 },
    frame: 'hub_stud',
    pattern: round(360, [6, 8, 12, 16], 12),
    how: 'Dial near the rim, every nut with plain washers at wheel torque, hub pushed the same way throughout. Plunger pushed in is positive.',
  },
  rotor_surface: {
    ...{ name: 'Scores and lip', on: ['rotor'], subject: 'part', ...mm, usualGauge: 'depth_gauge', plausible: [0, 3], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('outer face: score', 'outer score', 'Deepest score, outer face'),
      spot('inner face: score', 'inner score', 'Deepest score, inner face'),
      spot('edge: lip', 'lip', 'Height of the lip at the edge'),
    ),
    how: 'Depth gauge across the deepest groove of each face; 0 where there is none. The lip from the swept face up.',
  },
  rotor_identity: {
    ...{ name: 'Identity', on: ['rotor'], subject: 'part', ...mm, usualGauge: 'caliper', plausible: [10, 520], least: 1 },
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
    ...{ name: 'Button play', on: ['rotor'], subject: 'part', ...mm, usualGauge: 'dial', plausible: [0, 3], least: 1 },
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
  hub_end_float: {
    ...{ name: 'End float', on: ['hub'], subject: 'fit', ...mm, usualGauge: 'dial', plausible: [0, 1.5], least: 1 },
    frame: 'place',
    pattern: spots(spot('float', 'push and pull', 'Dial on the hub face, push and pull')),
    how: 'Dial on the hub face, pushed and pulled by hand, not rocked. Runout means nothing until this holds.',
  },
  hub_face_runout: {
    ...{ name: 'Face runout', on: ['hub'], subject: 'part', ...mm, usualGauge: 'dial', plausible: [-2, 2], least: 8 },
    frame: 'hub_stud',
    pattern: round(
      360,
      [6, 8, 12],
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
    ...{ name: 'Rocking', on: ['hub'], subject: 'slot', ...mm, usualGauge: 'dial', plausible: [0, 10], least: 1 },
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
    how: 'Turning torque of the wheel before a hard application and 5 s after release. The difference is what counts.',
  },
  drum_diameter: {
    ...{ name: 'Diameter', on: ['drum'], subject: 'part', ...mm, usualGauge: 'drum_gauge', plausible: [90, 520], least: 4 },
    frame: 'drum_mark',
    pattern: round(180, [4, 6, 8], 4, [
      spot('open', 'open', 'Open end'),
      spot('middle', 'middle', 'Middle'),
      spot('closed', 'closed', 'Closed end'),
    ]),
    how: 'Drum gauge at 0, 45, 90 and 135°, at the open end, the middle and the closed end, clear of the ridge.',
  },
  drum_wall: {
    ...{ name: 'Wall', on: ['drum'], subject: 'part', ...mm, usualGauge: 'caliper', plausible: [1, 30], least: 4 },
    frame: 'drum_mark',
    pattern: round(360, [4, 6, 8], 4),
    how: 'Wall of a pressed steel drum, or of one whose history nobody knows, where it is thinnest.',
  },
  drum_runout: {
    ...{ name: 'Radial runout', on: ['drum'], subject: 'fit', ...mm, usualGauge: 'dial', plausible: [-2, 2], least: 6 },
    frame: 'hub_stud',
    pattern: round(360, [6, 8, 12], 12),
    how: 'Dial inside the drum on its own hub, every nut tight. An eccentric or three-lobed drum measures round across every diameter.',
  },
  drum_surface: {
    ...{ name: 'Scores and ridge', on: ['drum'], subject: 'part', ...mm, usualGauge: 'depth_gauge', plausible: [0, 4], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('score', 'score', 'Deepest score of the swept face'),
      spot('ridge', 'ridge', 'Height of the ridge at the open end'),
    ),
    how: 'Depth gauge across the deepest groove; 0 where there is none.',
  },
  pad_lining: {
    ...{ name: 'Lining', on: ['pads'], subject: 'part', ...mm, usualGauge: 'caliper', plausible: [0, 30], least: 8 },
    frame: 'pads',
    pattern: spots(...PAD_SPOTS),
    how: 'Friction material at the four corners of each pad, without the backing.',
  },
  pad_total: {
    ...{ name: 'Pad total', on: ['pads'], subject: 'part', ...mm, usualGauge: 'caliper', plausible: [3, 45], least: 2 },
    frame: 'place',
    pattern: spots(spot('inner', 'inner', 'Inner pad with backing and shims'), spot('outer', 'outer', 'Outer pad with backing and shims')),
    how: 'Lining, backing and shims together, in the middle of the pad: it says how far the piston stands out.',
  },
  pad_ears: {
    ...{ name: 'Ears in bracket', on: ['pads'], subject: 'fit', ...mm, usualGauge: 'feeler', plausible: [0, 4], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('inner: leading', 'inner leading', 'Inner pad, leading ear'),
      spot('inner: trailing', 'inner trailing', 'Inner pad, trailing ear'),
      spot('outer: leading', 'outer leading', 'Outer pad, leading ear'),
      spot('outer: trailing', 'outer trailing', 'Outer pad, trailing ear'),
    ),
    how: 'Feeler between ear and abutment; the pad slides by hand. Look for steps worn into the abutment.',
  },
  shoe_lining: {
    ...{ name: 'Lining', on: ['shoes', 'parking_shoes'], subject: 'part', ...mm, usualGauge: 'caliper', plausible: [0, 30], least: 6 },
    frame: 'shoes',
    pattern: spots(...SHOE_THIRDS),
    how: 'Bonded: lining above the shoe at heel, middle and toe of both. Riveted linings are gauged above the rivet heads instead.',
  },
  shoe_above_rivets: {
    ...{ name: 'Above rivets', on: ['shoes', 'parking_shoes'], subject: 'part', ...mm, usualGauge: 'depth_gauge', plausible: [0, 20] },
    ...{ least: 6, frame: 'shoes' },
    pattern: spots(...SHOE_THIRDS),
    how: 'Riveted: lining above the rivet heads at heel, middle and toe of both shoes.',
  },
  shoe_arc: {
    ...{ name: 'Lining arc', on: ['shoes'], subject: 'part', ...mm, usualGauge: 'caliper', plausible: [90, 520], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('leading', 'leading', 'Diameter of the leading lining’s arc'),
      spot('trailing', 'trailing', 'Diameter of the trailing lining’s arc'),
    ),
    how: 'Diameter of the arc that the lining was ground to, by arc gauge or from the sag of a straightedge.',
  },
  shoe_centring: {
    ...{ name: 'Centring', on: ['shoes'], subject: 'fit', ...mm, usualGauge: 'depth_gauge', plausible: [40, 260], least: 6 },
    frame: 'shoes',
    pattern: spots(...SHOE_POINTS),
    how: 'Distance from the axle’s centre to the lining, seen from the wheel side: shoe A stands to the right, B to the left.',
  },
  shoe_springs: {
    ...{ name: 'Return springs', on: ['shoes'], subject: 'part', ...mm, usualGauge: 'caliper', plausible: [10, 250], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('upper', 'upper', 'Upper spring, free length'),
      spot('upper partner', 'its partner', 'The same spring of the other side'),
      spot('lower', 'lower', 'Lower spring, free length'),
      spot('lower partner', 'its partner', 'The same spring of the other side, lower'),
    ),
    how: 'Free length against the partner of the other side. Open coils or burnt paint reject it by eye.',
  },
  shoe_adjuster: {
    ...{ name: 'Adjuster', on: ['shoes', 'parking_shoes'], subject: 'slot', kind: 'ratio', unit: '1', usualGauge: 'count' },
    ...{ plausible: [0, 200], least: 1, frame: 'place' },
    pattern: spots(spot('turns', 'turns', 'Clicks or turns back from contact'), spot('left', 'left', 'Clicks or turns of travel left')),
    how: 'Count before it is disturbed; note beside it which way tightens. Recorded, not judged.',
  },
  pin_runout: {
    ...{ name: 'Pin runout', on: ['caliper'], subject: 'part', ...mm, usualGauge: 'dial', plausible: [0, 2], least: 1 },
    frame: 'place',
    pattern: spots(spot('upper', 'upper pin', 'Upper pin on V-blocks'), spot('lower', 'lower pin', 'Lower pin on V-blocks')),
    how: 'Pins on V-blocks under the dial, or rolled on glass: any wobble on glass rejects one.',
  },
  pin_fit: {
    ...{ name: 'Pins in bushes', on: ['caliper'], subject: 'part', ...mm, usualGauge: 'micrometer', plausible: [4, 40], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('upper pin', 'upper pin', 'Upper pin, diameter'),
      spot('upper bush', 'upper bush', 'Upper bush, bore'),
      spot('lower pin', 'lower pin', 'Lower pin, diameter'),
      spot('lower bush', 'lower bush', 'Lower bush, bore'),
    ),
    how: 'Pin where it is worn most, its bush at right angles to the wear.',
  },
  bore_diameter: {
    ...{ name: 'Bore', on: PRESSED, subject: 'slot', ...mm, usualGauge: 'bore_gauge', plausible: [8, 90], least: 6 },
    frame: 'bore',
    pattern: round(180, [2, 4], 2, [
      spot('mouth', 'mouth', 'At the mouth'),
      spot('middle', 'middle', 'In the middle'),
      spot('bottom', 'bottom', 'At the bottom'),
    ]),
    how: 'Bore gauge at three depths, each at two angles at right angles. Wash it dry first: rust reads as metal.',
  },
  piston_diameter: {
    ...{ name: 'Piston', on: PRESSED, subject: 'part', ...mm, usualGauge: 'micrometer', plausible: [8, 90], least: 4 },
    frame: 'piston',
    pattern: round(180, [2, 4], 2, [spot('outer', 'outer', 'Near the outer end'), spot('inner', 'inner', 'Near the inner end')]),
    how: 'Outside micrometer at two levels, each at two angles.',
  },
  piston_seal: {
    ...{ name: 'Seal and reach', on: ['piston'], subject: 'slot', ...mm, usualGauge: 'depth_gauge', plausible: [0.5, 150], least: 4 },
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
    ...{ name: 'Swept zone', on: ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'], subject: 'slot', ...mm },
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
    ...{ name: 'Push rod', on: ['servo'], subject: 'fit', ...mm, usualGauge: 'depth_gauge', plausible: [-5, 200], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('length', 'length', 'Push-rod length from the flange'),
      spot('free play', 'free play', 'Free play to the master cylinder'),
    ),
    how: 'As found before the cylinder comes off. No free play: the brakes drag as they warm; too much: a low pedal.',
  },
  pedal_setting: {
    ...{ name: 'Height and play', on: LEVERS, subject: 'slot', ...mm, usualGauge: 'rule', plausible: [0, 400], least: 1 },
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
    ...{ name: 'Sink', on: LEVERS, subject: 'slot', ...mm, usualGauge: 'rule', plausible: [0, 200], least: 2 },
    frame: 'place',
    pattern: spots(spot('hard', 'hard', 'Sink in 60 s, hard push'), spot('light', 'light', 'Sink in 60 s, light push')),
    how: 'Steady push for 60 s, engine stopped and the servo’s vacuum used up: once hard, once light, since a worn lip may seal hard and pass light.',
  },
  pedal_pump_up: {
    ...{ name: 'Pump-up', on: LEVERS, subject: 'slot', ...mm, usualGauge: 'rule', plausible: [5, 400], least: 2 },
    frame: 'place',
    pattern: spots(
      spot('first', 'first', 'Height where the first stroke stops'),
      spot('second', 'second', 'Height where the second stops'),
    ),
    how: 'Two quick strokes: a second that stops much higher says air, or adjustment.',
  },
  parking_travel: {
    ...{ name: 'Clicks', on: ['parking_lever'], subject: 'slot', kind: 'ratio', unit: '1', usualGauge: 'count' },
    ...{ plausible: [0, 40], least: 1, frame: 'place' },
    pattern: spots(spot('clicks', 'clicks', 'Clicks until the brake holds')),
    how: 'Shoes adjusted first with the cable slack, then the cable. Count at the usual pull.',
  },
  parking_cable: {
    ...{ name: 'Cable', on: ['parking_lever', 'equaliser'], subject: 'slot', ...mm, usualGauge: 'rule', plausible: [0, 300], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('threads left', 'left', 'Thread showing, left cable'),
      spot('threads right', 'right', 'Thread showing, right cable'),
    ),
    how: 'Thread showing at the adjuster before it is touched. Recorded, not judged.',
  },
  linkage_play: {
    ...{ name: 'Play', on: ['cross_shaft', 'equaliser'], subject: 'slot', ...mm, usualGauge: 'feeler', plausible: [0, 10], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('clevis front', 'front clevis', 'Clevis, front rod'),
      spot('clevis rear', 'rear clevis', 'Clevis, rear rod'),
      spot('bush left', 'left bush', 'Shaft bush, left'),
      spot('bush right', 'right bush', 'Shaft bush, right'),
    ),
    how: 'Play at each pin and bush, by feeler or dial. It all adds up at the pedal.',
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
    ...{ name: 'Level', on: ['equaliser'], subject: 'slot', ...mm, usualGauge: 'rule', plausible: [0, 300], least: 2 },
    frame: 'place',
    pattern: spots(spot('left', 'left', 'Left end to the datum'), spot('right', 'right', 'Right end to the datum')),
    how: 'Both ends from one datum, brake applied: level, or one side does the work.',
  },
  balance_bar_setting: {
    ...{ name: 'Setting', on: ['balance_bar'], subject: 'slot', ...mm, usualGauge: 'caliper', plausible: [0, 200], least: 1 },
    frame: 'place',
    pattern: spots(
      spot('offset', 'offset', 'Offset of the pivot from the middle'),
      spot('front rod', 'front rod', 'Length of the front push rod'),
      spot('rear rod', 'rear rod', 'Length of the rear push rod'),
    ),
    how: 'Before it is turned. Recorded, not judged.',
  },
};

export const MEASUREMENT_IDS = Object.keys(GIVEN) as readonly MeasurementId[];

/** Everything that is taken with a gauge, by its id. Source: handbook 20. */
export const MEASUREMENTS: Readonly<Record<MeasurementId, Measurement>> = Object.fromEntries(
  MEASUREMENT_IDS.map((id) => [id, { id, ...GIVEN[id] }]),
) as Record<MeasurementId, Measurement>;

export function measurement(id: string): Measurement | undefined {
  return Object.values(MEASUREMENTS).find((m) => m.id === id);
}

/** What is measured on a kind of component, in the order in which it is taken. */
export function measurementsOn(kind: ComponentKind): Measurement[] {
  return Object.values(MEASUREMENTS).filter((m) => m.on.includes(kind));
}
