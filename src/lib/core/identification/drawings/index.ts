import { beetles } from './beetles';
import { bugs } from './bugs';
import { caddisCases } from './caddis-cases';
import { caddisGrubs } from './caddis-grubs';
import { othersWithoutShell } from './crustaceans-and-others';
import { dragonflies } from './dragonflies';
import { fingered } from './fingered';
import { flies } from './flies';
import { mayflies } from './mayflies';
import { molluscs } from './molluscs';
import type { Drawing } from './pen';
import { stoneflies } from './stoneflies';

export { isClosed, weights, type Drawing } from './pen';
const drawings: Readonly<Record<string, Drawing>> = {
	...stoneflies,
	...mayflies,
	...dragonflies,
	...caddisGrubs,
	...caddisCases,
	...fingered,
	...beetles,
	...bugs,
	...flies,
	...othersWithoutShell,
	...molluscs
};
/** Throws RangeError where nobody has drawn it: the key names its drawings, a test holds the two together. */
export function drawingOf(name: string): Drawing {
	const drawing = drawings[name];
	if (!drawing) throw new RangeError(`there is no drawing of ${name}`);
	return drawing;
}
export const drawingNames: readonly string[] = Object.keys(drawings);
