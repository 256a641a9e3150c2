import type { GaugeKind } from '../gauge/gaugeKinds.ts';
import type { MeasurementId } from '../gauge/measurements.ts';
import type { Position } from '../gauge/positions.ts';
import type { ComponentKind, Corner } from '../layout/kinds.ts';
import type { UnitId } from '../quantity/units.ts';
import type { Role } from '../verdict/severity.ts';

/** What every event carries. Events are only ever added; a correction names what it corrects. */
export interface EventBase {
  readonly id: string;
  readonly jobId: string;
  readonly authorId: string;
  readonly device: string;
  /** Instant, ISO 8601 UTC, by the device. */
  readonly happenedAt: string;
  /** Instant, ISO 8601 UTC, by the server. */
  readonly recordedAt: string;
  readonly corrects: string | null;
}

export type Use = 'daily' | 'seasonal' | 'stands' | 'work' | 'competition';
export type Climate = 'dry' | 'temperate' | 'damp';
export type Storage = 'heated' | 'dry' | 'damp' | 'outside';

export interface Vehicle {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly make: string;
  readonly model: string;
  readonly year: number | null;
  readonly variant: string | null;
  readonly body: string;
  readonly use: Use;
  readonly climate: Climate;
  readonly storage: Storage;
  readonly standsYears: number | null;
  readonly distanceUnit: 'km' | 'mi' | 'none';
  /** For the sums: mass as driven and what of it stands on the front axle, kg. */
  readonly massKg: number | null;
  readonly massFrontKg: number | null;
  /** mm. */
  readonly wheelbaseMm: number | null;
  readonly cgHeightMm: number | null;
  readonly tyreRadiusFrontMm: number | null;
  readonly tyreRadiusRearMm: number | null;
  readonly ownerId: string | null;
  readonly version: number;
}

export type JobKind = 'overhaul' | 'axle' | 'unit' | 'fluid' | 'inspection' | 'conversion';

/** What the sums may want of a vehicle, all unknown. */
export const UNWEIGHED = {
  massKg: null,
  massFrontKg: null,
  wheelbaseMm: null,
  cgHeightMm: null,
  tyreRadiusFrontMm: null,
  tyreRadiusRearMm: null,
} as const satisfies Partial<Vehicle>;

export type Finish = 'not_said' | 'driver' | 'tidy' | 'show';

export interface Job {
  readonly id: string;
  readonly vehicleId: string;
  readonly kind: JobKind;
  readonly complaint: string;
  readonly wants: string;
  readonly fluidKnown: string;
  readonly promised: string | null;
  /** How good is good enough, as agreed. Source: handbook 05, Finish to the vehicle. */
  readonly finish: Finish;
  /** What the owner has authorised, in the shop's money; null where nothing was said. */
  readonly authorised: number | null;
  readonly scopeCorners: readonly Corner[];
  /** Places taken in or left out by hand, beyond what the kind of job takes in. */
  readonly scopeIn: readonly string[];
  readonly scopeOut: readonly string[];
  readonly openedAt: string;
  readonly openedBy: string;
  readonly version: number;
}

export interface Part {
  readonly id: string;
  readonly tag: string | null;
  readonly kind: ComponentKind;
  readonly name: string;
  readonly partNumber: string | null;
  readonly note: string;
}

export type PartEventKind =
  'found' | 'removed' | 'fitted' | 'sent' | 'returned' | 'machined' | 'freed' | 'opened' | 'resealed' | 'coated' | 'scrapped';

export interface PartEvent extends EventBase {
  readonly partId: string;
  readonly kind: PartEventKind;
  readonly slotId: string | null;
  readonly note: string;
  /** Fitted for now only: shows everywhere until what belongs there is fitted. */
  readonly temporary: boolean;
  /** Day until which something fitted for now may stay; null where none was set. */
  readonly until: string | null;
}

export type PutInKind = 'block' | 'cap' | 'plug' | 'clamp' | 'mask' | 'tie' | 'chock' | 'other';

