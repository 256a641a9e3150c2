import type { JobRecords } from '../ledger/jobRecords.ts';

/**
 * Who else than somebody agreed to a generic torque, by its name: one's own word checks nothing.
 * @param me id of whoever sets it; undefined where nobody is signed in
 * Source: handbook 58, A51.
 */
export function agreedBeside(records: Pick<JobRecords, 'torqueChecks' | 'people'>, me: string | undefined): (torque: string) => string[] {
  return (torque) =>
    records.torqueChecks
      .filter((c) => c.torque === torque && c.checkedBy !== me)
      .flatMap((c) => records.people.find((p) => p.id === c.checkedBy)?.name ?? []);
}
