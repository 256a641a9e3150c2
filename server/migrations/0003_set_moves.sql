CREATE TABLE "set_move" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"set_id" uuid NOT NULL,
	"slot_id" uuid NOT NULL,
	"part_id" uuid
);
--> statement-breakpoint
ALTER TABLE "set_move" ADD CONSTRAINT "set_move_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "set_move" ADD CONSTRAINT "set_move_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "set_move" ADD CONSTRAINT "set_move_set_id_reading_set_id_fk" FOREIGN KEY ("set_id") REFERENCES "public"."reading_set"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "set_move" ADD CONSTRAINT "set_move_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "set_move_job_id_index" ON "set_move" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "set_move_set_id_index" ON "set_move" USING btree ("set_id");--> statement-breakpoint
CREATE INDEX "set_move_part_id_index" ON "set_move" USING btree ("part_id");--> statement-breakpoint
CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON "set_move" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER open_job BEFORE INSERT ON "set_move" FOR EACH ROW EXECUTE FUNCTION refuse_after_release();
