import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimalMarkOf, readReported } from './decimals';
import { planReport, ReportMapping, type KnownBottle, type RowCorrection } from '.';

const bottle = (label: string, more: Partial<KnownBottle> = {}): KnownBottle => ({
	visitId: `visit-${label}`,
	id: 'nutrients',
	label,
	site: 'Tessel 3',
	role: 'routine',
	filledAt: '2026-05-12T09:00:00Z',
	preserved: 'sulphuric acid',
	reports: {},
	...more
});
const known = [bottle('TE3-260512-N'), bottle('TE4-260512-N'), bottle('TE5-260512-NK', { role: 'blank' })];
const no = ReportMapping.parse({});

type Row = Partial<Record<'Sample' | 'Analyte' | 'Result' | 'Units' | 'RL' | 'Analysed' | 'Lab ref', string>>;
const plan = (
	rows: readonly Row[],
	{
		mapping = no,
		corrections = {},
		bottles = known
	}: { mapping?: ReportMapping; corrections?: Record<string, RowCorrection>; bottles?: KnownBottle[] } = {}
) =>
	planReport(
		{
			rows: rows.map((cells, i) => ({ line: i + 2, cells })),
			lab: 'Millrace water lab',
			report: '26-0117',
			isSimulated: false
		},
		{ mapping, corrections, bottles, own: {} }
	);
const phosphorus = (more: Row = {}): Row => ({
	Sample: 'TE3-260512-N',
	Analyte: 'Total phosphorus',
	Result: '0.084',
	Units: 'mg/L',
	...more
});
const only = (row: Row, options?: Parameters<typeof plan>[1]) => plan([row], options).lines[0]!;

describe('a row of a report', () => {
	it('becomes a figure of its bottle, with what stood beside it', () => {
		const line = only(phosphorus({ RL: '0.01', Analysed: '14 May 2026', Units: 'µg/L', Result: '84' }));
		expect(line).toMatchObject({
			verdict: 'new',
			doubts: [],
			write: {
				visitId: 'visit-TE3-260512-N',
				bottle: 'nutrients',
				parameter: 'total-phosphorus',
				value: { figure: { value: 84, unit: 'ug_L_P' }, limit: 0.01, analysedOn: '2026-05-14', report: '26-0117' }
			}
		});
	});

	it('that was not found is below the limit, and without one is not taken', () => {
		expect(only(phosphorus({ Result: 'ND', RL: '0.01' })).figure).toEqual({ below: 0.01, unit: 'mg_L_P' });
		expect(only(phosphorus({ Result: '<0.01' })).figure).toEqual({ below: 0.01, unit: 'mg_L_P' });
		expect(only(phosphorus({ Result: 'n.d.' })).why).toEqual([
			'It was not found, and no reporting limit says below what.'
		]);
		expect(only(phosphorus({ Result: '0' })).why[0]).toContain('of 0 says nothing');
	});

	it('whose bare unit may be of the ion or of its nitrogen is asked about, and once said is known', () => {
		const nitrite = phosphorus({ Analyte: 'Nitrite', Result: '0.05' });
		const asked = plan([nitrite]);
		expect(asked.strange).toEqual([{ of: 'unit', text: 'mg/L', parameter: 'nitrite' }]);
		expect(asked.lines[0]!.why).toEqual(['Nitrite in mg/L: of the ion, or of what is in it? Say which, once.']);
		const mapping = ReportMapping.parse({ units: { 'nitrite mgl': 'mg_L_NO2' } });
		expect(plan([nitrite], { mapping }).lines[0]!.figure).toEqual({ value: 0.05, unit: 'mg_L_NO2' });
		// the word itself says it
		expect(only({ ...nitrite, Analyte: 'NO2-N' }).figure).toEqual({ value: 0.05, unit: 'mg_L_N' });
	});

	it('of a parameter that nobody knows is asked about by its word', () => {
		const silica = phosphorus({ Analyte: 'SiO2' });
		expect(plan([silica]).strange).toEqual([{ of: 'parameter', text: 'SiO2' }]);
		const mapping = ReportMapping.parse({ parameters: { 'P ges.': 'total-phosphorus' } });
		expect(only(phosphorus({ Analyte: 'P ges.' }), { mapping }).verdict).toBe('new');
	});

	it('of an unknown bottle, or of two, is refused and never guessed', () => {
		expect(only(phosphorus({ Sample: 'TE3-260521-N' }))).toMatchObject({ verdict: 'refused', isLabelUnknown: true });
		const corrections = { 2: { label: 'TE3-260512-N' } };
		expect(only(phosphorus({ Sample: 'TE3-260521-N' }), { corrections }).write?.visitId).toBe('visit-TE3-260512-N');
		const twins = [...known, bottle('TE3-260512-N', { site: 'Tessel 4' })];
		expect(only(phosphorus(), { bottles: twins }).why[0]).toContain('at Tessel 3 and Tessel 4');
	});

	it('in the wrong unit by a thousand says in which it would be usual', () => {
		const wrong = only(phosphorus({ Result: '84' }));
		expect(wrong.doubts[0]).toContain('is unusual for a stream');
		expect(wrong.unitsThatFit).toContain('ug_L_P');
		expect(only(phosphorus({ Result: '840' }))).toMatchObject({ verdict: 'refused', unitsThatFit: ['ug_L_P'] });
		expect(only(phosphorus({ Result: '840' }), { corrections: { 2: { unit: 'ug_L_P' } } }).figure).toEqual({
			value: 840,
			unit: 'ug_L_P'
		});
	});

	it('that was analysed before its bottle was filled is refused; long after, it is said', () => {
		expect(only(phosphorus({ Analysed: '2026-05-11' })).why[0]).toContain('before the bottle was filled');
		expect(only(phosphorus({ Analysed: '2026-06-25' })).doubts).toEqual([
			'Analysed 43 days or more after filling; it keeps 28.'
		]);
		expect(only(phosphorus({ Analysed: '3/4/2026' })).why[0]).toContain('may be');
	});

	it('of a blank that is not clean, or from a bottle that cannot give it, is doubted', () => {
		expect(only(phosphorus({ Sample: 'TE5-260512-NK' })).doubts).toEqual(['It is a blank: nothing should be in it.']);
		expect(only(phosphorus({ Analyte: 'NO2-N', Result: '0.02' })).doubts[0]).toContain('acid destroys nitrite');
	});
});

