import type { MeasurementId } from '@dauer/core';

/** Where a figure stands on a sketch, and on which side of its point it is written. */
interface SketchSpot {
  readonly at: readonly [number, number];
  readonly anchor: 'start' | 'middle' | 'end';
  /** Lines that show what is measured: arrows, dimension lines. */
  readonly shows: string;
}

export interface Sketch {
  /** Outlines of the part. */
  readonly part: readonly string[];
  /** Thin lines: axes, what stands behind. */
  readonly thin: readonly string[];
  readonly spots: Readonly<Record<string, SketchSpot>>;
  readonly height: number;
}

const s = (x: number, y: number, shows: string, anchor: SketchSpot['anchor'] = 'start'): SketchSpot => ({ at: [x, y], anchor, shows });
/** A dimension line between two points, with ends. */
const dim = (x1: number, y1: number, x2: number, y2: number): string => {
  const along = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [dx, dy] = [(x2 - x1) / along, (y2 - y1) / along];
  const end = (x: number, y: number, to: 1 | -1): string =>
    `M${x + to * 7 * dx - 3.5 * dy} ${y + to * 7 * dy + 3.5 * dx}L${x} ${y}L${x + to * 7 * dx + 3.5 * dy} ${y + to * 7 * dy - 3.5 * dx}`;
  return `M${x1} ${y1}L${x2} ${y2}${end(x1, y1, 1)}${end(x2, y2, -1)}`;
};

/** A rotor in section through its axis: hat to the left, the two faces to the right. */
const ROTOR = ['M150 40H196V20H224V180H196V160H150V128H182V72H150Z', 'M210 20V180'];
const AXIS = ['M120 100H260'];
const HUB = [
  'M150 30H172V84H240V116H172V170H150V116H96V84H150Z',
  'M108 84V66H138V84M108 116V134H138V116M196 84V66H226V84M196 116V134H226V116',
];
const DIAL = ['M318 60a22 22 0 1 0 44 0a22 22 0 1 0-44 0M340 60L352 48M318 60H296M296 56V64'];
const PEDAL = [
  'M150 20L236 132M228 126l34 22-8 12-34-22zM138 8a14 14 0 1 0 24 14a14 14 0 1 0-24-14M60 186H380',
  'M184 64H110V52H60V76H110V64',
];
const LEVER = [
  'M90 150L190 96L300 60M84 158a12 12 0 1 0 20-14a12 12 0 1 0-20 14M300 54h56a6 6 0 0 1 0 12h-56z',
  'M110 176a44 44 0 0 1 40-62',
];
const CALIPER = ['M110 40H300V84H270V70H150V150H270V136H300V176H110Z', 'M150 84h44v52h-44z'];
const PIN = ['M90 62H330V78H90ZM80 54H90V86H80Z', 'M90 132H330V148H90ZM80 124H90V156H80Z'];
const PADS = ['M120 40H150V160H120Z', 'M150 48H178V152H150Z', 'M290 40H320V160H290Z', 'M262 48H290V152H262Z'];

