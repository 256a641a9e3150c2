import type { Corner } from '../layout/kinds.ts';
import type { Role } from '../verdict/severity.ts';

export type JobKind = 'overhaul' | 'axle' | 'unit' | 'fluid' | 'inspection' | 'conversion';

export type Finish = 'not_said' | 'driver' | 'tidy' | 'show';

export interface Job {
  readonly id: string;
  readonly vehicleId: string;
  readonly kind: JobKind;
  readonly complaint: string;
  readonly wants: string;
  readonly fluidKnown: string;
  readonly promised: string | null;
  /** How good is good enough, as agreed. Source: handbook 05, Finish to the vehicle. */
  readonly finish: Finish;
  /** What the owner authorised when it was booked in, gross, minor units of the shop's currency; null where nothing was said. */
  readonly authorisedMinor: number | null;
  readonly scopeCorners: readonly Corner[];
  /** Places taken in or left out by hand, beyond what the kind of job takes in. */
  readonly scopeIn: readonly string[];
  readonly scopeOut: readonly string[];
  /** The job that it comes back from, where the owner says that it is not right since. Source: handbook 15, People, time. */
  readonly returnOf: string | null;
  readonly openedAt: string;
  readonly openedBy: string;
  /** Taken in from elsewhere as history; null for a job of this shop's own. */
  readonly importId: string | null;
  readonly version: number;
}

/** Where a job of the past came from: who took it in, when, from what. */
export interface JobImport {
  readonly id: string;
  readonly source: string;
  readonly importedBy: string;
  readonly importedAt: string;
}

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
  readonly role: Role;
  readonly active: boolean;
}
