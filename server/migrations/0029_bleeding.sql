CREATE TABLE "bleed_session" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"circuits" integer[] NOT NULL,
	"method" text NOT NULL,
	"product" text NOT NULL,
	"fluid_class" text NOT NULL,
	"full_ml" double precision NOT NULL,
	"safe_ml" double precision NOT NULL,
	"stroke_ml" double precision NOT NULL
);
--> statement-breakpoint
CREATE TABLE "bleed_step" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"session_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"slot_id" uuid,
	"colour" text,
	"air" text,
	"level_ml" double precision,
	"fluid_class" text,
	"bottle" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "bleed_session" ADD CONSTRAINT "bleed_session_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bleed_session" ADD CONSTRAINT "bleed_session_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bleed_step" ADD CONSTRAINT "bleed_step_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bleed_step" ADD CONSTRAINT "bleed_step_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bleed_step" ADD CONSTRAINT "bleed_step_session_id_bleed_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."bleed_session"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bleed_session_job_id_index" ON "bleed_session" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "bleed_step_job_id_index" ON "bleed_step" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "bleed_step_session_id_index" ON "bleed_step" USING btree ("session_id");