import { dim, s } from '../sketches/draw.ts';
import { CALIPER, PIN } from '../sketches/shapes.ts';
import type { Bench } from './bench.ts';

/** Pins, lines, bores, pistons and the servo. */
export const CYLINDER_BENCHES = {
  pin_runout: {
    drawing: 'sketch',
    sketch: {
      part: [...PIN, 'M130 78l-14 18h28zM290 78l-14 18h28zM130 148l-14 18h28zM290 148l-14 18h28z'],
      thin: ['M70 70H345M70 140H345'],
      height: 190,
      spots: { upper: s(226, 46, 'M210 60V40', 'middle'), lower: s(226, 116, 'M210 130V112', 'middle') },
    },
  },
  pin_fit: {
    drawing: 'sketch',
    sketch: {
      part: [...PIN, 'M240 50H310V62H240ZM240 78H310V90H240ZM240 120H310V132H240ZM240 148H310V160H240Z'],
      thin: ['M70 70H345M70 140H345'],
      height: 190,
      spots: {
        'upper pin': s(150, 46, dim(150, 62, 150, 78), 'middle'),
        'upper bush': s(360, 66, 'M312 60L352 60'),
        'lower pin': s(150, 116, dim(150, 132, 150, 148), 'middle'),
        'lower bush': s(360, 146, 'M312 140L352 140'),
      },
    },
  },
  bore_diameter: { drawing: 'bore', panels: ['hone'] },
  piston_diameter: { drawing: 'piston', panels: ['seal', 'hone'], worked: true },
  piston_seal: {
    drawing: 'sketch',
    sketch: {
      part: [
        'M60 50H240V66H214V60H198V66H60ZM60 134H240V150H60V134M198 134V140H214V134',
        'M90 68H290V132H90Z',
        'M370 20H396V180H370Z',
        'M300 40H336V160H300Z',
      ],
      thin: ['M40 100H400M240 30V46M206 30V46'],
      height: 240,
      spots: {
        'mouth to face': s(305, 16, `M240 12V46M370 12V18${dim(240, 22, 370, 22)}`, 'middle'),
        'seal below mouth': s(180, 30, dim(206, 36, 240, 36), 'end'),
        'seal width': s(150, 184, `M198 144V172M214 144V172${dim(198, 166, 214, 166)}`, 'end'),
        'sealing length': s(190, 226, `M90 136V210M290 136V210${dim(90, 204, 290, 204)}`, 'middle'),
      },
    },
    panels: ['seal'],
    worked: true,
  },
  bore_zone: {
    drawing: 'sketch',
    sketch: {
      part: ['M60 50H340V66H60ZM60 134H340V150H60ZM340 50H356V150H340Z', 'M120 70H220V130H120Z', 'M136 66V134M204 66V134'],
      thin: ['M40 100H370M60 30V46'],
      height: 220,
      spots: {
        from: s(98, 184, `M60 154V190M136 138V190${dim(60, 166, 136, 166)}`, 'middle'),
        to: s(150, 212, `M204 138V200${dim(60, 194, 204, 194)}`, 'middle'),
      },
    },
    panels: ['hone'],
    worked: true,
  },
  line_pressure: {
    drawing: 'sketch',
    sketch: {
      part: [...CALIPER, 'M300 60h26v-14h12', 'M320 28a18 18 0 1 0 36 0a18 18 0 1 0-36 0M338 28L348 20'],
      thin: ['M172 60V160'],
      height: 200,
      spots: { light: s(376, 32, 'M358 28H370'), hard: s(376, 74, 'M346 44L368 66') },
    },
  },
  servo_vacuum: {
    drawing: 'sketch',
    sketch: {
      part: ['M120 30C180 10 240 10 260 40V160C240 190 180 190 120 170Z', 'M260 84H330V116H260ZM120 90H70V110H120Z', 'M190 20V180'],
      thin: ['M50 100H350'],
      height: 200,
      spots: { 'at rest': s(300, 56, 'M240 44L290 52'), applied: s(300, 156, 'M240 158L290 150') },
    },
  },
  servo_push_rod: {
    drawing: 'sketch',
    sketch: {
      part: ['M80 30C140 10 190 10 210 40V160C190 190 140 190 80 170Z', 'M210 90H290V110H210Z', 'M320 50H400V150H320ZM320 84H340V116H320Z'],
      thin: ['M50 100H410'],
      height: 210,
      spots: {
        length: s(250, 70, `M210 84V72M290 84V72${dim(210, 78, 290, 78)}`, 'middle'),
        'free play': s(305, 196, `M290 114V176M320 154V176${dim(290, 170, 320, 170)}`, 'middle'),
      },
    },
  },
} as const satisfies Readonly<Record<string, Bench>>;
