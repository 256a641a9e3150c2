ALTER TABLE "decision" ADD COLUMN "metal" text;--> statement-breakpoint
ALTER TABLE "part_event" ADD COLUMN "lot" text;--> statement-breakpoint
ALTER TABLE "part_event" ADD COLUMN "line_on" boolean DEFAULT false NOT NULL;