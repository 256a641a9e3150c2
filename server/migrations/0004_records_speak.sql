CREATE TABLE "tablet" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"registered_by" uuid NOT NULL,
	"registered_at" timestamp (3) with time zone NOT NULL,
	"ended_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "after_care" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"item" text NOT NULL,
	"result" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "amendment" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"words" text NOT NULL,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_void" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "joint_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"connection_id" uuid NOT NULL,
	"slot_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"seal" text,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "late_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"family" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "part_correction" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"kind" text NOT NULL,
	"part_id" uuid NOT NULL,
	"other_id" uuid NOT NULL,
	"since" timestamp (3) with time zone,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "redaction" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"field" text NOT NULL,
	"reason" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "pin_hash" text;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "scope_in" uuid[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "scope_out" uuid[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "owner" ADD COLUMN "erased_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "owner" ADD COLUMN "erased_by" uuid;--> statement-breakpoint
ALTER TABLE "owner" ADD COLUMN "erased_why" text;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "tablet_id" uuid;--> statement-breakpoint
ALTER TABLE "decision" ADD COLUMN "until_km" double precision;--> statement-breakpoint
ALTER TABLE "decision" ADD COLUMN "access" text;--> statement-breakpoint
ALTER TABLE "finding" ADD COLUMN "code" text;--> statement-breakpoint
ALTER TABLE "part_event" ADD COLUMN "until" date;--> statement-breakpoint
ALTER TABLE "take_back" ADD COLUMN "reason" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "tablet" ADD CONSTRAINT "tablet_registered_by_account_id_fk" FOREIGN KEY ("registered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "after_care" ADD CONSTRAINT "after_care_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "after_care" ADD CONSTRAINT "after_care_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "amendment" ADD CONSTRAINT "amendment_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "amendment" ADD CONSTRAINT "amendment_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_void" ADD CONSTRAINT "job_void_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_void" ADD CONSTRAINT "job_void_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "joint_event" ADD CONSTRAINT "joint_event_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "joint_event" ADD CONSTRAINT "joint_event_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_correction" ADD CONSTRAINT "part_correction_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_correction" ADD CONSTRAINT "part_correction_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_correction" ADD CONSTRAINT "part_correction_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_correction" ADD CONSTRAINT "part_correction_other_id_part_id_fk" FOREIGN KEY ("other_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "redaction" ADD CONSTRAINT "redaction_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "redaction" ADD CONSTRAINT "redaction_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "after_care_job_id_index" ON "after_care" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "amendment_job_id_index" ON "amendment" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "job_void_job_id_index" ON "job_void" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "joint_event_job_id_index" ON "joint_event" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "late_event_job_id_index" ON "late_event" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "part_correction_job_id_index" ON "part_correction" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "part_correction_part_id_index" ON "part_correction" USING btree ("part_id");--> statement-breakpoint
CREATE INDEX "part_correction_other_id_index" ON "part_correction" USING btree ("other_id");--> statement-breakpoint
CREATE INDEX "redaction_job_id_index" ON "redaction" USING btree ("job_id");--> statement-breakpoint
ALTER TABLE "owner" ADD CONSTRAINT "owner_erased_by_account_id_fk" FOREIGN KEY ("erased_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
-- A text may be blacked out: the one column named for this transaction, and nothing else of the row.
CREATE OR REPLACE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE field text := current_setting('dauer.redacting', true);
BEGIN
  IF TG_OP = 'UPDATE' AND coalesce(field, '') <> '' AND (to_jsonb(OLD) - field) = (to_jsonb(NEW) - field) THEN
    RETURN NEW;
  END IF;
  RAISE EXCEPTION 'rows of % are only ever added', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
--> statement-breakpoint
-- What happened before the hand-back and comes in after it is kept, and marked; work after it is refused.
CREATE OR REPLACE FUNCTION refuse_after_release() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE handed_back timestamptz;
BEGIN
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
--> statement-breakpoint
-- After the insert, so that the repeat of an event that was there in time is not marked.
CREATE FUNCTION mark_late() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO late_event (id, job_id, family)
    SELECT NEW.id, NEW.job_id, TG_TABLE_NAME FROM release_record WHERE job_id = NEW.job_id;
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE FUNCTION refuse_before_release() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM 1 FROM release_record WHERE job_id = NEW.job_id;
  IF NOT FOUND THEN
    RAISE EXCEPTION 'job has not been handed back' USING ERRCODE = 'DA003';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE FUNCTION refuse_any_release() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM 1 FROM job WHERE id = NEW.job_id FOR KEY SHARE;
  IF EXISTS (SELECT 1 FROM release_record WHERE job_id = NEW.job_id) THEN
    RAISE EXCEPTION 'job has been handed back' USING ERRCODE = 'DA001';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['joint_event','part_correction','job_void','after_care','amendment','redaction','late_event'] LOOP
    EXECUTE format('CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', t);
  END LOOP;
  CREATE TRIGGER open_job BEFORE INSERT ON joint_event FOR EACH ROW EXECUTE FUNCTION refuse_after_release();
  CREATE TRIGGER open_job BEFORE INSERT ON job_void FOR EACH ROW EXECUTE FUNCTION refuse_any_release();
  FOR t IN SELECT c.relname FROM pg_trigger g JOIN pg_class c ON c.oid = g.tgrelid WHERE g.tgname = 'open_job' AND c.relname <> 'job_void' LOOP
    EXECUTE format('CREATE TRIGGER came_late AFTER INSERT ON %I FOR EACH ROW EXECUTE FUNCTION mark_late()', t);
  END LOOP;
  FOREACH t IN ARRAY ARRAY['after_care','amendment'] LOOP
    EXECUTE format('CREATE TRIGGER handed_back BEFORE INSERT ON %I FOR EACH ROW EXECUTE FUNCTION refuse_before_release()', t);
  END LOOP;
END $$;