/** Something put in at a place that must come out again. */
export interface PutIn extends EventBase {
  readonly slotId: string;
  readonly what: PutInKind;
  readonly note: string;
}

export interface TakenOut extends EventBase {
  readonly putInId: string;
}

export type Phase = 'as_found' | 'after_machining' | 'as_fitted' | 'at_service';
export type Surface = 'dirty' | 'wiped' | 'clean';

export interface ReadingSet extends EventBase {
  readonly slotId: string;
  readonly partId: string | null;
  readonly measurement: MeasurementId;
  readonly phase: Phase;
  readonly surface: Surface;
  readonly cold: boolean;
  readonly averages: boolean;
  /** Positions meant to be taken round. */
  readonly count: number;
  /** Studs the rotor was turned on by from where it first sat, for a sweep; 0 where it was not turned. */
  readonly turn: number;
  /** Studs of the hub, where a sweep goes with them; null where nobody counted. */
  readonly studs: number | null;
  /** A second measure by another person who did not see the first: it confirms, it does not replace. */
  readonly blind: boolean;
}

/** A set of the part as it sits, taken in sight of all. */
export const PLAIN_SET = { turn: 0, studs: null, blind: false } as const satisfies Partial<ReadingSet>;

export interface Reading extends EventBase, Position {
  readonly setId: string;
  readonly pass: number;
  readonly gaugeVersionId: string | null;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  readonly resolution: number;
  readonly fraction: boolean;
}

/** Says that a set was taken at another place: `corrects` names the set, or the move before. */
export interface SetMove extends EventBase {
  readonly setId: string;
  readonly slotId: string;
  readonly partId: string | null;
}

/** Takes another event back: `corrects` names it. Of somebody else's entry with a reason; both are shown. */
export interface TakeBack extends EventBase {
  readonly reason: string;
}

/** Something that could only be done now, and was left undone by name when an access was closed. */
export interface LeftItem extends EventBase {
  /** The place whose fitting closes the access; null where it is the wheel. */
  readonly closedBy: string | null;
  /** The place of what was left. */
  readonly slotId: string;
  /** Stable name of what was left: of the obligation, or of the figure. */
  readonly item: string;
  /** As it was said on screen. */
  readonly what: string;
}

export type JointEventKind = 'opened' | 'made' | 'torqued' | 'looked' | 'held' | 'weeps';
export type JointSeal = 'flare' | 'washers' | 'taper_sealant' | 'o_ring' | 'other';

/** What happened to a joint: the end of a line at a place. */
export interface JointEvent extends EventBase {
  readonly connectionId: string;
  readonly slotId: string;
  readonly kind: JointEventKind;
  /** How it was sealed when it was made. */
  readonly seal: JointSeal | null;
  readonly note: string;
}

/** Says that two articles on record are one (join), or that one is two from an instant on (split). */
export interface PartCorrection extends EventBase {
  readonly kind: 'join' | 'split';
  readonly partId: string;
  /** The article that stays (join), or the new one (split). */
  readonly otherId: string;
  /** Split: what happened from this instant on happened to the other one. */
  readonly since: string | null;
  readonly reason: string;
}

/** A job that was booked twice: nothing told in it counts. */
export interface JobVoid extends EventBase {
  readonly reason: string;
}

/** An answer to an item of after-care, after hand-back. */
export interface AfterCareAnswer extends EventBase {
  readonly item: string;
  readonly result: 'done' | 'taken_over' | 'failed';
  readonly note: string;
}

/** Added to a release record after the fact; `corrects` names what it is about, where that is an event. */
export interface Amendment extends EventBase {
  readonly words: string;
  readonly reason: string;
}

/** Says that a text was blacked out: `corrects` names the event it stood in. */
export interface Redaction extends EventBase {
  readonly field: string;
  readonly reason: string;
}

/** What a picture shows. */
export type PictureOf = 'vehicle' | 'came_with' | 'place' | 'paper' | 'finding';

