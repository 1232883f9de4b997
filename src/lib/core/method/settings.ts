import {
	isOwnCode,
	isUnitOf,
	parameterOf,
	ways,
	withPoint,
	type OwnParameters,
	type ParameterCode,
	type Unit
} from '../quantity';
import { settingAsShown, unitOptions, type Setting } from '../subjects/setting';
import { settingsOfStep } from '../subjects/step-settings';
import { stepsOf, type Step } from '../subjects/steps';
import { MethodCard, waysOf } from './card';
import { contradictions, type Contradiction } from './contradictions';
import { Limits, limitsOf } from './limits';

const wadingSchools = [
	{ code: 'depth-and-velocity', word: 'depth or speed: groups and beginners' },
	{ code: 'depth-only', word: 'depth alone, a life jacket from a lesser depth' },
	{ code: 'product', word: 'depth × speed: trained crews' }
];
const wadingWords: Record<string, string> = {
	depth_m: 'deepest, m',
	velocity_m_s: 'fastest, m/s',
	lifeJacket_m: 'life jacket from, m',
	product_m2_s: 'depth × speed at most, m²/s'
};
/** What each wading school starts with when a card changes to it. */
const wadingStart: Record<string, MethodCard['wading']> = {
	'depth-and-velocity': { school: 'depth-and-velocity', depth_m: 0.3, velocity_m_s: 0.3 },
	'depth-only': { school: 'depth-only', depth_m: 0.5, lifeJacket_m: 0.3 },
	product: { school: 'product', product_m2_s: 0.6 }
};

const line = (
	group: string,
	path: string,
	label: string,
	text: string,
	control: Setting['control'] = 'line'
): Setting => ({ path, group, label, text, control });
const number = (group: string, path: string, label: string, value: number | undefined): Setting =>
	line(group, path, label, value === undefined ? '' : String(value), 'number');

/**
 * Everything that may be set in a card, in the order of the card. `own`: parameters that the program has defined, to
 * choose from beside those that the card carries.
 */
export const settingsOf = (card: MethodCard, own: OwnParameters = {}): Setting[] => [
	line('The card', 'title', 'Title', card.title),
	line('The card', 'summary', 'In a sentence', card.summary, 'lines'),
	...card.steps.flatMap((step) => stepSettings(step, { ...card.own, ...own })),
	line(
		'Order',
		'rules',
		'Rules: what comes before what, because',
		card.rules.map((r) => `${r.first} before ${r.then}: ${r.because}`).join('\n'),
		'lines'
	),
	line('Reported', 'ways', 'Which way goes first, where several found a figure', waysOf(card).join(', '), 'lines'),
	{ ...line('Wading', 'wading.school', 'School', card.wading.school, 'one'), options: wadingSchools },
	...Object.entries(card.wading).flatMap(([key, value]) =>
		typeof value === 'number' ? [number('Wading', `wading.${key}`, wadingWords[key] ?? key, value)] : []
	),
	number('Holding', 'holding.bacteria_h', 'first bottle to last plate, h', card.holding.bacteria_h),
	number('Holding', 'holding.withoutIce_h', 'a bottle without ice is asked about after, h', card.holding.withoutIce_h),
	...(Object.entries(card.shown ?? {}) as [ParameterCode, Unit][]).map(([code, unit]): Setting => ({
		...line('Shown in', `shown.${code}`, parameterOf(code, card.own).name, unit, 'one'),
		options: unitOptions(unit)
	})),
	...limitSettings(card),
	...flumeSettings(card)
];

/** The numbers on which programs differ, each by what it says of itself. */
function limitSettings(card: MethodCard): Setting[] {
	const limits = limitsOf(card);
	return Object.entries(Limits.shape).flatMap(([key, schema]) =>
		key === 'flume' || key === 'flumeName'
			? []
			: [
					number(
						'Limits',
						`limits.${key}`,
						schema.description ?? key,
						limits[key as Exclude<keyof Limits, 'flume' | 'flumeName'>]
					)
				]
	);
}

