import { type Measurement, type MeasurementId } from '@dauer/core/catalogue';
import { type Component, honing, type Judged, sealZone } from '@dauer/core/judging';
import { placeName } from '@dauer/core/layout';
import { unitOf } from '@dauer/core/quantity';
import type { Component as View } from 'vue';
import type { Bench, Drawing } from './benches/bench.ts';
import BoreField from './BoreField.vue';
import DrumField from './DrumField.vue';
import PadField from './PadField.vue';
import PistonField from './PistonField.vue';
import RotorPair from './RotorPair.vue';
import RotorRing from './RotorRing.vue';
import ShoesField from './ShoesField.vue';
import SketchField from './SketchField.vue';
import TurnedSweep from './TurnedSweep.vue';
import type { useJob } from '../../job/job.ts';
import type { Field } from './useBenchFigures.ts';

/** What a bench is drawn from. */
export interface Drawn {
  readonly component: Component;
  readonly measurement: Measurement;
  readonly fieldOf: (id: MeasurementId) => Field;
  readonly judged: readonly Judged[];
  readonly now: number;
  readonly live: string | null;
  /** Clearance of the shoes at each position, before and after a setting. */
  readonly clearance: readonly { readonly before: number; readonly after: number | null }[] | null;
  readonly history: ReturnType<typeof useJob>['history'];
}

interface Way {
  readonly view: View;
  /** What it is drawn with beside its positions, the readings and the one in turn. */
  readonly also: (d: Drawn) => object;
}
const nothing = (): object => ({});
const live = (d: Drawn): object => ({ live: d.live });

/** Zone and pits of a bore, where they are known; those of a piston in it are not the bore's. */
function ofBore(d: Drawn): object {
  const bore = d.history && honing(d.history, d.component.slot, 'iron');
  return { ...live(d), zone: bore?.zone ?? null, pits: d.component.slot.kind === 'piston' ? [] : (bore?.pits ?? []) };
}
function ofPiston(d: Drawn): object {
  return { ...live(d), zone: d.history && d.component.slot.kind === 'piston' ? sealZone(d.history, d.component.slot) : null };
}

/** How each is drawn. */
const WAYS: Readonly<Record<Drawing, Way>> = {
  rotor: {
    view: RotorPair,
    also: (d) => ({
      measurement: d.measurement.id,
      ring: d.fieldOf('rotor_thickness'),
      sweep: d.fieldOf('rotor_runout'),
      judged: d.judged,
      ...live(d),
    }),
  },
  sweep: { view: TurnedSweep, also: (d) => ({ judged: d.judged.find((j) => j.characteristic.takenFrom === d.measurement.id) }) },
  ring: { view: RotorRing, also: (d) => ({ name: `${d.measurement.name} round it`, ...live(d) }) },
  drum: { view: DrumField, also: nothing },
  pads: { view: PadField, also: nothing },
  bore: { view: BoreField, also: ofBore },
  piston: { view: PistonField, also: ofPiston },
  shoes: { view: ShoesField, also: (d) => ({ ...live(d), clearance: d.clearance }) },
};

/** What a bench is drawn by, and with what. */
export function drawingOf(bench: Bench, d: Drawn): { readonly view: View; readonly with: object } {
  const { positions, taken, decimals } = d.fieldOf(d.measurement.id);
  const own = { positions, taken, now: d.now, decimals };
  if (bench.drawing === 'sketch') {
    const { kind, unit } = d.measurement;
    const more = { sketch: bench.sketch, symbol: unitOf(kind, unit).symbol, 'aria-label': placeName(d.component.slot) };
    return { view: SketchField, with: { ...own, ...live(d), ...more } };
  }
  const { view, also } = WAYS[bench.drawing];
  if (bench.drawing === 'rotor') return { view, with: { now: d.now, ...also(d) } };
  if (bench.drawing === 'sweep') return { view, with: { positions, taken, now: d.now, ...also(d) } };
  return { view, with: { ...own, ...also(d) } };
}
