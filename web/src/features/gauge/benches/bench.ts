import type { Sketch } from '../sketches/draw.ts';

/** How something is drawn while it is measured: as itself, or in section with the places that have names. */
export type Drawing = 'rotor' | 'sweep' | 'ring' | 'drum' | 'pads' | 'bore' | 'piston' | 'shoes';

/** What follows from the figures in hand, worked out beside them. */
export type Panel = 'reindex' | 'paint' | 'cut' | 'seal' | 'hone' | 'adjuster' | 'arc' | 'centring';

/** The bench of one measurement. */
export type Bench = ({ readonly drawing: Drawing } | { readonly drawing: 'sketch'; readonly sketch: Sketch }) & {
  readonly panels?: readonly Panel[];
  /** What follows from the figures matters more here than how each stands on its rule. */
  readonly worked?: true;
};
