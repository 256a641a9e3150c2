import { FIRST_YEAR, LAST_YEAR } from '@dauer/core/quantity';
import * as catalogue from '@dauer/core/catalogue';
import type * as layouts from '@dauer/core/layout';
import * as ledger from '@dauer/core/ledger';
import type * as verdict from '@dauer/core/verdict';
import { z } from 'zod';
import { componentKind } from './componentKind.ts';
import { axle, corner, day, id, instant, minorSum, name, role, sentDay, words } from './primitives.ts';
import * as e from './events.ts';
import { lot } from './lotEntities.ts';
import { shopCard } from './shopCard.ts';
import * as price from './priceEntities.ts';

export const use = z.enum(['daily', 'seasonal', 'stands', 'work', 'competition']);
export const climate = z.enum(['dry', 'temperate', 'damp']);
export const storage = z.enum(['heated', 'dry', 'damp', 'outside']);
export const jobKind = z.enum(['overhaul', 'axle', 'unit', 'fluid', 'inspection', 'conversion']);

export const vehicleFields = z.object({
  tag: z.string().trim().min(1).max(20),
  name,
  /** Empty where nobody knows it: units without their vehicle, a car built by its owner. */
  make: z.string().trim().max(120),
  model: z.string().trim().max(120),
  year: z.number().int().min(FIRST_YEAR).max(LAST_YEAR).nullable(),
  variant: words(60).nullable(),
  body: words(60),
  use,
  climate,
  storage,
  standsYears: z.number().min(0).max(150).nullable(),
  distanceUnit: z.enum(['km', 'mi', 'none']),
  driven: z.enum(['front', 'rear', 'all', 'none']).nullable().optional(),
  /** What lets go by itself when a line is opened; null or left out where nobody said. */
  stored: z.enum(['none', 'air', 'accumulator']).nullable().optional(),
  massKg: z.number().positive().max(100000).nullable().default(null),
  massFrontKg: z.number().positive().max(100000).nullable().default(null),
  wheelbaseMm: z.number().positive().max(20000).nullable().default(null),
  cgHeightMm: z.number().positive().max(5000).nullable().default(null),
  tyreRadiusFrontMm: z.number().positive().max(2000).nullable().default(null),
  tyreRadiusRearMm: z.number().positive().max(2000).nullable().default(null),
});
export const vehicle = vehicleFields
  .extend({ id, ownerId: id.nullable(), version: z.number().int() })
  .meta({ id: 'Vehicle' }) satisfies z.ZodType<ledger.Vehicle>;

export const slot = z
  .object({
    id,
    kind: componentKind,
    name,
    corner: corner.nullable(),
    circuits: z.array(z.number().int()).readonly(),
    parentId: id.nullable(),
    boreMm: z.number().nullable(),
    lengthMm: z.number().nullable(),
    style: z.string().nullable(),
  })
  .meta({ id: 'Slot' }) satisfies z.ZodType<layouts.Slot>;
export const connection = z
  .object({
    id,
    from: id,
    to: id,
    kind: z.enum(['line', 'rod', 'cable', 'feed']),
    circuit: z.number().int().nullable(),
    lengthMm: z.number().nullable(),
    boreMm: z.number().nullable(),
  })
  .meta({ id: 'Connection' }) satisfies z.ZodType<layouts.Connection>;
export const layout = z
  .object({
    id,
    vehicleId: id,
    template: z.string(),
    drive: z.enum(['left', 'right']).default('right'),
    slots: z.array(slot).max(400).readonly(),
    connections: z.array(connection).max(600).readonly(),
  })
  .meta({ id: 'Layout' }) satisfies z.ZodType<layouts.Layout>;

export const layoutRevision = z
  .object({
    id,
    revision: z.enum(['first', 'correction', 'conversion']),
    why: z.string(),
    enteredBy: id.nullable(),
    enteredAt: instant,
    added: z.array(z.string()).readonly(),
    removed: z.array(z.string()).readonly(),
    changed: z.array(z.string()).readonly(),
    removedPlaces: z.array(z.object({ id, name: z.string(), kind: componentKind.nullable() })).readonly(),
  })
  .meta({ id: 'LayoutRevision' }) satisfies z.ZodType<layouts.LayoutRevision>;

export const jobFields = z.object({
  kind: jobKind,
  complaint: words(2000),
  wants: words(2000),
  fluidKnown: words(200),
  promised: sentDay.nullable(),
  finish: z.enum(['not_said', 'driver', 'tidy', 'show']).default('not_said'),
  authorisedMinor: minorSum.nullable().default(null),
  scopeCorners: z.array(corner).max(6),
  scopeIn: z.array(id).max(400).default([]),
  scopeOut: z.array(id).max(400).default([]),
  /** The job of the same vehicle that it comes back from. */
  returnOf: id.nullable().default(null),
});
export const job = jobFields
  .extend({
    promised: day.nullable(),
    id,
    vehicleId: id,
    openedAt: instant,
    openedBy: id,
    importId: id.nullable().default(null),
    version: z.number().int(),
  })
  .meta({ id: 'Job' }) satisfies z.ZodType<ledger.Job>;

