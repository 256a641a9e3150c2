import { type CauseLook, type Corner, deriveJob, type Observation, toTrace, weigh } from '../src/index.ts';
import { base, NOW, Told } from './told.ts';

/** A job in which something was said, and looked for. */
export class Asked extends Told {
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
    return { given, ...weigh(given.network, given.evidence, given.checks, given.complaint) };
  }
  p(faultId: string): number {
    const { given, causes } = this.weighed();
    return causes.find((c) => given.network.faults[c.fault]?.id === faultId)?.probability ?? NaN;
  }
}
