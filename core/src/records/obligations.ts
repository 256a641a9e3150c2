import { closedClear } from '../bleed/due.ts';
import { bleedOrder } from '../bleed/order.ts';
import { placeName } from '../layout/graph.ts';
import { CORNER_NAME, KIND_FACTS } from '../layout/kinds.ts';
import { OPTION_NAME, optionsOf } from '../decide/options.ts';
import { finerGauge } from '../gauge/finest.ts';
import type { Judged } from '../gauge/judge.ts';
import { PHASE_WORD, sentence } from '../gauge/words.ts';
import { answerTo, proofCloses, type ProofItem, RESULT_WORD } from '../prove/items.ts';
import { isWorked, torquePoints } from '../rebuild/torquePoints.ts';
import { blocksRelease, whoMayAccept } from '../verdict/severity.ts';
import type { Book } from './book.ts';
import type { Component } from './components.ts';
import { type Obligation, obligation } from './stages.ts';
import { lastPartIn, whereabouts } from './standing.ts';
import type { Observation } from './types.ts';

/** What the derivations of obligations start from. */
export interface Situation {
  readonly book: Book;
  readonly components: readonly Component[];
  /** Newest answer per observation key. */
  readonly answers: ReadonlyMap<string, Observation>;
  readonly proofItems: readonly ProofItem[];
  readonly hydraulic: boolean;
}

export function bookinObligations({ book }: Situation): Obligation[] {
  const { job, vehicle } = book.file;
  const counter = book.stand(book.file.counters).some((c) => c.jobId === job.id);
  return [
    ...(job.kind === 'fluid'
      ? []
      : [obligation('bookin', 'bookin:complaint', 'The complaint, in the owner’s words', job.complaint.trim() !== '')]),
    obligation('bookin', 'bookin:wants', 'What the owner wants', job.wants.trim() !== ''),
    ...(vehicle.distanceUnit === 'none' ? [] : [obligation('bookin', 'bookin:counter', 'Distance run, read off the counter', counter)]),
    obligation('bookin', 'bookin:scope', 'Corners taken in', job.scopeCorners.length > 0 || job.kind === 'fluid'),
  ];
}

export function traceObligations({ book, answers, hydraulic }: Situation): Obligation[] {
  const { job } = book.file;
  if (job.kind === 'fluid') return [];
  const answered = (test: (o: Observation) => boolean): boolean => [...answers.values()].some((o) => o.state !== 'not_checked' && test(o));
  return [
    obligation(
      'trace',
      'trace:pedal',
      'Feel the pedal',
      answered((o) => o.code.startsWith('pedal_')),
    ),
    ...(hydraulic
      ? [
          obligation(
            'trace',
            'trace:reservoir',
            'Look into the reservoir',
            answered((o) => o.code.startsWith('level_') || o.code.startsWith('fluid_')),
          ),
        ]
      : []),
    ...job.scopeCorners.map((c) =>
      obligation(
        'trace',
        `trace:wheel:${c}`,
        `Spin the ${CORNER_NAME[c].toLowerCase()} wheel`,
        answered((o) => o.corner === c && (o.code === 'drags' || o.code === 'locked')),
      ),
    ),
    obligation(
      'trace',
      'trace:parking',
      'Work the parking brake',
      answered((o) => o.code.startsWith('park_')),
    ),
  ];
}

export function gaugeObligations({ components }: Situation): Obligation[] {
  return components.flatMap((c) => [
    ...c.required.map((r) =>
      obligation(
        'gauge',
        `gauge:${c.slot.id}:${r.measurement.id}:${r.phase}`,
        `${placeName(c.slot)} ${r.measurement.name.toLowerCase()}, ${PHASE_WORD[r.phase]}`,
        r.done,
        {
          slotId: c.slot.id,
          why: r.provisional
            ? 'Taken on a dirty surface: clean it and take it again.'
            : r.done
              ? null
              : r.taken > 0
                ? `${r.taken} taken so far`
                : null,
          ...(r.phase === 'as_fitted' && !r.done && !c.fittedHere ? { state: 'waiting' as const, why: 'Nothing fitted here yet.' } : {}),
        },
      ),
    ),
    ...(c.lookRequired
      ? [obligation('gauge', `look:${c.slot.id}`, `Look at the ${placeName(c.slot).toLowerCase()}`, c.lookDone, { slotId: c.slot.id })]
      : []),
  ]);
}

