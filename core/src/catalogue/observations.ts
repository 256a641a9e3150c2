import type { Corner } from '../layout/kinds.ts';

export type ObservationGroup = 'pedal' | 'road' | 'wheel' | 'reservoir' | 'parking' | 'servo' | 'lamps';

export interface ObservationFacts {
  readonly code: string;
  readonly group: ObservationGroup;
  readonly text: string;
  /** Asked at each wheel. */
  readonly perCorner: boolean;
  /** Only where the layout has it. */
  readonly needs: 'hydraulic' | 'servo' | 'clutch' | 'parking' | null;
}

export const GROUP_NAME: Readonly<Record<ObservationGroup, string>> = {
  pedal: 'At the pedal or lever',
  road: 'Told at the counter, or felt on the road',
  wheel: 'At each wheel',
  reservoir: 'In the reservoir and lines',
  parking: 'Parking brake',
  servo: 'Servo',
  lamps: 'Lamps and switches',
};
export const GROUPS = Object.keys(GROUP_NAME) as readonly ObservationGroup[];

const rows = (
  group: ObservationGroup,
  perCorner: boolean,
  needs: ObservationFacts['needs'],
  list: readonly (readonly [string, string])[],
): ObservationFacts[] => list.map(([code, text]) => ({ code, group, text, perCorner, needs }));

/** What can be seen, felt or heard. Source: handbook 30, What is observed. */
export const OBSERVATIONS: readonly ObservationFacts[] = [
  ...rows('pedal', false, null, [
    ['pedal_hard_no_stop', 'Hard, and the vehicle does not stop'],
    ['pedal_more_effort', 'Hard with normal stopping, more effort than usual'],
    ['pedal_no_return', 'Does not return, or returns slowly'],
    ['pedal_pulses', 'Pulses'],
    ['pedal_play_excessive', 'Free play excessive'],
    ['pedal_play_none', 'No free play'],
    ['pedal_disconnected', 'No feel at all: moves freely, as if joined to nothing'],
  ]),
  ...rows('pedal', false, 'hydraulic', [
    ['pedal_spongy', 'Spongy'],
    ['pedal_low_pumps_up', 'Low, comes up when pumped'],
    ['pedal_sinks', 'Sinks under a steady push'],
    ['pedal_to_floor', 'Goes to the floor with no resistance but its spring'],
  ]),
  ...rows('pedal', false, 'clutch', [
    ['clutch_spongy', 'Clutch pedal spongy or low'],
    ['clutch_bite', 'Clutch bites at another point than before'],
  ]),
  ...rows('road', false, null, [
    ['pulls_left', 'Pulls left'],
    ['pulls_right', 'Pulls right'],
    ['judder', 'Judder'],
    ['judder_wheel', 'Judder felt in the steering'],
    ['judder_seat', 'Judder felt in the seat'],
    ['locks_front', 'A front wheel locks early'],
    ['locks_rear', 'A rear wheel locks early'],
    ['long_stop', 'Long stopping distance'],
    ['fades', 'Fades when hot'],
    ['smell', 'Smell or smoke'],
    ['noise', 'Squeal, grind or knock'],
    ['tightens_warm', 'Brakes tighten as they warm'],
  ]),
  ...rows('wheel', true, null, [
    ['drags', 'Drags after release'],
    ['lets_go_slowly', 'Lets go slowly: frees after a while, or a drive'],
    ['locked', 'Cannot be turned at all'],
    ['no_braking', 'Turns with the pedal hard down'],
    ['hot', 'Hot after a run'],
    ['blued', 'Rotor or drum blued by heat'],
    ['lining_bad', 'Lining glazed or contaminated'],
    ['bearing_play', 'Bearing play'],
    ['drum_stuck', 'Drum will not come off'],
  ]),
  ...rows('wheel', true, 'hydraulic', [
    ['fluid_at_wheel', 'Fluid at the wheel'],
    ['bleeder_dry', 'Bleeder dry'],
    ['bleeder_blocked', 'Bleeder blocked'],
  ]),
  ...rows('reservoir', false, 'hydraulic', [
    ['level_low', 'Level low'],
    ['level_empty', 'Empty'],
    ['level_sinks', 'Level sinks, and nothing is wet'],
    ['fluid_dark', 'Fluid dark'],
    ['fluid_sludge', 'Rusty or sludge'],
    ['fluid_water', 'Water in it'],
    ['cap_swollen', 'Cap seal swollen'],
    ['wet_below_master', 'Wet below the master cylinder'],
    ['hose_bad', 'A hose swollen, cracked or hard'],
    ['line_rusted', 'A line rusted'],
    ['repair_visible', 'Previous repair visible'],
  ]),
  ...rows('parking', false, 'parking', [
    ['park_no_hold', 'Does not hold'],
    ['park_long', 'Lever travel long'],
    ['park_frozen', 'Lever frozen'],
    ['park_drags', 'Drags'],
    ['park_no_grip', 'Pulls, but does not grip'],
  ]),
  ...rows('servo', false, 'servo', [
    ['servo_none', 'No assistance'],
    ['servo_hiss', 'Hiss with the pedal down'],
    ['servo_vacuum_lost', 'Vacuum lost'],
    ['servo_no_fall', 'Pedal does not fall on start'],
    ['servo_rattle', 'Push-rod rattles'],
    ['servo_wet', 'Wet inside the servo'],
  ]),
  ...rows('lamps', false, null, [['stop_lamp', 'Stop lamp dead or stuck']]),
  ...rows('lamps', false, 'hydraulic', [['difference_lamp', 'Pressure-difference lamp on']]),
];

