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
