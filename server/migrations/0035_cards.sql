CREATE TABLE "card_run" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"card_id" text NOT NULL,
	"option" text NOT NULL,
	"steps" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "card_tell" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"run_id" uuid NOT NULL,
	"step_id" text NOT NULL,
	"kind" text NOT NULL,
	"gate" text,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "card_run" ADD CONSTRAINT "card_run_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "card_run" ADD CONSTRAINT "card_run_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "card_tell" ADD CONSTRAINT "card_tell_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "card_tell" ADD CONSTRAINT "card_tell_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "card_tell" ADD CONSTRAINT "card_tell_run_id_card_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."card_run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "card_run_job_id_index" ON "card_run" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "card_tell_job_id_index" ON "card_tell" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "card_tell_run_id_index" ON "card_tell" USING btree ("run_id");