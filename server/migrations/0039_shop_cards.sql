CREATE TABLE "shop_card_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"card_id" text NOT NULL,
	"changes" jsonb NOT NULL,
	"own" jsonb NOT NULL,
	"reason" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "shop_card_version" ADD CONSTRAINT "shop_card_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "shop_card_version_card_id_index" ON "shop_card_version" USING btree ("card_id");