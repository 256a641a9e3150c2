CREATE TABLE "calendar" (
	"id" uuid PRIMARY KEY NOT NULL,
	"account_id" uuid NOT NULL,
	"vehicle_id" uuid,
	"hash" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"used_at" timestamp (3) with time zone,
	"ended_at" timestamp (3) with time zone,
	CONSTRAINT "calendar_hash_unique" UNIQUE("hash")
);
--> statement-breakpoint
CREATE TABLE "calendar_entry" (
	"uid" text PRIMARY KEY NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"what" text NOT NULL,
	"on_day" date NOT NULL,
	"sequence" integer NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"cancelled" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "due_mark" (
	"id" integer PRIMARY KEY NOT NULL,
	"cursor" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "exercise" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"author_id" uuid NOT NULL,
	"device" text NOT NULL,
	"happened_at" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone NOT NULL,
	"corrects" uuid,
	"vehicle_id" uuid NOT NULL,
	"what" text NOT NULL,
	"typed" text,
	"km" double precision,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "vehicle_due" (
	"vehicle_id" uuid PRIMARY KEY NOT NULL,
	"facts" jsonb NOT NULL,
	"fresh" boolean NOT NULL,
	"rules" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "calendar" ADD CONSTRAINT "calendar_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "calendar" ADD CONSTRAINT "calendar_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "calendar_entry" ADD CONSTRAINT "calendar_entry_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "exercise" ADD CONSTRAINT "exercise_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "exercise" ADD CONSTRAINT "exercise_author_id_account_id_fk" FOREIGN KEY ("author_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "exercise" ADD CONSTRAINT "exercise_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle_due" ADD CONSTRAINT "vehicle_due_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "calendar_account_id_index" ON "calendar" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "calendar_entry_vehicle_id_index" ON "calendar_entry" USING btree ("vehicle_id");--> statement-breakpoint
CREATE INDEX "exercise_job_id_index" ON "exercise" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "exercise_vehicle_id_index" ON "exercise" USING btree ("vehicle_id");