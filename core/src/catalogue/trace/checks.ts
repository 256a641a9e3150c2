/**
 * Quick checks. One line a check:
 * id | name | minutes | helpers | scope (system, corner, wheels) | signs it settles | hazard | tools | steps
 *
 * Scope: corner is done at one wheel, jacked up for it; wheels at every wheel one after another: its minutes are those to set
 * it up + those at each wheel.
 * What stands before a question mark must be seen, any of it, at that wheel: the check says nothing otherwise.
 * Signs joined by a sign > are answered one after another: the next only where the one before is seen.
 * Hazards, several where several are: presses (the pedal is pressed: closed while a unit stands open), opens (the circuit is opened), clamps (a hose is
 * clamped), drives (the vehicle is driven), wheel (something turns or hangs), none.
 * Source: handbook 30, Quick checks; Follow the flow.
 */
export const CHECKS_TABLE = `
pedal_round    | Feel the pedal | 5 | 0 | system | pedal_spongy pedal_low_pumps_up pedal_sinks pedal_to_floor pedal_hard_no_stop pedal_more_effort pedal_no_return pedal_play_none pedal_play_excessive pedal_disconnected | presses | - | Play by hand, one slow stroke, two quick ones, a minute’s steady push, let go
hold_pedal     | Hold the pedal hard for a minute | 3 | 0 | system | pedal_sinks | presses | - | Engine off, servo used up; push steadily, watch the pedal against the wheel rim, once hard and once light
pump_up        | Pump the pedal | 2 | 0 | system | pedal_low_pumps_up pedal_spongy | presses | - | One stroke, then two quick ones: does the second stand higher, and is it hard
fountain       | Watch the reservoir as the pedal is let go | 4 | 1 | system | no_fountain | presses | lamp | Cap off, helper presses gently and lets go: a small fountain says that the port is open
reservoir      | Look into the reservoir and test the fluid | 5 | 0 | system | level_low level_empty level_sinks fluid_dark fluid_sludge cap_swollen vent_blocked fluid_water | none | lamp, tester | Level, colour, what lies at the bottom, the seal of the cap and its vent; a drop in the tester; marked, and looked at again days later
line_round     | Go along cylinder, servo and lines | 14 | 0 | system | wet_below_master servo_wet joint_wet line_rusted hose_bad repair_visible difference_lamp stop_lamp | presses | lamp, lift, rag | Boot pulled back, lamps on; under the clips, every joint wiped, the pedal held, each looked at again
pedal_box      | Look at the pedal and its bracket | 8 | 1 | system | bulkhead_moves pivot_stiff spring_slack stop_off | presses | lamp | Helper presses while you watch the bracket; rod off, move the pedal alone; its stop and height
bore_mark      | Read the bore on the cylinder | 4 | 0 | system | bore_differs | none | lamp, mirror | Clean the flange, compare with the maker’s figure
look_in_port   | Look into an outlet of the cylinder | 10 | 0 | system | bore_rust | opens | lamp, plug | Union off, plug at hand: rust, pits, sludge
spin           | Spin the wheel | 5 | 0 | corner | drags locked lets_go_slowly | wheel presses | stands | Wheel clear, press once and let go, then turn it by hand
spin_all       | Spin, rock and press at every wheel | 6+5 | 1 | wheels | drags locked lets_go_slowly no_braking bearing_play bearing_rough outside_play | presses | stands | All clear; press once and let go, turn each by hand, slowly, then with the pedal held; top and bottom, brake held to tell ball joint from bearing; pressures, joints and bushes on the way
spin_pressed   | Turn the wheel with the pedal down | 6 | 1 | corner | no_braking | presses | stands | Helper holds the pedal hard: the wheel must not turn
open_bleeder   | Open the bleeder of the dragging wheel | 8 | 1 | corner | drags ? still_drags_bleeder bleeder_blocked | opens presses | hose, bottle | Press and let go first; hose on, open: frees, or still drags
crack_union    | Crack the union at the master | 8 | 1 | corner | drags ? still_drags_union | opens presses | spanner, rag | Press and let go first; a quarter turn, rag round it, then turn the wheel
pressure_left  | Open a bleeder some minutes after the pedal | 6 | 0 | system | pressure_left bubbles | opens presses | hose, bottle | Press, let go, wait three minutes, open under fluid: a jet, bubbles, or nothing
plug_outlets   | Plug the outlets of the master | 20 | 1 | system | pedal_spongy pedal_sinks pedal_low_pumps_up ? pedal_soft_plugged | opens presses | plugs | Lines off, plugs in, cylinder filled: the pedal must stand high and hard
follow_flow    | Follow the flow | 15 | 1 | corner | no_braking ? bleeder_dry > dry_hose_end > dry_line_end | opens presses | spanners, caps, bottle | Bleeder out and looked through; then the hose end at the wheel, then the line end at the hose: the first that flows puts the block in the piece behind it. Cap each end that stands open. This is not bleeding
clamp_hose     | Clamp the hose | 4 | 1 | corner | pedal_spongy ? clamp_hardens | clamps presses | clamp | Only hoses that will be renewed or that allow it; press with it clamped, take the clamp off again
boots          | Pull back the boots | 10 | 0 | corner | boots_wet fluid_at_wheel | none | - | Drum or pads off: lift the edge of each boot
push_back      | Push the piston back with the bleeder open | 10 | 0 | corner | piston_stiff | opens | lever, hose | Each piston by itself: free, stiff or solid. One that is wound is turned, never levered
rollback       | Feel whether the pads let go | 6 | 1 | corner | no_rollback | presses | feeler | Press and let go; a thin feeler between pad and rotor
slide          | Slide the caliper on its pins | 9 | 0 | corner | slides_stiff pads_tight pin_wobbles | none | - | Pads moved in their guides, then out; pins rolled on glass
adjuster       | Turn the adjuster | 7 | 0 | corner | adjuster_stiff adjuster_slack | none | spanner | Both ways, note the turns first
cable_off      | Take the parking cable off at the wheel | 10 | 0 | corner | drags ? cable_holds | none | pliers | Then turn the wheel
lever_by_hand  | Work the parking lever at the caliper by hand | 6 | 0 | corner | lever_stiff_here | none | pliers | Cable off; it must swing back by itself
wheels_off     | Look at every unit with its wheel off | 8+15 | 0 | wheels | fluid_at_wheel lining_bad lining_soaked lining_low blued drum_stuck crack_seen rotor_lip hub_rust new_on_old shoe_back deposit_outside face_greasy lining_not_as_drawn contact_part plate_grooved springs_slack boots_wet hose_bad_here park_shoes_bad | wheel | stands, lamp | Wheel and drum off: wet, burnt, cracked, greasy, put together as drawn; the hose bent and looked at end to end
hand_all       | Try every unit by hand | 8+20 | 0 | wheels | piston_stiff slides_stiff pads_tight pin_wobbles adjuster_stiff adjuster_slack lever_stiff_here wedge_stiff no_rollback bleeder_blocked | opens | lever, hose, feeler | Each piston, pin, pad, adjuster and bleeder by itself; count turns before you turn; a piston that is wound is turned, never levered
gauge_all      | Gauge every unit | 8+20 | 0 | wheels | lining_thin pads_uneven runout_past variation_past rotor_thin_past drum_past drum_oval_past | wheel | micrometer, dial, drum gauge | Linings, then rotors and drums, as at Gauge
temperatures   | Feel the wheels after a run without braking | 10+1 | 0 | wheels | hot | drives | thermometer | Contact-free on painted or black parts, not on bare iron
road_round     | Drive it, gently | 12 | 0 | system | pulls_left pulls_right judder judder_wheel judder_seat pedal_pulses locks_front locks_rear long_stop fades noise smell tightens_warm | drives | - | Closed place, walking pace first; then from 30 km/h, hands light on the wheel
outside_round  | Go through tyres, joints and bushes | 4+3 | 0 | wheels | outside_play | wheel | pressure gauge, lever | Pressures first, then joints and bushes, side against side
parking_round  | Go through the parking brake | 12 | 0 | system | park_no_hold park_long park_frozen park_drags park_no_grip cable_stiff pin_stiff park_joint_play park_slack | wheel | stands, lamp | Clicks counted, wheels turned, let off; cable unhooked and drawn by hand, lever at the wheel, each joint
parking_judder | Slow down by the parking brake alone | 6 | 0 | system | judder ? judder_parking | drives | - | Gently, in a closed place
water          | Test the fluid | 4 | 0 | system | fluid_water | none | tester | A sample from the reservoir, at its own temperature
servo_run_up   | Start the engine with the pedal down | 3 | 0 | system | servo_no_fall servo_none | presses | - | Vacuum used up, pedal held, engine started: it falls a little
servo_hold     | Hold the vacuum | 5 | 0 | system | servo_vacuum_lost servo_hiss | presses | vacuum gauge | Engine stopped, off and then on
servo_round    | Go through the servo | 12 | 0 | system | servo_none servo_no_fall servo_vacuum_lost servo_hiss servo_rattle supply_weak valve_blows servo_on filter_blocked | presses | vacuum gauge | Started with the pedal down, stopped and held; then vacuum at the hose, blow through the check valve, look at the filter, let the vacuum off
bearing        | Rock the wheel | 5 | 0 | corner | bearing_play bearing_rough | wheel | stands | Brake held separates ball joint from bearing
sweep          | Sweep the rotor | 12 | 0 | corner | runout_past | wheel | dial | Every nut tight, bearing first
mic_rotor      | Gauge the rotor round | 9 | 0 | corner | variation_past rotor_thin_past | none | micrometer | Eight places
gauge_lining   | Gauge the linings | 9 | 0 | corner | lining_thin pads_uneven | none | caliper | Pads at four corners, shoes at three places
gauge_drum     | Gauge the drum | 11 | 0 | corner | drum_past drum_oval_past | none | drum gauge | Four angles, three depths
valve_gauges   | Gauge the line pressures | 20 | 1 | system | valve_share_off | presses | gauge set | Gauges at a front and a rear bleeder, bled; three pedal forces
bar            | Look at the balance bar | 5 | 1 | system | bar_off bar_dead | presses | lamp | Offset and marks; turn the knob, watch the bar
rods_even      | Find where each wheel bites | 10 | 1 | system | rods_uneven clevis_play | wheel | stands | Wheels clear, pedal pulled hole by hole; then each clevis by hand
disconnect     | Disconnect the rods | 10 | 0 | system | pivot_stiff spring_slack | none | pliers | Does the pedal return freely by itself
clutch_round   | Hold the clutch pedal down | 15 | 1 | system | clutch_spongy clutch_bite clutch_creeps clutch_wet slave_wet | presses | lamp | A minute in gear on stands; engine off, then the boots of both cylinders
clutch_bleeder | Open the clutch bleeder | 5 | 1 | system | clutch_bubbles | opens presses | hose, bottle | Under fluid, one slow stroke
`;
