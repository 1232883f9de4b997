ALTER TABLE "visit" RENAME COLUMN "steps_tied" TO "steps_done";
