import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, partIn } from '../history/whereabouts.ts';
import { type Slot, unitMates } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { articlesNow } from '../ledger/priceRecords.ts';
import { lotsNow } from './lots.ts';

/** Least temperature of iron that is blue, °C; generic, the temper colour of steel. */
export const BLUED = 300;

/** How hot a brake got at least, and what says so. */
interface Peak {
  /** °C */
  readonly atLeast: number;
  readonly by: 'paint' | 'blue';
  readonly on: string;
}

const FACES: readonly ComponentKind[] = ['rotor', 'drum', 'band_drum'];
const LININGS: readonly ComponentKind[] = ['pads', 'shoes', 'parking_shoes', 'band'];

/** The hottest that a friction face is known to have been on this job: paint that turned, or iron that blued. */
function peakAt(history: JobHistory, face: Slot): Peak | null {
  const { job } = history.records;
  const paint = history.sets
    .filter((s) => s.slotId === face.id && s.jobId === job.id && s.measurement === 'rotor_paint')
    .flatMap((s) =>
      history
        .taken(s)
        .flatMap((t): Peak[] => (t.reading.place === 'hottest turned' ? [{ atLeast: t.value, by: 'paint', on: s.happenedAt }] : [])),
    );
  const blue = history
    .active(history.records.findings)
    .filter((f) => f.slotId === face.id && f.jobId === job.id && f.code === 'blue')
    .map((f): Peak => ({ atLeast: BLUED, by: 'blue', on: f.happenedAt }));
  return [...paint, ...blue].reduce<Peak | null>((most, p) => (most === null || p.atLeast > most.atLeast ? p : most), null);
}

/** What a part may get to, °C, and who says so; null where nobody knows. */
function ratedOf(history: JobHistory, slotId: string, partId: string): { readonly c: number; readonly of: 'part' | 'coating' } | null {
  const { partFacts, lotUses, lots, orderLines, articles, partEvents } = history.records;
  const said =
    history.active(partFacts).findLast((f) => f.fact === 'rated' && f.partId === partId && f.canonical !== null)?.canonical ?? null;
  const used = history
    .active(lotUses)
    .filter((u) => u.partId === partId)
    .flatMap((u) => lotsNow(lots).filter((l) => l.seriesId === u.lotId && l.ratedC !== null));
  const fitted = history.active(partEvents).findLast((e) => e.kind === 'fitted' && e.partId === partId && e.slotId === slotId);
  // What was fitted after it was ordered for the place is what its seller states.
  const line = fitted && history.active(orderLines).findLast((l) => l.places.includes(slotId) && l.happenedAt <= fitted.happenedAt);
  const stated = articlesNow(articles).find((a) => a.id === line?.articleId)?.states['rated'];
  const degrees = stated === undefined ? Number.NaN : Number.parseFloat(stated.replace(',', '.'));
  const own = [said, ...used.filter((l) => l.kind === 'lining').map((l) => l.ratedC), Number.isFinite(degrees) ? degrees : null].find(
    (c) => c !== null,
  );
  const coats = used.filter((l) => l.kind === 'coating').flatMap((l) => l.ratedC ?? []);
  const all = [...(own == null ? [] : [{ c: own, of: 'part' as const }]), ...coats.map((c) => ({ c, of: 'coating' as const }))];
  return all.sort((a, b) => a.c - b.c)[0] ?? null;
}

/** A part that got hotter than it is meant for. */
export interface WrongApplication {
  readonly slot: Slot;
  readonly peak: Peak;
  readonly rated: number;
  readonly of: 'part' | 'coating';
  /** What sits there now: the same, another that is rated lower too, another that nobody knows of, or one that bears it. */
  readonly now: 'same' | 'too_low' | 'unknown' | 'bears';
}

/**
 * Linings, friction faces and their coatings that got hotter on this job's evidence than what they are rated for: another
 * grade closes it, a like part does not. Source: handbook 58, A11.
 */
export function wrongApplications(history: JobHistory): WrongApplication[] {
  const { layout } = history.records;
  const events = history.active(history.records.partEvents);
  return layout.slots
    .filter((s) => FACES.includes(s.kind))
    .flatMap((face) => {
      const peak = peakAt(history, face);
      if (!peak) return [];
      const places = [face, ...LININGS.flatMap((kind) => unitMates(layout, face, kind))];
      return places.flatMap((slot): WrongApplication[] => {
        const then = lastPartIn(
          slot.id,
          events.filter((e) => e.happenedAt <= peak.on),
        );
        const was = then === null ? null : ratedOf(history, slot.id, then);
        if (!was || was.c >= peak.atLeast) return [];
        const here = partIn(slot.id, events);
        const is = here === null ? null : ratedOf(history, slot.id, here);
        const now = here === then || here === null ? 'same' : is === null ? 'unknown' : is.c < peak.atLeast ? 'too_low' : 'bears';
        return [{ slot, peak, rated: was.c, of: was.of, now }];
      });
    });
}
