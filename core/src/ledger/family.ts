import type { GaugeKind } from '../catalogue/gaugeKinds.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import type { EventBase } from './eventBase.ts';

/** What an event may be of. */
type Subject =
  | 'shop'
  | 'vehicle'
  | 'job'
  | 'part'
  | 'slot'
  | 'connection'
  | 'control'
  | 'fill'
  | 'lot'
  | 'order_line'
  | 'send_out'
  /** Another record. */
  | 'record';

/**
 * How a family stands to the hand-back of its job:
 * - `frozen`: work of the job. Refused after the hand-back, but for what happened before it, which is marked as late.
 * - `snapshot`: of the job as it stands when it is written. Refused after the hand-back, whenever it happened.
 * - `only_after`: an answer to the hand-back. Refused before it.
 * - `either_side`: of what outlives the job. Taken in before and after.
 * - `not_of_a_job`: of no job, or of one only by the way. No hand-back keeps it out.
 */
export type ReleaseClass = 'frozen' | 'snapshot' | 'only_after' | 'either_side' | 'not_of_a_job';

/** What a field of an event names: it has to be of the same vehicle, or of the same job. */
export type Named = 'place' | 'part' | 'set' | 'gauge' | 'corner' | 'line' | 'event_of_job' | 'event_of_vehicle';

/** What a job is read with: the events of a family that its page and its derivation need. */
type ReadWith =
  /** Those of the job itself. */
  | 'job'
  /** Those of all jobs of the vehicle. */
  | 'vehicle'
  /** Those of the vehicle, and of parts that ever sat in it. */
  | 'parts'
  /** Those of its places, and of parts that ever sat in them. */
  | 'places'
  /** Those of the shop that are pinned to the vehicle, its type, or a kind of unit that it has; and what was said of those. */
  | 'pinned'
  /** Those of the sets that are read. */
  | 'set';

/** What has to be looked up before a record can be made of what was sent. */
export interface DeriveFacts {
  readonly vehicleId: string;
  /** Of the set that the event names; null where that is not on record. */
  readonly measurement: MeasurementId | null;
  /** Of the gauge that it names; null where it names none. */
  readonly gaugeKind: GaugeKind | null;
}

declare const RECORD: unique symbol;

/**
 * Everything that the house has to know of a family of events, said once. R: the record; S: what its record is worked out
 * from, where more is kept than was sent. A test holds the fields that are named here to those of the record.
 */
export interface FamilyDescriptor<R extends EventBase = EventBase, S = R> {
  readonly [RECORD]?: R;
  /** What one is called in a list. */
  readonly label: string;
  /** What it is of; the first is what it is mainly of. */
  readonly subjects: readonly [Subject, ...Subject[]];
  readonly readWith: ReadWith;
  /** Whether an event belongs to a job. */
  readonly job: 'always' | 'optional' | 'never';
  readonly release: ReleaseClass;
  /**
   * What came in after a hand-back and happened before it: told to a lead and no part of what was handed back (`late`), or an
   * answer to the hand-back itself (`afterwards`).
   */
  readonly late: 'late' | 'afterwards';
  /** Whether one that was told in a job that is void counts for nothing. */
  dropsWhenVoid(record: R): boolean;
  readonly leastRole: 'reader' | 'technician' | 'lead';
  /** Whether one is work at the vehicle: it waits while a job is parked, until somebody has read how it was left. */
  waitsParked?(record: R): boolean;
  /** Whether it may wait on a device until the server is there. */
  readonly sending: 'queued' | 'online';
  /** Every field by which it names another thing. */
  readonly names: Readonly<Partial<Record<string, Named>>>;
  /** Texts that somebody types freely: what may be blacked out of a record. Source: handbook 15, People, time, privacy. */
  readonly blackable: readonly string[];
  /** Fields that say who somebody is. */
  readonly personal: readonly string[];
  /** Fields that are sums of money. */
  readonly price: readonly string[];
  /** What it replaces what was before it of, as a key: only where it replaces anything. */
  supersedes?(record: R): string;
  /** Fields that are sent with it and are not of its record. */
  readonly aside: readonly string[];
  /** Brings an earlier form of what is sent into the form of today; each in order. */
  readonly earlier: readonly ((sent: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>)[];
  /** Whether one of it changes what a job is read with, so that the page reads its job again. */
  readonly rereads: boolean;
  /** The fields that are worked out of what was sent, where any are. Throws a DomainError where what was sent is no such figure. */
  derive?(sent: EventBase & S, facts: DeriveFacts): Partial<R>;
}

/** The record of a family. */
export type RecordOf<F> = F extends { readonly [RECORD]?: infer R } ? NonNullable<R> : never;

/** What is not said of a family: in a job, by a technician, from a queue, with nothing worked out. */
export const PLAIN = {
  job: 'always',
  leastRole: 'technician',
  sending: 'queued',
  personal: [],
  price: [],
  aside: [],
  earlier: [],
  rereads: false,
} as const satisfies Partial<FamilyDescriptor>;
