import { arithmeticWords, gaugingWords, schoolWords, techniqueWords } from '../logbook';
import { areAlike, parameters, unitCodes, units, type Unit } from '../quantity';

import { MethodCard, type Step } from './card';
import { contradictions, type Contradiction } from './contradictions';
import { Limits, limitsOf } from './limits';

/** One thing that a program may set in a card, in its text form; `path` says where it stands. */
export interface Setting {
	path: string;
	/** The heading that it stands under. */
	group: string;
	label: string;
	text: string;
	control: 'number' | 'line' | 'lines' | 'one';
	options?: readonly { code: string; word: string }[];
}

const unitOptions = (like: Unit) =>
	unitCodes.filter((u) => areAlike(like, u)).map((code) => ({ code, word: units[code].symbol || code }));
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
const kitBegins = { dip: 'when it is dipped', reagents: 'when the last reagent is in' };
/** What each wading school starts with when a card changes to it. */
const wadingStart: Record<string, MethodCard['wading']> = {
	'depth-and-velocity': { school: 'depth-and-velocity', depth_m: 0.3, velocity_m_s: 0.3 },
	'depth-only': { school: 'depth-only', depth_m: 0.5, lifeJacket_m: 0.3 },
	product: { school: 'product', product_m2_s: 0.6 }
};

/** Everything that may be set in a card, in the order of the card. */
export function settingsOf(card: MethodCard): Setting[] {
	const line = (
		group: string,
		path: string,
		label: string,
		text: string,
		control: Setting['control'] = 'line'
	): Setting => ({
		path,
		group,
		label,
		text,
		control
	});
	const number = (group: string, path: string, label: string, value: number | undefined): Setting =>
		line(group, path, label, value === undefined ? '' : String(value), 'number');
	const limits = limitsOf(card);
	return [
		line('The card', 'title', 'Title', card.title),
		line('The card', 'summary', 'In a sentence', card.summary, 'lines'),
		...card.steps.flatMap((step) => stepSettings(step, line, number)),
		line(
			'Order',
			'rules',
			'Rules: what comes before what, because',
			card.rules.map((r) => `${r.first} before ${r.then}: ${r.because}`).join('\n'),
			'lines'
		),
		{ ...line('Wading', 'wading.school', 'School', card.wading.school, 'one'), options: wadingSchools },
		...Object.entries(card.wading).flatMap(([key, value]) =>
			typeof value === 'number' ? [number('Wading', `wading.${key}`, wadingWords[key] ?? key, value)] : []
		),
		number('Holding', 'holding.bacteria_h', 'first bottle to last plate, h', card.holding.bacteria_h),
		number(
			'Holding',
			'holding.withoutIce_h',
			'a bottle without ice is asked about after, h',
			card.holding.withoutIce_h
		),
		...Object.entries(card.shown ?? {}).map(([code, unit]): Setting => ({
			...line('Shown in', `shown.${code}`, parameters[code as keyof typeof parameters].name, unit, 'one'),
			options: unitOptions(unit)
		})),
		...Object.entries(Limits.shape).flatMap(([key, schema]) =>
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
		),
		...(card.steps.some((s) => s.tool === 'flow')
			? [
					line(
						'Flume',
						'limits.flumeName',
						Limits.shape.flumeName.description ?? 'flumeName',
						card.limits?.flumeName ?? ''
					)
				]
			: []),
		...Object.entries(card.limits?.flume ?? {}).map(([key, value]) =>
			number('Flume', `limits.flume.${key}`, key, value)
		)
	];
}

type Line = (group: string, path: string, label: string, text: string, control?: Setting['control']) => Setting;
type NumberLine = (group: string, path: string, label: string, value: number | undefined) => Setting;

