import { RENEWS } from '../repairOptions.ts';
import { after, card, lubricant, piece, record, step, type WorkCard } from './types.ts';

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
      step('emptied', 'strip', 4, 'Empty it and wipe it.', 'What lies at its bottom goes through the ports with the first filling.', {
        ready: 'Paint below covered',
      }),
      step(
        'off',
        'strip',
        4,
        'Off with its washers, feed hoses off and their ends looked into.',
        'Sludge sits in the nipple, not in the bowl.',
        { enters: 'removed', needs: [after('emptied')] },
      ),
      step(
        'washed',
        'clean',
        6,
        'Cap, vent, float and seal washed in clean fluid; nothing that sheds fibres.',
        'A vent that is shut sucks air past the cups; a fibre shuts the port.',
      ),
      step(
        'on',
        'fit',
        8,
        'New grommets pressed in flush, feed hoses on with their clips, none kinked.',
        'A grommet that stands up weeps at the first bump.',
        {
          ...{ takes: [piece('Reservoir grommet', 2)], enters: 'fitted', needs: [after('washed'), record('arrived')] },
        },
      ),
      step(
        'filled',
        'after',
        3,
        'Fill it, look under it and along the feed hoses; try the level lamp by its float.',
        'It weeps at once or in the night.',
        { kind: 'look', needs: [after('on')] },
      ),
    ],
  ),
  card(
    'bleeder',
    'Bleeder',
    ['bleeder'],
    [...RENEWS],
    [
      step('off', 'strip', 6, 'Dust cap off, soaked before; out by its ladder, the unit held.', 'Broken off, it costs the unit.', {
        enters: 'removed',
        needs: [record('made_safe')],
      }),
      step(
        'seat',
        'clean',
        4,
        'Look into its seat under a lamp; thread run clean by hand, blown through.',
        'A ring in the seat weeps however hard it is drawn up.',
        { kind: 'look', at: 'vehicle' },
      ),
      step('on', 'fit', 4, 'New one in by hand, to its figure, cap on.', 'Its thread is the weakest of the brake.', {
        takes: [piece('Bleeder cap')],
        enters: 'fitted',
        needs: [after('seat'), record('arrived')],
      }),
    ],
  ),
  card(
    'union',
    'Union or splitter',
    ['union'],
    [...RENEWS],
    [
      step(
        'off',
        'strip',
        10,
        'Name flare or taper of each port; lines off by the spanner made for it, capped at once.',
        'A taper sealed like a flare weeps for good.',
        { enters: 'removed', needs: [record('made_safe')] },
      ),
      step(
        'on',
        'fit',
        12,
        'Lines started by hand, all of them, before any is tightened; sealant only on taper.',
        'The last one cross-threads when the first has pulled them tight.',
        { enters: 'fitted', needs: [record('arrived')] },
      ),
    ],
  ),
  card(
    'linkage',
    'Cable, rod and parking linkage',
    ['cable', 'rod', 'equaliser', 'cross_shaft', 'parking_lever'],
    [...RENEWS],
    [
      step(
        'noted',
        'strip',
        6,
        'Threads that show at each end, clevis holes and the equaliser’s level recorded before anything is slackened.',
        'Unequal threads pull one wheel, and nobody remembers which were equal.',
        { kind: 'figure' },
      ),
      step(
        'off',
        'strip',
        10,
        'Slack at the adjuster, pins out, clips and guides in their order.',
        'A guide left out lets the cable saw.',
        { enters: 'removed', needs: [after('noted')] },
      ),
      step(
        'laid',
        'fit',
        14,
        'Laid without a kink clear of exhaust and wheel, guides lubricated; new split pins, ends opened.',
        'A cable that bends sharply sticks in the first frost.',
        {
          ...{ takes: [piece('Split pin', 2)], enters: 'fitted', needs: [record('arrived')] },
          lubricant: lubricant('plate_grease', 'in the guides', 'where it drips on a brake'),
        },
      ),
      step('comes_back', 'after', 1, 'All rods off: the pedal or lever comes back by itself.', 'One that hangs is blamed on the brakes.', {
        kind: 'look',
      }),
      step(
        'shaft_stop',
        'after',
        1,
        'Shoes set first, then the cross shaft on its stop.',
        'Wear taken up at the cable leaves the shoes half on.',
        { needs: [after('laid'), record('shoes_set')] },
      ),
      step(
        'to_length',
        'after',
        4,
        'Rods or cables to length without load, equal thread at both ends, locked, clevis pins split.',
        'Set under load they are short, and the wheels drag when warm.',
        { kind: 'figure', needs: [after('shaft_stop')] },
      ),
      step('equaliser', 'after', 1, 'Equaliser level; lever at or under 90° at contact.', 'Off level one wheel does the work.', {
        kind: 'look',
        needs: [after('to_length')],
      }),
      step('set', 'after', 3, 'Wheels start alike at half travel.', 'What starts late never holds.', {
        kind: 'figure',
        needs: [after('equaliser')],
      }),
      step(
        'released',
        'after',
        4,
        'Nothing comes on at full lock, bump or droop; released, both wheels turn.',
        'A cable that is short brakes by itself in a bend.',
        { kind: 'look', needs: [after('set')] },
      ),
    ],
  ),
  card(
    'pedal_box',
    'Pedal or lever',
    ['pedal', 'hand_lever', 'foot_lever'],
    [...RENEWS],
    [
      step(
        'noted',
        'strip',
        8,
        'Height, free play, rod length and clevis hole recorded; return spring’s place noted.',
        'Another hole is another brake.',
        { kind: 'figure' },
      ),
      step('off', 'strip', 8, 'Pin and spring out; bushes looked at.', 'A worn bush is lost travel at the foot.', {
        enters: 'removed',
        needs: [after('noted')],
      }),
      step(
        'on',
        'fit',
        12,
        'Pivot and bushes greased, pin with a new split pin, spring in its holes.',
        'A pedal that does not come back keeps the port shut.',
        {
          ...{
            takes: [piece('Split pin')],
            enters: 'fitted',
            needs: [record('arrived')],
            lubricant: lubricant('plate_grease', 'on pivot and bushes', 'on the lamp switch'),
          },
        },
      ),
      step(
        'set',
        'after',
        5,
        'Free play and height as they were, or as the book has them; lamp switch meets it; it comes back by itself.',
        'Without play the brakes come on when warm.',
        { kind: 'figure', needs: [after('on')] },
      ),
    ],
  ),
  card(
    'drawbar',
    'Overrun of a trailer',
    ['hand_lever'],
    [...RENEWS],
    [
      step(
        'chocked',
        'before lifting',
        5,
        'Uncoupled, chocked at both wheels, lever off: its control is the drawbar, and nothing else locks it.',
        'A trailer that rolls takes whoever lies under it.',
        { hazard: 'Nobody under it before both wheels are chocked.' },
      ),
      step(
        'shoes_first',
        'before lifting',
        12,
        'Shoes set first at each wheel, rods slack: lining wear is never taken up at the rod.',
        'Taken up at the rod, the drawbar reaches its stop before the shoes reach the drum.',
        { needs: [after('chocked')], kind: 'figure' },
      ),
      step(
        'off',
        'strip',
        10,
        'Breakaway cable, damper and rod off; drawbar out of its guides, bushes and gaiter looked at.',
        'A torn gaiter grinds the guides.',
        { enters: 'removed', needs: [after('chocked')] },
      ),
      step(
        'play',
        'gauge',
        6,
        'Play of the drawbar in its guides, up and sideways; damper pushed in and let out: slow and without a dead stretch.',
        'A damper with a dead stretch brakes in jerks.',
        { kind: 'figure' },
      ),
      step(
        'guides',
        'assemble',
        10,
        'Guides greased through their nipples, gaiter whole, drawbar in and running its whole way by hand.',
        'What sticks halfway brakes halfway.',
        { enters: 'fitted', needs: [record('arrived')], lubricant: lubricant('bearing_grease', 'through the nipples of the guides') },
      ),
      step(
        'rods',
        'fit',
        10,
        'Drawbar out to its stop, rods then to length without load, locked, clevis pins split.',
        'Under load they are set short, and the trailer drags.',
        { takes: [piece('Split pin', 2)], needs: [after('guides'), after('shoes_first')], kind: 'figure' },
      ),
      step(
        'reverse',
        'after',
        6,
        'Reverse release tried: pushed back, the wheels roll after their short bite; forwards they brake again.',
        'Stuck in release it does not brake at all.',
        { kind: 'look', needs: [after('rods')] },
      ),
      step(
        'breakaway',
        'after',
        5,
        'Breakaway cable at its length and clear of the coupling, pulled: it puts the lever on; the lever holds both ways.',
        'It is tried once here or once on the road.',
        { kind: 'look', second: true, needs: [after('rods')] },
      ),
    ],
    ['drawbar'],
  ),
];

