import type { Column, Content } from 'pdfmake/interfaces';
import { animalKey, type Described } from '../../core/identification';
import { drawingOf, isClosed, weights, type Drawing } from '../../core/identification/drawings';
import { animalList, type AnimalList, type OwnAnimal } from '../../core/macroinvertebrates';
import { paperPage, print, type Letterhead } from './print';

const COLUMNS = 6;

/** A drawing as it stands on paper: black, without a colour. */
function svgOf({ strokes, bar }: Drawing): string {
	const paths = strokes.map((s) => {
		const paper = isClosed(s) ? '#fff' : 'none';
		const fill = s.weight === 'filled' ? '#000' : paper;
		return `<path d="${s.d}" fill="${fill}" stroke-width="${weights[s.weight]}"/>`;
	});
	const scale = bar ? `<path d="M${94 - bar.length} 95h${bar.length}" stroke-width="${weights.inner}"/>` : '';
	return (
		'<svg viewBox="0 0 100 100" stroke="#000" stroke-linecap="round" ' +
		`stroke-linejoin="round">${paths.join('')}${scale}</svg>`
	);
}

interface OnPaper {
	letterhead: Letterhead;
	/** What the program says of its own animals. */
	own: OwnAnimal[];
}

/** The animals of the key as drawings, for those without a phone: by group, what to look at below each. */
export function printAnimals({ letterhead, own }: OnPaper): Promise<Uint8Array> {
	const animals = animalList(own);
	const { described } = animalKey(own);
	const orderOf = (t: Described) => animals.of(t.code)!.order;
	const orders = [...new Set(described.map(orderOf))];
	const toldHere = new Map(own.filter((o) => o.tell).map((o) => [o.code, o.tell]));
	const groupOf = (order: string) =>
		groupOnPaper(
			order,
			described.filter((t) => orderOf(t) === order),
			animals,
			toldHere
		);
	return print(
		paperPage('Animals of the stream', letterhead, [
			{ text: 'Animals of the stream', style: 'title' },
			{
				text:
					'The thickest line is what to look at. Where no drawing fits, write “unknown” and keep one in a ' +
					'labelled vial.',
				margin: [0, 2, 0, 2]
			},
			...orders.map(groupOf)
		])
	);
}

/** Kinds that one drawing stands for share a cell; what the program says of one of them stands below the drawing. */
function groupOnPaper(
	order: string,
	kinds: readonly Described[],
	animals: AnimalList,
	toldHere: ReadonlyMap<string, string>
): Content {
	const drawn = [...new Set(kinds.map((t) => t.drawing))].map((name) => ({
		name,
		codes: kinds.filter((t) => t.drawing === name).map((t) => t.code)
	}));
	const cells = drawn.map(({ name, codes }): Column => ({
		width: `${100 / COLUMNS}%`,
		stack: [
			{ svg: svgOf(drawingOf(name)), width: 64, alignment: 'center' },
			{ text: [...new Set(codes.map(animals.nameOf))].join(', '), style: 'strong', fontSize: 9 },
			{ text: codes.join(', '), fontSize: 7.5 },
			{ text: drawingOf(name).tells, fontSize: 8 },
			...codes.flatMap((c) => (toldHere.has(c) ? [{ text: `${c}: ${toldHere.get(c)!}`, fontSize: 8 }] : []))
		],
		margin: [0, 2, 6, 6]
	}));
	const rows = Array.from({ length: Math.ceil(cells.length / COLUMNS) }, (_, r) =>
		cells.slice(COLUMNS * r, COLUMNS * (r + 1))
	);
	const name = animals.nameOf(order);
	const [first = [], ...others] = rows;
	return [
		// a heading never stands alone at the foot of a page
		{
			unbreakable: true,
			stack: [{ text: name === order ? name : `${name}, ${order}`, style: 'section' }, { columns: first }]
		},
		...others.map((columns): Content => ({ unbreakable: true, stack: [{ columns }] }))
	];
}
