ALTER TABLE "joint_event" ADD COLUMN "typed" text;--> statement-breakpoint
ALTER TABLE "joint_event" ADD COLUMN "torque_nm" double precision;