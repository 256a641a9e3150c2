CREATE TABLE "bedding_plan" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"product" text NOT NULL,
	"steps" jsonb NOT NULL,
	"source" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "bedding_stop" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"plan_id" uuid NOT NULL,
	"step" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "bedding_plan" ADD CONSTRAINT "bedding_plan_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bedding_plan" ADD CONSTRAINT "bedding_plan_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bedding_stop" ADD CONSTRAINT "bedding_stop_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bedding_stop" ADD CONSTRAINT "bedding_stop_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bedding_stop" ADD CONSTRAINT "bedding_stop_plan_id_bedding_plan_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."bedding_plan"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bedding_plan_job_id_index" ON "bedding_plan" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "bedding_stop_job_id_index" ON "bedding_stop" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "bedding_stop_plan_id_index" ON "bedding_stop" USING btree ("plan_id");