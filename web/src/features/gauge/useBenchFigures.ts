import {
  type Component,
  fixed,
  type Judged,
  judgeSet,
  type MeasurementId,
  type Phase,
  type PlannedPosition,
  plannedPositions,
  type Taken,
  USUAL_COUNT,
} from '@dauer/core';
import { computed, type ComputedRef, type Ref } from 'vue';
import { useJob } from '../../app/job.ts';
import type { Capture } from './useCapture.ts';

/** What is drawn of one measurement: its positions, and what stands at them. */
export interface Field {
  readonly positions: readonly PlannedPosition[];
  readonly taken: readonly Taken[];
  readonly decimals: number;
}

/** The figures a bench shows: of the measurement in hand those of its own set, of every other one the newest that stand. */
export function useBenchFigures(
  component: ComputedRef<Component | null>,
  tab: Ref<MeasurementId | 'eye'>,
  phase: Ref<Phase>,
  capture: Capture,
) {
  const job = useJob();
  const judged = computed<Judged[]>(() => {
    const all = component.value?.judged ?? [];
    const own = capture.set.value && job.state ? judgeSet(job.state.book, capture.set.value, job.today) : null;
    const list = all.flatMap((j) => (own && j.characteristic.takenFrom === tab.value ? [] : [j]));
    return [...(own ?? []), ...list].sort(
      (a, b) => Number(b.characteristic.takenFrom === tab.value) - Number(a.characteristic.takenFrom === tab.value),
    );
  });
  const inTab = computed(() => judged.value.filter((j) => j.characteristic.takenFrom === tab.value));
  const others = computed(() => judged.value.filter((j) => j.characteristic.takenFrom !== tab.value));
  const decimalsOf = (id: MeasurementId | 'eye'): number =>
    judged.value.find((j) => j.characteristic.takenFrom === id)?.reduced.decimals ?? 2;
  /** What stands of a measurement in the phase shown: the set in hand, or the newest of the other one. */
  function fieldOf(id: MeasurementId): Field {
    const own = tab.value === id;
    const book = job.state?.book;
    const set = own
      ? capture.set.value
      : book?.sets
          .filter(
            (s) =>
              s.slotId === component.value?.slot.id &&
              s.partId === (component.value.part?.id ?? null) &&
              s.measurement === id &&
              s.phase === phase.value &&
              s.jobId === book.file.job.id,
          )
          .at(-1);
    return {
      positions: own ? capture.positions.value : plannedPositions(id, set?.count ?? USUAL_COUNT[id]),
      taken: own ? capture.taken.value : set && book ? book.taken(set) : [],
      decimals: decimalsOf(id),
    };
  }
  const count = (id: MeasurementId): string => {
    const r = component.value?.required.find((x) => x.measurement.id === id && x.phase === phase.value);
    return r ? `${r.taken}/${fieldOf(id).positions.length}` : '';
  };
  const missing = computed(() =>
    (component.value?.required ?? []).filter((r) => !r.done && r.phase === phase.value).map((r) => r.measurement.name),
  );
  /** What governs so far, in a line for the capture bar. */
  const governs = computed(() => {
    const [main] = inTab.value;
    return main
      ? `${fixed(main.reduced.value, main.reduced.decimals)} mm governs, ${main.reduced.taken} of ${capture.positions.value.length} taken`
      : 'Type the figure, Enter takes it';
  });
  return { judged, inTab, others, decimalsOf, fieldOf, count, missing, governs };
}
