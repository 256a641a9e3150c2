CREATE TABLE "came_with" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"name" text NOT NULL,
	"kind" text,
	"slot_id" uuid,
	"part_number" text,
	"count" integer NOT NULL,
	"fits" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "earlier_work" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"what" text NOT NULL,
	"slot_id" uuid,
	"on_day" text NOT NULL,
	"about" boolean NOT NULL,
	"known_from" text NOT NULL,
	"source" text NOT NULL,
	"km" double precision,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "image" (
	"hash" text PRIMARY KEY NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"data" "bytea",
	"thumb" "bytea",
	"kept_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "intake_look" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"corner" text,
	"thing" text NOT NULL,
	"state" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "picture" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"hash" text NOT NULL,
	"shows" text NOT NULL,
	"slot_id" uuid,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "finish" text DEFAULT 'not_said' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "authorised" double precision;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "mass_kg" double precision;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "mass_front_kg" double precision;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "wheelbase_mm" double precision;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "cg_height_mm" double precision;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "tyre_radius_front_mm" double precision;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "tyre_radius_rear_mm" double precision;--> statement-breakpoint
ALTER TABLE "came_with" ADD CONSTRAINT "came_with_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "came_with" ADD CONSTRAINT "came_with_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "earlier_work" ADD CONSTRAINT "earlier_work_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "earlier_work" ADD CONSTRAINT "earlier_work_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "intake_look" ADD CONSTRAINT "intake_look_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "intake_look" ADD CONSTRAINT "intake_look_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "picture" ADD CONSTRAINT "picture_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "picture" ADD CONSTRAINT "picture_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "came_with_job_id_index" ON "came_with" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "earlier_work_job_id_index" ON "earlier_work" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "intake_look_job_id_index" ON "intake_look" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "picture_job_id_index" ON "picture" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "picture_hash_index" ON "picture" USING btree ("hash");--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['picture','intake_look','came_with','earlier_work'] LOOP
    EXECUTE format('CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', t);
    EXECUTE format('CREATE TRIGGER open_job BEFORE INSERT ON %I FOR EACH ROW EXECUTE FUNCTION refuse_after_release()', t);
    EXECUTE format('CREATE TRIGGER came_late AFTER INSERT ON %I FOR EACH ROW EXECUTE FUNCTION mark_late()', t);
  END LOOP;
END $$;