/** What may be felt on the road, by its code. */
export const ROAD_FELT: readonly string[] = OBSERVATIONS.filter((o) => o.group === 'road').map((o) => o.code);

/** Stands between what is asked and the control or reservoir that it is asked at, where a vehicle has several. */
const ASKED_AT = '~';

/** What is felt at a pedal or lever, and so at each of several by itself. Source: handbook 35, What is asked. */
export function isFeltAtControl(code: string): boolean {
  return code.startsWith('pedal_');
}

/** What is seen in a reservoir, at its cap or below its cylinder: each of several has its own. */
const IN_RESERVOIR: ReadonlySet<string> = new Set([
  ...['level_low', 'level_empty', 'level_sinks', 'fluid_dark', 'fluid_sludge', 'fluid_water'],
  ...['cap_swollen', 'wet_below_master', 'vent_blocked'],
]);

/** What is seen in a reservoir, and so in each of several by itself. Source: handbook 35, What is asked. */
export function isSeenInReservoir(code: string): boolean {
  return IN_RESERVOIR.has(code);
}

/** The code of what is asked at one control or reservoir of several. */
export function codeAt(code: string, slotId: string): string {
  return `${code}${ASKED_AT}${slotId}`;
}

/** What is felt or seen, without where it is asked. */
export function observedCode(code: string): string {
  return code.split(ASKED_AT)[0] ?? code;
}

/** The slot of the control or reservoir that something is asked at; null where it is of the one there is, or of none. */
export function slotOfObservation(code: string): string | null {
  return code.split(ASKED_AT)[1] ?? null;
}

/** A reservoir of several as it is asked of: by its slot, or by none where it is the only one on the map. */
interface AskedReservoir {
  readonly slotId: string;
  readonly plain: boolean;
}

/** The code of what is seen in a reservoir. */
export function codeIn(code: string, { plain, slotId }: AskedReservoir): string {
  return plain ? code : codeAt(code, slotId);
}

/** Whether something seen is said of a reservoir. */
export function isSaidOf(code: string, { plain, slotId }: AskedReservoir): boolean {
  return slotOfObservation(code) === (plain ? null : slotId);
}

export function observationFacts(code: string): ObservationFacts | undefined {
  return OBSERVATIONS.find((o) => o.code === observedCode(code));
}

/** Key under which the newest answer to an observation is kept. */
export function observationKey(code: string, corner: Corner | null): string {
  return corner ? `${code}@${corner}` : code;
}
