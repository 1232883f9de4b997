CREATE TABLE "shipment_word" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"heard_at" timestamp (3) with time zone NOT NULL,
	"by_member_id" uuid NOT NULL,
	"refused_because" text,
	CONSTRAINT "shipment_word_program_id_id_pk" PRIMARY KEY("program_id","id")
);
--> statement-breakpoint
ALTER TABLE "site" DROP CONSTRAINT "on_earth";--> statement-breakpoint
ALTER TABLE "shipment_word" ADD CONSTRAINT "shipment_word_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "on_earth" CHECK ("site"."latitude" between -90 and 90 and "site"."longitude" between -180 and 180 and "site"."elevation_m" between -430
				and 9000);