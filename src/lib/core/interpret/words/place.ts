import { FlumeRating } from '../../discharge';
import { forms, type FormName } from '../../observations';
import {
	Figure,
	isParameterCode,
	parameterOf,
	writeFixed,
	type OwnParameters,
	type ParameterCode
} from '../../quantity';
import { Position } from '../../subjects/arrival/branch';
import type { BranchWords } from '../../subjects/branch-words';
import { branchWords } from '../../subjects/places';
import { Choice, Verdict } from '../../subjects/review/branch';
import { verdictWords } from '../../subjects/review/words';
import { sayDay, sayValue } from '../../wording';

const isMadeUp = (id: string) => /^[0-9a-f]{8}-[0-9a-f]{4}-/.test(id);
/** An id that a card or a person chose: `left-of-middle`. */
const asWords = (id: string) => id.replaceAll('-', ' ');
/** The word of a key or a value; ids are free words, also such as every object answers to. */
const wordIn = (words: Readonly<Record<string, string>> | undefined, key: string): string | undefined =>
	words && Object.hasOwn(words, key) ? words[key] : undefined;
const wordsOf = (branch: string): BranchWords | undefined =>
	Object.hasOwn(branchWords, branch) ? branchWords[branch as keyof typeof branchWords] : undefined;

/** A place of the sheet in words: `Conductivity, as read: main`, `flow: vertical, depth`, `Weather now`. */
export function sayPlace(path: string, own?: OwnParameters): string {
	const nameIn = (code: ParameterCode) => parameterOf(code, own).name;
	const [branch = '', id = '', ...rest] = path.split('/');
	if (branch === 'readings' && isParameterCode(id)) return [nameIn(id), ...rest.map(asWords)].join(': ');
	if ((branch === 'reviews' || branch === 'verdicts') && isParameterCode(id))
		return [`${nameIn(id)}, review`, ...rest.map((from) => saySource(from, own))].join(' of ');
	if (branch === 'reported' && isParameterCode(id)) return `${nameIn(id)}, which one is reported`;
	if (isForm(branch) && id !== '') {
		const question = forms[branch].find((q) => q.id === id);
		const choice = question?.choices.find((c) => c.id === rest[0])?.word;
		return [question?.ask ?? asWords(id), choice].filter(Boolean).join(': ');
	}
	const { name, keys } = wordsOf(branch) ?? { name: asWords(branch), keys: {} };
	if (branch === 'gaugings') {
		const inner = rest
			.filter((k, i) => k !== 'edges' && !(isMadeUp(k) || (i === 1 && rest[0] === 'verticals')))
			.map((k) => wordIn(keys, k) ?? asWords(k));
		return [id === 'main' ? name : `${name}, ${asWords(id)}`, inner.join(', ')].filter(Boolean).join(': ');
	}
	if (branch === 'titrations' && id !== '')
		return [`${name}, ${id} bottle`, ...rest.map((k) => wordIn(keys, k) ?? k)].join(', ');
	const inner = [id, ...rest]
		.filter((k) => k !== '' && !isMadeUp(k))
		.map((k) => wordIn(keys, k) ?? (isParameterCode(k) ? nameIn(k) : asWords(k)));
	// bottles and plates bear their own name at once after what they are
	return branch === 'bottles'
		? [[name, inner[0]].filter(Boolean).join(' '), ...inner.slice(1)].join(', ')
		: [name, ...inner].join(', ');
}

/** Where a figure comes from, which a verdict names with dots between the parts of its place. */
const saySource = (from: string, own?: OwnParameters): string => sayPlace(from.replaceAll('.', '/'), own);

const isForm = (branch: string): branch is FormName => Object.hasOwn(forms, branch);

/** The unit that a bare number of the sheet carries in the name of its key. */
const keyUnits = { m: 'm', m2: 'm²', m_s: 'm/s', C: '°C', mL: 'mL', L: 'L', s: 's', N: 'N' } as const;
const unitOfKey = (key: string): string => {
	const suffix = /_(m_s|m2|m|C|mL|L|s|N)$/.exec(key)?.[1] as keyof typeof keyUnits | undefined;
	return suffix === undefined ? '' : ` ${keyUnits[suffix]}`;
};

/** The name of a key says that it holds a day of the calendar: `analysedOn`. */
const isDayOf = (key: string): boolean => key.endsWith('On');
const DAY = /^\d{4}-\d\d-\d\d$/;

/** What was written at a place, in words: a choice by its word, a position by its figures, a verdict and its reason. */
export function sayWritten(path: string, value: unknown, timeZone: string): string {
	const [branch = '', id = '', ...rest] = path.split('/');
	const key = rest.at(-1) ?? id;
	if (branch === 'opening') return 'opened';
	if (value === null || value === undefined) return '';
	if (key === 'signature') return 'signed';
	if (key === 'sha256') return 'kept with the visit';
	if (typeof value === 'number') return `${sayValue(value)}${unitOfKey(key)}`;
	if (typeof value === 'string') {
		if (isDayOf(key) && DAY.test(value)) return sayDay(Date.parse(value), 'UTC', true);
		if (isForm(branch))
			return forms[branch].find((q) => q.id === id)?.choices.find((c) => c.id === value)?.word ?? value;
		const chosen = wordIn(wordsOf(branch)?.values?.[key], value);
		if (chosen !== undefined) return chosen;
		if (key === 'duplicateOf' || key === 'bottle') return asWords(value);
	}
	return typeof value === 'object' ? sayWhole(branch, key, value, timeZone) : sayValue(value, timeZone);
}

/** What is written in one piece, by the place that holds it. */
function sayWhole(branch: string, key: string, value: object, timeZone: string): string {
	if (branch === 'verdicts' || branch === 'reviews') {
		const { data } = Verdict.safeParse(value);
		if (data) return [verdictWords[data.verdict], data.reason].filter(Boolean).join(': ');
	}
	if (branch === 'reported') {
		const { data } = Choice.safeParse(value);
		if (data) return `${saySource(data.from)}: ${data.reason}`;
	}
	if (key === 'position') {
		const { data } = Position.safeParse(value);
		if (data) return sayPosition(data);
	}
	if (key === 'rating') {
		const { data } = FlumeRating.safeParse(value);
		if (data) return data.name;
	}
	return Array.isArray(value) || Figure.safeParse(value).success
		? sayValue(value, timeZone)
		: sayParts(branch, value, timeZone);
}

/** The parts of what is written in one piece, each called as its branch calls it: `report: LF-0019; lab: …`. */
const sayParts = (branch: string, value: object, timeZone: string): string =>
	Object.entries(value)
		.filter(([, part]) => part !== '')
		.map(([key, part]) => {
			const name = wordIn(wordsOf(branch)?.keys, key) ?? key;
			return `${name}: ${sayWritten(`${branch}/${key}`, part, timeZone)}`;
		})
		.join('; ');

const sayPosition = ({ latitude, longitude, accuracy_m, isSimulated }: Position): string =>
	(
		`${writeFixed(latitude, 5)}°, ${writeFixed(longitude, 5)}°, within ${Math.round(accuracy_m)} ` +
		`m${isSimulated ? ' (simulated)' : ''}`
	).replaceAll('-', '−');
