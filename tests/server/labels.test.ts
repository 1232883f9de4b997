import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { readLabelCode, roundLabels } from '../../src/lib/core/custody';
import { printLabels, type LabelStock } from '../../src/lib/server/paper/labels';

const labels = roundLabels({
	date: '2026-05-15',
	sites: Array.from({ length: 11 }, (_, i) => `TE${i + 1}`),
	bottles: [{ kind: 'bacteria' }, { kind: 'nutrients', preserved: 'acid' }],
	duplicates: ['TE2'],
	blanks: ['TE9']
});

/** The pages of a PDF as pictures, coarser than any phone takes them. */
function pictures(pdf: Uint8Array, dpi: number): PNG[] {
	const folder = mkdtempSync(join(tmpdir(), 'labels-'));
	writeFileSync(join(folder, 'labels.pdf'), pdf);
	execFileSync('pdftoppm', ['-r', String(dpi), '-png', join(folder, 'labels.pdf'), join(folder, 'page')]);
	const names = execFileSync('ls', [folder])
		.toString()
		.split('\n')
		.filter((n) => n.endsWith('.png'));
	return names.map((name) => PNG.sync.read(readFileSync(join(folder, name))));
}

/** One label of a page, as it would lie in front of a camera: cut out, and blurred as by a hand that is not still. */
function photographed(
	page: PNG,
	across: number,
	down: number,
	i: number
): { data: Uint8ClampedArray; width: number; height: number } {
	const [width, height] = [Math.floor(page.width / across), Math.floor(page.height / down)];
	const [left, top] = [(i % across) * width, Math.floor(i / across) * height];
	const data = new Uint8ClampedArray(width * height * 4);
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) {
			let sum = 0;
			for (const [dx, dy] of [
				[0, 0],
				[1, 0],
				[0, 1],
				[1, 1]
			] as const)
				sum +=
					page.data[
						4 * (Math.min(page.height - 1, top + y + dy) * page.width + Math.min(page.width - 1, left + x + dx))
					]!;
			const grey = 40 + (sum / 4) * 0.7; // dull light
			data.set([grey, grey, grey, 255], 4 * (y * width + x));
		}
	return { data, width, height };
}

describe('labels, printed and photographed', () => {
	it.each<[LabelStock, number, number, number]>([
		['sheet', 3, 8, 2],
		['roll', 1, 1, labels.length]
	])('every code on the %s is read again, and there are no two alike', async (stock, across, down, pageCount) => {
		const pdf = await printLabels(
			labels.map((l) => ({
				...l,
				day: 'Fri 15 May',
				program: 'Tessel Stream Watch',
				siteName: `Tessel ${l.site}`,
				address: `https://streams.example.org/sample?label=${l.code}`
			})),
			stock
		);
		const pages = pictures(pdf, 200);
		expect(pages).toHaveLength(pageCount);
		const read = pages
			.flatMap((page) => Array.from({ length: across * down }, (_, i) => photographed(page, across, down, i)))
			.map((p) => jsQR(p.data, p.width, p.height)?.data);
		const codes = read.filter((text) => text !== undefined).map((text) => readLabelCode(text)?.code);
		expect(codes).toEqual(labels.map((l) => l.code));
		expect(new Set(codes).size).toBe(labels.length);
	});
});
