import { dim, s } from '../sketches/draw.ts';
import { LEVER, PEDAL } from '../sketches/shapes.ts';
import type { Bench } from './bench.ts';

/** Pedal, parking brake and linkage. */
export const CONTROL_BENCHES = {
  pedal_setting: {
    drawing: 'sketch',
    sketch: {
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
  },
  pedal_sink: {
    drawing: 'sketch',
    sketch: {
      part: PEDAL,
      thin: ['M230 160L268 186'],
      height: 220,
      spots: { hard: s(294, 132, dim(280, 110, 280, 150)), light: s(294, 172, 'M262 158L288 166') },
    },
  },
  pedal_pump_up: {
    drawing: 'sketch',
    sketch: {
      part: PEDAL,
      thin: ['M236 132L262 160'],
      height: 220,
      spots: {
        first: s(300, 168, `M262 152H288${dim(282, 156, 282, 186)}`),
        second: s(300, 112, `M250 118H292${dim(292, 118, 292, 186)}`),
      },
    },
  },
  pedal_travel: {
    drawing: 'sketch',
    sketch: {
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
  },
  parking_travel: {
    drawing: 'sketch',
    sketch: {
      part: LEVER,
      thin: ['M94 152L220 190', 'M138 190A50 50 0 0 0 128 116'],
      height: 200,
      spots: { clicks: s(212, 152, 'M180 180C200 164 206 140 204 118l-6 7m6-7l6 6') },
    },
  },
  parking_cable: {
    drawing: 'sketch',
    sketch: {
      part: [
        'M60 60H200V76H60ZM60 124H200V140H60Z',
        'M200 52H224V84H200ZM200 116H224V148H200Z',
        'M224 62H300V74H224ZM224 126H300V138H224Z',
      ],
      thin: ['M232 62V74M240 62V74M248 62V74M256 62V74M232 126V138M240 126V138M248 126V138M256 126V138'],
      height: 190,
      spots: {
        'threads left': s(314, 56, `M224 50V40M300 58V40${dim(224, 44, 300, 44)}`),
        'threads right': s(314, 172, `M224 152V164M300 142V164${dim(224, 158, 300, 158)}`),
      },
    },
  },
  linkage_play: {
    drawing: 'sketch',
    sketch: {
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
  },
  lift_off: {
    drawing: 'sketch',
    sketch: {
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
  },
  expander_play: {
    drawing: 'sketch',
    sketch: {
      part: ['M130 60H250V84H130ZM130 116H250V140H130Z', 'M90 88H330V112H90Z', 'M330 76h30v48h-30z'],
      thin: ['M70 100H390'],
      height: 200,
      spots: { spindle: s(292, 164, `M290 116V150${dim(290, 70, 290, 130)}`) },
    },
  },
  cam_angle: {
    drawing: 'sketch',
    sketch: {
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
  },
  equaliser_level: {
    drawing: 'sketch',
    sketch: {
      part: ['M90 60H330V76H90Z', 'M206 68V30M98 76V140M322 76V140'],
      thin: ['M60 170H360'],
      height: 200,
      spots: { left: s(70, 128, dim(80, 78, 80, 170), 'end'), right: s(352, 128, dim(342, 78, 342, 170)) },
    },
  },
  balance_bar_setting: {
    drawing: 'sketch',
    sketch: {
      part: ['M70 92H350V108H70Z', 'M196 84H224V116H196Z', 'M110 108V170H122V108M298 108V170H310V108'],
      thin: ['M210 60V180M190 60V80'],
      height: 200,
      spots: {
        offset: s(200, 54, dim(190, 64, 210, 64), 'middle'),
        'front rod': s(96, 146, dim(102, 110, 102, 170), 'end'),
        'rear rod': s(324, 146, dim(318, 110, 318, 170)),
      },
    },
  },
} as const satisfies Readonly<Record<string, Bench>>;
