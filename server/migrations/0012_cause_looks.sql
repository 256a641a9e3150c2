CREATE TABLE "cause_look" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"fault" text NOT NULL,
	"place" text NOT NULL,
	"state" text NOT NULL,
	"said" double precision,
	"rank" integer
);
--> statement-breakpoint
CREATE TABLE "prior_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"fault" text NOT NULL,
	"times" double precision NOT NULL,
	"looked_at" integer NOT NULL,
	"found" integer NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "cause_look" ADD CONSTRAINT "cause_look_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cause_look" ADD CONSTRAINT "cause_look_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "prior_version" ADD CONSTRAINT "prior_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cause_look_job_id_index" ON "cause_look" USING btree ("job_id");--> statement-breakpoint
CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON "cause_look" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER open_job BEFORE INSERT ON "cause_look" FOR EACH ROW EXECUTE FUNCTION refuse_after_release();
--> statement-breakpoint
CREATE TRIGGER came_late AFTER INSERT ON "cause_look" FOR EACH ROW EXECUTE FUNCTION mark_late();
--> statement-breakpoint
CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON "prior_version" FOR EACH ROW EXECUTE FUNCTION refuse_change();
