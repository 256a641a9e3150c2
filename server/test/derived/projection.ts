import { stageNote, notApplicableWords, PROVISIONAL } from '@dauer/core/wording';
import { deriveJob, type JobState } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { buildSheet, mayMove } from '@dauer/core/views';

/** One line a fact, so that a difference shows where it is. */
function linesOf(state: JobState, today: string): string[] {
  const { records } = state;
  const move = mayMove(state);
  return [
    `job ${records.vehicle.tag} ${records.job.kind} ${records.job.openedAt}`,
    `stage ${state.stage} ${state.share} ${state.verdict} released ${state.released} voided ${state.voided} ${JSON.stringify(state.counts)}`,
    ...state.stages.map(
      (s) =>
        `stage of ${s.stage} ${s.open} ${s.waiting} ${s.closed} ${s.all} ${stageNote(s)} ${s.notApplicable && notApplicableWords(s.notApplicable)}`,
    ),
    ...state.obligations.map((o) =>
      ['owed', o.stage, o.key, o.slotId, o.what, o.state, o.why, o.acceptBy, o.rests, o.closedBy].map(String).join(' · '),
    ),
    ...state.offers.map((o) => `offered · ${o.key} · ${o.what} · ${o.state} · ${o.why}`),
    `blocks ${state.blocks.map((o) => o.key).join(' ')}`,
    ...state.components.map(
      (c) =>
        `part of ${c.slot.id} ${c.part?.id ?? null} scope ${c.inScope} empty ${c.empty} bench ${c.bench} verdict ${c.verdict} decision ${c.decision?.option ?? null} findings ${c.findings.map((f) => f.id).join(' ')} look ${c.lookRequired} ${c.lookDone}`,
    ),
    ...state.components.flatMap((c) =>
      c.judged.map(
        (j) => `figure of ${c.slot.id} ${j.reduced.characteristic} ${j.reduced.value} ± ${j.reduced.expanded} ${j.verdict} ${j.enough}`,
      ),
    ),
    ...state.components.flatMap((c) =>
      c.required.map(
        (r) =>
          `asked of ${c.slot.id} ${r.measurement} ${r.phase} ${r.done} ${r.due} ${r.need} ${r.setId} ${r.provisional && PROVISIONAL[r.provisional]}`,
      ),
    ),
    ...state.context.proofStatus.locks.map(
      (l) => `lock ${l.control.kind} ${l.passable} ${l.why} by ${l.by.map((b) => b.slot.id).join(' ')}`,
    ),
    `may move ${move.level} · ${move.reasons.map((r) => r.words).join(' | ')} · ${move.next?.key ?? null}`,
    `sheet ${JSON.stringify(buildSheet(state, today))}`,
  ];
}

/** A text in which each id is called by the place at which it is first met: what a story is, whoever gave its ids. */
function withPlainIds(text: string): string {
  const names = new Map<string, string>();
  // What an acceptance rests on names places by the end of their ids.
  const rests = /\b[0-9a-f]{12}=/g;
  return text.replace(rests, '=').replace(/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g, (id) => {
    const known = names.get(id) ?? `#${names.size + 1}`;
    names.set(id, known);
    return known;
  });
}

/**
 * What is derived of jobs, in a form that stays when the code that derives it moves: stages, obligations with what closed them
 * and their sentences, verdicts, locks, whether a vehicle may move, and the sheet of the hand-back.
 * @param today instant, ISO 8601, at which the jobs are looked at
 */
export function projectionOf(files: readonly JobRecords[], today: string): string {
  const jobs = [...files].sort((a, b) => (`${a.vehicle.tag} ${a.job.openedAt}` < `${b.vehicle.tag} ${b.job.openedAt}` ? -1 : 1));
  return `${withPlainIds(jobs.map((f) => linesOf(deriveJob(f, today), today).join('\n')).join('\n\n'))}\n`;
}
