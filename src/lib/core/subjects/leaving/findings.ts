import { limitsOf } from '../../method';
import { dryingDays, isSouthern } from '../../schedule';
import { timesInTurn } from '../moments';
import { defineSubject } from '../subject';

const DAY_ms = 86_400_000;

/** The leaving: gear that must dry before it goes into other water, and whether the times can be. */
export const leaving = defineSubject({
	branches: ['gear', 'leaving', 'opening'],
	knows: ['site'],
	observe({ sheet, card, context }) {
		const clocks = Object.entries(sheet.gear ?? {}).flatMap(([id, { what, wetAt, disinfectedAt }]) => {
			if (wetAt === undefined || disinfectedAt !== undefined) return [];
			const start_ms = Date.parse(wetAt);
			const due_ms = start_ms + dryingDays(start_ms, limitsOf(card), isSouthern(context.site)) * DAY_ms;
			return [{ id: `gear/${id}`, kind: 'drying' as const, label: what ?? id, start_ms, due_ms, last_ms: due_ms }];
		});
		const times = { 'visit-arrived-left': [sheet.opening?.startedAt, sheet.leaving?.at] } as const;
		return { clocks, flags: timesInTurn('visit', '', { path: 'leaving' }, times) };
	}
});
