/** What came off a unit and what became of it, finishes, kits laid out, and what holds wheels and units: the shapes of their events. */
import * as ledger from '@dauer/core/ledger';
import { toldRange } from '@dauer/core/quantity';
import { z } from 'zod';
import { id, portId, recordBase, sentBase, words } from './primitives.ts';

const share = z.number().min(0).max(1);
/** A figure that is told beside the gauging, by what it can be at all. */
const figureOf = (what: Parameters<typeof toldRange>[0]) => {
  const [from, to] = toldRange(what);
  return z.number().min(from).max(to).nullable().default(null);
};
const hash = z.string().regex(/^[0-9a-f]{64}$/);
const markFields = {
  slotId: id,
  ...{ x: share.nullable(), y: share.nullable() },
  what: words(80).min(2),
  note: words(300).default(''),
  fate: z.enum(ledger.FATES),
  colour: words(40).default(''),
  wireMm: figureOf('spring_wire'),
  freeMm: figureOf('spring_free'),
  hash: hash.nullable().default(null),
};
const tellFields = { markId: id, kind: z.enum(ledger.STRIP_TELLS), note: words(300).default('') };
const count = z.number().int().min(0).max(99);
const kitFields = {
  slotId: id,
  runId: id,
  pieces: z
    .array(z.object({ name: words(120).min(1), wanted: count, found: count }))
    .min(1)
    .max(60)
    .readonly(),
  note: words(300).default(''),
};
const fastenerFields = {
  point: words(120).min(3),
  form: z.enum(ledger.FASTENER_FORMS),
  count: z.number().int().min(1).max(ledger.MOST_FASTENERS),
  thread: words(40).default(''),
  hand: z.enum(ledger.HANDS),
  seat: z.enum(ledger.SEATS).default('unknown'),
  key: words(60).default(''),
  oiled: z.boolean().default(false),
  note: words(300).default(''),
};
const coatFields = {
  eventId: id,
  way: z.enum(ledger.COAT_WAYS),
  colour: words(60).default(''),
  gloss: z.enum(ledger.GLOSSES).default('unknown'),
  coats: z.number().int().min(1).max(ledger.MOST_COATS).nullable().default(null),
  batch: words(60).default(''),
};
const lookFields = { eventId: id, state: z.enum(ledger.COAT_STATES), note: words(300).default('') };

const mark = recordBase
  .extend({
    ...markFields,
    what: z.string(),
    note: z.string(),
    colour: z.string(),
    wireMm: z.number().nullable(),
    freeMm: z.number().nullable(),
  })
  .extend({ hash: z.string().nullable() })
  .meta({ id: 'StripMark' }) satisfies z.ZodType<ledger.StripMark>;
const tell = recordBase.extend({ ...tellFields, note: z.string() }).meta({ id: 'StripTell' }) satisfies z.ZodType<ledger.StripTell>;
const kit = recordBase.extend({ ...kitFields, note: z.string() }).meta({ id: 'KitCount' }) satisfies z.ZodType<ledger.KitCount>;
const fastener = recordBase
  .extend({ ...fastenerFields, thread: z.string(), seat: z.enum(ledger.SEATS), key: z.string(), oiled: z.boolean(), note: z.string() })
  .meta({ id: 'FastenerFact' }) satisfies z.ZodType<ledger.FastenerFact>;

const portFields = {
  slotId: id,
  partId: id.nullable(),
  port: portId,
  seat: z.enum(ledger.PORT_SEATS),
  thread: words(60).default(''),
  lies: words(80).default(''),
};
const port = recordBase
  .extend({ ...portFields, thread: z.string(), lies: z.string() })
  .meta({ id: 'PortFact' }) satisfies z.ZodType<ledger.PortFact>;
const coat = recordBase
  .extend({ ...coatFields, colour: z.string(), gloss: z.enum(ledger.GLOSSES), coats: z.number().nullable(), batch: z.string() })
  .meta({ id: 'Coat' }) satisfies z.ZodType<ledger.Coat>;
const look = recordBase.extend({ ...lookFields, note: z.string() }).meta({ id: 'CoatLook' }) satisfies z.ZodType<ledger.CoatLook>;

export const STRIP_EVENTS = {
  coats: { sent: sentBase.extend(coatFields), record: coat },
  portFacts: { sent: sentBase.extend(portFields), record: port },
  coatLooks: { sent: sentBase.extend(lookFields), record: look },
  stripMarks: { sent: sentBase.extend(markFields), record: mark },
  stripTells: { sent: sentBase.extend(tellFields), record: tell },
  kitCounts: { sent: sentBase.extend(kitFields), record: kit },
  fastenerFacts: { sent: sentBase.extend(fastenerFields), record: fastener },
} as const;
