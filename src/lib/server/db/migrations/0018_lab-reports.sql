CREATE TABLE "lab_report" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"lab_id" uuid NOT NULL,
	"name" text NOT NULL,
	"content" text NOT NULL,
	"arrived_at" timestamp (3) with time zone NOT NULL,
	"by_member_id" uuid,
	"is_simulated" boolean DEFAULT false NOT NULL,
	"taken_at" timestamp (3) with time zone,
	"taken_by" uuid,
	"figures" integer,
	"corrections" jsonb DEFAULT '{}'::jsonb NOT NULL,
	CONSTRAINT "lab_report_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "taken_by_somebody" CHECK (("lab_report"."taken_at" is null) = ("lab_report"."taken_by" is null))
);
--> statement-breakpoint
ALTER TABLE "lab_report" ADD CONSTRAINT "lab_report_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lab_report" ADD CONSTRAINT "lab_report_program_id_lab_id_place_program_id_id_fk" FOREIGN KEY ("program_id","lab_id") REFERENCES "public"."place"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lab_report" ADD CONSTRAINT "lab_report_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lab_report" ADD CONSTRAINT "lab_report_program_id_taken_by_member_program_id_id_fk" FOREIGN KEY ("program_id","taken_by") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;