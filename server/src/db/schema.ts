/** The whole schema, as Drizzle and its migrations see it. */
export * from './schema/bleeding.ts';
export * from './schema/cards.ts';
export * from './schema/parking.ts';
export * from './schema/lines.ts';
export * from './schema/timers.ts';
export * from './schema/change.ts';
export * from './schema/due.ts';
export * from './schema/entities.ts';
export * from './schema/events.ts';
export * from './schema/postRelease.ts';
export * from './schema/intake.ts';
export * from './schema/prices.ts';
export * from './schema/rack.ts';
export * from './schema/strip.ts';
export * from './schema/supply.ts';
