import { defineSubject } from '../subject';

const HOUR_ms = 3_600_000;

/** Clocks of kits and flumes that need time. */
export const wait = defineSubject({
	branches: ['waits'],
	knows: [],
	observe: ({ sheet }) => ({
		clocks: Object.entries(sheet.waits ?? {}).flatMap(([id, { what, startedAt, least_s, most_s, endedAt }]) => {
			if (startedAt === undefined || least_s === undefined || endedAt !== undefined) return [];
			const start_ms = Date.parse(startedAt);
			const due_ms = start_ms + least_s * 1000;
			const last_ms = Math.max(due_ms, most_s === undefined ? due_ms + HOUR_ms : start_ms + most_s * 1000);
			return [{ id: `waits/${id}`, kind: 'wait' as const, label: what ?? id, start_ms, due_ms, last_ms }];
		})
	})
});
