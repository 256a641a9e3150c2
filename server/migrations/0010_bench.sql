CREATE TABLE "finding_entry" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kinds" text[] NOT NULL,
	"name" text NOT NULL,
	"looks" text NOT NULL,
	"matters" text NOT NULL,
	"severity" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "finding" ADD COLUMN "entry" text;--> statement-breakpoint
ALTER TABLE "finding" ADD COLUMN "place" text;--> statement-breakpoint
ALTER TABLE "finding" ADD COLUMN "from_mm" double precision;--> statement-breakpoint
ALTER TABLE "finding" ADD COLUMN "to_mm" double precision;--> statement-breakpoint
ALTER TABLE "finding" ADD COLUMN "depth_mm" double precision;--> statement-breakpoint
ALTER TABLE "reading_set" ADD COLUMN "turn" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "reading_set" ADD COLUMN "studs" integer;--> statement-breakpoint
ALTER TABLE "reading_set" ADD COLUMN "blind" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "picture" ADD COLUMN "finding_id" uuid;--> statement-breakpoint
ALTER TABLE "finding_entry" ADD CONSTRAINT "finding_entry_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
CREATE TRIGGER only_added BEFORE UPDATE OR DELETE ON "finding_entry" FOR EACH ROW EXECUTE FUNCTION refuse_change();
