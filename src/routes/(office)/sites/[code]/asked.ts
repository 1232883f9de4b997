import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { codesWith, ParameterCode, parameterOf } from '$lib/core/quantity';
import { can, type Member } from '$lib/server/access';
import type { Db } from '$lib/server/db/connect';
import { siteByCode } from '$lib/server/db/queries/catchment';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { parametersAt, type Span } from '$lib/server/db/queries/series';

const YEAR_ms = 365.25 * 86_400_000;

/** What the address asks for: a parameter, how far back, chart or table. Anything else falls back to what most want. */
const Asked = z.object({
	p: ParameterCode.nullable().catch(null),
	span: z.enum(['1', '3', '10', 'all']).catch('3'),
	view: z.enum(['chart', 'table']).catch('chart')
});

export const spans = [
	{ id: '1', word: '1 year' },
	{ id: '3', word: '3 years' },
	{ id: '10', word: '10 years' },
	{ id: 'all', word: 'all' }
] as const;

/** The site, what it has, and what of it is asked for: shared by the page and its CSV, so that both show the same. */
export async function askedOf(db: Db, member: Member, code: string, url: URL, now_ms: number) {
	const site = await siteByCode(db, member.programId, code);
	if (!site) error(404, `There is no site ${code} in this program.`);
	const asked = Asked.parse({
		p: url.searchParams.get('p'),
		span: url.searchParams.get('span'),
		view: url.searchParams.get('view')
	});
	const acceptedOnly = !can(member, 'see-unreviewed');
	const own = await knownParameters(db, member.programId);
	const available = await parametersAt(db, member.programId, site.id, codesWith(own), acceptedOnly);
	const parameter: ParameterCode | null =
		available.find((a) => a.parameter === asked.p)?.parameter ??
		available.find((a) => a.parameter === 'oxygen-saturation')?.parameter ??
		available[0]?.parameter ??
		null;
	const first = available.find((a) => a.parameter === parameter)?.first ?? new Date(now_ms - YEAR_ms);
	const from = asked.span === 'all' ? first : new Date(now_ms - Number(asked.span) * YEAR_ms);
	const span: Span = { from, to: new Date(now_ms) };
	const known = parameter && parameterOf(parameter, own);
	return { site, available, parameter, known, own, span, spanId: asked.span, view: asked.view, acceptedOnly };
}
