import type { JobRecords } from '@dauer/core/ledger';

/** Who else than somebody agreed to a generic torque, by its name: one's own word checks nothing. */
export function agreedBeside(records: Pick<JobRecords, 'torqueChecks' | 'people'>, me: string | undefined): (torque: string) => string[] {
  return (torque) =>
    records.torqueChecks
      .filter((c) => c.torque === torque && c.checkedBy !== me)
      .flatMap((c) => records.people.find((p) => p.id === c.checkedBy)?.name ?? []);
}
