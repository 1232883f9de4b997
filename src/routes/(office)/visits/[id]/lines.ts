import { sayWritten } from '$lib/core/interpret';
import { instantOf, type Folded } from '$lib/core/logbook';
import { sayValue } from '$lib/core/wording';
import type { LogLine } from '$lib/ui/review/Logbook.svelte';

/** All lines of a visit in order, each with what took it out, if anything did. */
export function logLines({ entries, lines }: Folded, timeZone: string): LogLine[] {
	const outBy = new Map(entries.flatMap((e) => (e.was === null ? [] : [[e.was, e.id] as const])));
	const rivals = new Set(
		[...lines.values()].filter((l) => l.rivals.length).flatMap((l) => [...l.rivals.map((r) => r.id), l.live!.id])
	);
	return entries.map((e) => ({
		id: e.id,
		at_ms: instantOf(e.at),
		by: e.by,
		device: e.device,
		path: e.path,
		// a strike carries its reason, not what stood there
		text: e.op === 'strike' ? sayValue(e.value, timeZone) : sayWritten(e.path, e.value, timeZone),
		drawing: e.op === 'set' && e.path.endsWith('/signature') ? String(e.value) : null,
		op: e.op,
		outBy: outBy.get(e.id) ?? null,
		isRival: rivals.has(e.id)
	}));
}
