CREATE TABLE "shipment" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"code" text NOT NULL,
	"lab_id" uuid NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"made_by" uuid NOT NULL,
	"packed" text[] DEFAULT '{}' NOT NULL,
	"seal" text DEFAULT '' NOT NULL,
	"courier" text DEFAULT '' NOT NULL,
	"handed_over_at" timestamp (3) with time zone,
	"handed_over_by" uuid,
	"expected_at" timestamp (3) with time zone,
	"arrived_at" timestamp (3) with time zone,
	"arrived_c" double precision,
	CONSTRAINT "shipment_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "shipment_program_id_code_unique" UNIQUE("program_id","code"),
	CONSTRAINT "arrives_after_it_left" CHECK ("shipment"."arrived_at" is null or ("shipment"."handed_over_at" is not null and "shipment"."handed_over_at" <= "shipment"."arrived_at"))
);
--> statement-breakpoint
CREATE TABLE "shipment_bottle" (
	"program_id" uuid NOT NULL,
	"shipment_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"bottle_id" text NOT NULL,
	CONSTRAINT "shipment_bottle_program_id_visit_id_bottle_id_pk" PRIMARY KEY("program_id","visit_id","bottle_id")
);
--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "pick_ups" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "transit_days" integer;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "address" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "shipment" ADD CONSTRAINT "shipment_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shipment" ADD CONSTRAINT "shipment_program_id_lab_id_place_program_id_id_fk" FOREIGN KEY ("program_id","lab_id") REFERENCES "public"."place"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shipment" ADD CONSTRAINT "shipment_program_id_made_by_member_program_id_id_fk" FOREIGN KEY ("program_id","made_by") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shipment_bottle" ADD CONSTRAINT "shipment_bottle_program_id_shipment_id_shipment_program_id_id_fk" FOREIGN KEY ("program_id","shipment_id") REFERENCES "public"."shipment"("program_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shipment_bottle" ADD CONSTRAINT "shipment_bottle_program_id_visit_id_visit_program_id_id_fk" FOREIGN KEY ("program_id","visit_id") REFERENCES "public"."visit"("program_id","id") ON DELETE no action ON UPDATE no action;