/** A wheel off and on, once however many things are done behind it. Source: handbook 55, card 29; 58, A05. */
export const WHEEL_STEPS = [
  step(
    'cracked',
    'before lifting',
    2,
    'Hand of thread first; fasteners cracked loose on the ground.',
    'On stands the pull brings the vehicle down.',
  ),
  step(
    'off',
    'strip',
    3,
    'Lifted, stands under it, wheel off and marked to its studs.',
    'Balanced on the vehicle, it goes back where it was.',
  ),
  step(
    'on',
    'fit',
    4,
    'Faces clean and dry, fasteners alike, run in by hand, drawn up in their order.',
    'Grease or paint between the faces creeps, and the nuts come loose.',
  ),
  step(
    'drawn',
    'after',
    3,
    'On the ground by hand to the figure, in two passes; again after 50 to 100 km.',
    'Drawn up in the air it turns against your back.',
    { kind: 'torque' },
  ),
] as const;

/** Fluid of a circuit, once however many units of it were opened. Source: handbook 55, card 28; 60, Bleeding. */
export const CIRCUIT_STEPS = [
  step(
    'reservoir',
    'clean',
    4,
    'Reservoir emptied and wiped, filled fresh; vessel, hose and helper ready, paint covered.',
    'Old fluid drawn through new is old fluid.',
  ),
  step(
    'held',
    'after',
    3,
    'Level to its mark, cap and vent clean; pedal held hard, every union looked at.',
    'A weep shows under pressure, and only then.',
  ),
  step('waste', 'after', 3, 'Fluid that came out is put away as waste, spills rinsed with water.', 'It lifts paint in an hour.'),
] as const;
/** Each bleeder of it. */
export const BLEEDER_STEPS = [
  step(
    'drawn',
    'after',
    8,
    'Spanner on the closing side; drawn until clear and free of air, closed while it flows, felt, wiped dry, capped.',
    'Closed after the flow has stopped it takes one bubble back.',
  ),
] as const;
