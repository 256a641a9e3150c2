import { dim, s } from '../sketches/draw.ts';
import { CALIPER, LEVER, PEDAL } from '../sketches/shapes.ts';
import type { Bench } from './bench.ts';

const WHEEL = ['M70 100a76 76 0 1 0 152 0a76 76 0 1 0-152 0', 'M130 100a16 16 0 1 0 32 0a16 16 0 1 0-32 0'];
/** A unit with a gauge at its inlet and a block before its piston. */
const HELD = {
  part: [...CALIPER, 'M194 92H256V128H194Z', 'M300 60h26v-14h12', 'M320 28a18 18 0 1 0 36 0a18 18 0 1 0-36 0M338 28L348 20'],
  thin: ['M120 110H290'],
  height: 200,
} as const;

/** What a vehicle or a unit is proved by. */
export const PROVING_BENCHES = {
  pedal_return: {
    drawing: 'sketch',
    sketch: {
      part: PEDAL,
      thin: ['M236 132L262 160'],
      height: 220,
      spots: {
        before: s(300, 112, `M250 118H292${dim(292, 118, 292, 186)}`),
        after: s(300, 168, `M250 124H276${dim(276, 124, 276, 186)}`),
      },
    },
  },
  servo_run_up: {
    drawing: 'sketch',
    sketch: {
      part: PEDAL,
      thin: ['M230 160L268 186'],
      height: 220,
      spots: { fall: s(294, 150, dim(280, 120, 280, 150)) },
    },
  },
  parking_slope: {
    drawing: 'sketch',
    sketch: {
      part: ['M60 170L360 80V170Z', 'M176 110a14 14 0 1 0 28 0a14 14 0 1 0-28 0M256 86a14 14 0 1 0 28 0a14 14 0 1 0-28 0'],
      thin: ['M40 170H390', 'M150 104L300 58'],
      height: 210,
      spots: { up: s(330, 50, 'M296 60L324 52l-8-3m8 3l-6 6'), down: s(106, 104, 'M154 104L118 114l6-7m-6 7l9 2', 'end') },
    },
  },
  parking_pull: {
    drawing: 'sketch',
    sketch: {
      part: [...LEVER],
      thin: ['M60 186H380'],
      height: 210,
      spots: { pull: s(330, 130, 'M230 130H318l-8-5m8 5l-8 5') },
    },
  },
  parking_drag: {
    drawing: 'sketch',
    sketch: {
      part: WHEEL,
      thin: ['M146 100L146 24M146 100L212 138'],
      height: 200,
      spots: { 'let go': s(290, 110, 'M176 30C214 38 230 60 232 98l-6-8m6 8l5-9') },
    },
  },
  brake_force: {
    drawing: 'sketch',
    sketch: {
      part: [...WHEEL, 'M74 184a22 22 0 1 0 44 0a22 22 0 1 0-44 0M174 184a22 22 0 1 0 44 0a22 22 0 1 0-44 0'],
      thin: ['M40 214H260'],
      height: 220,
      spots: { force: s(290, 150, 'M196 168C220 160 240 156 282 148l-9-2m9 2l-7 6') },
    },
  },
  wheel_heat: {
    drawing: 'sketch',
    sketch: {
      part: WHEEL,
      thin: ['M146 24V176M70 100H222'],
      height: 200,
      spots: { after: s(290, 60, 'M200 72L282 58M192 66l-4 8l9 1') },
    },
  },
  bench_low: {
    drawing: 'sketch',
    sketch: { ...HELD, spots: { start: s(376, 24, 'M358 28H370'), end: s(376, 84, 'M346 44L368 76') } },
  },
  bench_high: {
    drawing: 'sketch',
    sketch: { ...HELD, spots: { start: s(376, 24, 'M358 28H370'), end: s(376, 84, 'M346 44L368 76') } },
  },
} as const satisfies Readonly<Record<string, Bench>>;
