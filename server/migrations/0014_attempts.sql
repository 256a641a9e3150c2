DROP TABLE "sign_in_failure" CASCADE;--> statement-breakpoint
INSERT INTO "incarnation" ("id", "since") VALUES (gen_random_uuid(), now());
--> statement-breakpoint
-- A vehicle is handed back by somebody of this shop, or was before its records; never both, never neither.
ALTER TABLE "release_record" ADD CONSTRAINT "handed_back_by_one" CHECK (("released_by" IS NULL) <> ("import_id" IS NULL));
