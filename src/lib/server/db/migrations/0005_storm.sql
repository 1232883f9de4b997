ALTER TABLE "round" ADD COLUMN "purpose" text DEFAULT 'grab' NOT NULL;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "purpose_known" CHECK ("round"."purpose" in ('grab', 'storm'));