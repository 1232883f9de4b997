import {
	animalList,
	communityOf,
	kindsThatCount,
	animalsToTell,
	exampleClasses,
	fromSquares,
	type Community,
	type Kind
} from '../../macroinvertebrates';
import type { Figure, ParameterCode } from '../../quantity';
import { counted as saidCount } from '../../wording';
import { finding, type Finding } from '../determination';
import { doubt, type Flag } from '../flags';
import { isQualitative } from '../sampler/step';
import { defineSubject } from '../subject';
import { isTool } from '../steps';
import { kindsIn, sharesKnown } from './compartments';
import { sortedSquares } from './grid';
import type { TrayStep } from './step';

/** Fewer animals than this say little of a stream, whatever they are. */
const FEW_ANIMALS = 100;
/** From this share of animals without a name on, the figures are of the others only. */
const MANY_UNNAMED = 0.2;

/** The animals of a tray: what they say together, and how far so few can say it. */
export const tray = defineSubject({
	branches: ['trays', 'tallies', 'vouchers', 'opinions', 'samplers'],
	knows: ['animals'],
	observe({ sheet, lines, card, context }) {
		const animals = animalList(context.animals);
		const steps = card.steps.filter((s) => isTool(s, 'tray'));
		const all = steps.map((step) =>
			trayFigures(step, kindsIn(sheet, step.id, animals), {
				hasShares: sharesKnown(step, card.steps, sheet),
				isQualitative: isQualitative(card.steps, sheet),
				isOver: sheet.trays?.[step.id]?.endedAt !== undefined,
				from: sheet.trays?.[step.id]?.countedElsewhere ?? null,
				squares: step.school === 'squares' ? sortedSquares(sheet, lines, step.id).map((s) => s.animals) : []
			})
		);
		return { findings: all.flatMap((a) => a.findings), flags: all.flatMap((a) => a.flags) };
	}
});

interface Sorted {
	isOver: boolean;
	/** Where its counts came from, where a file brought them. */
	from: string | null;
	hasShares: boolean;
	/** In place of a sampler that is gone. */
	isQualitative: boolean;
	/** Animals in each square of a grid that was sorted whole. */
	squares: readonly number[];
}
function trayFigures(
	step: TrayStep,
	kinds: readonly Kind[],
	{ isOver, from, hasShares, isQualitative, squares }: Sorted
): { findings: Finding[]; flags: Flag[] } {
	if (kinds.length === 0) return { findings: [], flags: [] };
	const said = communityOf(kinds, step.commonCount);
	// of a live pick and of classes only what was there is known, not its shares
	const isCounted = hasShares;
	const whole = fromSquares({ counts: squares, squares: Math.max(step.squares, squares.length) });
	const place = `tallies/${step.id}`;
	const kind = isQualitative ? 'qualitative sample, ' : '';
	const animals = isCounted ? `${saidCount(said.animals, 'animal')} of ` : kind;
	const one = (
		parameter: ParameterCode,
		{ value, uncertainty = null }: { value: number; uncertainty?: number | null },
		readings: number,
		basis: string
	): Finding =>
		finding({
			parameter,
			way: 'tray',
			figure: { value, unit: 'one' } satisfies Figure,
			uncertainty,
			readings,
			source: 'field',
			basis,
			working: null,
			place
		});
	const { index, score, rarefied } = said;
	const findings = [
		one('taxa-richness', { value: said.richness }, said.animals, `${animals}${saidCount(said.richness, 'kind')}`),
		one('ept-richness', { value: said.ept }, said.animals, 'kinds of mayflies, stoneflies and caddisflies'),
		...(score
			? [one('score-per-taxon', score, score.kinds, `${saidCount(score.kinds, 'kind')} that the list scores`)]
			: []),
		...(isCounted && index
			? [one('biotic-index', index, index.animals, `mean tolerance of ${saidCount(index.animals, 'animal')}, 0 to 10`)]
			: []),
		...(isCounted && rarefied
			? [one('rarefied-richness', rarefied, said.animals, `kinds among ${step.commonCount} of ${said.animals} animals`)]
			: []),
		...(whole
			? [
					one(
						'animals-in-sample',
						{ value: whole.total, uncertainty: whole.uncertainty },
						squares.length,
						`${saidCount(squares.length, 'square')} of ${step.squares}, scaled up`
					)
				]
			: [])
	];
	const elsewhere =
		from === null ? [] : [doubt('counted-elsewhere', { path: place, parameter: 'taxa-richness' }, { from })];
	return { findings, flags: [...elsewhere, ...(isOver ? trayFlags({ place, isCounted }, kinds, said) : [])] };
}

function trayFlags(
	{ place, isCounted }: { place: string; isCounted: boolean },
	kinds: readonly Kind[],
	said: Community
): Flag[] {
	const at = (parameter: ParameterCode) => ({ path: place, parameter });
	const flags: Flag[] = [];
	if (isCounted && said.animals < FEW_ANIMALS) {
		const { index } = said;
		const needed = index?.uncertainty == null ? null : animalsToTell({ ...index, uncertainty: index.uncertainty });
		flags.push(
			doubt('few-animals', at('biotic-index'), {
				animals: said.animals,
				more: needed === null ? null : Math.max(0, needed - said.animals),
				classes: exampleClasses.map((c) => c.name)
			})
		);
	}
	if (said.unnamed > MANY_UNNAMED * said.animals)
		flags.push(doubt('many-unnamed', at('taxa-richness'), { unnamed: said.unnamed, animals: said.animals }));
	const there = kindsThatCount(kinds);
	const rated = there.filter((k) => k.taxon?.group != null);
	if (rated.length > 0 && rated.length <= 3 && rated.every((k) => k.taxon?.group === 'tolerant'))
		flags.push(doubt('only-tolerant', at('score-per-taxon'), { kinds: rated.length }));
	return flags;
}
