import { blankWater } from '../../custody';
import type { Packed, PackedRound, PackGroup, PackLine } from '../packed';
import type { BottleStep } from './step';
import { bottlesWords } from './words';

const BLANK_mL = 250; // water for one blank: rinse and fill
const ICE_kg_A_COOLER = 2;
const BOTTLES_A_COOLER = 12;
const SPARE_SHARE = 10;

type Bottle = BottleStep['bottle'];

const line = (id: string, group: PackGroup, what: string, count: number, because: string, unit?: string): PackLine => ({
	id,
	group,
	what,
	count,
	because,
	...(unit === undefined ? {} : { unit })
});

/**
 * Bottles are analyses × (routine + duplicate + blank); what goes with them follows from their number and how they
 * are preserved.
 */
export const bottlePack: Packed<'bottle'> = {
	lines(steps, round) {
		const bottles = steps.map((s) => s.bottle);
		const samples = round.sites.length + round.duplicates.length + round.blanks.length;
		const all = bottles.length * samples;
		const spare = Math.ceil(all / SPARE_SHARE);
		return [
			...bottles.map((b) => line(`bottle-${b.id}`, 'bottles', bottlesWords[b.kind], samples, each(round))),
			line(
				'bottle-spare',
				'bottles',
				'spare bottles, the same kinds',
				spare,
				`one in ${SPARE_SHARE} is dropped, opened too early or touched inside`
			),
			...preservedLines(bottles, samples, all),
			...blankLines(bottles, round.blanks.length),
			line(
				'filter',
				'with the bottles',
				'filters and a syringe',
				bottles.filter((b) => b.isFiltered).length * samples,
				'dissolved nutrients are filtered on the bank'
			),
			...coldLines(Math.ceil((all + spare) / BOTTLES_A_COOLER)),
			line('label', 'with the bottles', 'labels, printed', all, 'on the bottle, never on the lid, before it is filled'),
			line('custody', 'paper', 'custody form', all > 0 ? 1 : 0, 'in a bag inside the lid of the cooler')
		];
	},
	hurts: (steps) => steps.flatMap((s) => s.bottle.preserved ?? [])
};

function preservedLines(bottles: readonly Bottle[], samples: number, all: number): PackLine[] {
	const preserved = bottles.flatMap((b) => (b.preserved === undefined ? [] : [{ ...b, preserved: b.preserved }]));
	const plain = preserved.length ? 'bag for bottles with nothing added' : 'bag for the bottles';
	return [
		...preserved.flatMap((b) => [
			line(
				`vial-${b.id}`,
				'with the bottles',
				`${b.preserved} vials`,
				samples,
				`one for each ${bottlesWords[b.kind]}, matched by label`
			),
			line(
				`bag-${b.preserved}`,
				'with the bottles',
				`bag for bottles with ${b.preserved}`,
				1,
				'bottles are bagged by what preserves them'
			)
		]),
		line('bag-plain', 'with the bottles', plain, all > 0 ? 1 : 0, 'a leak stays in its bag')
	];
}

const blankLines = (bottles: readonly Bottle[], blanks: number): PackLine[] =>
	[...new Set(bottles.map((b) => blankWater[b.kind]))].map((water) => {
		const filled = bottles.filter((b) => blankWater[b.kind] === water).length;
		const id = `blank-${water.replaceAll(' ', '-')}`;
		return line(
			id,
			'with the bottles',
			water,
			blanks * filled * BLANK_mL,
			`${BLANK_mL} mL for each bottle of a blank`,
			'mL'
		);
	});

const coldLines = (coolers: number): PackLine[] => [
	line('cooler', 'with the bottles', 'cooler', coolers, `up to ${BOTTLES_A_COOLER} bottles in each`),
	line(
		'ice',
		'with the bottles',
		'ice',
		coolers * ICE_kg_A_COOLER,
		'on ice and in the dark bacteria change slowly: it buys hours, not days',
		'kg'
	)
];

function each({ sites, duplicates, blanks }: PackedRound): string {
	const said = (codes: readonly string[], word: string) =>
		codes.length ? [`${codes.length} ${word}${codes.length === 1 ? '' : 's'} (${codes.join(', ')})`] : [];
	return [
		`${sites.length} ${sites.length === 1 ? 'site' : 'sites'}`,
		...said(duplicates, 'duplicate'),
		...said(blanks, 'blank')
	].join(' + ');
}
