import { deviceNow_ms } from './device-clock';
import type { FieldApp } from './field-app.svelte';
import { draftKey, keepDraft } from './store';
import type { VisitLog } from './visit-log.svelte';

/** Writes in that visit, also once another one is on the screen: a photo takes a moment to be kept. */
export function writerIn(app: FieldApp, log: VisitLog) {
	/**
	 * What is written shows at once; a reload cannot lose it once this returns, and it is on the disk when it
	 * resolves.
	 */
	async function write(
		op: 'set' | 'add' | 'strike',
		path: string,
		value: unknown,
		was: string | null
	): Promise<string> {
		const held = app.hold({ visitId: log.visitId, path, op, value, was });
		log.foresee(held);
		try {
			await app.keep(held);
			return held.id;
		} catch (trouble) {
			log.forget(held.id);
			throw trouble;
		}
	}
	return {
		get lines() {
			return log.folded.lines;
		},
		get drafts() {
			return log.drafts ?? {};
		},
		get now_ms() {
			return app.now_ms;
		},
		get timeZone() {
			return app.packed?.satchel.program.timeZone ?? 'UTC';
		},
		exactly_ms: () => deviceNow_ms(app.packed),
		initialsOf: (id: string) => app.initialsOf(id),
		draft(path: string, text: string) {
			log.foreseeDraft(path, text);
			void keepDraft(draftKey(log.visitId, path), text);
		},
		set: async (path: string, value: unknown) => void (await write('set', path, value, log.liveAt(path))),
		add: (path: string, count: number) => write('add', path, count, null),
		async setAll(values: Readonly<Record<string, unknown>>) {
			const seen = Object.entries(values).map(([path, value]) => ({ path, value, was: log.liveAt(path) }));
			await Promise.all(seen.map(({ path, value, was }) => write('set', path, value, was)));
		},
		strike(path: string, reason: string, was: string | null = log.liveAt(path)) {
			if (was) void write('strike', path, reason, was);
		}
	};
}
