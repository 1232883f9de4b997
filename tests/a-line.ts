import { tick, type Entry } from '../src/lib/core/logbook';

/** The nth line of a visit's logbook, written at an instant: what tests and benchmarks make logbooks of. */
export const aLine = (n: number, at_ms: number, path: string, value: unknown, was: string | null = null): Entry => ({
	id: `01890000-0000-7000-8000-${String(n).padStart(12, '0')}`,
	visitId: '01890000-0000-7000-8000-ffffffffffff',
	at: tick(null, at_ms),
	by: 'ada',
	device: 'd',
	path,
	op: 'set',
	value,
	was
});
