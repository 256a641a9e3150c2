CREATE TABLE "calibration" (
	"id" uuid PRIMARY KEY NOT NULL,
	"gauge_id" uuid NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL,
	"on_day" date NOT NULL,
	"done_by" text NOT NULL,
	"result" text NOT NULL,
	"off_by" double precision,
	"certificate" text NOT NULL,
	"next_due" date
);
--> statement-breakpoint
CREATE TABLE "gauge_call_back" (
	"id" uuid PRIMARY KEY NOT NULL,
	"gauge_id" uuid NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL,
	"since" timestamp (3) with time zone NOT NULL,
	"off_by" double precision NOT NULL,
	"why" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "gauge_check" (
	"id" uuid PRIMARY KEY NOT NULL,
	"gauge_id" uuid NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL,
	"nominal" double precision NOT NULL,
	"read" double precision NOT NULL
);
--> statement-breakpoint
CREATE TABLE "repeat_study" (
	"id" uuid PRIMARY KEY NOT NULL,
	"gauge_id" uuid NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL,
	"place" text NOT NULL,
	"readings" jsonb NOT NULL,
	"short_span" double precision NOT NULL
);
--> statement-breakpoint
ALTER TABLE "gauge_version" ADD COLUMN "setting_piece" double precision;--> statement-breakpoint
ALTER TABLE "gauge_version" ADD COLUMN "check_first" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "calibration" ADD CONSTRAINT "calibration_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gauge_call_back" ADD CONSTRAINT "gauge_call_back_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gauge_check" ADD CONSTRAINT "gauge_check_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "repeat_study" ADD CONSTRAINT "repeat_study_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "calibration_gauge_id_index" ON "calibration" USING btree ("gauge_id");--> statement-breakpoint
CREATE INDEX "gauge_call_back_gauge_id_index" ON "gauge_call_back" USING btree ("gauge_id");--> statement-breakpoint
CREATE INDEX "gauge_check_gauge_id_index" ON "gauge_check" USING btree ("gauge_id");--> statement-breakpoint
CREATE INDEX "repeat_study_gauge_id_index" ON "repeat_study" USING btree ("gauge_id");--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['calibration','gauge_check','repeat_study','gauge_call_back'] LOOP
    EXECUTE format('CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', t);
  END LOOP;
END $$;
