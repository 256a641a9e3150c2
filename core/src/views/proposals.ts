import { departsFrom } from '../catalogue/houseRules.ts';
import { type OptionId, optionsFor } from '../catalogue/repairOptions.ts';
import { TABLES } from '../catalogue/trace/tables.ts';
import type { JobState } from '../job/job.ts';
import { followedIn } from '../ledger/priceRecords.ts';
import { slotById } from '../layout/graph.ts';
import { looksOf } from '../stages/trace/causes.ts';
import { isSeized, optionsOf } from '../readiness/options.ts';
import { proposalWords } from '../wording/en/decide.ts';

/** What is usually done about a cause that is looked for or was found. */
export interface Proposal {
  readonly option: OptionId;
  readonly because: string;
}

/** What is done instead where the usual work is ruled out, least first. */
const INSTEAD: readonly OptionId[] = ['hone', 'sleeve', 'replace'];

/**
 * The usual work by the schools that the shop follows, or what comes next where figures or findings of the part rule it out;
 * null where a place has none of it.
 */
export function usualAt(state: JobState, slotId: string, usual: OptionId): OptionId | null {
  const component = state.components.find((c) => c.slot.id === slotId);
  if (!component) return null;
  const open = optionsOf(state.history, component).filter((o) => o.ruledOut === null);
  const followed = followedIn(state.records);
  const against = (option: OptionId): ReturnType<typeof departsFrom> =>
    departsFrom(component.slot.kind, option, followed, isSeized(state.history, component));
  const own = optionsFor(component.slot.kind);
  // A school that departs from the usual work is named after what it does instead.
  const school = own.find((o) => o === against(usual)?.school.id);
  const list: readonly OptionId[] = own.includes(usual) ? [...(school ? [school] : []), usual, ...INSTEAD] : [];
  const able = list.filter((id) => open.some((o) => o.id === id));
  return able.find((id) => against(id) === null) ?? able[0] ?? null;
}

/**
 * What the causes of a job propose for its parts, by slot: the usual work for the one found, else for the one looked for.
 * Where the part itself has no such option, it is that of the part that carries it: a piston is resealed with its caliper.
 * Source: handbook 30, Faults: usual overhaul operations.
 */
export function proposalsOf(state: JobState): Map<string, Proposal> {
  const proposals = new Map<string, Proposal>();
  const looks = [...looksOf(state.history).values()].sort((a, b) => Number(a.state === 'found') - Number(b.state === 'found'));
  for (const l of looks) {
    const kind = TABLES.faults.find((f) => f.id === l.fault);
    const own = slotById(state.records.layout, l.place);
    if (!kind || !own || (l.state !== 'wanted' && l.state !== 'found')) continue;
    const carrier = own.parentId === null ? undefined : slotById(state.records.layout, own.parentId);
    const slot = [own, carrier].find((s) => s !== undefined && optionsFor(s.kind).includes(kind.option));
    const option = slot && usualAt(state, slot.id, kind.option);
    if (slot && option) proposals.set(slot.id, { option, because: proposalWords(option, kind.option, kind.name, l.state) });
  }
  return proposals;
}
