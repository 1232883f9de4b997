import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { SampledEvent } from '../../core/interchange';
import { amount, parameterOf, saySide, units, withQualifier, type OwnParameters } from '../../core/quantity';
import { areaOf_m2, workedAt } from '../../core/subjects/net/step';
import { netSchoolWords } from '../../core/subjects/net/words';
import { isTool } from '../../core/subjects/steps';
import { minutesOfPick } from '../../core/subjects/tray/compartments';
import { counted, wayWords } from '../../core/wording';
import type { Db } from '../db/connect';
import { resultsOf, type ResultRow } from '../db/queries/all-results';
import { animalsOf, type SiteSampling } from '../db/queries/animals';
import { rowsOf } from '../db/rows';

const Site = z.object({
	id: z.string(),
	code: z.string(),
	name: z.string(),
	stream: z.string(),
	latitude: z.number(),
	longitude: z.number(),
	elevation_m: z.number()
});

/** A program's samplings never come near this. */
const MOST = 20_000;

/** All samplings of animals as they are written for others; figures of stand-ins are left out. */
export async function sampledEvents(
	db: Db,
	programId: string,
	own: OwnParameters,
	acceptedOnly: boolean
): Promise<SampledEvent[]> {
	const samplings = await animalsOf(db, programId, null, acceptedOnly, MOST);
	const sites = await rowsOf(
		db,
		Site,
		sql`select s.id, s.code, s.name, t.name as stream, s.latitude, s.longitude, s.elevation_m
			from site s join stream t on t.program_id = s.program_id and t.id = s.stream_id where s.program_id = ${programId}`
	);
	const siteOf = new Map(sites.map((s) => [s.id, s]));
	const measured = await measuredAt(db, programId, own, [...new Set(samplings.map((s) => s.visitId))], acceptedOnly);
	return samplings.flatMap((sampling) => {
		const site = siteOf.get(sampling.siteId);
		return site ? [eventOf(sampling, site, measured.get(sampling.visitId) ?? [])] : [];
	});
}

function eventOf(sampling: SiteSampling, site: SampledEvent['site'], measured: SampledEvent['measured']): SampledEvent {
	const { visitId, started_ms, step, card, sheet, kinds, knowsShares, school } = sampling;
	const nets = card.steps.filter((s) => isTool(s, 'net'));
	const net = nets.find((s) => workedAt(s, sheet) > 0);
	const picked_min = step.school === 'pick' ? minutesOfPick(sheet, step.id, started_ms + 86_400_000) : 0;
	return {
		visitId,
		step: step.id,
		at: new Date(started_ms).toISOString(),
		site,
		protocol: [net ? netSchoolWords[net.school] : '', school, `card ${card.code}, version ${card.version}`]
			.filter(Boolean)
			.join('; '),
		effort: [
			net ? counted(workedAt(net, sheet), net.school === 'kick' ? 'place' : 'metre') : '',
			net ? `net ${net.width_m} m wide, mesh ${net.mesh_um} µm` : '',
			picked_min ? `${picked_min.toFixed(0)} min of picking` : ''
		]
			.filter(Boolean)
			.join('; '),
		area_m2: net ? areaOf_m2(net, sheet) : null,
		isCounted: knowsShares,
		classes: step.school === 'classes' ? classesOf(sampling) : {},
		kinds,
		measured
	};
}

const classesOf = ({ sheet, step }: SiteSampling): Record<string, string> =>
	Object.fromEntries(
		Object.entries(sheet.trays?.[step.id]?.classes ?? {}).flatMap(([code, said]) => (said ? [[code, said]] : []))
	);

/** What else the same visits measured and reported. */
async function measuredAt(
	db: Db,
	programId: string,
	own: OwnParameters,
	visitIds: readonly string[],
	acceptedOnly: boolean
): Promise<Map<string, SampledEvent['measured'][number][]>> {
	const found = new Map<string, SampledEvent['measured'][number][]>();
	const wanted = {
		siteCodes: [],
		parameters: [],
		visitIds,
		from: new Date('2000-01-01'),
		before: new Date('2101-01-01'),
		reportedOnly: true,
		acceptedOnly
	};
	for await (const rows of resultsOf(db, programId, wanted))
		for (const row of rows) {
			if (row.is_simulated || row.status === 'rejected') continue;
			const there = found.get(row.visit_id);
			if (there) there.push(factOf(row, own));
			else found.set(row.visit_id, [factOf(row, own)]);
		}
	return found;
}

function factOf(row: ResultRow, own: OwnParameters): SampledEvent['measured'][number] {
	const { number, qualifier } = amount(withQualifier(row.value, row.qualifier, row.unit));
	return {
		name: parameterOf(row.parameter, own).name,
		value: `${saySide(qualifier)}${number}`,
		unit: units[row.unit].symbol,
		accuracy: row.uncertainty === null ? '' : String(Number(row.uncertainty.toPrecision(3))),
		way: wayWords[row.way]
	};
}
