import { figureText } from '@dauer/core/wording';
import {
  type Characteristic,
  characteristic,
  type MeasurementId,
  type PlannedPosition,
  plannedPositions,
  usualCount,
} from '@dauer/core/catalogue';
import { type Component, type Judged, judgeSet } from '@dauer/core/judging';
import type { Phase } from '@dauer/core/ledger';
import type { Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed, type ComputedRef, type Ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import type { Capture } from './useCapture.ts';

/** What is drawn of one measurement: its positions, and what stands at them. */
export interface Field {
  readonly positions: readonly PlannedPosition[];
  readonly taken: readonly Taken[];
  readonly decimals: number;
}

/** A figure that is written down and not judged: there is no limit for it. */
export interface Noted {
  readonly characteristic: Characteristic;
  readonly text: string;
}

/** The figures a bench shows: of the measurement in hand those of its own set, of every other one the newest that stand. */
export function useBenchFigures(
  component: ComputedRef<Component | null>,
  tab: Ref<MeasurementId | 'eye'>,
  phase: Ref<Phase>,
  capture: Capture,
) {
  const job = useOpenJob();
  /** A second measure shows nothing of the first. */
  const blind = computed(() => capture.blind.value);
  const judged = computed<Judged[]>(() => {
    const all = component.value?.judged ?? [];
    const set = capture.set.value;
    const own = set && !set.blind ? judgeSet(job.history, set, job.today) : null;
    const ids = new Set((own ?? []).map((j) => j.characteristic.id));
    const list = all.filter((j) => !ids.has(j.characteristic.id) && !(blind.value && j.characteristic.takenFrom === tab.value));
    return [...(own ?? []), ...list].sort(
      (a, b) => Number(b.characteristic.takenFrom === tab.value) - Number(a.characteristic.takenFrom === tab.value),
    );
  });
  const inTab = computed(() => judged.value.filter((j) => j.characteristic.takenFrom === tab.value));
  const others = computed(() => judged.value.filter((j) => j.characteristic.takenFrom !== tab.value));
  const noted = computed<Noted[]>(() => {
    const set = capture.set.value;
    if (!set || blind.value) return [];
    const shown = new Set(inTab.value.map((j) => j.characteristic.id));
    return job.history.reduced(set).flatMap((r): Noted[] => {
      const c = characteristic(r.characteristic);
      return c && !shown.has(c.id) ? [{ characteristic: c, text: figureText(c, r.value, r.decimals) }] : [];
    });
  });
  const decimalsOf = (id: MeasurementId | 'eye'): number => {
    const set = id === tab.value ? capture.set.value : null;
    const known = set && job.history ? job.history.reduced(set)[0]?.decimals : undefined;
    const places = capture.taken.value.map((t) => (String(t.reading.typed).split(/[.,]/)[1] ?? '').replace(/\D.*/, '').length);
    return (
      known ?? judged.value.find((j) => j.characteristic.takenFrom === id)?.reduced.decimals ?? Math.max(0, ...places, id === 'eye' ? 0 : 1)
    );
  };
  /** What stands of a measurement in the phase shown: the set in hand, or the newest of the other one. */
  function fieldOf(id: MeasurementId): Field {
    const own = tab.value === id;
    const history = job.history;
    const set = own
      ? capture.set.value
      : history.sets
          .filter(
            (s) =>
              s.slotId === component.value?.slot.id &&
              (s.partId === null || s.partId === component.value.part?.id) &&
              s.measurement === id &&
              s.phase === phase.value &&
              !s.blind &&
              s.jobId === history.records.job.id,
          )
          .at(-1);
    return {
      positions: own ? capture.positions.value : plannedPositions(id, set?.count ?? usualCount(id)),
      taken: own ? capture.taken.value : set && history ? history.taken(set) : [],
      decimals: decimalsOf(id),
    };
  }
  const count = (id: MeasurementId): string => {
    const r = component.value?.required.find((x) => x.measurement.id === id && x.phase === phase.value);
    const { taken, positions } = fieldOf(id);
    return r ? `${r.taken}/${positions.length}` : taken.length > 0 ? String(taken.length) : '';
  };
  const missing = computed(() =>
    (component.value?.required ?? [])
      .filter((r) => !r.done && r.need === 'required' && r.phase === phase.value)
      .map((r) => r.measurement.name),
  );
  /** What governs so far, in a line for the capture bar. */
  const governs = computed(() => {
    const [main] = inTab.value;
    const n = capture.positions.value.length;
    if (blind.value) return `${capture.taken.value.length} of ${n} taken; the first measure stays hidden`;
    if (main)
      return `${figureText(main.characteristic, main.reduced.value, main.reduced.decimals)} governs, ${main.reduced.taken} of ${n} taken`;
    const stood = capture.standing.value;
    return stood ? `${fixed(stood.value, decimalsOf(tab.value))} stands here` : 'Type the figure, Enter takes it';
  });
  return { judged, inTab, others, noted, decimalsOf, fieldOf, count, missing, governs };
}
