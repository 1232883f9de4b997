import { z } from 'zod';
import {
	isOwnCode,
	parameterCodes,
	parameters,
	units,
	withPointWithin,
	type KnownCode,
	type ParameterCode
} from '../../quantity';
import type { InstrumentFacts } from '../../subjects/context';
import { date, maybeDate } from '../calendar-fields';
import { maybeReference, oneOf, reference, words, type Field, type Lookup } from '../field';
import { kind } from '../kind';

type Measures = InstrumentFacts['measures'];
type Range = NonNullable<Measures['conductivity']>;

const codes = [...parameterCodes, 'velocity'] as const;
const isKnown = (code: string): code is KnownCode | 'velocity' => (codes as readonly string[]).includes(code);
const unitOf = (code: KnownCode | 'velocity') => (code === 'velocity' ? 'm/s' : units[parameters[code].unit].symbol);
const extras: Record<string, keyof Range> = {
	accuracy: 'accuracy',
	resolution: 'resolution',
	stall: 'stall',
	'calibrate every': 'calibrationDays'
};
const Positive = z.number().positive();
const Finite = z.number();

/** What a line means: what is known here, or a parameter of the program's own by its short name. */
function codeOf(word: string, lookup: Lookup): ParameterCode | 'velocity' | null {
	if (isKnown(word)) return word;
	const id = lookup.find(['parameters'], word);
	const code = id === null ? '' : lookup.nameOf(['parameters'], id);
	return isOwnCode(code) ? code : null;
}

/**
 * What an instrument measures, a line each: "conductivity 0 to 5000, resolution 1, accuracy 5, calibrate every 45
 * days". Numbers are in the parameter's own unit; `stall` is the speed under which a meter stands still.
 */
const measures: Field<Measures> = {
	label: 'Measures',
	isRequired: true,
	control: 'lines',
	holdsNumbers: true,
	help:
		'a line for each, such as: conductivity 0 to 5000, resolution 1, accuracy 5, calibrate every 45 days. Known ' +
		`are ${codes.map((c) => `${c} (${unitOf(c) || 'no unit'})`).join(', ')}`,
	read: (text, lookup) => {
		const value: Measures = {};
		for (const line of withPointWithin(text)
			.split(/\s*[;\n]\s*/)
			.filter((l) => l.trim() !== '')) {
			const [head = '', ...rest] = line.trim().split(/\s*,\s*/);
			const match = /^([a-z0-9-]+)\s+(-?[\d.]+)\s+to\s+(-?[\d.]+)$/i.exec(head);
			const code = codeOf(match?.[1]?.toLowerCase() ?? '', lookup);
			if (!match || code === null)
				return { why: `Measures: “${head}” is not a line such as “conductivity 0 to 5000”.` };
			const [low, high] = [Number(match[2]), Number(match[3])];
			if (!Finite.safeParse(low).success || !Finite.safeParse(high).success || high <= low)
				return { why: `Measures: ${code} from ${match[2]!} to ${match[3]!} is no range.` };
			const range: Range = { low, high };
			for (const part of rest) {
				const said = /^(.*?)\s+([\d.]+)(?:\s*days?)?$/.exec(part);
				const key = said ? extras[said[1]!.toLowerCase()] : undefined;
				const number = Number(said?.[2]);
				if (key === undefined || !Positive.safeParse(number).success)
					return {
						why: `Measures: “${part}” after ${code}; known are ${Object.keys(extras).join(', ')}, each with a number.`
					};
				range[key] = number;
			}
			if (value[code]) return { why: `Measures: ${code} is there twice.` };
			value[code] = range;
		}
		return Object.keys(value).length === 0 ? { why: 'Measures: say at least one thing that it measures.' } : { value };
	},
	write: (value) =>
		([...codes, ...Object.keys(value).filter(isOwnCode)] as (keyof Measures)[])
			.flatMap((code) => {
				const range = value[code];
				if (!range) return [];
				const more = Object.entries(extras).flatMap(([word, key]) =>
					range[key] === undefined ? [] : [`${word} ${range[key]}${key === 'calibrationDays' ? ' days' : ''}`]
				);
				return [[`${code} ${range.low} to ${range.high}`, ...more].join(', ')];
			})
			.join('\n')
};

