CREATE TABLE "animal" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"code" text NOT NULL,
	"name" text NOT NULL,
	"rank" text NOT NULL,
	"part_of" text,
	"other_names" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"tolerance" double precision,
	"score" double precision,
	"group" text,
	"counts_as" text,
	"because" text DEFAULT '' NOT NULL,
	CONSTRAINT "animal_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "animal_program_id_code_unique" UNIQUE("program_id","code")
);
--> statement-breakpoint
ALTER TABLE "animal" ADD CONSTRAINT "animal_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;