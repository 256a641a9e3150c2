import { CLOCK_HEADER } from '@dauer/contract';
import type { FastifyRequest } from 'fastify';

/** A clock that is this near is right, ms: the way to the server takes its time. */
const NEAR_MS = 2000;

/**
 * When something happened, by the server's clock: what the device says, set right by how far its clock is off now.
 * Never in the future: what is told has happened.
 * Source: handbook 15, People, time, distance, privacy.
 */
export function corrected(request: Pick<FastifyRequest, 'headers'>, happenedAt: string, now = Date.now()): string {
  const said = Number(request.headers[CLOCK_HEADER]);
  const off = Number.isFinite(said) && said > 0 ? now - said : 0;
  const at = Date.parse(happenedAt) + (Math.abs(off) > NEAR_MS ? off : 0);
  return new Date(Math.min(at, now)).toISOString();
}
