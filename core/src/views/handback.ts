import { fluidClass } from '../catalogue/fluids.ts';
import { controlOfItem, questionOf, RESULT_WORD } from '../catalogue/proofItems.ts';
import { putOffsOf } from '../history/putOffs.ts';
import { fluidRecordsOf, fluidState } from '../history/due.ts';
import type { JobState } from '../job/job.ts';
import { answerTo } from '../history/proofAnswers.ts';
import { partedOf } from '../judging/partings.ts';
import { causeMissing } from '../catalogue/consequences.ts';
import { type Judged, judgeSet } from '../judging/judge.ts';
import { figureOf, limitText, plusMinus, sourceOf } from '../wording/en/verdicts.ts';
import { type Layout, placeName, slotById } from '../layout/graph.ts';
import { controlsOf } from '../layout/reach.ts';
import { KIND_FACTS } from '../layout/kinds.ts';
import { dutyOf, readFastener } from '../ledger/duty.ts';
import type { Acceptance } from '../ledger/families/acceptances.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { Proof } from '../ledger/families/proofs.ts';
import type { JointEvent } from '../ledger/families/jointEvents.ts';
import { dutyNameOf } from '../ledger/obligation.ts';
import type { HandbackSheet, SheetFigure, SheetLine } from '../ledger/release.ts';
import { convert, groupThousands } from '../quantity/display.ts';
import { beddingOf } from '../readiness/bedding.ts';
import { jointKey, jointsOf } from '../readiness/joints.ts';
import { putOffWords } from '../wording/en/decide.ts';
import { VERDICT_WORD } from '../wording/en/names.ts';
import { ownerPage } from './ownerPage.ts';
import { pairsOf } from './pairs.ts';
import { accountForSheet } from './accountForSheet.ts';
import { afterCareOf } from './afterCare.ts';
import { proofFigureText } from './proofFigureText.ts';
import { roadText } from './roadText.ts';
import { toWatch } from './toWatch.ts';
import { suppliedLines } from './suppliedLines.ts';
import { cameFrom, withRefs } from './sheetRefs.ts';
import { wheelNuts } from '../wording/en/fasteners.ts';
import { byline, fluidCauseWords } from '../wording/en/history.ts';
import { LEAVES } from '../wording/en/prove.ts';
import { SHEET, revisionText } from '../wording/en/sheet.ts';

/** Builds the hand-back sheet from the records: what was found, done, fitted, filled, put off and accepted. */
export function buildSheet(state: JobState, today: string): HandbackSheet {
  return withRefs(markedSheet(state, today));
}

