import { type Measurement, type PlannedPosition, plannedPositions, positionKey, readFigure, usualCount } from '@dauer/core/catalogue';
import type { Component } from '@dauer/core/judging';
import type { Phase, Reading, ReadingSet, Surface } from '@dauer/core/ledger';
import { hangsOnState, type Taken } from '@dauer/core/metrology';
import { displayWithUnit, DomainError, type Quantity, type UnitId } from '@dauer/core/quantity';
import { gaugedAt, whyNotGauged } from '@dauer/core/readiness';
import { useLocalStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, type ComputedRef, type Ref, ref, shallowRef, watch } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { useSession } from '../../app/session.ts';
import { BEGIN, capture, type CaptureAction, type Course, doubtOf, refusalToTake } from './captureMachine.ts';
import { orderOf, type TakingOrder } from './takingOrder.ts';
import { useGaugeChoice } from './useGaugeChoice.ts';
import { useUnit } from './useUnit.ts';

/** How the next set is taken, where it is not the plain one. */
export interface Begin {
  readonly turn: number;
  readonly studs: number | null;
}

/** Everything between a typed figure and a kept reading, for one measurement of one component. */
export function useCapture(component: ComputedRef<Component | null>, measurement: ComputedRef<Measurement | null>, phase: Ref<Phase>) {
  const job = useOpenJob();
  const session = useSession();
  const { unit, other, symbol, symbolOf, pair, switchUnit } = useUnit(computed(() => measurement.value?.kind ?? 'length'));
  const { gauges, gauge, choose, gaugeName, gaugeNote, errorOf } = useGaugeChoice(
    measurement,
    computed(() => at.value?.place ?? null),
  );
  const orders = useLocalStorage<Record<string, TakingOrder>>('dauer.orders', {});
  /** How clean and how warm the part is: said by whoever has it in the hand, never in advance; kept while it is the same part. */
  const surface = ref<Surface | null>(null);
  const cold = ref<boolean | null>(null);
  /** Whether a measurement hangs on them at all: a length of a part does, a pedal or a torque does not. */
  const asksState = computed(() => measurement.value !== null && hangsOnState(measurement.value));
  const averages = ref(false);
  const count = ref(8);
  /** Also the rings that may be taken besides. */
  const more = ref(false);
  const bar = shallowRef(BEGIN);
  const course = computed((): Course => ({ positions: positions.value, sequence: sequence.value, isTaken }));
  const act = (action: CaptureAction): void => void (bar.value = capture(bar.value, action, course.value));
  /** The position in hand. */
  const index = computed({
    get: () => bar.value.index,
    set: (i: number) => {
      act({ kind: 'picked', index: i });
    },
  });
  const message = computed({
    get: () => bar.value.message,
    set: (text: string | null) => void (bar.value = { ...bar.value, message: text }),
  });
  const question = computed(() => bar.value.question);
  /** Begin a set of its own with the next reading, beside the one that stands. */
  const afresh = ref(false);
  /** A second measure that does not see the first. */
  const blind = ref(false);
  const begin = ref<Begin | null>(null);

  /** What stays with the place, or with the article that it is in, is said of no part. */
  const ofPlace = computed(() => measurement.value?.subject === 'slot' || measurement.value?.subject === 'article');
  const partId = computed(() => (ofPlace.value ? null : (component.value?.part?.id ?? component.value?.bench ?? null)));
  const set = computed<ReadingSet | null>(() => {
    const c = component.value;
    const m = measurement.value;
    const { history } = job;
    if (!c || !m || afresh.value) return null;
    const mine = history.sets.filter(
      (s) =>
        s.jobId === history.records.job.id &&
        s.slotId === c.slot.id &&
        s.measurement === m.id &&
        s.phase === phase.value &&
        s.partId === partId.value &&
        s.blind === blind.value &&
        (!blind.value || s.authorId === session.person?.id),
    );
    return mine.at(-1) ?? null;
  });
  const taken = computed<readonly Taken[]>(() => (set.value && job.history ? job.history.taken(set.value) : []));
  const ringsTaken = computed(() => {
    const m = measurement.value;
    const extra = m?.pattern.form === 'round' ? m.pattern.more.map((r) => r.id) : [];
    return taken.value.some((t) => extra.includes(t.reading.place ?? ''));
  });
  /** The places that are asked for, where it is not all of them. */
  const only = ref<readonly string[] | null>(null);
  const positions = computed<PlannedPosition[]>(() =>
    measurement.value
      ? plannedPositions(measurement.value.id, set.value?.count ?? count.value, more.value || ringsTaken.value).filter(
          (p) => only.value === null || only.value.includes(p.place ?? ''),
        )
      : [],
  );
  const order = computed<TakingOrder>({
    get: () => orders.value[measurement.value?.id ?? ''] ?? 'round',
    set: (o) => {
      if (measurement.value) orders.value = { ...orders.value, [measurement.value.id]: o };
      act({ kind: 'reordered' });
    },
  });
  const sequence = computed(() => orderOf(positions.value, order.value));
  const at = computed<PlannedPosition | null>(() => positions.value[index.value] ?? null);
  const standing = computed<Taken | null>(() =>
    at.value ? (taken.value.find((t) => t.key === positionKey(at.value as PlannedPosition)) ?? null) : null,
  );
  const isTaken = (p: PlannedPosition): boolean => taken.value.some((t) => t.key === positionKey(p));

  watch(
    [() => component.value?.slot.id, () => measurement.value?.id, phase, blind],
    () => {
      afresh.value = false;
      begin.value = null;
      more.value = false;
      averages.value = false;
      if (measurement.value) count.value = usualCount(measurement.value.id);
      act({ kind: 'begun' });
    },
    { immediate: true },
  );

  watch([() => component.value?.slot.id, blind, afresh], () => {
    surface.value = null;
    cold.value = null;
  });
  /** Why nothing can be taken here now, in a sentence; null where it can. */
  const closed = computed(() => {
    const { history } = job;
    const [c, m] = [component.value, measurement.value];
    if (!c || !m || set.value) return null;
    return whyNotGauged(gaugedAt(history, new Date().toISOString()), c.slot, m.id, phase.value === 'as_found');
  });

  function openSet(m: Measurement, c: Component): string {
    if (set.value) return set.value.id;
    const begun = v7();
    job.add('sets', {
      id: begun,
      slotId: c.slot.id,
      partId: partId.value,
      measurement: m.id,
      phase: phase.value,
      surface: surface.value ?? 'clean',
      cold: cold.value ?? true,
      averages: averages.value,
      count: count.value,
      turn: begin.value?.turn ?? 0,
      studs: begin.value?.studs ?? null,
      blind: blind.value,
    });
    afresh.value = false;
    begin.value = null;
    return begun;
  }
  function read(setId: string, p: PlannedPosition, typed: string, as: UnitId, gaugeVersionId: string | null): void {
    const repeats = taken.value.find((t) => t.key === positionKey(p))?.repeats.length ?? 0;
    job.add('readings', {
      setId,
      frame: p.frame,
      angleDeg: p.angleDeg,
      place: p.place,
      pass: Math.min(99, repeats + 1),
      gaugeVersionId,
      typed,
      unit: as,
    });
  }
  /** Takes a typed figure. What was typed is kept as typed; a figure that cannot be read stays in the bar with the reason. */
  function take(text: string): boolean {
    const c = component.value;
    const m = measurement.value;
    const p = at.value;
    if (!c || !m || !p) return false;
    if (session.lock) {
      act({ kind: 'refused', message: 'Nobody is signed in on this page. Sign in, then take the figure.' });
      return false;
    }
    const refusal = refusalToTake({
      ...{ closed: closed.value, asksState: asksState.value && !set.value, surface: surface.value, cold: cold.value },
    });
    if (refusal !== null) {
      act({ kind: 'refused', message: refusal });
      return false;
    }
    let quantity: Quantity;
    try {
      quantity = readFigure(m.id, p.place, text, unit.value, gauge.value?.kind ?? null);
    } catch (error) {
      act({ kind: 'refused', message: error instanceof DomainError ? error.message : String(error) });
      return false;
    }
    const doubt = doubtOf({
      ...{ measurement: m, position: p, quantity, text, symbol: symbol.value, name: c.slot.name, boreMm: c.slot.boreMm },
      ...{ taken: taken.value, positions: positions.value, confirmed: bar.value.confirmed, errorOf },
    });
    read(openSet(m, c), p, text, unit.value, gauge.value?.id ?? null);
    act({ kind: 'taken', doubt });
    return true;
  }
  /** What was asked about is as it was read. */
  function itIsRight(): void {
    act({ kind: 'confirmed' });
  }
  /** What was asked about was misread: it is taken back, and the bar stands at its position. */
  function itIsNot(): void {
    const misread = taken.value.find((t) => t.key === question.value?.key);
    act({ kind: 'question_dropped' });
    if (misread) takeBackReading(misread.reading);
    else takeBack();
  }
  /** The newest reading of this set is taken back; the bar stands at its position again. */
  function takeBack(): void {
    const last = [...taken.value].map((t) => t.reading).sort((a, b) => (a.happenedAt < b.happenedAt ? 1 : -1))[0];
    if (last) takeBackReading(last);
  }
  function takeBackReading(reading: Reading): void {
    job.takeBack(reading.id);
    act({ kind: 'taken_back', key: positionKey(reading), typed: reading.typed });
  }
  /** Readings that were taken at another position go there, each as it was typed; nothing is typed again. */
  function putRight(moves: readonly { readonly from: Taken; readonly to: PlannedPosition }[]): void {
    if (!set.value) return;
    const setId = set.value.id;
    for (const m of moves) job.takeBack(m.from.reading.id, 'taken at another position');
    for (const m of moves) read(setId, m.to, m.from.reading.typed, m.from.reading.unit, m.from.reading.gaugeVersionId);
    act({ kind: 'question_dropped' });
  }
  function move(step: number): void {
    act({ kind: 'stepped', by: step });
  }
  function inUnit(t: Taken, shown: UnitId): string {
    return displayWithUnit(t.value, measurement.value?.kind ?? 'length', t.reading.resolution, shown, t.reading.fraction);
  }
  return {
    only,
    ...{ unit, other, symbol, symbolOf, pair, switchUnit, inUnit },
    ...{ gauges, gauge, choose, gaugeName, gaugeNote },
    ...{ surface, cold, asksState, closed, averages, count, more, order, blind, begin, afresh },
    ...{ index, message, question, set, taken, positions, at, standing, isTaken },
    ...{ take, takeBack, takeBackReading, putRight, move, itIsRight, itIsNot },
  };
}

export type Capture = ReturnType<typeof useCapture>;
