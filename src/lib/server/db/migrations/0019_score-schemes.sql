CREATE TABLE "score_scheme" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"code" text NOT NULL,
	"body" jsonb NOT NULL,
	"added_at" timestamp (3) with time zone NOT NULL,
	"added_by" uuid NOT NULL,
	CONSTRAINT "score_scheme_program_id_id_pk" PRIMARY KEY("program_id","id")
);
--> statement-breakpoint
ALTER TABLE "score_scheme" ADD CONSTRAINT "score_scheme_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "score_scheme" ADD CONSTRAINT "score_scheme_program_id_added_by_member_program_id_id_fk" FOREIGN KEY ("program_id","added_by") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "score_scheme_program_id_code_index" ON "score_scheme" USING btree ("program_id","code");