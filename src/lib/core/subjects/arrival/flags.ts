import { writeFixed, writeNumber } from '../../quantity';
import { sayLimit, type WadingRule } from '../../safety';
import { aboutPeople, doubtKind, type Nothing } from '../flag';
import { sayLength, saySpeed, type SaidIn } from '../say';
import type { Danger } from './branch';
import { dangerWords } from './words';

interface WaterSeen {
	depth_m: number | null;
	velocity_m_s: number | null;
}
const water = ({ depth_m, velocity_m_s }: WaterSeen, units: SaidIn) =>
	[
		depth_m === null ? '' : `${sayLength(depth_m, units, 2)} deep`,
		velocity_m_s === null ? '' : saySpeed(velocity_m_s, units, 2)
	]
		.filter(Boolean)
		.join(' at ');

export const arrivalFlags = {
	'over-wading-limit': aboutPeople<WaterSeen & { rule: WadingRule }>(
		'ask',
		(e, units) =>
			`${water(e, units)} is over the limit here (${sayLimit(e.rule, units)}). Nobody wades. What else can be done: ` +
			'from the bank, with a pole, from a bridge, or another day. The coordinator decides on limits, not the hour.'
	),
	'waded-over-limit': aboutPeople<WaterSeen & { rule: WadingRule }>(
		'ask',
		(e, units) =>
			`Waded, though ${water(e, units)} is over the limit here (${sayLimit(e.rule, units)}). Come out if somebody is ` +
			'still in. Say who decided and why; the coordinator sees it.'
	),
	'waded-untried': aboutPeople<{ rule: WadingRule }>(
		'ask',
		(e, units) =>
			'Waded, and depth and speed at the edge are not both noted. Nobody wades here where it is ' +
			`${sayLimit(e.rule, units)}: try both first.`
	),
	'vertical-over-limit': aboutPeople<WaterSeen & { distance_m: number; verticals: number; rule: WadingRule }>(
		'ask',
		(e, units) =>
			`At ${sayLength(e.distance_m, units)} on the tape: ${water(e, units)}, over the limit for wading ` +
			`(${sayLimit(e.rule, units)})${e.verticals > 1 ? `, and at ${e.verticals - 1} more` : ''}. Come back to where ` +
			'it is shallow and slow; gauge from a bridge, with floats, or another day.'
	),
	'life-jacket': aboutPeople<{ depth_m: number; limit_m: number }>(
		'ask',
		(e, units) =>
			`${sayLength(e.depth_m, units, 2)} is deeper than ${sayLength(e.limit_m, units)}: this card asks for a life ` +
			'jacket, or stay on the bank.'
	),
	'cold-water': aboutPeople<{ temperature_C: number; limit_C: number }>(
		'note',
		(e) =>
			`The water has ${writeFixed(e.temperature_C, 1)} °C: under ${writeNumber(e.limit_C)} °C it takes breath and ` +
			'grip within minutes. Out of it at once after a fall; dry clothes stand ready.'
	),
	'not-sampled': doubtKind<{ reason: string }>('note', (e) =>
		e.reason ? `Not sampled: ${e.reason.replace(/[.]?$/, '.')}` : 'Not sampled; no reason is noted.'
	),
	alone: aboutPeople<Nothing>(
		'ask',
		() =>
			'One person only is noted here. Nobody goes into or near moving water alone: say who is with you, or stay away ' +
			'from it.'
	),
	'nobody-named': aboutPeople<Nothing>(
		'ask',
		() => 'Nobody is noted as being here. Both sets of initials go on the sheet.'
	),
	'nobody-waits': aboutPeople<Nothing>(
		'ask',
		() => 'Nobody is noted who waits for you. Tell somebody ashore where you are and when you are back, and note who.'
	),
	'in-spite-of-danger': aboutPeople<{ isWading: boolean; dangers: readonly Danger[] }>(
		'ask',
		(e) =>
			`${e.isWading ? 'Waded' : 'Sampled'}, though this was noted: ` +
			`${e.dangers.map((d) => dangerWords[d]).join(', ')}. Come away from the water now if it still holds. Say who ` +
			'decided; local rules come first.'
	)
};
