import { dim, s } from '../sketches/draw.ts';
import { AXIS, ROTOR } from '../sketches/shapes.ts';
import type { Bench } from './bench.ts';

/** Rotors, and the drum in one. */
export const ROTOR_BENCHES = {
  rotor_thickness: { drawing: 'rotor', panels: ['cut'] },
  rotor_runout: { drawing: 'rotor', panels: ['reindex'] },
  rotor_surface: {
    drawing: 'sketch',
    sketch: {
      part: [...ROTOR, 'M224 60l-5 4 5 4M224 96l-8 5 8 5M196 118l6 5-6 5'],
      thin: AXIS,
      height: 200,
      spots: {
        'outer face: score': s(262, 106, 'M226 101H254'),
        'inner face: score': s(120, 128, 'M194 123H130', 'end'),
        'edge: lip': s(262, 32, 'M226 24H254'),
      },
    },
    panels: ['cut'],
  },
  rotor_identity: {
    drawing: 'sketch',
    sketch: {
      part: ROTOR,
      thin: [...AXIS, 'M150 54H92M150 146H92M224 20H366M224 180H366M182 72H270M182 128H270'],
      height: 218,
      spots: {
        'outside diameter': s(372, 104, dim(360, 20, 360, 180)),
        'overall height': s(187, 214, `M150 164V200M224 184V200${dim(150, 194, 224, 194)}`, 'middle'),
        'centre bore': s(276, 104, dim(266, 72, 266, 128)),
        'bolt circle': s(84, 104, dim(94, 54, 94, 146), 'end'),
      },
    },
  },
  rotor_play: {
    drawing: 'sketch',
    sketch: {
      part: [...ROTOR, 'M186 40a8 8 0 1 0 16 0a8 8 0 1 0-16 0M186 160a8 8 0 1 0 16 0a8 8 0 1 0-16 0'],
      thin: AXIS,
      height: 200,
      spots: { radial: s(270, 40, dim(248, 22, 248, 58)), axial: s(270, 166, dim(228, 160, 262, 160)) },
    },
  },
  rotor_paint: {
    drawing: 'sketch',
    sketch: {
      part: ['M120 60H300V140H120Z', 'M120 60H132V140H120ZM170 60H182V140H170ZM220 60H232V140H220Z'],
      thin: ['M120 100H300'],
      height: 180,
      spots: { 'hottest turned': s(176, 44, 'M176 48V58', 'middle'), 'coolest kept': s(226, 168, 'M226 142V152', 'middle') },
    },
    panels: ['paint'],
  },
  rotor_drum: { drawing: 'ring' },
} as const satisfies Readonly<Record<string, Bench>>;