/** A picture: the image itself is kept once, under the hash of its bytes. */
export interface Picture extends EventBase {
  /** SHA-256 of the image's bytes, hexadecimal. */
  readonly hash: string;
  readonly of: PictureOf;
  readonly slotId: string | null;
  /** The finding that it shows. */
  readonly findingId: string | null;
  readonly note: string;
}

/** What is looked at and tried at intake, corner by corner, before the first order. Source: handbook 05, 11 and 15. */
export type IntakeThing = 'unions' | 'bleeders' | 'hoses' | 'fasteners' | 'adjusters' | 'springs';
export type IntakeState = 'sound' | 'stiff' | 'rounded' | 'seized' | 'cracked' | 'leaks' | 'missing' | 'none_here';

export interface IntakeLook extends EventBase {
  /** The wheel; null for the middle of the vehicle. */
  readonly corner: Corner | null;
  readonly thing: IntakeThing;
  readonly state: IntakeState;
  readonly note: string;
}

/** Something that came with the vehicle in a box: what it is, for which place, and whether it fits there. */
export interface CameWith extends EventBase {
  readonly name: string;
  readonly kind: ComponentKind | null;
  readonly slotId: string | null;
  readonly partNumber: string | null;
  readonly count: number;
  readonly fits: 'fits' | 'does_not_fit' | 'not_tried';
  readonly note: string;
}

export type EarlierWhat = 'fluid_changed' | 'renewed' | 'overhauled' | 'machined' | 'inspected' | 'other';
export type KnownFrom = 'invoice' | 'service_book' | 'owner' | 'marked_on_part' | 'other';

/** Work of before the shop's own records, with its own, perhaps partial, date and where it is known from. */
export interface EarlierWork extends EventBase {
  readonly what: EarlierWhat;
  readonly slotId: string | null;
  /** As much of the day as is known: YYYY, YYYY-MM or YYYY-MM-DD. */
  readonly on: string;
  /** The date is a guess. */
  readonly about: boolean;
  readonly knownFrom: KnownFrom;
  /** Invoice number, page, who said it. */
  readonly source: string;
  /** Distance run then, km; null where it is not known. */
  readonly km: number | null;
  readonly note: string;
}

export type FindingCode = 'no_lining' | 'fluid_here' | 'blue' | 'seized' | 'broken' | 'rub_mark' | 'pitted' | 'worn_lip';
export type FindingSeverity = 'note' | 'watch' | 'doubt' | 'reject';

export interface Finding extends EventBase {
  readonly slotId: string;
  readonly partId: string | null;
  readonly words: string;
  /** What it is called, where it is one that others follow from. */
  readonly code: FindingCode | null;
  readonly severity: FindingSeverity;
  readonly cleaning: 'before' | 'after';
  readonly rulesOut: readonly OptionId[];
  /** An earlier finding that this one settles. */
  readonly settles: string | null;
  /** Which of the catalogue, or of the shop's own, it is; null where it was only said in words. */
  readonly entry: string | null;
  /** Where on the part. */
  readonly place: string | null;
  /** A stretch along it, mm: of a piston from its outer face, of a bore from its mouth. */
  readonly fromMm: number | null;
  readonly toMm: number | null;
  /** How deep, mm. */
  readonly depthMm: number | null;
}

/** What a finding in words alone has nothing of. */
export const SAID_IN_WORDS = { entry: null, place: null, fromMm: null, toMm: null, depthMm: null } as const satisfies Partial<Finding>;

