import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { tick, type Entry } from '../../src/lib/core/logbook';
import type { Satchel } from '../../src/lib/core/satchel';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

test('a meter and two titrations are both kept and compared; a reviewer may report the other, with why', async ({
	page
}) => {
	const satchel = (await (await page.request.get('/api/satchel')).json()) as Satchel;
	const site = satchel.sites.find((s) => s.code === 'HO2')!;
	const card = satchel.cards.find((c) => c.inUse && c.card.steps.some((s) => s.tool === 'titration'))!;
	const visitId = v7();
	const at_ms = Date.parse('2025-03-04T09:00:00Z');
	let last: string | null = null;
	const write = (path: string, value: unknown): Entry => {
		last = tick(last, at_ms);
		return { id: v7(), visitId, at: last, by: satchel.member.id, device: 'a test', path, op: 'set', value, was: null };
	};
	const titration = (n: number, drops: number) => [
		write(`titrations/${n}/drops`, drops),
		write(`titrations/${n}/mgLPerDrop`, 0.5)
	];
	const entries = [
		write('opening', { siteId: site.id, cardVersionId: card.id, startedAt: new Date(at_ms).toISOString() }),
		write('readings/dissolved-oxygen/left', { value: 10.8, unit: 'mg_L' }),
		...titration(1, 5),
		...titration(2, 6),
		write('leaving/at', new Date(at_ms + 3_600_000).toISOString())
	];
	const answer = await page.request.post('/api/sync', { data: { since: null, entries } });
	expect(answer.status()).toBe(200);
	expect(((await answer.json()) as { refused: unknown[] }).refused).toEqual([]);

	await page.goto(`/visits/${visitId}`);
	const reported = page.locator('#dissolved-oxygen');
	const other = page.locator('tr.other');
	await expect(reported).toContainText('10.8');
	await expect(other).toContainText('Also found by titration');
	await expect(other).toContainText('2.5');
	await expect(other).toContainText(
		/10\.80? mg\/L by a meter, 2\.5 mg\/L by titration; they lie further apart than both are sure/
	);

	await other.getByLabel('Report this one').check();
	await page.getByRole('button', { name: 'Save 1 judgement' }).click();
	await expect(other.getByRole('alert')).toHaveText('Say why this one is reported instead.');
	await other.getByLabel('Reason, for Dissolved oxygen by titration').fill('the membrane was torn');
	await page.getByRole('button', { name: 'Save 1 judgement' }).click();
	await expect(reported).toContainText('2.5');
	await expect(reported).toContainText(/chose it: the membrane was torn/);
	await expect(other).toContainText('Also found by a meter');

	await other.getByLabel('Reject').check();
	await other.getByLabel('Reason, for Dissolved oxygen by a meter').fill('torn membrane');
	await page.getByRole('button', { name: 'Save 1 judgement' }).click();
	await expect(other).toContainText(/Rejected\s+by .*: torn membrane/);
	await expect(reported).toContainText('2.5');

	const csv = await (await page.request.get(`/sites/${site.code}/series.csv?p=dissolved-oxygen&span=all`)).text();
	const row = csv.split('\n').find((line) => line.includes(visitId))!;
	expect(row).toMatch(/,2\.5,/);
	expect(row.trim()).toMatch(/,titration$/);
	await page.goto(`/sites/${site.code}?p=dissolved-oxygen&span=all`);
	await expect(
		page.getByText(/Found by a meter \(\d+\), titration \(1\)\. Dashed lines mark a change of way/)
	).toBeVisible();
});
