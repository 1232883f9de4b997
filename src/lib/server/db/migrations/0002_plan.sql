CREATE TYPE "public"."place_kind" AS ENUM('depot', 'lab');--> statement-breakpoint
CREATE TABLE "circuit" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"team_id" uuid NOT NULL,
	"card_id" uuid NOT NULL,
	"site_ids" uuid[] NOT NULL,
	"water" text NOT NULL,
	"depot_id" uuid NOT NULL,
	"lab_id" uuid,
	"weekdays" integer[] NOT NULL,
	"least_days" integer NOT NULL,
	"aim_days" integer NOT NULL,
	"most_days" integer NOT NULL,
	"crew" integer NOT NULL,
	"needs" text[] DEFAULT '{}' NOT NULL,
	"earliest_start_min" integer NOT NULL,
	"latest_start_min" integer NOT NULL,
	"disinfects" boolean DEFAULT false NOT NULL,
	CONSTRAINT "circuit_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "circuit_program_id_name_unique" UNIQUE("program_id","name"),
	CONSTRAINT "spacing_in_order" CHECK ("circuit"."least_days" > 0 and "circuit"."least_days" <= "circuit"."aim_days" and "circuit"."aim_days" <= "circuit"."most_days"),
	CONSTRAINT "circuit_has_sites" CHECK (cardinality("circuit"."site_ids") > 0 and cardinality("circuit"."weekdays") > 0 and "circuit"."crew" > 0),
	CONSTRAINT "starts_in_order" CHECK ("circuit"."earliest_start_min" between 0 and "circuit"."latest_start_min" and "circuit"."latest_start_min" < 1440)
);
--> statement-breakpoint
CREATE TABLE "drive" (
	"program_id" uuid NOT NULL,
	"from_id" uuid NOT NULL,
	"to_id" uuid NOT NULL,
	"minutes" integer NOT NULL,
	CONSTRAINT "drive_program_id_from_id_to_id_pk" PRIMARY KEY("program_id","from_id","to_id"),
	CONSTRAINT "drive_takes_time" CHECK ("drive"."minutes" >= 0 and "drive"."from_id" <> "drive"."to_id")
);
--> statement-breakpoint
CREATE TABLE "pack_tick" (
	"program_id" uuid NOT NULL,
	"round_id" uuid NOT NULL,
	"line" text NOT NULL,
	"is_packed" boolean NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"by_member_id" uuid NOT NULL,
	CONSTRAINT "pack_tick_program_id_round_id_line_pk" PRIMARY KEY("program_id","round_id","line")
);
--> statement-breakpoint
CREATE TABLE "place" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"kind" "place_kind" NOT NULL,
	"name" text NOT NULL,
	"latitude" double precision NOT NULL,
	"longitude" double precision NOT NULL,
	"hours" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"closed_on" text[] DEFAULT '{}' NOT NULL,
	"bottles_a_day" integer DEFAULT 100 NOT NULL,
	"bench_min" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "place_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "place_program_id_name_unique" UNIQUE("program_id","name"),
	CONSTRAINT "place_on_earth" CHECK ("place"."latitude" between -90 and 90 and "place"."longitude" between -180 and 180),
	CONSTRAINT "bottles_not_negative" CHECK ("place"."bottles_a_day" >= 0 and "place"."bench_min" >= 0)
);
--> statement-breakpoint
ALTER TABLE "member" ADD COLUMN "skills" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "member" ADD COLUMN "weekdays" integer[] DEFAULT '{0,1,2,3,4,5,6}' NOT NULL;--> statement-breakpoint
ALTER TABLE "member" ADD COLUMN "away" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "circuit_id" uuid;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "crew_ids" uuid[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "refused_because" text;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "quality" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "circuit" ADD CONSTRAINT "circuit_program_id_team_id_team_program_id_id_fk" FOREIGN KEY ("program_id","team_id") REFERENCES "public"."team"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "circuit" ADD CONSTRAINT "circuit_program_id_card_id_method_card_program_id_id_fk" FOREIGN KEY ("program_id","card_id") REFERENCES "public"."method_card"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "circuit" ADD CONSTRAINT "circuit_program_id_depot_id_place_program_id_id_fk" FOREIGN KEY ("program_id","depot_id") REFERENCES "public"."place"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "circuit" ADD CONSTRAINT "circuit_program_id_lab_id_place_program_id_id_fk" FOREIGN KEY ("program_id","lab_id") REFERENCES "public"."place"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "drive" ADD CONSTRAINT "drive_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pack_tick" ADD CONSTRAINT "pack_tick_program_id_round_id_round_program_id_id_fk" FOREIGN KEY ("program_id","round_id") REFERENCES "public"."round"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pack_tick" ADD CONSTRAINT "pack_tick_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "place" ADD CONSTRAINT "place_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "refusal_has_reason" CHECK ("round"."refused_because" is null or length(trim("round"."refused_because")) > 0);