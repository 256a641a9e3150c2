/**
 * What fails on each kind of component. One line a fault:
 * id | at which kind of component | style it needs, - for any | name | prior | per (year, once, fluid) | shifts of its odds | usual option | reasoning
 *
 * A style of mechanical is a wheel whose shoes a cam or wedge spreads; levered a caliper that a cable pulls; wet what holds fluid.
 * A prior per year grows with the years since the component was last renewed or open; once is of the vehicle as it comes;
 * fluid grows with the water that is reckoned with in it, up to the prior that stands here (handbook 35, by the band of 60).
 * Shifts: stood (a year or more, or kept standing), damp (stored damp, or outside where it rains), damp_air (a damp climate),
 * old_fluid (three years or unknown), unknown_fluid (none was ever named on record), hard (competition or work), fresh (work here
 * within the last months).
 * Source: handbook 30, Faults; 35, Faults that are missing. Priors are the shop's reckoning of vehicles that come in to be looked at, not of all vehicles:
 * of one that nobody touched for fifteen years two to four faults are expected in all. Each line says why it stands where it
 * stands.
 */
export const FAULTS_TABLE = `
master_passes      | master_cylinder | - | Seals pass inside | 0.0024 | year | stood*1.5 old_fluid*1.5 | reseal | Lips wear and harden; the commonest fault of an old cylinder
master_leaks       | master_cylinder | - | Leaks outside | 0.0016 | year | stood*1.5 damp*1.3 | reseal | The rear lip weeps into the boot or the servo; rarer than passing inside
master_stuck_home  | master_cylinder | - | Piston seized home | 0.0004 | year | stood*4 damp*1.5 | replace | Only where water stood in the bore for years
master_stuck_out   | master_cylinder | - | Piston seized, does not move | 0.0004 | year | stood*4 damp*1.5 | replace | As before, with the pedal up
master_port        | master_cylinder | - | Compensating port blocked | 0.0008 | year | stood*2 old_fluid*2 | reseal | A swollen seal or sludge covers a hole of half a millimetre
master_bore        | master_cylinder | - | Bore rusted or pitted | 0.0012 | year | stood*2 damp*1.5 old_fluid*1.5 | replace | Shows first where the seal rests; found on stripping more often than felt
master_wrong_bore  | master_cylinder | - | Wrong bore fitted | 0.0035 | once | fresh*2 | replace | Cylinders of neighbouring sizes fit the same flange
pushrod_no_play    | master_cylinder | - | Push-rod without play | 0.007  | once | fresh*4 | use_again | A setting, wrong mostly after a cylinder or servo was changed
pushrod_much_play  | master_cylinder | - | Push-rod with too much play | 0.007  | once | fresh*3 | use_again | As before, the other way
circuit_lost       | master_cylinder | tandem | One circuit of the tandem lost | 0.0012 | year | old_fluid*1.5 | reseal | The inner seal fails first and hides behind the other circuit
master_residual    | master_cylinder | - | Residual valve wrong or failed | 0.0006 | year | fresh*2 | replace | Only some cylinders have one, and kits are mixed up
reservoir_vent     | reservoir | - | Cap vent blocked | 0.0008 | year | stood*1.5 | use_again | Dirt and swollen seals; cheap to rule out
air_in_system      | fluid | brakes | Air in the system | 0.052  | once | stood*1.5 fresh*3 | use_again | What most spongy pedals turn out to be, and nearly always after work
fluid_water        | fluid | - | Water in the fluid | 0.95 | fluid | - | use_again | Glycol draws water every year it stands: what the band of its age comes to, at most
fluid_wrong        | fluid | - | Wrong fluid, seals swollen | 0.0035 | once | fresh*2 unknown_fluid*2 | reseal | Rare, and ruins every seal at once
fluid_sludge       | fluid | - | Sludge in the system | 0.002  | year | old_fluid*2 stood*1.5 unknown_fluid*1.3 | use_again | What decades of never changing leave
fluid_lost         | fluid | - | Reservoir run empty through a leak | 0.007  | once | stood*2 | use_again | Follows a leak; by itself seldom
pedal_dry          | pedal | - | Pivot dry or seized | 0.0016 | year | stood*2 damp*1.5 | use_again | Nobody oils it
pedal_spring       | pedal | - | Return spring weak | 0.0012 | year | - | replace | Springs lose a little each year
pedal_stop         | pedal | - | Stop set wrong | 0.0035 | once | fresh*3 | use_again | Moved when the cylinder or lamp switch was changed
pedal_flexes       | pedal | - | Bracket or bulkhead flexes | 0.0035 | once | hard*1.5 | use_again | Cracked bulkheads feel like air
lever_dry          | hand_lever | - | Pivot dry or seized | 0.0016 | year | stood*2 damp*1.5 | use_again | Nobody oils it
foot_dry           | foot_lever | - | Pivot dry or seized | 0.0016 | year | stood*2 damp*1.5 | use_again | Nobody oils it
switch_dead        | switch | - | Stop-lamp switch dead or stuck | 0.002 | year | damp*1.3 | replace | Contacts burn, diaphragms crack
switch_leaks       | switch | wet | Hydraulic stop-lamp switch leaks | 0.0012 | year | stood*1.3 | replace | Through its diaphragm and out between its blades
servo_diaphragm    | servo | - | Diaphragm leaks | 0.0016 | year | stood*1.3 | replace | Rubber of that age
servo_check_valve  | servo | - | Check valve does not hold | 0.002  | year | - | replace | Small, exposed to fumes, often original
servo_supply       | servo | - | Vacuum supply weak | 0.0052 | once | - | use_again | Hoses, manifold or a tired engine
servo_sticks_on    | servo | - | Control valve sticks on | 0.0008 | year | stood*2 | replace | Dry valve after standing
servo_rod          | servo | - | Push-rod loose or unconnected | 0.0017 | once | fresh*4 | use_again | Put together wrongly
servo_shell        | servo | - | Shell cracked or rusted through | 0.0006 | year | damp*2 | replace | Outside, low and wet ones
servo_filter       | servo | - | Air filter blocked | 0.0012 | year | - | replace | Felt of that age
hose_flap          | hose | - | Hose lets fluid in and not out | 0.0012 | year | old_fluid*1.3 | replace | The liner comes loose inside; the older the likelier
hose_blocked       | hose | - | Hose blocked | 0.0008 | year | old_fluid*1.5 stood*1.5 | replace | Swollen shut, or sludge
hose_swells        | hose | - | Hose swells under pressure | 0.002  | year | - | replace | Perished fabric; adds softness long before it bursts
hose_weeps         | hose | - | Hose weeps or burst | 0.0008 | year | damp*1.2 | replace | At the crimp mostly
line_blocked       | circuit | hydraulic | A line blocked | 0.0004 | year | old_fluid*2 stood*1.5 | replace | Seldom; a dented pipe more often than dirt
line_rusted        | circuit | hydraulic | A line rusted through | 0.0012 | year | damp*2 damp_air*1.3 | replace | Under clips, where nobody looks
union_leaks        | circuit | hydraulic | A union leaks | 0.007  | once | fresh*3 | use_again | After work on lines
valve_stuck        | valve | - | Valve stuck or leaking | 0.0012 | year | stood*2 damp*1.3 | replace | Never moves in daily driving
valve_early        | valve | - | Valve limits too early | 0.0008 | year | stood*1.5 | replace | Its spring or its rod is set too low
valve_shuttled     | valve | - | Pressure-difference valve shuttled | 0.0035 | once | fresh*4 | use_again | Left to one side by bleeding one circuit
bar_remote         | balance_bar | - | Remote adjuster broken | 0.0012 | year | hard*1.5 | replace | A bent cable in a tight place
balance_bar        | balance_bar | - | Balance bar jammed or set wrong | 0.01   | once | fresh*2 | use_again | It is there to be turned, and is turned
piston_seized      | piston | - | Piston seized | 0.0024 | year | stood*3 damp*1.5 old_fluid*1.3 | reseal | What standing does to calipers, each piston by itself
seal_hard          | piston | - | Seal hardened, no rollback | 0.002  | year | stood*1.3 | reseal | Old square seals keep the pad on
piston_leaks       | piston | - | Seal leaks | 0.0012 | year | stood*1.5 | reseal | Pitted pistons under new pads
slides_seized      | caliper | floating | Slides seized or dry | 0.004  | year | damp*1.5 stood*1.5 damp_air*1.2 | use_again | Boots torn, grease gone: the usual fault of a floating caliper
pin_bent           | caliper | floating | Slide pin bent | 0.0006 | year | hard*1.3 | replace | Somebody hammered at it
caliper_lever      | caliper | levered | Parking lever at the caliper stiff | 0.003 | year | damp*2 stood*1.5 damp_air*1.3 | reseal | Its spindle stands in the wet and is never moved
halves_leak        | caliper | fixed | Joint between the halves leaks | 0.0004 | year | fresh*2 | reseal | Only where somebody parted them
bleeder_blocked_f  | bleeder | - | Bleeder blocked | 0.004  | year | damp*1.5 stood*1.3 damp_air*1.2 | use_again | Rust in a small hole
pads_worn          | pads | - | Pads worn out | 0.004  | year | hard*2 | replace | Wear; slow on cars that stand
pads_contaminated  | pads | - | Pads contaminated | 0.002  | year | - | replace | Follows a leak or a greasy hand
pads_wrong         | pads | - | Wrong pads fitted | 0.0035 | once | fresh*2 | replace | Catalogues are wrong too
pads_glazed        | pads | - | Linings glazed | 0.003 | year | hard*1.3 | replace | Heat, or years of gentle stops
pads_stuck         | pads | - | Pads stuck in their guides | 0.003 | year | damp*1.5 stood*1.5 damp_air*1.2 | use_again | Rust under the guides narrows them
rotor_runout_f     | rotor | - | Rotor runs out | 0.003  | year | stood*1.5 hard*1.3 | machine | Rust under the hat, heat
rotor_uneven       | rotor | - | Thickness varies | 0.0024 | year | stood*1.5 | machine | Pads left on one spot through a winter
rotor_thin         | rotor | - | Under thickness | 0.0012 | year | hard*2 | replace | Wear and former cuts
rotor_cracked      | rotor | - | Cracked | 0.0004 | year | hard*4 | replace | Heat
rotor_dirty        | rotor | - | Contaminated face | 0.0035 | once | fresh*2 | use_again | Protective oil never washed off
pairing_wrong      | rotor | - | Rotor and pads do not belong together | 0.005 | once | fresh*3 | replace | New on old, or two makes
wc_seized          | wheel_cylinder | - | Wheel cylinder seized | 0.003  | year | stood*3 damp*1.5 | reseal | Iron pistons in iron bores
wc_leaks           | wheel_cylinder | - | Wheel cylinder leaks | 0.003  | year | stood*1.5 | reseal | Cups dry out while it stands
shoes_worn         | shoes | - | Shoes worn out | 0.0024 | year | hard*2 | replace | Slow; rears last for decades
shoes_contaminated | shoes | - | Linings contaminated | 0.003  | year | - | replace | By the cylinder above or the axle seal beside
shoes_glazed       | shoes | - | Linings glazed | 0.003 | year | hard*1.3 | replace | Heat, or a drum that was always too gentle
shoes_slack        | shoes | - | Shoes slack, adjuster backed off | 0.03 | once | fresh*3 | use_again | Backed off to get the drum off, and never taken up: the commonest low pedal on drums
shoes_swapped      | shoes | - | Fitted wrong: swapped, springs | 0.007  | once | fresh*3 | use_again | Easily done with a pair that looks alike
adjuster_seized    | shoes | - | Adjuster seized | 0.004  | year | damp*1.5 stood*1.5 damp_air*1.2 | use_again | Threads in the wet
over_adjusted      | shoes | - | Over-adjusted | 0.007  | once | fresh*4 | use_again | After a brake job
shoe_springs       | shoes | - | Return springs weak | 0.0012 | year | stood*1.3 | replace | Heat and rust take their pull
shoe_hangs         | shoes | - | Backing plate grooved, shoe hangs | 0.001  | year | - | use_again | Where the shoe edge has worked for decades
drum_oversize      | drum | - | Drum oversize | 0.0016 | year | hard*1.3 | replace | Former cuts and wear
drum_oval          | drum | - | Drum out of round | 0.002  | year | stood*1.5 | machine | Stood with the parking brake on
drum_rusted_on     | drum | - | Lining bonded to the drum | 0.0008 | year | stood*5 damp*2 | use_again | A winter with the lever up
bearing_loose      | hub | - | Bearing loose | 0.0024 | year | - | use_again | Adjustable ones want setting
bearing_worn       | hub | - | Bearing worn | 0.0012 | year | hard*1.3 | replace | Distance and water
outside_pull       | axle | any | Tyres, steering or suspension pull | 0.028  | once | - | use_again | Pull that no brake part explains is common
park_cable_seized  | parking_lever | - | Cable or rod seized | 0.003  | year | damp*2 stood*1.5 damp_air*1.3 | replace | Bare wire in an open sheath, dry pivots
park_maladjusted   | parking_lever | - | Parking brake maladjusted | 0.017  | once | fresh*1.5 | use_again | Cable taken up instead of the shoes
park_pin           | parking_lever | - | Lever pin seized | 0.0016 | year | damp*1.5 stood*2 | use_again | Low, wet, never moved
park_linkage       | parking_lever | - | Linkage worn | 0.0016 | year | - | replace | Clevises and bushes
park_shoes_worn    | parking_shoes | - | Parking shoes worn or greasy | 0.002 | year | damp*1.3 | replace | Small, hidden, never looked at
rods_out           | cross_shaft | - | Rods out of adjustment | 0.028  | once | fresh*2 | use_again | Each was set by a different hand
clevis_worn        | cross_shaft | - | Clevises and bushes worn | 0.003  | year | - | replace | All play adds up at the pedal
wedge_seized       | expander | - | Wedge or cam seized | 0.0024 | year | stood*2 damp*1.5 | use_again | Dry and rusty
shoes_off_centre   | shoes | - | Shoes not centred | 0.01  | once | fresh*2 | use_again | Set by feel after every relining
band_worn          | band | - | Band lining worn out | 0.0024 | year | hard*2 | replace | Open to grit, which wears it from outside
band_contaminated  | band | - | Band lining contaminated | 0.004 | year | - | replace | It stands in the open: oil of the axle, water, mud
band_tight         | band | - | Band set too tight | 0.007 | once | fresh*4 | use_again | Anchor or one half taken up against the drum
band_hangs         | band | - | Band does not open | 0.002 | year | stood*2 damp*1.5 | use_again | Anchor and guides rusty, springs tired
band_unset         | band | - | Band not set even all round | 0.017 | once | fresh*2 | use_again | Anchor set by feel, or after the halves
band_drum_oval     | band_drum | - | Band drum out of round | 0.002 | year | stood*1.5 | machine | Stood with the parking brake on
slave_leaks        | clutch_slave | - | Clutch slave leaks | 0.003  | year | stood*1.5 | reseal | Low, hot, forgotten
clutch_passes      | clutch_master | - | Clutch master passes | 0.002  | year | stood*1.3 | reseal | As the brake's, worked more often
clutch_leaks       | clutch_master | - | Clutch master leaks outside | 0.0014 | year | stood*1.3 | reseal | Down the inside of the bulkhead
clutch_air         | clutch_master | - | Air in the clutch line | 0.021  | once | fresh*3 | use_again | After any work on it
`;
