import { dim, s } from '../sketches/draw.ts';
import { DIAL, HUB } from '../sketches/shapes.ts';
import type { Bench } from './bench.ts';

/** Hubs, and the wheel as a whole. */
export const HUB_BENCHES = {
  hub_end_float: {
    drawing: 'sketch',
    sketch: {
      part: [...HUB, ...DIAL],
      thin: ['M80 100H280'],
      height: 200,
      spots: { float: s(376, 66, `${dim(250, 100, 290, 100)}M290 100V60`) },
    },
  },
  hub_face_runout: { drawing: 'sweep' },
  wheel_rocking: {
    drawing: 'sketch',
    sketch: {
      part: [...HUB, 'M60 14H78V186H60Z'],
      thin: ['M80 100H280'],
      height: 200,
      spots: { 'brake held': s(300, 40, 'M172 36C210 20 250 24 288 36'), 'brake free': s(300, 172, 'M172 164C210 180 250 176 288 166') },
    },
  },
  wheel_drag: {
    drawing: 'sketch',
    sketch: {
      part: ['M70 100a76 76 0 1 0 152 0a76 76 0 1 0-152 0', 'M130 100a16 16 0 1 0 32 0a16 16 0 1 0-32 0', 'M196 40h60v30h-60z'],
      thin: ['M146 100L146 24M146 100L212 138'],
      height: 200,
      spots: {
        before: s(290, 82, 'M176 30C214 38 230 60 232 78l-6-8m6 8l5-9'),
        after: s(290, 140, 'M176 170C206 164 226 146 232 122l-7 7m7-7l4 9'),
      },
    },
  },
} as const satisfies Readonly<Record<string, Bench>>;
