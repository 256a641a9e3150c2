-- What happened is only ever added to: the database itself refuses to change or delete it.
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'rows of % are only ever added', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['reading_set','reading','take_back','finding','observation','decision','operation','operation_event','torque','bleed_pull','fluid_service','proof','acceptance','caution_ack','part_event','counter_reading','release_record','limit_version','limit_check','gauge_version'] LOOP
    EXECUTE format('CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', t);
  END LOOP;
END $$;
--> statement-breakpoint
-- An event waits for a release that is under way, and is refused once the job has been handed back.
CREATE FUNCTION refuse_after_release() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM 1 FROM job WHERE id = NEW.job_id FOR KEY SHARE;
  IF NOT FOUND THEN
    RAISE EXCEPTION 'no such job' USING ERRCODE = 'DA002';
  END IF;
  IF EXISTS (SELECT 1 FROM release_record WHERE job_id = NEW.job_id) THEN
    RAISE EXCEPTION 'job has been handed back' USING ERRCODE = 'DA001';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['reading_set','reading','take_back','finding','observation','decision','operation','operation_event','torque','bleed_pull','fluid_service','proof','acceptance','caution_ack','part_event','counter_reading'] LOOP
    EXECUTE format('CREATE TRIGGER open_job BEFORE INSERT ON %I FOR EACH ROW EXECUTE FUNCTION refuse_after_release()', t);
  END LOOP;
END $$;
