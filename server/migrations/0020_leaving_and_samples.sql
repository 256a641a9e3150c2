CREATE TABLE "fluid_sample" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"water_percent" double precision,
	"boil_c" double precision,
	"fluid_class" text,
	"how" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "leaving" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"how" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "finding" ADD COLUMN "done_here" text;--> statement-breakpoint
ALTER TABLE "fluid_service" ADD COLUMN "dry_c" double precision;--> statement-breakpoint
ALTER TABLE "fluid_service" ADD COLUMN "wet_c" double precision;--> statement-breakpoint
ALTER TABLE "fluid_service" ADD COLUMN "hottest_c" double precision;--> statement-breakpoint
ALTER TABLE "fluid_service" ADD COLUMN "maker_months" integer;--> statement-breakpoint
ALTER TABLE "fluid_sample" ADD CONSTRAINT "fluid_sample_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fluid_sample" ADD CONSTRAINT "fluid_sample_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "leaving" ADD CONSTRAINT "leaving_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "leaving" ADD CONSTRAINT "leaving_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "fluid_sample_job_id_index" ON "fluid_sample" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "leaving_job_id_index" ON "leaving" USING btree ("job_id");