function flumeSettings({ limits, steps }: MethodCard): Setting[] {
	const name = Limits.shape.flumeName.description ?? 'flumeName';
	return [
		...(stepsOf({ steps }, 'flow').length > 0
			? [line('Flume', 'limits.flumeName', name, limits?.flumeName ?? '')]
			: []),
		...Object.entries(limits?.flume ?? {}).map(([key, value]) => number('Flume', `limits.flume.${key}`, key, value))
	];
}

/** What may be set in a step: what every step has, then what its subject knows. */
const stepSettings = (step: Step, own: OwnParameters): Setting[] =>
	[
		{ path: 'title', label: 'Title', text: step.title, control: 'line' as const },
		{ path: 'how', label: 'How', text: step.how, control: 'lines' as const },
		{
			path: 'costIfMissing',
			label: 'What leaving without it costs',
			text: step.costIfMissing ?? '',
			control: 'lines' as const,
			isOptional: true
		},
		{ path: 'tags', label: 'Tags, by which rules speak of it', text: step.tags.join(', '), control: 'line' as const },
		...settingsOfStep(step, own)
	].map((setting) => ({ ...setting, path: `steps.${step.id}.${setting.path}`, group: step.title }));

/**
 * A card with settings changed, or what forbids it, each with the path of its setting. Settings not given stay. Of the
 * program's own parameters it takes over the definitions that its steps use.
 */
export function withSettings(
	card: MethodCard,
	texts: Readonly<Record<string, string>>,
	own: OwnParameters = {}
): { card: MethodCard } | { why: Contradiction[] } {
	const known = new Map(settingsOf(card, own).map((s) => [s.path, s]));
	const why: Contradiction[] = [];
	const draft = structuredClone(card) as MethodCard & Record<string, unknown>;
	const school = texts['wading.school'];
	if (school !== undefined && school !== card.wading.school) {
		if (wadingStart[school]) draft.wading = { ...wadingStart[school] };
		else why.push({ path: 'wading.school', why: `There is no school of wading called “${school}”.` });
	}
	for (const [path, given] of Object.entries(texts)) {
		const setting = known.get(path);
		const text = given.trim();
		if (path === 'wading.school' || (path.startsWith('wading.') && draft.wading.school !== card.wading.school))
			continue;
		if (!setting) {
			why.push({ path, why: `This card has no setting “${path}”.` });
			continue;
		}
		// a number that was shown with a comma is the same number: else it would be kept as the card's own
		if ((setting.control === 'number' ? withPoint(text) : text) === setting.text) continue;
		const read = readSetting(setting, text);
		if ('why' in read) why.push({ path, why: read.why });
		else put(draft, path, read.value);
	}
	if (why.length) return { why };
	takeDefinitions(draft, { ...card.own, ...own });
	const parsed = MethodCard.safeParse(draft);
	if (!parsed.success)
		return { why: parsed.error.issues.map((i) => ({ path: pathOf(i.path, draft), why: i.message })) };
	const against = contradictions(parsed.data);
	return against.length ? { why: against } : { card: parsed.data };
}

/**
 * What a step reads is asked in a unit of its kind: a step that now reads something else asks in that one's own. The
 * card carries the definitions of the program's own parameters that are left in use.
 */
function takeDefinitions(draft: MethodCard, own: OwnParameters): void {
	const used = new Map<string, OwnParameters[keyof OwnParameters]>();
	for (const step of draft.steps) {
		if (!('parameter' in step)) continue;
		const parameter = parameterOf(step.parameter, own);
		if (isOwnCode(step.parameter)) used.set(step.parameter, own[step.parameter]);
		if (isUnitOf(parameter, step.unit)) continue;
		step.unit = parameter.unit;
		if ('settled' in step) delete step.settled;
	}
	if (used.size) draft.own = Object.fromEntries(used) as MethodCard['own'];
	else delete draft.own;
}

/** Settings of a card as a whole that need not be said. */
const MAY_BE_EMPTY = /(floatCoefficient|flumeName)$/;

function readSetting(setting: Setting, text: string): { value: unknown } | { why: string } {
	const { control, options, label, path } = setting;
	const isOptional = setting.isOptional === true || MAY_BE_EMPTY.test(path);
	if (text === '' && isOptional) return { value: undefined };
	if (control === 'number') return readNumber(label, text);
	if (options) return options.some((o) => o.code === text) ? { value: text } : { why: `“${text}” cannot stand here.` };
	if (path === 'rules') return readRules(text);
	if (path === 'ways') return readWays(text);
	if (path.endsWith('.tags')) return { value: text.split(/\s*,\s*/).filter(Boolean) };
	if (setting.pair) return readPairs(setting.pair, text);
	return text === '' ? { why: `${label} is missing.` } : { value: text };
}

