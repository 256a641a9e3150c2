/** Clocks of processes: the shapes of their events. */
import { HEATED_METALS, PROCESS_IDS } from '@dauer/core/catalogue';
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { id, recordBase, sentBase, typed, words } from './primitives.ts';

/** Longest that a process runs by one clock: 60 days, in minutes. */
const LONGEST_MIN = 60 * 24 * 60;

const degrees = z.number().min(0).max(400).nullable().default(null);
const timerFields = {
  slotId: id,
  process: z.enum(PROCESS_IDS),
  minutes: z.number().int().min(1).max(LONGEST_MIN),
  fromC: degrees,
  toC: degrees,
  metal: z.enum(HEATED_METALS).nullable().default(null),
  sheet: words(200).default(''),
};
const timer = recordBase
  .extend({
    ...timerFields,
    fromC: z.number().nullable(),
    toC: z.number().nullable(),
    metal: z.enum(HEATED_METALS).nullable(),
    sheet: z.string(),
  })
  .meta({ id: 'Timer' }) satisfies z.ZodType<ledger.Timer>;
const stepFields = { timerId: id, kind: z.enum(ledger.TIMER_STEPS), typed: typed.nullable().default(null), note: words(300).default('') };
const timerStep = recordBase
  .extend({ ...stepFields, typed: z.string().nullable(), tempC: z.number().nullable(), note: z.string() })
  .meta({ id: 'TimerStep' }) satisfies z.ZodType<ledger.TimerStep>;

export const TIMER_EVENTS = {
  timers: { sent: sentBase.extend(timerFields), record: timer },
  timerSteps: { sent: sentBase.extend(stepFields), record: timerStep },
} as const;
