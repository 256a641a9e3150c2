import { RENEWS } from '../repairOptions.ts';
import { crackWheel, pedalHigh, PIN_GREASE, WETTED, wetted } from './shared.ts';
import { after, before, card, type CardStep, lubricant, piece, record, since, step, type WorkCard } from './types.ts';

const washers = piece('Copper washer', 2);
const SEALS = { of: ['reseal'] as const };

const padsOut = (minutes: number): CardStep =>
  step(
    'pads_out',
    'strip',
    minutes,
    'Take the pads out; note which way pins, clips and the wear indicator go.',
    'Pins and clips have a direction, and a pad on the wrong side squeals or hides its wear.',
    { kind: 'picture' },
  );
const pushedBack = (minutes: number): CardStep =>
  step(
    'pushed_back',
    'strip',
    minutes,
    'Where the rotor has a lip, draw the reservoir down, then press the pistons back before the caliper comes off.',
    'A full reservoir runs over on the paint, and a pad that catches on the lip is levered off with force.',
    { obliged: false, ready: 'A bottle at the bleeder, or the reservoir drawn down' },
  );
const unionCracked = (minutes: number): CardStep =>
  step(
    'union_cracked',
    'strip',
    minutes,
    'Crack the union of the hose while the caliper is still bolted.',
    'A loose caliper gives nothing to pull against: the hose twists, or the corners of the union go.',
    {
      enters: 'line_opened',
      needs: [record('made_safe'), record('pedal_barred')],
      ready: 'Plug, cap, tray and cloth; paint below covered; new washers here',
    },
  );
const caliperOff = (minutes: number): CardStep =>
  step(
    'off',
    'strip',
    minutes,
    'Take the caliper off and hang it up; never leave it on its hose.',
    'A hose that has carried a caliper is torn inside, where nobody sees it.',
    { needs: [after('union_cracked')], enters: 'removed', ready: 'A hook for the caliper' },
  );
const lineCapped = (minutes: number): CardStep =>
  step(
    'capped',
    'strip',
    minutes,
    'Cap the line and the port at once; clamp no hose that stays.',
    'The reservoir runs empty by itself, and dirt in a line is found again under a seal.',
    { needs: [after('off'), record('capped')], kind: 'look' },
  );
const outsideClean = (minutes: number): CardStep =>
  step(
    'outside',
    'strip',
    minutes,
    'Clean the outside before it is opened.',
    'What lies round the port falls into the bore with the first turn.',
    {
      ...SEALS,
      at: 'washer',
      needs: [record('off'), before('seals_out')],
      hazard: 'Gloves and glasses; no dry brushing: dust may hold asbestos.',
    },
  );
const blasted = (minutes: number): CardStep =>
  step(
    'blasted',
    'strip',
    minutes,
    'If it is blasted, blast it with the old seals and pistons in, or with the bores plugged.',
    'Grit in a groove never comes out again, and it cuts the new seal.',
    {
      ...SEALS,
      at: 'cabinet',
      obliged: false,
      needs: [record('off'), before('seals_out')],
      hazard: 'Closed cabinet: old paint may hold lead.',
    },
  );
const sealsOut = (minutes: number, what: string): CardStep =>
  step(
    'seals_out',
    'clean',
    minutes,
    `Take ${what} out with wood or plastic; look at each before it goes away.`,
    'Steel in a groove leaves a burr that leaks, and a seal worn square or swollen tells what the fluid was.',
    { ...SEALS, needs: [record('opened')], kind: 'look' },
  );
const grooveOfSeal = (minutes: number, what: string): CardStep =>
  step(
    'groove_seal',
    'clean',
    minutes,
    `Clean ${what} to metal, corner by corner; no wire brush on piston or bore.`,
    'Rust behind the seal presses it on to the piston: that is what makes a caliper drag after a reseal.',
    { ...SEALS, needs: [after('seals_out')], ready: 'A scraper filed to the groove' },
  );
const groovePictured = (minutes: number): CardStep =>
  step(
    'groove_picture',
    'clean',
    minutes,
    'Picture the clean groove.',
    'Nobody sees it again until it leaks; the picture is what the owner and the next one have.',
    { ...SEALS, kind: 'picture', obliged: false, needs: [after('groove_seal')] },
  );
