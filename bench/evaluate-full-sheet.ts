import { resolve } from 'node:path';
import { chromium } from '@playwright/test';
import { build, type Rolldown } from 'vite';
import { chromiumOptions } from '../scripts/chromium';
import { median, type Bench } from './measure';

const FRAME_ms = 16;
const SLOWER = 6;

export const evaluateFullSheet: Bench = {
	name: 'evaluate-full-sheet',
	unit: 'ms',
	reach: 1,
	theirs: 'one frame',
	needs: 'nothing',
	run: async () => {
		const built = (await build({
			configFile: false,
			logLevel: 'silent',
			build: {
				write: false,
				minify: true,
				lib: { entry: resolve('bench/evaluate-in-page.ts'), formats: ['iife'], name: 'bench' }
			}
		})) as Rolldown.RolldownOutput[];
		const script = [built].flat()[0]!.output[0].code;
		const browser = await chromium.launch(chromiumOptions);
		const page = await browser.newPage();
		const devtools = await page.context().newCDPSession(page);
		await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
		await page.addScriptTag({ content: script });
		const times = await page.evaluate(() => (globalThis as unknown as { evaluateTimes: number[] }).evaluateTimes);
		await browser.close();
		return {
			ours: median(times),
			theirs: FRAME_ms,
			note:
				`fold and evaluate, throttled ${String(SLOWER)} times; first run ${times[0]!.toFixed(0)} ms, slowest ` +
				`${Math.max(...times).toFixed(0)} ms`
		};
	}
};
