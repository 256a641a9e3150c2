import { ownerChoiceOf } from '../estimate/authorised.ts';
import { whereabouts } from '../history/whereabouts.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { millisecondsInHour } from '../quantity/calendar.ts';
import type { JobState } from '../job/job.ts';
import { placeName, slotById } from '../layout/graph.ts';
import { orderStates } from '../supply/orders.ts';
import { outStates, waitingBatches } from '../supply/outs.ts';
import { batchWords, onOrderWords } from '../wording/en/supply.ts';
import { parkedNow } from '../readiness/parked.ts';
import { PARKED } from '../wording/en/parking.ts';
import { awayWords, ownerWords, tiedWords } from '../wording/en/jobs.ts';

const LEVERS: readonly ComponentKind[] = ['pedal', 'hand_lever', 'foot_lever'];

/** Parts that are away, told together where they went together: "4 drums, to the turner". */
function away(state: JobState): string[] {
  const events = state.history.active(state.records.partEvents);
  const byNote = new Map<string, string[]>();
  for (const part of state.records.parts) {
    const where = whereabouts(part.id, events);
    if (where.at === 'away') byNote.set(where.note, [...(byNote.get(where.note) ?? []), part.name.toLowerCase()]);
  }
  return [...byNote].map(([note, names]) => awayWords(names, note));
}

/** The owner's answer to the sheet that was made for him last, where it is not on record. */
function owner({ records, history, released }: JobState): string[] {
  const offer = records.offers.at(-1);
  return offer && !released && ownerChoiceOf(history)?.offerId !== offer.id ? [ownerWords(offer.sheet.made)] : [];
}

/** Batches that are away and wait for parts that have not gone. */
function batches({ history, records }: JobState): string[] {
  return waitingBatches(outStates(history)).map(({ batch, supplier, missing }) =>
    batchWords(
      batch,
      supplier,
      missing.flatMap((o) => {
        const slot = slotById(records.layout, o.out.slotId);
        return slot ? [placeName(slot)] : [];
      }),
    ),
  );
}

/** What is on its way for places of the job: a line each, with its day. */
function ordered(state: JobState): string[] {
  return orderStates(state.history)
    .filter((s) => s.coming > 0 && s.line.places.length > 0)
    .map((s) => onOrderWords(s));
}

/** Hours after which a lever that was tied overnight is to be untied. Source: handbook 58, D28; generic. */
const OVERNIGHT_H = 8;

/** Levers that are tied, the reminder that the night is over with them. */
function tied({ context, released }: JobState): string[] {
  if (released) return [];
  const now = Date.parse(context.today);
  return context.proofStatus.places.flatMap(({ slot, inside }) =>
    inside
      .filter((p) => p.what === 'tie' && LEVERS.includes(slot.kind))
      .map((p) => {
        const hours = Math.floor((now - Date.parse(p.happenedAt)) / millisecondsInHour);
        return tiedWords(slot, hours, hours >= OVERNIGHT_H);
      }),
  );
}

/** What a job waits for now: what is on order, parts that are away, and what the stage it stands in cannot begin without. */
export function waitsOf(state: JobState): string[] {
  const parked = state.released ? null : parkedNow(state.history);
  const others = state.obligations.flatMap((o) =>
    o.state === 'waiting' && o.stage === state.stage && o.why !== null && o.waitsFor !== 'part_away' && o.waitsFor !== 'on_order'
      ? [o.why]
      : [],
  );
  return [
    ...(parked ? [PARKED.waits(parked.waitsFor)] : []),
    ...tied(state),
    ...away(state),
    ...batches(state),
    ...ordered(state),
    ...owner(state),
    ...new Set(others),
  ];
}

/** What is fitted for now, and until when. Source: handbook 05, Temporary parts are forgotten. */
export function forNowOf(state: JobState): { readonly what: string; readonly until: string | null }[] {
  const events = state.history.active(state.records.partEvents);
  return state.context.proofStatus.places
    .filter((p) => p.state === 'temporary')
    .map((p) => ({
      what: placeName(p.slot),
      until: events.findLast((e) => e.slotId === p.slot.id && e.kind === 'fitted')?.until ?? null,
    }));
}
