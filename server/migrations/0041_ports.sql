CREATE TABLE "port_fact" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"part_id" uuid,
	"port" text NOT NULL,
	"seat" text NOT NULL,
	"thread" text NOT NULL,
	"lies" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "put_in" ADD COLUMN "port" text;--> statement-breakpoint
ALTER TABLE "port_fact" ADD CONSTRAINT "port_fact_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "port_fact" ADD CONSTRAINT "port_fact_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "port_fact_job_id_index" ON "port_fact" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "port_fact_slot_id_index" ON "port_fact" USING btree ("slot_id");