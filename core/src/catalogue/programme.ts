import type { ComponentKind } from '../layout/kinds.ts';
import type { Need } from './measured/types.ts';
import { MEASUREMENT_IDS, MEASUREMENTS, type MeasurementId } from './measurements.ts';

export type { Need } from './measured/types.ts';
import { type OptionId, RENEWS } from './repairOptions.ts';

/** One line of the programme: of a kind of component, as found or after what is done with it. */
export interface ProgrammeItem {
  readonly kind: ComponentKind;
  readonly done: 'found' | OptionId;
  readonly measurement: MeasurementId;
  readonly need: Need;
  /** Least positions from which the figure counts. */
  readonly least: number;
  /** As found, before it is taken apart or put together again, or as fitted, after. */
  readonly phase: 'as_found' | 'after_machining' | 'as_fitted';
  /** What answers it as well: the same thing taken another way. */
  readonly or: MeasurementId | null;
}

/** What has to be gauged on each kind of component. Source: handbook 15, Scope and programme; 20. */
export const PROGRAMME: readonly ProgrammeItem[] = MEASUREMENT_IDS.flatMap((measurement) => {
  const { least, programme = [] } = MEASUREMENTS[measurement];
  return programme.flatMap((rule) =>
    rule.of.flatMap((kind) =>
      rule.done.map((done): ProgrammeItem => {
        const phase = rule.phase ?? (done === 'found' ? 'as_found' : 'as_fitted');
        return { kind, done, measurement, need: rule.need ?? 'required', least, phase, or: (rule.or ?? null) as MeasurementId | null };
      }),
    ),
  );
});

/** Kinds that have to be looked at, whatever is gauged on them. */
const LOOKED_AT: readonly ComponentKind[] = [
  'rotor',
  'drum',
  'pads',
  'caliper',
  'piston',
  'wheel_cylinder',
  'shoes',
  'parking_shoes',
  'band',
  'band_drum',
  'master_cylinder',
  'servo',
  'balance_bar',
  'valve',
  'hose',
  'hub',
  'clutch_master',
  'clutch_slave',
];

/** After which the same is gauged as after a new one was fitted. */
const SAME_AS_NEW: readonly ProgrammeItem['done'][] = [...RENEWS, 'reline'];

/** The lines of a kind of component, as found or after what was done. */
export function programmeFor(
  kind: ComponentKind,
  done: ProgrammeItem['done'],
  programme: readonly ProgrammeItem[] = PROGRAMME,
): ProgrammeItem[] {
  const as = SAME_AS_NEW.includes(done) ? 'replace' : done;
  return programme.filter((p) => p.kind === kind && p.done === as);
}

/** Whether a look with words is owed for a kind of component. */
export function looksAt(kind: ComponentKind): boolean {
  return LOOKED_AT.includes(kind);
}
