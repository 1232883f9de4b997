CREATE TYPE "public"."role" AS ENUM('monitor', 'coordinator', 'reviewer', 'bench', 'viewer');--> statement-breakpoint
CREATE TYPE "public"."op" AS ENUM('set', 'add', 'strike');--> statement-breakpoint
CREATE TYPE "public"."qualifier" AS ENUM('below', 'above');--> statement-breakpoint
CREATE TYPE "public"."result_source" AS ENUM('field', 'derived', 'lab');--> statement-breakpoint
CREATE TYPE "public"."review_status" AS ENUM('waiting', 'accepted', 'qualified', 'rejected');--> statement-breakpoint
CREATE TYPE "public"."verdict" AS ENUM('accept', 'qualify', 'reject');--> statement-breakpoint
CREATE TABLE "account" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "rate_limit" (
	"id" text PRIMARY KEY NOT NULL,
	"key" text NOT NULL,
	"count" integer NOT NULL,
	"last_request" bigint NOT NULL,
	CONSTRAINT "rate_limit_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "session" (
	"id" text PRIMARY KEY NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"token" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"user_id" text NOT NULL,
	CONSTRAINT "session_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "user" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "user_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "verification" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now(),
	"updated_at" timestamp with time zone DEFAULT now()
);
--> statement-breakpoint
CREATE TABLE "logbook_tip" (
	"program_id" uuid PRIMARY KEY NOT NULL,
	"last_seq" bigint DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "member" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"user_id" text NOT NULL,
	"role" "role" NOT NULL,
	"name" text NOT NULL,
	"initials" text NOT NULL,
	"team_id" uuid,
	"removed_at" timestamp with time zone,
	CONSTRAINT "member_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "member_program_id_user_id_unique" UNIQUE("program_id","user_id"),
	CONSTRAINT "member_program_id_initials_unique" UNIQUE("program_id","initials"),
	CONSTRAINT "initials_short" CHECK (length("member"."initials") between 1 and 6)
);
--> statement-breakpoint
CREATE TABLE "program" (
	"id" uuid PRIMARY KEY NOT NULL,
	"code" text NOT NULL,
	"name" text NOT NULL,
	"time_zone" text NOT NULL,
	"settings" jsonb NOT NULL,
	"is_demo" boolean DEFAULT false NOT NULL,
	CONSTRAINT "program_code_unique" UNIQUE("code")
);
--> statement-breakpoint
CREATE TABLE "team" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "team_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "team_program_id_name_unique" UNIQUE("program_id","name")
);
--> statement-breakpoint
CREATE TABLE "site" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"stream_id" uuid NOT NULL,
	"code" text NOT NULL,
	"name" text NOT NULL,
	"about" text NOT NULL,
	"hazards" text NOT NULL,
	"river_km" double precision NOT NULL,
	"elevation_m" double precision NOT NULL,
	"latitude" double precision NOT NULL,
	"longitude" double precision NOT NULL,
	CONSTRAINT "site_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "site_program_id_code_unique" UNIQUE("program_id","code"),
	CONSTRAINT "river_km_not_negative" CHECK ("site"."river_km" >= 0),
	CONSTRAINT "on_earth" CHECK ("site"."latitude" between -90 and 90 and "site"."longitude" between -180 and 180 and "site"."elevation_m" between -430 and 9000)
);
--> statement-breakpoint
CREATE TABLE "stream" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"length_km" double precision NOT NULL,
	"joins_stream_id" uuid,
	"joins_at_km" double precision,
	CONSTRAINT "stream_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "stream_program_id_name_unique" UNIQUE("program_id","name"),
	CONSTRAINT "length_positive" CHECK ("stream"."length_km" > 0),
	CONSTRAINT "joins_somewhere" CHECK (("stream"."joins_stream_id" is null) = ("stream"."joins_at_km" is null)),
	CONSTRAINT "joins_another" CHECK ("stream"."joins_stream_id" <> "stream"."id")
);
--> statement-breakpoint
CREATE TABLE "calibration" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"instrument_id" uuid NOT NULL,
	"parameter" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by_member_id" uuid NOT NULL,
	"passed" boolean NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "calibration_program_id_id_pk" PRIMARY KEY("program_id","id")
);
--> statement-breakpoint
CREATE TABLE "instrument" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"code" text NOT NULL,
	"kind" text NOT NULL,
	"serial_number" text NOT NULL,
	"measures" jsonb NOT NULL,
	CONSTRAINT "instrument_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "instrument_program_id_code_unique" UNIQUE("program_id","code")
);
--> statement-breakpoint
CREATE TABLE "method_card" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"code" text NOT NULL,
	CONSTRAINT "method_card_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "method_card_program_id_code_unique" UNIQUE("program_id","code")
);
--> statement-breakpoint
CREATE TABLE "method_card_version" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"card_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"body" jsonb NOT NULL,
	"in_use_since" timestamp with time zone NOT NULL,
	CONSTRAINT "method_card_version_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "method_card_version_program_id_card_id_version_unique" UNIQUE("program_id","card_id","version"),
	CONSTRAINT "version_positive" CHECK ("method_card_version"."version" > 0)
);
--> statement-breakpoint
CREATE TABLE "round" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"starts_at" timestamp with time zone NOT NULL,
	"team_id" uuid NOT NULL,
	"card_version_id" uuid NOT NULL,
	"site_ids" uuid[] NOT NULL,
	CONSTRAINT "round_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "some_site" CHECK (cardinality("round"."site_ids") > 0)
);
--> statement-breakpoint
CREATE TABLE "audit" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by_member_id" uuid NOT NULL,
	"what" text NOT NULL,
	"row_id" uuid NOT NULL,
	"before" jsonb,
	"after" jsonb,
	CONSTRAINT "audit_program_id_id_pk" PRIMARY KEY("program_id","id")
);
--> statement-breakpoint
CREATE TABLE "entry" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"visit_id" uuid NOT NULL,
	"at" text collate "C" NOT NULL,
	"by_member_id" uuid NOT NULL,
	"device" text NOT NULL,
	"path" text NOT NULL,
	"op" "op" NOT NULL,
	"value" jsonb,
	"was" uuid,
	"received_at" timestamp with time zone NOT NULL,
	"skew_ms" bigint,
	CONSTRAINT "entry_program_id_id_pk" PRIMARY KEY("program_id","id"),
	CONSTRAINT "entry_program_id_seq_unique" UNIQUE("program_id","seq"),
	CONSTRAINT "strike_names_entry" CHECK ("entry"."op" <> 'strike' or "entry"."was" is not null),
	CONSTRAINT "not_itself" CHECK ("entry"."was" <> "entry"."id")
);
--> statement-breakpoint
CREATE TABLE "flag" (
	"program_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"code" text NOT NULL,
	"path" text NOT NULL,
	"parameter" text,
	"evidence" jsonb NOT NULL,
	CONSTRAINT "flag_program_id_visit_id_number_pk" PRIMARY KEY("program_id","visit_id","number")
);
--> statement-breakpoint
CREATE TABLE "photo" (
	"program_id" uuid NOT NULL,
	"sha256" text NOT NULL,
	"visit_id" uuid NOT NULL,
	"media_type" text NOT NULL,
	"bytes" integer NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	CONSTRAINT "photo_program_id_sha256_pk" PRIMARY KEY("program_id","sha256"),
	CONSTRAINT "sha256_hex" CHECK ("photo"."sha256" ~ '^[0-9a-f]{64}$')
);
--> statement-breakpoint
CREATE TABLE "result" (
	"program_id" uuid NOT NULL,
	"site_id" uuid NOT NULL,
	"parameter" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"visit_id" uuid NOT NULL,
	"value" double precision NOT NULL,
	"qualifier" "qualifier",
	"unit" text NOT NULL,
	"uncertainty" double precision,
	"readings" integer NOT NULL,
	"source" "result_source" NOT NULL,
	"basis" text NOT NULL,
	"status" "review_status" NOT NULL,
	CONSTRAINT "result_program_id_site_id_parameter_at_visit_id_pk" PRIMARY KEY("program_id","site_id","parameter","at","visit_id")
);
--> statement-breakpoint
CREATE TABLE "review" (
	"program_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"parameter" text NOT NULL,
	"entry_id" uuid NOT NULL,
	"verdict" "verdict" NOT NULL,
	"reason" text NOT NULL,
	"by_member_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "review_program_id_visit_id_parameter_pk" PRIMARY KEY("program_id","visit_id","parameter"),
	CONSTRAINT "doubt_has_reason" CHECK ("review"."verdict" = 'accept' or length(trim("review"."reason")) > 0)
);
--> statement-breakpoint
CREATE TABLE "running_clock" (
	"program_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"id" text NOT NULL,
	"kind" text NOT NULL,
	"label" text NOT NULL,
	"start_at" timestamp with time zone NOT NULL,
	"due_at" timestamp with time zone NOT NULL,
	"last_at" timestamp with time zone NOT NULL,
	CONSTRAINT "running_clock_program_id_visit_id_id_pk" PRIMARY KEY("program_id","visit_id","id"),
	CONSTRAINT "clock_runs_forward" CHECK ("running_clock"."start_at" <= "running_clock"."due_at" and "running_clock"."due_at" <= "running_clock"."last_at")
);
--> statement-breakpoint
CREATE TABLE "visit" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"site_id" uuid NOT NULL,
	"card_version_id" uuid NOT NULL,
	"round_id" uuid,
	"team_id" uuid,
	"opened_by" uuid NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"sheet" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"is_finished" boolean DEFAULT false NOT NULL,
	"awaits_review" integer DEFAULT 0 NOT NULL,
	"conflicts" integer DEFAULT 0 NOT NULL,
	"steps_tied" integer DEFAULT 0 NOT NULL,
	"steps_asked" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "visit_program_id_id_pk" PRIMARY KEY("program_id","id")
);
--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "logbook_tip" ADD CONSTRAINT "logbook_tip_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "member" ADD CONSTRAINT "member_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "member" ADD CONSTRAINT "member_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "member" ADD CONSTRAINT "member_program_id_team_id_team_program_id_id_fk" FOREIGN KEY ("program_id","team_id") REFERENCES "public"."team"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "team" ADD CONSTRAINT "team_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "site_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "site_program_id_stream_id_stream_program_id_id_fk" FOREIGN KEY ("program_id","stream_id") REFERENCES "public"."stream"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stream" ADD CONSTRAINT "stream_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stream" ADD CONSTRAINT "stream_program_id_joins_stream_id_stream_program_id_id_fk" FOREIGN KEY ("program_id","joins_stream_id") REFERENCES "public"."stream"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "calibration" ADD CONSTRAINT "calibration_program_id_instrument_id_instrument_program_id_id_fk" FOREIGN KEY ("program_id","instrument_id") REFERENCES "public"."instrument"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "calibration" ADD CONSTRAINT "calibration_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "instrument" ADD CONSTRAINT "instrument_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "method_card" ADD CONSTRAINT "method_card_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "method_card_version" ADD CONSTRAINT "method_card_version_program_id_card_id_method_card_program_id_id_fk" FOREIGN KEY ("program_id","card_id") REFERENCES "public"."method_card"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_program_id_team_id_team_program_id_id_fk" FOREIGN KEY ("program_id","team_id") REFERENCES "public"."team"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_program_id_card_version_id_method_card_version_program_id_id_fk" FOREIGN KEY ("program_id","card_version_id") REFERENCES "public"."method_card_version"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "audit" ADD CONSTRAINT "audit_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "audit" ADD CONSTRAINT "audit_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry" ADD CONSTRAINT "entry_program_id_visit_id_visit_program_id_id_fk" FOREIGN KEY ("program_id","visit_id") REFERENCES "public"."visit"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry" ADD CONSTRAINT "entry_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "flag" ADD CONSTRAINT "flag_program_id_visit_id_visit_program_id_id_fk" FOREIGN KEY ("program_id","visit_id") REFERENCES "public"."visit"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_program_id_visit_id_visit_program_id_id_fk" FOREIGN KEY ("program_id","visit_id") REFERENCES "public"."visit"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "result" ADD CONSTRAINT "result_program_id_visit_id_visit_program_id_id_fk" FOREIGN KEY ("program_id","visit_id") REFERENCES "public"."visit"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "review" ADD CONSTRAINT "review_program_id_visit_id_visit_program_id_id_fk" FOREIGN KEY ("program_id","visit_id") REFERENCES "public"."visit"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "review" ADD CONSTRAINT "review_program_id_by_member_id_member_program_id_id_fk" FOREIGN KEY ("program_id","by_member_id") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "running_clock" ADD CONSTRAINT "running_clock_program_id_visit_id_visit_program_id_id_fk" FOREIGN KEY ("program_id","visit_id") REFERENCES "public"."visit"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_program_id_site_id_site_program_id_id_fk" FOREIGN KEY ("program_id","site_id") REFERENCES "public"."site"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_program_id_card_version_id_method_card_version_program_id_id_fk" FOREIGN KEY ("program_id","card_version_id") REFERENCES "public"."method_card_version"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_program_id_round_id_round_program_id_id_fk" FOREIGN KEY ("program_id","round_id") REFERENCES "public"."round"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_program_id_team_id_team_program_id_id_fk" FOREIGN KEY ("program_id","team_id") REFERENCES "public"."team"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_program_id_opened_by_member_program_id_id_fk" FOREIGN KEY ("program_id","opened_by") REFERENCES "public"."member"("program_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "member_user_id_index" ON "member" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "calibration_program_id_instrument_id_parameter_at_index" ON "calibration" USING btree ("program_id","instrument_id","parameter","at");--> statement-breakpoint
CREATE INDEX "round_program_id_starts_at_index" ON "round" USING btree ("program_id","starts_at");--> statement-breakpoint
CREATE INDEX "audit_program_id_what_row_id_index" ON "audit" USING btree ("program_id","what","row_id");--> statement-breakpoint
CREATE INDEX "entry_program_id_visit_id_index" ON "entry" USING btree ("program_id","visit_id");--> statement-breakpoint
CREATE INDEX "result_program_id_visit_id_index" ON "result" USING btree ("program_id","visit_id");--> statement-breakpoint
CREATE INDEX "running_clock_program_id_last_at_index" ON "running_clock" USING btree ("program_id","last_at");--> statement-breakpoint
CREATE INDEX "visit_program_id_site_id_started_at_index" ON "visit" USING btree ("program_id","site_id","started_at");--> statement-breakpoint
CREATE INDEX "visit_program_id_started_at_index" ON "visit" USING btree ("program_id","started_at");--> statement-breakpoint
CREATE INDEX "visit_awaiting_review" ON "visit" USING btree ("program_id","started_at") WHERE awaits_review > 0;--> statement-breakpoint
CREATE INDEX "visit_open" ON "visit" USING btree ("program_id","started_at") WHERE not is_finished;