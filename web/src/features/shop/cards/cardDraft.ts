import { shopCardFault, type ShopCardFault, type ShopStep, type StepChange, type WorkCard } from '@dauer/core/catalogue';
import type { ShopCardVersion } from '@dauer/core/ledger';

/** What is being changed of a card and not kept yet. */
export interface CardDraft {
  readonly changes: readonly StepChange[];
  readonly own: readonly ShopStep[];
}

export const AS_SHIPPED: CardDraft = { changes: [], own: [] };

/** What a version says of its card; as Dauer has it where there is none. */
export const draftOf = (v: Pick<ShopCardVersion, 'changes' | 'own'> | null): CardDraft =>
  v === null ? AS_SHIPPED : { changes: v.changes, own: v.own };

/** A draft as the page stores it, with the version that stood when it was begun; null where none did. */
export interface StoredDraft extends CardDraft {
  readonly on: string | null;
}

const isList = (list: unknown, name: string): boolean =>
  Array.isArray(list) && list.every((x: unknown) => typeof x === 'object' && x !== null && name in x);

const isDraft = (d: unknown): d is StoredDraft =>
  typeof d === 'object' && d !== null && 'on' in d && 'changes' in d && 'own' in d && isList(d.changes, 'stepId') && isList(d.own, 'id');

/** Drafts as they were stored, by who made them and of which card; what cannot be read is none. */
export function readDrafts(stored: string): Record<string, StoredDraft> {
  try {
    const read: unknown = JSON.parse(stored);
    return Object.fromEntries(Object.entries(read ?? {}).filter((e): e is [string, StoredDraft] => isDraft(e[1])));
  } catch {
    return {};
  }
}

const says = (c: StepChange): boolean => c.leftOut || c.words !== '' || c.minutes !== null || c.ready !== '' || c.hazard !== '';

/** A step done otherwise; a change that says nothing is none. */
export function withChange({ changes, own }: CardDraft, change: StepChange): CardDraft {
  const rest = changes.filter((c) => c.stepId !== change.stepId);
  return { changes: says(change) ? [...rest, change] : rest, own };
}

/** A step of the shop's own, new or changed. */
export function withOwn({ changes, own }: CardDraft, step: ShopStep): CardDraft {
  const at = own.findIndex((o) => o.id === step.id);
  return { changes, own: at < 0 ? [...own, step] : own.with(at, step) };
}

/** Without a step of the shop's own: what followed it follows what it followed. */
export function withoutOwn({ changes, own }: CardDraft, id: string): CardDraft {
  const removed = own.find((o) => o.id === id);
  return { changes, own: own.filter((o) => o.id !== id).map((o) => (o.after === id ? { ...o, after: removed?.after ?? null } : o)) };
}

/** The next name of a step of the shop's own: none that any version of the card ever had. */
export function ownId(versions: readonly Pick<ShopCardVersion, 'own'>[], draft: CardDraft): string {
  const used = [...versions.flatMap((v) => v.own), ...draft.own].flatMap((o) => Number(/^own_(\d+)$/.exec(o.id)?.[1] ?? 0));
  return `own_${Math.max(0, ...used) + 1}`;
}

/** Whether two say the same, whatever the order in which it was said. */
export function sameDraft(a: CardDraft, b: CardDraft): boolean {
  const plain = (d: CardDraft): string => JSON.stringify([[...d.changes].sort((x, y) => (x.stepId < y.stepId ? -1 : 1)), d.own]);
  return plain(a) === plain(b);
}

/**
 * A draft that the card takes: what a newer card no longer has, or will not have left out, goes from it, and steps whose place went
 * with it are the last of their group.
 */
export function fitting(work: WorkCard, draft: CardDraft): CardDraft {
  const group = (id: string | null) => [...work.steps, ...draft.own].find((s) => s.id === id)?.group;
  const isSound = (d: CardDraft): ShopCardFault | null => shopCardFault(work, d);
  const changes = draft.changes.filter((c) => isSound({ changes: [c], own: [] }) === null);
  const leftOut = new Set(changes.filter((c) => c.leftOut).map((c) => c.stepId));
  const own = draft.own.map((o) => (o.after !== null && (group(o.after) !== o.group || leftOut.has(o.after)) ? { ...o, after: null } : o));
  return { changes, own };
}