/** A finding that the shop added to the catalogue. */
export interface FindingEntry {
  readonly id: string;
  readonly kinds: readonly ComponentKind[];
  readonly name: string;
  /** What it looks like, in a sentence. */
  readonly looks: string;
  /** Why it matters, in a sentence. */
  readonly matters: string;
  readonly severity: FindingSeverity;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

export interface Observation extends EventBase {
  readonly code: string;
  readonly corner: Corner | null;
  readonly state: 'seen' | 'not_seen' | 'not_checked';
}

/** Stands for the whole list of causes: nothing but what is named was found. */
export const NOTHING_ELSE = 'nothing_else';

/** What is said of a cause: that it is to be looked for on the bench, or what the bench found. */
export interface CauseLook extends EventBase {
  /** A kind of fault of the tables, or nothing_else. */
  readonly fault: string;
  /** Where: a slot, a wheel, a circuit, or the system. */
  readonly place: string;
  readonly state: 'wanted' | 'found' | 'absent' | 'open';
  /** How likely it had been said to be, 0 to 1, and as which of the list; null where nothing had been said. */
  readonly said: number | null;
  readonly rank: number | null;
}

/** How much likelier a kind of fault is taken to be here than the tables say, as reckoned from the shop's own cases. */
export interface PriorVersion {
  readonly id: string;
  readonly fault: string;
  /** By which its odds are multiplied; 1 takes back what was taken over. */
  readonly times: number;
  /** Places looked at and found in, as they stood when it was taken over. */
  readonly lookedAt: number;
  readonly found: number;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

export type OptionId = 'use_again' | 'reseal' | 'machine' | 'replace' | 'put_off';

export interface Decision extends EventBase {
  readonly slotId: string;
  readonly partId: string | null;
  readonly option: OptionId;
  readonly reason: string;
  readonly reviewOn: string | null;
  /** Put off until this distance run, km, or until this access is open. */
  readonly untilKm: number | null;
  readonly access: string | null;
}

export interface Operation extends EventBase {
  readonly slotId: string | null;
  readonly title: string;
  readonly attendedMinutes: number;
}

export interface OperationEvent extends EventBase {
  readonly operationId: string;
  readonly kind: 'start' | 'stop' | 'done';
  readonly note: string;
}

export interface Torque extends EventBase {
  readonly slotId: string | null;
  readonly point: string;
  readonly targetTyped: string;
  readonly target: number;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  readonly wrench: string;
}

/** How fluid is moved at a bleeder. The pedal and pressure on the reservoir press the whole control. */
export type BleedMethod = 'pedal' | 'vacuum' | 'pressure' | 'gravity' | 'reverse';

export interface BleedPull extends EventBase {
  readonly slotId: string;
  readonly volumeTyped: string;
  readonly volumeMl: number;
  readonly colour: 'dark' | 'amber' | 'clear';
  readonly air: 'none' | 'bubbles' | 'foam';
  readonly closed: boolean;
  /** Null where it was not said. */
  readonly method: BleedMethod | null;
}

export type FluidClass = '3' | '4' | '5.1' | '6' | '5' | 'mineral' | 'castor';

export interface FluidService extends EventBase {
  readonly product: string;
  readonly fluidClass: FluidClass;
  readonly batch: string;
  readonly lowMoisture: boolean;
}

export type ProofResult = 'passed' | 'failed' | 'gone' | 'less' | 'same' | 'not_tried';

export interface Proof extends EventBase {
  readonly item: string;
  readonly slotId: string | null;
  readonly corner: Corner | null;
  readonly result: ProofResult;
  readonly note: string;
}

export interface Acceptance extends EventBase {
  /** Key of the obligation that is accepted. */
  readonly obligation: string;
  readonly reason: string;
}

export interface CautionAck extends EventBase {
  readonly caution: string;
}

/** A reading of the distance counter. */
export interface CounterReading extends EventBase {
  readonly vehicleId: string;
  readonly typed: string;
  readonly km: number;
}

/** One version of a gauge on the rack. */
export interface GaugeVersion {
  readonly id: string;
  readonly gaugeId: string;
  readonly tag: string;
  readonly name: string;
  readonly kind: GaugeKind;
  /** In the unit of its kind (a torque wrench's accuracy: a share). */
  readonly resolution: number;
  readonly accuracy: number;
  readonly shortSpan: number;
  readonly rangeLow: number | null;
  readonly rangeHigh: number | null;
  readonly calibrationDue: string | null;
  /** Nominal of the piece that it is set or checked on; null where it has none. */
  readonly settingPiece: number | null;
  /** It asks for a look at its setting piece before use. */
  readonly checkFirst: boolean;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
  readonly role: Role;
  readonly active: boolean;
}
