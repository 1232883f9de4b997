import { unitsShown, type ShownUnits } from '../quantity';
import type { MethodCard } from './card';

/** A card whose figures are shown as its program's people read them, save where it says otherwise. */
export const shownAs = <Card extends Pick<MethodCard, 'shown' | 'own'>>(
	card: Card,
	units: ShownUnits | undefined
): Card => ({
	...card,
	shown: { ...unitsShown(units, card.own), ...card.shown }
});
