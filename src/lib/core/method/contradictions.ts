import { writeNumber } from '../quantity';
import { contradictionsIn } from '../subjects/step-settings';
import { ABSOLUTE } from '../safety';
import type { MethodCard } from './card';
import { limitsOf } from './limits';
import { sharedPlaces } from './compose';
import { orderSteps } from './order';

/** Two settings of a card that cannot both stand, each with where it is set. */
export interface Contradiction {
	path: string;
	why: string;
}

/** What in a card contradicts itself. A card that does is not taken into use. */
export const contradictions = (card: MethodCard): Contradiction[] => [
	...inLimits(card),
	...inWadingAndHolding(card),
	...inSteps(card),
	...inRules(card)
];

/** Collects what is wrong. */
function collector() {
	const found: Contradiction[] = [];
	const say = (isWrong: boolean, path: string, why: string) => isWrong && found.push({ path, why });
	return { found, say };
}

function inLimits(card: MethodCard): Contradiction[] {
	const { found, say } = collector();
	const l = limitsOf(card);
	say(
		l.plateReadable_h >= l.plateTooOld_h,
		'limits.plateTooOld_h',
		`A plate is read after ${writeNumber(l.plateReadable_h)} h and too old at ${writeNumber(l.plateTooOld_h)} h: ` +
			`it could never be read.`
	);
	say(
		l.plateFewColonies >= l.plateManyColonies,
		'limits.plateManyColonies',
		`Under ${l.plateFewColonies} colonies are few and over ${l.plateManyColonies} too many: no plate would count.`
	);
	say(
		l.plateLeast_mL > l.plateMost_mL,
		'limits.plateMost_mL',
		`At least ${writeNumber(l.plateLeast_mL)} mL and at most ${writeNumber(l.plateMost_mL)} mL are poured: nothing ` +
			`could be.`
	);
	say(
		l.pickLeast_min > l.pickMost_min,
		'limits.pickMost_min',
		`A pick lasts at least ${l.pickLeast_min} min and at most ${l.pickMost_min} min.`
	);
	if (l.flume)
		say(
			l.flume.minimumHead_m >= l.flume.maximumHead_m,
			'limits.flume.maximumHead_m',
			'The flume’s rating holds over no head at all.'
		);
	return found;
}

function inWadingAndHolding(card: MethodCard): Contradiction[] {
	const { found, say } = collector();
	say(
		card.holding.withoutIce_h > card.holding.bacteria_h,
		'holding.withoutIce_h',
		`A bottle is asked about after ${writeNumber(card.holding.withoutIce_h)} h without ice, but is lost after ` +
			`${writeNumber(card.holding.bacteria_h)} h.`
	);
	if (card.wading.school === 'depth-only')
		say(
			card.wading.lifeJacket_m >= card.wading.depth_m,
			'wading.lifeJacket_m',
			`A life jacket from ${writeNumber(card.wading.lifeJacket_m)} m on, where nobody wades deeper than ` +
				`${writeNumber(card.wading.depth_m)} m.`
		);
	if (card.wading.school === 'product')
		say(
			card.wading.product_m2_s > ABSOLUTE.product_m2_s,
			'wading.product_m2_s',
			`Depth × speed of ${writeNumber(card.wading.product_m2_s)} m²/s is more than trained crews stand in; ` +
				`${writeNumber(ABSOLUTE.product_m2_s)} is the most, ${writeNumber(0.6)} for most adults.`
		);
	return found;
}

/** Settings of one step against each other, and two steps that would write at one place. */
const inSteps = (card: MethodCard): Contradiction[] => [
	...card.steps.flatMap((step) =>
		contradictionsIn(step).map(({ path, why }) => ({ path: `steps.${step.id}.${path}`, why }))
	),
	...sharedPlaces(card).map(({ first, then }) => ({
		path: `steps.${then.id}.title`,
		why: `“${then.title}” would write where “${first.title}” does: give its places other names, or leave it out.`
	}))
];

function inRules(card: MethodCard): Contradiction[] {
	const { found, say } = collector();
	const order = orderSteps(card);
	if ('cycle' in order)
		found.push({
			path: 'rules',
			why:
				`The rules chase one another: ${[...order.cycle, order.cycle[0]].join(' → ')}. ` +
				order.rules.map((r) => `“${r.because}”`).join(' against ')
		});
	for (const rule of card.rules)
		for (const tag of [rule.first, rule.then])
			say(
				tag !== '*' && !card.steps.some((s) => s.tags.includes(tag)),
				'rules',
				`No step carries “${tag}”, of which a rule speaks.`
			);
	return found;
}
