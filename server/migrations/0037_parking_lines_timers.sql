CREATE TABLE "parking" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"stands_on" text NOT NULL,
	"held_by" text NOT NULL,
	"knows" text NOT NULL,
	"waits_for" text NOT NULL,
	"until" date
);
--> statement-breakpoint
CREATE TABLE "take_over" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"parking_id" uuid NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "line_shape" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"connection_id" uuid NOT NULL,
	"stretches" jsonb NOT NULL,
	"outside_mm" double precision NOT NULL,
	"bend_radius_mm" double precision NOT NULL,
	"slack_mm" double precision NOT NULL,
	"first" jsonb NOT NULL,
	"last" jsonb NOT NULL,
	"by" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "timer_step" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"timer_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"typed" text,
	"temp_c" double precision,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "timer" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"process" text NOT NULL,
	"minutes" integer NOT NULL,
	"from_c" double precision,
	"to_c" double precision,
	"metal" text,
	"sheet" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "parking" ADD CONSTRAINT "parking_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "parking" ADD CONSTRAINT "parking_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "take_over" ADD CONSTRAINT "take_over_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "take_over" ADD CONSTRAINT "take_over_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "take_over" ADD CONSTRAINT "take_over_parking_id_parking_id_fk" FOREIGN KEY ("parking_id") REFERENCES "public"."parking"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_shape" ADD CONSTRAINT "line_shape_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_shape" ADD CONSTRAINT "line_shape_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "timer_step" ADD CONSTRAINT "timer_step_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "timer_step" ADD CONSTRAINT "timer_step_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "timer_step" ADD CONSTRAINT "timer_step_timer_id_timer_id_fk" FOREIGN KEY ("timer_id") REFERENCES "public"."timer"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "timer" ADD CONSTRAINT "timer_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "timer" ADD CONSTRAINT "timer_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "parking_job_id_index" ON "parking" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "take_over_job_id_index" ON "take_over" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "take_over_parking_id_index" ON "take_over" USING btree ("parking_id");--> statement-breakpoint
CREATE INDEX "line_shape_job_id_index" ON "line_shape" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "line_shape_connection_id_index" ON "line_shape" USING btree ("connection_id");--> statement-breakpoint
CREATE INDEX "timer_step_job_id_index" ON "timer_step" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "timer_step_timer_id_index" ON "timer_step" USING btree ("timer_id");--> statement-breakpoint
CREATE INDEX "timer_job_id_index" ON "timer" USING btree ("job_id");