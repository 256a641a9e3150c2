CREATE TABLE "after_pull" (
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
	"air" text NOT NULL,
	"closed" boolean NOT NULL
);
--> statement-breakpoint
ALTER TABLE "after_pull" ADD CONSTRAINT "after_pull_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "after_pull" ADD CONSTRAINT "after_pull_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "after_pull_job_id_index" ON "after_pull" USING btree ("job_id");