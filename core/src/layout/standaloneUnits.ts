import { Builder } from './builder.ts';
import type { Layout } from './graph.ts';
import { type ComponentKind, KIND_FACTS } from './kinds.ts';

/** The template of units that came without their vehicle: they lie on the bench, joined to nothing. */
const LOOSE_UNITS = 'loose_units';

/** Units that may come alone. */
export const STANDALONE_KINDS: readonly ComponentKind[] = [
  'caliper',
  'wheel_cylinder',
  'master_cylinder',
  'servo',
  'rotor',
  'drum',
  'band_drum',
  'band',
  'shoes',
  'pads',
  'hub',
  'valve',
  'hose',
  'clutch_master',
  'clutch_slave',
];

export interface StandaloneUnit {
  readonly kind: ComponentKind;
  readonly count: number;
  /** Pistons of each, for calipers. */
  readonly pistons: number;
}

/** Whether a layout is of units that came without their vehicle. */
export function isStandalone(layout: Pick<Layout, 'template'>): boolean {
  return layout.template === LOOSE_UNITS;
}

/** Most units of one kind in one job. */
export const MAX_STANDALONE = 24;

/** A layout of units alone: each a place of its own, with its pistons; nothing feeds them and nothing presses them. */
export function buildStandalone(units: readonly StandaloneUnit[], id: string, vehicleId: string, makeId: () => string): Layout {
  const b = new Builder(makeId);
  for (const { kind, count, pistons } of units)
    for (let n = 1; n <= Math.min(count, MAX_STANDALONE); n += 1) {
      const name = count > 1 ? `${KIND_FACTS[kind].name} ${n}` : KIND_FACTS[kind].name;
      const unit = b.slot(kind, name);
      if (kind !== 'caliper') continue;
      for (let p = 1; p <= pistons; p += 1) b.slot('piston', pistons > 1 ? `${name} piston ${p}` : `${name} piston`, { parentId: unit.id });
    }
  return { id, vehicleId, template: LOOSE_UNITS, drive: 'right', slots: b.slots, connections: [] };
}
