CREATE TABLE "assignment" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"account_id" uuid NOT NULL,
	"assigned_by" uuid NOT NULL,
	"assigned_at" timestamp (3) with time zone NOT NULL,
	"ended_at" timestamp (3) with time zone,
	"ended_by" uuid
);
--> statement-breakpoint
CREATE TABLE "attempt" (
	"kind" text NOT NULL,
	"subject" text NOT NULL,
	"tries" integer NOT NULL,
	"since" timestamp (3) with time zone NOT NULL,
	"not_before" timestamp (3) with time zone,
	CONSTRAINT "attempt_kind_subject_pk" PRIMARY KEY("kind","subject")
);
--> statement-breakpoint
CREATE TABLE "import_batch" (
	"id" uuid PRIMARY KEY NOT NULL,
	"source" text NOT NULL,
	"imported_by" uuid NOT NULL,
	"imported_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "import_line" (
	"batch_id" uuid NOT NULL,
	"seq" integer NOT NULL,
	"job_id" uuid,
	"kind" text NOT NULL,
	"body" jsonb NOT NULL,
	CONSTRAINT "import_line_batch_id_seq_pk" PRIMARY KEY("batch_id","seq")
);
--> statement-breakpoint
CREATE TABLE "incarnation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"since" timestamp (3) with time zone NOT NULL,
	"restored_to" timestamp (3) with time zone
);
--> statement-breakpoint
ALTER TABLE "release_record" ALTER COLUMN "released_by" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "import_id" uuid;--> statement-breakpoint
ALTER TABLE "decision" ADD COLUMN "supersedes" uuid[];--> statement-breakpoint
ALTER TABLE "release_record" ADD COLUMN "import_id" uuid;--> statement-breakpoint
ALTER TABLE "set_move" ADD COLUMN "supersedes" uuid[];--> statement-breakpoint
ALTER TABLE "redaction" ADD COLUMN "line" text;--> statement-breakpoint
ALTER TABLE "assignment" ADD CONSTRAINT "assignment_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assignment" ADD CONSTRAINT "assignment_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assignment" ADD CONSTRAINT "assignment_assigned_by_account_id_fk" FOREIGN KEY ("assigned_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assignment" ADD CONSTRAINT "assignment_ended_by_account_id_fk" FOREIGN KEY ("ended_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "import_batch" ADD CONSTRAINT "import_batch_imported_by_account_id_fk" FOREIGN KEY ("imported_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "import_line" ADD CONSTRAINT "import_line_batch_id_import_batch_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."import_batch"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "assignment_job_id_index" ON "assignment" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "import_line_batch_id_job_id_index" ON "import_line" USING btree ("batch_id","job_id");--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_import_id_import_batch_id_fk" FOREIGN KEY ("import_id") REFERENCES "public"."import_batch"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "release_record" ADD CONSTRAINT "release_record_import_id_import_batch_id_fk" FOREIGN KEY ("import_id") REFERENCES "public"."import_batch"("id") ON DELETE no action ON UPDATE no action;