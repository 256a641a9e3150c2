CREATE TABLE "cost_entry" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"slot_id" uuid NOT NULL,
	"option" text NOT NULL,
	"term" text NOT NULL,
	"amount" bigint,
	"minutes" integer,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "owner_choice" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"offer_id" uuid NOT NULL,
	"answer" text NOT NULL,
	"variant" text,
	"picks" jsonb NOT NULL,
	"sum" bigint NOT NULL,
	"said_by" text NOT NULL,
	"how" text NOT NULL,
	"code" text,
	"wishes" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "article_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"series_id" uuid NOT NULL,
	"name" text NOT NULL,
	"part_number" text,
	"supply" text NOT NULL,
	"kind" text,
	"process" text,
	"fits" text NOT NULL,
	"applies_to" text,
	"make" text,
	"model" text,
	"axle" text,
	"supplier_id" uuid,
	"price" bigint,
	"tax" text NOT NULL,
	"priced_on" date NOT NULL,
	"lead_days" integer,
	"core" bigint NOT NULL,
	"scarcity" text NOT NULL,
	"covers" text NOT NULL,
	"contents" jsonb NOT NULL,
	"retired" boolean NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "house_rule_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"rule" text NOT NULL,
	"school" text NOT NULL,
	"reason" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "offer" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"sheet" jsonb NOT NULL,
	"hash" text NOT NULL,
	"made_by" uuid NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "rates_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"currency" text,
	"hourly" bigint NOT NULL,
	"hours_a_day" double precision NOT NULL,
	"bay_a_day" bigint NOT NULL,
	"shipping" bigint NOT NULL,
	"towing" bigint NOT NULL,
	"standard_permille" integer NOT NULL,
	"reduced_permille" integer NOT NULL,
	"reason" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "supplier" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"contact" text NOT NULL,
	"active" boolean DEFAULT true NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "authorised_minor" bigint;--> statement-breakpoint
ALTER TABLE "decision" ADD COLUMN "code" text;--> statement-breakpoint
ALTER TABLE "cost_entry" ADD CONSTRAINT "cost_entry_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cost_entry" ADD CONSTRAINT "cost_entry_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_choice" ADD CONSTRAINT "owner_choice_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_choice" ADD CONSTRAINT "owner_choice_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_choice" ADD CONSTRAINT "owner_choice_offer_id_offer_id_fk" FOREIGN KEY ("offer_id") REFERENCES "public"."offer"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "article_version" ADD CONSTRAINT "article_version_supplier_id_supplier_id_fk" FOREIGN KEY ("supplier_id") REFERENCES "public"."supplier"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "article_version" ADD CONSTRAINT "article_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "house_rule_version" ADD CONSTRAINT "house_rule_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "offer" ADD CONSTRAINT "offer_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "offer" ADD CONSTRAINT "offer_made_by_account_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rates_version" ADD CONSTRAINT "rates_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cost_entry_job_id_index" ON "cost_entry" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "owner_choice_job_id_index" ON "owner_choice" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "article_version_series_id_index" ON "article_version" USING btree ("series_id");--> statement-breakpoint
CREATE INDEX "article_version_fits_applies_to_index" ON "article_version" USING btree ("fits","applies_to");--> statement-breakpoint
CREATE INDEX "article_version_make_index" ON "article_version" USING btree ("make");--> statement-breakpoint
CREATE INDEX "offer_job_id_index" ON "offer" USING btree ("job_id");--> statement-breakpoint
-- Sums that were typed in whole units and hundredths, in the minor units of the shop's currency. Source: ISO 4217.
UPDATE "job" SET "authorised_minor" = round(("authorised" * CASE
	WHEN (SELECT "currency" FROM "shop" LIMIT 1) IN ('BIF', 'CLP', 'DJF', 'GNF', 'ISK', 'JPY', 'KMF', 'KRW', 'PYG', 'RWF', 'UGX', 'VND', 'VUV', 'XAF', 'XOF', 'XPF') THEN 1
	WHEN (SELECT "currency" FROM "shop" LIMIT 1) IN ('BHD', 'IQD', 'JOD', 'KWD', 'LYD', 'OMR', 'TND') THEN 1000
	ELSE 100 END)::numeric) WHERE "authorised" IS NOT NULL;--> statement-breakpoint
ALTER TABLE "job" DROP COLUMN "authorised";
