/** Figures from readings: from what a gauge showed to a value with its uncertainty. */
export { DRUM_DEPTHS } from './drum.ts';
export { PAD_CORNERS, type PadReadings, reducePads } from './padLining.ts';
export { paintBands } from './paintBands.ts';
export { LINING_STATES } from './pitZone.ts';
export { hangsOnState } from './provisional.ts';
export { asksForCheck, checkVerdict, goodTo, repeatStudy, roundedUp, tellsApart } from './rack.ts';
export { type Runout, warpAt, wobbleAt } from './rotorRunout.ts';
export { shoeArc } from './shoeArc.ts';
export { type ChooseInput, chooseLifts, type Chosen, type Lifts, liningCircle, SHOE_ENDS } from './shoeCentring.ts';
export {
  cutOfShape,
  pointsOfStretches,
  stretchesOfPoints,
  TIGHTEST_BEND,
  type TubeBend,
  type TubePoint,
  type TubeStretch,
} from './lineLength.ts';
export { adapterSetting } from './torqueAdapter.ts';
export { type LiveValue, stableValue } from './stableValue.ts';
export { findOutliers } from './outliers.ts';
export { runoutOf, type Taken } from './takenIn.ts';
