/**
 * Faults with which the vehicle is not driven, and why. One line a fault: fault | the hazard.
 * Source: handbook 30, Faults: hazard; 35, Checks to mend; 80.
 */
export const HAZARD_TABLE = `
master_passes      | The pedal may sink at the next stop
master_leaks       | The reservoir may run empty unseen
master_stuck_home  | There is no brake
master_stuck_out   | There is no brake
circuit_lost       | Half of the brakes are gone, and the other half may follow
fluid_lost         | The pedal goes to the floor
fluid_water        | It boils on the first long hill, and the pedal falls through
fluid_wrong        | Every seal that it reached may fail
air_in_system      | The stroke may run out at a hard stop
hose_weeps         | It may burst at a hard stop
hose_swells        | It may burst at a hard stop
line_rusted        | It may burst at a hard stop
union_leaks        | The reservoir may run empty unseen
piston_leaks       | Fluid on the lining, and less of it every day
wc_leaks           | Fluid on the lining, and less of it every day
halves_leak        | It may open at a hard stop
rotor_cracked      | It may break
rotor_thin         | It may break, and the pistons come out too far
pads_worn          | Metal on metal, and heat
shoes_worn         | Metal on metal, and heat
drum_oversize      | It may break, and the pistons come out too far
drum_rusted_on     | The wheel does not turn
bearing_worn       | The wheel may come loose
pedal_flexes       | It may tear off
servo_sticks_on    | The brakes stay on and catch fire
master_port        | The brakes come on by themselves as they warm
pushrod_no_play    | The brakes come on by themselves as they warm
hose_flap          | The brake stays on and may catch fire
hose_blocked       | A wheel does not brake
line_blocked       | A circuit does not brake
servo_rod          | Nothing joins the pedal to the brakes
valve_stuck        | The rear may lock first
bearing_loose      | The wheel may come loose
wedge_seized       | A wheel does not brake, or does not let go
rods_out           | One wheel brakes for all
pads_wrong         | What they do hot, nobody knows
`;

/**
 * What the bench does about a cause. One line a fault:
 * fault | figures to take at its place, - for none | what to look for | findings of the catalogue that are this fault, - for none
 *
 * A finding named here makes the fault certain where it was noted. Measured evidence comes by itself, as figures past.
 * Source: handbook 30, Faults: what is found on the bench; 20.
 */
export const BENCH_TABLE = `
master_passes      | bore_diameter piston_diameter | lips worn, hard or cut | -
master_leaks       | bore_diameter | wet behind the rear lip | leak
master_stuck_home  | bore_diameter | piston stuck at the end of its stroke | seized
master_stuck_out   | bore_diameter | piston stuck at rest | seized
master_port        | - | the small port, by a wire no thicker than it | port_blocked
master_bore        | bore_diameter bore_zone | rust and pits where the lips run | piston_pit bore_scored
pushrod_no_play    | - | play at the rod, by a feeler | -
pushrod_much_play  | - | play at the rod, by a feeler | -
circuit_lost       | bore_diameter | the inner lip | -
servo_shell        | - | rust through, cracks at the seam | servo_shell
hose_flap          | - | blown through both ways | hose_one_way
hose_blocked       | - | blown through | -
hose_swells        | - | under pressure, by hand | hose_swells
hose_weeps         | - | wet at the crimp | hose_cracked
piston_seized      | piston_diameter piston_seal | moves by hand, by itself | seized
seal_hard          | piston_seal | seal hard or flat, groove rusted | groove_rust
piston_leaks       | piston_seal piston_diameter | pits in the seal zone | piston_pit leak
pin_bent           | pin_runout | rolled on glass | -
pads_stuck         | pad_ears | rust under the guides | -
caliper_lever      | - | its spindle, by hand, cable off | seized
pads_glazed        | pad_lining | a face that shines | -
shoes_glazed       | shoe_lining | a face that shines | -
shoes_slack        | shoe_adjuster | clicks until the shoes touch | -
pairing_wrong      | - | faces beside each other, part numbers | -
valve_early        | - | its rod, its spring, its marks | -
switch_leaks       | - | wet between its blades | leak
clutch_leaks       | bore_diameter | wet behind its boot | leak
slides_seized      | pin_fit | pins move by hand, boots whole | seized
pads_worn          | pad_lining | lining at its thinnest | no_lining
pads_contaminated  | pad_lining | oil or fluid in the lining | lining_soaked
rotor_runout_f     | rotor_runout rotor_thickness | hub face clean, bearing first | -
rotor_uneven       | rotor_thickness | marks of pads that stood | hard_spots
rotor_thin         | rotor_thickness | lip at the edge | -
rotor_cracked      | rotor_thickness | cracks to an edge or hole | rotor_crack_edge
wc_seized          | bore_diameter | both pistons by hand | seized
wc_leaks           | bore_diameter | pits where the cups run | leak bore_scored
shoes_worn         | shoe_lining | lining at its thinnest | no_lining
shoes_contaminated | shoe_lining | oil or fluid in the lining | lining_soaked
shoes_swapped      | shoe_lining | leading and trailing, springs by the drawing | linings_swapped
adjuster_seized    | shoe_adjuster | turns both ways | -
over_adjusted      | shoe_adjuster | turns back until free, counted | -
shoe_springs       | shoe_springs | burnt, slack, in the wrong hole | spring_burnt
shoe_hangs         | - | groove in the backing plate | -
drum_oversize      | drum_diameter | ridge at the edge | -
drum_oval          | drum_diameter drum_runout | four angles, three depths | -
drum_rusted_on     | drum_diameter | lining bonded to the iron | -
bearing_loose      | hub_end_float | play by the dial | -
bearing_worn       | hub_end_float | rough, blue, pitted | bearing_rough
park_cable_seized  | parking_cable | drawn by hand in its sheath | cable_frayed
park_linkage       | parking_travel | pins and holes oval | clevis_worn
clevis_worn        | linkage_play | pins and holes oval | clevis_worn
shoes_off_centre   | shoe_centring | where the lining bears | contact_heel_toe
wedge_seized       | expander_play | by hand, spread and back | seized
band_worn          | band_lining | lining at its thinnest | no_lining
band_contaminated  | band_lining | oil or fluid in the lining | lining_soaked
band_tight         | band_clearance | anchor, lower half, upper half | -
band_hangs         | band_clearance | opens by itself, anchor and guides free | band_bent
band_unset         | band_clearance | where the lining bears | band_bent
band_drum_oval     | band_drum_diameter band_drum_runout | four angles | -
park_shoes_worn    | - | lining at its thinnest, grease on it | no_lining lining_soaked
foot_dry           | - | moves by itself with its rod off | -
pedal_dry          | - | moves by itself with its rod off | -
switch_dead        | - | lamp at rest and pressed | -
`;