/** The sheet with a mark at every text that somebody typed. */
function markedSheet(state: JobState, today: string): HandbackSheet {
  const { records, history } = state;
  const here = <T extends EventBase>(events: readonly T[]): T[] => history.active(events).filter((e) => e.jobId === records.job.id);
  const vehicleName = cameFrom(records.vehicle.id, 'name', records.vehicle.name);
  const place = (slotId: string | null): string => {
    const slot = slotId === null ? undefined : slotById(records.layout, slotId);
    return slot ? placeName(slot) : vehicleName;
  };
  const tagOf = (partId: string | null): string | null => records.parts.find((p) => p.id === partId)?.tag ?? null;
  const line = (e: Pick<EventBase, 'id' | 'authorId' | 'happenedAt'>, where: string, text: string): SheetLine => ({
    place: where,
    text,
    by: byline(records, e),
    on: e.happenedAt,
  });
  const unit = records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km';
  const counter = history.active(records.counters).at(-1);
  const figures = history.sets
    .filter((s) => s.jobId === records.job.id)
    .flatMap((s) =>
      judgeSet(history, s, today)
        .filter((j) => j.enough || j.verdict === 'past')
        .map((j): SheetFigure =>
          figureLine(j, {
            place: place(j.slotId),
            tag: tagOf(j.partId),
            takenBy: byline(records, s),
            takenOn: s.happenedAt,
            gauges: [
              ...new Set(j.reduced.governing.map((r) => records.gauges.find((g) => g.id === r.gaugeVersionId)?.tag ?? SHEET.noGauge)),
            ].join(', '),
          }),
        ),
    );
  const due = fluidState(records.layout, fluidRecordsOf(history), records.vehicle, today);
  const complaint = here(records.proofs)
    .filter((p) => p.item === 'complaint')
    .at(-1);
  const parted = partedOf(history);
  const bedding = beddingOf(history);
  const settled = new Set(here(records.findings).map((f) => f.settles));
  return {
    ...(state.leaving && { leaves: LEAVES.line(state.leaving.how, cameFrom(state.leaving.id, 'note', state.leaving.note)) }),
    vehicleTag: records.vehicle.tag,
    vehicleName,
    distance: counter ? `${groupThousands(convert(counter.km, 'distance_run', unit))} ${unit}` : SHEET.notCounted,
    complaint: cameFrom(records.job.id, 'complaint', records.job.complaint),
    complaintAnswer: complaint ? RESULT_WORD[complaint.result] : SHEET.notAskedAgain,
    figures,
    findings: here(records.findings)
      .filter((f) => f.severity !== 'note')
      .map((f) =>
        line(
          f,
          place(f.slotId),
          SHEET.finding(
            cameFrom(f.id, 'words', f.words),
            causeMissing(f.code, settled.has(f.id)),
            f.doneHere && cameFrom(f.id, 'doneHere', f.doneHere),
          ),
        ),
      ),
    done: [
      ...records.layoutRevisions
        .filter((r) => r.revision !== 'first' && r.enteredBy !== null && r.enteredAt >= records.job.openedAt)
        .map((r) =>
          line(
            { id: r.id, authorId: r.enteredBy ?? '', happenedAt: r.enteredAt },
            SHEET.layout,
            revisionText({ ...r, why: cameFrom(r.id, 'why', r.why) }),
          ),
        ),
      ...here(records.operationEvents)
        .filter((e) => e.kind === 'done')
        .map((e) => {
          const op = records.operations.find((o) => o.id === e.operationId);
          return line(e, place(op?.slotId ?? null), op ? cameFrom(op.id, 'title', op.title) : SHEET.operation);
        }),
      ...(bedding && bedding.counted > 0
        ? [
            line(
              bedding.plan,
              vehicleName,
              SHEET.bedding(
                bedding.counted,
                bedding.total,
                cameFrom(bedding.plan.id, 'product', bedding.plan.product),
                bedding.plan.source && cameFrom(bedding.plan.id, 'source', bedding.plan.source),
                bedding.tooSoon,
              ),
            ),
          ]
        : []),
      ...here(records.jointEvents).map((e) => line(e, place(e.slotId), jointText(records.layout, e))),
    ],
    torques: here(records.torques).map((t) =>
      line(t, torquePlace(t.point, place(t.slotId)), SHEET.torque(t, t.wrench ? cameFrom(t.id, 'wrench', t.wrench) : '')),
    ),
    parts: [
      ...here(records.partEvents)
        .filter((e) => e.kind !== 'found')
        .map((e) => {
          const part = records.parts.find((p) => p.id === e.partId);
          const name = part
            ? [part.tag, cameFrom(part.id, 'name', part.name), part.partNumber && cameFrom(part.id, 'partNumber', part.partNumber)]
                .filter(Boolean)
                .join(' · ')
            : '';
          const from = parted.filter((p) => p.event.id === e.id);
          return line(e, place(e.slotId), `${SHEET.part(name, e)}${from.map((p) => SHEET.parted(p.stays, p.lost)).join('')}`);
        }),
      ...suppliedLines(here, line, place, records),
    ],
    fluid: [
      ...here(records.fluidServices).map((f) =>
        line(
          f,
          SHEET.hydraulics,
          SHEET.fluid(
            cameFrom(f.id, 'product', f.product),
            fluidClass(f.fluidClass)?.name ?? f.fluidClass,
            f.batch ? cameFrom(f.id, 'batch', f.batch) : '',
          ),
        ),
      ),
      ...here(records.fluidSamples).map((s) => line(s, place(s.slotId), SHEET.sample(s, s.how ? cameFrom(s.id, 'how', s.how) : ''))),
      ...here(records.bleedPulls).map((p) => line(p, place(p.slotId), SHEET.pull(p))),
    ],
    nextDue: [
      ...(due ? [{ what: SHEET.brakeFluid, on: due.due, why: fluidCauseWords(due.cause) }] : []),
      ...putOffsOf(history, today).flatMap(({ decision: d }) =>
        d.reviewOn
          ? [{ what: SHEET.putOffAt(place(d.slotId)), on: d.reviewOn, why: cameFrom(d.id, 'reason', d.reason) || SHEET.putOff }]
          : [],
      ),
    ],
    putOff: putOffsOf(history, today).map(({ decision: d }) =>
      line(d, place(d.slotId), `${putOffWords(d)}${d.reason ? ` ${cameFrom(d.id, 'reason', d.reason)}` : ''}`),
    ),
    watch: toWatch(state, today),
    accepted: here(records.acceptances).map((a) =>
      line(
        a,
        obligationName(state, a.obligation),
        `${cameFrom(a.id, 'reason', a.reason)}${isCheckedAlone(state, a) ? SHEET.checkedAlone : ''}`,
      ),
    ),
    afterCare: afterCareOf(state, today),
    pairs: pairsOf(state, today),
    owner: ownerPage(state, today),
    ...accountForSheet(state, line, today),
    outOfScope: state.components
      .filter((c) => !c.inScope && KIND_FACTS[c.slot.kind].article)
      .map((c) => SHEET.outOfScope(c.slot, c.verdict)),
    proofs: proofsInForce(state, here(records.proofs)).map((p) => {
      const item = state.context.proofItems.find((i) => i.item === p.item && i.corner === p.corner);
      const road = roadText(state, p);
      const figures = item && p.result === 'passed' ? state.context.figuresOf(item).filter((f) => f.stands) : [];
      return line(
        p,
        vehicleName,
        SHEET.proof(
          item?.question ?? formerQuestion(state, p),
          p.result,
          [
            ...(road === null ? [] : [road]),
            ...figures.map((f) => SHEET.figureTaken(f.slot, f.ask.measurement, proofFigureText(history, f), item?.corner ?? null)),
          ],
          p.note ? cameFrom(p.id, 'note', p.note) : '',
        ),
      );
    }),
  };
}

