CREATE TABLE "access_event" (
	"id" text PRIMARY KEY NOT NULL,
	"user_id" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"kind" text NOT NULL,
	"by" text,
	"read_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "flume" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"throat_m" double precision NOT NULL,
	"coefficient" double precision NOT NULL,
	"exponent" double precision NOT NULL,
	"submergence_limit" double precision NOT NULL,
	"minimum_head_m" double precision NOT NULL,
	"maximum_head_m" double precision NOT NULL,
	"source" text DEFAULT '' NOT NULL,
	CONSTRAINT "flume_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "flume_program_id_name_unique" UNIQUE("program_id","name"),
	CONSTRAINT "flume_holds_somewhere" CHECK ("flume"."minimum_head_m" < "flume"."maximum_head_m")
);
--> statement-breakpoint
CREATE TABLE "rain_day" (
	"program_id" uuid NOT NULL,
	"day" text NOT NULL,
	"rain_mm" double precision NOT NULL,
	"by_member_id" uuid NOT NULL,
	CONSTRAINT "rain_day_program_id_day_pk" PRIMARY KEY("program_id","day"),
	CONSTRAINT "rain_possible" CHECK ("rain_day"."rain_mm" between 0 and 2000)
);
--> statement-breakpoint
CREATE TABLE "entry_set_aside" (
	"program_id" uuid NOT NULL,
	"entry_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by_member_id" uuid NOT NULL,
	"reason" text NOT NULL,
	CONSTRAINT "entry_set_aside_program_id_entry_id_pk" PRIMARY KEY("program_id","entry_id"),
	CONSTRAINT "set_aside_for_a_reason" CHECK (length(trim("entry_set_aside"."reason")) > 0)
);
--> statement-breakpoint
CREATE TABLE "late_line" (
	"program_id" uuid NOT NULL,
	"entry_id" uuid NOT NULL,
	"by_member_id" uuid NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	"line" jsonb NOT NULL,
	"is_taken" boolean,
	"decided_by" uuid,
	CONSTRAINT "late_line_program_id_entry_id_pk" PRIMARY KEY("program_id","entry_id")
);
--> statement-breakpoint
CREATE TABLE "site_usual" (
	"program_id" uuid NOT NULL,
	"site_id" uuid NOT NULL,
	"parameter" text NOT NULL,
	"low" double precision NOT NULL,
	"high" double precision NOT NULL,
	"visits" integer NOT NULL,
	CONSTRAINT "site_usual_program_id_site_id_parameter_pk" PRIMARY KEY("program_id","site_id","parameter")
);
--> statement-breakpoint
ALTER TABLE "result" ADD COLUMN "lower" double precision;--> statement-breakpoint
ALTER TABLE "result" ADD COLUMN "upper" double precision;--> statement-breakpoint
ALTER TABLE "result" ADD COLUMN "is_simulated" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "running_clock" ADD COLUMN "deadline" jsonb;--> statement-breakpoint
ALTER TABLE "access_event" ADD CONSTRAINT "access_event_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "flume" ADD CONSTRAINT "flume_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rain_day" ADD CONSTRAINT "rain_day_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rain_day" ADD CONSTRAINT "rain_day_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry_set_aside" ADD CONSTRAINT "entry_set_aside_program_id_entry_id_entry_program_id_id_fk" FOREIGN KEY ("program_id","entry_id") REFERENCES "public"."entry"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry_set_aside" ADD CONSTRAINT "entry_set_aside_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "late_line" ADD CONSTRAINT "late_line_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "late_line" ADD CONSTRAINT "late_line_program_id_decided_by_member_program_id_id_fk" FOREIGN KEY ("program_id","decided_by") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_usual" ADD CONSTRAINT "site_usual_program_id_site_id_site_program_id_id_fk" FOREIGN KEY ("program_id","site_id") REFERENCES "public"."site"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "access_event_user_id_at_index" ON "access_event" USING btree ("user_id","at");--> statement-breakpoint
CREATE INDEX "visit_program_id_round_id_index" ON "visit" USING btree ("program_id","round_id");--> statement-breakpoint
CREATE INDEX "visit_program_id_team_id_started_at_index" ON "visit" USING btree ("program_id","team_id","started_at");--> statement-breakpoint
CREATE INDEX "visit_with_duplicate" ON "visit" USING btree ("program_id","started_at") WHERE jsonb_path_exists(sheet, '$.bottles.*?(@.role == "duplicate")');--> statement-breakpoint
-- links that were made before lie here in clear: they no longer work
DELETE FROM "verification" WHERE "identifier" LIKE 'reset-password:%';
--> statement-breakpoint
INSERT INTO "site_usual" ("program_id", "site_id", "parameter", "low", "high", "visits")
SELECT "program_id", "site_id", "parameter", min("value"), max("value"), count(DISTINCT "visit_id") FROM "result"
WHERE "status" <> 'rejected' AND NOT "is_simulated" GROUP BY 1, 2, 3;
