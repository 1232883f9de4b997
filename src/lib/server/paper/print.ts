import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { PaperSize } from '../../core/library';
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

/** A table whose cells begin at their edges, for what is stuck on or cut apart; `line`: how thick its lines are. */
export const tightLayout = (line: number) => ({
	hLineWidth: () => line,
	vLineWidth: () => line,
	paddingLeft: () => 0,
	paddingRight: () => 0,
	paddingTop: () => 0,
	paddingBottom: () => 0
});

/** What stands on every page of a program's papers, and how large these are. */
export interface Letterhead {
	program: string;
	/** Whom to call; '' where nobody is named. */
	telephone: string;
	size: PaperSize;
}

/**
 * A page in the house's hand, with the program, what the paper is, and the number of the page at its head. Parts of a
 * paper that begin pages of their own carry an id: `part` names them on these.
 */
export const paperPage = (
	title: string,
	{ program, telephone, size }: Letterhead,
	content: Content[],
	part: (id: string) => string = () => ''
): TDocumentDefinitions => ({
	info: { title },
	pageSize: size === 'A4' ? 'A4' : 'LETTER',
	pageMargins: [42, 46, 42, 28],
	header: pageHead([program, telephone].filter(Boolean).join(', '), title, content, part),
	defaultStyle: { fontSize: 10, lineHeight: 1.15 },
	styles: {
		title: { fontSize: 18, bold: true },
		section: { fontSize: 12, bold: true, margin: [0, 10, 0, 3] },
		small: { fontSize: 8.5 },
		strong: { bold: true }
	},
	content
});

/**
 * The head of each page. The pages are laid out when it is drawn: the printer has written onto each part of the
 * content where it lies.
 */
const pageHead =
	(program: string, title: string, content: readonly Content[], part: (id: string) => string) =>
	(page: number, pages: number): Content => {
		const begun = (content as unknown as Laid[]).filter(
			(c) => c.id !== undefined && (c.positions?.[0]?.pageNumber ?? Infinity) <= page
		);
		const id = begun.at(-1)?.id;
		return {
			margin: [42, 18, 42, 0],
			fontSize: 8.5,
			columns: [
				{ text: program, width: '*' },
				{ text: id === undefined ? title : part(id), width: 'auto' },
				{ text: `page ${page} of ${pages}`, width: '*', alignment: 'right' }
			]
		};
	};

interface Laid {
	id?: string;
	positions?: { pageNumber: number }[];
}

/** A table with rules between its rows and none beside them. */
export const ruledTable = (widths: (number | string)[], head: string[], rows: Content[][]): ContentTable => ({
	table: {
		headerRows: 1,
		keepWithHeaderRows: 1,
		dontBreakRows: true,
		widths,
		body: [head.map((text) => ({ text, bold: true, fontSize: 9 })), ...rows]
	},
	layout: {
		hLineWidth: () => 0.6,
		vLineWidth: () => 0,
		hLineColor: () => '#888888',
		paddingTop: () => 4,
		paddingBottom: () => 4
	}
});
