import type { CallBack, GaugeCheck } from '../gauge/rack.ts';
import type { Layout, LayoutRevision } from '../layout/graph.ts';
import type { LimitVersion } from '../verdict/limits.ts';
import type { ReleaseRecord } from './release.ts';
import type { CauseLook, PriorVersion, Finding, Observation } from './findingRecords.ts';
import type { Picture, IntakeLook, CameWith, EarlierWork } from './intakeRecords.ts';
import type {
  JobKind,
  Job,
  JobImport,
  LeftItem,
  TakeBack,
  Acceptance,
  CautionAck,
  JobVoid,
  AfterCareAnswer,
  Amendment,
  Redaction,
  Person,
} from './jobRecords.ts';
import type { Part, PartEvent, PutIn, TakenOut, JointEvent, PartCorrection } from './partRecords.ts';
import type { ReadingSet, SetMove, Reading, GaugeVersion } from './readingRecords.ts';
import type { Vehicle, CounterReading } from './vehicleRecords.ts';
import type { Decision, Operation, OperationEvent, Torque, BleedPull, FluidService, Proof } from './workRecords.ts';

/** A job that was before this one, as far as the vehicle's life needs it. */
export interface PastJob {
  readonly id: string;
  readonly kind: JobKind;
  readonly complaint: string;
  readonly openedAt: string;
  readonly releasedAt: string | null;
}

/** Everything one vehicle's job stands on: what is read when a job is opened, and what every derivation starts from. */
export interface JobFile {
  readonly job: Job;
  /** Where this job came from, if it was taken in as history. */
  readonly imported: JobImport | null;
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  /** The oldest first. */
  readonly layoutRevisions: readonly LayoutRevision[];
  readonly parts: readonly Part[];
  readonly partEvents: readonly PartEvent[];
  readonly putIns: readonly PutIn[];
  readonly takenOuts: readonly TakenOut[];
  /** All sets and readings of the vehicle's places and parts, of this job and of former ones. */
  readonly sets: readonly ReadingSet[];
  readonly setMoves: readonly SetMove[];
  readonly leftItems: readonly LeftItem[];
  readonly causeLooks: readonly CauseLook[];
  /** The shop's own odds of faults, all versions. */
  readonly priors: readonly PriorVersion[];
  readonly readings: readonly Reading[];
  readonly takeBacks: readonly TakeBack[];
  readonly findings: readonly Finding[];
  readonly observations: readonly Observation[];
  readonly decisions: readonly Decision[];
  readonly operations: readonly Operation[];
  readonly operationEvents: readonly OperationEvent[];
  readonly torques: readonly Torque[];
  readonly bleedPulls: readonly BleedPull[];
  readonly fluidServices: readonly FluidService[];
  readonly proofs: readonly Proof[];
  readonly acceptances: readonly Acceptance[];
  readonly cautionAcks: readonly CautionAck[];
  readonly counters: readonly CounterReading[];
  readonly jointEvents: readonly JointEvent[];
  readonly partCorrections: readonly PartCorrection[];
  readonly voids: readonly JobVoid[];
  readonly afterCares: readonly AfterCareAnswer[];
  readonly amendments: readonly Amendment[];
  readonly redactions: readonly Redaction[];
  readonly pictures: readonly Picture[];
  readonly intakeLooks: readonly IntakeLook[];
  readonly cameWith: readonly CameWith[];
  /** Of all jobs of the vehicle. */
  readonly earlierWork: readonly EarlierWork[];
  readonly limits: readonly LimitVersion[];
  readonly gauges: readonly GaugeVersion[];
  /** Gauges that were found out, and the newest look of each at its setting piece. */
  readonly callBacks: readonly CallBack[];
  readonly gaugeChecks: readonly GaugeCheck[];
  readonly people: readonly Person[];
  readonly pastJobs: readonly PastJob[];
  readonly release: ReleaseRecord | null;
}

type Lists<T> = { readonly [K in keyof T as T[K] extends readonly unknown[] ? K : never]: T[K] };

/** Every list of a job's file, empty: what is added to where nothing is on record yet, or an older file has no such list. */
export const NO_RECORDS: Lists<JobFile> = {
  layoutRevisions: [],
  parts: [],
  partEvents: [],
  putIns: [],
  takenOuts: [],
  sets: [],
  setMoves: [],
  leftItems: [],
  causeLooks: [],
  priors: [],
  readings: [],
  takeBacks: [],
  findings: [],
  observations: [],
  decisions: [],
  operations: [],
  operationEvents: [],
  torques: [],
  bleedPulls: [],
  fluidServices: [],
  proofs: [],
  acceptances: [],
  cautionAcks: [],
  counters: [],
  jointEvents: [],
  partCorrections: [],
  voids: [],
  afterCares: [],
  amendments: [],
  redactions: [],
  pictures: [],
  intakeLooks: [],
  cameWith: [],
  earlierWork: [],
  limits: [],
  gauges: [],
  callBacks: [],
  gaugeChecks: [],
  people: [],
  pastJobs: [],
};
