CREATE TABLE "letter" (
	"id" uuid PRIMARY KEY NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"made_by" uuid NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"items" jsonb NOT NULL,
	"opening" text NOT NULL,
	"closing" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "letter_answer" (
	"id" uuid PRIMARY KEY NOT NULL,
	"letter_id" uuid NOT NULL,
	"answer" text NOT NULL,
	"on_day" date,
	"by" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "letter_words" (
	"id" uuid PRIMARY KEY NOT NULL,
	"opening" text NOT NULL,
	"closing" text NOT NULL,
	"by" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "letter" ADD CONSTRAINT "letter_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "letter" ADD CONSTRAINT "letter_made_by_account_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "letter_answer" ADD CONSTRAINT "letter_answer_letter_id_letter_id_fk" FOREIGN KEY ("letter_id") REFERENCES "public"."letter"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "letter_answer" ADD CONSTRAINT "letter_answer_by_account_id_fk" FOREIGN KEY ("by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "letter_words" ADD CONSTRAINT "letter_words_by_account_id_fk" FOREIGN KEY ("by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "letter_vehicle_id_index" ON "letter" USING btree ("vehicle_id");--> statement-breakpoint
CREATE INDEX "letter_answer_letter_id_index" ON "letter_answer" USING btree ("letter_id");