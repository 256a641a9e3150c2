import type { Flare, LineEnd, LineShape } from '../../ledger/families/lineShapes.ts';
import type { TubeBend } from '../../metrology/lineLength.ts';
import { fixed } from '../../quantity/display.ts';

export const FLARE_NAME: Readonly<Record<Flare, string>> = {
  single: 'Single flare',
  double: 'Double flare',
  bubble: 'Bubble flare',
};

export const MEASURED_BY_NAME: Readonly<Record<LineShape['by'], string>> = {
  old_line: 'The old line',
  wire: 'A wire bent to it',
  vehicle: 'The vehicle',
};

const turnText = (deg: number): string =>
  Math.abs(deg) < 0.05 ? '' : `, its plane turned ${fixed(Math.abs(deg), 0)}° to the ${deg > 0 ? 'right' : 'left'}`;

/** What is said of a line that is measured and drawn. */
export const LINE = {
  end: ({ flare, thread }: LineEnd): string => [FLARE_NAME[flare], thread].filter(Boolean).join(', '),
  tube: ({ outsideMm, bendRadiusMm }: Pick<LineShape, 'outsideMm' | 'bendRadiusMm'>): string =>
    `Tube ${fixed(outsideMm, 2)} mm, bent at ${fixed(bendRadiusMm, 0)} mm to its centre line`,
  bendStarts: (n: number, b: TubeBend): string =>
    `Bend ${n} begins at ${fixed(b.markStartMm, 1)} mm: ${fixed(b.deflectionDeg, 0)}°${turnText(b.turnDeg)}`,
  bendEnds: (n: number, b: TubeBend): string => `Bend ${n} ends at ${fixed(b.markEndMm, 1)} mm`,
  bend: (b: TubeBend): string => `${fixed(b.deflectionDeg, 0)}°${turnText(b.turnDeg)}`,
  cut: (mm: number): string => `Cut to ${fixed(mm, 0)} mm`,
  strip: (cut: string, sheet: number, of: number): string =>
    `Cut ${cut} mm. Sheet ${sheet} of ${of}, true size: print without scaling, and check that ten marks of the rule are 100 mm.`,
  before: 'As it was measured before',
  differs: (mm: number): string =>
    Math.abs(mm) < 0.5 ? 'as now' : `${fixed(Math.abs(mm), 0)} mm ${mm > 0 ? 'longer' : 'shorter'} than now`,
  unlike: 'The flares of its ends differ: each end to the union that it is made for.',
  notYet: 'Not measured yet. A line is measured and drawn before the old one is bent.',
};
