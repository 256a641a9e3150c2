CREATE EXTENSION IF NOT EXISTS pg_trgm;
--> statement-breakpoint
CREATE INDEX vehicle_tag_found ON vehicle USING gin (tag gin_trgm_ops);
--> statement-breakpoint
CREATE INDEX vehicle_name_found ON vehicle USING gin (name gin_trgm_ops);
--> statement-breakpoint
CREATE INDEX job_complaint_found ON job USING gin (complaint gin_trgm_ops);
--> statement-breakpoint
CREATE INDEX owner_name_found ON owner USING gin (name gin_trgm_ops);
--> statement-breakpoint
CREATE INDEX part_tag_found ON part USING gin (tag gin_trgm_ops) WHERE tag IS NOT NULL;
--> statement-breakpoint
CREATE INDEX part_number_found ON part USING gin (part_number gin_trgm_ops) WHERE tag IS NOT NULL;
--> statement-breakpoint
CREATE INDEX part_name_found ON part USING gin (name gin_trgm_ops) WHERE tag IS NOT NULL;
--> statement-breakpoint
CREATE INDEX release_newest ON release_record (released_at DESC);
