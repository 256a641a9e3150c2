import type { ComponentKind } from '../layout/kinds.ts';

/** Two things that wear, are cut or are set to each other: a new one of either is not matched to the old one. */
export interface Match {
  readonly id: string;
  /** Kinds of the one and of the other. */
  readonly of: readonly [readonly ComponentKind[], readonly ComponentKind[]];
  /** The other is what carries the one, not what stands beside it in the same brake. */
  readonly carried: boolean;
  /** It is parted too when one of the two is cut. */
  readonly byCutting: boolean;
  /** What is lost, after "parted from the …:". */
  readonly lost: string;
}

/** Source: handbook 05, What belongs together stays together, The pads remember the old rotor. */
export const MATCHES: readonly Match[] = [
  {
    id: 'bedded',
    of: [['pads'], ['rotor']],
    carried: false,
    byCutting: true,
    lost: 'their faces were bedded to each other, and are bedded anew',
  },
  {
    id: 'arced',
    of: [
      ['shoes', 'parking_shoes'],
      ['drum', 'rotor'],
    ],
    carried: false,
    byCutting: true,
    lost: 'the linings were arced to that diameter, and touch elsewhere now: arc and centring are gauged again, then bedded anew',
  },
  {
    id: 'band',
    of: [['band'], ['band_drum']],
    carried: false,
    byCutting: true,
    lost: 'the lining was worn to that drum, and is set and bedded anew',
  },
  {
    id: 'one_run',
    of: [['rotor', 'drum'], ['hub']],
    carried: false,
    byCutting: false,
    lost: 'they ran true as one, in their best position: runout is measured as fitted, and the position found anew',
  },
  {
    id: 'bore',
    of: [['piston'], ['caliper']],
    carried: true,
    byCutting: false,
    lost: 'the piston had worn to that bore: its clearance is gauged again',
  },
];
