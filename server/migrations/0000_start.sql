CREATE TABLE "acceptance" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"obligation" text NOT NULL,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "account" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"initials" text NOT NULL,
	"login" text NOT NULL,
	"password_hash" text NOT NULL,
	"role" text NOT NULL,
	"active" boolean DEFAULT true NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "account_login_unique" UNIQUE("login")
);
--> statement-breakpoint
CREATE TABLE "bleed_pull" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"volume_typed" text NOT NULL,
	"volume_ml" double precision NOT NULL,
	"colour" text NOT NULL,
	"air" text NOT NULL,
	"closed" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "caution_ack" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"caution" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "connection" (
	"layout_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"from_slot" uuid NOT NULL,
	"to_slot" uuid NOT NULL,
	"kind" text NOT NULL,
	"circuit" integer,
	"length_mm" double precision,
	"bore_mm" double precision,
	CONSTRAINT "connection_layout_id_id_pk" PRIMARY KEY("layout_id","id")
);
--> statement-breakpoint
CREATE TABLE "counter_reading" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"vehicle_id" uuid NOT NULL,
	"typed" text NOT NULL,
	"km" double precision NOT NULL
);
--> statement-breakpoint
CREATE TABLE "decision" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"part_id" uuid,
	"option" text NOT NULL,
	"reason" text NOT NULL,
	"review_on" date
);
--> statement-breakpoint
CREATE TABLE "finding" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"part_id" uuid,
	"words" text NOT NULL,
	"severity" text NOT NULL,
	"cleaning" text NOT NULL,
	"rules_out" text[] NOT NULL,
	"settles" uuid
);
--> statement-breakpoint
CREATE TABLE "fluid_service" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"product" text NOT NULL,
	"fluid_class" text NOT NULL,
	"batch" text NOT NULL,
	"low_moisture" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "gauge_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"gauge_id" uuid NOT NULL,
	"tag" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"resolution" double precision NOT NULL,
	"accuracy" double precision NOT NULL,
	"short_span" double precision NOT NULL,
	"range_low" double precision,
	"range_high" double precision,
	"calibration_due" date,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job" (
	"id" uuid PRIMARY KEY NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"complaint" text NOT NULL,
	"wants" text NOT NULL,
	"fluid_known" text NOT NULL,
	"promised" date,
	"scope_corners" text[] NOT NULL,
	"opened_at" timestamp (3) with time zone NOT NULL,
	"opened_by" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "layout" (
	"id" uuid PRIMARY KEY NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"template" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "limit_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"series_id" text NOT NULL,
	"characteristic" text NOT NULL,
	"scope" text NOT NULL,
	"applies_to" text,
	"make" text,
	"model" text,
	"year_from" integer,
	"year_to" integer,
	"variant" text,
	"axle" text,
	"bound" text NOT NULL,
	"nominal" double precision,
	"machine_to" double precision,
	"at_figure" double precision,
	"low" double precision,
	"high" double precision,
	"gravity" text NOT NULL,
	"at_least" boolean NOT NULL,
	"source" text NOT NULL,
	"source_text" text NOT NULL,
	"as_printed" text NOT NULL,
	"printed_unit" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "limit_check" (
	"limit_id" uuid PRIMARY KEY NOT NULL,
	"checked_by" uuid NOT NULL,
	"checked_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "observation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"code" text NOT NULL,
	"corner" text,
	"state" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "operation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid,
	"title" text NOT NULL,
	"attended_minutes" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "operation_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"operation_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "owner" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"contact" text NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "part" (
	"id" uuid PRIMARY KEY NOT NULL,
	"tag" text,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"part_number" text,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "part_tag_unique" UNIQUE("tag")
);
--> statement-breakpoint
CREATE TABLE "part_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"part_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"slot_id" uuid,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "proof" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"item" text NOT NULL,
	"slot_id" uuid,
	"corner" text,
	"result" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reading" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"set_id" uuid NOT NULL,
	"frame" text NOT NULL,
	"angle_deg" double precision,
	"place" text,
	"pass" integer NOT NULL,
	"gauge_version_id" uuid,
	"typed" text NOT NULL,
	"unit" text NOT NULL,
	"canonical" double precision NOT NULL,
	"resolution" double precision NOT NULL,
	"fraction" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reading_set" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"part_id" uuid,
	"measurement" text NOT NULL,
	"phase" text NOT NULL,
	"surface" text NOT NULL,
	"cold" boolean NOT NULL,
	"averages" boolean NOT NULL,
	"count" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "release_record" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"released_by" uuid NOT NULL,
	"released_at" timestamp (3) with time zone NOT NULL,
	"own_work" boolean NOT NULL,
	"rule_version" text NOT NULL,
	"sheet" jsonb NOT NULL,
	"basis" jsonb NOT NULL,
	CONSTRAINT "release_record_jobId_unique" UNIQUE("job_id")
);
--> statement-breakpoint
CREATE TABLE "secret" (
	"name" text PRIMARY KEY NOT NULL,
	"value" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "session" (
	"id" uuid PRIMARY KEY NOT NULL,
	"account_id" uuid NOT NULL,
	"started_at" timestamp (3) with time zone NOT NULL,
	"expires_at" timestamp (3) with time zone NOT NULL,
	"ended_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "shop" (
	"id" integer PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"time_zone" text NOT NULL,
	"demo" boolean DEFAULT false NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sign_in_failure" (
	"id" uuid PRIMARY KEY NOT NULL,
	"login" text NOT NULL,
	"address" text NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "slot" (
	"layout_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"ordinal" integer NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"corner" text,
	"circuits" integer[] NOT NULL,
	"parent_id" uuid,
	"bore_mm" double precision,
	"length_mm" double precision,
	"style" text,
	CONSTRAINT "slot_layout_id_id_pk" PRIMARY KEY("layout_id","id")
);
--> statement-breakpoint
CREATE TABLE "take_back" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid
);
--> statement-breakpoint
CREATE TABLE "torque" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid,
	"point" text NOT NULL,
	"target_typed" text NOT NULL,
	"target" double precision NOT NULL,
	"typed" text NOT NULL,
	"unit" text NOT NULL,
	"canonical" double precision NOT NULL,
	"wrench" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "vehicle" (
	"id" uuid PRIMARY KEY NOT NULL,
	"tag" text NOT NULL,
	"name" text NOT NULL,
	"make" text NOT NULL,
	"model" text NOT NULL,
	"year" integer,
	"variant" text,
	"body" text NOT NULL,
	"use" text NOT NULL,
	"climate" text NOT NULL,
	"storage" text NOT NULL,
	"stands_years" double precision,
	"distance_unit" text NOT NULL,
	"owner_id" uuid,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "vehicle_tag_unique" UNIQUE("tag")
);
--> statement-breakpoint
ALTER TABLE "acceptance" ADD CONSTRAINT "acceptance_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "acceptance" ADD CONSTRAINT "acceptance_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bleed_pull" ADD CONSTRAINT "bleed_pull_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bleed_pull" ADD CONSTRAINT "bleed_pull_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "caution_ack" ADD CONSTRAINT "caution_ack_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "caution_ack" ADD CONSTRAINT "caution_ack_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "connection" ADD CONSTRAINT "connection_layout_id_layout_id_fk" FOREIGN KEY ("layout_id") REFERENCES "public"."layout"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "counter_reading" ADD CONSTRAINT "counter_reading_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "counter_reading" ADD CONSTRAINT "counter_reading_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "counter_reading" ADD CONSTRAINT "counter_reading_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "finding" ADD CONSTRAINT "finding_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "finding" ADD CONSTRAINT "finding_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "finding" ADD CONSTRAINT "finding_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fluid_service" ADD CONSTRAINT "fluid_service_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fluid_service" ADD CONSTRAINT "fluid_service_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gauge_version" ADD CONSTRAINT "gauge_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_opened_by_account_id_fk" FOREIGN KEY ("opened_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "layout" ADD CONSTRAINT "layout_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "limit_version" ADD CONSTRAINT "limit_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "limit_check" ADD CONSTRAINT "limit_check_limit_id_limit_version_id_fk" FOREIGN KEY ("limit_id") REFERENCES "public"."limit_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "limit_check" ADD CONSTRAINT "limit_check_checked_by_account_id_fk" FOREIGN KEY ("checked_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "operation" ADD CONSTRAINT "operation_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "operation" ADD CONSTRAINT "operation_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "operation_event" ADD CONSTRAINT "operation_event_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "operation_event" ADD CONSTRAINT "operation_event_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "operation_event" ADD CONSTRAINT "operation_event_operation_id_operation_id_fk" FOREIGN KEY ("operation_id") REFERENCES "public"."operation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_event" ADD CONSTRAINT "part_event_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_event" ADD CONSTRAINT "part_event_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_event" ADD CONSTRAINT "part_event_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "proof" ADD CONSTRAINT "proof_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "proof" ADD CONSTRAINT "proof_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_set_id_reading_set_id_fk" FOREIGN KEY ("set_id") REFERENCES "public"."reading_set"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_gauge_version_id_gauge_version_id_fk" FOREIGN KEY ("gauge_version_id") REFERENCES "public"."gauge_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading_set" ADD CONSTRAINT "reading_set_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading_set" ADD CONSTRAINT "reading_set_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading_set" ADD CONSTRAINT "reading_set_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "release_record" ADD CONSTRAINT "release_record_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "release_record" ADD CONSTRAINT "release_record_released_by_account_id_fk" FOREIGN KEY ("released_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slot" ADD CONSTRAINT "slot_layout_id_layout_id_fk" FOREIGN KEY ("layout_id") REFERENCES "public"."layout"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "take_back" ADD CONSTRAINT "take_back_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "take_back" ADD CONSTRAINT "take_back_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "torque" ADD CONSTRAINT "torque_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "torque" ADD CONSTRAINT "torque_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle" ADD CONSTRAINT "vehicle_owner_id_owner_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."owner"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "acceptance_job_id_index" ON "acceptance" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "bleed_pull_job_id_index" ON "bleed_pull" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "caution_ack_job_id_index" ON "caution_ack" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "counter_reading_vehicle_id_index" ON "counter_reading" USING btree ("vehicle_id");--> statement-breakpoint
CREATE INDEX "decision_job_id_index" ON "decision" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "finding_job_id_index" ON "finding" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "fluid_service_job_id_index" ON "fluid_service" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "gauge_version_gauge_id_index" ON "gauge_version" USING btree ("gauge_id");--> statement-breakpoint
CREATE INDEX "job_vehicle_id_index" ON "job" USING btree ("vehicle_id");--> statement-breakpoint
CREATE INDEX "layout_vehicle_id_index" ON "layout" USING btree ("vehicle_id");--> statement-breakpoint
CREATE INDEX "limit_version_series_id_index" ON "limit_version" USING btree ("series_id");--> statement-breakpoint
CREATE INDEX "limit_version_characteristic_index" ON "limit_version" USING btree ("characteristic");--> statement-breakpoint
CREATE INDEX "observation_job_id_index" ON "observation" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "operation_job_id_index" ON "operation" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "operation_event_job_id_index" ON "operation_event" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "part_event_job_id_index" ON "part_event" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "part_event_part_id_index" ON "part_event" USING btree ("part_id");--> statement-breakpoint
CREATE INDEX "part_event_slot_id_index" ON "part_event" USING btree ("slot_id");--> statement-breakpoint
CREATE INDEX "proof_job_id_index" ON "proof" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "reading_set_id_index" ON "reading" USING btree ("set_id");--> statement-breakpoint
CREATE INDEX "reading_set_job_id_index" ON "reading_set" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "reading_set_part_id_index" ON "reading_set" USING btree ("part_id");--> statement-breakpoint
CREATE INDEX "reading_set_slot_id_index" ON "reading_set" USING btree ("slot_id");--> statement-breakpoint
CREATE INDEX "session_account_id_index" ON "session" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "sign_in_failure_login_at_index" ON "sign_in_failure" USING btree ("login","at");--> statement-breakpoint
CREATE INDEX "slot_id_index" ON "slot" USING btree ("id");--> statement-breakpoint
CREATE INDEX "take_back_job_id_index" ON "take_back" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "take_back_corrects_index" ON "take_back" USING btree ("corrects");--> statement-breakpoint
CREATE INDEX "torque_job_id_index" ON "torque" USING btree ("job_id");