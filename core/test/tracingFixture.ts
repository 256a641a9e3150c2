import { diagnose } from '../src/inference/diagnose.ts';
import { deriveJob } from '../src/job/job.ts';
import type { Corner } from '../src/layout/kinds.ts';
import type { CauseLook } from '../src/ledger/families/causeLooks.ts';
import type { Observation } from '../src/ledger/families/observations.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { base, NOW, JobFixture } from './jobFixture.ts';

/** A job in which something was said, and looked for. */
export class TracingFixture extends JobFixture {
  say(code: string, state: Observation['state'], corner: Corner | null = null): this {
    this.file.observations = [...this.file.observations, { ...base(this.next()), code, corner, state }];
    return this;
  }
  look(fault: string, place: string, state: CauseLook['state'], said: number | null = null, rank: number | null = null): this {
    this.file.causeLooks = [...this.file.causeLooks, { ...base(this.next()), fault, place, state, said, rank }];
    return this;
  }
  state() {
    return deriveJob(this.file, NOW);
  }
  weighed() {
    const given = toTrace(this.state());
    return { given, ...diagnose(given.network, given.evidence, given.checks, given.complaint) };
  }
  p(faultId: string): number {
    const { given, causes } = this.weighed();
    return causes.find((c) => given.network.faults[c.fault]?.id === faultId)?.probability ?? NaN;
  }
}