export const part = z
  .object({ id, tag: z.string().nullable(), kind: componentKind, name, partNumber: z.string().nullable(), note: z.string() })
  .meta({ id: 'Part' }) satisfies z.ZodType<ledger.Part>;

export const limitFields = z.object({
  seriesId: z.string().min(1).max(80),
  characteristic: words(60).min(1),
  scope: z.enum(['part', 'part_number', 'vehicle', 'type', 'shop']),
  appliesTo: z.string().max(80).nullable(),
  make: words(120).nullable(),
  model: words(120).nullable(),
  yearFrom: z.number().int().nullable(),
  yearTo: z.number().int().nullable(),
  variant: words(60).nullable(),
  axle: axle.nullable(),
  bound: z.enum(['lower', 'upper', 'range']),
  nominal: z.number().nullable(),
  machineTo: z.number().nullable(),
  at: z.number().nullable(),
  low: z.number().nullable(),
  high: z.number().nullable(),
  gravity: z.enum(['safety', 'function']),
  atLeast: z.boolean(),
  source: z.enum(['stamped', 'maker', 'supplier', 'measured_new', 'house', 'generic']),
  sourceText: z.string().trim().min(1).max(200),
  asPrinted: words(200),
  printedUnit: words(20),
});
export const limit = limitFields
  .extend({ id, enteredBy: id, enteredAt: instant, checkedBy: id.nullable(), checkedAt: instant.nullable() })
  .meta({ id: 'LimitVersion' }) satisfies z.ZodType<verdict.LimitVersion>;

export const gaugeFields = z.object({
  gaugeId: id,
  tag: z.string().trim().min(1).max(20),
  name,
  kind: z.enum(catalogue.GAUGE_KINDS),
  resolution: z.number().positive(),
  accuracy: z.number().min(0),
  shortSpan: z.number().min(0),
  rangeLow: z.number().nullable(),
  rangeHigh: z.number().nullable(),
  calibrationDue: sentDay.nullable(),
  settingPiece: z.number().min(0).nullable().default(null),
  checkFirst: z.boolean().default(false),
});
export const gauge = gaugeFields
  .extend({ calibrationDue: day.nullable(), id, enteredBy: id, enteredAt: instant })
  .meta({ id: 'GaugeVersion' }) satisfies z.ZodType<ledger.GaugeVersion>;

const entered = { id, enteredBy: id, enteredAt: instant };
export const priorFields = z.object({
  id,
  fault: z.string().regex(/^[a-z_]{2,40}$/),
  times: z.number().min(0.001).max(1000),
  lookedAt: z.number().int().min(0).max(1e6),
  found: z.number().int().min(0).max(1e6),
});
export const prior = priorFields
  .extend({ enteredBy: id, enteredAt: instant })
  .meta({ id: 'PriorVersion' }) satisfies z.ZodType<ledger.PriorVersion>;
export const calibrationFields = z.object({
  on: sentDay,
  by: name,
  result: z.enum(['good', 'adjusted', 'out']),
  offBy: z.number().nullable(),
  certificate: words(120),
  nextDue: sentDay.nullable(),
});
export const calibration = calibrationFields
  .extend({ on: day, nextDue: day.nullable(), ...entered, gaugeId: id })
  .meta({ id: 'Calibration' }) satisfies z.ZodType<ledger.Calibration>;
export const gaugeCheck = z
  .object({ ...entered, gaugeId: id, nominal: z.number(), read: z.number() })
  .meta({ id: 'GaugeCheck' }) satisfies z.ZodType<ledger.GaugeCheck>;
/** Somebody agreed to a generic torque. */
export const torqueCheck = z
  .object({ id, torque: z.string(), checkedBy: id, checkedAt: instant })
  .meta({ id: 'TorqueCheck' }) satisfies z.ZodType<ledger.TorqueCheck>;
export const studyFields = z.object({
  place: words(200),
  readings: z
    .array(z.object({ person: name, value: z.number() }))
    .min(1)
    .max(200),
});
export const study = studyFields
  .extend({ ...entered, gaugeId: id, shortSpan: z.number() })
  .meta({ id: 'RepeatStudy' }) satisfies z.ZodType<ledger.RepeatStudy>;
export const callBackFields = z.object({ since: instant, offBy: z.number().positive(), why: z.string().trim().min(3).max(300) });
export const callBack = callBackFields
  .extend({ ...entered, gaugeId: id, until: day.nullable() })
  .meta({ id: 'CallBack' }) satisfies z.ZodType<ledger.CallBack>;

