import { labDeadline } from '$lib/core/custody';
import type { Sheet } from '$lib/core/logbook';
import type { FieldApp } from '$lib/field/field-app.svelte';
import type { VisitLog } from '$lib/field/visit-log.svelte';
import { restOfRound, type RestOfRound } from '$lib/ui/subjects/leaving/rest-of-round';

/** What the round of this visit still has before it; null where the visit belongs to none of these days. */
export function roundAhead(app: FieldApp, log: VisitLog, sheet: Sheet): RestOfRound | null {
	const satchel = app.packed?.satchel;
	const round = satchel?.rounds.find((r) => r.id === log.opening?.roundId);
	if (!satchel || !round || !log.opening) return null;
	const others = app.bounds
		.filter((e) => e.path === 'opening' && e.visitId !== log.visitId)
		.flatMap((e) => {
			const opening = e.value as NonNullable<Sheet['opening']>;
			const left = app.bounds.find((l) => l.path === 'leaving/at' && l.visitId === e.visitId);
			if (opening.roundId !== round.id || !left) return [];
			const filled = app.bounds.find((b) => b.path === 'bottles/bacteria/filledAt' && b.visitId === e.visitId);
			return [
				{
					siteId: opening.siteId,
					startedAt: opening.startedAt,
					leftAt: String(left.value),
					bottleAt: filled === undefined ? undefined : String(filled.value)
				}
			];
		});
	const here = {
		siteId: log.opening.siteId,
		startedAt: log.opening.startedAt,
		leftAt: sheet.leaving?.at,
		bottleAt: Object.values(sheet.bottles ?? {}).find((b) => b.kind === 'bacteria')?.filledAt
	};
	const nameOf = (id: string) => satchel.sites.find((s) => s.id === id)?.name ?? 'the next site';
	const { trip } = log.around;
	const limit_h = log.card?.holding.bacteria_h;
	const own_ms = here.bottleAt === undefined ? Infinity : Date.parse(here.bottleAt);
	const first_ms = Math.min(own_ms, trip?.first?.filledAt_ms ?? Infinity);
	const deadline =
		trip && limit_h !== undefined && Number.isFinite(first_ms)
			? labDeadline(own_ms < Infinity ? own_ms : first_ms, limit_h, trip)
			: null;
	return restOfRound(round, [...others, here], app.now_ms, satchel.program.timeZone, nameOf, deadline);
}
