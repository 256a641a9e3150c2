/** How a job is asked for. */
export interface JobSource<Whole, News> {
  readonly whole: (jobId: string) => Promise<{ readonly read: Whole; readonly cursor: string }>;
  readonly news: (jobId: string, since: string) => Promise<{ readonly news: News; readonly cursor: string; readonly whole: boolean }>;
}

/** What is done with the answers. */
export interface JobSink<Whole, News> {
  readonly whole: (read: Whole) => void;
  readonly news: (news: News) => void;
  readonly failed: (error: unknown) => void | Promise<void>;
}

/**
 * Follows one job: reads it as a whole when it is opened, and after that only what is new. One question is under way at a
 * time; what is asked for meanwhile is asked once more after it. An answer about a job that was left meanwhile is let go.
 */
export class JobFollower<Whole, News> {
  private jobId: string | null = null;
  private cursor: string | null = null;
  private epoch = 0;
  private running: Promise<void> | null = null;
  private wanted = false;
  private readonly source: JobSource<Whole, News>;
  private readonly sink: JobSink<Whole, News>;
  constructor(source: JobSource<Whole, News>, sink: JobSink<Whole, News>) {
    this.source = source;
    this.sink = sink;
  }

  /** Up to where the open job was read; null where it has to be read as a whole. */
  get readTo(): string | null {
    return this.cursor;
  }

  /** Opens a job and reads it as a whole. */
  open(jobId: string): Promise<void> {
    this.jobId = jobId;
    this.cursor = null;
    return this.begin();
  }

  /** Goes on from what was read before, and kept, where it says up to where that was. */
  goOnFrom(cursor: string | null): void {
    this.cursor = cursor;
  }

  /** Asks for what is new of the open job. */
  follow(): Promise<void> {
    if (this.jobId === null) return Promise.resolve();
    if (!this.running) return this.begin();
    this.wanted = true;
    return this.running;
  }

  private begin(): Promise<void> {
    const mine = (this.epoch += 1);
    this.wanted = false;
    const run = this.run(mine).finally(() => {
      if (this.running === run) this.running = null;
    });
    this.running = run;
    return run;
  }

  private async run(mine: number): Promise<void> {
    do {
      this.wanted = false;
      try {
        await this.ask(mine);
      } catch (error) {
        if (mine === this.epoch) await this.sink.failed(error);
        return;
      }
    } while (this.wanted && mine === this.epoch);
  }

  private async ask(mine: number): Promise<void> {
    const { jobId, cursor } = this;
    if (jobId === null) return;
    if (cursor === null) {
      const answer = await this.source.whole(jobId);
      if (mine !== this.epoch) return;
      this.cursor = answer.cursor;
      this.sink.whole(answer.read);
      return;
    }
    const answer = await this.source.news(jobId, cursor);
    if (mine !== this.epoch) return;
    this.cursor = answer.whole ? null : answer.cursor;
    this.sink.news(answer.news);
    // What is new cannot be told apart from what is not: it is read as a whole.
    if (answer.whole) this.wanted = true;
  }
}
