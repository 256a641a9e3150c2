import { finerGauge } from '../gauge/finest.ts';
import type { Judged } from '../gauge/judge.ts';
import { sentence } from '../gauge/words.ts';
import { placeName } from '../layout/graph.ts';
import type { Book } from '../records/book.ts';
import type { Component } from '../records/components.ts';
import type { Situation } from '../records/situation.ts';
import { type Obligation, obligation } from '../records/stages.ts';
import { blocksRelease, whoMayAccept } from '../verdict/severity.ts';
import { lapseWords } from '../standing/stands.ts';
import { proofCloses, RESULT_WORD } from './items.ts';

function acceptRole(role: 'reader' | 'technician' | 'lead' | null): 'technician' | 'lead' | null {
  return role === 'reader' ? null : role;
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

export function proveObligations({ book, components, proofItems, standing }: Situation): Obligation[] {
  const items = proofItems.map((item) => {
    const now = standing.answer(item);
    const answer = now?.record ?? null;
    const lapsed = now?.lapsed ?? null;
    const closed = answer !== null && lapsed === null && proofCloses(answer.result);
    const again = item.answers.includes('same');
    return obligation('prove', `proof:${item.item}${item.corner ? `@${item.corner}` : ''}`, item.question, closed, {
      why: lapsed ? lapseWords(lapsed) : answer && !closed ? `Answered: ${RESULT_WORD[answer.result].toLowerCase()}.` : null,
      acceptBy: answer && !closed && !lapsed && again ? 'lead' : null,
      rests: answer?.id ?? '',
    });
  });
  return [...components.flatMap((c) => verdictObligations(book, c)), ...items];
}
