import type { MeasurementId } from '@dauer/core/catalogue';
import { dim, s, type Sketch } from './draw.ts';

/** A rotor in section through its axis: hat to the left, the two faces to the right. */
const ROTOR = ['M150 40H196V20H224V180H196V160H150V128H182V72H150Z', 'M210 20V180'];
const AXIS = ['M120 100H260'];
const HUB = [
  'M150 30H172V84H240V116H172V170H150V116H96V84H150Z',
  'M108 84V66H138V84M108 116V134H138V116M196 84V66H226V84M196 116V134H226V116',
];
const DIAL = ['M318 60a22 22 0 1 0 44 0a22 22 0 1 0-44 0M340 60L352 48M318 60H296M296 56V64'];
const PADS = ['M120 40H150V160H120Z', 'M150 48H178V152H150Z', 'M290 40H320V160H290Z', 'M262 48H290V152H262Z'];

/** Rotors, drums, hubs and linings in section. */
export const WHEEL_SKETCHES: Readonly<Partial<Record<MeasurementId, Sketch>>> = {
  rotor_surface: {
    part: [...ROTOR, 'M224 60l-5 4 5 4M224 96l-8 5 8 5M196 118l6 5-6 5'],
    thin: AXIS,
    height: 200,
    spots: {
      'outer face: score': s(262, 106, 'M226 101H254'),
      'inner face: score': s(120, 128, 'M194 123H130', 'end'),
      'edge: lip': s(262, 32, 'M226 24H254'),
    },
  },
  rotor_identity: {
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
  rotor_play: {
    part: [...ROTOR, 'M186 40a8 8 0 1 0 16 0a8 8 0 1 0-16 0M186 160a8 8 0 1 0 16 0a8 8 0 1 0-16 0'],
    thin: AXIS,
    height: 200,
    spots: { radial: s(270, 40, dim(248, 22, 248, 58)), axial: s(270, 166, dim(228, 160, 262, 160)) },
  },
  rotor_paint: {
    part: ['M120 60H300V140H120Z', 'M120 60H132V140H120ZM170 60H182V140H170ZM220 60H232V140H220Z'],
    thin: ['M120 100H300'],
    height: 180,
    spots: { 'hottest turned': s(176, 44, 'M176 48V58', 'middle'), 'coolest kept': s(226, 168, 'M226 142V152', 'middle') },
  },
  hub_end_float: {
    part: [...HUB, ...DIAL],
    thin: ['M80 100H280'],
    height: 200,
    spots: { float: s(376, 66, `${dim(250, 100, 290, 100)}M290 100V60`) },
  },
  wheel_rocking: {
    part: [...HUB, 'M60 14H78V186H60Z'],
    thin: ['M80 100H280'],
    height: 200,
    spots: { 'brake held': s(300, 40, 'M172 36C210 20 250 24 288 36'), 'brake free': s(300, 172, 'M172 164C210 180 250 176 288 166') },
  },
  wheel_drag: {
    part: ['M70 100a76 76 0 1 0 152 0a76 76 0 1 0-152 0', 'M130 100a16 16 0 1 0 32 0a16 16 0 1 0-32 0', 'M196 40h60v30h-60z'],
    thin: ['M146 100L146 24M146 100L212 138'],
    height: 200,
    spots: {
      before: s(290, 82, 'M176 30C214 38 230 60 232 78l-6-8m6 8l5-9'),
      after: s(290, 140, 'M176 170C206 164 226 146 232 122l-7 7m7-7l4 9'),
    },
  },
  drum_surface: {
    part: ['M90 30H330V56H120V144H330V170H90Z', 'M180 56v6h16v-6M230 56v9h14v-9M316 56v-4h14', 'M180 144v-5h16v5M230 144v-8h14v8'],
    thin: ['M70 100H360'],
    height: 200,
    spots: { score: s(238, 104, 'M237 68V88', 'middle'), ridge: s(350, 66, 'M326 52L344 60') },
  },
  pad_total: {
    part: PADS,
    thin: ['M178 100H262M210 20V180M230 20V180'],
    height: 220,
    spots: {
      inner: s(149, 208, `M120 164V190M178 156V190${dim(120, 184, 178, 184)}`, 'middle'),
      outer: s(291, 208, `M262 156V190M320 164V190${dim(262, 184, 320, 184)}`, 'middle'),
    },
  },
  pad_ears: {
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
  shoe_arc: {
    part: ['M120 176A112 112 0 0 1 120 24l14 12A94 94 0 0 0 134 164Z', 'M300 24A112 112 0 0 1 300 176l-14-12A94 94 0 0 0 286 36Z'],
    thin: ['M210 10V190M100 100H320'],
    height: 200,
    spots: { leading: s(74, 104, 'M98 100H82', 'end'), trailing: s(360, 104, 'M322 100H350') },
  },
  shoe_springs: {
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
  shoe_adjuster: {
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
  adjuster_travel: {
    part: ['M60 44H120V76H60ZM120 36H150V84H120ZM150 50H250V70H150Z', 'M60 122H250V138H60Z', 'M320 110c26 0 44 14 44 30s-18 30-44 30z'],
    thin: ['M40 60H280M40 130H270M320 96V184', 'M158 50V70M166 50V70M174 50V70M182 50V70'],
    height: 220,
    spots: {
      'whole travel': s(200, 30, dim(150, 38, 250, 38), 'middle'),
      'per click': s(170, 98, `M166 72V90M174 72V90`, 'middle'),
      'lining new': s(330, 66, 'M296 36C320 46 320 74 296 84'),
      link: s(155, 170, dim(60, 152, 250, 152), 'middle'),
      'link new': s(155, 206, dim(52, 188, 258, 188), 'middle'),
      cam: s(376, 122, dim(320, 104, 364, 104)),
      'cam new': s(376, 186, dim(320, 180, 368, 180)),
    },
  },
};
