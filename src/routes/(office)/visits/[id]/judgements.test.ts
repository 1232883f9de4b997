import { describe, expect, it } from 'vitest';
import { readJudgements } from './judgements';

const formOf = (rows: Record<string, string>[]) => {
	const form = new FormData();
	rows.forEach((row, i) => {
		const whole = { parameter: 'ph', from: 'readings.ph', judged: 'pH 7.0', reason: '', ...row };
		for (const [name, value] of Object.entries(whole)) form.set(`${name}.${i}`, value);
	});
	return form;
};

describe('the table of results, sent as one form', () => {
	it('says something only in the rows where a word was chosen', () => {
		const { said } = readJudgements(
			formOf([{ verdict: 'accept' }, {}, { verdict: 'reject', reason: ' dry probe ', from: 'readings.ph.2' }])
		);
		expect(said.map((s) => [s.from, s.verdict, s.reason])).toEqual([
			['readings.ph', 'accept', ''],
			['readings.ph.2', 'reject', 'dry probe']
		]);
	});

	it.each([
		[{ verdict: 'qualify' }, /needs a reason/],
		[{ verdict: 'report', reason: '  ' }, /Say why this one is reported instead/],
		[{ verdict: 'maybe' }, /Say accept, qualify, reject or report/],
		[{ verdict: 'accept', reason: 'x'.repeat(501) }, /At most 500/],
		[{ verdict: 'accept', parameter: 'fish' }, /not the name of a parameter/]
	])('%j is said in its row, as it was typed', (row, why) => {
		const { said, typed } = readJudgements(formOf([{ verdict: 'accept' }, row]));
		expect(said).toHaveLength(1);
		expect(typed[1]).toMatchObject({ verdict: row.verdict, why: expect.stringMatching(why) as string });
	});
});
