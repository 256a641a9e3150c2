import type { GaugeKind } from '@dauer/core/catalogue';
import type { MadeUpPart } from './parts.ts';

/** Everything that makes one gauge what it is. Figures in its own unit. */
export interface Facts {
  /** Its tag on the rack, by which the capture bar knows it. */
  readonly tag: string;
  readonly kind: GaugeKind;
  readonly name: string;
  readonly unit: string;
  readonly resolution: number;
  /** Standard deviation of what the hand adds. */
  readonly noise: number;
  /** What it reads wrong everywhere, and how much that grows in an hour of being held. */
  readonly offset: number;
  readonly driftPerHour: number;
  /** Seconds in which the needle or the figure follows. */
  readonly lag: number;
  readonly parts: readonly MadeUpPart[];
  /** It is turned round the part. */
  readonly turns: boolean;
}

/** Numbers between 0 and 1 from a seed: the same seed gives the same bench (mulberry32, public domain). */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One simulated gauge on one made-up part. Its clock is given, never read. */
export class Instrument {
  readonly facts: Facts;
  private readonly random: () => number;
  private part: MadeUpPart;
  private angle = 0;
  private since = 0;
  private last: { readonly at: number; readonly follows: number } | null = null;
  constructor(facts: Facts, seed: number) {
    const [first] = facts.parts;
    if (!first) throw new Error('an instrument needs a part');
    this.facts = facts;
    this.random = seeded(seed);
    this.part = first;
  }

  get partName(): string {
    return this.part.name;
  }

  get angleDeg(): number {
    return this.angle;
  }

  /** Puts it on another part, as of now (seconds). */
  put(partName: string, now: number): void {
    this.part = this.facts.parts.find((p) => p.name === partName) ?? this.part;
    this.since = now;
    this.last = null;
  }

  /** Turns it, or the part under it, to an angle, degrees. */
  turn(angleDeg: number): void {
    this.angle = ((angleDeg % 360) + 360) % 360;
  }

  private gaussian(): number {
    const u = Math.max(this.random(), 1e-12);
    return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * this.random());
  }

  /**
   * What it shows now: the truth, later by its lag, with its own error and the hand's, in steps of its resolution.
   * @param now seconds
   */
  read(now: number): { readonly value: number; readonly text: string } {
    const { facts } = this;
    const truth = this.part.truth(this.angle, now - this.since);
    const share = this.last && facts.lag > 0 ? 1 - Math.exp(-Math.max(0, now - this.last.at) / facts.lag) : 1;
    const follows = this.last ? this.last.follows + (truth - this.last.follows) * share : truth;
    this.last = { at: now, follows };
    const held = Math.max(0, now - this.since) / 3600;
    const shown = follows + facts.offset + facts.driftPerHour * held + facts.noise * this.gaussian();
    const value = Math.round(shown / facts.resolution) * facts.resolution;
    const decimals = Math.max(0, -Math.floor(Math.log10(facts.resolution) + 1e-9));
    return { value, text: (Math.abs(value) < facts.resolution / 2 ? 0 : value).toFixed(decimals) };
  }
}