export const SKETCHES: Readonly<Partial<Record<MeasurementId, Sketch>>> = {
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
    thin: [...AXIS, 'M150 54H60M150 146H60M224 20H330M224 180H330M182 72H270M182 128H270'],
    height: 218,
    spots: {
      'outside diameter': s(344, 104, dim(330, 20, 330, 180)),
      'overall height': s(187, 214, `M150 164V200M224 184V200${dim(150, 194, 224, 194)}`, 'middle'),
      'centre bore': s(280, 104, dim(266, 72, 266, 128)),
      'bolt circle': s(48, 104, dim(64, 54, 64, 146), 'end'),
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
    spots: { leading: s(60, 104, 'M98 100H70', 'end'), trailing: s(360, 104, 'M322 100H350') },
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
  pin_runout: {
    part: [...PIN, 'M130 78l-14 18h28zM290 78l-14 18h28zM130 148l-14 18h28zM290 148l-14 18h28z'],
    thin: ['M70 70H345M70 140H345'],
    height: 190,
    spots: { upper: s(226, 46, 'M210 60V40', 'middle'), lower: s(226, 116, 'M210 130V112', 'middle') },
  },
  pin_fit: {
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
  line_pressure: {
    part: [...CALIPER, 'M300 50h26v-20h10', 'M320 14a18 18 0 1 0 36 0a18 18 0 1 0-36 0M338 14L348 6'],
    thin: ['M172 60V160'],
    height: 200,
    spots: { light: s(376, 18, 'M358 14H370'), hard: s(376, 60, 'M346 30L368 52') },
  },
  piston_seal: {
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
  bore_zone: {
    part: ['M60 50H340V66H60ZM60 134H340V150H60ZM340 50H356V150H340Z', 'M120 70H220V130H120Z', 'M136 66V134M204 66V134'],
    thin: ['M40 100H370M60 30V46'],
    height: 220,
    spots: {
      from: s(98, 184, `M60 154V190M136 138V190${dim(60, 166, 136, 166)}`, 'middle'),
      to: s(150, 212, `M204 138V200${dim(60, 194, 204, 194)}`, 'middle'),
    },
  },
  servo_vacuum: {
    part: ['M120 30C180 10 240 10 260 40V160C240 190 180 190 120 170Z', 'M260 84H330V116H260ZM120 90H70V110H120Z', 'M190 20V180'],
    thin: ['M50 100H350'],
    height: 200,
    spots: { 'at rest': s(300, 56, 'M240 44L290 52'), applied: s(300, 156, 'M240 158L290 150') },
  },
  servo_push_rod: {
    part: ['M80 30C140 10 190 10 210 40V160C190 190 140 190 80 170Z', 'M210 90H290V110H210Z', 'M320 50H400V150H320ZM320 84H340V116H320Z'],
    thin: ['M50 100H410'],
    height: 210,
    spots: {
      length: s(250, 70, `M210 84V72M290 84V72${dim(210, 78, 290, 78)}`, 'middle'),
      'free play': s(305, 196, `M290 114V176M320 154V176${dim(290, 170, 320, 170)}`, 'middle'),
    },
  },
  pedal_setting: {
    part: PEDAL,
    thin: ['M250 186V150'],
    height: 220,
    spots: {
      height: s(294, 176, dim(276, 160, 276, 186)),
      'free play': s(294, 118, 'M262 148L284 122'),
      travel: s(294, 90, 'M244 140C270 130 280 110 286 94l-8 4m8-4l2 9'),
      reserve: s(200, 212, dim(236, 168, 236, 186), 'end'),
      'push rod': s(84, 44, dim(60, 48, 110, 48), 'middle'),
    },
  },
  pedal_sink: {
    part: PEDAL,
    thin: ['M230 160L268 186'],
    height: 220,
    spots: { hard: s(294, 132, dim(280, 110, 280, 150)), light: s(294, 172, 'M262 158L288 166') },
  },
  pedal_pump_up: {
    part: PEDAL,
    thin: ['M236 132L262 160'],
    height: 220,
    spots: { first: s(300, 168, `M262 152H288${dim(282, 156, 282, 186)}`), second: s(300, 112, `M250 118H292${dim(292, 118, 292, 186)}`) },
  },
  parking_travel: {
    part: LEVER,
    thin: ['M90 150L220 190'],
    height: 200,
    spots: { clicks: s(200, 152, 'M180 180C200 164 206 140 204 118l-6 7m6-7l6 6') },
  },
  parking_cable: {
    part: ['M60 60H200V76H60ZM60 124H200V140H60Z', 'M200 52H224V84H200ZM200 116H224V148H200Z', 'M224 62H300V74H224ZM224 126H300V138H224Z'],
    thin: ['M232 62V74M240 62V74M248 62V74M256 62V74M232 126V138M240 126V138M248 126V138M256 126V138'],
    height: 190,
    spots: {
      'threads left': s(314, 56, `M224 50V40M300 58V40${dim(224, 44, 300, 44)}`),
      'threads right': s(314, 172, `M224 152V164M300 142V164${dim(224, 158, 300, 158)}`),
    },
  },
  linkage_play: {
    part: ['M60 92H360V108H60Z', 'M70 80H96V120H70ZM324 80H350V120H324Z', 'M150 92L130 40M260 108L284 164', 'M122 34h20M276 170h20'],
    thin: ['M40 100H380'],
    height: 210,
    spots: {
      'clevis front': s(150, 34, 'M130 40L146 36'),
      'clevis rear': s(300, 186, 'M284 166L294 178'),
      'bush left': s(58, 146, 'M80 122L66 138', 'end'),
      'bush right': s(362, 146, 'M340 122L354 138'),
    },
  },
  cam_angle: {
    part: [
      'M120 100a28 28 0 1 0 56 0a28 28 0 1 0-56 0',
      'M146 128V190H158V128',
      'M156 184H330V194H156Z',
      'M132 84L164 84L164 116L132 116Z',
    ],
    thin: ['M148 60V200'],
    height: 220,
    spots: { 'at contact': s(200, 160, 'M152 150C168 152 182 164 186 182'), full: s(250, 130, 'M152 130C190 132 230 150 240 182') },
  },
  equaliser_level: {
    part: ['M90 60H330V76H90Z', 'M206 68V30M98 76V140M322 76V140'],
    thin: ['M60 170H360'],
    height: 200,
    spots: { left: s(70, 128, dim(80, 78, 80, 170), 'end'), right: s(352, 128, dim(342, 78, 342, 170)) },
  },
  balance_bar_setting: {
    part: ['M70 92H350V108H70Z', 'M196 84H224V116H196Z', 'M110 108V170H122V108M298 108V170H310V108'],
    thin: ['M210 60V180M190 60V80'],
    height: 200,
    spots: {
      offset: s(200, 54, dim(190, 64, 210, 64), 'middle'),
      'front rod': s(96, 146, dim(102, 110, 102, 170), 'end'),
      'rear rod': s(324, 146, dim(318, 110, 318, 170)),
    },
  },
};
