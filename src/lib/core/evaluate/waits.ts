import { dryingDays, isSouthern } from '../schedule';
import { limitsOf, type MethodCard } from '../method';
import type { Sheet } from '../logbook';
import type { Context } from './context';
import type { RunningClock } from './outcome';

const DAY_ms = 86_400_000;
const HOUR_ms = 3_600_000;

/** Clocks of kits and flumes that need time, and of gear that must dry before it goes into other water, while they run. */
export function waitClocks(
	{ waits, gear, titrations }: Sheet,
	card: MethodCard,
	{ now_ms, site }: Context
): RunningClock[] {
	const limits = limitsOf(card);
	const running = Object.entries(waits ?? {}).flatMap(
		([id, { what, startedAt, least_s, most_s, endedAt }]): RunningClock[] => {
			if (startedAt === undefined || least_s === undefined || endedAt !== undefined) return [];
			const start_ms = Date.parse(startedAt);
			const due_ms = start_ms + least_s * 1000;
			return [
				{
					id: `waits/${id}`,
					kind: 'wait',
					label: what ?? id,
					start_ms,
					due_ms,
					last_ms: Math.max(due_ms, most_s === undefined ? due_ms + HOUR_ms : start_ms + most_s * 1000)
				}
			];
		}
	);
	const drying = Object.entries(gear ?? {}).flatMap(([id, { what, wetAt, disinfectedAt }]): RunningClock[] => {
		if (wetAt === undefined || disinfectedAt !== undefined) return [];
		const start_ms = Date.parse(wetAt);
		const due_ms = start_ms + dryingDays(start_ms, limits, isSouthern(site)) * DAY_ms;
		return [{ id: `gear/${id}`, kind: 'drying', label: what ?? id, start_ms, due_ms, last_ms: due_ms }];
	});
	const fixed = Object.entries(titrations ?? {}).flatMap(([id, bottle]): RunningClock[] => {
		const step = card.steps.find((s) => s.tool === 'titration');
		if (step?.tool !== 'titration' || bottle.fixedAt === undefined || bottle.drops !== undefined || bottle.hasBubble)
			return [];
		const start_ms = Date.parse(bottle.fixedAt);
		const due_ms = start_ms + step.settle_s * 1000;
		return [
			{
				id: `titrations/${id}`,
				kind: 'wait',
				label: `floc settles, bottle ${id}`,
				start_ms,
				due_ms,
				last_ms: Math.max(due_ms, start_ms + step.within_h * HOUR_ms)
			}
		];
	});
	return [...running, ...fixed, ...drying].filter((clock) => clock.last_ms >= now_ms);
}
