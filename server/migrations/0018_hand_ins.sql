CREATE TABLE "hand_in" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"event_id" uuid NOT NULL
);
--> statement-breakpoint
ALTER TABLE "hand_in" ADD CONSTRAINT "hand_in_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hand_in" ADD CONSTRAINT "hand_in_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "hand_in_job_id_index" ON "hand_in" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "hand_in_event_id_index" ON "hand_in" USING btree ("event_id");