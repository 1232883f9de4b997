import { readLabelCode } from '$lib/core/custody';
import type { Satchel } from '$lib/core/satchel';
import { stepsOf } from '$lib/core/subjects/steps';
import type { Opening } from '$lib/core/subjects/whole-visit/branch';
import { isoDay, sayDay } from '$lib/core/wording';

type Packed = Pick<Satchel, 'cards' | 'rounds' | 'sites'> & { program: Pick<Satchel['program'], 'timeZone'> };
interface VisitHere {
	id: string;
	opening: Pick<Opening, 'siteId' | 'cardVersionId' | 'startedAt'>;
}

/** The step of the bottle that a label stands on, or why there is none, in words. */
export function bottleOfLabel(
	typed: string,
	{ cards, rounds, sites, program: { timeZone } }: Packed,
	visits: readonly VisitHere[],
	now_ms: number
): { href: string } | { why: string } {
	const label = readLabelCode(typed);
	if (!label) return { why: 'That is no label’s code. It looks like QU1-260515-B.' };
	const site = sites.find((s) => s.code.toUpperCase() === label.site);
	if (!site) return { why: `No site of this program is called ${label.site}.` };
	// a label has the day of the place: at a late hour that is another one than elsewhere
	const isThatDay = (instant_ms: number) => isoDay(instant_ms, timeZone) === label.date;
	const visit = visits.find((v) => v.opening.siteId === site.id && isThatDay(Date.parse(v.opening.startedAt)));
	const round = rounds.find((r) => r.siteIds.includes(site.id) && isThatDay(Date.parse(r.startsAt)));
	const versionId = visit?.opening.cardVersionId ?? round?.cardVersionId;
	const card = (cards.find((c) => c.id === versionId) ?? cards.find((c) => c.inUse))?.card;
	const step = card && stepsOf(card, 'bottle').find((s) => s.bottle.kind === label.kind);
	if (!step) return { why: `The card of that visit asks for no ${label.kind} bottle.` };
	if (visit) return { href: `/sample/${visit.id}/${step.id}` };
	if (!isThatDay(now_ms))
		return { why: `That bottle is for ${sayDay(Date.parse(label.date), 'UTC')}. Nothing is opened for it today.` };
	return { why: `Nobody has started at ${site.name} yet. Start there first: the way in is decided before any bottle.` };
}
