import type { JobHistory } from '../history/jobHistory.ts';
import { type Layout, type Slot, cornersOf } from '../layout/graph.ts';
import type { Corner } from '../layout/kinds.ts';
import { DomainError } from '../quantity/domainError.ts';

/** Forces at the pad at which the travel is taken, N. */
export const LIGHT_N = 100;
export const HARD_N = 300;

/** Push-rod play and port take-up together, mm at the rod. Generic. Source: handbook 70, Pedal travel. */
const TAKE_UP_MM = 1.5;
/** Clearance of a pad, mm. Generic. Source: handbook 70, Pedal travel. */
const PAD_CLEARANCE_MM = 0.15;
/** Travel of a shoe at the piston of its cylinder, mm; two pistons a cylinder. Generic. */
const SHOE_TRAVEL_MM = 0.6;
const PISTONS_A_CYLINDER = 2;
/** Growth of a sound hose, mL per metre and bar. Generic: half of what the usual standard for brake hoses allows at 69 bar. */
const HOSE_ML_PER_M_BAR = 0.016;
/** A hose whose length nobody entered, m. */
const HOSE_M = 0.35;
/** What a wheel unit and its linings give by themselves, mL per bar. Generic. */
const DISC_ML_PER_BAR = 0.008;
const DRUM_ML_PER_BAR = 0.012;

/** Volume taken by clearances, and by what is soft at the hard force, mL. */
export interface PedalVolume {
  readonly freeMl: number;
  readonly softMl: number;
}
export interface Split extends PedalVolume {
  /** Line pressure at the hard force, bar. */
  readonly pressureBar: number;
}

const areaMm2 = (boreMm: number): number => (Math.PI * boreMm ** 2) / 4;

/**
 * Splits the pedal's travel into free and soft volume. With pad travel s, ratio i and master area A the volume is
 * V = A (s / i − take-up) / 1000 mL at the pressure p = 10 F i / A bar; the line through both points gives the soft volume
 * c p at the hard force and the free volume at no pressure. Air is softer at low pressure: it shows as both.
 * @param input travels of the pad mm, arms mm from the pivot, area of the driven cylinders mm²
 * @throws DomainError nonpositive_dimension, upside_down where the hard push went no further than the light one
 * Source: handbook 30, The pedal as a gauge; 70, Pedal travel and Pressure.
 */
export function splitTravel(input: {
  readonly lightMm: number;
  readonly hardMm: number;
  readonly padArmMm: number;
  readonly rodArmMm: number;
  readonly masterMm2: number;
}): Split {
  const { lightMm, hardMm, padArmMm, rodArmMm, masterMm2 } = input;
  if (!(padArmMm > 0 && rodArmMm > 0 && masterMm2 > 0 && lightMm > 0))
    throw new DomainError('nonpositive_dimension', 'Travels, arms and the bore of the cylinder are above 0.');
  if (hardMm < lightMm) throw new DomainError('upside_down', 'A hard push goes at least as far as a light one: measure again.');
  const ratio = padArmMm / rodArmMm;
  const volume = (travel: number): number => (masterMm2 * Math.max(0, travel / ratio - TAKE_UP_MM)) / 1000;
  const pressure = (force: number): number => (10 * force * ratio) / masterMm2;
  const perBar = (volume(hardMm) - volume(lightMm)) / (pressure(HARD_N) - pressure(LIGHT_N));
  const softMl = perBar * pressure(HARD_N);
  return { freeMl: Math.max(0, volume(hardMm) - softMl), softMl, pressureBar: pressure(HARD_N) };
}

const bores = (slots: readonly Slot[]): number => slots.reduce((sum, s) => sum + (s.boreMm === null ? 0 : areaMm2(s.boreMm)), 0);

/**
 * What is to be expected of a layout at a pressure, at some of its wheels: clearances, hoses, units.
 * @param corners wheels that the fluid reaches
 */
export function expectedVolume(layout: Layout, corners: readonly Corner[], pressureBar: number): PedalVolume {
  let free = 0;
  let soft = 0;
  for (const corner of corners) {
    const here = layout.slots.filter((s) => s.corner === corner);
    const caliper = here.find((s) => s.kind === 'caliper');
    if (caliper) {
      const all = bores(here.filter((s) => s.kind === 'piston'));
      const oneSide = (caliper.style ?? '').startsWith('floating') ? all : all / 2;
      free += (2 * oneSide * PAD_CLEARANCE_MM) / 1000;
      soft += DISC_ML_PER_BAR * pressureBar;
    }
    const cylinders = here.filter((s) => s.kind === 'wheel_cylinder');
    free += (bores(cylinders) * PISTONS_A_CYLINDER * SHOE_TRAVEL_MM) / 1000;
    if (cylinders.length > 0) soft += DRUM_ML_PER_BAR * pressureBar;
  }
  const hoses = layout.slots.filter((s) => s.kind === 'hose' && (s.corner === null || corners.includes(s.corner)));
  for (const h of hoses) soft += HOSE_ML_PER_M_BAR * (h.lengthMm === null ? HOSE_M : h.lengthMm / 1000) * pressureBar;
  return { freeMl: free, softMl: soft };
}

