import type { ComponentKind } from '../layout/kinds.ts';
import type { OptionId } from '../records/types.ts';
import { MEASUREMENTS, type MeasurementId } from './characteristics.ts';
import type { Judged } from './judge.ts';

/** What is asked of a figure: owed, wanted where there is time, or only written down. */
export type Need = 'required' | 'wanted' | 'recorded';

/** One line of the programme: of a kind of component, as found or after what is done with it. */
export interface ProgrammeLine {
  readonly kind: ComponentKind;
  readonly done: 'found' | OptionId;
  readonly measurement: MeasurementId;
  readonly need: Need;
  /** Least positions from which the figure counts. */
  readonly least: number;
}

const line = (kind: ComponentKind, done: ProgrammeLine['done'], measurement: MeasurementId, need: Need = 'required'): ProgrammeLine => ({
  kind,
  done,
  measurement,
  need,
  least: MEASUREMENTS[measurement].least,
});

/** What has to be gauged on each kind of component. Source: handbook 15, Scope and programme; 20. */
export const PROGRAMME: readonly ProgrammeLine[] = [
  line('rotor', 'found', 'rotor_thickness'),
  line('rotor', 'found', 'rotor_runout'),
  line('rotor', 'replace', 'rotor_thickness'),
  line('rotor', 'replace', 'rotor_runout'),
  line('rotor', 'machine', 'rotor_thickness'),
  line('rotor', 'machine', 'rotor_runout'),
  line('drum', 'found', 'drum_diameter'),
  line('drum', 'replace', 'drum_diameter'),
  line('drum', 'machine', 'drum_diameter'),
  line('pads', 'found', 'pad_lining'),
  line('pads', 'replace', 'pad_lining'),
];

/** Kinds that have to be looked at, whatever is gauged on them. */
const LOOKED_AT: readonly ComponentKind[] = [
  'rotor',
  'drum',
  'pads',
  'caliper',
  'piston',
  'wheel_cylinder',
  'shoes',
  'master_cylinder',
  'servo',
  'balance_bar',
  'valve',
  'hose',
  'hub',
  'clutch_master',
  'clutch_slave',
];

/** The lines of a kind of component, as found or after what was done. */
export function programmeFor(
  kind: ComponentKind,
  done: ProgrammeLine['done'],
  programme: readonly ProgrammeLine[] = PROGRAMME,
): ProgrammeLine[] {
  return programme.filter((p) => p.kind === kind && p.done === done);
}

/** Whether a look with words is owed for a kind of component. */
export function looksAt(kind: ComponentKind): boolean {
  return LOOKED_AT.includes(kind);
}

/** Whether a figure is only written down: it never shows that it has no limit. */
export function recordedOnly(kind: ComponentKind, judged: Pick<Judged, 'characteristic' | 'verdict'>): boolean {
  const mine = PROGRAMME.filter((p) => p.kind === kind && p.measurement === judged.characteristic.takenFrom);
  return judged.verdict === 'no_limit' && mine.length > 0 && mine.every((p) => p.need === 'recorded');
}
