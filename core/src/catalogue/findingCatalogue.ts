import type { ComponentKind } from '../layout/kinds.ts';
import type { OptionId } from './repairOptions.ts';

export type FindingCode = 'deposits' | 'no_lining' | 'fluid_here' | 'blue' | 'seized' | 'broken' | 'rub_mark' | 'pitted' | 'worn_lip';

export type FindingSeverity = 'note' | 'watch' | 'doubt' | 'reject';

/** A finding that the shop added to the catalogue. */
export interface FindingEntry {
  readonly id: string;
  readonly kinds: readonly ComponentKind[];
  readonly name: string;
  /** What it looks like, in a sentence. */
  readonly looks: string;
  /** Why it matters, in a sentence. */
  readonly matters: string;
  readonly severity: FindingSeverity;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** One kind of finding: what it looks like, and why it matters. */
export interface KnownFinding {
  readonly id: string;
  readonly kinds: readonly ComponentKind[];
  readonly name: string;
  readonly looks: string;
  readonly matters: string;
  readonly severity: FindingSeverity;
  readonly rulesOut: readonly OptionId[];
  /** What others follow from, where they do. */
  readonly code: FindingCode | null;
  /** It lies along the part: from where to where, and how deep, is asked for. */
  readonly stretch: boolean;
}

const known = (
  id: string,
  kinds: readonly ComponentKind[],
  name: string,
  looks: string,
  matters: string,
  severity: FindingSeverity,
  more: Partial<Pick<KnownFinding, 'rulesOut' | 'code' | 'stretch'>> = {},
): KnownFinding => ({ id, kinds, name, looks, matters, severity, rulesOut: [], code: null, stretch: false, ...more });

const CYLINDERS: readonly ComponentKind[] = ['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'];
const AGAIN: readonly OptionId[] = ['use_again', 'put_off'];
const KEEP: readonly OptionId[] = ['use_again', 'machine', 'put_off'];
const SEALED: readonly OptionId[] = ['use_again', 'reseal', 'put_off'];

/** What is found by eye on each kind of component. Source: handbook 20; 15, Findings and Consequences. */
export const FINDING_CATALOGUE: readonly KnownFinding[] = [
  known(
    'rotor_blue',
    ['rotor', 'drum'],
    'Blued by heat',
    'Blue or straw colour on the swept face, in patches or all round.',
    'The iron got hot enough to change: it may be hard, warped or cracked, and something dragged.',
    'reject',
    { code: 'blue', rulesOut: ['use_again'] },
  ),
  known(
    'rotor_crack_edge',
    ['rotor'],
    'Crack to an edge or hole',
    'A line that reaches the outer edge, the bore or a drilled hole.',
    'It grows with every hot stop and lets the rotor break.',
    'reject',
    { rulesOut: KEEP },
  ),
  known(
    'rotor_heat_checks',
    ['rotor', 'drum'],
    'Heat checks',
    'A net of fine lines in the swept face, none of them to an edge.',
    'Heat has tired the surface; they may be cut out or may grow into cracks.',
    'doubt',
  ),
  known(
    'rotor_lip',
    ['rotor', 'drum'],
    'Worn lip or ridge',
    'A step at the edge that the pads or shoes never reach.',
    'New linings ride on it, and the micrometer has to reach over it.',
    'watch',
    { code: 'worn_lip' },
  ),
  known(
    'rotor_vanes',
    ['rotor'],
    'Vanes rusted or broken',
    'Scale between the faces, vanes thin or gone.',
    'It cools badly and the faces are held by less than they were made with.',
    'reject',
    { rulesOut: KEEP },
  ),
  known(
    'hard_spots',
    ['rotor', 'drum'],
    'Hard spots',
    'Bright or blue-black islands that stand proud after a little wear.',
    'They do not cut like the rest: the brake pulses again soon after machining.',
    'reject',
    { rulesOut: ['use_again'] },
  ),
  known(
    'drum_crack',
    ['drum'],
    'Crack',
    'A line through the swept face, at the bolt holes or round the flange.',
    'A drum breaks where it is cracked.',
    'reject',
    { rulesOut: KEEP },
  ),
  known(
    'drum_ring',
    ['drum'],
    'Fitted ring loose',
    'A dull note when struck, rust or oil weeping at the joint of ring and drum.',
    'The ring may turn in the drum.',
    'reject',
    { rulesOut: KEEP },
  ),
  known(
    'no_lining',
    ['pads', 'shoes', 'parking_shoes'],
    'No lining left',
    'Metal of the backing or rivets has touched.',
    'What it ran on is damaged and hot as well.',
    'reject',
    { code: 'no_lining', rulesOut: AGAIN },
  ),
  known(
    'lining_soaked',
    ['pads', 'shoes', 'parking_shoes'],
    'Fluid or grease in the lining',
    'Dark, wet or swollen lining; it smells of fluid.',
    'It grabs or fades and cannot be cleaned: always replaced, and the leak found.',
    'reject',
    { code: 'fluid_here', rulesOut: AGAIN },
  ),
  known(
    'lining_loose',
    ['pads', 'shoes', 'parking_shoes'],
    'Lining coming off',
    'A gap between lining and backing, or rust creeping under the bond.',
    'It comes off whole, and the wheel has no brake or does not turn.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'lining_glazed',
    ['pads', 'shoes', 'parking_shoes'],
    'Glazed',
    'A hard, shining face.',
    'Little friction when cold; it overheated or was bedded in badly.',
    'watch',
  ),
  known(
    'rivets_loose',
    ['shoes', 'parking_shoes'],
    'Rivets loose or proud',
    'A rivet turns, or its head is level with the lining.',
    'The drum is scored first, then the lining goes.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'shoe_web',
    ['shoes', 'parking_shoes'],
    'Web bent, worn or cracked',
    'Grooves where it stands on anchor and cylinder, a web out of true.',
    'The shoe stands askew and wears on one edge.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'contact_heel_toe',
    ['shoes', 'parking_shoes'],
    'Touches at heel and toe',
    'Shine at both ends of the lining, dull in the middle.',
    'Its arc is larger than the drum’s: the shoe has to be arced.',
    'watch',
  ),
  known(
    'linings_swapped',
    ['shoes'],
    'Leading and trailing swapped',
    'The longer lining stands on the trailing side.',
    'The brake pulls and wears as it was not designed to.',
    'watch',
  ),
  known(
    'spring_burnt',
    ['shoes'],
    'Return spring tired',
    'Coils open at rest, or its paint burnt off.',
    'The shoe does not come back and drags.',
    'reject',
  ),
  known(
    'piston_pit',
    ['piston', ...CYLINDERS],
    'Pitted',
    'Pits or rust in the surface that the seal runs on.',
    'Only where the seal sweeps or rests it decides; new pads move it there.',
    'doubt',
    { code: 'pitted', stretch: true },
  ),
  known(
    'piston_plating',
    ['piston'],
    'Plating lost',
    'Flaking or peeling chrome, bare metal beside it.',
    'The edge cuts the seal and the bare metal rusts.',
    'reject',
    { rulesOut: SEALED, stretch: true },
  ),
  known(
    'piston_swollen',
    ['piston'],
    'Moulded piston swollen or cracked',
    'It does not go through its bore by hand, or a crack shows at the rim.',
    'It sticks when hot.',
    'reject',
    { rulesOut: SEALED },
  ),
  known(
    'piston_dented',
    ['piston', 'wheel_cylinder'],
    'Dented by a tool',
    'Plier marks on the skirt or a bruised rim.',
    'The raised edge wears the bore and cuts the seal.',
    'reject',
    { rulesOut: SEALED },
  ),
  known(
    'seized',
    ['piston', 'caliper', 'wheel_cylinder', 'shoes', 'master_cylinder', 'clutch_master', 'clutch_slave'],
    'Seized',
    'It does not move by hand, or only with the ladder of means.',
    'Deposits sit in the seal’s groove; freed is not the same as overhauled.',
    'reject',
    { code: 'seized', rulesOut: ['use_again'] },
  ),
  known(
    'bore_scored',
    CYLINDERS,
    'Scored bore',
    'Lines along the bore that a fingernail catches.',
    'The seal passes along them.',
    'reject',
    { rulesOut: ['use_again', 'reseal'], stretch: true },
  ),
  known(
    'leak',
    ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'hose', 'valve', 'hub', 'rotor', 'drum', 'union'],
    'Fluid where none belongs',
    'Wet, or a dark streak from where it came.',
    'Fluid is lost and linings are spoiled; the cause is asked for.',
    'reject',
    { code: 'fluid_here' },
  ),
  known(
    'port_blocked',
    ['master_cylinder', 'clutch_master'],
    'Compensating port blocked',
    'A fine wire does not pass.',
    'Pressure stays and the brakes drag as they warm.',
    'reject',
    { rulesOut: ['use_again'] },
  ),
  known(
    'boot_torn',
    ['caliper', 'piston', 'wheel_cylinder'],
    'Dust boot torn or off',
    'A split, or a boot out of its groove.',
    'Water gets to the piston or pin: it will seize from there.',
    'watch',
  ),
  known('pin_wobbles', ['caliper'], 'Slide pin bent', 'Rolled on glass it wobbles.', 'The caliper hangs up and wears one pad.', 'reject', {
    rulesOut: AGAIN,
  }),
  known(
    'groove_rust',
    ['caliper', 'piston'],
    'Rust or deposits in the seal’s groove',
    'White or brown crust under the seal.',
    'It squeezes the seal onto the piston: the brake does not release.',
    'doubt',
  ),
  known(
    'abutment_steps',
    ['caliper', 'pads'],
    'Steps worn into the abutments',
    'A ledge where the pad’s ear rests.',
    'The pad catches on it and does not come back.',
    'watch',
  ),
  known(
    'hose_cracked',
    ['hose'],
    'Cracked or hard',
    'Cracks where it is bent over, or it does not bend by hand.',
    'It bursts, or sheds pieces into the line.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'hose_swells',
    ['hose'],
    'Swells under pressure',
    'A bulge while the pedal is held.',
    'The next hard stop may burst it.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'hose_one_way',
    ['hose'],
    'Lets fluid in and not back',
    'The wheel is freed by opening the bleeder, not by letting go.',
    'A flap inside keeps the pressure on: the brake stays on.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'rub_mark',
    ['hose', 'rotor', 'drum', 'caliper', 'hub'],
    'Rub mark',
    'Polished or worn where nothing should touch.',
    'It goes on until it is through; what touched it is asked for.',
    'watch',
    { code: 'rub_mark' },
  ),
  known(
    'line_pitted',
    ['union', 'valve'],
    'Line rusted at its union',
    'Scale that leaves pits when it is brushed.',
    'It twists off with the union or bursts under the next hard push.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'broken',
    ['pads', 'shoes', 'drum', 'rotor', 'caliper', 'wheel_cylinder', 'hub', 'hose'],
    'Broken piece',
    'A piece is missing or lies loose.',
    'It was somewhere else before: where, and what it did there, is asked for.',
    'reject',
    { code: 'broken' },
  ),
  known(
    'hub_bent',
    ['hub'],
    'Seat of the rotor rusted or burred',
    'Scale, burrs or paint on the face that the rotor sits on.',
    'The rotor runs out by whatever is under it.',
    'doubt',
  ),
  known(
    'bearing_rough',
    ['hub'],
    'Bearing rough',
    'It grinds when turned slowly by hand.',
    'It is worn or pitted; runout means nothing on it.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'servo_shell',
    ['servo'],
    'Shell cracked or rusted through',
    'Bubbles under paint, a whistle when the pedal is held.',
    'The servo’s help is lost without warning.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'servo_no_fall',
    ['servo'],
    'Pedal does not fall when the engine starts',
    'Held down, engine started: the pedal stays where it is.',
    'No help from the servo: vacuum, valve or diaphragm.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'servo_fluid',
    ['servo'],
    'Fluid in the servo',
    'Fluid at the lowest point when the cylinder is off.',
    'The cylinder’s rear seal leaks; the diaphragm has been soaking in it.',
    'reject',
  ),
  known(
    'cable_frayed',
    ['parking_lever', 'equaliser', 'hand_lever'],
    'Cable frayed or stiff',
    'Broken strands, or it does not run back by itself.',
    'It holds the brake on, or parts.',
    'reject',
  ),
  known(
    'clevis_worn',
    ['cross_shaft', 'equaliser', 'pedal', 'expander'],
    'Pins or holes worn oval',
    'Play at the pin, a shining groove.',
    'The pedal uses its travel before the shoes move.',
    'watch',
  ),
  known(
    'cam_worn',
    ['expander'],
    'Cam worn or spindle loose',
    'Flats on the cam, the spindle rocks.',
    'The shoes lift unequally and the lever goes past its right angle.',
    'watch',
  ),
];

