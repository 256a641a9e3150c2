import { customType } from 'drizzle-orm/pg-core';

/** An instant: timestamptz in the database, ISO 8601 UTC in the program. */
export const instant = customType<{ data: string; driverData: Date | string }>({
  dataType: () => 'timestamp (3) with time zone',
  fromDriver: (value) => new Date(value).toISOString(),
  toDriver: (value) => value,
});

/** The instant at which the server writes something down. */
export const now = (): string => new Date().toISOString();
