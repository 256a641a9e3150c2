import type { Shift } from '../../catalogue/trace/tables.ts';
import { fluidState, waterReckoned } from '../../history/due.ts';
import type { JobState } from '../../job/job.ts';
import { lastOpen } from '../../judging/care.ts';
import type { Vehicle } from '../../ledger/vehicleRecords.ts';
import type { TraceContext } from '../../stages/trace/priors.ts';
import { millisecondsInDay, millisecondsInYear } from '../../quantity/calendar.ts';

/** Work counts as lately for so long, days. */
const FRESH_DAYS = 120;
/** Fluid counts as old after so many years. */
const OLD_FLUID_YEARS = 3;
/** Years taken where nobody knows when a place was last open. Source: handbook 30, Years for a per-year prior. */
const YEARS_UNKNOWN = 15;

/** What is on record of a vehicle's fluid from before this job. */
const fluidOf = ({ records, history }: JobState) => ({
  services: history.active(records.fluidServices),
  pulls: history.active(records.bleedPulls),
  earlier: history.active(records.earlierWork),
});

/** What is known of the fluid before anything is looked at: its age and its kind are not taken for granted. */
function fluidShifts(state: JobState): Shift[] {
  const { records } = state;
  const fluid = fluidOf(state);
  const changed = fluidState(records.layout, fluid, records.vehicle, records.job.openedAt)?.changed ?? null;
  const old = changed === null || Date.parse(records.job.openedAt) - Date.parse(changed) > OLD_FLUID_YEARS * millisecondsInYear;
  return [...(old ? (['old_fluid'] as const) : []), ...(fluid.services.length === 0 ? (['unknown_fluid'] as const) : [])];
}

/** How a vehicle is kept and used, as far as it makes faults likelier. Source: handbook 30, Context; 05, Standing still harms. */
function keptShifts(vehicle: Vehicle): Shift[] {
  const { climate, storage, use, standsYears } = vehicle;
  const damp = storage === 'damp' || (storage === 'outside' && climate !== 'dry');
  return [
    ...((standsYears ?? 0) >= 1 || use === 'stands' ? (['stood'] as const) : []),
    ...(damp ? (['damp'] as const) : []),
    ...(climate === 'damp' ? (['damp_air'] as const) : []),
    ...(use === 'competition' || use === 'work' ? (['hard'] as const) : []),
  ];
}

/** What shifts the priors of a job's vehicle: how it stood, how it is kept and used, what was done lately and when. */
export function contextOf(state: JobState): TraceContext {
  const { vehicle, job } = state.records;
  const at = Date.parse(job.openedAt);
  const shifts = new Set<Shift>([...keptShifts(vehicle), ...fluidShifts(state)]);
  const age = vehicle.year === null ? YEARS_UNKNOWN : new Date(at).getUTCFullYear() - vehicle.year;
  const yearsOfAll = Math.min(YEARS_UNKNOWN, Math.max(1, age));
  const events = state.history.active(state.records.partEvents).filter((e) => Date.parse(e.happenedAt) <= at && e.kind !== 'found');
  const years = new Map<string, number>();
  const fresh = new Set<string>();
  for (const c of state.components) {
    const renewed = events.findLast((e) => e.slotId === c.slot.id && e.kind === 'fitted')?.happenedAt;
    const open = [renewed, lastOpen(state.history, c)].filter((x): x is string => typeof x === 'string' && Date.parse(x) <= at);
    const last = open.sort().at(-1);
    if (last === undefined) continue;
    years.set(c.slot.id, (at - Date.parse(last)) / millisecondsInYear);
    if (at - Date.parse(last) < FRESH_DAYS * millisecondsInDay) fresh.add(c.slot.id);
  }
  const water = waterReckoned(state.records.layout, fluidOf(state), vehicle, job.openedAt);
  return { years, yearsOfAll, shifts, fresh, water, times: timesOf(state.records.priors) };
}

/** By how much the shop's own cases shift the odds of each kind of fault: the newest version counts. */
function timesOf(priors: JobState['records']['priors']): Map<string, number> {
  const times = new Map<string, number>();
  for (const p of [...priors].sort((a, b) => a.enteredAt.localeCompare(b.enteredAt))) times.set(p.fault, p.times);
  return times;
}
