import { TABLES } from '../catalogue/trace/tables.ts';
import { fluidClass, fluidMonths } from '../catalogue/fluids.ts';
import { circuitFluids, fluidRecordsOf, fluidState } from '../history/due.ts';
import { putOffsOf } from '../history/putOffs.ts';
import type { JobState } from '../job/job.ts';
import type { Judged } from '../judging/judge.ts';
import { workDone } from '../judging/workDone.ts';
import { placeName, type Slot, slotById } from '../layout/graph.ts';
import { axleOf, type ComponentKind } from '../layout/kinds.ts';
import { NOTHING_ELSE } from '../ledger/families/causeLooks.ts';
import type { OwnerPage } from '../ledger/release.ts';
import { rowName } from '../wording/en/estimate.ts';
import { lowerFirst } from '../quantity/display.ts';
import { looksOf } from '../stages/trace/causes.ts';
import { DONE_PLAIN, OWNER_PAGE, PLAIN_PAST } from '../wording/en/owner.ts';
import { afterCareOf } from './afterCare.ts';
import { figuresHere, firstWork } from './pairs.ts';
import { cameFrom } from './sheetRefs.ts';
import { neverOpen, nearLimit } from './toWatch.ts';

/** How much of each stands on the one side of paper. */
const MOST = { wrong: 7, done: 9, watch: 4, back: 7, pictures: 2 } as const;

/** Linings, and what they rub on: these wear from use. */
const WEARS: readonly ComponentKind[] = ['pads', 'shoes', 'parking_shoes', 'band', 'rotor', 'drum', 'band_drum'];

function capped(lines: readonly string[], most: number): string[] {
  return lines.length <= most ? [...lines] : [...lines.slice(0, most - 1), OWNER_PAGE.more(lines.length - most + 1)];
}

