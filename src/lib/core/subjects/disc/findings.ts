import type { Sheet } from '../../logbook';
import { amount, figureIn } from '../../quantity';
import { doubt, type Flag } from '../flags';
import { readingsFound } from '../reading/figure';
import { defineSubject } from '../subject';
import { discSpoilers } from './branch';

const at = { path: 'readings/disc-depth', parameter: 'disc-depth' };

/** Secchi depth: a disc on a line, the mean of where it is lost and where it is seen again. */
export const disc = defineSubject({
	branches: ['readings', 'disc'],
	knows: ['instruments'],
	observe({ sheet, lines, card, context }) {
		const slots = sheet.readings?.['disc-depth'];
		const spoilers = discSpoilers.filter((s) => sheet.disc?.spoilers?.[s]);
		const flags = [...(spoilers.length ? [doubt('disc-spoiled', at, { spoilers })] : []), ...turned(slots)];
		if (slots === undefined) return { flags };
		const readings = { parameter: 'disc-depth', way: 'disc', place: at.path, slots, scale: null } as const;
		const read = readingsFound(readings, lines, card, context.instruments);
		return { findings: read.finding ? [read.finding] : [], flags: [...read.flags, ...flags] };
	}
});

/** A disc seen again deeper than it was lost: one of the two depths is wrong. */
function turned(slots: NonNullable<Sheet['readings']>['disc-depth']): Flag[] {
	const [lost, seen] = [slots?.['down'], slots?.['up']];
	if (!lost || !seen) return [];
	const [lost_m, seen_m] = [amount(figureIn(lost, 'm')), amount(figureIn(seen, 'm'))];
	if (lost_m.qualifier !== null || seen_m.qualifier !== null || seen_m.number <= lost_m.number) return [];
	return [doubt('disc-turned', at, { lost, seen })];
}
