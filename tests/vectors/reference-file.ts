import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { contract } from './contract';

const Tolerance = z.object({ absolute: z.number().optional(), relative: z.number().optional() });
type Tolerance = z.infer<typeof Tolerance>;

const Case = z.object({
	name: z.string(),
	fn: z.string(),
	input: z.unknown(),
	expected: z.record(z.string(), z.unknown()),
	tolerance: Tolerance.optional()
});
export type Case = z.infer<typeof Case>;

const ReferenceFile = z.object({ topic: z.string(), source: z.string(), tolerance: Tolerance, cases: z.array(Case) });
export type ReferenceFile = z.infer<typeof ReferenceFile>;

export interface Mismatch {
	case: Case;
	why: string;
	got: unknown;
}

export interface TopicReport {
	topic: string;
	built: boolean;
	passed: number;
	mismatches: Mismatch[];
	worstRelativeError: number;
}

/** Every reference file of a folder, by name. Throws with the file's name when one is not of the agreed form. */
export function readReferenceFolder(folder: string): ReferenceFile[] {
	return readdirSync(folder)
		.filter((name) => name.endsWith('.json'))
		.sort()
		.map((name) => {
			const parsed = ReferenceFile.safeParse(JSON.parse(readFileSync(join(folder, name), 'utf8')));
			if (!parsed.success) throw new TypeError(`${name} is not a reference file: ${z.prettifyError(parsed.error)}`);
			return parsed.data;
		});
}

/** Runs all cases of a file through core. */
export function runReferenceFile(file: ReferenceFile): TopicReport {
	const functions = contract[file.topic];
	const report: TopicReport = {
		topic: file.topic,
		built: functions !== undefined,
		passed: 0,
		mismatches: [],
		worstRelativeError: 0
	};
	for (const one of file.cases) {
		const fn = functions?.[one.fn];
		const outcome = fn
			? runCase(fn, one, one.tolerance ?? file.tolerance, report)
			: { why: `${one.fn} is not built`, got: null };
		if (outcome) report.mismatches.push({ case: one, ...outcome });
		else report.passed++;
	}
	return report;
}

type Outcome = { why: string; got: unknown } | null;

function runCase(fn: (input: never) => object, one: Case, tolerance: Tolerance, report: TopicReport): Outcome {
	const before = JSON.stringify(one.input);
	let got: unknown;
	try {
		got = fn(one.input as never);
	} catch (error) {
		if (!(error instanceof RangeError) && !(error instanceof TypeError)) throw error;
		return one.expected['error'] === true ? null : { why: 'refused', got: String(error) };
	}
	if (one.expected['error'] === true) return { why: 'a refusal was expected', got };
	if (JSON.stringify(one.input) !== before) return { why: 'the input was changed', got };
	const why = difference(one.expected, got, tolerance, '', report);
	return why === null ? null : { why, got };
}

function difference(
	expected: unknown,
	got: unknown,
	tolerance: Tolerance,
	path: string,
	report: TopicReport
): string | null {
	if (expected === null) return got == null ? null : `${path}: null expected`;
	if (typeof expected === 'number') {
		if (typeof got !== 'number' || !Number.isFinite(got)) return `${path}: a number expected, got ${String(got)}`;
		const error = Math.abs(got - expected);
		if (expected !== 0) report.worstRelativeError = Math.max(report.worstRelativeError, error / Math.abs(expected));
		return error <= Math.max(tolerance.absolute ?? 0, (tolerance.relative ?? 0) * Math.abs(expected))
			? null
			: `${path}: ${expected} expected, got ${got}`;
	}
	if (Array.isArray(expected)) {
		if (!Array.isArray(got) || got.length !== expected.length) return `${path}: a list of ${expected.length} expected`;
		return firstOf(expected.map((e, i) => () => difference(e, got[i], tolerance, `${path}[${i}]`, report)));
	}
	if (typeof expected === 'object') {
		if (typeof got !== 'object' || got === null) return `${path}: an object expected`;
		return firstOf(
			Object.entries(expected).map(
				([k, e]) =>
					() =>
						difference(e, (got as Record<string, unknown>)[k], tolerance, path ? `${path}.${k}` : k, report)
			)
		);
	}
	return expected === got ? null : `${path}: ${JSON.stringify(expected)} expected, got ${JSON.stringify(got)}`;
}

function firstOf(checks: (() => string | null)[]): string | null {
	for (const check of checks) {
		const why = check();
		if (why !== null) return why;
	}
	return null;
}
