import type { Content } from 'pdfmake/interfaces';
import { bagsOf, type PackedBottle } from '../../core/custody';
import { bottleLabelWords } from '../../core/subjects/bottle/words';
import { LINE } from '../../core/subjects/blank';
import { counted, sayDay, sayTime } from '../../core/wording';
import { paperPage, print, ruledTable, type Letterhead } from './print';

/* What leaves with a box: the custody form that goes inside its lid, and the sheet with the address for its top. */

export interface PaperBox {
	code: string;
	lab: { name: string; address: string };
	bottles: readonly PackedBottle[];
	/** Who took it from whom, and when; null while it is being packed. */
	left: { from: string; courier: string; at_ms: number; seal: string } | null;
	timeZone: string;
	letterhead: Letterhead;
}

export function printShipment(box: PaperBox): Promise<Uint8Array> {
	const time = (at: string | null) =>
		at === null ? '____' : `${sayDay(Date.parse(at), box.timeZone)} ${sayTime(Date.parse(at), box.timeZone)}`;
	const hands: Content[][] = box.left
		? [[box.left.from, box.left.courier, time(new Date(box.left.at_ms).toISOString()), '____', ' ']]
		: [];
	const { letterhead } = box;
	return print(
		paperPage(`Box ${box.code} to ${box.lab.name}`, letterhead, [
			{ text: `Custody of box ${box.code}`, style: 'title' },
			{
				text: `${counted(box.bottles.length, 'bottle')} to ${box.lab.name}. In a bag on the inside of the lid.`,
				margin: [0, 2, 0, 8]
			},
			...bagsOf(box.bottles).flatMap(({ holds, bottles }): Content[] => [
				{ text: holds === null ? 'Nothing added' : `With ${holds}`, style: 'section' },
				ruledTable(
					[110, '*', 120, 90],
					['bottle', 'from', 'for', 'filled'],
					bottles.map((b) => [
						{ text: b.label ?? LINE, style: 'strong' },
						b.site,
						bottleLabelWords[b.kind],
						time(b.filledAt)
					])
				)
			]),
			{ text: 'From hand to hand', style: 'section' },
			ruledTable(
				['*', '*', 100, 80, 110],
				['given by', 'taken by', 'date and time', '°C in the box', 'signature'],
				[...hands, ...Array.from({ length: 4 - hands.length }, (): Content[] => [' ', ' ', ' ', ' ', ' '])]
			),
			{ text: `Seal number: ${box.left?.seal || LINE}   whole on arrival: yes / no`, margin: [0, 12, 0, 0] },
			{
				text:
					'On arrival: read the temperature, sign, and send this form ' +
					`back${letterhead.telephone ? `, or call ${letterhead.telephone}` : ''}.`,
				margin: [0, 6, 0, 0]
			},
			{
				pageBreak: 'before',
				stack: [
					{ text: 'To', style: 'small' },
					{ text: box.lab.name, fontSize: 30, bold: true },
					...lines(box.lab.address).map((text): Content => ({ text, fontSize: 22 })),
					{ text: 'From', style: 'small', margin: [0, 40, 0, 0] },
					{ text: letterhead.program, fontSize: 18, bold: true },
					...(letterhead.telephone ? [{ text: letterhead.telephone, fontSize: 16 }] : []),
					{ text: `Box ${box.code}`, fontSize: 22, bold: true, margin: [0, 40, 0, 0] },
					{ text: 'Water samples of a stream. Keep cold, keep upright, open at the lab only.', fontSize: 16 }
				]
			}
		])
	);
}

/** An address as it is written on an envelope; lines for a pencil where nobody said it. */
function lines(address: string): string[] {
	const parts = address
		.split(/[,\n]/)
		.map((p) => p.trim())
		.filter((p) => p !== '');
	return parts.length > 0 ? parts : [`${LINE}${LINE}`, `${LINE}${LINE}`];
}