/** What the pedal tells: all wheels together, and what is at each wheel that was shut off. */
export interface PedalTells {
  readonly all: Split;
  readonly expected: PedalVolume;
  readonly at: readonly ({ readonly corner: Corner } & PedalVolume)[];
  /** When it was measured, ISO instant. */
  readonly on: string;
  /** The lever that was measured. */
  readonly slotId: string;
}

interface Measured extends Split {
  readonly shut: readonly Corner[];
  readonly at: string;
  readonly slotId: string;
}

/** The pedal's travels of a job, each with the wheels that were shut off then: by a clamp on the hose or a block in the unit. */
function measuredIn(history: JobHistory): Measured[] {
  const { layout, job } = history.records;
  const sets = history.sets.filter((s) => s.measurement === 'pedal_travel' && s.jobId === job.id);
  const outs = new Map(history.active(history.records.takenOuts).map((t) => [t.putInId, t.happenedAt]));
  const shutAt = (instant: string): Corner[] =>
    history.active(history.records.putIns).flatMap((p): Corner[] => {
      const corner = layout.slots.find((s) => s.id === p.slotId)?.corner ?? null;
      const stands = p.happenedAt <= instant && (outs.get(p.id) ?? '9') > instant;
      return corner !== null && stands && (p.what === 'clamp' || p.what === 'block') ? [corner] : [];
    });
  const masterMm2 = bores(layout.slots.filter((s) => s.kind === 'master_cylinder'));
  const newest = new Map<string, number>();
  return sets.flatMap((s): Measured[] => {
    for (const t of history.taken(s)) if (t.reading.place !== null) newest.set(`${s.slotId}:${t.reading.place}`, t.value);
    const of = (place: string): number | undefined => history.taken(s).find((t) => t.reading.place === place)?.value;
    const [lightMm, hardMm] = [of('light'), of('hard')];
    // The arms are the lever's own: they need not be taken every time.
    const [padArmMm, rodArmMm] = [newest.get(`${s.slotId}:pad arm`), newest.get(`${s.slotId}:rod arm`)];
    if (
      lightMm === undefined ||
      hardMm === undefined ||
      padArmMm === undefined ||
      rodArmMm === undefined ||
      hardMm < lightMm ||
      masterMm2 <= 0
    )
      return [];
    return [
      {
        ...splitTravel({ lightMm, hardMm, padArmMm, rodArmMm, masterMm2 }),
        shut: [...new Set(shutAt(s.happenedAt))],
        at: s.happenedAt,
        slotId: s.slotId,
      },
    ];
  });
}

/** Wheels that were shut off whenever the travel was taken, so that it says nothing of the whole; empty where it does, or was never taken. */
export function shutWhenever(history: JobHistory): Corner[] {
  const measured = measuredIn(history);
  return measured.some((m) => m.shut.length === 0) ? [] : [...new Set(measured.flatMap((m) => m.shut))];
}

/** What the newest travels of the pedal tell; null where both forces and both arms have not been taken with every wheel open. */
export function pedalTells(history: JobHistory): PedalTells | null {
  const measured = measuredIn(history);
  const all = measured.findLast((m) => m.shut.length === 0);
  if (!all) return null;
  const { layout } = history.records;
  const wheels = cornersOf(layout);
  const at = wheels.flatMap((corner) => {
    const without = measured.findLast((m) => m.slotId === all.slotId && m.shut.length === 1 && m.shut[0] === corner);
    return without ? [{ corner, freeMl: Math.max(0, all.freeMl - without.freeMl), softMl: Math.max(0, all.softMl - without.softMl) }] : [];
  });
  return { all, expected: expectedVolume(layout, wheels, all.pressureBar), at, on: all.at, slotId: all.slotId };
}

/** From so many times what is expected a volume counts as too much, and up to so many as sound. */
const TOO_MUCH = 2;
const SOUND = 1.3;

/** Whether a volume is past what is sound; null in between, where it cannot be told. Source: bounds of the house, generic. */
export function pastExpected(is: number, expected: number): boolean | null {
  return is >= TOO_MUCH * expected ? true : is <= SOUND * expected ? false : null;
}
