import { RENEWS } from '../repairOptions.ts';
import { card, piece, step, type WorkCard } from './types.ts';

const BORE = ['reseal', 'hone', 'sleeve'] as const;

/** Cards of cylinders, lines, servo and hub. Source: handbook 55, cards 10, 11, 13 to 16, 20, 21; 58, D05, D06, A39, A41. */
export const HYDRAULIC_CARDS: readonly WorkCard[] = [
  card(
    'master_cylinder',
    'Master cylinder',
    ['master_cylinder', 'clutch_master'],
    [...BORE, ...RENEWS],
    [
      step('strip', 6, 'Draw the fluid out of the reservoir, crack the unions while it is bolted, cap the ports.'),
      step('strip', 8, 'Stop screw before the circlip; lay the pistons out in their order, with a picture.', { of: BORE }),
      step('clean', 12, 'Clean bore and ports; open the compensating port with a fine wire; residual valve and its seat.', { of: BORE }),
      step('finish', 20, 'Hone no further than its figure, wash the grit out, wipe until the cloth stays white.', { of: ['hone'] }),
      step('finish', 12, 'Pack it for the sleeve: switches, valve and pistons off, list in the box.', { of: ['sleeve'] }),
      step('gauge', 6, 'Gauge bore and pistons.', { of: BORE }),
      step('assemble', 14, 'New seals the right way round, wetted; stop screw in with the piston pressed.', {
        of: BORE,
        by: {
          rule: 'seal_wetting',
          words: {
            fluid: 'New seals the right way round, wetted with clean brake fluid alone; stop screw in with the piston pressed.',
            grease: 'New seals the right way round, in the kit’s assembly grease; stop screw in with the piston pressed.',
          },
        },
      }),
      step(
        'assemble',
        15,
        'Bleed it on the bench: ten slow strokes until no bubble comes from a returning tube; stroke short and hard with outlets closed.',
        { only: { rule: 'master_bleeding', schools: ['bench'], picked: true } },
      ),
      step('fit', 8, 'Compare outlets, plugs, thread and flare with the old one; move the switches over.', { of: RENEWS }),
      step('fit', 12, 'Bolt it up, start the unions by hand, set the push-rod’s play.', { takes: [piece('Copper washer', 2)] }),
      step(
        'after',
        15,
        'In its place: ten slow strokes until no bubble comes from a returning tube; stroke short and hard with outlets closed.',
        {
          only: { rule: 'master_bleeding', schools: ['place'], picked: false },
        },
      ),
    ],
  ),
  card(
    'clutch_slave',
    'Clutch slave',
    ['clutch_slave'],
    [...BORE, ...RENEWS],
    [
      step('strip', 8, 'Bite point noted; union loosened, slave off, its piston held.'),
      step('clean', 8, 'Bring the piston out, clean the bore.', { of: BORE }),
      step('finish', 12, 'Hone no further than its figure, wash the grit out.', { of: ['hone'] }),
      step('finish', 8, 'Pack it for the sleeve.', { of: ['sleeve'] }),
      step('assemble', 8, 'New seal wetted, boot and rod.', { of: BORE }),
      step('fit', 12, 'Union started by hand, then the bolts; rod and boot in their place.'),
    ],
  ),
  card(
    'hose',
    'Hose',
    ['hose'],
    [...RENEWS],
    [
      step('strip', 5, 'Line union first, the hose’s hexagon held; bracket nut, then the hose out of the unit.'),
      step('fit', 8, 'Fixed end with new washer and figure, bracket without twist, clip, line union last.', {
        takes: [piece('Copper washer')],
      }),
      step('after', 4, 'Look at the stripe after the last tightening: lock, droop and bump.'),
    ],
  ),
  card(
    'line',
    'Line',
    ['line'],
    ['replace', 'used'],
    [
      step('strip', 10, 'Measure and draw the old line before it is bent to get it out.'),
      step('assemble', 20, 'Cut, unions on before the second flare, flare, bend, blow clean.', { takes: [piece('Tube union', 2)] }),
      step('fit', 12, 'Start both ends by hand, clip it, nothing chafes.'),
    ],
  ),
  card(
    'valve',
    'Valve',
    ['valve'],
    ['reseal', ...RENEWS],
    [
      step('strip', 8, 'Name flare or taper of each port; lines off and capped.'),
      step('clean', 14, 'Open it, clean it, new seals.', { of: ['reseal'] }),
      step('fit', 12, 'Lines started by hand, sealant only on taper; shuttle re-centred.'),
    ],
  ),
  card(
    'switch',
    'Stop-lamp switch',
    ['switch'],
    [...RENEWS, 'take_off'],
    [step('fit', 10, 'Old one out with the port up, new one in with its seal; lamp tried.')],
  ),
  card(
    'servo',
    'Servo',
    ['servo'],
    [...RENEWS, 'take_off'],
    [
      step('strip', 20, 'Master off it, vacuum hose and rod off; pedal locked while it is away.'),
      step('gauge', 10, 'Rod’s length and play measured before halves part or it is packed.'),
      step('fit', 30, 'Bolt it in, set the rod, check valve and hose, held vacuum by a hand pump.', { of: RENEWS }),
    ],
  ),
  card(
    'hub',
    'Hub and bearing',
    ['hub'],
    [...RENEWS],
    [
      step('before lifting', 3, 'Loosen the nut on the ground; hand of thread first.'),
      step('strip', 15, 'Hub off, seal and races out as sets.'),
      step('clean', 8, 'Wash, look at races and spindle.'),
      step('assemble', 18, 'Bearing packed through, the hollow of the hub a third full, cap empty; seal last.', {
        takes: [piece('Hub seal')],
      }),
      step('fit', 12, 'Set the end float while turning; keyed washer, new split pin.', { takes: [piece('Split pin')] }),
    ],
  ),
  card(
    'balance_bar',
    'Balance bar',
    ['balance_bar'],
    [...RENEWS],
    [
      step('strip', 15, 'Offset, rods’ lengths and threads recorded; bar out.'),
      step('fit', 25, 'Bar free at full tilt, adjuster cable both ways, offset as it was.'),
    ],
  ),
];
