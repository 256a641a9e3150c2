/** Notes of the shop, pinned where they will be wanted, and what is said of them: the shapes of their events. */
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { componentKind } from './componentKind.ts';
import { id, recordBase, sentBase, words } from './primitives.ts';

const stepId = z.string().regex(/^[a-z_0-9]{1,40}$/);
const share = z.number().min(0).max(1);
const noteFields = {
  pin: z.enum(ledger.PINS),
  slotId: id.nullable().default(null),
  type: words(120).default(''),
  kind: componentKind.nullable().default(null),
  style: words(40).nullable().default(null),
  cardId: stepId.nullable().default(null),
  stepId: stepId.nullable().default(null),
  words: words(600).min(3),
  hash: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .nullable()
    .default(null),
  arrow: z.object({ x: share, y: share }).nullable().default(null),
};
const tellFields = { noteId: id, kind: z.enum(ledger.NOTE_TELLS), note: words(300).default('') };

const note = recordBase
  .extend({ ...noteFields, slotId: id.nullable(), type: z.string(), kind: componentKind.nullable(), style: z.string().nullable() })
  .extend({ cardId: z.string().nullable(), stepId: z.string().nullable(), words: z.string(), hash: z.string().nullable() })
  .extend({ arrow: noteFields.arrow.unwrap(), vehicleId: id })
  .meta({ id: 'ShopNote' }) satisfies z.ZodType<ledger.ShopNote>;
const tell = recordBase.extend({ ...tellFields, note: z.string() }).meta({ id: 'NoteTell' }) satisfies z.ZodType<ledger.NoteTell>;

export const NOTE_EVENTS = {
  shopNotes: { sent: sentBase.extend(noteFields), record: note },
  noteTells: { sent: sentBase.extend(tellFields), record: tell },
} as const;
