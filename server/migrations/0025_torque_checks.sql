CREATE TABLE "torque_check" (
	"id" uuid PRIMARY KEY NOT NULL,
	"torque" text NOT NULL,
	"checked_by" uuid NOT NULL,
	"checked_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "torque_check" ADD CONSTRAINT "torque_check_checked_by_account_id_fk" FOREIGN KEY ("checked_by") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "torque_check_torque_checked_by_index" ON "torque_check" USING btree ("torque","checked_by");