ALTER TABLE "circuit" ADD COLUMN "season_from" text;--> statement-breakpoint
ALTER TABLE "circuit" ADD COLUMN "season_to" text;