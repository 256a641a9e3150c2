CREATE TABLE "ladder_try" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"ladder_id" text NOT NULL,
	"rung_id" text NOT NULL,
	"moved" boolean NOT NULL,
	"minutes" integer NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "ladder_try" ADD CONSTRAINT "ladder_try_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ladder_try" ADD CONSTRAINT "ladder_try_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "ladder_try_job_id_index" ON "ladder_try" USING btree ("job_id");