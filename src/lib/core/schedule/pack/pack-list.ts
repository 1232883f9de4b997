import { blankWater } from '../../custody';
import type { MethodCard } from '../../method';
import { forSteps } from './for-steps';

/** What a round is packed from. */
export interface PackQuestion {
	card: Pick<MethodCard, 'steps'>;
	/** Sites to be visited, by code. */
	sites: readonly string[];
	duplicates: readonly string[];
	blanks: readonly string[];
	people: number;
	/** Instruments that the card's readings need, by kind, as the team has them. */
	instruments: readonly { code: string; kind: string }[];
}

export type PackGroup = 'bottles' | 'with the bottles' | 'people' | 'instruments' | 'paper';

export interface PackLine {
	/** Stays the same for the same thing, so that a tick finds it again. */
	id: string;
	group: PackGroup;
	what: string;
	count: number;
	/** mL, kg or the like; absent where things are counted. */
	unit?: string;
	because: string;
}

const BLANK_mL = 250; // water for one blank: rinse and fill
const RINSE_mL_A_SITE = 200; // tap water for probes
const ICE_kg_A_COOLER = 2;
const BOTTLES_A_COOLER = 12;
const SPARE_SHARE = 10;

/**
 * The counted list of what a round needs, each line with its reason: bottles are analyses × (routine + duplicate +
 * blank); what goes with them follows from their number and from how they are preserved.
 */
export function packList({ card, sites, duplicates, blanks, people, instruments }: PackQuestion): PackLine[] {
	const lines: PackLine[] = [];
	const add = (id: string, group: PackGroup, what: string, count: number, because: string, unit?: string) => {
		if (count > 0) lines.push({ id, group, what, count, because, ...(unit ? { unit } : {}) });
	};
	const samples = sites.length + duplicates.length + blanks.length;
	const each = `${sites.length} ${sites.length === 1 ? 'site' : 'sites'}${duplicates.length ? ` + ${counted(duplicates, 'duplicate')}` : ''}${blanks.length ? ` + ${counted(blanks, 'blank')}` : ''}`;
	const bottles = card.steps.flatMap((s) => (s.tool === 'bottle' ? [s.bottle] : []));
	for (const bottle of bottles) add(`bottle-${bottle.id}`, 'bottles', bottleWords[bottle.kind], samples, each);
	const all = bottles.length * samples;
	const spare = Math.ceil(all / SPARE_SHARE);
	add(
		'bottle-spare',
		'bottles',
		'spare bottles, the same kinds',
		spare,
		`one in ${SPARE_SHARE} is dropped, opened too early or touched inside`
	);
	const preserved = bottles.filter((b) => b.preserved !== undefined);
	for (const bottle of preserved) {
		add(
			`vial-${bottle.id}`,
			'with the bottles',
			`${bottle.preserved} vials`,
			samples,
			`one for each ${bottleWords[bottle.kind]}, matched by label`
		);
		add(
			`bag-${bottle.preserved}`,
			'with the bottles',
			`bag for bottles with ${bottle.preserved}`,
			1,
			'bottles are bagged by what preserves them'
		);
	}
	if (all > 0)
		add(
			'bag-plain',
			'with the bottles',
			preserved.length ? 'bag for bottles with nothing added' : 'bag for the bottles',
			1,
			'a leak stays in its bag'
		);
	for (const water of new Set(bottles.map((b) => blankWater[b.kind]))) {
		const filled = bottles.filter((b) => blankWater[b.kind] === water).length;
		const id = water.replaceAll(' ', '-');
		add(
			`blank-${id}`,
			'with the bottles',
			water,
			blanks.length * filled * BLANK_mL,
			`${BLANK_mL} mL for each bottle of a blank`,
			'mL'
		);
	}
	const filtered = bottles.filter((b) => b.isFiltered).length;
	add(
		'filter',
		'with the bottles',
		'filters and a syringe',
		filtered * samples,
		'dissolved nutrients are filtered on the bank'
	);
	const coolers = Math.ceil((all + spare) / BOTTLES_A_COOLER);
	add('cooler', 'with the bottles', 'cooler', coolers, `up to ${BOTTLES_A_COOLER} bottles in each`);
	add(
		'ice',
		'with the bottles',
		'ice',
		coolers * ICE_kg_A_COOLER,
		'on ice and in the dark bacteria change slowly: it buys hours, not days',
		'kg'
	);
	add('label', 'with the bottles', 'labels, printed', all, 'on the bottle, never on the lid, before it is filled');
	add(
		'gloves',
		'people',
		'pairs of gloves',
		people * sites.length,
		`${people} ${people === 1 ? 'person' : 'people'} × ${sites.length} ${sites.length === 1 ? 'site' : 'sites'}`
	);
	const hurts = [
		...preserved.map((b) => b.preserved!),
		...(card.steps.some((s) => s.tool === 'titration') ? ['alkali and acid of the titration'] : [])
	];
	if (hurts.length) {
		const added = [...new Set(hurts)].join(' and ');
		add('eyes', 'people', 'eye protection', people, `${added}: used at the stream`);
		add(
			'eyewash',
			'people',
			'eyewash bottle, full',
			1,
			`${added} in an eye is rinsed at once, for a quarter of an hour`
		);
	}
	add('vest', 'people', 'buoyancy vests and throw bag', people, 'one each; nobody goes alone');
	if (sites.length > 0) {
		add('seen', 'people', 'high-visibility vests', people, 'at the road and on a bridge');
		add('first-aid', 'people', 'first aid kit', 1, 'within reach, not at the bottom of the car');
		add(
			'waits',
			'people',
			'number of the one who waits for you',
			1,
			'say when you will be back; there may be no network'
		);
	}
	for (const tool of instruments)
		add(`tool-${tool.code}`, 'instruments', `${tool.kind} ${tool.code}`, 1, 'the card asks for its figures');
	if (instruments.length)
		add(
			'rinse',
			'instruments',
			'jar of tap water for the probes',
			sites.length * RINSE_mL_A_SITE,
			`${RINSE_mL_A_SITE} mL a site`,
			'mL'
		);
	if (sites.length > 0)
		for (const { id, what, count, because } of forSteps(card, sites.length))
			add(id, 'instruments', what, count, because);
	add('sheet', 'paper', 'blank data sheets', sites.length + 1, 'one for each site and a spare, should a phone fail');
	if (all > 0) add('custody', 'paper', 'custody form', 1, 'in a bag inside the lid of the cooler');
	add('pencil', 'paper', 'pencils', 2, 'ink runs, and one falls in');
	return lines;
}

const bottleWords: Record<Extract<MethodCard['steps'][number], { tool: 'bottle' }>['bottle']['kind'], string> = {
	bacteria: 'sterile bacteria bottles',
	nutrients: 'nutrient bottles',
	fresh: 'bottles with nothing added'
};

const counted = (sites: readonly string[], word: string): string =>
	`${sites.length} ${word}${sites.length === 1 ? '' : 's'} (${sites.join(', ')})`;
