import { v7 } from 'uuid';
import type { Line, Sheet } from '$lib/core/logbook';
import type { FieldApp } from './field-app.svelte';
import { keepInVisits } from './keep-in-visits';

type Plates = Sheet['plates'];
interface OfVisit {
	id: string;
	sheet: { plates?: Plates };
	lines: ReadonlyMap<string, Line>;
}
/** Plates that stand together, of one visit or of several. */
export type Standing = readonly { visit: OfVisit; name: string }[];

type Reading = NonNullable<NonNullable<NonNullable<Plates>[string]['stood']>[string]>;

/** Writes what the thermometer beside the plates says at each of them. */
export async function keepReading(app: FieldApp, plates: Standing, reading: Reading): Promise<void> {
	await keepInVisits(
		app,
		plates.map(({ visit, name }) => ({ visitId: visit.id, values: { [`plates/${name}/stood/${v7()}`]: reading } }))
	);
}

/** The reading of that moment was a slip: it is struck from all plates that have it. */
export async function strikeReading(app: FieldApp, plates: Standing, at_ms: number): Promise<void> {
	await Promise.all(
		plates.flatMap(({ visit, name }) =>
			Object.entries(visit.sheet.plates?.[name]?.stood ?? {})
				.filter(([, reading]) => Date.parse(reading?.at ?? '') === at_ms)
				.map(([id]) => `plates/${name}/stood/${id}`)
				.flatMap((path) => {
					const was = visit.lines.get(path)?.live?.id;
					return was === undefined
						? []
						: [app.keep(app.hold({ visitId: visit.id, path, op: 'strike', value: 'misread', was }))];
				})
		)
	);
}
