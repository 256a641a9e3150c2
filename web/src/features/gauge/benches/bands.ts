import { s } from '../sketches/draw.ts';
import type { Bench } from './bench.ts';

/** A band round its drum, let go: anchor to the left, free ends to the right. */
const BAND: readonly string[] = [
  'M210 36a64 64 0 1 0 .1 0Z',
  'M296 92A87 87 0 1 0 296 108L286 107A77 77 0 1 1 286 93Z',
  'M296 92h22v-14M296 108h22v14',
  'M123 90h-16v20h16',
];
const AXES: readonly string[] = ['M210 6V194M100 100H320'];

/** Where a lining is gauged round its band. */
const LINED = {
  anchor: s(96, 104, 'M128 100H104', 'end'),
  'lower half': s(210, 206, 'M210 182V194', 'middle'),
  'lower end': s(330, 150, 'M284 128L322 144'),
  'upper half': s(210, 12, 'M210 18V14', 'middle'),
  'upper end': s(330, 58, 'M284 72L322 56'),
};

/** Bands and the drums that they grip. */
export const BAND_BENCHES = {
  band_drum_diameter: { drawing: 'ring', panels: ['cut'] },
  band_drum_runout: { drawing: 'sweep', panels: ['cut'] },
  band_drum_surface: {
    drawing: 'sketch',
    sketch: {
      part: ['M90 60H150V66H190V60H330V140H90Z', 'M200 60v7h14v-7M262 60v5h12v-5', 'M150 60V52H190V60'],
      thin: ['M70 100H360'],
      height: 180,
      spots: { score: s(207, 94, 'M207 68V84', 'middle'), lip: s(170, 36, 'M170 40V50', 'middle') },
    },
    panels: ['cut'],
  },
  band_lining: {
    drawing: 'sketch',
    sketch: {
      part: BAND,
      thin: AXES,
      height: 210,
      spots: LINED,
    },
  },
  band_above_rivets: {
    drawing: 'sketch',
    sketch: {
      part: [...BAND, 'M150 44l8 8M262 44l-8 8M150 156l8-8M262 156l-8-8'],
      thin: AXES,
      height: 210,
      spots: LINED,
    },
  },
  band_clearance: {
    drawing: 'sketch',
    sketch: {
      part: BAND,
      thin: AXES,
      height: 210,
      spots: {
        anchor: s(96, 104, 'M140 100H104', 'end'),
        'lower half': s(210, 206, 'M210 170V194', 'middle'),
        'upper half': s(210, 12, 'M210 30V14', 'middle'),
      },
    },
  },
} as const satisfies Readonly<Record<string, Bench>>;
