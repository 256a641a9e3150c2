import { RENEWS } from '../repairOptions.ts';
import { card, type CardStep, piece, step, type WorkCard } from './types.ts';

const washers = piece('Copper washer', 2);
const SEALS = { of: ['reseal'] as const };

/** Words of a step that wets a seal, by school. */
const wetted = (before: string, after: string): NonNullable<CardStep['by']> => ({
  rule: 'seal_wetting',
  words: { fluid: `${before} clean brake fluid alone; ${after}.`, grease: `${before} the kit’s assembly grease; ${after}.` },
});

/** Cards of disc brakes. Source: handbook 55, cards 1 to 4, 9, 18; 58, A16, A25, D03. */
export const DISC_CARDS: readonly WorkCard[] = [
  card(
    'caliper_floating',
    'Floating caliper',
    ['caliper'],
    ['reseal', ...RENEWS],
    [
      step('before lifting', 2, 'Crack the wheel bolts loose while the vehicle stands on its wheels.'),
      step('strip', 5, 'Take the pads out; push the pistons back first where the rotor has a lip.'),
      step('strip', 6, 'Crack the hose union while the caliper is still bolted, cap the line, hang the caliper up.'),
      step('strip', 10, 'Bring the pistons out by the ladder, those of a pair together, the freed one held.', SEALS),
      step('clean', 6, 'Clean the outside before it is opened; blast only with old seal and piston in, or bores plugged.', SEALS),
      step('clean', 10, 'Clean the groove of the seal to metal and picture it; no wire brush on piston or bore.', SEALS),
      step('clean', 6, 'Clean the groove of the boot to metal.', SEALS),
      step('gauge', 4, 'Wipe bores and pistons with a fresh cloth, and gauge what is owed.', SEALS),
      step(
        'assemble',
        8,
        'Lay the square seal flat and untwisted, wetted with clean brake fluid or the kit’s grease; push the piston in straight, by hand.',
        { ...SEALS, by: wetted('Lay the square seal flat and untwisted, wetted with', 'push the piston in straight, by hand') },
      ),
      step('assemble', 4, 'Seat the boot in both grooves by its kind.', SEALS),
      step('assemble', 6, 'Clean the pins and bushes, rubber-safe pin grease in the boot, never on a lining; move each by hand.'),
      step('fit', 6, 'Compare ports, hand and bleeder with the old unit, move plug and bleeder over.', { of: RENEWS }),
      step('fit', 8, 'Bolt the bracket up to its figure, new bolts where they are one-use.'),
      step('fit', 6, 'Join the hose with two new washers, bleeder at the top.', { takes: [washers] }),
      step('after', 3, 'Move every pin once more and wipe surplus grease off.'),
    ],
    ['floating', 'cable'],
  ),
  card(
    'caliper_parking',
    'Caliper with parking lever',
    ['caliper'],
    ['reseal', ...RENEWS],
    [
      step('before lifting', 2, 'Crack the wheel bolts loose; slacken the parking cable in the cabin.'),
      step('strip', 5, 'Cable off the lever; take the pads out.'),
      step('strip', 6, 'Crack the hose union while the caliper is still bolted, cap the line, hang the caliper up.'),
      step('strip', 14, 'Wind the piston out by its hand of thread, pegs or slot.', SEALS),
      step('clean', 6, 'Clean the outside before it is opened; lever shaft and its seal.', SEALS),
      step('clean', 10, 'Clean the groove of seal and boot to metal and picture them.', SEALS),
      step('gauge', 4, 'Wipe bore and piston with a fresh cloth, and gauge what is owed.', SEALS),
      step('assemble', 10, 'Seal flat and untwisted, wetted; wind the piston back, slot to its peg.', {
        ...SEALS,
        by: wetted('Seal flat and untwisted, wetted with', 'wind the piston back, slot to its peg'),
      }),
      step('assemble', 6, 'Clean the pins and bushes, rubber-safe pin grease in the boot; move each by hand.'),
      step('fit', 6, 'Compare ports, hand, bleeder and lever with the old unit.', { of: RENEWS }),
      step('fit', 8, 'Bolt the bracket up to its figure; lever against its stop, cable on, slack.'),
      step('fit', 6, 'Join the hose with two new washers, bleeder at the top.', { takes: [washers] }),
      step('after', 5, 'Press the pedal several times before the lever is judged; then set the cable.'),
    ],
    ['floating_parking'],
  ),
  card(
    'caliper_fixed',
    'Fixed caliper',
    ['caliper'],
    ['reseal', ...RENEWS],
    [
      step('before lifting', 2, 'Crack the wheel bolts loose while the vehicle stands on its wheels.'),
      step('strip', 5, 'Take the pads out; push the pistons back first where the rotor has a lip.'),
      step('strip', 6, 'Crack the union while the caliper is still bolted, cap the line, take the caliper off.'),
      step('strip', 16, 'Mark which way round each piston stands; bring them out one by one, the others held.', SEALS),
      step('clean', 6, 'Clean the outside before it is opened; halves stay together without joint seals, bolts and torque.', SEALS),
      step('clean', 14, 'Clean the groove of every seal to metal and picture it.', SEALS),
      step('clean', 8, 'Clean the groove of every boot to metal; bridge pipe new or blown through.', SEALS),
      step('gauge', 4, 'Wipe bores and pistons with a fresh cloth, and gauge what is owed.', SEALS),
      step('assemble', 12, 'Lay each square seal flat and untwisted, wetted; push each piston in straight, by hand.', {
        ...SEALS,
        by: wetted('Lay each square seal flat and untwisted, wetted with', 'push each piston in straight, by hand'),
      }),
      step('assemble', 6, 'Seat every boot by its kind.', SEALS),
      step('fit', 6, 'Compare ports, hand and bleeder with the old unit, move plug and bleeder over.', { of: RENEWS }),
      step('fit', 10, 'Bolt it up to its figure, union started by hand, bleeder at the top.', { takes: [washers] }),
      step('after', 3, 'Hold a straight edge to both pads: they stand parallel to the rotor.'),
    ],
    ['fixed'],
  ),
  card(
    'piston',
    'Piston of a caliper',
    ['piston'],
    [...RENEWS],
    [
      step('clean', 4, 'Clean the groove for the new piston to metal.'),
      step('gauge', 6, 'Gauge the new piston and its bore: the clearance decides.'),
      step('assemble', 8, 'Push the new piston in straight, by hand, its boot on it by its kind.'),
    ],
  ),
  card(
    'rotor',
    'Rotor',
    ['rotor'],
    ['machine', ...RENEWS],
    [
      step('strip', 8, 'Soak the seat and the screws, strike between the studs, turning.'),
      step('clean', 8, 'Clean the hub face to metal across the whole seat; studs out if rust is heavy.'),
      step('finish', 25, 'Turn both faces in one setting, no more than cleans them up.', { of: ['machine'] }),
      step('clean', 3, 'Wash the coating off the friction faces.', { of: RENEWS }),
      step('gauge', 10, 'Hold the rotor by its nuts and sweep the runout; turn it on its studs to the best hole.'),
      step('fit', 4, 'A thin film on the spigot only; the faces between hub, rotor and wheel clean and dry.'),
      step('fit', 3, 'Screw the retaining screws in, and mark the hole.'),
    ],
  ),
  card(
    'pads',
    'Pads',
    ['pads'],
    [...RENEWS],
    [
      step('strip', 4, 'Note which way pins and clips go; take the pads out.'),
      step('clean', 5, 'Clean abutments and pins to metal.'),
      step('assemble', 6, 'Push the pistons back with a bleeder open, level watched; wear indicator to its side.'),
      step('fit', 3, 'Pads in, faces dry; nothing on a lining.', {
        by: {
          rule: 'pad_backs',
          words: {
            grease: 'Pads in, rubber-safe grease thin on their backs and abutments, faces dry; nothing on a lining.',
            paste: 'Pads in, paste thin on their backs, faces dry; nothing on a lining.',
            nothing: 'Pads in, backs and abutments clean and bare, faces dry.',
          },
        },
      }),
      step('fit', 1, 'New pins, clips and springs.', {
        takes: [piece('Pad hardware set')],
        only: { rule: 'hardware', schools: ['always'], picked: false },
      }),
      step('fit', 1, 'Pins, clips and springs looked at one by one; only what is worn is new.', {
        only: { rule: 'hardware', schools: ['worn'], picked: true },
      }),
      step('after', 3, 'Press the pedal until it is high, level watched, before a wheel turns.'),
    ],
  ),
];