const LEVERS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever', 'parking_lever', 'equaliser', 'cross_shaft'];

/** What is found on what joins units: lines, cables, rods, and the levers that move them. Source: handbook 20; 30, Lines and Parking brake. */
const ON_RUNS: readonly KnownFinding[] = [
  known(
    'line_rusted',
    ['line'],
    'Rusted',
    'Flaking or pitted under clips, over the tank, behind shields; it does not come bright by a wipe.',
    'It bursts under a hard press, at the thinnest place.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'line_kinked',
    ['line'],
    'Kinked, flattened or chafed',
    'A bend that is not round, a flat, a bright place where it rubs.',
    'It holds fluid back, or wears through.',
    'reject',
    { rulesOut: AGAIN, code: 'rub_mark' },
  ),
  known('line_weeps', ['line'], 'Weeps', 'Wet at a flare or along it.', 'It loses fluid, and lets air in.', 'reject', { rulesOut: AGAIN }),
  known(
    'line_odd',
    ['line'],
    'Patched, copper or of odd fittings',
    'A sleeve or compression joint, plain copper, a flare of another kind.',
    'It was mended with what does not belong there: what holds it is not known.',
    'doubt',
  ),
  known(
    'cable_frayed',
    ['cable'],
    'Frayed or rusted',
    'Broken strands at an end or where it leaves its casing; rust bleeds out.',
    'It parts under a pull.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'cable_stiff',
    ['cable'],
    'Stiff or seized in its casing',
    'It does not draw by hand, or does not come back.',
    'It holds the brakes on, or never lets them come on.',
    'reject',
    { rulesOut: ['use_again'] },
  ),
  known(
    'cable_casing',
    ['cable'],
    'Casing split or crushed',
    'Cracked, flattened or open to the wet.',
    'Water gets in, and it seizes next.',
    'doubt',
  ),
  known('rod_bent', ['rod'], 'Bent', 'It rolls unevenly on a flat.', 'It straightens under load, and the travel is gone.', 'reject', {
    rulesOut: AGAIN,
  }),
  known(
    'clevis_worn',
    ['rod', ...LEVERS],
    'Clevis or pin worn',
    'Holes long, pin stepped, play by hand.',
    'The travel is lost in it, and the pin may come out.',
    'doubt',
  ),
  known(
    'pivot_dry',
    LEVERS,
    'Pivot dry or seized',
    'It moves stiffly, or does not come back by itself.',
    'The brakes stay on, or the lamps do.',
    'doubt',
  ),
  known(
    'ratchet_worn',
    ['parking_lever'],
    'Ratchet or pawl worn',
    'Teeth rounded; it lets go by a knock.',
    'The parking brake lets go by itself.',
    'reject',
    { rulesOut: AGAIN },
  ),
  known(
    'bracket_cracked',
    LEVERS,
    'Bent, or its bracket cracked',
    'A line at a weld or a hole; it gives under a press.',
    'It fails at the hardest press.',
    'reject',
    {
      rulesOut: AGAIN,
    },
  ),
];

