import { createHash } from 'node:crypto';
import { EVENT_LISTS, familyOf, type ReleaseClass } from '@dauer/core/ledger';
import { getTableName } from 'drizzle-orm';
import type pg from 'pg';
import { EVENT_TABLES } from './eventTables.ts';
import { HEAD_TABLES } from './headTables.ts';

/**
 * What the database itself holds to, whoever asks it: functions, and the triggers of each table. Made from what every family
 * of events says of itself, and applied as a whole after the steps of the schema: no step rewrites what another one made.
 */
const FUNCTIONS = `
-- What happened is only ever added to. A text may be blacked out: the one column named for this transaction, and nothing else.
CREATE OR REPLACE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE field text := current_setting('dauer.redacting', true);
BEGIN
  IF TG_OP = 'UPDATE' AND coalesce(field, '') <> '' AND (to_jsonb(OLD) - field) = (to_jsonb(NEW) - field) THEN
    RETURN NEW;
  END IF;
  RAISE EXCEPTION 'rows of % are only ever added', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
-- What is of no job is kept out by no hand-back. What happened before the hand-back and comes in after it is kept; work after it is refused.
CREATE OR REPLACE FUNCTION refuse_after_release() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE handed_back timestamptz;
BEGIN
  IF NEW.job_id IS NULL THEN
    RETURN NEW;
  END IF;
  PERFORM 1 FROM job WHERE id = NEW.job_id FOR KEY SHARE;
  IF NOT FOUND THEN
    RAISE EXCEPTION 'no such job' USING ERRCODE = 'DA002';
  END IF;
  SELECT released_at INTO handed_back FROM release_record WHERE job_id = NEW.job_id;
  IF handed_back IS NOT NULL AND NEW.happened_at >= handed_back THEN
    RAISE EXCEPTION 'job has been handed back' USING ERRCODE = 'DA001';
  END IF;
  RETURN NEW;
END $$;
-- After the insert, so that the repeat of an event that was there in time is not marked.
CREATE OR REPLACE FUNCTION mark_late() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO late_event (id, job_id, family)
    SELECT NEW.id, NEW.job_id, TG_TABLE_NAME FROM release_record WHERE job_id = NEW.job_id;
  RETURN NULL;
END $$;
CREATE OR REPLACE FUNCTION refuse_before_release() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NEW.job_id IS NULL THEN
    RETURN NEW;
  END IF;
  PERFORM 1 FROM release_record WHERE job_id = NEW.job_id;
  IF NOT FOUND THEN
    RAISE EXCEPTION 'job has not been handed back' USING ERRCODE = 'DA003';
  END IF;
  RETURN NEW;
END $$;
CREATE OR REPLACE FUNCTION refuse_any_release() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM 1 FROM job WHERE id = NEW.job_id FOR KEY SHARE;
  IF EXISTS (SELECT 1 FROM release_record WHERE job_id = NEW.job_id) THEN
    RAISE EXCEPTION 'job has been handed back' USING ERRCODE = 'DA001';
  END IF;
  RETURN NEW;
END $$;
-- What is new travels to the pages: by which transaction each row was written, or a text of it blacked out.
CREATE OR REPLACE FUNCTION note_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_TABLE_NAME = 'limit_check' THEN
    INSERT INTO change (about, id) VALUES (TG_TABLE_NAME, NEW.limit_id);
  ELSE
    INSERT INTO change (about, id) VALUES (TG_TABLE_NAME, NEW.id);
  END IF;
  RETURN NULL;
END $$;
`;

/** Triggers by name: when each fires, and what it does. */
const TRIGGERS = {
  only_added: 'BEFORE UPDATE OR DELETE ON % FOR EACH ROW EXECUTE FUNCTION refuse_change()',
  open_job: 'BEFORE INSERT ON % FOR EACH ROW EXECUTE FUNCTION refuse_after_release()',
  still_open: 'BEFORE INSERT ON % FOR EACH ROW EXECUTE FUNCTION refuse_any_release()',
  came_late: 'AFTER INSERT ON % FOR EACH ROW EXECUTE FUNCTION mark_late()',
  noted: 'AFTER INSERT OR UPDATE ON % FOR EACH ROW EXECUTE FUNCTION note_change()',
  handed_back: 'BEFORE INSERT ON % FOR EACH ROW EXECUTE FUNCTION refuse_before_release()',
} as const;
type Trigger = keyof typeof TRIGGERS;

/** What a hand-back does to a family, in triggers. */
const OF_RELEASE: Readonly<Record<ReleaseClass, readonly Trigger[]>> = {
  frozen: ['open_job', 'came_late'],
  snapshot: ['still_open'],
  only_after: ['handed_back'],
  either_side: [],
  not_of_a_job: [],
};

/** Tables that are no events of a job, and only ever added to as well. */
const ALSO_ONLY_ADDED = [
  ...['release_record', 'late_event', 'limit_version', 'limit_check', 'torque_check', 'gauge_version', 'calibration', 'gauge_check'],
  ...['repeat_study', 'gauge_call_back', 'finding_entry', 'prior_version'],
  ...['article_version', 'rates_version', 'house_rule_version', 'offer', 'lot_version', 'stock_move'],
  ...['letter', 'letter_answer', 'letter_words'],
] as const;

/** Every table that has triggers, with theirs. */
export function triggersWanted(): ReadonlyMap<string, readonly Trigger[]> {
  const wanted = new Map<string, readonly Trigger[]>();
  // A family of events may be what a head of the job is made from as well: it is noted once.
  const add = (table: string, ...names: readonly Trigger[]): unknown =>
    wanted.set(table, [...new Set([...(wanted.get(table) ?? []), ...names])]);
  for (const k of EVENT_LISTS) add(getTableName(EVENT_TABLES[k]), 'only_added', 'noted', ...OF_RELEASE[familyOf(k).release]);
  for (const table of ALSO_ONLY_ADDED) add(table, 'only_added');
  for (const table of HEAD_TABLES) add(table, 'noted');
  return wanted;
}

/** All rules as one text of SQL; applied twice it comes to the same as once. */
function rulesSql(): string {
  const known = (Object.keys(TRIGGERS) as Trigger[]).map((name) => `'${name}'`).join(', ');
  const clear = `DO $$
DECLARE r record;
BEGIN
  FOR r IN SELECT g.tgname, g.tgrelid::regclass AS at FROM pg_trigger g WHERE NOT g.tgisinternal AND g.tgname IN (${known}) LOOP
    EXECUTE format('DROP TRIGGER %I ON %s', r.tgname, r.at);
  END LOOP;
END $$;`;
  const triggers = [...triggersWanted()].flatMap(([table, names]) =>
    names.map((name) => `CREATE TRIGGER ${name} ${TRIGGERS[name].replace('%', `"${table}"`)};`),
  );
  return [FUNCTIONS, clear, ...triggers].join('\n');
}

/** Brings the rules of a database up to those of this program, in one transaction, where they are others. */
export async function applyRules(client: Pick<pg.Client, 'query'>): Promise<void> {
  const text = rulesSql();
  const mark = `rules ${createHash('sha256').update(text).digest('hex')}`;
  const { rows } = await client.query<{ mark: string | null }>(
    `select obj_description(to_regproc('public.refuse_change')::oid, 'pg_proc') as mark`,
  );
  if (rows[0]?.mark === mark) return;
  await client.query('begin');
  try {
    await client.query(`${text}\nCOMMENT ON FUNCTION refuse_change() IS '${mark}';`);
    await client.query('commit');
  } catch (error) {
    await client.query('rollback');
    throw error;
  }
}