function stepSettings(step: Step, line: Line, number: NumberLine): Setting[] {
	const at = (key: string) => `steps.${step.id}.${key}`;
	const unit = (key: string, label: string, value: Unit): Setting => ({
		...line(step.title, at(key), label, value, 'one'),
		options: unitOptions(value)
	});
	const oneOf = (
		group: string,
		path: string,
		label: string,
		value: string,
		words: Readonly<Record<string, string>>
	): Setting => ({
		...line(group, path, label, value, 'one'),
		options: Object.entries(words).map(([code, word]) => ({ code, word }))
	});
	const common = [
		line(step.title, at('title'), 'Title', step.title),
		line(step.title, at('how'), 'How', step.how, 'lines'),
		line(step.title, at('costIfMissing'), 'What leaving without it costs', step.costIfMissing ?? '', 'lines')
	];
	switch (step.tool) {
		case 'reading':
			return [
				...common,
				unit('unit', 'asked in', step.unit),
				line(step.title, at('slots'), 'places', step.slots.map((s) => `${s.id}: ${s.label}`).join('; ')),
				number(
					step.title,
					at('spreadLimit'),
					`readings may lie apart, ${units[parameters[step.parameter].unit].symbol}`,
					step.spreadLimit
				)
			];
		case 'bottle':
			return [
				...common,
				...(step.bottle.kind === 'bacteria'
					? []
					: [number(step.title, at('rinses'), 'rinsed with stream water, times', step.rinses ?? 3)]),
				oneOf(step.title, at('technique'), 'filled', step.technique ?? 'hand', techniqueWords)
			];
		case 'kit':
			return [
				...common,
				unit('unit', 'chart in', step.unit),
				...(step.begins === undefined
					? []
					: [oneOf(step.title, at('begins'), 'its clock starts', step.begins, kitBegins)]),
				line(step.title, at('waits'), 'waits, s', step.waits.map((w) => `${w.what}: ${w.for_s}`).join('; ')),
				number(step.title, at('readWithin_s'), 'then read within, s', step.readWithin_s),
				line(step.title, at('chart'), 'blocks of the chart', step.chart.map((b) => `${b.word}: ${b.value}`).join('; '))
			];
		case 'titration':
			return [
				...common,
				line(step.title, at('bottles'), 'bottles', step.bottles.map((b) => `${b.id}: ${b.label}`).join('; ')),
				number(step.title, at('mgLPerDrop'), 'a drop is worth, mg/L', step.mgLPerDrop),
				number(step.title, at('settle_s'), 'floc settles, s', step.settle_s),
				number(step.title, at('within_h'), 'titrated within, h', step.within_h)
			];
		case 'disc':
			return [...common, unit('unit', 'line marked in', step.unit)];
		case 'tube':
			return [
				...common,
				number(step.title, at('tubeLength_cm'), 'length of the tube, cm', step.tubeLength_cm),
				number(step.title, at('minimumDepth_cm'), 'least that can be read, cm', step.minimumDepth_cm)
			];
		case 'flow':
			return [
				...common,
				unit('tapeUnit', 'tape and rod in', step.tapeUnit ?? 'm'),
				unit('velocityUnit', 'velocity in', step.velocityUnit ?? 'm_s'),
				oneOf(step.title, at('method'), 'measured by', step.method ?? 'verticals', gaugingWords),
				oneOf(step.title, at('school'), 'velocity read at', step.school ?? 'one-point', schoolWords),
				oneOf(step.title, at('arithmetic'), 'worked out by', step.arithmetic ?? 'mid-section', arithmeticWords),
				number(step.title, at('leastVerticals'), 'verticals, at least', step.leastVerticals),
				number(
					step.title,
					at('shareLimit_percent'),
					'of the flow in one vertical, at most, %',
					step.shareLimit_percent
				),
				number(step.title, at('enough_percent'), 'uncertainty that is enough, %', step.enough_percent)
			];
		default:
			return common;
	}
}

/** A card with settings changed, or what forbids it, each with the path of its setting. Settings not given stay. */
export function withSettings(
	card: MethodCard,
	texts: Readonly<Record<string, string>>
): { card: MethodCard } | { why: Contradiction[] } {
	const known = new Map(settingsOf(card).map((s) => [s.path, s]));
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
		if (text === setting.text) continue;
		const read = readSetting(setting, text);
		if ('why' in read) why.push({ path, why: read.why });
		else put(draft, path, read.value);
	}
	if (why.length) return { why };
	const parsed = MethodCard.safeParse(draft);
	if (!parsed.success)
		return { why: parsed.error.issues.map((i) => ({ path: pathOf(i.path, draft), why: i.message })) };
	const against = contradictions(parsed.data);
	return against.length ? { why: against } : { card: parsed.data };
}

/** Settings that need not be said. */
const MAY_BE_EMPTY = /(spreadLimit|costIfMissing|floatCoefficient|flumeName)$/;

function readSetting({ control, options, label, path }: Setting, text: string): { value: unknown } | { why: string } {
	if (control === 'number') {
		if (text === '') return MAY_BE_EMPTY.test(path) ? { value: undefined } : { why: `Say a number for: ${label}.` };
		const value = Number(text.replace(',', '.'));
		return Number.isFinite(value) ? { value } : { why: `“${text}” is not a number.` };
	}
	if (options) return options.some((o) => o.code === text) ? { value: text } : { why: `“${text}” cannot stand here.` };
	if (path === 'rules') return readRules(text);
	if (path.endsWith('.slots') || path.endsWith('.bottles')) {
		const named = pairsIn(text);
		return named
			? { value: named.map(([id, word]) => ({ id, label: word })) }
			: { why: 'Write them as “left: left bank; right: right bank”.' };
	}
	if (path.endsWith('.waits') || path.endsWith('.chart')) {
		const named = pairsIn(text)?.map(([word, amount]) => [word, Number(amount.replace(',', '.'))] as const);
		if (!named?.every(([, n]) => Number.isFinite(n)))
			return { why: 'Write them as “dip: 1; wait: 60”, each with a number.' };
		return {
			value: named.map(([word, n]) => (path.endsWith('.waits') ? { what: word, for_s: n } : { word, value: n }))
		};
	}
	if (MAY_BE_EMPTY.test(path)) return { value: text === '' ? undefined : text };
	return text === '' ? { why: `${label} is missing.` } : { value: text };
}

/** “left: left bank; right: right bank” in pairs; null where it is not that. */
function pairsIn(text: string): (readonly [string, string])[] | null {
	const pairs = text
		.split(/\s*;\s*/)
		.filter(Boolean)
		.map((s) => /^([^:]+):\s*(.+)$/.exec(s));
	return pairs.length && pairs.every((p) => p !== null)
		? pairs.map((p) => [p[1]!.trim(), p[2]!.trim()] as const)
		: null;
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
	const said = (s: Setting | undefined) => (s ? (s.options?.find((o) => o.code === s.text)?.word ?? s.text) : null);
	const paths = [...new Set([...left, ...right].map((s) => s.path))];
	return paths.map((path) => {
		const [x, y] = [left.find((s) => s.path === path), right.find((s) => s.path === path)];
		return { path, group: (x ?? y)!.group, label: (x ?? y)!.label, a: said(x), b: said(y) };
	});
}
