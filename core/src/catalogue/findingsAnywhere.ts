import type { ComponentKind } from '../layout/kinds.ts';
import { type KnownFinding, known } from './findingKinds.ts';
import { AGAIN, CYLINDERS } from './findingsOfParts.ts';

const LEVERS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever', 'parking_lever', 'equaliser', 'cross_shaft'];

/** What is found on what joins units: lines, cables, rods, and the levers that move them. Source: handbook 20; 30, Lines and Parking brake. */
export const ON_RUNS: readonly KnownFinding[] = [
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
  ...([
    'caliper',
    'pads',
    'rotor',
    'hub',
    'drum',
    'band_drum',
    'shoes',
    'parking_shoes',
    'band',
    'expander',
    'servo',
    'valve',
    'hose',
    'switch',
  ] as const),
  ...(['union', 'bleeder', 'reservoir', 'balance_bar'] as const),
  ...(['line', 'cable', 'rod', 'pedal', 'hand_lever', 'foot_lever', 'parking_lever', 'equaliser', 'cross_shaft'] as const),
  ...CYLINDERS,
];

/** What is found on any unit. Source: handbook 58, A19, A28 and A32. */
export const ON_ANY: readonly KnownFinding[] = [
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
