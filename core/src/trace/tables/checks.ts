/**
 * Quick checks. One line a check:
 * id | name | minutes | helpers | scope (system, corner) | signs it settles | hazard | tools | steps
 * Hazards: presses (the pedal is pressed: closed while a unit stands open), opens (the circuit is opened), none.
 * Source: handbook 30, Quick checks.
 */
export const CHECKS_TABLE = `
hold_pedal     | Hold the pedal hard for a minute | 2 | 0 | system | pedal_sinks | presses | - | Engine off, servo used up; push steadily, watch the pedal against the wheel rim, once hard and once light
pump_up        | Pump the pedal | 1 | 0 | system | pedal_low_pumps_up pedal_spongy | presses | - | One stroke, then two quick ones: does the second stand higher, and is it hard
fountain       | Watch the reservoir as the pedal is let go | 2 | 1 | system | no_fountain | presses | lamp | Cap off, helper presses gently and lets go: a small fountain says that the port is open
reservoir      | Look into the reservoir | 1 | 0 | system | level_low level_empty fluid_dark fluid_sludge cap_swollen | none | lamp | Level, colour, what lies at the bottom, the seal of the cap
spin           | Spin the wheel | 2 | 0 | corner | drags locked | none | jack | Wheel clear, press once and let go, then turn it by hand
spin_pressed   | Turn the wheel with the pedal down | 3 | 1 | corner | no_braking | presses | jack | Helper holds the pedal hard: the wheel must not turn
open_bleeder   | Open the bleeder of the dragging wheel | 6 | 1 | corner | still_drags_bleeder bleeder_blocked | opens | hose, bottle | Press and let go first; hose on, open: frees, or still drags
crack_union    | Crack the union at the master | 8 | 1 | corner | still_drags_union | opens | spanner, rag | Press and let go first; a quarter turn, rag round it, then turn the wheel
plug_outlets   | Plug the outlets of the master | 20 | 1 | system | pedal_soft_plugged | opens | plugs | Lines off, plugs in, cylinder filled: the pedal must stand high and hard
clamp_hose     | Clamp the hose | 4 | 1 | corner | clamp_hardens | presses | clamp | Only hoses that will be renewed or that allow it; press with it clamped, take the clamp off again
boots          | Pull back the boots | 8 | 0 | corner | boots_wet fluid_at_wheel | none | - | Drum or pads off: lift the edge of each boot
push_back      | Push the piston back with the bleeder open | 6 | 0 | corner | piston_stiff | opens | lever, hose | Each piston by itself: free, stiff or solid
slide          | Slide the caliper on its pins | 5 | 0 | corner | slides_stiff | none | - | Pads out, by hand
adjuster       | Turn the adjuster | 4 | 0 | corner | adjuster_stiff | none | spanner | Both ways, note the turns first
cable_off      | Take the parking cable off at the wheel | 8 | 0 | corner | cable_holds | none | pliers | Then turn the wheel
temperatures   | Feel the wheels after a run without braking | 12 | 0 | corner | hot | none | thermometer | Contact-free on painted or black parts, not on bare iron
parking_judder | Slow down by the parking brake alone | 6 | 0 | system | judder_parking | none | - | Gently, on an empty road
water          | Test the fluid | 3 | 0 | system | fluid_water | none | tester | A sample from the reservoir, at its own temperature
servo_run_up   | Start the engine with the pedal down | 2 | 0 | system | servo_no_fall servo_none | presses | - | Vacuum used up, pedal held, engine started: it falls a little
servo_hold     | Hold the vacuum | 5 | 0 | system | servo_vacuum_lost servo_hiss | presses | vacuum gauge | Engine stopped, off and then on
bearing        | Rock the wheel | 2 | 0 | corner | bearing_play | none | jack | Brake held separates ball joint from bearing
sweep          | Sweep the rotor | 8 | 0 | corner | runout_past | none | dial | Every nut tight, bearing first
mic_rotor      | Gauge the rotor round | 5 | 0 | corner | variation_past rotor_thin_past | none | micrometer | Eight places
gauge_lining   | Gauge the linings | 6 | 0 | corner | lining_thin pads_uneven | none | caliper | Pads at four corners, shoes at three places
gauge_drum     | Gauge the drum | 8 | 0 | corner | drum_past drum_oval_past | none | drum gauge | Four angles, three depths
under_master   | Look under the master cylinder | 2 | 0 | system | wet_below_master servo_wet | none | lamp | Boot pulled back
lines          | Look along hoses and lines | 10 | 0 | system | hose_bad line_rusted | none | lamp, lift | Bend each hose, look under the clips
`;
