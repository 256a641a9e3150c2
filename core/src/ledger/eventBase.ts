/** What every event carries. Events are only ever added; a correction names what it corrects. */
export interface EventBase {
  readonly id: string;
  /** The job it belongs to; null where it is of none: of a vehicle, a part, the shop. */
  readonly jobId: string | null;
  readonly authorId: string;
  readonly device: string;
  /** Instant, ISO 8601 UTC, by the device. */
  readonly happenedAt: string;
  /** Instant, ISO 8601 UTC, by the server. */
  readonly recordedAt: string;
  readonly corrects: string | null;
}

/** What every event of a job carries. */
export interface JobEvent extends EventBase {
  readonly jobId: string;
}
