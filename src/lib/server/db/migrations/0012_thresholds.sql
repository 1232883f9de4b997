CREATE TABLE "threshold" (
	"program_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"use" text NOT NULL,
	"parameter" text NOT NULL,
	"statistic" text NOT NULL,
	"least_samples" integer NOT NULL,
	"month_from" integer,
	"month_to" integer,
	"good" text NOT NULL,
	"watch_below" double precision,
	"watch_low" text DEFAULT '' NOT NULL,
	"act_below" double precision,
	"act_low" text DEFAULT '' NOT NULL,
	"watch_from" double precision,
	"watch_high" text DEFAULT '' NOT NULL,
	"act_from" double precision,
	"act_high" text DEFAULT '' NOT NULL,
	"next_step" text DEFAULT '' NOT NULL,
	"source" text NOT NULL,
	"is_example" boolean DEFAULT false NOT NULL,
	CONSTRAINT "threshold_program_id_id_pk" PRIMARY KEY("program_id","id")
);
--> statement-breakpoint
ALTER TABLE "threshold" ADD CONSTRAINT "threshold_program_id_program_id_fk" FOREIGN KEY ("program_id") REFERENCES "public"."program"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
-- what stood in a program's settings as bands goes onto the shelf as limits
WITH bands AS (
	SELECT p.id AS program_id, t.place, t.value AS threshold, b.place AS band, b.value->>'state' AS state,
		b.value->>'word' AS word, (b.value->>'from')::double precision AS starts,
		lead((b.value->>'from')::double precision) OVER w AS ends,
		min(b.place) FILTER (WHERE b.value->>'state' = 'good') OVER (PARTITION BY p.id, t.place) AS good
	FROM program p,
		jsonb_array_elements(coalesce(p.settings->'thresholds', '[]')) WITH ORDINALITY t(value, place),
		jsonb_array_elements(t.value->'bands') WITH ORDINALITY b(value, place)
	WINDOW w AS (PARTITION BY p.id, t.place ORDER BY b.place)
)
INSERT INTO threshold (program_id, id, use, parameter, statistic, least_samples, good, watch_below, watch_low, act_below,
	act_low, watch_from, watch_high, act_from, act_high, source)
SELECT program_id, gen_random_uuid(), threshold->>'use', threshold->>'parameter', 'each sample', 1,
	coalesce(max(word) FILTER (WHERE state = 'good'), ''),
	max(ends) FILTER (WHERE state = 'watch' AND band < good),
	coalesce(max(word) FILTER (WHERE state = 'watch' AND band < good), ''),
	max(ends) FILTER (WHERE state = 'act' AND band < good),
	coalesce(max(word) FILTER (WHERE state = 'act' AND band < good), ''),
	min(starts) FILTER (WHERE state = 'watch' AND band > good),
	coalesce(max(word) FILTER (WHERE state = 'watch' AND band > good), ''),
	min(starts) FILTER (WHERE state = 'act' AND band > good),
	coalesce(max(word) FILTER (WHERE state = 'act' AND band > good), ''),
	threshold->>'source'
FROM bands GROUP BY program_id, place, threshold;
--> statement-breakpoint
UPDATE program SET settings = settings - 'thresholds';
