import { z } from 'zod';
import type { Access } from './endpoint.ts';
import { id } from './primitives.ts';

/** The stream of changes: who listens is told that something changed, and reads it himself. */
export const LIVE = { path: '/api/live', role: 'reader' } as const satisfies { path: string; role: Access };

/** One change: which job it was in (null: something that any job may lean on), and which page made it. Never what it was. */
export const liveMessage = z.object({ jobId: id.nullable(), page: z.string().max(40) });
export type LiveMessage = z.infer<typeof liveMessage>;

/** Header by which a page names itself, so that it need not be told of its own doings. */
export const PAGE_HEADER = 'x-dauer-page';
