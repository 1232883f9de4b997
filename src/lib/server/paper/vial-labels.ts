import type { Content } from 'pdfmake/interfaces';
import type { KeptIn } from '../../core/subjects/voucher/branch';
import { keptInWords } from '../../core/subjects/voucher/words';
import { counted, sayDay } from '../../core/wording';
import { print, tightLayout, type Letterhead } from './print';

const MM = 72 / 25.4;
/** As large as lies flat in a small vial, and as many as a sheet of either size holds. */
const WIDTH_mm = 46;
const HEIGHT_mm = 20;
const ACROSS = 4;
const DOWN = 12;
const MARGIN_mm = 12;

/** A lot of animals in its vial. */
export interface VialLabel {
	/** The code that stands on the visit's sheet too. */
	code: string;
	site: string;
	at_ms: number;
	taxon: string;
	/** What people call it. */
	called: string;
	count: number | null;
	keptIn: KeptIn | null;
}

/** Labels for vials, to be cut apart: the site and day, what it was counted as, and the program to send it back to. */
export function printVialLabels(
	labels: readonly VialLabel[],
	{ letterhead, timeZone }: { letterhead: Letterhead; timeZone: string }
): Promise<Uint8Array> {
	const cell = (label: VialLabel): Content => ({
		stack: [
			{ text: label.code, bold: true, fontSize: 8 },
			{ text: `${label.site}, ${sayDay(label.at_ms, timeZone, true)}`, fontSize: 6.5 },
			{ text: [...new Set([label.taxon, label.called])].join(', '), fontSize: 6.5 },
			{
				text: [
					...(label.count === null ? [] : [counted(label.count, 'animal')]),
					...(label.keptIn === null ? [] : [keptInWords[label.keptIn]]),
					letterhead.program
				].join(', '),
				fontSize: 5.5
			}
		],
		margin: [3, 3, 2, 0]
	});
	const rows: Content[][] = [];
	for (let i = 0; i < labels.length; i += ACROSS)
		rows.push(Array.from({ length: ACROSS }, (_, k): Content => (labels[i + k] ? cell(labels[i + k]!) : '')));
	const sheets = Array.from({ length: Math.ceil(rows.length / DOWN) }, (_, nth) =>
		rows.slice(nth * DOWN, (nth + 1) * DOWN)
	);
	return print({
		info: { title: 'Labels for vials' },
		pageSize: letterhead.size === 'A4' ? 'A4' : 'LETTER',
		pageMargins: [MARGIN_mm * MM, MARGIN_mm * MM, 0, 0],
		content: sheets.map((body, nth): Content => ({
			table: { widths: Array.from({ length: ACROSS }, () => WIDTH_mm * MM), heights: HEIGHT_mm * MM, body },
			layout: tightLayout(0.3),
			...(nth > 0 ? { pageBreak: 'before' as const } : {})
		}))
	});
}
