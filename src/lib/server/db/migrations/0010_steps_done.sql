ALTER TABLE "visit" RENAME COLUMN "steps_tied" TO "steps_done";--> statement-breakpoint
-- 0: by rules that were in force before programs kept this; they are worked out anew at the next start
ALTER TABLE "program" ADD COLUMN "worked_out_by" integer DEFAULT 0 NOT NULL;