export const instruments = kind({
	name: 'instruments',
	one: 'instrument',
	many: 'Instruments',
	about:
		'Meters, thermometers, velocity meters: a figure carries what its instrument can and when it was last calibrated.',
	isNeeded: false,
	fields: {
		code: words({ label: 'Code', isRequired: true, most: 20, help: 'as written on it' }),
		kind: words({ label: 'Kind', isRequired: true, help: 'such as multimeter, glass thermometer, velocity meter' }),
		serialNumber: words({ label: 'Serial number' }),
		measures,
		batteryChangedOn: maybeDate({ label: 'Battery changed on', help: 'a calibration from before no longer counts' }),
		retiredOn: maybeDate({ label: 'Not used since' })
	},
	key: ['code'],
	columns: ['code', 'kind', 'serialNumber', 'batteryChangedOn'],
	filter: 'kind',
	nameOf: (row) => row.code,
	endedOn: (row) => row.retiredOn,
	doubts: (row) =>
		row.measures.velocity?.stall !== undefined && row.measures.velocity.stall > row.measures.velocity.low
			? [{ field: 'measures', why: 'It stands still at speeds that its range says it can measure.' }]
			: []
});

export const consumables = kind({
	name: 'consumables',
	one: 'consumable',
	many: 'Consumables',
	about: 'Reagents, strips, buffers, standards: what goes out of date.',
	isNeeded: false,
	fields: {
		what: words({ label: 'What', isRequired: true, most: 120 }),
		lot: words({ label: 'Lot', most: 40 }),
		expiresOn: date({ label: 'Expires on' })
	},
	key: ['what', 'lot'],
	columns: ['what', 'lot', 'expiresOn'],
	nameOf: (row) => (row.lot ? `${row.what}, lot ${row.lot}` : row.what),
	doubts: (row, _library, today) =>
		row.expiresOn < today ? [{ field: 'expiresOn', why: `It is out of date since ${row.expiresOn}.` }] : []
});

export const gear = kind({
	name: 'gear',
	one: 'piece of gear',
	many: 'Gear',
	about: 'Nets, boots, buckets: where each was last wet, so that nothing living is carried into another water.',
	isNeeded: false,
	fields: {
		what: words({ label: 'What', isRequired: true }),
		teamId: maybeReference({ label: 'Team', kinds: ['teams'], help: 'nothing where all teams borrow it' }),
		wetIn: maybeReference({ label: 'Last wet in', kinds: ['streams'] }),
		wetOn: maybeDate({ label: 'Last wet on' }),
		disinfectedOn: maybeDate({ label: 'Disinfected on' })
	},
	key: ['what'],
	columns: ['what', 'teamId', 'wetIn', 'wetOn', 'disinfectedOn'],
	filter: 'teamId',
	nameOf: (row) => row.what,
	objections: (row) =>
		(row.wetIn === null) === (row.wetOn === null)
			? []
			: [{ field: 'wetOn', why: 'Say both where and when it was last wet, or neither.' }],
	doubts: (row, _library, today) => [
		...(row.wetOn !== null && row.wetOn > today
			? [{ field: 'wetOn' as const, why: `${row.wetOn} is yet to come.` }]
			: []),
		...(row.disinfectedOn !== null && row.disinfectedOn > today
			? [{ field: 'disinfectedOn' as const, why: `${row.disinfectedOn} is yet to come.` }]
			: [])
	]
});

export const samplers = kind({
	name: 'samplers',
	one: 'sampler',
	many: 'Samplers',
	about: 'Plate stacks and leaf bags that stand in the stream: the season says when each must be looked at or lifted.',
	isNeeded: false,
	fields: {
		code: words({ label: 'Code', isRequired: true, most: 20, help: 'as on its tag' }),
		siteId: reference({ label: 'Site', kinds: ['sites'] }),
		kind: oneOf({ label: 'Kind', options: ['plate stack', 'leaf bag'] }),
		outOn: date({ label: 'Put out on' }),
		liftedOn: maybeDate({ label: 'Lifted, or found lost, on' }),
		note: words({ label: 'Note', help: 'where it is tied, what came of it', most: 200 })
	},
	key: ['code'],
	columns: ['code', 'siteId', 'kind', 'outOn', 'liftedOn'],
	filter: 'kind',
	nameOf: (row) => row.code,
	endedOn: (row) => row.liftedOn,
	objections: (row) =>
		row.liftedOn !== null && row.liftedOn < row.outOn
			? [{ field: 'liftedOn', why: `It was put out on ${row.outOn}, after that.` }]
			: [],
	doubts: (row, _library, today) => (row.outOn > today ? [{ field: 'outOn', why: `${row.outOn} is yet to come.` }] : [])
});
