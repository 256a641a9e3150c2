/** What the kinds, states and sources of things are called on the screen and the sheet. */

import type { BleedMethod } from '../../ledger/families/bleedPulls.ts';
import type { EarlierWork, KnownFrom } from '../../ledger/families/earlierWork.ts';
import type { IntakeThing, IntakeState } from '../../ledger/families/intakeLooks.ts';
import type { JointEventKind, JointSeal } from '../../ledger/families/jointEvents.ts';
import type { JobKind } from '../../ledger/job.ts';
import type { BoreMaterial } from '../../catalogue/repairOptions.ts';
import type { LiningState } from '../../metrology/pitZone.ts';
import type { Verdict } from '../../verdict/decide.ts';
import type { LimitSource, LimitVersion } from '../../verdict/limits.ts';
import type { MoveLevel, UnitState } from '../reasons.ts';

/** The word each verdict has on screen. */
export const VERDICT_WORD: Readonly<Record<Verdict, string>> = {
  holds: 'Holds',
  watch: 'Watch',
  cant_tell: 'Can’t tell',
  past: 'Past limit',
  no_limit: 'No limit on file',
  not_gauged: 'Not gauged',
};

/** Where a limit comes from. */
export const SOURCE_WORD: Readonly<Record<LimitSource, string>> = {
  stamped: 'stamped on the part',
  maker: 'maker’s document',
  supplier: 'supplier’s sheet',
  measured_new: 'measured from new',
  house: 'house rule',
  generic: 'generic',
};

/** The three moments in which a seal has to hold. */
export const LINING_STATE_WORD: Readonly<Record<LiningState, string>> = {
  as_found: 'as found',
  new: 'with new linings',
  discard: 'at discard',
};

export const JOINT_WORD: Readonly<Record<JointEventKind, string>> = {
  opened: 'Opened',
  made: 'Made',
  torqued: 'Torqued',
  looked: 'Looked at, dry',
  held: 'Dry under held pressure',
  weeps: 'Weeps',
};

/** How a joint may be sealed. Sealant belongs on tapered threads only. Source: handbook 05, A leak shows tomorrow. */
export const SEAL_NAME: Readonly<Record<JointSeal, string>> = {
  flare: 'Flare, dry',
  washers: 'Banjo, new washers',
  taper_sealant: 'Tapered thread, sealant',
  o_ring: 'O-ring',
  other: 'Other',
};

export const METHOD_NAME: Readonly<Record<BleedMethod, string>> = {
  pedal: 'Two people, pedal',
  vacuum: 'Vacuum',
  pressure: 'Pressure',
  gravity: 'Gravity',
  reverse: 'Reverse',
};

export const THING_NAME: Readonly<Record<IntakeThing, string>> = {
  unions: 'Unions',
  bleeders: 'Bleeders',
  hoses: 'Hoses',
  fasteners: 'Screws and bolts',
  adjusters: 'Adjusters',
  springs: 'Clips and springs',
};
export const INTAKE_STATE_NAME: Readonly<Record<IntakeState, string>> = {
  sound: 'Sound, moves',
  stiff: 'Stiff',
  rounded: 'Rounded',
  seized: 'Seized',
  cracked: 'Cracked',
  leaks: 'Leaks',
  missing: 'Missing',
  none_here: 'None here',
};

export const METAL_NAME: Readonly<Record<BoreMaterial, string>> = { iron: 'Cast iron', steel: 'Steel', aluminium: 'Aluminium' };
export const EARLIER_NAME: Readonly<Record<EarlierWork['what'], string>> = {
  fluid_changed: 'Fluid changed',
  renewed: 'Renewed',
  overhauled: 'Overhauled',
  machined: 'Machined',
  inspected: 'Inspected',
  other: 'Other work',
};
export const KNOWN_FROM_NAME: Readonly<Record<KnownFrom, string>> = {
  invoice: 'Invoice',
  service_book: 'Service book or card',
  owner: 'The owner says so',
  marked_on_part: 'Marked on the part',
  other: 'Other',
};

export const MOVE_NAME: Readonly<Record<MoveLevel, string>> = {
  do_not_move: 'Do not move',
  yard_only: 'Yard only',
  road_test: 'Road test',
  handed_back: 'Handed back',
};

export const SCOPE_WORD: Readonly<Record<LimitVersion['scope'], string>> = {
  part: 'this very part',
  part_number: 'this part number',
  vehicle: 'this vehicle',
  type: 'this type',
  shop: 'the whole shop',
};

/** Kinds of job. */
export const JOB_KIND_NAME: Readonly<Record<JobKind, string>> = {
  overhaul: 'Full overhaul',
  axle: 'One axle',
  unit: 'Single units',
  fluid: 'Fluid only',
  inspection: 'Inspection',
  conversion: 'Conversion',
};

/** What each kind of job takes in, in a sentence. */
export const JOB_TAKES_IN: Readonly<Record<JobKind, string>> = {
  overhaul: 'Everything in the middle, and the corners chosen.',
  axle: 'The corners chosen, and the hoses that feed them.',
  unit: 'Only the components chosen by hand.',
  fluid: 'Every bleeder of every circuit; nothing is gauged.',
  inspection: 'Everything in the middle, and the corners chosen; nothing has to be decided.',
  conversion: 'Everything in the middle, and the corners chosen.',
};

/** Short word of a state, as it is flagged on the map. */
export const STATE_WORD: Readonly<Record<UnitState, string>> = {
  open: 'off',
  away: 'away',
  blocked: 'blocked',
  temporary: 'for now',
  complete: 'complete',
};
