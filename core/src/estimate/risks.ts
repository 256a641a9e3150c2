import { type OptionId, RENEWS, SEALED, STAYS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastOpen } from '../judging/care.ts';
import { partingsOf } from '../judging/partings.ts';
import type { Slot } from '../layout/graph.ts';
import { isSeized } from '../readiness/options.ts';
import { RISK, rowName } from '../wording/en/estimate.ts';
import type { Doing } from './cost.ts';
import type { DecideRow } from './rows.ts';

/** Whether rubber of unknown age stays in a row when it is left as it is. */
export function keepsOldRubber(history: JobHistory, row: DecideRow): boolean {
  if (row.kind === 'hose') return true;
  return SEALED.includes(row.kind) && row.members.some((m) => lastOpen(history, m) === null);
}

/** What is parted by a way of doing a row, a sentence each; what stays is named. */
function partings(history: JobHistory, doings: readonly Doing[], whole: ReadonlyMap<string, OptionId> | null): string[] {
  const anew = (other: Slot): boolean => {
    const option = whole?.get(other.id) ?? whole?.get(other.parentId ?? '');
    return option !== undefined && (RENEWS.includes(option) || option === 'reline');
  };
  const own = new Set(doings.map((d) => d.component.slot.id));
  const all = doings.flatMap((d) => partingsOf(history, d.component.slot, d.option, anew)).filter((p) => !own.has(p.stays.id));
  return [...new Set(all.map((p) => p.lost))].map((lost) => {
    const stays = all.filter((p) => p.lost === lost).map((p) => p.stays);
    return RISK.parted(rowName(stays.filter((s, i) => stays.findIndex((x) => x.id === s.id) === i)), lost, whole !== null);
  });
}

/**
 * What a way of doing a row leaves at risk, each by name in a sentence. Source: handbook 40, What decides 3; 58, A44.
 * @param whole what is done at every place, where the whole job is known; else it is said for what may stay
 */
export function risksOf(
  history: JobHistory,
  row: DecideRow,
  option: OptionId,
  doings: readonly Doing[],
  whole: ReadonlyMap<string, OptionId> | null = null,
): string[] {
  const { vehicle } = history.records;
  // What makes way for another article leaves nothing of its own behind.
  const all = doings.filter((d) => !RENEWS.includes(d.option)).map((d) => d.component);
  const stays = STAYS.includes(option);
  const open = !RENEWS.includes(option);
  const verdict = (v: string): boolean => all.some((c) => c.verdict === v);
  const findings = all.flatMap((c) => c.findings);
  const hydraulic = SEALED.includes(row.kind);
  const list: (string | false)[] = [
    open && verdict('not_gauged') && RISK.notGauged,
    stays && verdict('watch') && RISK.watch,
    stays && verdict('cant_tell') && RISK.cantTell,
    stays && verdict('no_limit') && RISK.noLimit,
    stays && keepsOldRubber(history, row) && RISK.oldRubber,
    stays && hydraulic && keepsOldRubber(history, row) && RISK.deposits,
    open && row.members.some((m) => isSeized(history, m)) && RISK.seized,
    open && findings.some((f) => f.code === 'pitted') && RISK.pitted,
    open && findings.some((f) => f.severity === 'doubt') && RISK.doubt,
    stays && hydraulic && vehicle.use === 'stands' && RISK.stands,
    open && hydraulic && vehicle.use === 'competition' && RISK.competition,
    option === 'used' && RISK.used,
    option === 'exchange' && RISK.exchange,
    (option === 'put_off' || option === 'for_now') && RISK.later,
  ];
  return [...list.filter((w) => w !== false), ...partings(history, doings, whole)];
}
