CREATE TABLE "lot_use" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"lot_id" uuid NOT NULL,
	"slot_id" uuid,
	"part_id" uuid,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "lot_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"series_id" uuid NOT NULL,
	"label" text NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"part_number" text,
	"supplier_id" uuid,
	"made" text,
	"bought" text,
	"opened" text,
	"batch" text NOT NULL,
	"torque" text NOT NULL,
	"bedding" text NOT NULL,
	"cure" text NOT NULL,
	"note" text NOT NULL,
	"compound" text NOT NULL,
	"grade" text NOT NULL,
	"meant_for" text NOT NULL,
	"coating" text NOT NULL,
	"rated_c" double precision,
	"lifted" text NOT NULL,
	"shelf_years" double precision,
	"closed" boolean NOT NULL,
	"recalled" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "order_line" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"supplier_id" uuid NOT NULL,
	"supplier" text NOT NULL,
	"name" text NOT NULL,
	"article_id" uuid,
	"part_number" text,
	"supply" text NOT NULL,
	"count" integer NOT NULL,
	"places" uuid[] NOT NULL,
	"need" text,
	"price" bigint,
	"core" bigint,
	"expected" date,
	"shops_own" boolean NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "order_look" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"corner" text,
	"thing" text NOT NULL,
	"answer" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "order_step" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"line_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"count" integer NOT NULL,
	"day" date,
	"result" text,
	"slot_id" uuid,
	"amount" bigint,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "part_fact" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"fact" text NOT NULL,
	"slot_id" uuid,
	"part_id" uuid,
	"line_id" uuid,
	"typed" text NOT NULL,
	"unit" text,
	"canonical" double precision,
	"gauge_version_id" uuid
);
--> statement-breakpoint
CREATE TABLE "send_out_step" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"send_out_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"day" date,
	"result" text,
	"count" integer,
	"looked" jsonb NOT NULL,
	"amount" bigint,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "send_out" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"supplier_id" uuid NOT NULL,
	"supplier" text NOT NULL,
	"batch" text NOT NULL,
	"part_id" uuid NOT NULL,
	"slot_id" uuid NOT NULL,
	"process" text NOT NULL,
	"size" text NOT NULL,
	"colour" text NOT NULL,
	"gloss" text NOT NULL,
	"masks" jsonb NOT NULL,
	"count" integer NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stock_move" (
	"id" uuid PRIMARY KEY NOT NULL,
	"series_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"count" integer NOT NULL,
	"job_id" uuid,
	"note" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "article_version" ADD COLUMN "states" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "lot_use" ADD CONSTRAINT "lot_use_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_use" ADD CONSTRAINT "lot_use_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_use" ADD CONSTRAINT "lot_use_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_version" ADD CONSTRAINT "lot_version_supplier_id_supplier_id_fk" FOREIGN KEY ("supplier_id") REFERENCES "public"."supplier"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_version" ADD CONSTRAINT "lot_version_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_line" ADD CONSTRAINT "order_line_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_line" ADD CONSTRAINT "order_line_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_line" ADD CONSTRAINT "order_line_supplier_id_supplier_id_fk" FOREIGN KEY ("supplier_id") REFERENCES "public"."supplier"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_line" ADD CONSTRAINT "order_line_article_id_article_version_id_fk" FOREIGN KEY ("article_id") REFERENCES "public"."article_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_look" ADD CONSTRAINT "order_look_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_look" ADD CONSTRAINT "order_look_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_step" ADD CONSTRAINT "order_step_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_step" ADD CONSTRAINT "order_step_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_step" ADD CONSTRAINT "order_step_line_id_order_line_id_fk" FOREIGN KEY ("line_id") REFERENCES "public"."order_line"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_fact" ADD CONSTRAINT "part_fact_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_fact" ADD CONSTRAINT "part_fact_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_fact" ADD CONSTRAINT "part_fact_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_fact" ADD CONSTRAINT "part_fact_line_id_order_line_id_fk" FOREIGN KEY ("line_id") REFERENCES "public"."order_line"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "send_out_step" ADD CONSTRAINT "send_out_step_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "send_out_step" ADD CONSTRAINT "send_out_step_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "send_out_step" ADD CONSTRAINT "send_out_step_send_out_id_send_out_id_fk" FOREIGN KEY ("send_out_id") REFERENCES "public"."send_out"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "send_out" ADD CONSTRAINT "send_out_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "send_out" ADD CONSTRAINT "send_out_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "send_out" ADD CONSTRAINT "send_out_supplier_id_supplier_id_fk" FOREIGN KEY ("supplier_id") REFERENCES "public"."supplier"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "send_out" ADD CONSTRAINT "send_out_part_id_part_id_fk" FOREIGN KEY ("part_id") REFERENCES "public"."part"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_move" ADD CONSTRAINT "stock_move_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_move" ADD CONSTRAINT "stock_move_entered_by_account_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lot_use_job_id_index" ON "lot_use" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "lot_use_lot_id_index" ON "lot_use" USING btree ("lot_id");--> statement-breakpoint
CREATE INDEX "lot_version_series_id_index" ON "lot_version" USING btree ("series_id");--> statement-breakpoint
CREATE INDEX "order_line_job_id_index" ON "order_line" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "order_look_job_id_index" ON "order_look" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "order_step_job_id_index" ON "order_step" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "order_step_line_id_index" ON "order_step" USING btree ("line_id");--> statement-breakpoint
CREATE INDEX "part_fact_job_id_index" ON "part_fact" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "part_fact_part_id_index" ON "part_fact" USING btree ("part_id");--> statement-breakpoint
CREATE INDEX "part_fact_fact_canonical_index" ON "part_fact" USING btree ("fact","canonical");--> statement-breakpoint
CREATE INDEX "send_out_step_job_id_index" ON "send_out_step" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "send_out_step_send_out_id_index" ON "send_out_step" USING btree ("send_out_id");--> statement-breakpoint
CREATE INDEX "send_out_job_id_index" ON "send_out" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "send_out_part_id_index" ON "send_out" USING btree ("part_id");--> statement-breakpoint
CREATE INDEX "stock_move_series_id_index" ON "stock_move" USING btree ("series_id");