/** Places told together where the same is said of them: both sides of an axle in one. */
function together(said: readonly { readonly slot: Slot; readonly text: string }[]): { readonly slots: Slot[]; readonly text: string }[] {
  const groups = new Map<string, { slots: Slot[]; text: string }>();
  for (const { slot, text } of said) {
    const key = `${axleOf(slot.corner) ?? slot.id}:${slot.kind}:${text}`;
    const group = groups.get(key) ?? { slots: [], text };
    group.slots.push(slot);
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** What was wrong as it came: figures past their limit, and what was seen that is not used again. */
function wrongOf(state: JobState, past: readonly Judged[]): string[] {
  const { records, history } = state;
  const bySlot = new Map<string, { slot: Slot; how: string[] }>();
  for (const j of past) {
    const slot = slotById(records.layout, j.slotId);
    if (!slot) continue;
    const of = bySlot.get(slot.id) ?? { slot, how: [] };
    of.how.push(PLAIN_PAST[j.characteristic.id]);
    bySlot.set(slot.id, of);
  }
  const worn = together([...bySlot.values()].map(({ slot, how }) => ({ slot, text: [...new Set(how)].sort().join('|') })));
  const causes = [...looksOf(history).values()]
    .filter((l) => l.jobId === records.job.id && l.state === 'found' && l.fault !== NOTHING_ELSE)
    .flatMap((l) => {
      const fault = TABLES.faults.find((f) => f.id === l.fault);
      const slot = slotById(records.layout, l.place);
      return fault ? [slot ? OWNER_PAGE.done(placeName(slot), lowerFirst(fault.name)) : fault.name] : [];
    });
  const seen = history
    .active(records.findings)
    .filter((f) => f.jobId === records.job.id && f.severity === 'reject')
    .flatMap((f) => {
      const slot = slotById(records.layout, f.slotId);
      return slot ? [OWNER_PAGE.done(placeName(slot), cameFrom(f.id, 'words', f.words))] : [];
    });
  return [...causes, ...worn.map((g) => OWNER_PAGE.past(rowName(g.slots), bySlot.get(g.slots[0]?.id ?? '')?.how ?? [])), ...new Set(seen)];
}

function doneOf(state: JobState): string[] {
  const { records, history } = state;
  const done = state.components.flatMap((c) => {
    const text = c.decision?.jobId === records.job.id ? DONE_PLAIN[c.decision.option] : undefined;
    return text !== undefined && workDone(history, c) ? [{ slot: c.slot, text }] : [];
  });
  const services = history.active(records.fluidServices).filter((s) => s.jobId === records.job.id);
  const circuits = circuitFluids(records.layout, fluidRecordsOf(history));
  const fluids = services.flatMap((s) => {
    const held = circuits.filter((c) => c.service?.id === s.id).map((c) => c.circuit);
    const product = cameFrom(s.id, 'product', s.product);
    if (held.length === 0) return [];
    return [
      held.length === circuits.length
        ? OWNER_PAGE.fluid(product, fluidClass(s.fluidClass)?.name ?? s.fluidClass)
        : OWNER_PAGE.fluidHalf(product, held),
    ];
  });
  return [...together(done).map((g) => OWNER_PAGE.done(rowName(g.slots), g.text)), ...fluids];
}

/** Pictures of a place of before any work and of after it. */
function picturesOf(state: JobState): OwnerPage['pictures'] {
  const begun = firstWork(state);
  const { records, history } = state;
  const mine = history.active(records.pictures).filter((p) => p.jobId === records.job.id && p.slotId !== null && p.of !== 'paper');
  const slots = [...new Set(mine.map((p) => p.slotId))];
  return slots.flatMap((slotId) => {
    const of = mine.filter((p) => p.slotId === slotId);
    const before = of.find((p) => begun !== null && p.happenedAt < begun);
    const after = of.findLast((p) => begun !== null && p.happenedAt >= begun);
    const slot = slotId === null ? undefined : slotById(records.layout, slotId);
    return before && after && slot ? [{ place: placeName(slot), before: before.hash, after: after.hash }] : [];
  });
}

/** Builds what the owner reads. @param today ISO instant */
export function ownerPage(state: JobState, today: string): OwnerPage {
  const { records, history } = state;
  const begun = firstWork(state) ?? today;
  const when = new Map(history.sets.map((s) => [s.id, s.happenedAt]));
  const past = [...figuresHere(state, today).values()].flat().filter((j) => j.verdict === 'past' && (when.get(j.setId) ?? '') <= begun);
  const wrong = wrongOf(state, past);
  const { vehicle } = records;
  const stands = vehicle.use === 'stands' || (vehicle.standsYears ?? 0) >= 1;
  const damp = vehicle.climate === 'damp' || vehicle.storage === 'damp' || vehicle.storage === 'outside';
  const due = fluidState(records.layout, fluidRecordsOf(history), vehicle, today);
  const earlier = history.active(records.earlierWork).some((e) => e.what === 'fluid_changed');
  const services = history.active(records.fluidServices);
  const unknownFluid =
    services.some((s) => s.jobId === records.job.id) && services.every((s) => s.jobId === records.job.id) && !earlier && wrong.length > 0;
  const months = fluidMonths({
    climate: vehicle.climate,
    stands: vehicle.use === 'stands',
    competition: vehicle.use === 'competition',
  });
  const nameAt = (slotId: string): string => {
    const slot = slotById(records.layout, slotId);
    return slot ? placeName(slot) : '';
  };
  return {
    wrong: capped(wrong, MOST.wrong),
    why:
      wrong.length === 0
        ? ''
        : OWNER_PAGE.why({
            stood: stands && vehicle.standsYears !== null && vehicle.standsYears >= 1 ? Math.floor(vehicle.standsYears) : null,
            ...{ stands, damp, unknownFluid },
            wearAlone: past.length > 0 && past.every((j) => WEARS.includes(slotById(records.layout, j.slotId)?.kind ?? 'valve')),
          }),
    habit: services.length > 0 ? OWNER_PAGE.habit(vehicle.use === 'stands', damp, months) : '',
    done: capped(doneOf(state), MOST.done),
    watch: capped(
      [
        ...putOffsOf(history, today).map(({ decision: d }) => OWNER_PAGE.putOff(nameAt(d.slotId))),
        ...neverOpen(state, today).map((n) => OWNER_PAGE.neverOpen(n.slots, n.years)),
        ...nearLimit(state),
      ],
      MOST.watch,
    ),
    back: [
      ...afterCareOf(state, today).map(({ what, on, km }) => ({ what, on, km })),
      ...(due ? [{ what: OWNER_PAGE.changeFluid, on: due.due, km: null }] : []),
    ].slice(0, MOST.back),
    pictures: picturesOf(state).slice(0, MOST.pictures),
  };
}
