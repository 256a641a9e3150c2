import type { MeasurementId } from '@dauer/core/catalogue';
import { dim, s, type Sketch } from './draw.ts';

const PEDAL = [
  'M159 34L236 132M228 126l34 22-8 12-34-22zM136 22a14 14 0 1 0 28 0a14 14 0 1 0-28 0M60 186H380',
  'M184 64H110V52H60V76H110V64',
];
const LEVER = ['M90 150L190 96L300 60M82 152a12 12 0 1 0 24 0a12 12 0 1 0-24 0M300 54h56a6 6 0 0 1 0 12h-56z'];
const CALIPER = ['M110 40H300V84H270V70H150V150H270V136H300V176H110Z', 'M150 84h44v52h-44z'];
const PIN = ['M90 62H330V78H90ZM80 54H90V86H80Z', 'M90 132H330V148H90ZM80 124H90V156H80Z'];

/** Pins, cylinders, servo, pedal and linkage in section. */
export const REST_SKETCHES: Readonly<Partial<Record<MeasurementId, Sketch>>> = {
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
    part: [...CALIPER, 'M300 60h26v-14h12', 'M320 28a18 18 0 1 0 36 0a18 18 0 1 0-36 0M338 28L348 20'],
    thin: ['M172 60V160'],
    height: 200,
    spots: { light: s(376, 32, 'M358 28H370'), hard: s(376, 74, 'M346 44L368 66') },
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
  pedal_travel: {
    part: PEDAL,
    thin: ['M230 160L268 186'],
    height: 220,
    spots: {
      light: s(300, 128, 'M250 134L292 126'),
      hard: s(300, 172, 'M262 158L292 166'),
      'pad arm': s(196, 120, dim(150, 34, 228, 140), 'middle'),
      'rod arm': s(96, 104, dim(140, 22, 140, 62), 'middle'),
    },
  },
  parking_travel: {
    part: LEVER,
    thin: ['M94 152L220 190', 'M138 190A50 50 0 0 0 128 116'],
    height: 200,
    spots: { clicks: s(212, 152, 'M180 180C200 164 206 140 204 118l-6 7m6-7l6 6') },
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
  lift_off: {
    part: [...PEDAL, 'M300 40h36v60h-36zM380 40h36v60h-36zM300 120h36v60h-36zM380 120h36v60h-36z'],
    thin: ['M358 30V190M336 70H380M336 150H380'],
    height: 220,
    spots: {
      FL: s(318, 32, 'M318 36V40', 'middle'),
      FR: s(398, 32, 'M398 36V40', 'middle'),
      RL: s(318, 204, 'M318 182V190', 'middle'),
      RR: s(398, 204, 'M398 182V190', 'middle'),
    },
  },
  expander_play: {
    part: ['M130 60H250V84H130ZM130 116H250V140H130Z', 'M90 88H330V112H90Z', 'M330 76h30v48h-30z'],
    thin: ['M70 100H390'],
    height: 200,
    spots: { spindle: s(292, 164, `M290 116V150${dim(290, 70, 290, 130)}`) },
  },
};
