import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, ContentTable, TDocumentDefinitions } from 'pdfmake/interfaces';

const require = createRequire(import.meta.url);
const folder = join(dirname(require.resolve('@fontsource/atkinson-hyperlegible-next/package.json')), 'files');
const font = (weight: number) => join(folder, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`);

pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.startsWith(folder));
pdfmake.addFonts({ Text: { normal: font(400), bold: font(700), italics: font(400), bolditalics: font(700) } });

/** A document as PDF, in our own typeface. Nothing is fetched, and no file but the typeface is read. */
export const print = (document: TDocumentDefinitions): Promise<Uint8Array> =>
	pdfmake.createPdf({ ...document, defaultStyle: { font: 'Text', fontSize: 9, ...document.defaultStyle } }).getBuffer();

/** An A4 page in the house's hand. */
export const paperPage = (title: string, content: Content[]): TDocumentDefinitions => ({
	info: { title },
	pageSize: 'A4',
	pageMargins: [42, 32, 42, 28],
	defaultStyle: { fontSize: 10, lineHeight: 1.15 },
	styles: {
		title: { fontSize: 18, bold: true },
		section: { fontSize: 12, bold: true, margin: [0, 10, 0, 3] },
		small: { fontSize: 8.5 },
		strong: { bold: true }
	},
	content
});

/** A table with rules between its rows and none beside them. */
export const ruledTable = (widths: (number | string)[], head: string[], rows: Content[][]): ContentTable => ({
	table: { headerRows: 1, widths, body: [head.map((text) => ({ text, bold: true, fontSize: 9 })), ...rows] },
	layout: {
		hLineWidth: () => 0.6,
		vLineWidth: () => 0,
		hLineColor: () => '#888888',
		paddingTop: () => 4,
		paddingBottom: () => 4
	}
});
