/** The seven stages in the order in which the work is done. */
export type Stage = 'bookin' | 'trace' | 'gauge' | 'decide' | 'rebuild' | 'bleed' | 'prove';
export const STAGES: readonly Stage[] = ['bookin', 'trace', 'gauge', 'decide', 'rebuild', 'bleed', 'prove'];
export const STAGE_NAME: Readonly<Record<Stage, string>> = {
  bookin: 'Book in',
  trace: 'Trace',
  gauge: 'Gauge',
  decide: 'Decide',
  rebuild: 'Rebuild',
  bleed: 'Bleed',
  prove: 'Prove',
};
