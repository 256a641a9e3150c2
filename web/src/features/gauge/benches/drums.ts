import { s } from '../sketches/draw.ts';
import type { Bench } from './bench.ts';

/** Drums. */
export const DRUM_BENCHES = {
  drum_diameter: { drawing: 'drum', panels: ['cut'] },
  drum_wall: { drawing: 'ring' },
  drum_runout: { drawing: 'sweep', panels: ['cut'] },
  drum_surface: {
    drawing: 'sketch',
    sketch: {
      part: ['M90 30H330V56H120V144H330V170H90Z', 'M180 56v6h16v-6M230 56v9h14v-9M316 56v-4h14', 'M180 144v-5h16v5M230 144v-8h14v8'],
      thin: ['M70 100H360'],
      height: 200,
      spots: { score: s(238, 104, 'M237 68V88', 'middle'), ridge: s(350, 66, 'M326 52L344 60') },
    },
    panels: ['cut'],
  },
} as const satisfies Readonly<Record<string, Bench>>;