const blownThrough = (minutes: number): CardStep =>
  step(
    'blown',
    'clean',
    minutes,
    'Blow every port and bore through, bleeder and plugs out once.',
    'Deposits sit behind plugs, and what is left is carried under the new seal by the first stroke.',
    { ...SEALS, needs: [after('groove_seal')], hazard: 'Glasses; a piston left in a bore flies.' },
  );
const grooveOfBoot = (minutes: number, what: string): CardStep =>
  step(
    'groove_boot',
    'clean',
    minutes,
    `Clean ${what} to metal.`,
    'A boot that does not sit lets water to the piston, and the piston is seized again in two winters.',
    { ...SEALS, needs: [after('seals_out')] },
  );
const wiped = (minutes: number): CardStep =>
  step(
    'wiped',
    'gauge',
    minutes,
    'Wipe bore, grooves and piston once more with a fresh cloth.',
    'What the air left behind lies where the seal will slide.',
    { ...SEALS, needs: [since('blown', 'groove_seal')] },
  );
const gauged = (minutes: number, what: string): CardStep =>
  step(
    'gauged',
    'gauge',
    minutes,
    `Gauge ${what}: what is owed stands at Gauge.`,
    'New rubber on a pitted bore or a worn piston holds for one season.',
    { ...SEALS, kind: 'figure', needs: [after('blown')] },
  );
const ASSEMBLY = [
  since('wiped', 'blown'),
  after('groove_seal'),
  record('opened'),
  record('pistons_move'),
  record('bore_holds'),
  record('cured'),
];
const bootSeated = (minutes: number, words: string): CardStep =>
  step('boot', 'assemble', minutes, words, 'The kinds go in differently: on the piston first, in the body first, or pressed flush last.', {
    ...SEALS,
    needs: [after('groove_boot')],
    orientation: 'Lip in its groove all round; run a finger round it',
  });
const pinsDone = (minutes: number): CardStep =>
  step(
    'pins',
    'assemble',
    minutes,
    'Clean pins and bushes, roll each pin: it is straight; rubber-safe pin grease in the boot; move each by hand.',
    'A pin that sticks makes one pad do the work of two.',
    { lubricant: PIN_GREASE, orientation: 'Pins are not alike: the sleeved one has its own hole' },
  );
const compared = (minutes: number, what: string): CardStep =>
  step(
    'compared',
    'fit',
    minutes,
    `Lay the new unit beside the old one: ${what}.`,
    'Left and right look alike until the bleeder is at the bottom.',
    { of: RENEWS, at: 'bench', kind: 'look', needs: [record('arrived')] },
  );
const movedOver = (minutes: number, what: string): CardStep =>
  step('moved_over', 'fit', minutes, `Move ${what} over from the old unit.`, 'What the new one lacks is found when the old one is gone.', {
    ...{ of: RENEWS, at: 'bench', needs: [after('compared')] },
  });
const bracketOn = (minutes: number, words: string): CardStep =>
  step('bracket', 'fit', minutes, words, 'A bolt that was stretched once does not hold its figure a second time.', {
    ...{ ready: 'New bolts where they are one-use', enters: 'fitted', needs: [record('cured'), record('resealed')] },
  });
const bracketDrawn = (minutes: number): CardStep =>
  step(
    'bracket_torque',
    'fit',
    minutes,
    'Draw the bracket bolts up to their figure.',
    'They carry the whole brake force, and a loose one is heard only once.',
    { kind: 'torque', needs: [after('bracket')] },
  );
const hoseJoined = (minutes: number, words = 'Join the hose with two new washers, started by hand.'): CardStep =>
  step('hose', 'fit', minutes, words, 'A washer that was crushed once weeps, and a hose with a twist bursts.', {
    ...{
      enters: 'line_made',
      takes: [washers],
      needs: [after('bracket')],
      orientation: 'Hose without twist: stripe straight at full lock and full droop',
    },
  });
