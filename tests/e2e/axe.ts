import type { Page } from '@playwright/test';
import axe from 'axe-core';

const LEVEL_AA: axe.RunOnly = { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] };

/** What a page breaks of WCAG 2.2 AA, or of some rules, each with the places where it does. */
export async function brokenOn(page: Page, rules: string[] | null = null): Promise<string[]> {
	// its half a megabyte is given to each page once, not for each look at it
	if (!(await page.evaluate(() => 'axe' in window))) {
		await page.evaluate(axe.source);
		await page.evaluate(() => {
			const atOnce = new CSSStyleSheet(); // a colour on its way to another is neither
			atOnce.replaceSync('*, *::before, *::after { transition: none !important }');
			document.adoptedStyleSheets.push(atOnce);
		});
	}
	const runOnly: axe.RunOnly = rules ? { type: 'rule', values: rules } : LEVEL_AA;
	const violations = await page.evaluate(async (runOnly) => {
		const there = (window as unknown as { axe: typeof axe }).axe;
		// what passes is not told: naming each of thousands of cells takes longer than judging them; there are no frames
		return (await there.run({ runOnly, resultTypes: ['violations'], iframes: false })).violations;
	}, runOnly);
	return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`);
}
