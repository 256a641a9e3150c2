/** Fluid in lines: ways, volumes, the order of bleeding and the level of a reservoir. */
export { BOTTLE_ML, FACTOR, type LayoutPlan, planOfLayout, reservoirFacts, reservoirOf } from './ofLayout.ts';
export { BRAKE_FLUID_G_PER_ML } from './volume.ts';