/** What was answered with a proof that the vehicle does not ask for now. */
function formerQuestion(state: JobState, p: Proof): string {
  const controls = controlsOf(state.records.layout);
  const of = controls.find((c) => c.slotId === controlOfItem(p.item)) ?? controls.find((c) => c.kind === 'pedal');
  return questionOf(p.item, p.corner, of?.name);
}

/** The answers that count, of those given in this job: what was answered anew since stands in the record alone. */
function proofsInForce(state: JobState, proofs: readonly Proof[]): Proof[] {
  const items = state.context.proofItems;
  const inForce = new Set(items.map((i) => answerTo(proofs, i)?.id));
  const isAsked = (p: Proof): boolean => items.some((i) => answerTo([p], i) !== null);
  const isLast = (p: Proof): boolean => proofs.findLast((x) => x.item === p.item && x.corner === p.corner) === p;
  return proofs.filter((p) => (isAsked(p) ? inForce.has(p.id) : isLast(p)));
}

/** The open data file of a hand-back: what the sheet shows, and what it stands on. Its fields are described in docs/handback-file.md. */
export interface HandbackFile {
  readonly format: 'dauer.handback';
  readonly version: 1;
  readonly jobId: string;
  readonly releasedAt: string;
  /** Name of the lead; null for what was handed back before these records, as told. */
  readonly releasedBy: string | null;
  /** What a job of the past was taken in from; null for a job of this shop's own. */
  readonly importedFrom: string | null;
  readonly ownWork: boolean;
  readonly ruleVersion: string;
  readonly sheet: HandbackSheet;
  /** Added to the record since, newest last. */
  readonly amendments: readonly { readonly words: string; readonly reason: string; readonly by: string; readonly on: string }[];
}

/** @returns null for a job that has not been handed back: what may still change is no record */
export function handbackFile(state: JobState): HandbackFile | null {
  const { release, people, imported } = state.records;
  if (!release) return null;
  const { jobId, releasedAt, ownWork, ruleVersion, sheet } = release;
  const releasedBy = release.releasedBy === null ? null : (people.find((p) => p.id === release.releasedBy)?.name ?? 'unknown');
  const importedFrom = imported?.source ?? null;
  const amendments = state.history.active(state.records.amendments).map((a) => ({
    words: a.words,
    reason: a.reason,
    by: people.find((p) => p.id === a.authorId)?.name ?? 'unknown',
    on: a.happenedAt,
  }));
  return { format: 'dauer.handback', version: 1, jobId, releasedAt, releasedBy, importedFrom, ownWork, ruleVersion, sheet, amendments };
}

/** What happened to a joint. */
function jointText(layout: Layout, e: JointEvent): string {
  const joint = jointsOf(layout).find((j) => j.key === jointKey(e.connectionId, e.slotId));
  return SHEET.joint(joint?.towards ?? null, e);
}

function torquePlace(point: string, fallback: string): string {
  const fastener = readFastener(point);
  return fastener.of === 'wheel' ? wheelNuts(fastener.corner) : fallback;
}

/** Whether somebody accepted that nobody measured again what they had measured themselves. */
function isCheckedAlone({ history, records }: JobState, a: Acceptance): boolean {
  const duty = dutyOf(a.obligation);
  if (duty?.kind !== 'second') return false;
  return history.sets.some((s) => s.slotId === duty.slotId && s.jobId === records.job.id && s.authorId === a.authorId);
}

function obligationName(state: JobState, key: string): string {
  return state.obligations.find((o) => o.key === dutyNameOf(key))?.what ?? key;
}

function figureLine(j: Judged, more: Pick<SheetFigure, 'place' | 'tag' | 'takenBy' | 'takenOn' | 'gauges'>): SheetFigure {
  return {
    ...more,
    characteristic: j.characteristic.name,
    phase: j.phase,
    figure: figureOf(j),
    uncertainty: plusMinus(j),
    limit: limitText(j),
    source: sourceOf(j),
    verdict: VERDICT_WORD[j.verdict],
  };
}
