import { RENEWS } from '../repairOptions.ts';
import { card, piece, step, type WorkCard } from './types.ts';

/**
 * Cards of what works a brake without fluid, of reservoirs and of small fasteners. Source: handbook 55, cards 12, 17, 19, 21,
 * 27, 30 and 32; 58, D23, D32, A17, A50.
 */
export const LINKAGE_CARDS: readonly WorkCard[] = [
  card(
    'reservoir',
    'Reservoir and feed hoses',
    ['reservoir'],
    [...RENEWS],
    [
      step('strip', 8, 'Empty it and wipe it; off with its washers, feed hoses off and their ends looked into.'),
      step('clean', 6, 'Cap, vent, float and seal washed in clean fluid; nothing that sheds fibres.'),
      step('fit', 8, 'New grommets pressed in flush, feed hoses on with their clips, none kinked.', {
        takes: [piece('Reservoir grommet', 2)],
      }),
      step('after', 3, 'Fill it, look under it and along the feed hoses; try the level lamp by its float.'),
    ],
  ),
  card(
    'bleeder',
    'Bleeder',
    ['bleeder'],
    [...RENEWS],
    [
      step('strip', 6, 'Dust cap off, soaked before; out by its ladder, the unit held.'),
      step('clean', 4, 'Look into its seat under a lamp; thread run clean by hand, blown through.'),
      step('fit', 4, 'New one in by hand, to its figure, cap on.', { takes: [piece('Bleeder cap')] }),
    ],
  ),
  card(
    'union',
    'Union or splitter',
    ['union'],
    [...RENEWS],
    [
      step('strip', 10, 'Name flare or taper of each port; lines off by the spanner made for it, capped at once.'),
      step('fit', 12, 'Lines started by hand, all of them, before any is tightened; sealant only on taper.'),
    ],
  ),
  card(
    'linkage',
    'Cable, rod and parking linkage',
    ['cable', 'rod', 'equaliser', 'cross_shaft', 'parking_lever'],
    [...RENEWS],
    [
      step('strip', 6, 'Threads that show at each end, clevis holes and the equaliser’s level recorded before anything is slackened.'),
      step('strip', 10, 'Slack at the adjuster, pins out, clips and guides in their order.'),
      step('fit', 14, 'Laid without a kink clear of exhaust and wheel, guides lubricated; new split pins, ends opened.', {
        takes: [piece('Split pin', 2)],
      }),
      step('after', 10, 'Shoes set first, then the linkage to length without load; equaliser level, wheels start alike at half travel.'),
      step('after', 4, 'Nothing comes on at full lock, bump or droop; released, both wheels turn.'),
    ],
  ),
  card(
    'pedal_box',
    'Pedal or lever',
    ['pedal', 'hand_lever', 'foot_lever'],
    [...RENEWS],
    [
      step('strip', 8, 'Height, free play, rod length and clevis hole recorded; return spring’s place noted.'),
      step('strip', 8, 'Pin and spring out; bushes looked at.'),
      step('fit', 12, 'Pivot and bushes greased, pin with a new split pin, spring in its holes.', { takes: [piece('Split pin')] }),
      step('after', 5, 'Free play and height as they were, or as the book has them; lamp switch meets it; it comes back by itself.'),
    ],
  ),
  card(
    'drawbar',
    'Overrun of a trailer',
    ['hand_lever'],
    [...RENEWS],
    [
      step('before lifting', 5, 'Uncoupled, chocked at both wheels, lever off: its control is the drawbar, and nothing else locks it.'),
      step('before lifting', 12, 'Shoes set first at each wheel, rods slack: lining wear is never taken up at the rod.'),
      step('strip', 10, 'Breakaway cable, damper and rod off; drawbar out of its guides, bushes and gaiter looked at.'),
      step(
        'gauge',
        6,
        'Play of the drawbar in its guides, up and sideways; damper pushed in and let out: slow and without a dead stretch.',
      ),
      step('assemble', 10, 'Guides greased through their nipples, gaiter whole, drawbar in and running its whole way by hand.'),
      step('fit', 10, 'Drawbar out to its stop, rods then to length without load, locked, clevis pins split.', {
        takes: [piece('Split pin', 2)],
      }),
      step('after', 6, 'Reverse release tried: pushed back, the wheels roll after their short bite; forwards they brake again.'),
      step('after', 5, 'Breakaway cable at its length and clear of the coupling, pulled: it puts the lever on; the lever holds both ways.'),
    ],
    ['drawbar'],
  ),
];

/** A wheel off and on, once however many things are done behind it. Source: handbook 55, card 29; 58, A05. */
export const WHEEL_STEPS = [
  step('before lifting', 2, 'Hand of thread first; fasteners cracked loose on the ground.'),
  step('strip', 3, 'Lifted, stands under it, wheel off and marked to its studs.'),
  step('fit', 4, 'Faces clean and dry, fasteners alike, run in by hand, drawn up in their order.'),
  step('after', 3, 'On the ground by hand to the figure, in two passes; again after 50 to 100 km.'),
] as const;

/** Fluid of a circuit, once however many units of it were opened. Source: handbook 55, card 28; 60, Bleeding. */
export const CIRCUIT_STEPS = [
  step('clean', 4, 'Reservoir emptied and wiped, filled fresh; vessel, hose and helper ready, paint covered.'),
  step('after', 3, 'Level to its mark, cap and vent clean; pedal held hard, every union looked at.'),
  step('after', 3, 'Fluid that came out is put away as waste, spills rinsed with water.'),
] as const;
/** Each bleeder of it. */
export const BLEEDER_STEPS = [
  step('after', 8, 'Spanner on the closing side; drawn until clear and free of air, closed while it flows, felt, wiped dry, capped.'),
] as const;
