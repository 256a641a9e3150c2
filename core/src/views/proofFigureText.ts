import { GAUGE_UNIT } from '../catalogue/gaugeKinds.ts';
import { MEASUREMENTS, usualGaugeAt } from '../catalogue/measurements.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { displayWithUnit, fixed, placesFor } from '../quantity/display.ts';
import type { ProofFigure } from '../readiness/proofFigures.ts';

/**
 * What was taken for a proof, as read: "hard 1.0 mm, light 1.5 mm"; empty where nothing was.
 * @param figure of an item, as it stands
 */
export function proofFigureText(history: JobHistory, { set, ask }: ProofFigure): string {
  if (!set) return '';
  const { pattern, kind, unit } = MEASUREMENTS[ask.measurement];
  const spots = pattern.form === 'spots' ? pattern.spots : [];
  const several = spots.length > 1;
  const taken = history.taken(set);
  return spots
    .flatMap((spot) => {
      const at = taken.find(({ reading }) => reading.place === spot.id);
      if (!at || (ask.places !== null && !ask.places.includes(spot.id))) return [];
      const { value, reading } = at;
      const text =
        kind === 'ratio'
          ? `${fixed(value, placesFor(reading.resolution))} ${GAUGE_UNIT[usualGaugeAt(ask.measurement, spot.id)]}`
          : displayWithUnit(value, kind, reading.resolution, unit);
      return [several ? `${spot.label} ${text}` : text];
    })
    .join(', ');
}