const bleederUp = (minutes: number): CardStep =>
  step(
    'bleeder_up',
    'fit',
    minutes,
    'Look where the bleeder stands: at the top.',
    'Air collects at the top, and a caliper of the other side never bleeds.',
    {
      ...{ kind: 'look', orientation: 'Bleeder at the top, not in the port of the line' },
      unlike: 'Left and right caliper change places easily: then the bleeder is at the bottom, and air stays in.',
    },
  );

const propped = step(
  'propped',
  'before lifting',
  0,
  'Where the fluid is to stay in, prop the pedal a third down, battery off for the lamps; it comes out before bleeding.',
  'Propped, the ports are shut and no more runs out than the line holds.',
  { obliged: false, hazard: 'Not with a master cylinder that may stick there.' },
);
/** On a motorcycle: what is laid ready for the banjo, and the night that the lever is tied. */
const PAINT_COVERED = step(
  'paint_covered',
  'fit',
  0,
  'Cover fresh paint before any fluid moves; fill the hose before it is joined only with tray, cloth and spanner laid ready.',
  'Fluid lifts fresh paint in minutes, and a filled hose runs while the bolt is looked for.',
  { rig: 'motorcycle', ready: 'Banjo bolt: two new washers; a double one takes three and its longer bolt' },
);
const LEVER_TIED = step(
  'lever_tied',
  'after',
  0,
  'Bleed it, tie the lever to the grip overnight, and bleed it a second time in the morning.',
  'Small bubbles climb by themselves in the night, and come out with the first strokes.',
  { rig: 'motorcycle', at: 'vehicle' },
);

