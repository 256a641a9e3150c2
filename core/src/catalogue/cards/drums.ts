import { RENEWS } from '../repairOptions.ts';
import { card, piece, step, type WorkCard } from './types.ts';

/** Cards of drum and band brakes. Source: handbook 55, cards 5 to 8 and 31; 58, D07, D09, A15, A45. */
export const DRUM_CARDS: readonly WorkCard[] = [
  card(
    'wheel_cylinder',
    'Wheel cylinder',
    ['wheel_cylinder'],
    ['reseal', 'hone', 'sleeve', ...RENEWS],
    [
      step('strip', 4, 'Spread the shoes off, hold the others, lock the pedal.'),
      step('strip', 6, 'Undo the union before the mounting bolts, cap the line.'),
      step('clean', 8, 'Bring both pistons out, wash, blow through.', { of: ['reseal', 'hone', 'sleeve'] }),
      step('finish', 15, 'Hone no further than its figure, wash the grit out, wipe until the cloth stays white.', { of: ['hone'] }),
      step('finish', 10, 'Pack it for the sleeve: tag, plugs and links off, list in the box.', { of: ['sleeve'] }),
      step('gauge', 4, 'Gauge bore and pistons; look at the bore under a lamp.', { of: ['reseal', 'hone', 'sleeve'] }),
      step('assemble', 8, 'Wet the cups, lips towards the spring; links and dust caps on; a clip holds it.', {
        of: ['reseal', 'hone', 'sleeve'],
        by: {
          rule: 'seal_wetting',
          words: {
            fluid: 'Wet the cups with clean brake fluid alone, lips towards the spring; links and dust caps on; a clip holds it.',
            grease: 'Coat the cups with the kit’s assembly grease, lips towards the spring; links and dust caps on; a clip holds it.',
          },
        },
      }),
      step('fit', 5, 'Compare bore, ports and hand with the old one.', { of: RENEWS }),
      step('fit', 8, 'Start the union by hand, then the bolts; a sliding one slides in the plate by hand.'),
      step('fit', 2, 'Bleeder moves, dust cap on.'),
    ],
  ),
  card(
    'shoes',
    'Drum unit',
    ['shoes', 'parking_shoes'],
    ['reline', ...RENEWS],
    [
      step('strip', 6, 'Photograph it whole; take everything out as one where it goes.'),
      step('clean', 8, 'Wash plate and contact places wet; clean the adjuster, anti-seize on its thread.'),
      step('finish', 12, 'Strip the old lining, clean the platform to metal, true the shoe.', { of: ['reline'] }),
      step('finish', 15, 'Rivet or bond the lining by its slip; arc it to its drum.', { of: ['reline'], takes: [piece('Rivets', 8)] }),
      step('assemble', 6, 'Move lever and cross link over; grease only where shoe meets plate.', { of: RENEWS }),
      step('assemble', 13, 'Adjusters all the way in, short spring by hand before the long one, parking cable last.'),
      step('assemble', 1, 'New springs, steady pins and clips.', {
        takes: [piece('Spring and clip set')],
        only: { rule: 'hardware', schools: ['always'], picked: false },
      }),
      step('assemble', 1, 'Springs measured and looked at one by one; only what is worn is new.', {
        only: { rule: 'hardware', schools: ['worn'], picked: true },
      }),
      step('fit', 8, 'Centre the shoes; drum on; set to light drag, both sides counted from contact alike.'),
      step('after', 3, 'Pull the lever once more before the drum goes on for good.'),
    ],
  ),
  card(
    'drum',
    'Drum',
    ['drum'],
    ['machine', ...RENEWS],
    [
      step('strip', 6, 'Adjuster back, cable slack, screws soaked; off by its ladder.'),
      step('finish', 25, 'Turn it with its hub where they belong together, no more than cleans it up.', { of: ['machine'] }),
      step('gauge', 4, 'Gauge diameter and out-of-round where shoes run.'),
      step('clean', 3, 'Wash the friction face.', {}),
      step('fit', 5, 'Hub face clean; drum on; it fits without touching.'),
    ],
  ),
  card(
    'band',
    'Band',
    ['band'],
    ['reline', ...RENEWS],
    [
      step('strip', 8, 'Count turns of anchor and both adjusters from contact, take the band off.'),
      step('finish', 30, 'Strip the old lining, true the band, rivet the new one from the middle out.', {
        of: ['reline'],
        takes: [piece('Rivets', 12)],
      }),
      step('assemble', 10, 'Fit the band; ears, pins and springs by the picture.'),
      step('fit', 25, 'Set anchor, lower and upper half to their clearance, even all round.'),
    ],
  ),
  card(
    'band_drum',
    'Drum in a band',
    ['band_drum'],
    ['machine', ...RENEWS],
    [
      step('strip', 8, 'Band off; joint or shaft marked before it parts.'),
      step('finish', 25, 'Turn the outside, no more than cleans it up.', { of: ['machine'] }),
      step('fit', 12, 'Joint on by its marks, new locking pieces.', { takes: [piece('Locking piece')] }),
    ],
  ),
  card(
    'expander',
    'Wedge, tracks and adjuster',
    ['expander'],
    ['use_again', ...RENEWS],
    [
      step('strip', 6, 'Old adjuster in until its cap comes out; positions of pins and links noted.', { of: RENEWS }),
      step('clean', 8, 'Tap the thread clean, dress the tracks flat.', { of: RENEWS }),
      step('fit', 12, 'Wedge upright, narrow side out; plate lifted while its nut is tightened; wedge free.', { of: RENEWS }),
    ],
    ['wedge'],
  ),
  card(
    'cam',
    'Drum on cable or rod',
    ['expander'],
    ['use_again', ...RENEWS],
    [
      step('strip', 6, 'Marks of the cam arm on its splines, cable play and wear pointer noted; shoes off with their springs.', {
        of: RENEWS,
      }),
      step('strip', 6, 'Arm off, spindle out of the plate; its thrust washers and seals in their order.', { of: RENEWS }),
      step('clean', 8, 'Spindle, bush and cam faces washed and dried; the pivot of the shoes likewise.', { of: RENEWS }),
      step('gauge', 5, 'Play of the spindle in its bush felt and gauged, height of the cam; bush renewed where the drum drags for it.', {
        of: RENEWS,
      }),
      step('assemble', 8, 'A thin film on spindle, cam faces and pivot, none where it can run to the linings; arm on by its marks.', {
        of: RENEWS,
      }),
      step('fit', 6, 'Centre the plate: lever pulled and held while the spindle nut is tightened.', { of: RENEWS }),
      step('fit', 6, 'Two leading shoes: the link rod set until both touch together.', { of: RENEWS }),
      step('fit', 5, 'Torque arm fitted at both ends, its nut to the figure, new split pin opened: loose, the wheel locks.', {
        of: RENEWS,
        takes: [piece('Split pin')],
      }),
      step(
        'after',
        5,
        'Arm at or under 90° to cable or rod at full pull; play left at full lock both ways; pointer within its wear mark.',
        {
          of: RENEWS,
        },
      ),
    ],
    ['cam'],
  ),
];
