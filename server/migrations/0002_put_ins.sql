CREATE TABLE "put_in" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"what" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "taken_out" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"put_in_id" uuid NOT NULL
);
--> statement-breakpoint
ALTER TABLE "part_event" ADD COLUMN "temporary" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "put_in" ADD CONSTRAINT "put_in_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "put_in" ADD CONSTRAINT "put_in_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "taken_out" ADD CONSTRAINT "taken_out_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "taken_out" ADD CONSTRAINT "taken_out_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "taken_out" ADD CONSTRAINT "taken_out_put_in_id_put_in_id_fk" FOREIGN KEY ("put_in_id") REFERENCES "public"."put_in"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "put_in_job_id_index" ON "put_in" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "taken_out_job_id_index" ON "taken_out" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "taken_out_put_in_id_index" ON "taken_out" USING btree ("put_in_id");--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['put_in','taken_out'] LOOP
    EXECUTE format('CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', t);
    EXECUTE format('CREATE TRIGGER open_job BEFORE INSERT ON %I FOR EACH ROW EXECUTE FUNCTION refuse_after_release()', t);
  END LOOP;
END $$;
