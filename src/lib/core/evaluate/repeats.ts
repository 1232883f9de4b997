import { arithmeticWords, gaugingWords, schoolWords } from '../logbook';
import { relativePercentDifference } from '../bacteria';
import { amount, convert, inPlaceUnit, significant, units, type AsTyped } from '../quantity';
import { limitsOf, shownUnit, type MethodCard } from '../method';
import type { Sheet } from '../logbook';
import type { Flag } from '../quality';
import type { Flow } from './outcome';
import { wayAsked, wayTaken, type FlowStep, type GaugingWay } from './way';

/** Gaugings of one flow that lie further apart than the card allows, and what spoils them all: a tape that sags. */
export function repeatFlags({ gaugings }: Sheet, flows: readonly Flow[], card: MethodCard): Flag[] {
	const { gaugings_percent, tapeTooLong_percent, widths_percent } = limitsOf(card);
	return [
		...apart(flows, gaugings_percent, card),
		...sagging(gaugings, tapeTooLong_percent),
		...widthFlags(gaugings, widths_percent)
	];
}

function apart([first, ...again]: readonly Flow[], limit_percent: number, card: MethodCard): Flag[] {
	const unit = shownUnit(card, 'discharge');
	const flow = (f: Flow) => amount(f.finding.figure).number;
	const say = (q: number) => `${significant(convert(q, 'm3_s', unit), 3)} ${units[unit].symbol}`;
	return again.flatMap((other): Flag[] => {
		const [one, two] = [flow(first!), flow(other)];
		if (one < 0 || two < 0) return [];
		const { percent } = relativePercentDifference({ first: one, second: two });
		if (percent <= limit_percent) return [];
		const evidence = { first: say(one), second: say(two), apart_percent: percent, limit_percent };
		return [{ code: 'gaugings-apart', path: `gaugings/${other.id}`, parameter: 'discharge', evidence }];
	});
}

function sagging(gaugings: Sheet['gaugings'], limit_percent: number): Flag[] {
	return Object.entries(gaugings ?? {}).flatMap(([id, { tapeSag_m, wettedWidth_m, edges }]): Flag[] => {
		const metres = (v: Parameters<typeof inMetres>[0] | undefined) => (v === undefined ? null : inMetres(v));
		const [start, end] = [metres(edges?.startDistance_m), metres(edges?.endDistance_m)];
		const width = metres(wettedWidth_m) ?? (start !== null && end !== null ? Math.abs(end - start) : null);
		const sag = metres(tapeSag_m);
		if (sag === null || width === null || width <= 0) return [];
		const tooLong_percent = (100 * 8 * (sag / width) ** 2) / 3; // a flat parabola is longer than its chord by 8/3 (sag/chord)²
		if (tooLong_percent <= limit_percent) return [];
		if (!Number.isFinite(tooLong_percent)) return [];
		return [
			{
				code: 'tape-sags',
				path: `gaugings/${id}`,
				parameter: 'discharge',
				evidence: { sag_m: sag, tooLong_percent, limit_percent }
			}
		];
	});
}

/** Two widths of one water that do not go together: wetted against the edges of the section, bankfull against wetted. */
function widthFlags(gaugings: Sheet['gaugings'], limit_percent: number): Flag[] {
	return Object.entries(gaugings ?? {}).flatMap(([id, { wettedWidth_m, bankfullWidth_m, edges }]): Flag[] => {
		const metres = (v: Parameters<typeof inMetres>[0] | undefined) => (v === undefined ? null : inMetres(v));
		const [start, end, wetted, bankfull] = [
			edges?.startDistance_m,
			edges?.endDistance_m,
			wettedWidth_m,
			bankfullWidth_m
		].map(metres);
		const at = { path: `gaugings/${id}`, parameter: 'discharge' };
		const flags: Flag[] = [];
		const section = start != null && end != null ? Math.abs(end - start) : null;
		if (
			section !== null &&
			section > 0 &&
			wetted != null &&
			(100 * Math.abs(wetted - section)) / section > limit_percent
		)
			flags.push({ ...at, code: 'widths-apart', evidence: { wetted_m: wetted, section_m: section, limit_percent } });
		const width = wetted ?? section;
		if (width != null && bankfull != null && bankfull < width)
			flags.push({ ...at, code: 'bankfull-narrow', evidence: { bankfull_m: bankfull, wetted_m: width } });
		return flags;
	});
}

const inMetres = (v: AsTyped<'m' | 'cm' | 'ft' | 'inch'>) => inPlaceUnit(v, 'm');

type GaugingSheet = NonNullable<Sheet['gaugings']>[string];

/** Gaugings that were done another way than the card asks, with the reason that was given. */
export const gaugedOtherwise = ({ gaugings }: Sheet, step: FlowStep | undefined): Flag[] =>
	step === undefined ? [] : Object.entries(gaugings ?? {}).flatMap(([id, gauging]) => otherwise(id, gauging, step));

const inWords = ({ method, school, arithmetic }: GaugingWay) => [
	gaugingWords[method],
	schoolWords[school],
	arithmeticWords[arithmetic]
];

function otherwise(id: string, gauging: GaugingSheet, step: FlowStep): Flag[] {
	const [asked, taken] = [inWords(wayAsked(step)), inWords(wayTaken(gauging, step))];
	const differs = taken.findIndex((word, i) => word !== asked[i]);
	if (differs === -1) return [];
	const evidence = { asked: asked[differs]!, used: taken[differs]!, because: gauging.because ?? '' };
	return [{ code: 'another-way', path: `gaugings/${id}`, parameter: 'discharge', evidence }];
}
