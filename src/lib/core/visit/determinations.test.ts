import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../tests/a-line';
import { flagSentence } from '../subjects/flags';
import { fold, whyRefused } from '../logbook';
import { fullVisit, streamVisit, type MethodCard } from '../method';
import { doubtsAbout, evaluate, judgedText } from '.';
import { type Determination } from '../subjects/determination';
import { type Context } from '../subjects/context';

const start = Date.UTC(2026, 4, 14, 9);
const probe = {
	code: 'M-1',
	measures: { 'dissolved-oxygen': { low: 0, high: 20, accuracy: 0.3, resolution: 0.1, calibrationDays: 1 } }
};
const calibrated = (at: string) => ({ 'M-1': { ...probe, calibratedAt: { 'dissolved-oxygen': at } } });
const context: Context = {
	now_ms: start,
	site: { elevation_m: 200, usual: {} },
	instruments: calibrated('2026-05-14T07:00:00Z')
};

function see(lines: Record<string, unknown>, more: Partial<Context> = {}, card: MethodCard = streamVisit) {
	const entries = Object.entries(lines).map(([path, value], i) => aLine(i + 1, start + i, path, value));
	return evaluate(fold(entries), card, { ...context, ...more });
}
const oxygenOf = (determinations: readonly Determination[]) =>
	determinations.filter((d) => d.parameter === 'dissolved-oxygen');

const titrated = (n: number, drops: number) => ({
	[`titrations/${n}/drops`]: drops,
	[`titrations/${n}/mgLPerDrop`]: 0.5
});
const metered = { 'readings/dissolved-oxygen/left': { value: 10.8, unit: 'mg_L', instrument: 'M-1' } };
const both = { ...titrated(1, 5), ...titrated(2, 6), ...metered };

