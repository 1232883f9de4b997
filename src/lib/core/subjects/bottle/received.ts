import { doubt, type Flag } from '../flags';
import { foundIn } from './found';
import type { BottleSheet } from './held';

/** What stands against a bottle's figures from how it came to the bench or the lab. */
export function receivedFlags(id: string, bottle: BottleSheet, cooler_C: number): Flag[] {
	const { received, kind, role, label = id } = bottle;
	if (received === undefined) return [];
	const path = `bottles/${id}`;
	const { verdict, reason = 'no reason was given', lid, temperature_C } = received;
	// a blank or a duplicate says nothing of the stream, and takes no figure of its partner with it
	const isRoutine = role === undefined || role === 'routine';
	const found = [...(kind === 'bacteria' ? ['e-coli'] : []), ...foundIn(bottle).map((f) => f.parameter)];
	const parameters = isRoutine ? [...new Set(found)] : [];
	const ofEach = (code: 'bottle-refused' | 'bottle-doubted'): Flag[] =>
		(parameters.length ? parameters : [null]).map((parameter) => doubt(code, { path, parameter }, { label, reason }));
	return [
		...(verdict === 'refused' ? ofEach('bottle-refused') : []),
		...(verdict === 'flagged' ? ofEach('bottle-doubted') : []),
		...(lid === 'leaked' || lid === 'open'
			? [doubt('bottle-leaked', { path, parameter: null }, { label, isOpen: lid === 'open' })]
			: []),
		...(temperature_C !== undefined && temperature_C > cooler_C
			? [doubt('cooler-warm', { path, parameter: null }, { temperature_C, limit_C: cooler_C })]
			: [])
	];
}
