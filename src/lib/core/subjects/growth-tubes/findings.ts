import { mostProbableNumber, patternRarity } from '../../bacteria';
import { heldFor_h } from '../../custody';
import { limitsOf, type Limits } from '../../method';
import { withQualifier } from '../../quantity';
import { finding, type Clock, type Finding } from '../determination';
import { doubt, type Flag } from '../flags';
import { defineSubject } from '../subject';
import { patternOf, seriesOf, type TubeSet } from './series';
import type { Tubes } from '../../bacteria';

const HOUR_ms = 3_600_000;
/** Outcomes less likely than this beside the likeliest one are asked about. */
const IMPROBABLE = 0.05;

/** Tubes and wells of a visit's bottles: when they are read, what they say together, what can hardly be. */
export const growthTubes = defineSubject({
	branches: ['growthTubes', 'bottles'],
	knows: [],
	observe({ sheet, card }) {
		const limits = limitsOf(card);
		const sets = Object.entries(sheet.growthTubes ?? {}).map(([id, set]) => ({
			id,
			set,
			role: set.bottle === undefined ? undefined : sheet.bottles?.[set.bottle]?.role,
			series: set.readAt === undefined ? null : seriesOf(set)
		}));
		const isBatchSpoiled = sets.some(({ role, series }) => role === 'blank' && grownIn(series) > 0);
		const read = sets.flatMap(({ role, series }) => (role === 'blank' || role === 'duplicate' ? [] : (series ?? [])));
		return {
			findings: read.length && !isBatchSpoiled ? numberFinding(read) : [],
			flags: sets.flatMap(({ id, set, role, series }) => setFlags(id, set, role === 'blank', series, limits)),
			clocks: sets.flatMap(({ id, set }) => incubation(id, set, limits))
		};
	}
});

const grownIn = (series: readonly Tubes[] | null): number => (series ?? []).reduce((sum, s) => sum + s.positives, 0);

function numberFinding(series: readonly Tubes[]): Finding[] {
	const { mpnPer100mL, qualifier, lower, upper } = mostProbableNumber({ series });
	if (mpnPer100mL === null) return [];
	const above = qualifier === '>' ? 'above' : null;
	const side = qualifier === '<' ? 'below' : above;
	const tubes = series.reduce((sum, s) => sum + s.tubes, 0);
	return [
		finding({
			parameter: 'e-coli',
			way: 'tubes',
			figure: withQualifier(mpnPer100mL, side, 'cfu_100mL'),
			uncertainty: side === null && lower !== null && upper !== null ? (upper - lower) / 2 : null,
			readings: tubes,
			source: 'lab',
			basis: `most probable number of ${tubes} tubes, ${patternOf(series)} grown`,
			working: null,
			limits: lower === null ? null : { lower, upper },
			place: 'growthTubes'
		})
	];
}

function setFlags(id: string, set: TubeSet, isBlank: boolean, series: Tubes[] | null, limits: Limits): Flag[] {
	const at = { path: `growthTubes/${id}`, parameter: 'e-coli' };
	const flags: Flag[] = [];
	if (set.filledAt !== undefined && set.readAt !== undefined) {
		const age_h = heldFor_h(Date.parse(set.filledAt), Date.parse(set.readAt));
		const { tubesReadable_h: from_h, tubesTooOld_h: until_h } = limits;
		if (age_h < from_h || age_h > until_h)
			flags.push(doubt('tubes-read-when', at, { label: id, age_h, from_h, until_h }));
	}
	if (series === null) return flags;
	const grown = grownIn(series);
	if (isBlank) {
		if (grown > 0) flags.push(doubt('blank-tubes-grew', at, { label: id, grown }));
		return flags;
	}
	const rarity = patternRarity({ series });
	if (rarity < IMPROBABLE) flags.push(doubt('tubes-improbable', at, { label: id, pattern: patternOf(series), rarity }));
	return flags;
}

function incubation(id: string, { filledAt, readAt }: TubeSet, limits: Limits): Clock[] {
	if (filledAt === undefined || readAt !== undefined) return [];
	const start_ms = Date.parse(filledAt);
	return [
		{
			id: `growthTubes/${id}`,
			kind: 'tubes',
			label: id,
			start_ms,
			due_ms: start_ms + limits.tubesReadable_h * HOUR_ms,
			last_ms: start_ms + limits.tubesTooOld_h * HOUR_ms
		}
	];
}