describe('a meter and two titrations of one water', () => {
	it('are both kept, and the calibrated meter is reported', () => {
		const { determinations, results } = see(both);
		expect(oxygenOf(determinations)).toMatchObject([
			{ way: 'meter', from: 'readings.dissolved-oxygen', isReported: true, figure: { value: 10.8 } },
			{ way: 'titration', from: 'titrations', isReported: false, readings: 2 }
		]);
		expect(oxygenOf(results)).toHaveLength(1);
	});
	it('are reported in the order of the card, where it has one of its own', () => {
		const card = { ...streamVisit, ways: ['titration', 'meter'] as const };
		const { results } = see(both, {}, { ...card, ways: [...card.ways] });
		expect(oxygenOf(results)).toMatchObject([{ way: 'titration' }]);
	});
	it('are held against each other, with both figures', () => {
		const flag = see(both).flags.find((f) => f.code === 'ways-apart')!;
		expect(flag).toMatchObject({ path: 'titrations', parameter: 'dissolved-oxygen' });
		expect(flagSentence(flag)).toMatch(/10\.80 mg\/L by a meter, 2\.5 mg\/L by titration/);
	});
	it('that agree within both uncertainties are no doubt', () => {
		const agreeing = { ...titrated(1, 22), ...titrated(2, 22), ...metered };
		expect(see(agreeing).flags.map((f) => f.code)).not.toContain('ways-apart');
	});
	it('of which one does not say how sure it is are compared all the same, and that is said', () => {
		const unnamed = {
			...titrated(1, 5),
			...titrated(2, 6),
			'readings/dissolved-oxygen/left': { value: 10.8, unit: 'mg_L' }
		};
		const flag = see(unnamed).flags.find((f) => f.code === 'ways-apart')!;
		expect(flagSentence(flag)).toMatch(/further apart than both are sure \(± 10 % where nobody said/);
	});
	it('whose meter is out of calibration: the titration is reported', () => {
		const { determinations } = see(both, { instruments: calibrated('2026-05-01T07:00:00Z') });
		expect(oxygenOf(determinations).map((d) => [d.way, d.isReported])).toEqual([
			['titration', true],
			['meter', false]
		]);
	});
	it('the share of what the water holds follows the reported one', () => {
		const warm = { 'readings/water-temperature/left': { value: 10, unit: 'degC' } };
		const share = (more: Partial<Context> = {}) =>
			see({ ...both, ...warm }, more).results.find((r) => r.parameter === 'oxygen-saturation')!.figure;
		const ofMeter = share();
		const ofTitration = share({ instruments: calibrated('2026-05-01T07:00:00Z') });
		expect('value' in ofMeter && 'value' in ofTitration && ofMeter.value / ofTitration.value).toBeCloseTo(
			10.8 / 2.5,
			6
		);
	});
});

describe('what a reviewer says', () => {
	const [first, second] = oxygenOf(see(both).determinations) as [Determination, Determination];
	const verdict = (of: Determination, word: string) => ({
		[`verdicts/dissolved-oxygen/${of.from}`]: {
			verdict: word,
			reason: word === 'accept' ? '' : 'the probe was dry',
			judged: judgedText(of)
		}
	});

	it('is of one determination: a rejected one is not reported while there is another', () => {
		const { determinations } = see({ ...both, ...verdict(first, 'reject') });
		expect(oxygenOf(determinations)).toMatchObject([
			{ way: 'titration', isReported: true, status: 'waiting' },
			{ way: 'meter', isReported: false, status: 'rejected' }
		]);
		expect(see({ ...both, ...verdict(first, 'reject') }).flags.map((f) => f.code)).not.toContain('ways-apart');
	});
	it('stays with each, however often the other changes', () => {
		const { determinations } = see({ ...both, ...verdict(first, 'reject'), ...verdict(second, 'accept') });
		expect(oxygenOf(determinations).map((d) => [d.way, d.status])).toEqual([
			['titration', 'accepted'],
			['meter', 'rejected']
		]);
	});
	it('where all are rejected the first stands there, rejected', () => {
		const { results } = see({ ...both, ...verdict(first, 'reject'), ...verdict(second, 'reject') });
		expect(oxygenOf(results)).toMatchObject([{ way: 'meter', status: 'rejected' }]);
	});
	it('may be that another one is reported, with why', () => {
		const chosen = { 'reported/dissolved-oxygen': { from: 'titrations', reason: 'the membrane was torn' } };
		const { determinations, results } = see({ ...both, ...chosen });
		expect(oxygenOf(results)).toMatchObject([{ way: 'titration', choice: { reason: 'the membrane was torn' } }]);
		expect(oxygenOf(determinations)).toHaveLength(2);
		expect(oxygenOf(see({ ...both, ...chosen, ...verdict(second, 'reject') }).results)).toMatchObject([
			{ way: 'meter', choice: null }
		]);
	});
	it('needs a reason for such a choice', () => {
		expect(whyRefused('reported/dissolved-oxygen', { from: 'titrations', reason: ' ' })).toMatch(/why this one/);
	});
	it('of older logbooks is about the figure that it quotes', () => {
		const older = (of: Determination) => ({
			'reviews/dissolved-oxygen': { verdict: 'accept', reason: '', judged: judgedText(of) }
		});
		expect(oxygenOf(see({ ...both, ...older(second) }).determinations).map((d) => [d.way, d.status])).toEqual([
			['meter', 'waiting'],
			['titration', 'accepted']
		]);
		const changed = { 'reviews/dissolved-oxygen': { verdict: 'accept', reason: '', judged: '9.9 mg/L' } };
		expect(see({ ...both, ...changed }).flags.filter((f) => f.code === 'changed-since-review')).toHaveLength(1);
	});
});

describe('a colour kit and the lab', () => {
	const kit = fullVisit.steps.find((s) => s.tool === 'kit' && s.parameter === 'nitrate')!;
	const strip = { [`readings/nitrate/${kit.id}`]: { value: 2, unit: 'mg_L_N' } };
	const lab = { 'bottles/n/kind': 'nutrients', 'bottles/n/results/nitrate': { value: 4.1, unit: 'mg_L_N' } };
	const nitrate = (lines: Record<string, unknown>) =>
		see(lines, {}, fullVisit).determinations.filter((d) => d.parameter === 'nitrate');

	it('are both kept; the lab is reported, whichever came first', () => {
		expect(nitrate({ ...strip, ...lab }).map((d) => [d.way, d.isReported])).toEqual([
			['lab', true],
			['kit', false]
		]);
	});
	it('a kit beside a meter is not averaged with it', () => {
		const meter = { 'readings/nitrate/mid': { value: 3, unit: 'mg_L_N' } };
		expect(nitrate({ ...strip, ...meter }).map((d) => [d.way, d.readings])).toEqual([
			['meter', 1],
			['kit', 1]
		]);
	});
	it('have their own doubts, each at its own figure', () => {
		const outcome = see({ ...strip, 'readings/nitrate/mid': { value: 30, unit: 'mg_L_N' } }, {}, fullVisit);
		const [meter, kitFigure] = outcome.determinations.filter((d) => d.parameter === 'nitrate') as [
			Determination,
			Determination
		];
		const about = (d: Determination) => doubtsAbout(d, outcome).map((f) => f.path);
		expect(about(meter).length + about(kitFigure).length).toBe(
			outcome.flags.filter((f) => f.parameter === 'nitrate').length
		);
		expect(about(kitFigure)).toContain(`readings/nitrate/${kit.id}`);
		expect(about(meter)).not.toContain(`readings/nitrate/${kit.id}`);
	});
});
