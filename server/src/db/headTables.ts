import type { EventList, JobRecords } from '@dauer/core/ledger';
import { getTableName } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import * as s from './schema.ts';

/** What a job is read with beside its events: read anew as a whole where something of it changed. */
export type Head = Exclude<keyof JobRecords, EventList | 'parts'>;

/** The tables that each of these is made from. */
export const HEADS: Readonly<Record<Head, readonly PgTable[]>> = {
  job: [s.job],
  imported: [s.job],
  vehicle: [s.vehicle],
  layout: [s.layout, s.release],
  layoutRevisions: [s.layout],
  priors: [s.priorVersion],
  limits: [s.limit, s.limitCheck],
  gauges: [s.gauge],
  callBacks: [s.callBack, s.calibration],
  gaugeChecks: [s.gaugeCheck],
  torqueChecks: [s.torqueCheck],
  articles: [s.articleVersion],
  rates: [s.ratesVersion],
  houseRules: [s.houseRuleVersion],
  shopCards: [s.shopCardVersion],
  offers: [s.offer],
  comebackCounts: [s.release, s.comebacks],
  cardHands: [s.release],
  lots: [s.lotVersion],
  people: [s.account],
  pastJobs: [s.job, s.release],
  release: [s.release],
};

/** All of them, and the parts, by name. */
export const HEAD_TABLES: readonly string[] = [...new Set([...Object.values(HEADS).flat(), s.part].map((t) => getTableName(t)))];
