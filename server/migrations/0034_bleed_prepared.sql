ALTER TABLE "bleed_session" ADD COLUMN "prepared" jsonb;--> statement-breakpoint
ALTER TABLE "bleed_session" ADD COLUMN "ordered" jsonb;--> statement-breakpoint
ALTER TABLE "bleed_session" ADD COLUMN "order_source" text;