/** Where deposits show: what is found there says something of every unit of the circuit. */
const WET_PLACES: readonly ComponentKind[] = ['bleeder', 'reservoir', 'caliper', 'piston', 'hose', 'union', 'valve', 'line', ...CYLINDERS];
const HELD: readonly ComponentKind[] = [
  ...(['caliper', 'pads', 'rotor', 'hub', 'drum', 'shoes', 'parking_shoes', 'expander', 'servo', 'valve', 'hose', 'switch'] as const),
  ...(['union', 'bleeder', 'reservoir', 'balance_bar'] as const),
  ...(['line', 'cable', 'rod', 'pedal', 'hand_lever', 'foot_lever', 'parking_lever', 'equaliser', 'cross_shaft'] as const),
  ...CYLINDERS,
];

/** What is found on any unit. Source: handbook 58, A19, A28 and A32. */
const ON_ANY: readonly KnownFinding[] = [
  known(
    'deposits_here',
    WET_PLACES,
    'Sludge, rust or particles',
    'At a bleeder, under a cap, in the fluid that comes; or the cap had to be broken loose.',
    'Every unit of that circuit seals, but has deposits behind it, whatever its pistons do.',
    'watch',
    { code: 'deposits' },
  ),
  known(
    'fastener_broken',
    HELD,
    'Fastener broken or sheared',
    'A bolt, stud or nipple that parted.',
    'What it held is held by less; drilling it out takes hours.',
    'reject',
  ),
  known(
    'thread_bad',
    HELD,
    'Thread worn, stripped or rusted',
    'Flanks gone or torn; it turns without gripping.',
    'It will not hold its torque, and fails when it is needed.',
    'reject',
  ),
  known(
    'corroded_outside',
    HELD,
    'Corroded outside',
    'Rust or white bloom on the outside.',
    'It may be skin deep, or hide what is gone under it.',
    'watch',
  ),
  known(
    'corroded_inside',
    HELD,
    'Corroded inside',
    'Rust or white bloom where fluid, seal or lining runs.',
    'It cuts seals, holds linings, and goes on.',
    'doubt',
  ),
  known(
    'seal_bad',
    WET_PLACES,
    'Seal hard, swollen or cut',
    'It does not spring back, is distorted, or worn square at its lip.',
    'It lets fluid by, or holds the piston; swollen, it had the wrong fluid.',
    'reject',
  ),
  known(
    'here_before',
    HELD,
    'Somebody was here before',
    'Webs, tool marks, sealant, odd fasteners, a date code younger than the vehicle.',
    'It says when it was last open, and what may have been done to it.',
    'note',
  ),
];

/** A shop's own entry, as one of the catalogue. */
function own(entry: FindingEntry): KnownFinding {
  const { id, kinds, name, looks, matters, severity } = entry;
  return { id, kinds, name, looks, matters, severity, rulesOut: [], code: null, stretch: false };
}

/** What is known by name on a kind of component, the shop's own ones last. */
export function findingsOn(kind: ComponentKind, owned: readonly FindingEntry[] = []): KnownFinding[] {
  return [...FINDING_CATALOGUE, ...ON_RUNS, ...ON_ANY, ...owned.map(own)].filter((f) => f.kinds.includes(kind));
}
