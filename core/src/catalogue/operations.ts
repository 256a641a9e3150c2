import type { Slot } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { attendedMinutes, cardFor } from './cards/cards.ts';
import type { Followed } from './cards/types.ts';
import { OPTION_NAME, type OptionId } from './repairOptions.ts';

export interface OperationTemplate {
  readonly kind: ComponentKind;
  readonly option: OptionId;
  readonly title: string;
  readonly attendedMinutes: number;
}

/** Usual operations by their titles, with the attended minutes that a fault is weighed with before anything is open. Generic. */
export const OPERATION_TEMPLATES: readonly OperationTemplate[] = [
  { kind: 'rotor', option: 'replace', title: 'Clean hub face to metal, fit rotor, sweep', attendedMinutes: 35 },
  { kind: 'rotor', option: 'machine', title: 'Machine rotor, clean hub face, fit, sweep', attendedMinutes: 60 },
  { kind: 'caliper', option: 'reseal', title: 'Strip caliper, clean bore and grooves, reseal', attendedMinutes: 75 },
  { kind: 'caliper', option: 'replace', title: 'Fit caliper, start union by hand, new washers', attendedMinutes: 30 },
  { kind: 'piston', option: 'replace', title: 'Fit new piston and seals', attendedMinutes: 30 },
  { kind: 'pads', option: 'replace', title: 'Push pistons back, fit pads', attendedMinutes: 20 },
  { kind: 'drum', option: 'machine', title: 'Turn drum', attendedMinutes: 40 },
  { kind: 'drum', option: 'replace', title: 'Fit drum', attendedMinutes: 15 },
  { kind: 'shoes', option: 'replace', title: 'Fit shoes, grease contact points, set adjuster', attendedMinutes: 50 },
  { kind: 'band_drum', option: 'machine', title: 'Turn the outside of the drum', attendedMinutes: 40 },
  { kind: 'band_drum', option: 'replace', title: 'Fit band drum', attendedMinutes: 25 },
  { kind: 'band', option: 'replace', title: 'Fit band, set anchor, lower and upper half to their clearance', attendedMinutes: 60 },
  { kind: 'wheel_cylinder', option: 'reseal', title: 'Strip, clean bore, reseal wheel cylinder', attendedMinutes: 40 },
  { kind: 'wheel_cylinder', option: 'replace', title: 'Fit wheel cylinder, union before bolts', attendedMinutes: 25 },
  { kind: 'master_cylinder', option: 'reseal', title: 'Strip, inspect bore, reseal master cylinder', attendedMinutes: 80 },
  { kind: 'master_cylinder', option: 'replace', title: 'Bench-bleed and fit master cylinder', attendedMinutes: 45 },
  { kind: 'hose', option: 'replace', title: 'Fit hose without twist, check full lock and droop', attendedMinutes: 20 },
  { kind: 'servo', option: 'replace', title: 'Fit servo, set push-rod', attendedMinutes: 60 },
  { kind: 'hub', option: 'replace', title: 'Fit hub, set bearing end float', attendedMinutes: 60 },
];

export function operationFor(kind: ComponentKind, option: OptionId): OperationTemplate | undefined {
  return OPERATION_TEMPLATES.find((t) => t.kind === kind && t.option === option);
}

/** The operation that a decision about a place asks for, with the minutes of its card; undefined where nothing is done. */
export function workFor(
  slot: Pick<Slot, 'kind' | 'style'>,
  option: OptionId,
  followed: Followed,
): { readonly title: string; readonly attendedMinutes: number } | undefined {
  const card = cardFor(slot, option);
  const minutes = attendedMinutes(slot, option, followed);
  if (!card || minutes === 0) return undefined;
  return {
    title: operationFor(slot.kind, option)?.title ?? `${card.name}: ${OPTION_NAME[option].toLowerCase()}`,
    attendedMinutes: minutes,
  };
}
