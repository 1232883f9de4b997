import { shownUnit, type MethodCard } from '../../method';
import type { Unit } from '../../quantity';
import type { SaidIn } from '../say';
import { flowStepOf } from './how';

/** The units in which a section is read and shown: of the tape and the rod, of the meter, of what they come to. */
export interface SectionUnits {
	tape: 'm' | 'ft';
	velocity: 'm_s' | 'ft_s';
	area: 'm2' | 'ft2';
	discharge: Unit;
}

/** As the card's flow step asks; metres where it says nothing. */
export function sectionUnits(card: Pick<MethodCard, 'steps' | 'shown' | 'own'>): SectionUnits {
	const step = flowStepOf(card);
	const tape = step?.tapeUnit ?? 'm';
	return {
		tape,
		velocity: step?.velocityUnit ?? 'm_s',
		area: tape === 'ft' ? 'ft2' : 'm2',
		discharge: shownUnit(card, 'discharge')
	};
}

/** The units in which a card's doubts are said. */
export const saidIn = (card: Pick<MethodCard, 'steps' | 'shown' | 'own'>): SaidIn => {
	const { tape, velocity } = sectionUnits(card);
	return { tape, velocity, shown: card.shown, own: card.own };
};
