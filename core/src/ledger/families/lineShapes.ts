import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Flares of the end of a tube: they are never mixed. */
export const FLARES = ['single', 'double', 'bubble'] as const;
export type Flare = (typeof FLARES)[number];

/** One end of a line as it is made. */
export interface LineEnd {
  readonly flare: Flare;
  /** Thread of the union, in words. */
  readonly thread: string;
  /** Tube that the flare uses up, mm. */
  readonly usedMm: number;
}

/** A straight as it was measured, up to the corner where the next begins, with the bend there. */
export interface MeasuredStretch {
  readonly lengthMm: number;
  readonly deflectionDeg: number;
  /** By how much its plane is turned from that of the bend before, to the right seen from the first end, degrees. */
  readonly turnDeg: number;
}

/** How a line is measured and to be made: it outlives the job that it was measured on. Source: handbook 70, Line length; 55, card 15. */
export interface LineShape extends JobEvent {
  readonly connectionId: string;
  readonly stretches: readonly MeasuredStretch[];
  readonly outsideMm: number;
  readonly bendRadiusMm: number;
  readonly slackMm: number;
  /** The end that is cut and flared first: where the line begins in the layout; then the other. */
  readonly first: LineEnd;
  readonly last: LineEnd;
  /** By what it was measured: the old line, a wire, the vehicle. */
  readonly by: 'old_line' | 'wire' | 'vehicle';
  readonly note: string;
}

export const lineShapes: FamilyDescriptor<LineShape> = {
  ...PLAIN,
  label: 'shape of a line',
  subjects: ['connection'],
  readWith: 'vehicle',
  release: 'either_side',
  late: 'late',
  dropsWhenVoid: () => false,
  names: { connectionId: 'line' },
  blackable: ['note'],
};
