CREATE TABLE "change" (
	"tx" "xid8" DEFAULT pg_current_xact_id() NOT NULL,
	"about" text NOT NULL,
	"id" uuid NOT NULL
);
--> statement-breakpoint
CREATE INDEX "change_tx_index" ON "change" USING btree ("tx");