/**
 * What each fault makes visible, and how often by itself. One line a link:
 * fault | observation | strength | where it shows | reasoning
 *
 * Where: system (no wheel), here (the fault's own wheel), axle (both wheels of its axle), circuit (every wheel of its
 * circuit), all (every wheel), away and toward (the vehicle pulls so, by the side of the fault), own and other (the axle
 * that locks early: the fault's own, or the other one).
 * What follows from a drag (heat, smell) follows alike for all that drags, and stands in its own table: signs of one drag do
 * not count thrice.
 * Source: handbook 30, Faults and Quick checks; 35, Links to mend. Strengths are how often somebody who looks sees it where the fault alone is
 * present; each line says why.
 */
export const LINKS_TABLE = `
master_passes      | pedal_sinks         | 0.85 | system  | Fluid goes round the lip under a steady push
master_passes      | pedal_low_pumps_up  | 0.35 | system  | A quick stroke outruns a worn lip
master_passes      | pedal_soft_plugged  | 0.9  | system  | With the outlets plugged only the cylinder is left
master_passes      | long_stop           | 0.4  | system  | Pressure is lost while it is held
master_leaks       | wet_below_master    | 0.85 | system  | It comes out at the boot
master_leaks       | servo_wet           | 0.4  | system  | Into the servo where there is one
master_leaks       | level_low           | 0.7  | system  | What leaks is missing
master_leaks       | pedal_sinks         | 0.3  | system  | Only when it leaks fast
master_stuck_out   | pedal_hard_no_stop  | 0.95 | system  | It cannot move
master_port        | drags               | 0.85 | circuit | Fluid cannot go back
master_port        | tightens_warm       | 0.9  | system  | It swells as it warms and has nowhere to go
master_port        | no_fountain         | 0.95 | system  | No return through the port
master_port        | pedal_play_none     | 0.3  | system  | The pedal stands on what is trapped
master_bore        | pedal_sinks         | 0.5  | system  | The lip passes over a pit
master_bore        | fluid_sludge        | 0.4  | system  | Its rust is in the fluid
master_wrong_bore  | pedal_more_effort   | 0.45 | system  | A larger bore asks for more force
master_wrong_bore  | pedal_play_excessive | 0.25 | system | A smaller one for more travel
master_wrong_bore  | repair_visible      | 0.5  | system  | Somebody fitted it
pushrod_no_play    | pedal_play_none     | 0.95 | system  | What it says
pushrod_no_play    | drags               | 0.75 | circuit | The port stays covered
pushrod_no_play    | tightens_warm       | 0.8  | system  | And more so warm
pushrod_no_play    | no_fountain         | 0.85 | system  | The cup never opens the port
pushrod_much_play  | pedal_play_excessive | 0.9 | system  | What it says
pushrod_much_play  | pedal_low_pumps_up  | 0.3  | system  | The stroke is short
circuit_lost       | difference_lamp     | 0.7  | system  | Where a lamp is there
circuit_lost       | long_stop           | 0.8  | system  | Half of the brakes
circuit_lost       | pedal_play_excessive | 0.5 | system  | The first part of the stroke does nothing
circuit_lost       | pedal_soft_plugged  | 0.6  | system  | The cylinder is at fault
reservoir_vent     | drags               | 0.35 | circuit | Vacuum or pressure over the fluid
reservoir_vent     | pedal_no_return     | 0.25 | system  | Sucked slowly back
air_in_system      | pedal_spongy        | 0.92 | system  | It is the feel of air
air_in_system      | pedal_low_pumps_up  | 0.75 | system  | Compressed by the first stroke
air_in_system      | long_stop           | 0.4  | system  | The stroke runs out
fluid_water        | fluid_water         | 0.9  | system  | The tester shows it
fluid_water        | fluid_dark          | 0.4  | system  | Water comes with age
fluid_water        | fades               | 0.4  | system  | It boils
fluid_wrong        | cap_swollen         | 0.9  | system  | Rubber grows in mineral oil
fluid_wrong        | drags               | 0.7  | all     | Seals swell and hold
fluid_wrong        | pedal_no_return     | 0.4  | system  | As does the master's
fluid_sludge       | fluid_sludge        | 0.9  | system  | It is seen in the reservoir
fluid_sludge       | fluid_dark          | 0.7  | system  | Before it settles
fluid_sludge       | bleeder_blocked     | 0.25 | all     | It settles at the lowest points
fluid_lost         | level_empty         | 0.9  | system  | What it says
fluid_lost         | pedal_to_floor      | 0.7  | system  | Air instead of fluid
fluid_lost         | pedal_spongy        | 0.5  | system  | Before it is quite empty
pedal_dry          | pedal_no_return     | 0.85 | system  | It sticks
pedal_dry          | pedal_more_effort   | 0.4  | system  | And rubs
pedal_dry          | drags               | 0.3  | all     | The cylinder is held on a little
pedal_spring       | pedal_no_return     | 0.75 | system  | Nothing pulls it back
pedal_spring       | stop_lamp           | 0.3  | system  | The lamp stays on
pedal_flexes       | pedal_spongy        | 0.6  | system  | The metal gives instead of the fluid
lever_dry          | pedal_no_return     | 0.85 | system  | It sticks
servo_diaphragm    | servo_none          | 0.7  | system  | No difference left across it
servo_diaphragm    | servo_hiss          | 0.75 | system  | Air goes through
servo_diaphragm    | servo_vacuum_lost   | 0.8  | system  | It does not hold
servo_diaphragm    | pedal_more_effort   | 0.8  | system  | The leg does it alone
servo_check_valve  | servo_vacuum_lost   | 0.9  | system  | It goes back to the engine
servo_check_valve  | servo_no_fall       | 0.3  | system  | Nothing in store
servo_supply       | servo_no_fall       | 0.8  | system  | Little comes
servo_supply       | servo_none          | 0.5  | system  | Or nothing
servo_supply       | pedal_more_effort   | 0.8  | system  | The leg does it alone
servo_sticks_on    | drags               | 0.6  | all     | It goes on pushing
servo_sticks_on    | pedal_no_return     | 0.5  | system  | It holds the pedal down
servo_rod          | servo_rattle        | 0.7  | system  | Loose
servo_rod          | pedal_play_excessive | 0.6 | system  | Play before anything moves
servo_shell        | servo_hiss          | 0.5  | system  | Through the crack
servo_shell        | servo_vacuum_lost   | 0.8  | system  | It does not hold
servo_shell        | servo_none          | 0.5  | system  | Or does nothing
servo_filter       | pedal_more_effort   | 0.4  | system  | Air comes too slowly
hose_flap          | drags               | 0.85 | here    | Fluid comes and does not go back
hose_flap          | still_drags_union   | 0.95 | here    | The union at the master opens nothing: the hose holds it
hose_flap          | hose_bad            | 0.35 | system  | Seldom to be seen outside
hose_flap          | pull                | 0.4  | toward  | That wheel is never free
hose_blocked       | no_braking          | 0.85 | here    | Nothing arrives
hose_blocked       | bleeder_dry         | 0.8  | here    | Not even with the bleeder open
hose_blocked       | pull                | 0.7  | away    | The other side brakes alone
hose_swells        | pedal_spongy        | 0.6  | system  | It takes fluid as it grows
hose_swells        | hose_bad            | 0.7  | system  | Seen and felt under pressure
hose_swells        | clamp_hardens       | 0.8  | here    | Clamped, the pedal is hard
hose_weeps         | hose_bad            | 0.8  | system  | Wet at the crimp
hose_weeps         | level_low           | 0.6  | system  | What leaks is missing
hose_weeps         | fluid_at_wheel      | 0.5  | here    | It runs down
line_blocked       | bleeder_dry         | 0.75 | circuit | Nothing comes
line_blocked       | no_braking          | 0.6  | circuit | Nothing arrives
line_rusted        | line_rusted         | 0.85 | system  | Seen on the lift
line_rusted        | level_low           | 0.6  | system  | Once it is through
line_rusted        | pedal_to_floor      | 0.3  | system  | Once it bursts
union_leaks        | level_low           | 0.6  | system  | Slowly
union_leaks        | repair_visible      | 0.3  | system  | Somebody was there
valve_stuck        | long_stop           | 0.3  | system  | One axle does too little
balance_bar        | locks               | 0.6  | own     | The share of the axles is wrong
piston_seized      | drags               | 0.75 | here    | It does not come back
piston_seized      | piston_stiff        | 0.95 | here    | The lever says so
piston_seized      | still_drags_bleeder | 0.95 | here    | No pressure, and it still holds
piston_seized      | no_braking          | 0.25 | here    | Stuck out of reach of the rotor
piston_seized      | pull                | 0.5  | away    | That side does less
piston_seized      | pads_uneven         | 0.6  | here    | Its pad wears apart from the others
seal_hard          | drags               | 0.55 | here    | Nothing pulls it back
seal_hard          | still_drags_bleeder | 0.8  | here    | It is the seal, not pressure
piston_leaks       | fluid_at_wheel      | 0.9  | here    | It runs out
piston_leaks       | boots_wet           | 0.9  | here    | Behind the boot first
piston_leaks       | level_low           | 0.6  | system  | What leaks is missing
slides_seized      | drags               | 0.6  | here    | It cannot centre itself
slides_seized      | pads_uneven         | 0.8  | here    | The inner pad does all the work
slides_seized      | slides_stiff        | 0.95 | here    | Moved by hand
slides_seized      | still_drags_bleeder | 0.85 | here    | Mechanical
slides_seized      | pull                | 0.35 | away    | That side does less
halves_leak        | fluid_at_wheel      | 0.8  | here    | Between the halves
halves_leak        | level_low           | 0.5  | system  | What leaks is missing
bleeder_blocked_f  | bleeder_blocked     | 0.95 | here    | Nothing comes, the bleeder out and it does
pads_worn          | lining_thin         | 0.95 | here    | Gauged
pads_worn          | noise               | 0.5  | system  | Metal on metal
pads_worn          | pedal_play_excessive | 0.2 | system  | The pistons stand far out
pads_contaminated  | lining_bad          | 0.85 | here    | Seen
pads_contaminated  | pull                | 0.6  | away    | It does not grip, or grabs
pads_contaminated  | noise               | 0.4  | system  | Squeal
pads_wrong         | noise               | 0.35 | system  | Squeal
pads_wrong         | long_stop           | 0.4  | system  | The wrong mix
pads_wrong         | fades               | 0.3  | system  | The wrong mix
rotor_runout_f     | runout_past         | 0.9  | here    | Swept
rotor_runout_f     | judder              | 0.65 | system  | Felt at the wheel or pedal
rotor_runout_f     | pedal_pulses        | 0.6  | system  | Pads are pushed back
rotor_runout_f     | pedal_play_excessive | 0.25 | system | Knocked back pads
rotor_uneven       | variation_past      | 0.9  | here    | Gauged
rotor_uneven       | pedal_pulses        | 0.9  | system  | Thick and thin under the pads
rotor_uneven       | judder              | 0.8  | system  | As strong as the difference
rotor_thin         | rotor_thin_past     | 0.98 | here    | Gauged
rotor_cracked      | noise               | 0.3  | system  | A tick at each turn
rotor_cracked      | judder              | 0.3  | system  | When it opens
rotor_dirty        | pull                | 0.4  | away    | Does not grip
rotor_dirty        | noise               | 0.4  | system  | Squeal
wc_seized          | no_braking          | 0.5  | here    | The shoes do not move
wc_seized          | drags               | 0.4  | here    | Or do not come back
wc_seized          | piston_stiff        | 0.9  | here    | By the lever
wc_seized          | pull                | 0.5  | away    | That side does less
wc_seized          | still_drags_bleeder | 0.7  | here    | Mechanical
wc_leaks           | fluid_at_wheel      | 0.8  | here    | Down the backing plate
wc_leaks           | boots_wet           | 0.95 | here    | Boots pulled back
wc_leaks           | lining_bad          | 0.6  | here    | On the lining below
wc_leaks           | level_low           | 0.6  | system  | What leaks is missing
wc_leaks           | pedal_spongy        | 0.3  | system  | Where fluid comes out air goes in
shoes_worn         | lining_thin         | 0.95 | here    | Gauged
shoes_worn         | pedal_low_pumps_up  | 0.4  | system  | Long way to the drum
shoes_worn         | park_long           | 0.4  | system  | As for the cable
shoes_contaminated | lining_bad          | 0.9  | here    | Seen
shoes_contaminated | pull                | 0.6  | away    | Does not grip
shoes_contaminated | locks               | 0.35 | own     | Or grabs
shoes_swapped      | pull                | 0.45 | away    | The pairs do not work alike
shoes_swapped      | locks               | 0.35 | own     | One grabs
shoes_swapped      | noise               | 0.3  | system  | Springs ring
adjuster_seized    | adjuster_stiff      | 0.95 | here    | Tried
adjuster_seized    | pedal_low_pumps_up  | 0.55 | system  | It cannot be taken up
adjuster_seized    | park_long           | 0.5  | system  | As for the cable
over_adjusted      | drags               | 0.9  | here    | The shoes touch all round
over_adjusted      | still_drags_bleeder | 0.95 | here    | No pressure about it
shoe_hangs         | drags               | 0.5  | here    | It stays in the groove
shoe_hangs         | still_drags_bleeder | 0.9  | here    | Mechanical
drum_oversize      | pedal_low_pumps_up  | 0.35 | system  | Long way to the drum
drum_oversize      | drum_past           | 0.95 | here    | Gauged
drum_oval          | pedal_pulses        | 0.7  | system  | The shoes follow it
drum_oval          | judder              | 0.6  | system  | Felt at low speed too
drum_oval          | drum_oval_past      | 0.95 | here    | Gauged
drum_oval          | judder_parking      | 0.8  | system  | With the lever alone, where it is a rear one
drum_rusted_on     | locked              | 0.95 | here    | It cannot be turned
drum_rusted_on     | drum_stuck          | 0.7  | here    | Nor taken off
bearing_loose      | bearing_play        | 0.95 | here    | Pulled and pushed
bearing_loose      | pedal_low_pumps_up  | 0.5  | system  | Pads knocked back: the first pedal is low, the second good
bearing_loose      | runout_past         | 0.4  | here    | The dial sees the bearing
bearing_worn       | bearing_play        | 0.8  | here    | Pulled and pushed
bearing_worn       | noise               | 0.6  | system  | It rumbles
outside_pull       | pull                | 0.5  | toward  | Under braking and without
outside_pull       | judder              | 0.25 | system  | Wheels and bushes
park_cable_seized  | park_frozen         | 0.6  | system  | It does not move
park_cable_seized  | park_drags          | 0.7  | system  | It does not go back
park_cable_seized  | drags               | 0.4  | rear    | It holds the rear wheels
park_cable_seized  | still_drags_bleeder | 0.7  | rear    | Mechanical
park_cable_seized  | cable_holds         | 0.9  | rear    | Taken off at the wheel, it is free
park_cable_seized  | park_no_hold        | 0.4  | system  | Or does not pull
park_maladjusted   | park_long           | 0.7  | system  | Cable slack
park_maladjusted   | park_no_hold        | 0.6  | system  | It runs out of travel
park_maladjusted   | drags               | 0.2  | rear    | Or is too tight
park_maladjusted   | cable_holds         | 0.4  | rear    | Too tight: taken off it is free
park_pin           | park_frozen         | 0.7  | system  | The lever at the wheel is stuck
park_pin           | park_drags          | 0.5  | system  | Or stays on
park_linkage       | park_long           | 0.7  | system  | Play in every joint
park_linkage       | park_no_grip        | 0.3  | system  | Nothing left at the shoes
rods_out           | pull                | 0.6  | away    | One wheel before the other
rods_out           | locks               | 0.5  | own     | One axle before the other
rods_out           | long_stop           | 0.5  | system  | Half of them idle
clevis_worn        | pedal_play_excessive | 0.8 | system  | It all adds up at the pedal
clevis_worn        | long_stop           | 0.3  | system  | And is lost at the wheel
wedge_seized       | no_braking          | 0.5  | here    | It does not spread
wedge_seized       | drags               | 0.5  | here    | Or does not close
wedge_seized       | pull                | 0.5  | away    | That side does less
shoes_off_centre   | pull                | 0.4  | away    | Unequal contact
shoes_off_centre   | long_stop           | 0.5  | system  | Little of the lining works
slave_leaks        | clutch_spongy       | 0.6  | system  | Air goes in where fluid goes out
slave_leaks        | level_low           | 0.6  | system  | What leaks is missing
clutch_passes      | clutch_spongy       | 0.6  | system  | It creeps
clutch_air         | clutch_spongy       | 0.9  | system  | The feel of air
master_wrong_bore  | bore_differs        | 0.95 | system  | It stands on it
master_bore        | bore_rust           | 0.7  | system  | Where the outlet lets one look
master_passes      | pedal_to_floor      | 0.15 | system  | When the lips are quite gone
master_residual    | drags               | 0.45 | circuit | Pressure is kept that should go
master_residual    | pressure_left       | 0.7  | system  | It is kept
master_residual    | pedal_low_pumps_up  | 0.4  | system  | Or cups draw back too far
master_port        | pressure_left       | 0.85 | system  | Nothing lets it go
pushrod_no_play    | pressure_left       | 0.8  | system  | The port stays covered
master_stuck_home  | no_fountain         | 0.9  | system  | Nothing moves
master_stuck_out   | no_fountain         | 0.9  | system  | Nothing moves
circuit_lost       | pedal_low_pumps_up  | 0.3  | system  | A long first stroke
reservoir_vent     | vent_blocked        | 0.95 | system  | Tried by mouth or hose
air_in_system      | bubbles             | 0.9  | system  | They come out
fluid_lost         | bubbles             | 0.8  | system  | Air took its place
fluid_sludge       | bleeder_dry         | 0.1  | all     | Packed solid
pedal_dry          | pivot_stiff         | 0.95 | system  | Moved by itself
lever_dry          | pivot_stiff         | 0.95 | system  | Moved by itself
pedal_spring       | spring_slack        | 0.9  | system  | It does not lift it
pedal_dry          | spring_slack        | 0.5  | system  | Nor against the pivot
pedal_stop         | stop_off            | 0.9  | system  | What it says
pedal_stop         | pedal_play_none     | 0.4  | system  | The rod is held in
pedal_stop         | pedal_play_excessive | 0.3 | system  | Or starts too far out
pedal_flexes       | bulkhead_moves      | 0.95 | system  | Watched from the side
servo_check_valve  | valve_blows         | 0.95 | system  | Blown through
servo_supply       | supply_weak         | 0.95 | system  | Gauged
servo_sticks_on    | servo_on            | 0.95 | system  | Let off, it frees
servo_filter       | filter_blocked      | 0.9  | system  | Seen
hose_blocked       | dry_hose_end        | 0.95 | here    | What it says
line_blocked       | dry_hose_end        | 0.8  | circuit | Nothing comes so far
line_blocked       | dry_line_end        | 0.9  | circuit | Nothing comes so far
master_stuck_out   | dry_line_end        | 0.9  | circuit | Nothing is sent
master_stuck_out   | dry_hose_end        | 0.9  | circuit | Nothing is sent
union_leaks        | joint_wet           | 0.9  | here    | Wiped dry and looked at again
line_rusted        | joint_wet           | 0.3  | here    | Where it went through
hose_weeps         | hose_bad_here       | 0.9  | here    | Wet, wiped and wet again
hose_swells        | hose_bad_here       | 0.8  | here    | Bent and pressed by hand
hose_flap          | hose_bad_here       | 0.4  | here    | Hard and old
hose_blocked       | hose_bad_here       | 0.4  | here    | Hard and old
valve_stuck        | valve_share_off     | 0.9  | system  | Gauged at two wheels
valve_shuttled     | difference_lamp     | 0.9  | system  | It says so
valve_shuttled     | no_braking          | 0.2  | all     | One circuit shut off
balance_bar        | bar_off             | 0.9  | system  | Looked at and turned
bar_remote         | bar_dead            | 0.95 | system  | Tried
bar_remote         | locks               | 0.3  | own     | It stays where it was
seal_hard          | no_rollback         | 0.9  | here    | By a feeler, released
piston_seized      | no_rollback         | 0.6  | here    | Nor does it go back
rotor_cracked      | crack_seen          | 0.9  | here    | Cleaned and looked at
rotor_dirty        | face_greasy         | 0.9  | here    | A white cloth
pads_wrong         | lining_not_as_drawn | 0.85 | here    | Compared with the drawing
pads_contaminated  | face_greasy         | 0.3  | here    | It is on both
shoes_swapped      | lining_not_as_drawn | 0.95 | here    | Compared with the drawing and the other side
shoe_springs       | drags               | 0.5  | here    | Nothing pulls them off
shoe_springs       | still_drags_bleeder | 0.8  | here    | Mechanical
shoe_springs       | springs_slack       | 0.9  | here    | By hand
shoe_springs       | noise               | 0.3  | system  | They ring
shoe_hangs         | plate_grooved       | 0.95 | here    | A step under the shoe
shoes_off_centre   | contact_part        | 0.9  | here    | Bright on heel or toe alone
drum_oversize      | contact_part        | 0.3  | here    | The radii differ
bearing_worn       | bearing_rough       | 0.9  | here    | It grinds
outside_pull       | outside_play        | 0.9  | here    | Pressures, joints, bushes gone through
park_cable_seized  | cable_stiff         | 0.95 | system  | Unhooked, drawn by hand
park_pin           | pin_stiff           | 0.95 | system  | Cable off, by hand
park_linkage       | park_joint_play     | 0.95 | system  | By hand
park_maladjusted   | park_slack          | 0.9  | system  | What it says
rods_out           | rods_uneven         | 0.9  | system  | Wheels turned, lever pulled hole by hole
clevis_worn        | clevis_play         | 0.95 | system  | By hand
wedge_seized       | wedge_stiff         | 0.95 | here    | By hand
slave_leaks        | slave_wet           | 0.9  | system  | Boot pulled back
clutch_passes      | clutch_creeps       | 0.9  | system  | Held for a minute in gear
clutch_air         | clutch_bubbles      | 0.9  | system  | They come out
pads_contaminated  | fades               | 0.3  | system  | What is in it smears
pads_contaminated  | lining_soaked       | 0.9  | here    | Dark, wet, swollen
shoes_contaminated | lining_soaked       | 0.9  | here    | Dark, wet, swollen
wc_leaks           | lining_soaked       | 0.4  | here    | Where it has run down long enough
piston_leaks       | lining_soaked       | 0.3  | here    | Where it has run down long enough
pads_worn          | lining_low          | 0.85 | here    | Seen from the edge
shoes_worn         | lining_low          | 0.8  | here    | Seen from the edge
piston_seized      | locked              | 0.12 | here    | Its pads rusted to the rotor
over_adjusted      | locked              | 0.2  | here    | Taken up hard
hose_flap          | locked              | 0.15 | here    | A hard stop stays in it
master_port        | locked              | 0.1  | circuit | What is trapped grows
pushrod_no_play    | locked              | 0.1  | circuit | Stroke by stroke
servo_sticks_on    | locked              | 0.15 | all     | It goes on pushing
park_cable_seized  | locked              | 0.2  | rear    | Pulled when it was laid up
wedge_seized       | locked              | 0.15 | here    | Spread, and stays so
bearing_worn       | hot                 | 0.2  | here    | The bearing itself
over_adjusted      | tightens_warm       | 0.4  | system  | The lining grows before the drum does
shoes_contaminated | fades               | 0.3  | system  | What is in it smears
shoes_off_centre   | fades               | 0.25 | system  | Little of the lining does all the work
drum_oversize      | fades               | 0.15 | system  | A thin drum stores less
pads_contaminated  | pedal_more_effort   | 0.35 | system  | It does not grip
shoes_contaminated | pedal_more_effort   | 0.35 | system  | It does not grip
pads_wrong         | pedal_more_effort   | 0.35 | system  | A mix that wants heat
pads_contaminated  | pedal_hard_no_stop  | 0.15 | system  | Soaked or glazed through, at more than one wheel
shoes_contaminated | pedal_hard_no_stop  | 0.15 | system  | Soaked or glazed through, at more than one wheel
wc_seized          | pedal_hard_no_stop  | 0.1  | system  | Nothing moves there
line_blocked       | pedal_hard_no_stop  | 0.2  | system  | The fluid has nowhere to go
wedge_seized       | pedal_hard_no_stop  | 0.15 | system  | Nothing moves there
pads_contaminated  | long_stop           | 0.3  | system  | One axle does too little
shoes_contaminated | long_stop           | 0.35 | system  | One axle does too little
piston_seized      | long_stop           | 0.15 | system  | One wheel does too little
wc_seized          | long_stop           | 0.2  | system  | One wheel does too little
hose_blocked       | long_stop           | 0.3  | system  | One wheel does nothing
line_blocked       | long_stop           | 0.5  | system  | A circuit does nothing
servo_diaphragm    | long_stop           | 0.35 | system  | The leg does it alone
servo_supply       | long_stop           | 0.35 | system  | The leg does it alone
fluid_water        | long_stop           | 0.15 | system  | Once it is hot
pads_contaminated  | locks               | 0.15 | own     | Or grabs
pads_wrong         | locks               | 0.15 | own     | They bite at once
shoes_contaminated | noise               | 0.3  | system  | Squeal
shoes_worn         | noise               | 0.4  | system  | Rivets on the drum
shoe_hangs         | noise               | 0.2  | system  | It clicks as it goes over the step
slides_seized      | noise               | 0.2  | system  | A pad worn to its plate
pads_worn          | level_low           | 0.5  | system  | The pistons stand far out, and the fluid behind them
shoes_worn         | level_low           | 0.2  | system  | As for the cups
bearing_loose      | judder              | 0.3  | system  | The wheel moves under the brake
rods_out           | no_braking          | 0.2  | all     | A rod too long does nothing
foot_dry           | pedal_no_return     | 0.85 | system  | It sticks
foot_dry           | pivot_stiff         | 0.95 | system  | Moved by itself
foot_dry           | drags               | 0.3  | rear    | The rear is held on a little
switch_dead        | stop_lamp           | 0.95 | system  | What it says
park_shoes_worn    | park_no_grip        | 0.8  | system  | They move and do not grip
park_shoes_worn    | park_no_hold        | 0.6  | system  | They do not grip
park_shoes_worn    | park_long           | 0.4  | system  | A long way to the drum
park_shoes_worn    | park_shoes_bad      | 0.95 | here    | Drum off, looked at
shoes_contaminated | park_no_grip        | 0.35 | system  | Where they are the rear ones
shoes_contaminated | park_no_hold        | 0.4  | system  | Where they are the rear ones
shoes_worn         | park_no_hold        | 0.3  | system  | Where they are the rear ones
drum_rusted_on     | park_drags          | 0.3  | system  | It never let go
shoes_off_centre   | park_no_hold        | 0.4  | system  | The lever works the same shoes
band_worn          | lining_thin         | 0.95 | here    | Gauged
band_worn          | lining_low          | 0.9  | here    | It is seen without taking anything off
band_worn          | pedal_low_pumps_up  | 0.4  | system  | A long way to the drum
band_worn          | noise               | 0.4  | system  | Rivets on the drum
band_worn          | park_long           | 0.4  | system  | Where the lever works it
band_worn          | park_no_hold        | 0.3  | system  | Where the lever works it
band_contaminated  | lining_soaked       | 0.9  | here    | Dark, wet, swollen
band_contaminated  | lining_bad          | 0.9  | here    | Seen
band_contaminated  | pull                | 0.6  | away    | It slips
band_contaminated  | locks               | 0.2  | own     | Or grabs, as it dries
band_contaminated  | long_stop           | 0.5  | system  | A wet band hardly holds
band_contaminated  | noise               | 0.3  | system  | Squeal
band_contaminated  | park_no_hold        | 0.4  | system  | Where the lever works it
band_tight         | drags               | 0.9  | here    | It touches all round
band_tight         | tightens_warm       | 0.5  | system  | The drum grows into the band
band_tight         | locked              | 0.2  | here    | Taken up hard
band_hangs         | drags               | 0.7  | here    | It rides on the drum
band_hangs         | springs_slack       | 0.6  | here    | By hand
band_hangs         | adjuster_stiff      | 0.4  | here    | Anchor or setting bolt rusted
band_unset         | contact_part        | 0.9  | here    | Bright at the anchor or at the ends alone
band_unset         | pull                | 0.4  | away    | One side bites later
band_unset         | long_stop           | 0.5  | system  | Little of the lining works
band_unset         | noise               | 0.3  | system  | It chatters
band_unset         | drags               | 0.3  | here    | Where it stands closest
band_drum_oval     | pedal_pulses        | 0.6  | system  | The band follows it
band_drum_oval     | judder              | 0.3  | system  | Grip comes and goes
band_drum_oval     | drum_oval_past      | 0.95 | here    | Gauged
master_stuck_home  | no_braking          | 0.85 | circuit | Its piston stands at the end: nothing is sent
master_stuck_home  | bleeder_dry         | 0.9  | circuit | Nor comes any there
master_stuck_home  | dry_hose_end        | 0.9  | circuit | Nothing is sent
master_stuck_home  | dry_line_end        | 0.9  | circuit | Nothing is sent
master_stuck_home  | pedal_to_floor      | 0.8  | system  | Nothing is left to push
master_stuck_home  | pedal_no_return     | 0.3  | system  | The piston does not come back, the pedal may
master_stuck_home  | drags               | 0.3  | circuit | What was sent cannot come back
master_stuck_out   | no_braking          | 0.95 | circuit | Nothing is sent
master_stuck_out   | bleeder_dry         | 0.9  | circuit | Nothing is sent
fluid_lost         | no_braking          | 0.6  | all     | Air presses nothing
fluid_lost         | bleeder_dry         | 0.6  | all     | Air comes, or nothing
servo_rod          | servo_none          | 0.8  | system  | Nothing joins it to what it helps
servo_rod          | pedal_to_floor      | 0.5  | system  | It goes through without touching
servo_rod          | no_braking          | 0.8  | all     | Nothing reaches the cylinder
servo_rod          | pedal_disconnected  | 0.8  | system  | Joined to nothing
bleeder_blocked_f  | bleeder_dry         | 0.9  | here    | Opened, nothing comes: rust in its hole
wc_leaks           | pedal_sinks         | 0.35 | system  | What is held runs out
piston_leaks       | pedal_sinks         | 0.35 | system  | What is held runs out
hose_weeps         | pedal_sinks         | 0.4  | system  | What is held runs out
line_rusted        | pedal_sinks         | 0.35 | system  | What is held runs out
union_leaks        | pedal_sinks         | 0.25 | system  | What is held runs out
wc_leaks           | level_empty         | 0.4  | system  | Until nothing is left
hose_weeps         | level_empty         | 0.5  | system  | Burst, at once
line_rusted        | level_empty         | 0.5  | system  | Burst, at once
union_leaks        | level_empty         | 0.3  | system  | In weeks
piston_leaks       | level_empty         | 0.4  | system  | Until nothing is left
halves_leak        | level_empty         | 0.3  | system  | In weeks
master_leaks       | level_empty         | 0.3  | system  | In weeks
adjuster_seized    | drum_stuck          | 0.5  | here    | It cannot be backed off the ridge
over_adjusted      | drum_stuck          | 0.5  | here    | The shoes hold it
wc_seized          | drum_stuck          | 0.35 | here    | The shoes stand out and stay out
drum_oversize      | drum_stuck          | 0.3  | here    | The ridge of its wear catches the shoes
shoes_worn         | park_no_grip        | 0.6  | system  | Nothing left to grip
piston_seized      | still_drags_union   | 0.9  | here    | No pressure, and it still holds
slides_seized      | still_drags_union   | 0.85 | here    | Mechanical
over_adjusted      | still_drags_union   | 0.95 | here    | No pressure about it
park_cable_seized  | still_drags_union   | 0.7  | rear    | Mechanical
wedge_seized       | still_drags_union   | 0.9  | here    | Mechanical
wc_seized          | still_drags_union   | 0.85 | here    | Mechanical
shoe_hangs         | still_drags_union   | 0.6  | here    | Until it slips off the step
hose_flap          | pressure_left       | 0.6  | system  | It keeps what it let in
valve_stuck        | locks               | 0.5  | own     | What should hold its axle back does not
valve_stuck        | locks               | 0.2  | other   | Or holds it back for good
valve_early        | locks               | 0.4  | other   | The other axle does it alone
valve_early        | long_stop           | 0.4  | system  | One axle does too little
valve_early        | valve_share_off     | 0.9  | system  | Gauged at two wheels
shoes_off_centre   | drags               | 0.5  | here    | One end touches
shoes_off_centre   | lets_go_slowly      | 0.6  | here    | It works itself free
shoes_off_centre   | pedal_hard_no_stop  | 0.1  | system  | Heel or toe alone, at more than one wheel
shoes_slack        | pedal_low_pumps_up  | 0.85 | system  | A long way to the drum, gone at the second stroke
shoes_slack        | park_long           | 0.6  | system  | As for the cable
shoes_slack        | pedal_play_excessive | 0.2 | system  | What is called play is stroke
shoes_slack        | adjuster_slack      | 0.95 | here    | Counted
pads_stuck         | drags               | 0.6  | here    | The pad does not follow the piston back
pads_stuck         | pads_tight          | 0.95 | here    | By hand
pads_stuck         | still_drags_bleeder | 0.85 | here    | Mechanical
pads_stuck         | still_drags_union   | 0.85 | here    | Mechanical
pads_stuck         | pads_uneven         | 0.5  | here    | Worn at one end
pads_stuck         | pull                | 0.25 | away    | That side does less
caliper_lever      | drags               | 0.7  | here    | It holds the piston out
caliper_lever      | still_drags_bleeder | 0.9  | here    | Mechanical
caliper_lever      | still_drags_union   | 0.9  | here    | Mechanical
caliper_lever      | lever_stiff_here    | 0.95 | here    | Cable off, by hand
caliper_lever      | park_drags          | 0.5  | system  | It stays on
caliper_lever      | park_no_hold        | 0.3  | system  | Or does not go on
pads_glazed        | lining_bad          | 0.85 | here    | Seen: it shines
pads_glazed        | pedal_more_effort   | 0.5  | system  | It slides
pads_glazed        | long_stop           | 0.4  | system  | It slides
pads_glazed        | noise               | 0.3  | system  | Squeal
pads_glazed        | fades               | 0.2  | system  | Hot it slides more
pads_glazed        | pull                | 0.25 | away    | That side does less
shoes_glazed       | lining_bad          | 0.85 | here    | Seen: it shines
shoes_glazed       | pedal_more_effort   | 0.4  | system  | It slides
shoes_glazed       | long_stop           | 0.35 | system  | It slides
shoes_glazed       | noise               | 0.3  | system  | Squeal
shoes_glazed       | pull                | 0.25 | away    | That side does less
pin_bent           | pin_wobbles         | 0.95 | here    | Rolled on glass
pin_bent           | slides_stiff        | 0.6  | here    | At one end of its way
pin_bent           | pads_uneven         | 0.6  | here    | One pad does the work
pin_bent           | drags               | 0.4  | here    | It does not slide back
pin_bent           | still_drags_bleeder | 0.8  | here    | Mechanical
pin_bent           | still_drags_union   | 0.8  | here    | Mechanical
pairing_wrong      | new_on_old          | 0.8  | here    | Compared by eye
pairing_wrong      | judder              | 0.25 | system  | They touch in places
pairing_wrong      | noise               | 0.35 | system  | They touch in places
pairing_wrong      | contact_part        | 0.5  | here    | Bright in places
pairing_wrong      | long_stop           | 0.2  | system  | Until they fit each other
switch_leaks       | wet_below_master    | 0.4  | system  | Where it sits at the cylinder
switch_leaks       | level_low           | 0.5  | system  | What leaks is missing
switch_leaks       | stop_lamp           | 0.5  | system  | Fluid between its blades
clutch_leaks       | clutch_wet          | 0.9  | system  | At its boot, or the carpet below
clutch_leaks       | clutch_spongy       | 0.5  | system  | Air goes in where fluid goes out
clutch_leaks       | clutch_bite         | 0.5  | system  | Lower every week
clutch_leaks       | level_low           | 0.6  | system  | What leaks is missing
slave_leaks        | clutch_bite         | 0.6  | system  | Lower every week
clutch_passes      | clutch_bite         | 0.5  | system  | The stroke is lost
clutch_air         | clutch_bite         | 0.6  | system  | The stroke is lost
circuit_lost       | no_braking          | 0.45 | circuit | Either of the two
master_leaks       | level_sinks         | 0.6  | system  | Into the servo, or down the inside of the bulkhead
pads_worn          | level_sinks         | 0.3  | system  | Linings that wear draw it down
slave_leaks        | level_sinks         | 0.4  | system  | Into the bell housing, where nobody looks
slave_leaks        | level_empty         | 0.3  | system  | In weeks
clutch_leaks       | level_sinks         | 0.4  | system  | Into the carpet, where nobody looks
clutch_leaks       | level_empty         | 0.3  | system  | In weeks
fluid_lost         | clutch_spongy       | 0.7  | system  | Air in its place, where it is the clutch’s
wc_leaks           | level_sinks         | 0.4  | system  | Inside the drum, where nobody looks
union_leaks        | level_sinks         | 0.3  | system  | Where nobody looks
line_rusted        | level_sinks         | 0.3  | system  | Over the tank, where nobody looks
hose_flap          | lets_go_slowly      | 0.6  | here    | Pressure leaves through something narrow
hose_blocked       | lets_go_slowly      | 0.25 | here    | Nearly shut
master_port        | lets_go_slowly      | 0.35 | circuit | A port that is half open
pushrod_no_play    | lets_go_slowly      | 0.25 | circuit | A port that is half open
reservoir_vent     | lets_go_slowly      | 0.2  | circuit | Air comes in slowly
seal_hard          | lets_go_slowly      | 0.5  | here    | It creeps back
piston_seized      | lets_go_slowly      | 0.2  | here    | Where it is not quite seized
wc_seized          | lets_go_slowly      | 0.35 | here    | Where it is not quite seized
wedge_seized       | lets_go_slowly      | 0.4  | here    | Jolted free
shoe_springs       | lets_go_slowly      | 0.5  | here    | Little draws them back
shoe_hangs         | lets_go_slowly      | 0.4  | here    | It slips off the step
park_cable_seized  | lets_go_slowly      | 0.3  | rear    | It creeps back
pedal_dry          | lets_go_slowly      | 0.25 | all     | The pedal comes back late
rotor_runout_f     | judder_wheel        | 0.5  | system  | In front: it goes into the steering
rotor_uneven       | judder_wheel        | 0.7  | system  | In front: it goes into the steering
bearing_loose      | judder_wheel        | 0.25 | system  | The wheel moves under the brake
outside_pull       | judder_wheel        | 0.25 | system  | Joints and bushes
rotor_runout_f     | judder_seat         | 0.3  | system  | Behind: in the seat
rotor_uneven       | judder_seat         | 0.5  | system  | Behind: in the seat
drum_oval          | judder_seat         | 0.6  | system  | Behind: in the seat
drum_oval          | judder_wheel        | 0.5  | system  | In front: it goes into the steering
rotor_uneven       | judder_parking      | 0.5  | system  | Where the lever presses the same pads
rotor_thin         | rotor_lip           | 0.8  | here    | What is gone stands beside
pads_worn          | rotor_lip           | 0.3  | here    | They wore the rotor with them
rotor_runout_f     | hub_rust            | 0.5  | here    | It stands on it
shoes_swapped      | shoe_back           | 0.4  | here    | The pairs are not alike
shoe_springs       | shoe_back           | 0.4  | here    | One is drawn back and one not
wc_seized          | shoe_back           | 0.3  | here    | One piston comes out and one does not
wc_leaks           | deposit_outside     | 0.3  | here    | Where it dried
piston_leaks       | deposit_outside     | 0.4  | here    | Where it dried
piston_seized      | deposit_outside     | 0.35 | here    | Aluminium rusts white
`;

/**
 * What a sign brings about by itself. One line: sign | what follows | how often | reasoning
 * It is alike for every fault that makes the first, so that what follows says nothing more of which fault it is.
 * Source: handbook 35, One drag, one witness.
 */
export const FOLLOWS_TABLE = `
drags | hot   | 0.9 | What rubs is hot after a run
drags | blued | 0.5 | Where it was driven on for long
drags | smell | 0.4 | Hot lining
`;
