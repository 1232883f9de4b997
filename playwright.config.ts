import { defineConfig, devices } from '@playwright/test';
import { chromiumOptions } from './scripts/chromium';

const phone = { ...devices['Pixel 7'], viewport: { width: 390, height: 844 } };
const desk = { ...devices['Desktop Chrome'], viewport: { width: 1280, height: 800 } };

/* `npm test` serves the built application with the demo and gives its address; everyone signs in once, at the start. */
export default defineConfig({
	testDir: 'tests/e2e',
	outputDir: 'test-results/browser',
	workers: 2,
	fullyParallel: true,
	timeout: 180_000,
	expect: { timeout: 30_000 },
	retries: 0,
	reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
	use: {
		baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:5180',
		actionTimeout: 30_000,
		navigationTimeout: 60_000,
		trace: process.env['TRACE'] ? 'retain-on-failure' : 'off', // recording every test costs a third of the time
		launchOptions: chromiumOptions
	},
	projects: [
		{ name: 'sign-in', testMatch: /everyone-signs-in/ },
		{ name: 'phone', use: phone, testMatch: /\.phone\.spec/, dependencies: ['sign-in'] },
		{ name: 'desk', use: desk, testMatch: /\.desk\.spec/, dependencies: ['sign-in'] }
	]
});
