import type { Phase } from '../ledger/families/sets.ts';
import type { HandbackSheet, OwnerPage, SheetAccount, SheetFigure, SheetLine, SheetPair, SheetRef } from '../ledger/release.ts';
import { SHEET } from '../wording/en/sheet.ts';

type Fields = Readonly<Record<string, unknown>>;

const fieldsOf = (value: unknown): Fields => (typeof value === 'object' && value !== null ? { ...value } : {});
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const text = (value: unknown, otherwise = ''): string => (typeof value === 'string' ? value : otherwise);
const textOrNull = (value: unknown): string | null => (typeof value === 'string' ? value : null);

const PHASES: readonly Phase[] = ['as_found', 'after_machining', 'as_fitted', 'at_service'];
/** Before a date was written beside a line. */
const NO_DAY = '1970-01-01T00:00:00.000Z';

/** A line of a sheet; one of the first forms was words alone. */
function lineOf(value: unknown): SheetLine {
  if (typeof value === 'string') return { place: '', text: value, by: '', on: NO_DAY };
  const l = fieldsOf(value);
  return { place: text(l['place']), text: text(l['text']), by: text(l['by']), on: text(l['on'], NO_DAY) };
}

function figureOf(value: unknown): SheetFigure {
  const f = fieldsOf(value);
  return {
    ...{ place: text(f['place']), tag: textOrNull(f['tag']), characteristic: text(f['characteristic']) },
    phase: PHASES.find((p) => p === f['phase']) ?? 'as_found',
    ...{ figure: text(f['figure']), uncertainty: text(f['uncertainty']), limit: text(f['limit']), source: text(f['source']) },
    ...{ verdict: text(f['verdict']), gauges: text(f['gauges'], SHEET.noGauge), takenBy: text(f['takenBy']) },
    takenOn: text(f['takenOn'], NO_DAY),
  };
}

function refOf(value: unknown): SheetRef[] {
  const r = fieldsOf(value);
  const { from, to } = r;
  if (typeof from !== 'number' || typeof to !== 'number') return [];
  return [{ path: text(r['path']), event: text(r['event']), field: text(r['field']), from, to }];
}

const whole = (value: unknown): number => (typeof value === 'number' && Number.isInteger(value) ? value : 0);
const wholeOrNull = (value: unknown): number | null => (typeof value === 'number' && Number.isInteger(value) ? value : null);

function accountOf(value: unknown): SheetAccount {
  const a = fieldsOf(value);
  return {
    ...{ currency: textOrNull(a['currency']), authorised: wholeOrNull(a['authorised']) },
    agreed: a['agreed'] === null || a['agreed'] === undefined ? null : lineOf(a['agreed']),
    ...{ reckoned: whole(a['reckoned']), actual: whole(a['actual']) },
    lines: listOf(a['lines']).map((l) => {
      const f = fieldsOf(l);
      return {
        ...{ what: text(f['what']), reckoned: whole(f['reckoned']), reckonedMinutes: whole(f['reckonedMinutes']) },
        ...{ minutes: wholeOrNull(f['minutes']), actual: whole(f['actual']), why: text(f['why']) },
      };
    }),
  };
}

function pairOf(value: unknown): SheetPair {
  const p = fieldsOf(value);
  const { place, what, before, after, limit } = p;
  return { place: text(place), what: text(what), before: text(before), after: text(after), limit: text(limit) };
}

function ownerPageOf(value: unknown): OwnerPage {
  const o = fieldsOf(value);
  const words = (name: string): string[] => listOf(o[name]).map((w) => text(w));
  return {
    ...{ wrong: words('wrong'), why: text(o['why']), habit: text(o['habit']), done: words('done'), watch: words('watch') },
    back: listOf(o['back']).map((b) => {
      const { what, on, km } = fieldsOf(b);
      return { what: text(what), on: text(on, NO_DAY.slice(0, 10)), km: typeof km === 'number' ? km : null };
    }),
    pictures: listOf(o['pictures']).map((p) => {
      const { place, before, after } = fieldsOf(p);
      return { place: text(place), before: text(before), after: text(after) };
    }),
  };
}

/**
 * A hand-back sheet as it was kept, of whatever form: what an earlier form did not have is empty, and nothing that was
 * written then is changed. Sheets are kept for good, so every form that ever was is read for good; a test opens books of
 * each.
 */
export function readSheet(stored: unknown): HandbackSheet {
  const s = fieldsOf(stored);
  const lines = (name: string): SheetLine[] => listOf(s[name]).map(lineOf);
  return {
    ...{ vehicleTag: text(s['vehicleTag']), vehicleName: text(s['vehicleName']), distance: text(s['distance'], SHEET.notCounted) },
    ...{ complaint: text(s['complaint']), complaintAnswer: text(s['complaintAnswer'], SHEET.notAskedAgain) },
    figures: listOf(s['figures']).map(figureOf),
    ...{ findings: lines('findings'), done: lines('done'), torques: lines('torques'), parts: lines('parts'), fluid: lines('fluid') },
    nextDue: listOf(s['nextDue']).map((d) => {
      const f = fieldsOf(d);
      return { what: text(f['what']), on: text(f['on'], NO_DAY.slice(0, 10)), why: text(f['why']) };
    }),
    putOff: lines('putOff'),
    watch: listOf(s['watch']).map((w) => text(w)),
    ...{ accepted: lines('accepted'), proofs: lines('proofs') },
    afterCare: listOf(s['afterCare']).map((a) => {
      const f = fieldsOf(a);
      const { km } = f;
      return {
        ...{ item: text(f['item']), what: text(f['what']), on: text(f['on'], NO_DAY.slice(0, 10)), why: text(f['why']) },
        km: typeof km === 'number' ? km : null,
      };
    }),
    outOfScope: listOf(s['outOfScope']).map((o) => text(o)),
    ...(Array.isArray(s['pairs']) ? { pairs: s['pairs'].map(pairOf) } : {}),
    ...(s['owner'] === undefined ? {} : { owner: ownerPageOf(s['owner']) }),
    ...(s['account'] === undefined ? {} : { account: accountOf(s['account']) }),
    ...(Array.isArray(s['made']) ? { made: s['made'].flatMap(refOf) } : {}),
  };
}
