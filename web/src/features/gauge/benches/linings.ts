import { dim, s } from '../sketches/draw.ts';
import { PADS } from '../sketches/shapes.ts';
import type { Bench } from './bench.ts';

/** Pads and shoes. */
export const LINING_BENCHES = {
  pad_lining: { drawing: 'pads' },
  pad_total: {
    drawing: 'sketch',
    sketch: {
      part: PADS,
      thin: ['M178 100H262M210 20V180M230 20V180'],
      height: 220,
      spots: {
        inner: s(149, 208, `M120 164V190M178 156V190${dim(120, 184, 178, 184)}`, 'middle'),
        outer: s(291, 208, `M262 156V190M320 164V190${dim(262, 184, 320, 184)}`, 'middle'),
      },
    },
  },
  pad_ears: {
    drawing: 'sketch',
    sketch: {
      part: ['M120 60H300V140H120Z', 'M96 84H120V116H96ZM300 84H324V116H300Z', 'M60 70H92V130H60ZM328 70H360V130H328Z'],
      thin: ['M210 46V154'],
      height: 200,
      spots: {
        'inner: leading': s(52, 62, 'M94 76L60 60', 'end'),
        'inner: trailing': s(368, 62, 'M326 76L360 60'),
        'outer: leading': s(52, 152, 'M94 124L60 146', 'end'),
        'outer: trailing': s(368, 152, 'M326 124L360 146'),
      },
    },
  },
  shoe_lining: { drawing: 'shoes' },
  shoe_above_rivets: { drawing: 'shoes' },
  shoe_arc: {
    drawing: 'sketch',
    sketch: {
      part: ['M120 176A112 112 0 0 1 120 24l14 12A94 94 0 0 0 134 164Z', 'M300 24A112 112 0 0 1 300 176l-14-12A94 94 0 0 0 286 36Z'],
      thin: ['M210 10V190M100 100H320'],
      height: 200,
      spots: { leading: s(74, 104, 'M98 100H82', 'end'), trailing: s(360, 104, 'M322 100H350') },
    },
    panels: ['arc'],
    worked: true,
  },
  shoe_centring: { drawing: 'shoes', panels: ['centring'], worked: true },
  shoe_springs: {
    drawing: 'sketch',
    sketch: {
      part: [
        'M90 60h24l6-10 12 20 12-20 12 20 12-20 12 20 12-20 12 20 6-10h24',
        'M90 140h24l6-10 12 20 12-20 12 20 12-20 12 20 12-20 12 20 6-10h24',
      ],
      thin: ['M270 60H330M270 140H330'],
      height: 200,
      spots: {
        upper: s(166, 36, dim(90, 42, 242, 42), 'middle'),
        'upper partner': s(342, 64, 'M262 60H330'),
        lower: s(166, 184, dim(90, 164, 242, 164), 'middle'),
        'lower partner': s(342, 144, 'M262 140H330'),
      },
    },
  },
  shoe_adjuster: {
    drawing: 'sketch',
    sketch: {
      part: [
        'M110 84H170V116H110ZM170 76H200V124H170ZM200 90H300V110H200Z',
        'M206 90V110M214 90V110M222 90V110M230 90V110M238 90V110M246 90V110',
      ],
      thin: ['M90 100H330'],
      height: 180,
      spots: {
        turns: s(185, 62, 'M176 70C180 60 192 60 196 70l-6-4m6 4l2-7', 'middle'),
        left: s(255, 146, dim(200, 128, 300, 128), 'middle'),
      },
    },
    panels: ['adjuster'],
  },
  adjuster_travel: {
    drawing: 'sketch',
    sketch: {
      part: ['M60 44H120V76H60ZM120 36H150V84H120ZM150 50H250V70H150Z', 'M60 122H250V138H60Z', 'M320 110c26 0 44 14 44 30s-18 30-44 30z'],
      thin: ['M40 60H280M40 130H270M320 96V184', 'M158 50V70M166 50V70M174 50V70M182 50V70'],
      height: 220,
      spots: {
        'whole travel': s(200, 30, dim(150, 38, 250, 38), 'middle'),
        'per click': s(170, 98, `M166 72V90M174 72V90`, 'middle'),
        'lining new': s(330, 52, 'M296 36C320 46 320 74 296 84'),
        'above rivets new': s(330, 84, 'M296 84C314 78 316 66 312 60'),
        link: s(155, 170, dim(60, 152, 250, 152), 'middle'),
        'link new': s(155, 206, dim(52, 188, 258, 188), 'middle'),
        cam: s(376, 122, dim(320, 104, 364, 104)),
        'cam new': s(376, 186, dim(320, 180, 368, 180)),
      },
    },
    panels: ['adjuster'],
  },
} as const satisfies Readonly<Record<string, Bench>>;
