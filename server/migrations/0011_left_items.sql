CREATE TABLE "left_item" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"closed_by" uuid,
	"slot_id" uuid NOT NULL,
	"item" text NOT NULL,
	"what" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "left_item" ADD CONSTRAINT "left_item_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "left_item" ADD CONSTRAINT "left_item_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "left_item_job_id_index" ON "left_item" USING btree ("job_id");--> statement-breakpoint
CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON "left_item" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER open_job BEFORE INSERT ON "left_item" FOR EACH ROW EXECUTE FUNCTION refuse_after_release();
--> statement-breakpoint
CREATE TRIGGER came_late AFTER INSERT ON "left_item" FOR EACH ROW EXECUTE FUNCTION mark_late();
