import type { EventFamily } from './events.ts';
import { backup } from './features/backup.ts';
import { bleed } from './features/bleed.ts';
import { bookin } from './features/bookin.ts';
import { due } from './features/due.ts';
import { decide } from './features/decide.ts';
import { gauge } from './features/gauge.ts';
import { limits } from './features/limits.ts';
import { notices } from './features/notices.ts';
import { parts } from './features/parts.ts';
import { prices } from './features/prices.ts';
import { prove } from './features/prove.ts';
import { rack } from './features/rack.ts';
import { rebuild } from './features/rebuild.ts';
import { shop } from './features/shop.ts';
import { supply } from './features/supply.ts';
import { trace } from './features/trace.ts';
import { yard } from './features/yard.ts';

/** The one table of endpoints. The server registers from it, the client is typed from it. */
export const ENDPOINTS = {
  ...shop,
  ...backup,
  ...notices,
  ...yard,
  ...due,
  ...bookin,
  ...trace,
  ...gauge,
  ...decide,
  ...rebuild,
  ...bleed,
  ...prove,
  ...parts,
  ...prices,
  ...supply,
  ...limits,
  ...rack,
};
export type EndpointName = keyof typeof ENDPOINTS;

/** Endpoints that take events of a family. */
export type EventEndpointName = {
  [K in EndpointName]: (typeof ENDPOINTS)[K] extends { readonly family: EventFamily } ? K : never;
}[EndpointName];

/** The endpoint that takes events of each family. */
export const EVENT_ENDPOINT = Object.fromEntries(
  Object.entries(ENDPOINTS).flatMap(([name, line]) => ('family' in line ? [[line.family, name]] : [])),
) as Readonly<Record<EventFamily, EventEndpointName>>;
