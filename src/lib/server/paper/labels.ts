import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { BottleLabel } from '../../core/custody';
import { toString as matrixCode } from 'qrcode';
import { bottleLabelWords } from '../../core/subjects/bottle/words';
import { print, tightLayout } from './print';

const MM = 72 / 25.4;

/** Labels that are sold everywhere, in mm: a sheet of 24 on A4, and a roll for small label printers. */
const stocks = {
	sheet: { width: 70, height: 37, across: 3, down: 8, top: 0.5, left: 0 },
	roll: { width: 62, height: 29, across: 1, down: 1, top: 0, left: 0 }
} as const;
export type LabelStock = keyof typeof stocks;
export const labelStocks = Object.keys(stocks) as [LabelStock, ...LabelStock[]];

/** Room that a reader needs around a code: four of its dots, in points. */
const QUIET = 10;

const roleWords = { routine: '', duplicate: 'duplicate', blank: 'blank' } as const;

/** A label with the site's name, and what its matrix code says: an address that opens the bottle in Sample. */
export interface PrintedLabel extends BottleLabel {
	siteName: string;
	/** The day as people read it, and whose bottle it is. */
	day: string;
	program: string;
	address: string;
}

/** The labels of a round as PDF. */
export async function printLabels(labels: readonly PrintedLabel[], stock: LabelStock): Promise<Uint8Array> {
	const size = stocks[stock];
	const code_mm = size.height - 6.5;
	const codes = new Map<string, string>();
	for (const { code, address } of labels)
		codes.set(code, await matrixCode(address, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' }));
	const cell = (label: PrintedLabel): Content => ({
		columns: [
			{ svg: codes.get(label.code)!, width: code_mm * MM },
			{
				width: '*',
				stack: [
					{ text: label.code, bold: true, fontSize: 10 },
					{ text: label.siteName, fontSize: 9 },
					{ text: [bottleLabelWords[label.kind], ...(label.preserved ? [`, ${label.preserved}`] : [])], fontSize: 7.5 },
					...(label.role === 'routine'
						? []
						: [{ text: roleWords[label.role].toUpperCase(), bold: true, fontSize: 7.5 }]),
					{ text: 'filled at  ____ : ____', fontSize: 8, margin: [0, 1, 0, 0] as [number, number, number, number] },
					{ text: `by  _____  ${label.day}`, fontSize: 7.5 },
					{ text: label.program, fontSize: 5.5 }
				]
			}
		],
		columnGap: QUIET,
		margin: [QUIET, QUIET - 2, 2, 0]
	});
	const rows: Content[][] = [];
	for (let i = 0; i < labels.length; i += size.across)
		rows.push(Array.from({ length: size.across }, (_, k): Content => (labels[i + k] ? cell(labels[i + k]!) : '')));
	const page: TDocumentDefinitions['pageSize'] =
		stock === 'sheet' ? 'A4' : { width: size.width * MM, height: size.height * MM };
	return print({
		info: { title: 'Bottle labels' },
		pageSize: page,
		pageMargins: [size.left * MM, size.top * MM, 0, 0],
		content: rows.map((row, i): Content => ({
			table: { widths: row.map(() => size.width * MM), heights: size.height * MM - 0.2, body: [row] },
			layout: tightLayout(0),
			...(i > 0 && i % size.down === 0 ? { pageBreak: 'before' as const } : {})
		}))
	});
}
