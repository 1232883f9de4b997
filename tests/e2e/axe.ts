import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

const LEVEL_AA = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What a page breaks of WCAG 2.2 AA, or of some rules, each with the places where it does. */
export async function brokenOn(page: Page, rules: string[] | null = null): Promise<string[]> {
	// what passes is not told: naming each of thousands of cells takes longer than judging them; there are no frames
	const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
	const { violations } = await (rules ? axe.withRules(rules) : axe.withTags(LEVEL_AA)).analyze();
	return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`);
}