/** Cards of disc brakes. Source: handbook 55, cards 1 to 4, 9, 18; 58, A16, A20, A25, D01, D03, D16, D26, D27. */
export const DISC_CARDS: readonly WorkCard[] = [
  card(
    'caliper_floating',
    'Floating caliper',
    ['caliper'],
    ['reseal', ...RENEWS],
    [
      crackWheel(),
      propped,
      padsOut(3),
      pushedBack(2),
      unionCracked(2),
      caliperOff(3),
      lineCapped(1),
      outsideClean(4),
      blasted(2),
      step(
        'pistons_out',
        'strip',
        10,
        'Bring the pistons out by the ladder, those of a pair together, the freed one held.',
        'The freed one comes out first and lets the pressure go; the stuck one then stays for good.',
        {
          ...SEALS,
          at: 'bench',
          enters: 'opened',
          needs: [record('off')],
          hazard: 'Face away, cloth and block: a piston leaves with force.',
        },
      ),
      sealsOut(2, 'seal and boot'),
      grooveOfSeal(5, 'the groove of the seal'),
      groovePictured(1),
      blownThrough(2),
      grooveOfBoot(6, 'the groove of the boot'),
      wiped(1),
      gauged(3, 'bore and piston'),
      step(
        'seal_in',
        'assemble',
        5,
        'Lay the square seal flat and untwisted, wetted with clean brake fluid or the kit’s grease; run a finger round it.',
        'A square seal that is twisted holds today and drags tomorrow: it is what pulls the piston back.',
        {
          ...{ ...SEALS, enters: 'resealed', needs: ASSEMBLY, lubricant: WETTED, takes: [] },
          by: wetted('Lay the square seal flat and untwisted, wetted with', 'run a finger round it'),
        },
      ),
      step('piston_in', 'assemble', 3, 'Push the piston in straight, by hand.', 'One that needs a press stands askew and cuts the seal.', {
        ...SEALS,
        needs: [after('seal_in')],
        orientation: 'Cut-out or step of the face as it was marked',
      }),
      bootSeated(4, 'Seat the boot in both grooves by its kind.'),
      pinsDone(6),
      compared(4, 'ports, hand, bleeder'),
      movedOver(2, 'plug and bleeder'),
      bracketOn(5, 'Bolt the bracket up, new bolts where they are one-use.'),
      bracketDrawn(3),
      PAINT_COVERED,
      hoseJoined(5),
      bleederUp(1),
      step(
        'pins_move',
        'after',
        1,
        'Move every pin once more and wipe surplus grease off.',
        'Bolted up, a pin can bind that was free on the bench.',
        { kind: 'look' },
      ),
      pedalHigh(),
      LEVER_TIED,
    ],
    ['floating', 'cable'],
  ),
  card(
    'caliper_parking',
    'Caliper with parking lever',
    ['caliper'],
    ['reseal', ...RENEWS],
    [
      crackWheel(1),
      step(
        'cable_slack',
        'before lifting',
        1,
        'Slacken the parking cable in the cabin.',
        'A cable under load holds the lever off its stop, and the piston is wound back against it.',
        {},
      ),
      step(
        'cable_off',
        'strip',
        2,
        'Take the cable off the lever, its clip and spring noted.',
        'The spring has one place only, and it is never where one guesses.',
      ),
      padsOut(3),
      unionCracked(2),
      caliperOff(3),
      lineCapped(1),
      outsideClean(4),
      blasted(2),
      step(
        'pistons_out',
        'strip',
        14,
        'Wind the piston out by its hand of thread, pegs or slot; never press it.',
        'Pressed, the thread of the adjuster inside is gone, and the caliper with it.',
        {
          ...SEALS,
          at: 'bench',
          enters: 'opened',
          needs: [record('off'), after('cable_off')],
          ready: 'Winding tool; hand of the thread known',
          unlike: 'The two sides may wind opposite ways: by the hand of this one, not of the other.',
        },
      ),
      sealsOut(2, 'seal, boot and the seal of the lever shaft'),
      grooveOfSeal(5, 'the grooves of seal and boot'),
      groovePictured(1),
      blownThrough(2),
      wiped(1),
      gauged(3, 'bore and piston'),
      step(
        'seal_in',
        'assemble',
        5,
        'Seal flat and untwisted, wetted; run a finger round it.',
        'A twisted seal drags, and here it also holds the parking brake on.',
        {
          ...{ ...SEALS, enters: 'resealed', needs: ASSEMBLY, lubricant: WETTED },
          by: wetted('Seal flat and untwisted, wetted with', 'run a finger round it'),
        },
      ),
      step(
        'piston_in',
        'assemble',
        5,
        'Wind the piston back in, slot to where the pad’s peg enters, looked at with the pad in.',
        'A peg beside its slot tilts the pad, and the adjuster turns with it.',
        {
          ...{ ...SEALS, needs: [after('seal_in')], orientation: 'Slot of the piston stands where the peg of the pad enters' },
        },
      ),
      pinsDone(6),
      compared(4, 'ports, hand, bleeder and lever'),
      movedOver(2, 'plug, bleeder and spring'),
      bracketOn(4, 'Bolt the bracket up, new bolts where they are one-use.'),
      bracketDrawn(2),
      step(
        'lever_stop',
        'fit',
        2,
        'Cable on, slack, the lever against its stop on both sides alike.',
        'A lever off its stop leaves the adjuster nothing to work with.',
        {
          ...{ needs: [after('bracket')], orientation: 'Lever on its stop' },
        },
      ),
      hoseJoined(5),
      bleederUp(1),
      pedalHigh(3),
      step(
        'cable_set',
        'after',
        2,
        'Then set the cable, last of all.',
        'A cable set before the pads have come to the rotor holds them on when warm.',
        {
          needs: [after('pedal_high'), after('lever_stop')],
        },
      ),
    ],
    ['floating_parking'],
  ),
  card(
    'caliper_fixed',
    'Fixed caliper',
    ['caliper'],
    ['reseal', ...RENEWS],
    [
      crackWheel(),
      propped,
      padsOut(3),
      pushedBack(2),
      unionCracked(2),
      caliperOff(3),
      lineCapped(1),
      outsideClean(4),
      blasted(2),
      step(
        'marked',
        'strip',
        4,
        'Mark which way round each piston stands, before it is moved.',
        'Some have a step or a cut-out that decides whether the brake squeals.',
        {
          ...{ ...SEALS, at: 'bench', needs: [record('off')], kind: 'picture' },
        },
      ),
      step(
        'pistons_out',
        'strip',
        12,
        'Bring the pistons out one by one, the others held.',
        'The first that comes lets the pressure go; tried alone, each shows whether it moves.',
        {
          ...{ ...SEALS, at: 'bench', enters: 'opened', needs: [record('off'), after('marked')] },
          hazard: 'Block and cloth: a piston leaves with force.',
        },
      ),
      sealsOut(2, 'every seal and boot'),
      step(
        'halves',
        'clean',
        0,
        'Leave the halves together unless joint seals, bolts and their torque are at hand.',
        'Parted, they weep for good without the seals between them, and the bolts stretch.',
        {
          ...SEALS,
        },
      ),
      grooveOfSeal(9, 'the groove of every seal'),
      groovePictured(1),
      blownThrough(2),
      grooveOfBoot(5, 'the groove of every boot'),
      step(
        'bridge',
        'clean',
        3,
        'Bridge pipe new, or blown through and looked through.',
        'It is the last to be thought of and the first to be blocked.',
        { ...SEALS },
      ),
      wiped(1),
      gauged(3, 'bores and pistons'),
      step(
        'seal_in',
        'assemble',
        7,
        'Lay each square seal flat and untwisted, wetted; run a finger round each.',
        'A twisted seal drags: it is what pulls the piston back.',
        {
          ...{ ...SEALS, enters: 'resealed', needs: ASSEMBLY, lubricant: WETTED },
          by: wetted('Lay each square seal flat and untwisted, wetted with', 'run a finger round each'),
        },
      ),
      step(
        'piston_in',
        'assemble',
        5,
        'Push each piston in straight, by hand, as it was marked.',
        'One that needs a press stands askew and cuts the seal.',
        {
          ...{ ...SEALS, needs: [after('seal_in')], orientation: 'Each as marked before removal' },
        },
      ),
      bootSeated(6, 'Seat every boot by its kind.'),
      step(
        'bridge_on',
        'assemble',
        0,
        'Start both unions of the bridge pipe by hand before either is tightened.',
        'The second one cross-threads when the first has pulled the pipe tight.',
        {
          ...SEALS,
        },
      ),
      compared(4, 'ports, hand, bleeder'),
      movedOver(2, 'plug and bleeder'),
      bracketOn(5, 'Bolt it up, union started by hand before the bolts are tight.'),
      bracketDrawn(2),
      PAINT_COVERED,
      hoseJoined(2, 'Draw the union up, new washers where it has them.'),
      bleederUp(1),
      step(
        'straight',
        'after',
        1,
        'Hold a straight edge to both pads: they stand parallel to the rotor.',
        'Shims left out push the caliper askew, and a pad wears to a wedge.',
        {
          kind: 'look',
        },
      ),
      pedalHigh(),
      LEVER_TIED,
    ],
    ['fixed'],
  ),
  card(
    'piston',
    'Piston of a caliper',
    ['piston'],
    [...RENEWS],
    [
      step('groove_seal', 'clean', 4, 'Clean the groove for the new piston to metal.', 'Rust behind the seal presses it on to the piston.'),
      step(
        'gauged',
        'gauge',
        6,
        'Gauge the new piston and its bore: the clearance decides.',
        'A piston of the other make may be a tenth too big, and sticks when warm.',
        {
          ...{ kind: 'figure', needs: [record('arrived')] },
        },
      ),
      step(
        'piston_in',
        'assemble',
        8,
        'Push the new piston in straight, by hand, its boot on it by its kind.',
        'One that needs a press stands askew and cuts the seal.',
        {
          ...{ needs: [after('groove_seal')], lubricant: WETTED, enters: 'fitted' },
        },
      ),
    ],
  ),
  card(
    'rotor',
    'Rotor',
    ['rotor'],
    ['machine', ...RENEWS],
    [
      step(
        'soaked',
        'strip',
        3,
        'Soak the seat and the retaining screws; screws by impact.',
        'A screw that is drilled out costs more than the rotor.',
        { obliged: false },
      ),
      step(
        'off',
        'strip',
        5,
        'Strike between the studs, turning, until it comes; hole marked to its stud.',
        'Struck on the friction face it is scrap; without the mark its runout starts anew.',
        {
          enters: 'removed',
        },
      ),
      step(
        'hub_face',
        'clean',
        8,
        'Clean the hub face to metal across the whole seat; studs out if rust is heavy.',
        'High spots behind the studs are runout at the rim, five times over.',
        {
          at: 'vehicle',
        },
      ),
      step(
        'turned',
        'finish',
        25,
        'Turn both faces in one setting, no more than cleans them up.',
        'Two settings make two planes, and every tenth off is a tenth of its life.',
        {
          ...{ of: ['machine'] as const, at: 'lathe', enters: 'machined' },
        },
      ),
      step(
        'washed',
        'clean',
        3,
        'Wash the coating off the friction faces.',
        'Oil against rust soaks into new pads, and they never grip again.',
        { of: RENEWS, at: 'washer' },
      ),
      step(
        'film',
        'fit',
        4,
        'A thin film on the spigot only; the faces between hub, rotor and wheel clean and dry.',
        'Grease between clamped faces lets them creep, and the torque is gone.',
        {
          ...{ needs: [after('hub_face'), record('arrived')], enters: 'fitted' },
          lubricant: lubricant('film', 'on the spigot', 'between the clamped faces'),
        },
      ),
      step(
        'sweep',
        'gauge',
        10,
        'Hold the rotor by its nuts and sweep the runout; turn it on its studs to the best hole.',
        'Runout that is fitted wears a thick and a thin side into a new rotor.',
        {
          ...{ kind: 'figure', at: 'vehicle', needs: [after('film')] },
        },
      ),
      step(
        'screws',
        'fit',
        3,
        'Screw the retaining screws in, and mark the hole.',
        'A loose rotor traps a chip behind it when the caliper goes on.',
        { needs: [after('sweep')] },
      ),
    ],
  ),
  card(
    'pads',
    'Pads',
    ['pads'],
    [...RENEWS],
    [
      { ...padsOut(4), enters: 'removed' },
      step('abutments', 'clean', 5, 'Clean abutments and pins to metal.', 'A pad on rust does not come back, and drags.', {
        at: 'vehicle',
      }),
      step(
        'drawn_down',
        'assemble',
        6,
        'Push the pistons back with a bleeder open, or the reservoir drawn down; level watched.',
        'Dirt goes up the line otherwise, and the reservoir runs over on the paint.',
        {
          ...{ at: 'vehicle', ready: 'Bottle and hose at the bleeder', needs: [record('made_safe')] },
        },
      ),
      step(
        'pads_in',
        'fit',
        3,
        'Pads in with their shims, wear indicator to its side, faces dry; nothing on a lining.',
        'A pad that is wet on its face is scrap.',
        {
          ...{ enters: 'fitted', needs: [after('abutments'), record('arrived')], orientation: 'Wear indicator to its side' },
          by: {
            rule: 'pad_backs',
            words: {
              grease:
                'Pads in, rubber-safe grease thin on their backs and abutments, wear indicator to its side, faces dry; nothing on a lining.',
              paste: 'Pads in, paste thin on their backs, wear indicator to its side, faces dry; nothing on a lining.',
              nothing: 'Pads in, backs and abutments clean and bare, wear indicator to its side, faces dry.',
            },
          },
        },
      ),
      step('hardware_new', 'fit', 1, 'New pins, clips and springs.', 'A tired clip lets the pad rattle, and a rusted pin holds it on.', {
        ...{ takes: [piece('Pad hardware set')], only: { rule: 'hardware', schools: ['always'], picked: false } },
      }),
      step(
        'hardware_looked',
        'fit',
        1,
        'Look at pins, clips and springs one by one; only what is worn is new.',
        'A tired clip lets the pad rattle, and a rusted pin holds it on.',
        {
          ...{ kind: 'look', only: { rule: 'hardware', schools: ['worn'], picked: true } },
        },
      ),
      step(
        'bed_anew',
        'after',
        1,
        'Used pads on a new rotor, or new ones on a used rotor: bedding is owed anew, by the product’s own steps.',
        'A face that was worn to another rotor touches at its edges and glazes there.',
        { kind: 'look' },
      ),
      pedalHigh(2),
    ],
  ),
];