export const person = z
  .object({ id, name, initials: z.string(), role, active: z.boolean() })
  .meta({ id: 'Person' }) satisfies z.ZodType<ledger.Person>;

const sheetLine = z.object({ place: z.string(), text: z.string(), by: z.string(), on: instant });
export const sheet = z
  .object({
    leaves: z.string().optional(),
    vehicleTag: z.string(),
    vehicleName: z.string(),
    distance: z.string(),
    complaint: z.string(),
    complaintAnswer: z.string(),
    figures: z.array(
      z.object({
        place: z.string(),
        tag: z.string().nullable(),
        characteristic: z.string(),
        phase: z.enum(['as_found', 'after_machining', 'as_fitted', 'at_service']),
        figure: z.string(),
        uncertainty: z.string(),
        limit: z.string(),
        source: z.string(),
        verdict: z.string(),
        gauges: z.string(),
        takenBy: z.string(),
        takenOn: instant,
      }),
    ),
    findings: z.array(sheetLine),
    done: z.array(sheetLine),
    torques: z.array(sheetLine),
    parts: z.array(sheetLine),
    fluid: z.array(sheetLine),
    nextDue: z.array(z.object({ what: z.string(), on: day, why: z.string() })),
    putOff: z.array(sheetLine),
    watch: z.array(z.string()),
    accepted: z.array(sheetLine),
    proofs: z.array(sheetLine),
    afterCare: z.array(z.object({ item: z.string(), what: z.string(), on: day, km: z.number().nullable(), why: z.string() })).default([]),
    outOfScope: z.array(z.string()).default([]),
    pairs: z.array(z.object({ place: z.string(), what: z.string(), before: z.string(), after: z.string(), limit: z.string() })).optional(),
    owner: z
      .object({
        wrong: z.array(z.string()),
        why: z.string(),
        habit: z.string(),
        done: z.array(z.string()),
        watch: z.array(z.string()),
        back: z.array(z.object({ what: z.string(), on: day, km: z.number().nullable() })),
        pictures: z.array(z.object({ place: z.string(), before: z.string(), after: z.string() })),
      })
      .optional(),
    account: z
      .object({
        currency: z.string().nullable(),
        authorised: z.number().int().nullable(),
        agreed: sheetLine.nullable(),
        reckoned: z.number().int(),
        actual: z.number().int(),
        lines: z.array(
          z.object({
            what: z.string(),
            reckoned: z.number().int(),
            reckonedMinutes: z.number().int(),
            minutes: z.number().int().nullable(),
            actual: z.number().int(),
            why: z.string(),
          }),
        ),
      })
      .optional(),
    made: z
      .array(z.object({ path: z.string(), event: z.string(), field: z.string(), from: z.number().int(), to: z.number().int() }))
      .optional(),
  })
  .meta({ id: 'HandbackSheet' }) satisfies z.ZodType<ledger.HandbackSheet>;

export const release = z
  .object({
    id,
    jobId: id,
    releasedBy: id.nullable(),
    importId: id.nullable(),
    releasedAt: instant,
    ownWork: z.boolean(),
    ruleVersion: z.string(),
    sheet,
  })
  .meta({ id: 'ReleaseRecord' }) satisfies z.ZodType<ledger.ReleaseRecord>;

type EventLists = { readonly [K in e.EventFamily]: z.ZodArray<(typeof e.EVENTS)[K]['record']> };

/** The events of every family, as lists. */
function eventLists(): EventLists {
  const lists: Partial<Record<e.EventFamily, z.ZodArray>> = {};
  for (const family of ledger.EVENT_LISTS) lists[family] = z.array(e.EVENTS[family].record);
  return lists as EventLists;
}

/** Everything that an opened job stands on. */
export const jobFile = z
  .object({
    job,
    imported: z.object({ id, source: z.string(), importedBy: id, importedAt: instant }).nullable(),
    vehicle,
    layout,
    layoutRevisions: z.array(layoutRevision),
    parts: z.array(part),
    ...eventLists(),
    priors: z.array(prior),
    limits: z.array(limit),
    gauges: z.array(gauge),
    callBacks: z.array(callBack),
    gaugeChecks: z.array(gaugeCheck),
    torqueChecks: z.array(torqueCheck),
    articles: z.array(price.article),
    rates: z.array(price.rates),
    houseRules: z.array(price.houseRule),
    shopCards: z.array(shopCard),
    comebackCounts: z.array(price.comebackCount),
    cardHands: z.array(z.object({ cardId: z.string(), personId: id, since: instant })),
    offers: z.array(price.offer),
    lots: z.array(lot),
    people: z.array(person),
    pastJobs: z.array(z.object({ id, kind: jobKind, complaint: z.string(), openedAt: instant, releasedAt: instant.nullable() })),
    release: release.nullable(),
  })
  .meta({ id: 'JobRecords' }) satisfies z.ZodType<ledger.JobRecords>;
