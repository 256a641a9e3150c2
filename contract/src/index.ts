/** The face of the contract: what server and web say to each other. */
export * from './access.ts';
export * from './headers.ts';
export * from './primitives.ts';
export * from './endpoint.ts';
export * from './events.ts';
export * from './entities.ts';
export * from './importFile.ts';
export * from './live.ts';
export * from './endpoints.ts';
export * from './features/backup.ts';
export * from './features/notices.ts';
export type { VerdictChange } from './features/limits.ts';
export { TRAFFIC_PAGE, TRAFFIC_VIEWS, type TrafficRow, type TrafficView } from './features/supply.ts';
export type { DueItem, Letter, VehicleDue } from './features/due.ts';
export type { RunningClock } from './features/rebuild.ts';
export type { YardJob } from './features/yard.ts';
export * from './problems.ts';
