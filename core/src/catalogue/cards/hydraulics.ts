import { RENEWS } from '../repairOptions.ts';
import { WETTED } from './shared.ts';
import { after, card, lubricant, piece, record, since, step, type WorkCard } from './types.ts';

const BORE = ['reseal', 'hone', 'sleeve'] as const;
const OPENED = { of: BORE };
const RENEWED = { of: RENEWS };

/** Cards of cylinders, lines, servo and hub. Source: handbook 55, cards 10, 11, 13 to 16, 20, 21; 58, D05, D06, D18, D19, A17, A37, A39, A41. */
export const HYDRAULIC_CARDS: readonly WorkCard[] = [
  card(
    'master_cylinder',
    'Master cylinder',
    ['master_cylinder', 'clutch_master'],
    [...BORE, ...RENEWS],
    [
      step(
        'lever_bolt',
        'strip',
        0,
        'Lever bolt out first; boot, clevis and rod looked at.',
        'With the lever on, the cylinder turns on the bar and the boot tears.',
        { rig: 'motorcycle' },
      ),
      step(
        'sight_glass',
        'strip',
        0,
        'Flush the scum out of the reservoir; look at the sight glass: it is sold by itself.',
        'It clouds from inside, and shows full when it is empty.',
        { rig: 'motorcycle', kind: 'look' },
      ),
      step(
        'drawn',
        'strip',
        2,
        'Draw the fluid out of the reservoir; wipe its scum out.',
        'Fluid on paint lifts it, and the scum goes through the new ports.',
        { ready: 'Paint below covered' },
      ),
      step(
        'union_cracked',
        'strip',
        2,
        'Crack the unions while it is bolted.',
        'On the bench nothing holds it, and the corners of the union go.',
        { enters: 'line_opened', needs: [record('made_safe'), record('pedal_barred')] },
      ),
      step(
        'off',
        'strip',
        1,
        'Take it off; the servo stays untouched, the pedal barred.',
        'Without its cylinder the rod of a servo is thrown by one press.',
        {
          ...{
            enters: 'removed',
            needs: [after('union_cracked')],
            hazard: 'Servo without its cylinder: held vacuum by a hand pump only, the pedal not pressed.',
          },
        },
      ),
      step('capped', 'strip', 1, 'Cap its ports and the lines at once.', 'Both circuits drain through what is left open.', {
        kind: 'look',
        needs: [after('off'), record('capped')],
      }),
      step('stop_screw', 'strip', 3, 'Stop screw out before the circlip.', 'The second piston hangs on it: pulled, its bore is scored.', {
        ...OPENED,
        at: 'bench',
        needs: [record('off')],
      }),
      step(
        'laid_out',
        'strip',
        5,
        'Bring the pistons out by the ladder; lay them out in their order, with a picture.',
        'Springs and seals of both pistons look alike and are not.',
        {
          ...{
            ...OPENED,
            at: 'bench',
            enters: 'opened',
            kind: 'picture',
            needs: [after('stop_screw')],
            hazard: 'Face away: a piston leaves with force.',
          },
        },
      ),
      step('bore', 'clean', 5, 'Clean bore and ports; residual valve and its seat.', 'A valve on dirt holds pressure: the brakes drag.', {
        ...OPENED,
        needs: [record('opened')],
      }),
      step(
        'port',
        'clean',
        7,
        'Open the compensating port with a blunt wire finer than the hole; a valve cylinder is proved by its fountain.',
        'A port that is shut keeps the brake on; one with a burr cuts the cup.',
        { ...OPENED, needs: [record('opened')] },
      ),
      step(
        'honed',
        'finish',
        20,
        'Hone no further than its figure, free the edges of the ports of burrs; wash the grit out, wipe until the cloth stays white.',
        'Beyond its figure the cup no longer seals.',
        {
          ...{ of: ['hone'] as const, at: 'bench', enters: 'honed', needs: [record('opened')] },
        },
      ),
      step(
        'packed',
        'finish',
        12,
        'Pack it for the sleeve: switches, valve and pistons off, list in the box.',
        'What goes along unlisted does not come back.',
        { of: ['sleeve'] as const, at: 'bench', needs: [record('opened')] },
      ),
      step('gauged', 'gauge', 5, 'Gauge bore and pistons.', 'A worn bore sinks slowly under a steady foot.', {
        ...OPENED,
        kind: 'figure',
        needs: [after('bore')],
      }),
      step('wiped', 'gauge', 1, 'Wipe the bore once more with a fresh cloth.', 'What the air left behind lies where the cup will slide.', {
        ...OPENED,
        needs: [since('gauged', 'bore')],
      }),
      step('seal_in', 'assemble', 9, 'New seals the right way round, wetted.', 'One seal turned round, and a circuit builds nothing.', {
        ...{ ...OPENED, enters: 'resealed', lubricant: WETTED, orientation: 'Lips of the seals as in the picture' },
        needs: [after('wiped'), record('opened'), record('bore_holds')],
        by: {
          rule: 'seal_wetting',
          words: {
            fluid: 'New seals the right way round, wetted with clean brake fluid alone.',
            grease: 'New seals the right way round, in the kit’s assembly grease.',
          },
        },
      }),
      step(
        'clevis',
        'assemble',
        0,
        'Clean and grease boot, clevis and rod; they are cleaned, not bought.',
        'A dry rod is felt as a spongy lever.',
        { rig: 'motorcycle' },
      ),
      step(
        'stop_in',
        'assemble',
        5,
        'Stop screw in with the piston pressed, then the circlip.',
        'A screw beside its slot holds the piston forward: the port never opens.',
        { ...OPENED, needs: [after('seal_in')] },
      ),
      step(
        'bench_bled',
        'assemble',
        15,
        'Bleed it on the bench: ten slow strokes until no bubble comes from a returning tube; stroke short and hard with outlets closed.',
        'Air in a cylinder that slopes never finds its way to a wheel.',
        {
          only: { rule: 'master_bleeding', schools: ['bench'], picked: true },
        },
      ),
      step(
        'compared',
        'fit',
        5,
        'Compare outlets, plugs, thread, seat and bore with the old one.',
        'A port with another seat weeps however hard it is drawn up.',
        { ...RENEWED, at: 'bench', kind: 'look', needs: [record('arrived')] },
      ),
      step(
        'moved_over',
        'fit',
        3,
        'Move switches, plugs and residual valves over.',
        'What the new one lacks is found when the old one is gone.',
        { ...RENEWED, at: 'bench', needs: [after('compared')] },
      ),
      step(
        'on',
        'fit',
        4,
        'Start the unions by hand, then bolt it up.',
        'A union that meets a bolted cylinder goes in across its thread.',
        { takes: [piece('Copper washer', 2)], enters: 'fitted', needs: [record('resealed')] },
      ),
      step('drawn_up', 'fit', 4, 'Draw unions and nuts up to their figures.', 'What is left finger-tight is found by the pedal.', {
        kind: 'torque',
        needs: [after('on')],
      }),
      step(
        'play',
        'fit',
        4,
        'Set the push-rod’s play.',
        'Without play the port stays shut and the brakes come on by themselves when warm.',
        { kind: 'figure', needs: [after('on')] },
      ),
      step(
        'place_bled',
        'after',
        15,
        'In its place: ten slow strokes until no bubble comes from a returning tube; stroke short and hard with outlets closed.',
        'Air in a cylinder that slopes never finds its way to a wheel.',
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
      step('bite', 'strip', 2, 'Bite point noted.', 'It is the only figure that tells afterwards whether all the air is out.', {
        kind: 'figure',
      }),
      step(
        'off',
        'strip',
        6,
        'Union loosened, slave off, its piston held, the clutch pedal barred.',
        'Off its housing its piston flies like any other.',
        { enters: 'removed', needs: [record('pedal_barred')] },
      ),
      step('pistons_out', 'clean', 8, 'Bring the piston out, clean the bore.', 'The cup hides the pit behind it.', {
        ...OPENED,
        enters: 'opened',
        needs: [record('off')],
      }),
      step('honed', 'finish', 12, 'Hone no further than its figure, wash the grit out.', 'Beyond its figure the cup no longer seals.', {
        of: ['hone'] as const,
        at: 'bench',
        enters: 'honed',
        needs: [record('opened')],
      }),
      step('packed', 'finish', 8, 'Pack it for the sleeve.', 'What goes along unlisted does not come back.', {
        of: ['sleeve'] as const,
        at: 'bench',
      }),
      step('seal_in', 'assemble', 6, 'New seal wetted, lip to the pressure.', 'Turned round it holds nothing.', {
        ...OPENED,
        enters: 'resealed',
        lubricant: WETTED,
        needs: [record('opened'), record('bore_holds')],
      }),
      step('boot', 'assemble', 2, 'Boot and rod on.', 'A boot off its groove lets water to the piston.', {
        ...OPENED,
        needs: [after('seal_in')],
      }),
      step(
        'on',
        'fit',
        10,
        'Union started by hand, then the bolts; rod and boot in their place.',
        'A union that meets a bolted cylinder goes in across its thread.',
        { enters: 'fitted', needs: [record('arrived')] },
      ),
      step(
        'bite_after',
        'after',
        2,
        'Bite point looked at again, beside what it was; the slave’s line runs the length of the vehicle: its fluid is counted.',
        'A bite lower than before is air that is still in.',
        { kind: 'figure', needs: [after('on')] },
      ),
    ],
  ),
  card(
    'hose',
    'Hose',
    ['hose'],
    [...RENEWS],
    [
      step(
        'line_off',
        'strip',
        3,
        'Line union first, the hose’s hexagon held.',
        'Turned without a spanner against it the line is wrung off.',
        {
          enters: 'line_opened',
          needs: [record('made_safe'), record('pedal_barred')],
          ready: 'New hose, washers, caps; both spanners; plastic clips taken off on the bench',
        },
      ),
      step(
        'off',
        'strip',
        2,
        'Bracket nut, then the hose out of the unit; both ends capped.',
        'A hose turned out at its bracket twists what is behind.',
        { enters: 'removed', needs: [after('line_off')] },
      ),
      step('on', 'fit', 3, 'Fixed end with new washer and figure.', 'A washer that was crushed once weeps.', {
        takes: [piece('Copper washer')],
        enters: 'fitted',
        needs: [record('arrived'), after('off')],
        orientation: 'Hoses are handed',
        unlike: 'The hose of the other side is another part where its ends are bent.',
      }),
      step(
        'bracket',
        'fit',
        3,
        'Bracket without twist, clip before the final tightening.',
        'What is twisted once stays twisted under the clip.',
        { needs: [after('on')], orientation: 'Stripe straight' },
      ),
      step('line_on', 'fit', 2, 'Line union last, started by hand.', 'It is the softest thread of the three.', {
        needs: [after('bracket')],
        kind: 'torque',
      }),
      step(
        'stripe',
        'after',
        4,
        'Look at the stripe after the last tightening: lock, droop and bump.',
        'The last quarter turn twists it, and at full lock it meets the wheel.',
        { kind: 'look', needs: [after('line_on')] },
      ),
    ],
  ),
  card(
    'line',
    'Line',
    ['line'],
    ['replace', 'used'],
    [
      step(
        'measured',
        'strip',
        10,
        'Measure and draw the old line before it is bent to get it out.',
        'A line that came out bent is no pattern.',
        { kind: 'figure', needs: [record('made_safe')], enters: 'removed' },
      ),
      step('cut', 'assemble', 6, 'Cut square and deburr; unions on before the second flare.', 'A union forgotten is a line made twice.', {
        takes: [piece('Tube union', 2)],
        needs: [after('measured')],
      }),
      step('flared', 'assemble', 8, 'Flare each end to its seat.', 'A flare of another kind seals once and never again.', {
        needs: [after('cut')],
        orientation: 'Kind of flare and length of nose by each port',
      }),
      step('bent', 'assemble', 4, 'Bend it by the strip.', 'A kink is a throttle, and it cracks.', { needs: [after('flared')] }),
      step('blown', 'assemble', 2, 'Blow it clean and look through it.', 'Chips of the cutter go to the first seal.', {
        needs: [after('bent')],
      }),
      step(
        'started',
        'fit',
        6,
        'Start both ends by hand before either is tightened.',
        'The second one cross-threads when the first has pulled the line tight.',
        { needs: [after('blown')], enters: 'fitted' },
      ),
      step('clipped', 'fit', 6, 'Clip it; nothing chafes; draw both unions up.', 'What touches is through in a year.', {
        kind: 'torque',
        needs: [after('started')],
      }),
    ],
  ),
  card(
    'valve',
    'Valve',
    ['valve'],
    ['reseal', ...RENEWS],
    [
      step(
        'ports_named',
        'strip',
        3,
        'Name flare or taper of each port; length of spring or lever at ride height noted.',
        'A taper sealed like a flare weeps for good.',
        { kind: 'figure' },
      ),
      step('off', 'strip', 5, 'Lines off and capped.', 'Both circuits drain through it.', {
        enters: 'removed',
        needs: [record('made_safe'), after('ports_named')],
      }),
      step('pistons_out', 'clean', 14, 'Open it, clean it, new seals.', 'A valve that sticks blocks one end of the vehicle.', {
        of: ['reseal'] as const,
        enters: 'resealed',
        lubricant: WETTED,
        needs: [record('off')],
      }),
      step('on', 'fit', 8, 'Lines started by hand, sealant only on taper.', 'Sealant on a flare breaks off inside.', {
        enters: 'fitted',
        needs: [record('arrived')],
      }),
      step(
        'shuttle',
        'fit',
        4,
        'Shuttle re-centred; a load-sensing one set by the book.',
        'Off its middle it shuts half the vehicle off.',
        { needs: [after('on')], kind: 'look' },
      ),
    ],
  ),
  card(
    'switch',
    'Stop-lamp switch',
    ['switch'],
    [...RENEWS, 'take_off'],
    [
      step(
        'changed',
        'fit',
        10,
        'Old one out with the port up, new one in with its seal; lamp tried.',
        'With the port down the circuit takes air.',
        { enters: 'fitted', needs: [record('made_safe')] },
      ),
    ],
  ),
  card(
    'servo',
    'Servo',
    ['servo'],
    [...RENEWS, 'take_off'],
    [
      step(
        'tested',
        'before lifting',
        3,
        'Try it before it is removed: run-up, hold and the pedal dropping as the engine starts.',
        'Off the vehicle it holds vacuum and may still give no help.',
        { kind: 'look' },
      ),
      step(
        'off',
        'strip',
        17,
        'Master off it, vacuum hose and rod off; pedal barred while it is away.',
        'A press throws the rod, and the reaction disc falls into the servo.',
        { enters: 'removed', needs: [record('pedal_barred')] },
      ),
      step(
        'rod',
        'gauge',
        10,
        'Rod’s length and play measured, halves marked, before they part or it is packed; a crack or a loose rod sends it out.',
        'A rod a millimetre long keeps the brakes on.',
        { kind: 'figure', at: 'bench', needs: [after('off')] },
      ),
      step('on', 'fit', 15, 'Bolt it in, set the rod.', 'A rod a millimetre long keeps the brakes on.', {
        ...RENEWED,
        enters: 'fitted',
        needs: [record('arrived'), after('rod')],
      }),
      step(
        'vacuum',
        'fit',
        15,
        'Check valve and hose the right way round; held vacuum by a hand pump, its rod held in.',
        'With the master off any other try throws the rod.',
        {
          ...{ ...RENEWED, kind: 'look', needs: [after('on')], hazard: 'Never press the pedal while the master is off.' },
        },
      ),
    ],
  ),
  card(
    'hub',
    'Hub and bearing',
    ['hub'],
    [...RENEWS],
    [
      step(
        'nut_loosened',
        'before lifting',
        3,
        'Loosen the nut on the ground; hand of thread first.',
        'On stands the pull brings the vehicle down; one side is left-handed.',
        {
          hazard: 'Never pull at a vehicle on stands.',
          unlike: 'Nuts of one side may be left-handed: the arrow of the other side says nothing here.',
        },
      ),
      step(
        'off',
        'strip',
        15,
        'Hub off, seal and races out as sets; a keyed taper by a puller on the hub, not the rim; which hub drives the speedometer noted.',
        'A race with another bearing runs hot.',
        {
          ...{ enters: 'removed', needs: [after('nut_loosened')] },
          unlike: 'One hub drives the speedometer: the two are not the same part.',
        },
      ),
      step('washed', 'clean', 8, 'Wash, look at races and spindle.', 'Blue or pitted, it takes the new one with it.', {
        at: 'washer',
        kind: 'look',
      }),
      step(
        'packed',
        'assemble',
        14,
        'Bearing packed through, the hollow of the hub a third full, cap empty.',
        'Surplus grease ends on the linings.',
        {
          ...{
            lubricant: lubricant('bearing_grease', 'through the bearing, hollow of the hub a third full', 'in the cap'),
            needs: [record('arrived')],
          },
        },
      ),
      step('seal_last', 'assemble', 4, 'Seal in last, lip to the grease.', 'Pressed in before the bearing it is pushed out again.', {
        takes: [piece('Hub seal')],
        needs: [after('packed')],
      }),
      step(
        'float',
        'fit',
        9,
        'Tighten while turning, back off, take the float; shims or crush sleeve by the maker’s figure.',
        'Too tight runs hot and picks up; too loose knocks the pads back and lets the drum wander.',
        {
          ...{ kind: 'figure', enters: 'fitted', needs: [after('seal_last')] },
        },
      ),
      step(
        'pinned',
        'fit',
        3,
        'Keyed washer, new split pin: for float back to the hole, for torque on to the next.',
        'A pin used twice breaks where it was bent.',
        { takes: [piece('Split pin')], needs: [after('float')], second: true },
      ),
    ],
  ),
  card(
    'balance_bar',
    'Balance bar',
    ['balance_bar'],
    [...RENEWS],
    [
      step('noted', 'strip', 5, 'Offset, rods’ lengths and threads recorded.', 'The offset is the balance of the vehicle.', {
        kind: 'figure',
      }),
      step('off', 'strip', 10, 'Bar out.', 'Its bearing seizes where nobody looks.', { enters: 'removed', needs: [after('noted')] }),
      step('on', 'fit', 15, 'Bar in, free at full tilt.', 'A bar that binds makes one circuit do all.', {
        enters: 'fitted',
        needs: [record('arrived')],
      }),
      step('set', 'fit', 10, 'Adjuster cable both ways, offset as it was.', 'Turned the wrong way the rear locks first.', {
        kind: 'figure',
        needs: [after('on')],
      }),
    ],
  ),
];
