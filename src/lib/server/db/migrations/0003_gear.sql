CREATE TABLE "consumable" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"what" text NOT NULL,
	"expires_on" text NOT NULL,
	CONSTRAINT "consumable_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "expires_on_a_date" CHECK ("consumable"."expires_on" ~ '^[0-9]{4}-[0-9]{2}-[0-9]{2}$')
);
--> statement-breakpoint
ALTER TABLE "instrument" ADD COLUMN "battery_changed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "consumable" ADD CONSTRAINT "consumable_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;