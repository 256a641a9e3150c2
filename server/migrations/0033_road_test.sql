ALTER TABLE "proof" ADD COLUMN "road_typed" text;--> statement-breakpoint
ALTER TABLE "proof" ADD COLUMN "road_km" double precision;--> statement-breakpoint
ALTER TABLE "proof" ADD COLUMN "felt" jsonb;