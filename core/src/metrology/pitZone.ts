import { DomainError, SLACK } from '../quantity/domainError.ts';

/** A stretch along a piston, mm from its outer (pad) face. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** The three moments in which the seal has to hold. */
export type LiningState = 'as_found' | 'new' | 'discard';
export const LINING_STATES: readonly LiningState[] = ['as_found', 'new', 'discard'];
export type Reach =
  | {
      readonly caliper: 'fixed';
      /** From the bore's mouth to the face of a new rotor, mm. */
      readonly mouthToNewRotorFace: number;
      readonly states: Readonly<Record<LiningState, { readonly padTotal: number; readonly rotorFaceWear: number }>>;
    }
  | {
      readonly caliper: 'floating';
      /** From the bore's mouth to the inner face of the fingers, mm. */
      readonly mouthToFingers: number;
      readonly states: Readonly<
        Record<LiningState, { readonly innerPadTotal: number; readonly outerPadTotal: number; readonly rotorThickness: number }>
      >;
    };

export interface SealFacts {
  /** From the mouth to the seal's centre, mm. */
  readonly sealBelowMouth: number;
  readonly sealWidth: number;
  /** Cylindrical sealing length from the outer face, mm. */
  readonly sealingLength: number;
  /** For stroke and rollback, mm. */
  readonly allowance?: number;
  /** Running clearance of a pad, mm. */
  readonly clearance?: number;
}

/** Generic figures. Source: handbook 20, Does a pit matter? */
const PIT_ALLOWANCE = 0.5;
const RUNNING_CLEARANCE = 0.1;

export interface PitZone {
  /** How far the piston stands out of the mouth when released, mm. */
  readonly standOut: Readonly<Record<LiningState, number>>;
  readonly zone: Readonly<Record<LiningState, Stretch>>;
  /** From the smallest to the largest of the zones. */
  readonly hull: Stretch;
  readonly pitRejects: readonly boolean[];
  readonly reject: boolean;
  /** Some pit is clear of the seal as found and comes under it with new linings: tight today, leaking then. */
  readonly wornPadTrap: boolean;
  /** The worn-out set would let the piston leave its seal. */
  readonly leavesSeal: boolean;
}

/** Says which linings do not fit. */
export class LiningsDoNotFit extends DomainError {
  readonly state: LiningState;
  constructor(state: LiningState) {
    super(
      'linings_do_not_fit',
      `The linings ${{ as_found: 'as found', new: 'with new linings', discard: 'at discard' }[state]} are thicker than there is room for: the piston cannot go back that far.`,
    );
    this.state = state;
  }
}

function standOutOf(reach: Reach, state: LiningState, clearance: number): number {
  if (reach.caliper === 'fixed') {
    const s = reach.states[state];
    return reach.mouthToNewRotorFace + s.rotorFaceWear - s.padTotal - clearance;
  }
  const s = reach.states[state];
  return reach.mouthToFingers - s.innerPadTotal - s.outerPadTotal - s.rotorThickness - 2 * clearance;
}

const touches = (a: Stretch, b: Stretch): boolean => a.to >= b.from - SLACK && a.from <= b.to + SLACK;

/**
 * Whether pits of a piston lie where its seal sweeps or rests, as found, with new linings and at discard.
 * @param pits stretches along the piston from its outer (pad) face, mm; touching counts
 * @throws DomainError linings_do_not_fit (with the first such state), pit_upside_down
 * Source: handbook 20, Does a pit matter? p = m + w_r − T − c, or M − T_i − T_o − t − 2c; s = p + g;
 * zone [s − w/2 − e, s + w/2 + e].
 */
export function pitZone(reach: Reach, seal: SealFacts, pits: readonly Stretch[]): PitZone {
  if (pits.some((p) => p.from > p.to)) throw new DomainError('pit_upside_down', 'A pit begins nearer the outer face than it ends.');
  const clearance = seal.clearance ?? RUNNING_CLEARANCE;
  const half = seal.sealWidth / 2 + (seal.allowance ?? PIT_ALLOWANCE);
  const out = (state: LiningState): number => standOutOf(reach, state, clearance);
  const tooThick = LINING_STATES.find((s) => out(s) < -SLACK);
  if (tooThick) throw new LiningsDoNotFit(tooThick);
  const zoneAt = (state: LiningState): Stretch => {
    const s = out(state) + seal.sealBelowMouth;
    return { from: s - half, to: s + half };
  };
  const zone = { as_found: zoneAt('as_found'), new: zoneAt('new'), discard: zoneAt('discard') };
  const all = LINING_STATES.map((s) => zone[s]);
  const hull = { from: Math.min(...all.map((z) => z.from)), to: Math.max(...all.map((z) => z.to)) };
  const pitRejects = pits.map((p) => touches(p, hull));
  return {
    standOut: { as_found: out('as_found'), new: out('new'), discard: out('discard') },
    zone,
    hull,
    pitRejects,
    reject: pitRejects.includes(true),
    wornPadTrap: pits.some((p) => !touches(p, zone.as_found) && touches(p, zone.new)),
    leavesSeal: hull.to > seal.sealingLength + SLACK,
  };
}
