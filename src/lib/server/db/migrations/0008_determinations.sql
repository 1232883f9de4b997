-- What there is stays as the reported determination of its parameter; where it came from is worked out again from the logbook
-- before the application serves (see prepare-database).
ALTER TABLE "result" ADD COLUMN "comes_from" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "result" ADD COLUMN "way" text DEFAULT 'meter' NOT NULL;--> statement-breakpoint
ALTER TABLE "result" ADD COLUMN "is_reported" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "review" ADD COLUMN "comes_from" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "result" DROP CONSTRAINT "result_program_id_site_id_parameter_at_visit_id_pk";--> statement-breakpoint
ALTER TABLE "review" DROP CONSTRAINT "review_program_id_visit_id_parameter_pk";--> statement-breakpoint
ALTER TABLE "result" ADD CONSTRAINT "result_program_id_site_id_parameter_at_visit_id_comes_from_pk" PRIMARY KEY("program_id","site_id","parameter","at","visit_id","comes_from");--> statement-breakpoint
ALTER TABLE "review" ADD CONSTRAINT "review_program_id_visit_id_parameter_comes_from_pk" PRIMARY KEY("program_id","visit_id","parameter","comes_from");--> statement-breakpoint
CREATE UNIQUE INDEX "result_reported" ON "result" USING btree ("program_id","visit_id","parameter") WHERE is_reported;
