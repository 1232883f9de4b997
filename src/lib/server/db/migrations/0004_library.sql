CREATE TABLE "gear" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"what" text NOT NULL,
	"team_id" uuid,
	"wet_in" uuid,
	"wet_on" text,
	"disinfected_on" text,
	CONSTRAINT "gear_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "gear_program_id_what_unique" UNIQUE("program_id","what"),
	CONSTRAINT "wet_somewhere_once" CHECK (("gear"."wet_in" is null) = ("gear"."wet_on" is null))
);
--> statement-breakpoint
ALTER TABLE "drive" ADD COLUMN "id" uuid DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "drive" DROP CONSTRAINT "drive_program_id_from_id_to_id_pk";--> statement-breakpoint
ALTER TABLE "drive" ADD CONSTRAINT "drive_program_id_id_pk" PRIMARY KEY("program_id","id");--> statement-breakpoint
ALTER TABLE "member" ADD COLUMN "trained_until" text;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "directions" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "access" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "leave" text DEFAULT 'not needed' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "leave_until" text;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "landmarks" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "photo_point" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "upstream" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "ways" text[] DEFAULT '{"wading"}' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "wading_depth_m" double precision;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "opens_min" integer;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "closes_min" integer;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "low_water_at" text;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "tide_reach_min" integer;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "retired_on" text;--> statement-breakpoint
ALTER TABLE "instrument" ADD COLUMN "retired_on" text;--> statement-breakpoint
ALTER TABLE "consumable" ADD COLUMN "lot" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "analyses" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "arrives" text DEFAULT 'delivered' NOT NULL;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "holding_h" double precision;--> statement-breakpoint
ALTER TABLE "gear" ADD CONSTRAINT "gear_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gear" ADD CONSTRAINT "gear_program_id_team_id_team_program_id_id_fk" FOREIGN KEY ("program_id","team_id") REFERENCES "public"."team"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gear" ADD CONSTRAINT "gear_program_id_wet_in_stream_program_id_id_fk" FOREIGN KEY ("program_id","wet_in") REFERENCES "public"."stream"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "drive" ADD CONSTRAINT "drive_program_id_from_id_to_id_unique" UNIQUE("program_id","from_id","to_id");--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "leave_known" CHECK ("site"."leave" in ('not needed', 'given', 'asked', 'refused'));--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "tide_whole" CHECK (("site"."low_water_at" is null) = ("site"."tide_reach_min" is null));--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "visits_begin_in_order" CHECK ("site"."opens_min" < "site"."closes_min");