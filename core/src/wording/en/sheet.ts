import { fluidClass } from '../../catalogue/fluids.ts';
import { type MeasurementId, MEASUREMENTS } from '../../catalogue/measurements.ts';
import { type ProofResult, RESULT_WORD } from '../../catalogue/proofItems.ts';
import type { Judged } from '../../judging/judge.ts';
import { type Slot, placeName, type LayoutRevision } from '../../layout/graph.ts';
import { type Corner, CORNER_NAME } from '../../layout/kinds.ts';
import type { BleedPull } from '../../ledger/families/bleedPulls.ts';
import type { FluidSample } from '../../ledger/families/fluidSamples.ts';
import type { JointEvent } from '../../ledger/families/jointEvents.ts';
import type { ArrivalResult } from '../../ledger/families/orderSteps.ts';
import type { SentFor } from '../../ledger/families/sendOuts.ts';
import type { Torque } from '../../ledger/families/torques.ts';
import type { LotVersion } from '../../ledger/lotRecords.ts';
import type { PartEventKind, PartEvent } from '../../ledger/families/partEvents.ts';
import { displayWithUnit } from '../../quantity/display.ts';
import type { Verdict } from '../../verdict/decide.ts';
import { lower } from './lower.ts';
import { TORQUE_FIELD } from './fasteners.ts';
import { openDueWords } from './history.ts';
import { VERDICT_WORD, JOINT_WORD, SEAL_NAME } from './names.ts';
import { ARRIVAL_NAME, SENT_FOR_NAME } from './supply.ts';
import { figureOf } from './verdicts.ts';

/** What was done to a part. */
export const PART_EVENT: Readonly<Record<PartEventKind, string>> = {
  fitted: 'fitted',
  machined: 'machined',
  resealed: 'resealed',
  relined: 're-lined',
  freed: 'freed',
  opened: 'opened',
  honed: 'honed',
  sleeved: 'sleeved',
  removed: 'taken off',
  scrapped: 'scrapped',
  coated: 'coated',
  sent: 'sent out',
  returned: 'back',
  found: '',
  came_loose: 'came loose, in a box',
  came_missing: 'missing when it came',
  came_unknown: 'not known whether it came',
};

/** Which kit or lot went in, as it follows what was done; nothing where nobody was asked. */
export function lotWords(lot: string | null): string {
  if (lot === null) return '';
  return lot === '' ? ', kit not known' : `, ${lot}`;
}

