import { type FigureAsk, figuresAsked } from '../catalogue/proofFigures.ts';
import { controlOfItem, type ProofItem } from '../catalogue/proofItems.ts';
import { MEASUREMENTS, measurementsAt } from '../catalogue/measurements.ts';
import { type HoldFault, holdFault } from '../metrology/holdFault.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from '../judging/components.ts';
import type { Judged } from '../judging/judge.ts';
import type { Layout, Slot } from '../layout/graph.ts';
import { type Control, controlsOf } from '../layout/reach.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import type { Disturbed } from './disturbed.ts';
import { endedBy } from './lapsing.ts';
import { pressedFor } from './pedalLock.ts';
import type { ProofStatus } from './proofStatus.ts';
import { notComplete, type PlaceState } from './unitState.ts';
import { holdWords } from '../wording/en/holds.ts';
import { PROOF_REFUSAL } from '../wording/en/prove.ts';
import { STATUS } from '../wording/en/readiness.ts';

/** Figures of a proof at one place, as they stand. */
export interface ProofFigure {
  readonly slot: Slot;
  readonly ask: FigureAsk;
  /** The newest set taken for it on this job, as fitted; null where none was. */
  readonly set: ReadingSet | null;
  /** What was taken, judged; empty where nothing is judged. */
  readonly judged: readonly Judged[];
  /** Taken where it has to be: every place of it, and nothing was done since that would end the proof. */
  readonly stands: boolean;
  /** Taken, and something since ended it. */
  readonly lapsed: Disturbed | null;
  /** A place on its control was not complete when it was taken: shown, and it closes nothing. */
  readonly provisional: PlaceState | null;
  /** What was held was read too soon, or set where it proves nothing. */
  readonly hold: HoldFault | null;
}

/** Whether a control presses a master cylinder. */
const pressesFluid = (layout: Layout, control: Control): boolean =>
  layout.slots.some((s) => s.kind === 'master_cylinder' && control.reach.has(s.id));

/** The places that the figures of an item are taken at. */
function placesOf(layout: Layout, item: Pick<ProofItem, 'item' | 'corner'>, ask: FigureAsk): Slot[] {
  const of = controlOfItem(item.item);
  const pressed = pressedFor(layout, item);
  const hubs = layout.slots.filter((s) => s.kind === 'hub' && s.corner !== null);
  const places = (): Slot[] => {
    switch (ask.at) {
      case 'control':
        return layout.slots.filter((s) => pressed.some((c) => c.slotId === s.id && (!ask.wet || pressesFluid(layout, c))));
      case 'wheel':
        return hubs.filter((s) => s.corner === item.corner);
      case 'servo':
        return layout.slots.filter((s) => s.kind === 'servo' && (of === null || pressed.some((c) => c.reach.has(s.id))));
      case 'parking_lever':
        return layout.slots.filter((s) => s.kind === 'parking_lever');
      case 'parked_wheels':
        return hubs.filter((s) => controlsOf(layout).some((c) => c.kind === 'parking' && c.reach.has(s.id)));
      case 'wheels':
        return hubs;
      case 'unit':
        return layout.slots.filter((s) => s.parentId === null && (of === null || s.id === of));
    }
  };
  return places().filter((s) => measurementsAt(s).some((m) => m.id === ask.measurement));
}

/** What the figures of proofs are read from. */
export interface FigureSource {
  readonly history: JobHistory;
  readonly components: readonly Component[];
  readonly standing: Pick<ProofStatus, 'disturbed' | 'incompleteAt'>;
}

/**
 * The figures that an item of proof stands on, each as it stands: taken on this job as fitted, and not ended by anything done
 * since its oldest reading.
 * Source: handbook 60, Standing and lapsing.
 */
export function proofFigures({ history, components, standing }: FigureSource, item: ProofItem): ProofFigure[] {
  const { layout, job } = history.records;
  return figuresAsked(item.item).flatMap((ask) =>
    placesOf(layout, item, ask).map((slot): ProofFigure => {
      const set =
        history.sets.findLast(
          (s) => s.slotId === slot.id && s.measurement === ask.measurement && s.phase === 'as_fitted' && s.jobId === job.id && !s.blind,
        ) ?? null;
      const taken = set ? history.taken(set) : [];
      const wanted = ask.places;
      const mine = wanted === null ? taken : taken.filter((t) => wanted.includes(t.reading.place ?? ''));
      const whole = mine.length >= (wanted?.length ?? MEASUREMENTS[ask.measurement].least);
      const oldest = [...mine].sort((a, b) => (a.reading.happenedAt < b.reading.happenedAt ? -1 : 1))[0]?.reading ?? null;
      const lapsed =
        oldest &&
        endedBy(layout, standing.disturbed, {
          ...{ kind: 'item', item: item.item, corner: item.corner },
          ...{ at: oldest.happenedAt, recordedAt: oldest.recordedAt },
        });
      const provisional = oldest && lapsed === null ? standing.incompleteAt(item, oldest.happenedAt) : null;
      const hold = holdFault(ask.measurement, mine);
      const judged = components.find((c) => c.slot.id === slot.id)?.judged ?? [];
      return {
        ...{ slot, ask, set, lapsed },
        judged: set ? judged.filter((j) => j.characteristic.takenFrom === ask.measurement && j.setId === set.id) : [],
        hold,
        provisional,
        stands: whole && lapsed === null && hold === null && provisional === null,
      };
    }),
  );
}

/** Figures without which *passed* cannot be said: of a group that none was taken of, its first. */
export function figuresMissing(figures: readonly ProofFigure[]): ProofFigure[] {
  const open = figures.filter((f) => f.ask.need === 'required' && !f.stands);
  const answered = (f: ProofFigure): boolean =>
    f.ask.group !== null && figures.some((o) => o.ask.group === f.ask.group && o.slot.id === f.slot.id && o.stands);
  const firstOf = (f: ProofFigure): boolean => f.ask.group === null || open.find((o) => o.ask.group === f.ask.group) === f;
  return open.filter((f) => !answered(f) && firstOf(f));
}

/** The figure that says the opposite of *passed*; null where none does. */
export function figurePast(figures: readonly ProofFigure[]): Judged | null {
  return figures.flatMap((f) => (f.stands ? f.judged : [])).find((j) => j.verdict === 'past') ?? null;
}

/** Why what was taken closes nothing, in words; null where it counts, and where nothing was taken. */
export function figureFault({ lapsed, provisional, hold, ask }: ProofFigure): string | null {
  if (lapsed) return PROOF_REFUSAL.lapsed(lapsed.what);
  if (provisional) return STATUS.provisional(notComplete(provisional));
  return hold && holdWords(ask.measurement, hold);
}
