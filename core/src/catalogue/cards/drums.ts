import { RENEWS } from '../repairOptions.ts';
import { WETTED, wetted } from './shared.ts';
import { after, card, type CardStep, lubricant, piece, record, since, step, type WorkCard } from './types.ts';

const BORE = { of: ['reseal', 'hone', 'sleeve'] as const };
const RENEWED = { of: RENEWS };
const PLATE = lubricant('plate_grease', 'only where the shoe meets the plate', 'near a lining');
const drumsOff = 'Wet cleaning only: dust of a lining may hold asbestos.';

/** Springs, pins and clips of a corner, by the house’s rule: all new, or looked at one by one. */
const HARDWARE: readonly CardStep[] = [
  step('hardware_new', 'assemble', 1, 'New springs, steady pins and clips.', 'A spring that was blue once is soft for good.', {
    ...{ takes: [piece('Spring and clip set')], only: { rule: 'hardware', schools: ['always'], picked: false } },
  }),
  step(
    'hardware_looked',
    'assemble',
    1,
    'Springs measured and looked at one by one; only what is worn is new.',
    'Four springs of different strength are never four alike.',
    {
      ...{ kind: 'look', only: { rule: 'hardware', schools: ['worn'], picked: true } },
    },
  ),
];

/** Cards of drum and band brakes. Source: handbook 55, cards 5 to 8 and 31; 58, D07, D09, D13, D17, A15, A45. */
export const DRUM_CARDS: readonly WorkCard[] = [
  card(
    'wheel_cylinder',
    'Wheel cylinder',
    ['wheel_cylinder'],
    ['reseal', 'hone', 'sleeve', ...RENEWS],
    [
      step(
        'barred',
        'strip',
        1,
        'Bar the pedal: a board or bag on it, said on the screen.',
        'With a cylinder open or its shoes off, one press throws the pistons across the shop.',
        {
          ...{ needs: [record('pedal_barred')], kind: 'look' },
        },
      ),
      step(
        'shoes_spread',
        'strip',
        3,
        'Spread the shoes off the cylinder, or take them off; hold the others.',
        'The springs throw what is not held, and the other brake of the axle opens with it.',
        {
          hazard: drumsOff,
        },
      ),
      step(
        'union_first',
        'strip',
        3,
        'Undo the union before the mounting bolts.',
        'A loose cylinder turns with its union, and the line is wrung off.',
        {
          ...{
            enters: 'line_opened',
            needs: [record('made_safe'), record('pedal_barred')],
            ready: 'Spanner made for it, cap, tray; new union where the old one is rounded',
          },
        },
      ),
      step('off', 'strip', 2, 'Take the cylinder off.', 'It is opened where it is clean.', {
        enters: 'removed',
        needs: [after('union_first')],
      }),
      step('capped', 'strip', 1, 'Cap the line at once.', 'The reservoir empties by itself, and dirt goes under the new cup.', {
        ...{ kind: 'look', needs: [after('off'), record('capped')] },
      }),
      step('pistons_out', 'clean', 4, 'Bring both pistons out, bleeder out too.', 'A cup that was left in hides the pit behind it.', {
        ...{ ...BORE, enters: 'opened', needs: [record('off')], hazard: 'Air at the port: block and cloth, face away.' },
      }),
      step(
        'washed',
        'clean',
        4,
        'Wash it and blow every port through.',
        'What stays in a port is carried under the cup by the first stroke.',
        { ...BORE, at: 'washer', needs: [record('opened')] },
      ),
      step(
        'honed',
        'finish',
        15,
        'Hone no further than its figure; wash the grit out, wipe until the cloth stays white.',
        'Beyond its figure the cup no longer seals, and grit wears it in a week.',
        {
          ...{ of: ['hone'] as const, at: 'bench', enters: 'honed', needs: [record('opened')] },
        },
      ),
      step(
        'packed',
        'finish',
        10,
        'Pack it for the sleeve: tag, plugs and links off, list in the box.',
        'What goes along unlisted does not come back.',
        {
          ...{ of: ['sleeve'] as const, at: 'bench', needs: [record('opened')] },
        },
      ),
      step(
        'gauged',
        'gauge',
        4,
        'Gauge bore and pistons; look at the bore under a lamp.',
        'A pit in the path of the cup weeps as soon as the cup has worn to its edge.',
        {
          ...{ ...BORE, kind: 'figure', needs: [after('washed')] },
        },
      ),
      step(
        'wiped',
        'assemble',
        1,
        'Wipe the bore once more with a fresh cloth.',
        'What the air left behind lies where the cup will slide.',
        { ...BORE, needs: [since('gauged', 'washed')] },
      ),
      step(
        'seal_in',
        'assemble',
        5,
        'Wet the cups, lips towards the spring.',
        'The wrong way round a cup holds nothing and lets air in when the pedal comes back.',
        {
          ...{ ...BORE, enters: 'resealed', lubricant: WETTED, orientation: 'Lips of the cups towards the spring' },
          needs: [after('wiped'), record('opened'), record('pistons_move'), record('bore_holds')],
          by: wetted('Wet the cups with', 'lips towards the spring'),
        },
      ),
      step('caps', 'assemble', 1, 'Links and dust caps on.', 'A dust cap off its groove lets water to the piston.', {
        ...BORE,
        needs: [after('seal_in')],
      }),
      step(
        'clip',
        'assemble',
        1,
        'A clip or tie holds it until the shoes are on.',
        'The spring pushes the pistons out in the hand of who carries it.',
        { ...BORE, needs: [after('seal_in')] },
      ),
      step(
        'compared',
        'fit',
        5,
        'Compare bore, ports, thread, nose of the union and hand with the old one.',
        'Bores differ by a sixteenth between years, and the pedal tells it only on the road.',
        {
          ...{ ...RENEWED, kind: 'look', at: 'bench', needs: [record('arrived')] },
        },
      ),
      step(
        'union_started',
        'fit',
        4,
        'Start the union by hand, then the bolts.',
        'A union that meets a cylinder already bolted down goes in across its thread.',
        {
          ...{
            enters: 'fitted',
            needs: [record('cured'), record('resealed')],
            orientation: 'Two in one brake: hand of each, bleeder on the higher one',
            unlike:
              'Cylinders and plates are handed, and one bleeder may serve two cylinders: what sits on the other side need not fit here.',
          },
        },
      ),
      step(
        'slides',
        'fit',
        2,
        'A sliding one slides in the plate by hand, its retainers in their order.',
        'One that hangs works one shoe only.',
        { kind: 'look', needs: [after('union_started')] },
      ),
      step('drawn', 'fit', 2, 'Draw bolts and union up to their figures.', 'What is left finger-tight is found by the pedal.', {
        kind: 'torque',
        needs: [after('union_started')],
      }),
      step('bleeder', 'fit', 2, 'Bleeder moves, dust cap on.', 'It is opened first of all when everything else is closed.', {
        kind: 'look',
      }),
    ],
  ),
  card(
    'shoes',
    'Drum unit',
    ['shoes'],
    ['reline', ...RENEWS],
    [
      step(
        'pictured',
        'strip',
        2,
        'Picture it whole, both sides, before a spring is touched.',
        'Nobody remembers the spring; the other side stays on as the pattern.',
        {
          ...{ kind: 'picture', hazard: drumsOff },
        },
      ),
      step(
        'off',
        'strip',
        4,
        'Take everything out as one where it goes; lay it down as it was.',
        'What comes apart on the floor goes together by guessing.',
        { enters: 'removed' },
      ),
      step(
        'plate',
        'clean',
        4,
        'Wash plate and contact places wet; look for grooves where the shoes ride.',
        'A groove catches the shoe: the brake grabs, or does not let go.',
        { at: 'vehicle', kind: 'look' },
      ),
      step(
        'adjuster',
        'clean',
        4,
        'Clean the adjuster, anti-seize on its thread; see which way each one turns.',
        'An adjuster that is stuck is adjusted once, by the next one, with a chisel.',
        {
          ...{ lubricant: lubricant('anti_seize', 'on the thread of the adjuster', 'where it can fly on a lining') },
          orientation: 'Hand of each adjuster: they differ left and right',
          unlike: 'The adjuster of the other side turns the other way, and its thread may have the other hand.',
        },
      ),
      step(
        'stripped',
        'finish',
        12,
        'Strip the old lining, clean the platform to metal, true the shoe.',
        'Rust under a lining lifts it off.',
        {
          ...{ of: ['reline'] as const, at: 'bench', hazard: 'No grinding or drilling unless asbestos is excluded by test or invoice.' },
        },
      ),
      step(
        'lined',
        'finish',
        15,
        'Rivet or bond the lining by its slip; arc it to its drum.',
        'A lining that meets its drum at the ends only grabs until it has worn in.',
        {
          ...{ of: ['reline'] as const, at: 'bench', enters: 'relined', takes: [piece('Rivets', 8)], needs: [after('stripped')] },
        },
      ),
      step(
        'lever_over',
        'assemble',
        6,
        'Move lever and cross link over, pin and clip new or with thread lock.',
        'The lever is handed, and the new shoe comes without it.',
        { ...RENEWED, needs: [record('arrived')], unlike: 'Levers are handed: the one of the other side does not go in here.' },
      ),
      step(
        'joined',
        'assemble',
        3,
        'Lever, strut and top spring joined before the shoes go over the hub; shorter lining forward where they are unlike.',
        'Behind the hub there is no room for a hand, and leading and trailing shoes change places unseen.',
        {
          orientation:
            'Duo-servo: shorter lining forward, primary spring first. Two leading: both tips forward, cylinders and plates handed. Snail cams: outward while the wheel turns forward.',
          unlike: 'Forward lies the other way round: mirror it, and copy nothing from the picture as it is.',
        },
      ),
      step(
        'greased',
        'assemble',
        1,
        'Grease where shoe meets plate, and nowhere else.',
        'A film too much runs to the lining when it is hot.',
        { lubricant: PLATE, at: 'vehicle' },
      ),
      step(
        'adjusters_in',
        'assemble',
        3,
        'Adjusters all the way in, both alike.',
        'The drum does not go over, and the lining is scraped by trying.',
        { at: 'vehicle', needs: [after('adjuster')] },
      ),
      step(
        'springs',
        'assemble',
        4,
        'Short spring by hand before the long one.',
        'The long one pulls the shoes together, and the short one then takes a lever and an eye.',
        {
          ...{ at: 'vehicle', needs: [after('joined')], enters: 'fitted', hazard: 'Glasses: a spring that slips flies.' },
        },
      ),
      step('cable', 'assemble', 2, 'Parking cable last.', 'A cable on its lever holds the shoes off their stops while they are centred.', {
        at: 'vehicle',
        needs: [after('springs')],
      }),
      ...HARDWARE,
      step(
        'centred',
        'fit',
        3,
        'Centre the shoes; drums on and clamped, pedal pressed, adjusted again, until nothing changes.',
        'Shoes off centre take up the adjustment and give it back on the road.',
        {
          ...{ needs: [after('springs'), record('circuit_closed')] },
        },
      ),
      step(
        'adjusted',
        'fit',
        5,
        'Set to its kind from contact, both sides counted alike.',
        'Unlike sides pull, and a shoe set heavy boils what is in the cylinder.',
        {
          ...{ kind: 'figure', needs: [after('centred')], orientation: 'Which way tightens, as seen from where the tool goes in' },
        },
      ),
      step(
        'lever_pulled',
        'after',
        3,
        'Pull the lever once more before the drum goes on for good.',
        'A link beside its slot is seen now or heard later.',
        { kind: 'look', needs: [after('adjusters_in')] },
      ),
    ],
  ),
  card(
    'parking_shoes',
    'Parking shoes in the rotor',
    ['parking_shoes'],
    ['reline', ...RENEWS],
    [
      step('slack', 'strip', 2, 'Slacken the cable in the cabin.', 'Under load it holds the shoes on, and the rotor with them.'),
      step(
        'off',
        'strip',
        4,
        'Shoes off; each spring and the adjuster by a picture.',
        'The springs of the two sides cross, and look alike.',
        {
          ...{ kind: 'picture', enters: 'removed', needs: [after('slack')], hazard: drumsOff },
        },
      ),
      step('plate', 'clean', 4, 'Wash plate and contact places wet.', 'A groove catches the shoe: it drags or does not come on.', {
        at: 'vehicle',
      }),
      step(
        'adjuster',
        'clean',
        4,
        'Clean the adjuster, anti-seize on its thread; see which way it turns with the rotor off.',
        'Through the hole of the rotor nobody sees which way is on.',
        {
          ...{ lubricant: lubricant('anti_seize', 'on the thread of the adjuster', 'where it can fly on a lining') },
          orientation: 'Which way tightens, as seen from where the tool goes in',
          unlike: 'Seen from outside, the other side tightens the other way.',
        },
      ),
      step(
        'stripped',
        'finish',
        12,
        'Strip the old lining, clean the platform to metal, true the shoe.',
        'Rust under a lining lifts it off.',
        {
          ...{ of: ['reline'] as const, at: 'bench', hazard: 'No grinding or drilling unless asbestos is excluded by test or invoice.' },
        },
      ),
      step(
        'lined',
        'finish',
        15,
        'Rivet or bond the lining by its slip; arc it to its rotor.',
        'A lining that meets its drum at the ends only holds nothing on a slope.',
        {
          ...{ of: ['reline'] as const, at: 'bench', enters: 'relined', takes: [piece('Rivets', 8)], needs: [after('stripped')] },
        },
      ),
      step(
        'lever_over',
        'assemble',
        6,
        'Move lever and link over, pin and clip new.',
        'The lever is handed, and the new shoe comes without it.',
        { ...RENEWED, needs: [record('arrived')], unlike: 'Levers are handed: the one of the other side does not go in here.' },
      ),
      step(
        'on',
        'assemble',
        10,
        'Shoes and springs on, grease only where shoe meets plate, adjuster all the way in.',
        'With the adjuster out the rotor does not go over.',
        {
          ...{ at: 'vehicle', enters: 'fitted', needs: [after('plate'), after('adjuster')], lubricant: PLATE },
          hazard: 'Glasses: a spring that slips flies.',
        },
      ),
      ...HARDWARE,
      step(
        'touching',
        'fit',
        6,
        'Rotor on; adjuster by turns from contact, shoes just touching, both sides alike.',
        'Just touching alone drags when warm: so many clicks back as the book has.',
        { kind: 'figure', needs: [after('on')] },
      ),
      step('cable', 'fit', 5, 'Cable last.', 'Set before the shoes it takes up what the shoes should.', { needs: [after('touching')] }),
      step(
        'bedded',
        'after',
        3,
        'Bed them by their own procedure: a few stops by the lever alone, from walking pace.',
        'They never wear in by driving: the pedal does not touch them.',
        { kind: 'look', needs: [after('cable')] },
      ),
    ],
  ),
  card(
    'drum',
    'Drum',
    ['drum'],
    ['machine', ...RENEWS],
    [
      step(
        'slack',
        'strip',
        2,
        'Adjuster back, cable slack, screws soaked.',
        'A worn drum has a lip, and the shoes hold it from inside.',
        {},
      ),
      step('off', 'strip', 4, 'Off by its ladder; never a puller on the rim of a cast drum.', 'The rim breaks before the seat lets go.', {
        enters: 'removed',
        needs: [after('slack')],
        hazard: drumsOff,
      }),
      step(
        'turned',
        'finish',
        25,
        'Turn it with its hub where they belong together, no more than cleans it up.',
        'Parted from its hub it runs out again, and every tenth is off the limit.',
        {
          ...{ of: ['machine'] as const, at: 'lathe', enters: 'machined' },
        },
      ),
      step(
        'gauged',
        'gauge',
        4,
        'Gauge diameter and out-of-round where shoes run.',
        'The figure cast into it is the last one, not the next.',
        { kind: 'figure' },
      ),
      step('washed', 'clean', 3, 'Wash the friction face.', 'Oil against rust soaks into the linings.', { at: 'washer' }),
      step('hub_face', 'fit', 2, 'Hub face clean to metal.', 'A chip behind the drum is out-of-round at the shoes.'),
      step('fits', 'fit', 3, 'Drum on; it goes over without touching.', 'What touches now runs hot at the first stop.', {
        enters: 'fitted',
        needs: [after('hub_face'), record('shoes_set')],
      }),
    ],
  ),
  card(
    'band',
    'Band',
    ['band'],
    ['reline', ...RENEWS],
    [
      step(
        'counted',
        'strip',
        4,
        'Count turns of anchor and both adjusters from contact.',
        'Three settings find each other again only from where they were.',
        { kind: 'figure' },
      ),
      step('off', 'strip', 4, 'Take the band off, pins and springs by a picture.', 'The ears are handed, and the springs differ.', {
        enters: 'removed',
        needs: [after('counted')],
      }),
      step(
        'lined',
        'finish',
        30,
        'Strip the old lining, true the band, rivet the new one from the middle out.',
        'Riveted from the end it stands off in the middle.',
        {
          ...{ of: ['reline'] as const, at: 'bench', enters: 'relined', takes: [piece('Rivets', 12)] },
          hazard: 'No grinding or drilling unless asbestos is excluded by test or invoice.',
        },
      ),
      step(
        'on',
        'assemble',
        10,
        'Fit the band; ears, pins and springs by the picture.',
        'A band the wrong way round wraps against the turn and holds nothing.',
        { at: 'vehicle', enters: 'fitted', needs: [record('arrived')] },
      ),
      step(
        'set',
        'fit',
        25,
        'Set anchor, lower and upper half to their clearance, even all round.',
        'Uneven, it drags at one place and never holds at the others.',
        { kind: 'figure', needs: [after('on')] },
      ),
    ],
  ),
  card(
    'band_drum',
    'Drum in a band',
    ['band_drum'],
    ['machine', ...RENEWS],
    [
      step('marked', 'strip', 3, 'Band off; joint or shaft marked before it parts.', 'Turned by one hole the shaft shakes.', {}),
      step('off', 'strip', 5, 'Joint apart, drum off.', 'Its locking pieces are used once.', {
        enters: 'removed',
        needs: [after('marked')],
      }),
      step('turned', 'finish', 25, 'Turn the outside, no more than cleans it up.', 'The wall is what carries the heat.', {
        of: ['machine'] as const,
        at: 'lathe',
        enters: 'machined',
      }),
      step('on', 'fit', 12, 'Joint on by its marks, new locking pieces.', 'A piece bent twice breaks.', {
        takes: [piece('Locking piece')],
        enters: 'fitted',
        needs: [after('marked')],
      }),
    ],
  ),
  card(
    'expander',
    'Wedge, tracks and adjuster',
    ['expander'],
    ['use_again', ...RENEWS],
    [
      step(
        'cap_out',
        'strip',
        3,
        'Screw the old adjuster in until its cap comes out.',
        'It comes out to the inside; levered, it takes its housing along.',
        RENEWED,
      ),
      step(
        'noted',
        'strip',
        3,
        'Note the position of each pin, the length of the links and the gap under them.',
        'Pins left and right are mirror images, and a flat set wrong tilts the shoe.',
        { ...RENEWED, kind: 'picture' },
      ),
      step('thread', 'clean', 4, 'Tap the thread clean.', 'An adjuster that needs force is set by force.', RENEWED),
      step(
        'tracks',
        'clean',
        4,
        'Dress the tracks flat; weld or renew under three quarters of new.',
        'The roller sinks into its own groove, and the shoe comes no further.',
        { ...RENEWED, kind: 'look' },
      ),
      step('wedge', 'fit', 4, 'Wedge upright, narrow side out.', 'On its side it spreads one shoe only.', {
        ...RENEWED,
        enters: 'fitted',
        orientation: 'Wedge upright, narrow side out',
      }),
      step(
        'plate_nut',
        'fit',
        4,
        'Lift the plate while its nut is tightened; the wedge is never pinched.',
        'A pinched wedge holds the brake on.',
        { ...RENEWED, kind: 'torque', needs: [after('wedge')] },
      ),
      step(
        'measured',
        'fit',
        2,
        'Measure the shoes from the axle at both ends: adjuster side up to 1.5 mm high.',
        'Off centre, one end wears and the other never touches.',
        { ...RENEWED, kind: 'figure', needs: [after('plate_nut')] },
      ),
      step(
        'float',
        'fit',
        2,
        'Feel the float by hand; pin head out at the front axle, split pin trimmed.',
        'Without float the shoes cannot find their own middle.',
        { ...RENEWED, kind: 'look', needs: [after('plate_nut')] },
      ),
    ],
    ['wedge'],
  ),
  card(
    'cam',
    'Drum on cable or rod',
    ['expander'],
    ['use_again', ...RENEWS],
    [
      step(
        'noted',
        'strip',
        6,
        'Marks of the cam arm on its splines, cable play and wear pointer noted; shoes off with their springs.',
        'One spline over, the arm stands past its right angle and pulls less the more it wears.',
        { ...RENEWED, kind: 'picture' },
      ),
      step(
        'spindle_out',
        'strip',
        6,
        'Arm off, spindle out of the plate; its thrust washers and seals in their order.',
        'A washer left out lets the cam touch the plate.',
        { ...RENEWED, needs: [after('noted')] },
      ),
      step(
        'washed',
        'clean',
        8,
        'Spindle, bush and cam faces washed and dried; the pivot of the shoes likewise.',
        'Old grease hides the play.',
        { ...RENEWED, at: 'washer' },
      ),
      step(
        'play',
        'gauge',
        5,
        'Play of the spindle in its bush felt and gauged, height of the cam; bush renewed where the drum drags for it.',
        'A loose spindle lets one shoe lead and the brake grab.',
        { ...RENEWED, kind: 'figure', needs: [after('washed')] },
      ),
      step(
        'arm_on',
        'assemble',
        8,
        'A thin film on spindle, cam faces and pivot, none where it can run to the linings; arm on by its marks.',
        'A dry cam stays on; a wet one greases the lining.',
        {
          ...{
            ...RENEWED,
            enters: 'fitted',
            needs: [after('play')],
            lubricant: lubricant('plate_grease', 'thin on spindle, cam faces and pivot', 'where it runs to a lining'),
          },
        },
      ),
      step(
        'centred',
        'fit',
        6,
        'Centre the plate: lever pulled and held while the spindle nut is tightened.',
        'Tightened first, one shoe works alone.',
        { ...RENEWED, needs: [after('arm_on')] },
      ),
      step('both_touch', 'fit', 6, 'Two leading shoes: the link rod set until both touch together.', 'The late one brakes nothing.', {
        ...RENEWED,
        obliged: false,
        needs: [after('centred')],
      }),
      step(
        'torque_arm',
        'fit',
        5,
        'Torque arm fitted at both ends, its nut to the figure, new split pin opened.',
        'Loose, the plate turns with the wheel, and the wheel locks.',
        {
          ...{ ...RENEWED, kind: 'torque', second: true, takes: [piece('Split pin')] },
        },
      ),
      step(
        'arm_angle',
        'after',
        5,
        'Arm at or under 90° to cable or rod at full pull; play left at full lock both ways; pointer within its wear mark.',
        'Past the right angle more pull brakes less.',
        { ...RENEWED, kind: 'look', needs: [after('arm_on')] },
      ),
    ],
    ['cam'],
  ),
];
