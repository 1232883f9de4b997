ALTER TABLE "site" ADD COLUMN "outfall_m" double precision;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "outfall" text[] DEFAULT '{}' NOT NULL;