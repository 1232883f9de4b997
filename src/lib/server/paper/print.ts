import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

const require = createRequire(import.meta.url);
const folder = join(dirname(require.resolve('@fontsource/atkinson-hyperlegible-next/package.json')), 'files');
const font = (weight: number) => join(folder, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`);

pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.startsWith(folder));
pdfmake.addFonts({ Text: { normal: font(400), bold: font(700), italics: font(400), bolditalics: font(700) } });

/** A document as PDF, in our own typeface. Nothing is fetched, and no file but the typeface is read. */
export const print = (document: TDocumentDefinitions): Promise<Buffer> =>
	pdfmake.createPdf({ ...document, defaultStyle: { font: 'Text', fontSize: 9, ...document.defaultStyle } }).getBuffer();
