/** The whole schema, as Drizzle and its migrations see it. */
export * from './schema/things.ts';
export * from './schema/events.ts';
export * from './schema/afterwards.ts';
export * from './schema/intake.ts';
export * from './schema/rack.ts';
