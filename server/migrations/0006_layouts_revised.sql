ALTER TABLE "layout" ADD COLUMN "drive" text DEFAULT 'right' NOT NULL;--> statement-breakpoint
ALTER TABLE "layout" ADD COLUMN "revision" text DEFAULT 'first' NOT NULL;--> statement-breakpoint
ALTER TABLE "layout" ADD COLUMN "why" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "layout" ADD COLUMN "entered_by" uuid;--> statement-breakpoint
ALTER TABLE "layout" ADD CONSTRAINT "layout_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;