import type { EndpointName, EventEndpointName, EventFamily } from '@dauer/contract';
import table from './routes.json';

/** How an endpoint is asked: what its contract says of it without the shapes, which only the server checks. */
interface Route {
  readonly method: 'GET' | 'POST' | 'PATCH';
  readonly path: string;
  /** The family of events that it takes. */
  readonly family?: EventFamily;
  /** What it takes is an act of its moment, and waits on no device for a server that is away. */
  readonly online?: boolean;
}

/** Every endpoint, as the contract has it (`npm run routes` writes the table; a test holds it to the contract). */
export const ROUTES = table as Readonly<Record<EndpointName, Route>>;

/** The endpoint that takes events of each family. */
export const EVENT_ENDPOINT = Object.fromEntries(
  Object.entries(ROUTES).flatMap(([name, { family }]) => (family === undefined ? [] : [[family, name]])),
) as Readonly<Record<EventFamily, EventEndpointName>>;

const ONLINE: ReadonlySet<EventFamily> = new Set(
  Object.values(ROUTES).flatMap(({ family, online }) => (family !== undefined && online === true ? [family] : [])),
);

/** Whether an event of this family may wait on a device, and is sent again to a book that was restored. */
export const isQueued = (family: EventFamily): boolean => !ONLINE.has(family);
