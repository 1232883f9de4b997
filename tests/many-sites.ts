import type pg from 'pg';

export interface Size {
	sites: number;
	people: number;
	/** Visits of the past at each site, twenty days apart. */
	visitsASite: number;
	/**
	 * Brooks of their own for the sites, and a circuit of up to twenty sites with a round this month for each; or none.
	 */
	isPlanned: boolean;
}

/** A program as it may be after years: the demo's, grown by sites whose codes begin with Z, and by people. */
export async function growProgram(
	pool: pg.Pool,
	{ sites, people, visitsASite, isPlanned }: Size,
	now: string
): Promise<void> {
	const { rows } = await pool.query<{ program: string; stream: string; card: string; member: string }>(
		`select s.program_id as program, s.stream_id as stream,
			(select id from method_card_version order by version desc limit 1) as card,
			(select id from member where role = 'coordinator' limit 1) as member
		from site s where s.code = 'TE1'`
	);
	const { program, stream, card, member } = rows[0]!;
	if (isPlanned)
		await pool.query(
			`insert into stream (program_id, id, name, length_km, joins_stream_id, joins_at_km)
			select $1, gen_random_uuid(), 'Brook ' || i, 12, $2, 0.8 * i from generate_series(1, 25) i`,
			[program, stream]
		);
	await pool.query(
		`insert into site (program_id, id, stream_id, code, name, about, hazards, river_km, elevation_m, latitude,
		longitude)
		select $1, gen_random_uuid(), coalesce((select id from stream where program_id = $1
		and name = 'Brook ' || (1 + i % 25)), $2),
			'Z' || i, 'Many ' || i, 'one of very many', '', 0.01 * (i % 900), 100, 48 + 0.0004 * i, -27 - 0.0003 * (i % 70)
		from generate_series(1, $3::int) i`,
		[program, stream, sites]
	);
	await pool.query(
		`with new as (insert into "user" (id, name, email)
		select 'many-' || i, 'Person ' || i, 'person' || i || '@demo.invalid'
			from generate_series(1, $2::int) i returning id, name)
		insert into member (program_id, id, user_id, role, name, initials, team_id)
		select $1, gen_random_uuid(), new.id, 'monitor', new.name, 'P' || substr(new.id, 6), (select id from team
		where program_id = $1 limit 1)
		from new`,
		[program, people]
	);
	if (isPlanned) await planIt(pool, program, card, now);
	await pool.query(
		`insert into visit (program_id, id, site_id, card_version_id, opened_by, started_at, is_finished)
		select s.program_id, gen_random_uuid(), s.id, $2, $3, $5::timestamptz - (i * 20) * interval '1 day', true
		from site s, generate_series(1, $4::int) i where s.program_id = $1 and s.code like 'Z%'`,
		[program, card, member, visitsASite, now]
	);
	await pool.query(
		`insert into result (program_id, site_id, parameter, at, visit_id, value, unit, uncertainty, readings, source,
		basis, status)
		select v.program_id, v.site_id, p.code, v.started_at, v.id, 50 + 40 * random(), p.unit, 1, 1, 'field',
		'one reading', 'accepted'
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id and s.code like 'Z%',
			(values ('air-temperature','degC'),('water-temperature','degC'),('dissolved-oxygen','mg_L'),('oxygen-saturation','percent'),
			('conductivity','uS_cm'),('conductance25','uS_cm'),('tube-depth','cm'),('turbidity','NTU'),('discharge','m3_s'),
			('e-coli','cfu_100mL'),('nitrite','mg_L_N')) as p(code, unit)
		where v.program_id = $1`,
		[program]
	);
	await pool.query(
		`insert into site_usual (program_id, site_id, parameter, low, high, visits)
		select program_id, site_id, parameter, min(value), max(value), count(distinct visit_id) from result r
		where program_id = $1 and site_id in (select id from site where program_id = $1 and code like 'Z%')
		group by 1, 2, 3`,
		[program]
	);
	// a program that grew over years is vacuumed; else that runs beside what is measured
	await pool.query('vacuum analyze');
}

/** A circuit for every twenty sites, like the demo's first but for its sites, and a round of each in the next weeks. */
async function planIt(pool: pg.Pool, program: string, card: string, now: string): Promise<void> {
	await pool.query(
		`insert into circuit (program_id, id, name, team_id, card_id, site_ids, water, depot_id, lab_id, weekdays,
		least_days, aim_days,
			most_days, crew, needs, earliest_start_min, latest_start_min, disinfects)
		select $1, gen_random_uuid(), 'Circuit ' || part, c.team_id, c.card_id, ids, c.water, c.depot_id, c.lab_id,
		c.weekdays,
			c.least_days, c.aim_days, c.most_days, c.crew, c.needs, c.earliest_start_min, c.latest_start_min, c.disinfects
		from (select (substr(code, 2)::int - 1) / 20 as part, array_agg(id order by code) as ids from site
				where program_id = $1 and code like 'Z%' group by 1) parts,
			(select * from circuit where program_id = $1 order by name limit 1) c`,
		[program]
	);
	await pool.query(
		`insert into round (program_id, id, name, starts_at, team_id, card_version_id, site_ids, circuit_id)
		select $1, gen_random_uuid(), name, $3::timestamptz + (row_number() over ()) * interval '1 day', team_id, $2,
		site_ids, id
		from circuit where program_id = $1 and name like 'Circuit %'`,
		[program, card, now]
	);
}
