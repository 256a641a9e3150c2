import type { Layout, LayoutRevision } from '../layout/graph.ts';
import type { LimitVersion } from '../verdict/limits.ts';
import type { EventBase } from './eventBase.ts';
import { type EventList, type EventLists, NO_EVENTS } from './families.ts';
import type { CallBack, GaugeCheck, GaugeVersion, TorqueCheck } from './gaugeRecords.ts';
import type { Job, JobImport, JobKind, Person } from './job.ts';
import type { LotVersion } from './lotRecords.ts';
import type { Offer } from './offerRecords.ts';
import type { Part } from './partRecords.ts';
import type { ArticleVersion, ComebackCount, HouseRuleVersion, RatesVersion } from './priceRecords.ts';
import type { PriorVersion } from './priorRecords.ts';
import type { ReleaseRecord } from './release.ts';
import type { ShopCardVersion } from './shopCards.ts';
import type { Vehicle } from './vehicleRecords.ts';

/** A job that was before this one, as far as the vehicle's life needs it. */
interface PastJob {
  readonly id: string;
  readonly kind: JobKind;
  readonly complaint: string;
  readonly openedAt: string;
  readonly releasedAt: string | null;
}

/** Somebody who has worked by a card before. */
export interface CardHand {
  readonly cardId: string;
  readonly personId: string;
  /** When they first did, ISO instant. */
  readonly since: string;
}

/** Everything one vehicle's job stands on: what is read when a job is opened, and what every derivation starts from. */
export interface JobRecords extends EventLists {
  readonly job: Job;
  /** Where this job came from, if it was taken in as history. */
  readonly imported: JobImport | null;
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  /** The oldest first. */
  readonly layoutRevisions: readonly LayoutRevision[];
  readonly parts: readonly Part[];
  /** The shop's own odds of faults, all versions. */
  readonly priors: readonly PriorVersion[];
  readonly limits: readonly LimitVersion[];
  readonly gauges: readonly GaugeVersion[];
  /** Gauges that were found out, and the newest look of each at its setting piece. */
  readonly callBacks: readonly CallBack[];
  readonly gaugeChecks: readonly GaugeCheck[];
  /** Who agreed to which generic torque. */
  readonly torqueChecks: readonly TorqueCheck[];
  /** The shop's price book and what it reckons with, all versions; empty for whoever is shown no prices. */
  readonly articles: readonly ArticleVersion[];
  readonly rates: readonly RatesVersion[];
  readonly houseRules: readonly HouseRuleVersion[];
  /** Cards as the shop does them, the newest versions of each. */
  readonly shopCards: readonly ShopCardVersion[];
  /** How often the shop’s work came back, by kind of work. */
  readonly comebackCounts: readonly ComebackCount[];
  /** Who told a step of which card as done, on any other job. */
  readonly cardHands: readonly CardHand[];
  /** Sheets that were made for the owner, the oldest first. */
  readonly offers: readonly Offer[];
  /** Lots that may be taken from, and those that this vehicle has something of; the newest version of each. */
  readonly lots: readonly LotVersion[];
  readonly people: readonly Person[];
  readonly pastJobs: readonly PastJob[];
  readonly release: ReleaseRecord | null;
}

type Lists<T> = { readonly [K in keyof T as T[K] extends readonly unknown[] ? K : never]: T[K] };

/** Every list of a job's file, empty: what is added to where nothing is on record yet, or an older file has no such list. */
export const NO_RECORDS: Lists<JobRecords> = {
  ...NO_EVENTS,
  layoutRevisions: [],
  parts: [],
  priors: [],
  limits: [],
  gauges: [],
  callBacks: [],
  gaugeChecks: [],
  torqueChecks: [],
  articles: [],
  rates: [],
  houseRules: [],
  shopCards: [],
  comebackCounts: [],
  cardHands: [],
  offers: [],
  lots: [],
  people: [],
  pastJobs: [],
};

/** A file with every list of events of the families given by what `change` makes of it. */
export function withEvents(
  records: JobRecords,
  lists: readonly EventList[],
  change: <T extends EventBase>(events: readonly T[]) => readonly T[],
): JobRecords {
  return { ...records, ...Object.fromEntries(lists.map((k) => [k, change<EventBase>(records[k])])) };
}
