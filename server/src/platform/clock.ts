import { CLOCK_HEADER } from '@dauer/contract';
import type { FastifyRequest } from 'fastify';

/** A clock that is this near is right, ms: the way to the server takes its time. */
const NEAR_MS = 2000;

/** Farther off than this is no clock, ms: one with an empty battery begins in 1970. */
const FAR_MS = 100 * 365.25 * 86400000;

/**
 * When something happened, by the server's clock: what the device says, set right by how far its clock is off now.
 * Never in the future: what is told has happened.
 * Source: handbook 15, People, time, distance, privacy.
 */
export function corrected(request: Pick<FastifyRequest, 'headers'>, happenedAt: string, now = Date.now()): string {
  const said = Number(request.headers[CLOCK_HEADER]);
  const off = now - said;
  const believed = said > 0 && Math.abs(off) > NEAR_MS && Math.abs(off) < FAR_MS;
  const at = Date.parse(happenedAt) + (believed ? off : 0);
  return new Date(Math.min(at, now)).toISOString();
}
