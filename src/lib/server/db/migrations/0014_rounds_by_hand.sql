ALTER TABLE "round" ADD COLUMN "lab_id" uuid;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "despite" text DEFAULT '' NOT NULL;