CREATE TABLE "sampler" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"code" text NOT NULL,
	"site_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"out_on" text NOT NULL,
	"lifted_on" text,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "sampler_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "sampler_program_id_code_unique" UNIQUE("program_id","code"),
	CONSTRAINT "sampler_kind" CHECK ("sampler"."kind" in ('plate stack', 'leaf bag')),
	CONSTRAINT "lifted_after_out" CHECK ("sampler"."lifted_on" >= "sampler"."out_on")
);
--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "purpose" text DEFAULT 'grab' NOT NULL;--> statement-breakpoint
ALTER TABLE "sampler" ADD CONSTRAINT "sampler_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sampler" ADD CONSTRAINT "sampler_program_id_site_id_site_program_id_id_fk" FOREIGN KEY ("program_id","site_id") REFERENCES "public"."site"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "purpose_known" CHECK ("round"."purpose" in ('grab', 'storm', 'sampler'));