describe('rows together', () => {
	it('that say the same twice are taken once, and that contradict each other not at all', () => {
		const [first, second] = plan([phosphorus(), phosphorus({ Result: '84', Units: 'ug/L' })]).lines;
		expect([first!.verdict, second!.verdict, second!.why]).toEqual(['new', 'same', ['Line 2 says the same.']]);
		const against = plan([phosphorus(), phosphorus({ Result: '0.2' })]).lines;
		expect(against.map((l) => [l.verdict, l.write])).toEqual([
			['refused', null],
			['refused', null]
		]);
		const settled = plan([phosphorus(), phosphorus({ Result: '0.2' })], { corrections: { 3: { isLeftOut: true } } });
		expect(settled.lines.map((l) => l.verdict)).toEqual(['new', 'left out']);
	});

	it('of a corrected report say what they replace', () => {
		const before = {
			figure: { value: 0.05, unit: 'mg_L_P' as const },
			lab: 'Millrace water lab',
			report: '26-0101',
			asWritten: ''
		};
		const bottles = [bottle('TE3-260512-N', { reports: { 'total-phosphorus': before } })];
		expect(only(phosphorus(), { bottles })).toMatchObject({ verdict: 'corrects', was: before.figure });
		expect(only(phosphorus({ Result: '50', Units: 'µg/L' }), { bottles }).verdict).toBe('same');
	});

	it('of a second lab do not replace what the first one said', () => {
		const theirs = { figure: { value: 0.05, unit: 'mg_L_P' as const }, lab: 'Another lab', report: '7', asWritten: '' };
		const bottles = [bottle('TE3-260512-N', { reports: { 'total-phosphorus': theirs } })];
		expect(only(phosphorus(), { bottles })).toMatchObject({ verdict: 'refused', write: null });
		expect(only(phosphorus(), { bottles }).why[0]).toContain('Another lab has reported 0.05 mg/L as P');
	});

	it('with no heading that is known are asked for it', () => {
		const { missingFields, unknown, lines } = plan([{ 'Lab ref': '7', Result: '1' }]);
		expect(missingFields).toEqual(['label', 'parameter', 'unit']);
		expect(unknown).toEqual([{ heading: 'Lab ref', example: '7' }]);
		expect(lines).toEqual([]);
	});
});

describe('the mark of decimals', () => {
	it('is read off the figures, and asked where they do not show it', () => {
		expect(decimalMarkOf(['0,12', '1.240,5'])).toBe('comma');
		expect(decimalMarkOf(['0.12', '1,240'])).toBe('point');
		expect(decimalMarkOf(['1,240', '12'])).toBeNull();
		expect(plan([phosphorus({ Result: '1,240', Units: 'µg/L' })])).toMatchObject({
			isDecimalAsked: true,
			lines: [{ verdict: 'refused' }]
		});
		const mapping = ReportMapping.parse({ decimals: 'point' });
		expect(only(phosphorus({ Result: '1,240', Units: 'µg/L' }), { mapping }).figure).toEqual({
			value: 1240,
			unit: 'ug_L_P'
		});
	});

	it('gives back what was written in either', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 9_999_999 }), (n) => {
				const value = n / 1000;
				const point = value.toFixed(3);
				expect(readReported(point, 'point')).toEqual({ number: value, qualifier: null });
				expect(readReported(point.replace('.', ','), 'comma')).toEqual({ number: value, qualifier: null });
			})
		);
	});

	it('does not read a formula', () => {
		expect(only(phosphorus({ Result: '=0.08+0.01' })).why[0]).toBe('“=0.08+0.01” is a formula, not a figure.');
	});
});
