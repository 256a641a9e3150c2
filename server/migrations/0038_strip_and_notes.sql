CREATE TABLE "fastener_fact" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"point" text NOT NULL,
	"form" text NOT NULL,
	"count" integer NOT NULL,
	"thread" text NOT NULL,
	"hand" text NOT NULL,
	"seat" text NOT NULL,
	"key" text NOT NULL,
	"oiled" boolean NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "kit_count" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"run_id" uuid NOT NULL,
	"pieces" jsonb NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "note_tell" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"note_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shop_note" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"vehicle_id" uuid NOT NULL,
	"pin" text NOT NULL,
	"slot_id" uuid,
	"type" text NOT NULL,
	"kind" text,
	"style" text,
	"card_id" text,
	"step_id" text,
	"words" text NOT NULL,
	"hash" text,
	"arrow" jsonb
);
--> statement-breakpoint
CREATE TABLE "strip_mark" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"x" double precision,
	"y" double precision,
	"what" text NOT NULL,
	"note" text NOT NULL,
	"fate" text NOT NULL,
	"colour" text NOT NULL,
	"wire_mm" double precision,
	"free_mm" double precision,
	"hash" text
);
--> statement-breakpoint
CREATE TABLE "strip_tell" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"mark_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "torque" ADD COLUMN "to_typed" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "torque" ADD COLUMN "target_to" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "torque" ADD COLUMN "passes" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "torque" ADD COLUMN "angle_deg" double precision;--> statement-breakpoint
ALTER TABLE "fastener_fact" ADD CONSTRAINT "fastener_fact_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fastener_fact" ADD CONSTRAINT "fastener_fact_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_count" ADD CONSTRAINT "kit_count_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_count" ADD CONSTRAINT "kit_count_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_count" ADD CONSTRAINT "kit_count_run_id_card_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."card_run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_tell" ADD CONSTRAINT "note_tell_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_tell" ADD CONSTRAINT "note_tell_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_tell" ADD CONSTRAINT "note_tell_note_id_shop_note_id_fk" FOREIGN KEY ("note_id") REFERENCES "public"."shop_note"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shop_note" ADD CONSTRAINT "shop_note_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shop_note" ADD CONSTRAINT "shop_note_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shop_note" ADD CONSTRAINT "shop_note_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strip_mark" ADD CONSTRAINT "strip_mark_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strip_mark" ADD CONSTRAINT "strip_mark_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strip_tell" ADD CONSTRAINT "strip_tell_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strip_tell" ADD CONSTRAINT "strip_tell_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strip_tell" ADD CONSTRAINT "strip_tell_mark_id_strip_mark_id_fk" FOREIGN KEY ("mark_id") REFERENCES "public"."strip_mark"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "fastener_fact_job_id_index" ON "fastener_fact" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "kit_count_job_id_index" ON "kit_count" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "note_tell_job_id_index" ON "note_tell" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "note_tell_note_id_index" ON "note_tell" USING btree ("note_id");--> statement-breakpoint
CREATE INDEX "shop_note_job_id_index" ON "shop_note" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "shop_note_vehicle_id_index" ON "shop_note" USING btree ("vehicle_id");--> statement-breakpoint
CREATE INDEX "shop_note_kind_index" ON "shop_note" USING btree ("kind");--> statement-breakpoint
CREATE INDEX "shop_note_type_index" ON "shop_note" USING btree ("type");--> statement-breakpoint
CREATE INDEX "strip_mark_job_id_index" ON "strip_mark" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "strip_tell_job_id_index" ON "strip_tell" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "strip_tell_mark_id_index" ON "strip_tell" USING btree ("mark_id");