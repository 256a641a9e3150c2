ALTER TABLE "shop" ADD COLUMN "currency" text;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "driven" text;
