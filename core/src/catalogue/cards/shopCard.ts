import { type CardStep, type StepGroup, STEP_GROUPS, step, type WorkCard } from './types.ts';

/** What a step of the shop's own may be: it enters no record and draws nothing up to a figure. */
export const SHOP_STEP_KINDS = ['do', 'look', 'picture'] as const;

/** What the shop does otherwise at a step: empty words and null minutes leave them as they are. */
export interface StepChange {
  readonly stepId: string;
  readonly words: string;
  readonly minutes: number | null;
  /** What must lie ready. */
  readonly ready: string;
  /** What hurts somebody here, beside what the card says of it. */
  readonly hazard: string;
  readonly leftOut: boolean;
}

/** A step that the shop has beside those of the card. */
export interface ShopStep {
  readonly id: string;
  /** The step that it follows; null: the last of its group. */
  readonly after: string | null;
  readonly group: StepGroup;
  readonly words: string;
  readonly why: string;
  readonly kind: (typeof SHOP_STEP_KINDS)[number];
  readonly minutes: number;
  readonly ready: string;
  readonly hazard: string;
  readonly obliged: boolean;
  readonly second: boolean;
}

/** A work card as the shop does it: what it changes of the card, and what it adds. Source: handbook 55, shop copies. */
export interface ShopCard {
  readonly cardId: string;
  readonly changes: readonly StepChange[];
  readonly own: readonly ShopStep[];
}

/** Steps that a running card may have at the most. */
export const MOST_STEPS = 60;
/** Attended minutes that a step of the shop may take at the most: what takes longer is several. */
export const MOST_STEP_MINUTES = 600;

/**
 * Whether a shop may leave a step out: none that a unit is not complete without, that a record closes, that is drawn up to a
 * figure, or that another rests on.
 */
export function mayLeaveOut(work: WorkCard, s: CardStep): boolean {
  const restsOn = work.steps.some((o) => o.needs.some((n) => (n.of === 'after' || n.of === 'since') && n.step === s.id));
  return !s.obliged && s.enters === null && s.kind !== 'torque' && s.kind !== 'figure' && !restsOn;
}

const changed = (s: CardStep, c: StepChange): CardStep => ({
  ...s,
  ...(c.words !== '' && { words: c.words, by: null }),
  minutes: c.minutes ?? s.minutes,
  ready: c.ready === '' ? s.ready : c.ready,
  hazard: [s.hazard, c.hazard].filter((h) => h !== '').join(' '),
});

/** Where a step of the shop's own goes: after the one that it follows, else after the last of its group or of those before it. */
function placeOf(steps: readonly CardStep[], own: ShopStep): number {
  const after = own.after === null ? -1 : steps.findIndex((s) => s.id === own.after);
  if (after >= 0) return after + 1;
  const until = STEP_GROUPS.indexOf(own.group);
  return steps.findLastIndex((s) => STEP_GROUPS.indexOf(s.group) <= until) + 1;
}

/**
 * A card as the shop does it. What a newer card no longer has is passed over; what it will not have left out stays.
 * @param shop null: as it is
 */
export function withShop(work: WorkCard, shop: ShopCard | null): WorkCard {
  if (shop === null) return work;
  const changeOf = new Map(shop.changes.map((c) => [c.stepId, c] as const));
  const steps = work.steps.flatMap((s): CardStep[] => {
    const c = changeOf.get(s.id);
    if (!c) return [s];
    return c.leftOut && mayLeaveOut(work, s) ? [] : [changed(s, c)];
  });
  for (const own of shop.own) {
    const { id, group, minutes, words, why, kind, ready, hazard, obliged, second } = own;
    steps.splice(placeOf(steps, own), 0, step(id, group, minutes, words, why, { kind, ready, hazard, obliged, second }));
  }
  return { ...work, steps };
}

/** Why a card cannot be done so, by its code and step. */
export interface ShopCardFault {
  readonly code: 'unknown_card' | 'unknown_step' | 'twice' | 'cannot_leave' | 'unknown_after' | 'other_group' | 'nothing' | 'too_many';
  readonly stepId: string;
}

/**
 * Why a card cannot be done so; null where it can.
 * @param work undefined where there is no such card
 */
export function shopCardFault(work: WorkCard | undefined, { changes, own }: Omit<ShopCard, 'cardId'>): ShopCardFault | null {
  if (!work) return { code: 'unknown_card', stepId: '' };
  const seen = new Set<string>(work.steps.map((s) => s.id));
  const touched = new Set<string>();
  for (const c of changes) {
    const s = work.steps.find((x) => x.id === c.stepId);
    if (!s) return { code: 'unknown_step', stepId: c.stepId };
    if (touched.has(c.stepId)) return { code: 'twice', stepId: c.stepId };
    touched.add(c.stepId);
    if (c.leftOut && !mayLeaveOut(work, s)) return { code: 'cannot_leave', stepId: c.stepId };
    if (!c.leftOut && c.words === '' && c.minutes === null && c.ready === '' && c.hazard === '')
      return { code: 'nothing', stepId: c.stepId };
  }
  const groups = new Map<string, StepGroup>(work.steps.map((s) => [s.id, s.group]));
  for (const o of own) {
    if (seen.has(o.id)) return { code: 'twice', stepId: o.id };
    const group = o.after === null ? o.group : groups.get(o.after);
    if (group === undefined || changes.some((c) => c.leftOut && c.stepId === o.after)) return { code: 'unknown_after', stepId: o.id };
    if (group !== o.group) return { code: 'other_group', stepId: o.id };
    seen.add(o.id);
    groups.set(o.id, o.group);
  }
  return work.steps.length + own.length > MOST_STEPS ? { code: 'too_many', stepId: '' } : null;
}
