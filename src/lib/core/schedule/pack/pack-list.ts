import type { MethodCard } from '../../method';
import type { PackedRound, PackGroup, PackLine } from '../../subjects/packed';
import { hurtsEyes, packedFor } from '../../subjects/packs';

/** What a round is packed from. */
export interface PackQuestion extends PackedRound {
	card: Pick<MethodCard, 'steps'>;
	/** Instruments that the card's readings need, by kind, as the team has them. */
	instruments: readonly { code: string; kind: string }[];
}

const RINSE_mL_A_SITE = 200; // tap water for probes
const GROUPS: readonly PackGroup[] = ['bottles', 'with the bottles', 'people', 'instruments', 'paper'];

/**
 * The counted list of what a round needs, each line with its reason: for people, for what the card's steps need, for
 * paper.
 */
export function packList({ card, instruments, ...round }: PackQuestion): PackLine[] {
	const bySteps = round.sites.length > 0 ? packedFor(card, round) : [];
	const lines = [
		...forPeople(round, hurtsEyes(card)),
		...forInstruments(instruments, round.sites.length),
		...bySteps,
		...forPaper(round.sites.length)
	];
	return GROUPS.flatMap((group) => lines.filter((l) => l.group === group && l.count > 0));
}

function forPeople({ people, sites }: PackedRound, hurts: readonly string[]): PackLine[] {
	const add = (id: string, what: string, count: number, because: string): PackLine => ({
		id,
		group: 'people',
		what,
		count,
		because
	});
	const added = hurts.join(' and ');
	const isOut = sites.length > 0;
	const each =
		`${people} ${people === 1 ? 'person' : 'people'} × ${sites.length} ` + (sites.length === 1 ? 'site' : 'sites');
	return [
		add('gloves', 'pairs of gloves', people * sites.length, each),
		add('eyes', 'eye protection', added ? people : 0, `${added}: used at the stream`),
		add(
			'eyewash',
			'eyewash bottle, full',
			added ? 1 : 0,
			`${added} in an eye is rinsed at once, for a quarter of an hour`
		),
		add('vest', 'buoyancy vests and throw bag', people, 'one each; nobody goes alone'),
		add('seen', 'high-visibility vests', isOut ? people : 0, 'at the road and on a bridge'),
		add('first-aid', 'first aid kit', isOut ? 1 : 0, 'within reach, not at the bottom of the car'),
		add(
			'waits',
			'number of the one who waits for you',
			isOut ? 1 : 0,
			'say when you will be back; there may be no network'
		)
	];
}

function forInstruments(instruments: PackQuestion['instruments'], sites: number): PackLine[] {
	const group = 'instruments' as const;
	const tools = instruments.map(({ code, kind }) => ({
		id: `tool-${code}`,
		group,
		what: `${kind} ${code}`,
		count: 1,
		because: 'the card asks for its figures'
	}));
	const count = instruments.length ? sites * RINSE_mL_A_SITE : 0;
	const because = `${RINSE_mL_A_SITE} mL a site`;
	return [...tools, { id: 'rinse', group, what: 'jar of tap water for the probes', count, because, unit: 'mL' }];
}

const forPaper = (sites: number): PackLine[] => [
	{
		id: 'sheet',
		group: 'paper',
		what: 'blank data sheets',
		count: sites + 1,
		because: 'one for each site and a spare, should a phone fail'
	},
	{ id: 'pencil', group: 'paper', what: 'pencils', count: 2, because: 'ink runs, and one falls in' }
];
