CREATE TABLE "coat_look" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"event_id" uuid NOT NULL,
	"state" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "coat" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"event_id" uuid NOT NULL,
	"way" text NOT NULL,
	"colour" text NOT NULL,
	"gloss" text NOT NULL,
	"coats" integer,
	"batch" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "coat_look" ADD CONSTRAINT "coat_look_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "coat_look" ADD CONSTRAINT "coat_look_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "coat_look" ADD CONSTRAINT "coat_look_event_id_part_event_id_fk" FOREIGN KEY ("event_id") REFERENCES "public"."part_event"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "coat" ADD CONSTRAINT "coat_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "coat" ADD CONSTRAINT "coat_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "coat" ADD CONSTRAINT "coat_event_id_part_event_id_fk" FOREIGN KEY ("event_id") REFERENCES "public"."part_event"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "coat_look_job_id_index" ON "coat_look" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "coat_look_event_id_index" ON "coat_look" USING btree ("event_id");--> statement-breakpoint
CREATE INDEX "coat_job_id_index" ON "coat" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "coat_event_id_index" ON "coat" USING btree ("event_id");