/** Whether the owner and the shop have to decide about this place. */
export function needsDecision(c: Component, kind: string): boolean {
  return kind === 'overhaul' && c.inScope && KIND_FACTS[c.slot.kind].article;
}

/** Why a decision no longer stands: a reading or finding since then rules it out for the part it was made about. */
function fallen(book: Book, c: Component): string | null {
  if (!c.decision || (isWorked(c) && workDone(book, c)) || (c.decision.partId !== null && c.decision.partId !== c.part?.id)) return null;
  const option = optionsOf(c.slot.kind, c.judged, c.findings, c.runout).find((o) => o.id === c.decision?.option);
  return option?.ruledOut ? `“${option.name}” was decided and is ruled out since. ${option.ruledOut}` : null;
}

export function decideObligations({ book, components }: Situation): Obligation[] {
  return components
    .filter((c) => needsDecision(c, book.file.job.kind) || c.decision)
    .map((c) =>
      obligation(
        'decide',
        `decide:${c.slot.id}`,
        `Decide about the ${placeName(c.slot).toLowerCase()}`,
        c.decision !== null && !fallen(book, c),
        {
          slotId: c.slot.id,
          why: fallen(book, c),
        },
      ),
    );
}

function workDone(book: Book, c: Component): boolean {
  const mine = book.stand(book.file.partEvents).filter((e) => e.jobId === book.file.job.id && e.partId === c.part?.id);
  switch (c.decision?.option) {
    case 'replace':
      return c.fittedHere;
    case 'machine':
      return mine.some((e) => e.kind === 'machined');
    case 'reseal':
      return mine.some((e) => e.kind === 'resealed');
    default:
      return true;
  }
}

/** Waiting for what was sent out of this place to come back; nothing where it is here. */
function waitsAway(book: Book, c: Component): Partial<Obligation> {
  const events = book.stand(book.file.partEvents);
  const last = lastPartIn(c.slot.id, events);
  const where = last === null ? null : whereabouts(last, events);
  return where?.at === 'away' ? { state: 'waiting', why: `Sent out${where.note ? `: ${where.note}` : ''}.` } : {};
}

export function rebuildObligations({ book, components }: Situation): Obligation[] {
  const { file } = book;
  const work = components
    .filter(isWorked)
    .map((c) =>
      obligation(
        'rebuild',
        `work:${c.slot.id}`,
        `${placeName(c.slot)}: ${(c.decision ? OPTION_NAME[c.decision.option] : '').toLowerCase()}`,
        workDone(book, c),
        { slotId: c.slot.id, ...(workDone(book, c) ? {} : waitsAway(book, c)) },
      ),
    );
  const open = components
    .filter((c) => c.empty)
    .map((c) =>
      obligation('rebuild', `fit:${c.slot.id}`, `${placeName(c.slot)} is off the vehicle`, false, {
        slotId: c.slot.id,
        ...waitsAway(book, c),
      }),
    );
  const events = book.stand(file.operationEvents);
  const operations = book.stand(file.operations).map((o) =>
    obligation(
      'rebuild',
      `op:${o.id}`,
      o.title,
      events.some((e) => e.operationId === o.id && e.kind === 'done'),
      { slotId: o.slotId },
    ),
  );
  const torques = book.stand(file.torques);
  const wheelsOff = file.job.kind !== 'fluid';
  const owed =
    components.some(isWorked) ||
    components.some((c) => c.fittedHere) ||
    (wheelsOff && components.some((c) => c.judged.some((j) => book.sets.some((s) => s.id === j.setId && s.jobId === file.job.id))));
  const points = owed ? torquePoints(components, file.job.scopeCorners, wheelsOff) : [];
  return [
    ...work,
    ...open,
    ...operations,
    ...points.map((p) =>
      obligation(
        'rebuild',
        `torque:${p.point}`,
        `Torque of ${p.name.toLowerCase()}`,
        torques.some((t) => t.point === p.point),
        { slotId: p.slotId },
      ),
    ),
  ];
}

/** Circuits whose fluid this job has to change: opened by its decisions, or all for a fluid job. */
export function circuitsToBleed({ book, components }: Situation): number[] {
  const hydraulic = components.filter((c) => KIND_FACTS[c.slot.kind].hydraulic && c.slot.kind !== 'bleeder');
  const touched = book.file.job.kind === 'fluid' ? hydraulic : hydraulic.filter((c) => isWorked(c) || c.fittedHere || c.empty);
  return [...new Set(touched.flatMap((c) => c.slot.circuits))];
}

