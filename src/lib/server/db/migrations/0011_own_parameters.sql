CREATE TABLE "own_parameter" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"code" text NOT NULL,
	"name" text NOT NULL,
	"unit" text NOT NULL,
	"decimals" integer NOT NULL,
	"possible_low" double precision NOT NULL,
	"possible_high" double precision NOT NULL,
	"plausible_low" double precision NOT NULL,
	"plausible_high" double precision NOT NULL,
	"is_never_nought" boolean DEFAULT false NOT NULL,
	"ways" jsonb NOT NULL,
	CONSTRAINT "own_parameter_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "own_parameter_program_id_code_unique" UNIQUE("program_id","code")
);
--> statement-breakpoint
ALTER TABLE "own_parameter" ADD CONSTRAINT "own_parameter_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;