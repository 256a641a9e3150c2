/** The layout of a brake system: kinds of parts, places, lines, templates, and how a layout is changed and checked. */
export { checkLayout, type LayoutIssue } from './check.ts';
export { moveToCircuit } from './circuits.ts';
export { compareLayouts, removedPlacesOf } from './compare.ts';
export {
  addComponent,
  addWheel,
  AT_WHEEL,
  changeComponent,
  changeConnection,
  connect,
  disconnect,
  IN_MIDDLE,
  insertInLine,
  MAX_PISTONS,
  removeComponent,
  removeWheel,
  setPistons,
} from './edit.ts';
export {
  childrenOf,
  CLUTCH_CIRCUIT,
  type Connection,
  type ConnectionKind,
  cornersOf,
  counterpart,
  isHydraulic,
  isInboard,
  type Drive,
  type Layout,
  type RemovedPlace,
  type LayoutRevision,
  pathFromMaster,
  placeName,
  type Slot,
  slotById,
  walk,
} from './graph.ts';
export {
  AXLES,
  type Axle,
  axleOf,
  type ComponentKind,
  type Corner,
  CORNER_NAME,
  CORNERS,
  isGripped,
  KIND_FACTS,
  styleName,
  STYLES,
} from './kinds.ts';
export { isStandalone, buildStandalone, STANDALONE_KINDS, type StandaloneUnit, MAX_STANDALONE } from './standaloneUnits.ts';
export { controlsOf, pedalsOf, type Reservoir, reservoirsOf } from './reach.ts';
export { ASSUMED_THERE, canBeOff, connectionAt, LEVER_KINDS, RUN_KINDS, withRuns } from './runs.ts';
export { buildLayout, TEMPLATES } from './templates.ts';
