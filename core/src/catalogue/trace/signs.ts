/**
 * How often each thing is seen without any fault of the table, and what only a check or the bench brings out.
 * One line a sign: code | leak | how it becomes known (felt, checked, measured) | scope (system, corner, piece) | text | reasoning
 * A piece is one of several alike at a wheel (each piston), or one circuit of several.
 *
 * Felt signs are worded where they are asked; here stands their leak only.
 * Opposed outcomes of one check are one sign, named after the outcome that any single fault of it brings about by itself.
 * Source: handbook 30, How the evidence is weighed.
 */
export const SIGNS_TABLE = `
pedal_hard_no_stop  | 0.005 | felt     | system | - | Hardly ever without a cause
pedal_more_effort   | 0.03  | felt     | system | - | Habit: another car feels lighter
pedal_no_return     | 0.01  | felt     | system | - | A mat under the pedal
pedal_pulses        | 0.02  | felt     | system | - | A rough road
pedal_play_excessive | 0.02 | felt     | system | - | Habit
pedal_play_none     | 0.01  | felt     | system | - | Habit
pedal_spongy        | 0.03  | felt     | system | - | Some feel sponge in any old pedal
pedal_low_pumps_up  | 0.02  | felt     | system | - | Long travel is usual on some drums
pedal_sinks         | 0.01  | felt     | system | - | With the engine started meanwhile
pedal_to_floor      | 0.002 | felt     | system | - | Never without a cause
pedal_disconnected  | 0.001 | felt     | system | - | Never without a cause
clutch_spongy       | 0.02  | felt     | system | - | A worn clutch
clutch_bite         | 0.03  | felt     | system | - | A worn plate moves it as well
pulls_left          | 0.03  | felt     | system | - | The crown of the road
pulls_right         | 0.03  | felt     | system | - | The crown of the road
judder              | 0.02  | felt     | system | - | Wheels out of balance
judder_wheel        | 0.015 | felt     | system | - | Wheels out of balance
judder_seat         | 0.015 | felt     | system | - | A shaft or a tyre behind
locks_front         | 0.02  | felt     | system | - | A slippery road
locks_rear          | 0.02  | felt     | system | - | A slippery road
long_stop           | 0.04  | felt     | system | - | Old brakes are weaker than new ones
fades               | 0.03  | felt     | system | - | A long hill
smell               | 0.02  | felt     | system | - | Something else
noise               | 0.08  | felt     | system | - | Old brakes talk
tightens_warm       | 0.004 | felt     | system | - | Hardly ever without a cause
drags               | 0.02  | felt     | corner | - | A touch of the pads is nothing
lets_go_slowly      | 0.01  | felt     | corner | - | Cold grease
locked              | 0.003 | felt     | corner | - | In gear
no_braking          | 0.01  | felt     | corner | - | A weak helper on the pedal
hot                 | 0.03  | felt     | corner | - | It was braked
blued               | 0.01  | felt     | corner | - | An old mark
lining_bad          | 0.03  | felt     | corner | - | Glazed by gentle driving
bearing_play        | 0.01  | felt     | corner | - | Ball joint instead
drum_stuck          | 0.03  | felt     | corner | - | Rust at the hub alone
fluid_at_wheel      | 0.01  | felt     | corner | - | Axle oil, or a wet road
bleeder_dry         | 0.01  | felt     | corner | - | Not opened far enough
bleeder_blocked     | 0.01  | felt     | corner | - | Paint over it
level_low           | 0.05  | felt     | system | - | Linings wear and the level goes down
level_empty         | 0.003 | felt     | system | - | Never without a cause
level_sinks         | 0.02  | felt     | system | - | Linings that wear draw it down
fluid_dark          | 0.15  | felt     | system | - | It darkens by itself
fluid_sludge        | 0.01  | felt     | system | - | Dirt fell in
fluid_water         | 0.01  | felt     | system | - | The tester is out by so much
cap_swollen         | 0.02  | felt     | system | - | Age alone
wet_below_master    | 0.01  | felt     | system | - | Spilt when it was topped up
hose_bad            | 0.05  | felt     | system | - | Cracked outside and sound inside
line_rusted         | 0.06  | felt     | system | - | Brown, and thick enough still
repair_visible      | 0.2   | felt     | system | - | Most have been worked on
park_no_hold        | 0.03  | felt     | system | - | A weak arm
park_long           | 0.05  | felt     | system | - | Habit
park_frozen         | 0.005 | felt     | system | - | Frost in it
park_drags          | 0.01  | felt     | system | - | Not let off
park_no_grip        | 0.01  | felt     | system | - | Not pulled
servo_none          | 0.01  | felt     | system | - | The engine does not run
servo_hiss          | 0.02  | felt     | system | - | A little hiss is usual
servo_vacuum_lost   | 0.02  | felt     | system | - | A hose slipped off
servo_no_fall       | 0.02  | felt     | system | - | Tested with vacuum in store
servo_rattle        | 0.01  | felt     | system | - | Something else
servo_wet           | 0.01  | felt     | system | - | Petrol or oil from the engine
stop_lamp           | 0.04  | felt     | system | - | A lamp or its switch
difference_lamp     | 0.02  | felt     | system | - | Left so after bleeding
still_drags_bleeder | 0.02  | checked  | corner | Still drags with its bleeder open | Not let go long enough
still_drags_union   | 0.03  | checked  | corner | Still drags with the union at the master open | Pressure let go elsewhere
no_fountain         | 0.03  | checked  | system | No fountain in the reservoir as the pedal is let go | Not seen for the baffle
pedal_soft_plugged  | 0.02  | checked  | system | Low, spongy or sinking with the outlets plugged | Air under a plug
clamp_hardens       | 0.02  | checked  | corner | Pedal comes hard with this hose clamped | A shorter stroke
boots_wet           | 0.02  | checked  | piece  | Wet behind the boots | Assembly fluid
piston_stiff        | 0.01  | checked  | piece  | Piston goes back stiffly or not at all | A dirty bleeder
slides_stiff        | 0.01  | checked  | corner | Caliper does not slide by hand | Paint over it
pads_tight          | 0.03  | checked  | corner | Pads do not move freely in their guides | Dirt that a brush takes off
pin_wobbles         | 0.01  | checked  | corner | Slide pin bent: wobbles when it is rolled | Dirt on the glass
lever_stiff_here    | 0.01  | checked  | corner | Parking lever at the caliper stiff by hand | The cable was still on
adjuster_stiff      | 0.02  | checked  | corner | Adjuster does not turn | Turned the wrong way
adjuster_slack      | 0.05  | checked  | corner | Adjuster takes many clicks before the shoes touch | Some are set back on purpose to get the drum off
cable_holds         | 0.02  | checked  | corner | Free only with the parking cable off | Hung up
bulkhead_moves      | 0.01  | checked  | system | Bracket or bulkhead moves as the pedal is pressed | A little give is usual
pivot_stiff         | 0.01  | checked  | system | Pedal or lever stiff with its rod off | Dirt that one stroke clears
spring_slack        | 0.02  | checked  | system | Spring does not lift the empty pedal | Carpet under it
stop_off            | 0.02  | checked  | system | Pedal does not rest on its stop, or not at its height | Settings differ
bore_differs        | 0.005 | checked  | system | Bore marked on the cylinder is not the maker’s | A changed edition of the book
bore_rust           | 0.02  | checked  | system | Rust seen in the bore through an outlet | Stain of old fluid
vent_blocked        | 0.01  | checked  | system | No air through the vent of the cap | Wetted by fluid
pressure_left       | 0.02  | checked  | system | A jet at the bleeder long after the pedal was let go | Not waited long enough
bubbles             | 0.02  | checked  | system | Bubbles at a bleeder | Drawn in past its thread
joint_wet           | 0.02  | checked  | piece  | A union or joint wet | Spilt at the last bleeding
supply_weak         | 0.02  | checked  | system | Little vacuum at the servo hose | Engine cold
valve_blows         | 0.01  | checked  | system | Check valve lets through both ways | Held the wrong way round
servo_on            | 0.01  | checked  | system | Frees as the vacuum is let off | Coincidence of a second try
filter_blocked      | 0.02  | checked  | system | Air filter of the servo clogged | Dirty and still open
valve_share_off     | 0.02  | checked  | system | Line pressures do not follow the valve | A gauge that sticks
bar_off             | 0.02  | checked  | system | Balance bar jammed or off its mark | Set so on purpose
bar_dead            | 0.01  | checked  | system | Knob turns and the bar does not | At the end of its travel
cable_stiff         | 0.02  | checked  | system | Parking cable does not slide in its sheath, or its rod is stiff | A tight bend
pin_stiff           | 0.02  | checked  | system | Parking lever at a wheel stiff on its pin | Return spring alone
park_joint_play     | 0.03  | checked  | system | Play in the joints of the parking linkage | A little is usual
park_slack          | 0.02  | checked  | system | Parking cable slack or tight with the lever off | Taken up at the shoes next
rods_uneven         | 0.03  | checked  | system | Wheels do not bite at the same pull | Unequal floor
clevis_play         | 0.03  | checked  | system | Play in clevises and bushes | A little is usual
slave_wet           | 0.01  | checked  | system | Clutch slave wet behind its boot | Gearbox oil
clutch_wet          | 0.01  | checked  | system | Wet at the clutch cylinder in the car | Spilt when it was topped up
clutch_creeps       | 0.01  | checked  | system | Clutch creeps with its pedal held | A dragging plate
clutch_bubbles      | 0.02  | checked  | system | Bubbles at the clutch bleeder | Drawn in past its thread
hose_bad_here       | 0.02  | checked  | corner | This hose swollen, cracked, hard or wet | Dirt on it
dry_hose_end        | 0.02  | checked  | corner | No flow at the end of the hose | Pedal not pressed far enough
dry_line_end        | 0.02  | checked  | corner | No flow at the end of the line | Pedal not pressed far enough
crack_seen          | 0.003 | checked  | corner | A crack to be seen | A scratch
rotor_lip           | 0.15  | checked  | corner | A lip at the edge of the rotor | Every used one has a little
hub_rust            | 0.05  | checked  | corner | Rust under the rotor’s seat on the hub | A bloom that wipes off
new_on_old          | 0.03  | checked  | corner | New linings on an old face, or the other way round | It may be bedded in by now
shoe_back           | 0.02  | checked  | corner | One shoe sits further back than the other | Leading and trailing differ a little
deposit_outside     | 0.1   | checked  | corner | White deposit on a cylinder or caliper | Old spray from the road
face_greasy         | 0.02  | checked  | corner | Oil or grease on the swept face | Fingerprints
lining_soaked       | 0.005 | checked  | corner | Oil, grease or fluid in the lining | Overspray on it
lining_low          | 0.02  | checked  | corner | Lining low, by eye | A chamfered edge
lining_not_as_drawn | 0.01  | checked  | corner | Linings, shoes or springs not as the maker drew them | An edition of the drawing
contact_part        | 0.02  | checked  | corner | Lining bears on part of its length only | Not bedded in yet
plate_grooved       | 0.01  | checked  | corner | Groove in the backing plate under a shoe | A mark, no step
springs_slack       | 0.01  | checked  | corner | Shoe springs slack | Hung in the wrong hole
no_rollback         | 0.01  | checked  | piece  | Piston does not draw back after release, by a feeler | Rotor touches by itself
bearing_rough       | 0.02  | checked  | corner | Bearing rough, turned slowly | Pads that touch
outside_play        | 0.02  | checked  | corner | Tyre, joint, bush or alignment out on this side | Within its limit
park_shoes_bad      | 0.02  | checked  | corner | Parking shoes worn or greasy | Dust on them
wedge_stiff         | 0.01  | checked  | corner | Wedge or cam stiff by hand | Shoe springs
judder_parking      | 0.02  | checked  | system | Judders by the parking brake alone | A rough road
lining_thin         | 0.004 | measured | corner | Lining under its limit | Gauged at its end
pads_uneven         | 0.04  | checked  | corner | Pads worn apart from each other | Normal if slight
runout_past         | 0.01  | measured | corner | Rotor runs out past its limit | Rust on the face
variation_past      | 0.006 | measured | corner | Rotor thickness varies past its limit | Dirt under the anvil
rotor_thin_past     | 0.005 | measured | corner | Rotor under its limit | A lip under the anvil
drum_past           | 0.005 | measured | corner | Drum over its limit | Gauged on the ridge
drum_oval_past      | 0.006 | measured | corner | Drum out of round past its limit | Rust on it
`;
