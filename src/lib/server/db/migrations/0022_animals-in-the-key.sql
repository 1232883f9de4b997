ALTER TABLE "animal" ADD COLUMN "tell" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "animal" ADD COLUMN "drawing" text;--> statement-breakpoint
ALTER TABLE "animal" ADD COLUMN "shows" jsonb DEFAULT '[]'::jsonb NOT NULL;