export function bleedObligations(s: Situation): Obligation[] {
  const { book, components } = s;
  const circuits = circuitsToBleed(s);
  if (circuits.length === 0) return [];
  const stillOpen = components.filter(
    (c) =>
      KIND_FACTS[c.slot.kind].hydraulic &&
      (c.empty || (isWorked(c) && !workDone(book, c))) &&
      c.slot.circuits.some((n) => circuits.includes(n)),
  );
  const pulls = book.stand(book.file.bleedPulls).filter((p) => p.jobId === book.file.job.id);
  const waiting =
    stillOpen.length > 0
      ? {
          state: 'waiting' as const,
          why: `All hydraulic parts first: ${stillOpen.map((c) => placeName(c.slot).toLowerCase()).join(', ')}.`,
        }
      : {};
  const bleeders = bleedOrder(book.file.layout)
    .filter((b) => circuits.includes(b.circuit))
    .map((b) => {
      const newest = pulls.filter((p) => p.slotId === b.bleeder.id).at(-1);
      const closed = closedClear(newest);
      return obligation('bleed', `bleed:${b.bleeder.id}`, `Bleed at the ${placeName(b.bleeder).toLowerCase()}`, closed, {
        slotId: b.bleeder.id,
        ...(closed
          ? {}
          : newest
            ? {
                why: !newest.closed
                  ? 'The bleeder is not closed.'
                  : newest.air !== 'none'
                    ? 'Air was still coming.'
                    : 'The fluid was not clear yet.',
              }
            : waiting),
      });
    });
  const fluid = book.stand(book.file.fluidServices).some((f) => f.jobId === book.file.job.id);
  return [obligation('bleed', 'bleed:fluid', 'Name the fluid that goes in', fluid), ...bleeders];
}

/** A figure that blocks, and who may accept it: on safety only after the finest gauge on the rack was used. */
function figureObligation(book: Book, c: Component, j: Judged): Obligation {
  const gravity = j.limit?.gravity ?? j.characteristic.gravity;
  const finer = j.verdict === 'cant_tell' && gravity === 'safety' ? finerGauge(j, book.file.gauges) : null;
  const role = finer ? null : whoMayAccept(j.verdict, gravity, j.lies, j.limit?.source === 'generic');
  return obligation(
    'prove',
    `verdict:${c.slot.id}:${j.characteristic.id}`,
    `${placeName(c.slot)} ${j.characteristic.short.toLowerCase()}`,
    false,
    {
      slotId: c.slot.id,
      why: finer ? `${sentence(j)} Take it with ${finer.tag}, the finest on the rack.` : sentence(j),
      acceptBy: acceptRole(role),
      rests: [j.setId, j.verdict, j.reduced.value, j.reduced.expanded, j.limit?.id ?? ''].join(':'),
    },
  );
}

function verdictObligations(book: Book, c: Component): Obligation[] {
  const figures = c.judged
    .filter((j) => c.inScope && (j.enough || j.verdict === 'past') && blocksRelease(j.verdict))
    .map((j) => figureObligation(book, c, j));
  const findings = c.findings
    .filter((f) => f.severity === 'doubt' || f.severity === 'reject')
    .map((f) =>
      obligation('prove', `finding:${f.id}`, `${placeName(c.slot)}: ${f.words}`, false, {
        slotId: c.slot.id,
        why: f.severity === 'doubt' ? 'Needs a further look that settles it.' : 'The part has to go, or a later look has to settle it.',
      }),
    );
  return [...figures, ...findings];
}

function acceptRole(role: 'reader' | 'technician' | 'lead' | null): 'technician' | 'lead' | null {
  return role === 'reader' ? null : role;
}

export function proveObligations({ book, components, proofItems }: Situation): Obligation[] {
  const proofs = book.stand(book.file.proofs);
  const items = proofItems.map((item) => {
    const answer = answerTo(proofs, item);
    const closed = answer !== null && proofCloses(answer.result);
    const again = item.answers.includes('same');
    return obligation('prove', `proof:${item.item}${item.corner ? `@${item.corner}` : ''}`, item.question, closed, {
      why: answer && !closed ? `Answered: ${RESULT_WORD[answer.result].toLowerCase()}.` : null,
      acceptBy: answer && !closed && again ? 'lead' : null,
      rests: answer?.id ?? '',
    });
  });
  return [...components.flatMap((c) => verdictObligations(book, c)), ...items];
}