function readWays(text: string): { value: unknown } | { why: string } {
	const given = text.split(/[\s,]+/).filter(Boolean);
	const odd = given.find((way) => !(ways as readonly string[]).includes(way));
	return odd === undefined
		? { value: given }
		: { why: `“${odd}” is no way of finding a figure. There are: ${ways.join(', ')}.` };
}

function readNumber(label: string, text: string): { value: unknown } | { why: string } {
	if (text === '') return { why: `Say a number for: ${label}.` };
	const value = Number(withPoint(text));
	return Number.isFinite(value) ? { value } : { why: `“${text}” is not a number.` };
}

/** “left: left bank; right: right bank” as things with two keys each. */
function readPairs(
	{ keys, isAmount }: NonNullable<Setting['pair']>,
	text: string
): { value: unknown } | { why: string } {
	const [first, second] = keys;
	const pairs = text
		.split(/\s*;\s*/)
		.filter(Boolean)
		.map((s) => /^([^:]+):\s*(.+)$/.exec(s));
	const values = pairs.map((p) => {
		const amount = isAmount ? Number(withPoint(p?.[2] ?? '')) : p?.[2]?.trim();
		return { [first]: p?.[1]?.trim(), [second]: amount };
	});
	const isWhole = values.length > 0 && pairs.every((p) => p !== null) && values.every((v) => !Number.isNaN(v[second]));
	if (isWhole) return { value: values };
	return {
		why: isAmount
			? 'Write them as “dip: 1; wait: 60”, each with a number.'
			: 'Write them as “left: left bank; right: right bank”.'
	};
}

function readRules(text: string): { value: unknown } | { why: string } {
	const lines = text.split('\n').filter((l) => l.trim() !== '');
	const rules = lines.map((l) => /^\s*(\S+)\s+before\s+(\S+?)\s*:\s*(.+?)\s*$/.exec(l));
	const bad = rules.findIndex((r) => r === null);
	return bad === -1
		? { value: rules.map((r) => ({ first: r![1], then: r![2], because: r![3] })) }
		: { why: `“${lines[bad]!.trim()}” is not a rule such as “air before water: a wet thermometer reads low”.` };
}

/** Steps are named by their id in a path. */
function put(card: MethodCard, path: string, value: unknown): void {
	const isStep = path.startsWith('steps.');
	const keys = path.split('.').slice(isStep ? 2 : 0);
	const of = isStep ? card.steps.find((s) => s.id === path.split('.')[1]) : card;
	let branch = of as unknown as Record<string, unknown>;
	for (const key of keys.slice(0, -1)) branch = (branch[key] ??= {}) as Record<string, unknown>;
	if (value === undefined) delete branch[keys.at(-1)!];
	else branch[keys.at(-1)!] = value;
}

const pathOf = (path: readonly PropertyKey[], card: MethodCard): string =>
	path[0] === 'steps'
		? ['steps', card.steps[Number(path[1])]?.id ?? '', ...path.slice(2, 3).map(String)].join('.')
		: path.map(String).join('.');

export interface Difference {
	path: string;
	group: string;
	label: string;
	/** Null where that card has no such setting. */
	a: string | null;
	b: string | null;
}

/** Two cards or versions side by side, setting by setting. */
export function compareCards(a: MethodCard, b: MethodCard): Difference[] {
	const [left, right] = [settingsOf(a), settingsOf(b)];
	const said = (s: Setting | undefined) =>
		s ? (s.options?.find((o) => o.code === s.text)?.word ?? settingAsShown(s)) : null;
	const paths = [...new Set([...left, ...right].map((s) => s.path))];
	return paths.map((path) => {
		const [x, y] = [left.find((s) => s.path === path), right.find((s) => s.path === path)];
		return { path, group: (x ?? y)!.group, label: (x ?? y)!.label, a: said(x), b: said(y) };
	});
}
