import { z } from 'zod';
import { EVENTS } from './events.ts';
import { id, instant, name, password, role } from './primitives.ts';
import * as t from './things.ts';

const bundlePeople = z.object({ id, name, login: name, password, role });
/** The open import format: records of the past with their own authors and dates. */
export const bundle = z
  .object({
    people: z.array(bundlePeople).default([]),
    gauges: z.array(t.gauge).default([]),
    priors: z.array(t.prior).default([]),
    limits: z.array(t.limit).default([]),
    vehicles: z.array(z.object({ vehicle: t.vehicle, layout: t.layout })).default([]),
    jobs: z.array(t.job).default([]),
    parts: z.array(t.part).default([]),
    events: z
      .object({
        sets: z.array(EVENTS.sets.record),
        readings: z.array(EVENTS.readings.record),
        takeBacks: z.array(EVENTS.takeBacks.record),
        findings: z.array(EVENTS.findings.record),
        observations: z.array(EVENTS.observations.record),
        decisions: z.array(EVENTS.decisions.record),
        operations: z.array(EVENTS.operations.record),
        operationEvents: z.array(EVENTS.operationEvents.record),
        torques: z.array(EVENTS.torques.record),
        bleedPulls: z.array(EVENTS.bleedPulls.record),
        fluidServices: z.array(EVENTS.fluidServices.record),
        proofs: z.array(EVENTS.proofs.record),
        acceptances: z.array(EVENTS.acceptances.record),
        cautionAcks: z.array(EVENTS.cautionAcks.record),
        partEvents: z.array(EVENTS.partEvents.record),
        counters: z.array(EVENTS.counters.record),
        setMoves: z.array(EVENTS.setMoves.record),
        putIns: z.array(EVENTS.putIns.record),
        takenOuts: z.array(EVENTS.takenOuts.record),
        jointEvents: z.array(EVENTS.jointEvents.record),
        partCorrections: z.array(EVENTS.partCorrections.record),
        voids: z.array(EVENTS.voids.record),
        afterCares: z.array(EVENTS.afterCares.record),
        amendments: z.array(EVENTS.amendments.record),
        redactions: z.array(EVENTS.redactions.record),
        pictures: z.array(EVENTS.pictures.record),
        intakeLooks: z.array(EVENTS.intakeLooks.record),
        cameWith: z.array(EVENTS.cameWith.record),
        earlierWork: z.array(EVENTS.earlierWork.record),
        leftItems: z.array(EVENTS.leftItems.record).default([]),
        causeLooks: z.array(EVENTS.causeLooks.record).default([]),
      })
      .partial(),
    /** Jobs handed back then: the sheet is derived here, from the records. */
    releases: z.array(z.object({ id, jobId: id, releasedBy: id, releasedAt: instant })).default([]),
  })
  .meta({ id: 'ImportBundle' });
export type Bundle = z.input<typeof bundle>;
