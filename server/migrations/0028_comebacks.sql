CREATE TABLE "comeback" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"repaired_in" uuid NOT NULL,
	"answer" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "comeback" ADD CONSTRAINT "comeback_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "comeback" ADD CONSTRAINT "comeback_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "comeback" ADD CONSTRAINT "comeback_repaired_in_job_id_fk" FOREIGN KEY ("repaired_in") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "comeback_job_id_index" ON "comeback" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "comeback_repaired_in_index" ON "comeback" USING btree ("repaired_in");