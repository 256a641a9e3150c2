import { randomBytes } from 'node:crypto';
import type { FastifyRequest } from 'fastify';
import { sqlState } from './problem.ts';

/** Fields of a database error that name places in the schema, never what was entered. */
const PLACES = ['table', 'column', 'constraint', 'routine'] as const;

/** The frames of an error without its sentence: sentences of libraries quote what was sent. */
function framesOf(error: Error): string[] {
  return (error.stack ?? '')
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line.startsWith('at ') && !line.includes('node:internal'))
    .slice(0, 12);
}

interface ErrorLine {
  type: string;
  /** The SQLSTATE, where there is one. */
  message: string;
  stack: string;
  [field: string]: unknown;
}

/**
 * What the log keeps of an error: its kind, codes, places in the schema and in the program. Never its sentence, since
 * those of libraries quote statements, values and bodies.
 */
export function errorForLog(error: unknown): ErrorLine {
  if (!(error instanceof Error)) return { type: typeof error, message: '', stack: '' };
  const entry: ErrorLine = { type: error.name, message: sqlState(error) ?? '', stack: framesOf(error).join(' ') };
  for (let at: unknown = error; at instanceof Error; at = at.cause) {
    const known = new Map<string, unknown>(Object.entries(at));
    for (const place of PLACES) if (typeof known.get(place) === 'string') entry[place] ??= known.get(place);
    const code = 'code' in at ? at.code : undefined;
    if (typeof code === 'string') entry['code'] ??= code;
  }
  return entry;
}

/** What the log keeps of a request: what was asked for by the pattern of its address, not what was searched or sent. */
function requestForLog(request: Partial<Pick<FastifyRequest, 'id' | 'method' | 'routeOptions'>>): Record<string, unknown> {
  return { id: request.id, method: request.method, route: request.routeOptions?.url ?? 'none' };
}

/** A short name of a request, which its sender can read out from the screen. */
export const requestId = (): string => randomBytes(5).toString('hex').toUpperCase();

/** How this process logs: one line an event to its output, which whoever started it keeps. */
export const LOGGING = {
  level: 'warn',
  base: { process: process.pid },
  timestamp: (): string => `,"at":"${new Date().toISOString()}"`,
  serializers: { err: errorForLog, req: requestForLog },
} as const;

/** Writes one line of what happened to the log of a process that has no server of its own. */
export function logLine(what: string, more: Record<string, unknown> = {}): void {
  process.stdout.write(`${JSON.stringify({ level: 40, at: new Date().toISOString(), process: process.pid, msg: what, ...more })}\n`);
}
