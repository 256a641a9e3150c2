import { HAZARD_TABLE } from '../../catalogue/trace/bench.ts';
import { TABLES } from '../../catalogue/trace/tables.ts';
import { DomainError } from '../../quantity/domainError.ts';

/** Reads the table of hazards. @throws DomainError bad_table with the line */
export function readHazards(text: string, faults: ReadonlySet<string>): Map<string, string> {
  return new Map(
    text.split('\n').flatMap((line, i): [string, string][] => {
      if (line.trim() === '') return [];
      const [fault = '', hazard = '', ...more] = line.split('|').map((c) => c.trim());
      if (!faults.has(fault) || hazard === '' || more.length > 0)
        throw new DomainError('bad_table', `hazards, line ${i + 1}: a fault of the table and its hazard are wanted.`);
      return [[fault, hazard]];
    }),
  );
}
/** Why the vehicle is not driven with a fault, by the fault; none where it may be. */
export const HAZARD_OF: ReadonlyMap<string, string> = readHazards(HAZARD_TABLE, new Set(TABLES.faults.map((f) => f.id)));

/** Hazards only once the brakes are hot: they bar no gentle drive at walking pace. Source: handbook 35, Checks to mend; 60, Boiling point. */
export const HOT_ONLY: ReadonlySet<string> = new Set(['fluid_water']);

/** Signs with which nobody drives, whatever brings them about. Source: handbook 35, Checks to mend. */
export const NOT_DRIVEN_WITH: readonly string[] = [
  ...['pedal_to_floor', 'pedal_hard_no_stop', 'pedal_disconnected', 'no_braking', 'locked'],
  ...['difference_lamp', 'level_empty', 'fluid_at_wheel', 'line_rusted'],
];