/** What stands on the hand-back sheet. */
export const SHEET = {
  noGauge: 'not named',
  notCounted: 'not counted',
  notAskedAgain: 'Not asked again',
  layout: 'Layout',
  operation: 'operation',
  hydraulics: 'Hydraulics',
  brakeFluid: 'Brake fluid',
  /** After the reason: nobody else measured it. */
  checkedAlone: '; checked alone',
  putOff: 'put off',
  putOffAt: (place: string): string => `${place}, put off`,
  finding: (words: string, causeMissing: boolean, doneHere: string | null): string =>
    `${words}${causeMissing ? ' Its cause was not found.' : ''}${doneHere === null ? '' : ` Done here (${doneHere}): its cost is the shop’s.`}`,
  torque: (t: Torque, wrench: string): string =>
    [`${TORQUE_FIELD.set(t)} (${TORQUE_FIELD.target(t)})`, TORQUE_FIELD.said(t), wrench].filter(Boolean).join(', '),
  part: (name: string, e: Pick<PartEvent, 'kind' | 'temporary' | 'until' | 'lot'>): string =>
    `${name} ${PART_EVENT[e.kind]}${e.temporary ? ` for now${e.until ? `, until ${e.until}` : ''}` : ''}${lotWords(e.lot)}`,
  parted: (stays: Slot, lost: string): string => `. Parted from the ${lower(stays)}: ${lost}`,
  arrival: (name: string, result: ArrivalResult, count: number): string => {
    const what = `${count > 1 ? `${count} × ` : ''}${name}`;
    return result === 'right'
      ? `${what}, held against the old one: right`
      : `${what} came ${ARRIVAL_NAME[result].toLowerCase()}, and was not fitted`;
  },
  cameBack: (process: SentFor, size: string, result: 'right' | 'wrong'): string =>
    `${SENT_FOR_NAME[process]}${size ? `, ${size}` : ''}: back, counted and looked at, ${result === 'right' ? 'right' : 'not right'}`,
  lot: (lot: Pick<LotVersion, 'label' | 'name' | 'batch'>): string =>
    `Out of lot ${lot.label}, ${lot.name}${lot.batch ? `, batch ${lot.batch}` : ''}`,
  fluid: (product: string, kind: string, batch: string): string => `${product}, ${kind}${batch ? `, batch ${batch}` : ''}`,
  sample: (s: Pick<FluidSample, 'fluidClass' | 'waterPercent' | 'boilC'>, how: string): string =>
    `sample: ${[
      s.fluidClass === null ? null : (fluidClass(s.fluidClass)?.name ?? s.fluidClass),
      s.waterPercent === null ? null : `water ${s.waterPercent} %`,
      s.boilC === null ? null : `boils at ${s.boilC} °C`,
      how || null,
    ]
      .filter((x) => x !== null)
      .join(', ')}`,
  pull: (p: Pick<BleedPull, 'volumeMl' | 'colour' | 'air' | 'closed'>): string =>
    `${displayWithUnit(p.volumeMl, 'volume', 1, 'mL')} drawn, ${p.colour}, ${p.air === 'none' ? 'no air' : p.air}, ${p.closed ? 'closed' : 'left open'}`,
  watch: (slot: Slot, j: Judged): string => `${placeName(slot)} ${j.characteristic.short.toLowerCase()}, ${figureOf(j)}`,
  /** Units that nobody ever opened, told together. */
  neverOpen: (slots: readonly Slot[], years: number): string =>
    `${slots.map((s, i) => (i === 0 ? placeName(s) : placeName(s).toLowerCase())).join(', ')}: ${openDueWords(years)}`,
  outOfScope: (slot: Slot, verdict: Verdict | null): string =>
    `${placeName(slot)}${verdict ? `: ${VERDICT_WORD[verdict].toLowerCase()} when last judged` : ''}`,
  bedding: (counted: number, total: number, product: string, source: string, tooSoon: number): string =>
    `Bedded in by ${product}: ${counted} of ${total} stops${source ? `, ${source}` : ''}${tooSoon > 0 ? `; ${tooSoon} of them before it had run free` : ''}`,
  proof: (question: string, result: ProofResult, figures: readonly string[], note: string): string =>
    `${question}: ${RESULT_WORD[result].toLowerCase()}${figures.map((f) => `; ${f}`).join('')}${note ? `. ${note}` : ''}`,
  /** How far a road test went, and what was felt: "driven 14 km; nothing felt". */
  road: (typed: string, felt: readonly string[] | null, second: string | null): string =>
    `driven ${typed}${felt === null ? '' : felt.length === 0 ? '; nothing felt' : `; felt: ${felt.join(', ').toLowerCase()}`}${second ? `; by ${second} as well` : ''}`,
  /** What another is still to drive: what the first felt is not told before. */
  roadAlone: (typed: string, by: string): string => `driven ${typed} by ${by}; what was felt is told once the second has driven`,
  /** Figures that a proof stands on: "sink hard 1.0 mm, light 1.5 mm"; at which wheel, where the proof names none. */
  figureTaken: (slot: Slot, measurement: MeasurementId, said: string, corner: Corner | null): string =>
    `${corner === null && slot.corner !== null ? `${CORNER_NAME[slot.corner].toLowerCase()} ` : ''}${MEASUREMENTS[measurement].name.toLowerCase()} ${said}`,
  /** What happened to a joint: "joint towards the front union: made (banjo, new washers)". */
  joint: (towards: Slot | null, e: Pick<JointEvent, 'kind' | 'seal' | 'typed'>): string =>
    `joint towards ${towards ? `the ${placeName(towards).toLowerCase()}` : 'another place'}: ${JOINT_WORD[e.kind].toLowerCase()}${e.seal ? ` (${SEAL_NAME[e.seal].toLowerCase()})` : ''}${e.typed ? ` to ${e.typed}` : ''}`,
};

/** What a revision of the layout changed, in a line. */
export function revisionText(r: LayoutRevision): string {
  const sources = [
    ...(r.added.length > 0 ? [`added ${r.added.join(', ')}`] : []),
    ...(r.removed.length > 0 ? [`taken out ${r.removed.join(', ')}`] : []),
    ...(r.changed.length > 0 ? [`changed ${r.changed.join(', ')}`] : []),
  ];
  const what = sources.length > 0 ? sources.join('; ') : 'connections';
  return `${r.revision === 'conversion' ? 'Converted' : 'Put right'}: ${what}. ${r.why}`;
}
