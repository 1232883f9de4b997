import { cfuPer100mL, dispersionTest, volumeFor, type Plate } from '../../bacteria';
import { heldFor_h } from '../../custody';
import type { Sheet } from '../../logbook';
import { limitsOf, type Limits } from '../../method';
import { withQualifier } from '../../quantity';
import { finding, type Clock, type Finding } from '../determination';
import { doubt, type Flag } from '../flags';
import { defineSubject } from '../subject';
import { countsApart } from './counted-by';
import { pictureOf } from './photos';
import { shareCounted } from './squares';
import { coldHours, readableAt_ms } from './warmth';

type PlateSheet = NonNullable<Sheet['plates']>[string];
const HOUR_ms = 3_600_000;

/** The plates of a visit's bottles: when each can be read, what may be wrong with it, and what they say together. */
export const plates = defineSubject({
	branches: ['plates', 'platePhotos', 'bottles'],
	knows: [],
	observe({ sheet, card }) {
		const limits = limitsOf(card);
		const all = Object.entries(sheet.plates ?? {}).map(([id, plate]): [string, PlateSheet] => [
			id,
			{ ...plate, isBlank: plate.isBlank ?? roleOf(plate, sheet) === 'blank' }
		]);
		const isBatchSpoiled = all.some(([, p]) => p.isBlank && (p.count ?? 0) > 0);
		// a duplicate's plates stand beside the others and are not counted with them
		const read = all.flatMap(([, p]) => (p.isBlank || roleOf(p, sheet) === 'duplicate' ? [] : readPlate(p)));
		return {
			findings: read.length && !isBatchSpoiled ? pooledFinding(read, limits) : [],
			flags: [
				...all.flatMap(([id, plate]) => [...countersFlags(id, sheet, limits), ...plateFlags(id, plate, limits)]),
				...scatterFlags(
					all.map(([, plate]) => plate),
					sheet,
					limits
				)
			],
			clocks: all.flatMap(([id, p]) => incubation(id, p, limits))
		};
	}
});

const roleOf = ({ bottle }: PlateSheet, { bottles }: Pick<Sheet, 'bottles'>) =>
	bottle === undefined ? undefined : bottles?.[bottle]?.role;

/** The plate as the formula takes it; nothing while it is still to be read. */
function readPlate(plate: PlateSheet): Plate[] {
	const { state, volume_mL, count } = plate;
	const share = shareCounted(plate);
	if (volume_mL === undefined || state === undefined || share === null) return [];
	if (state !== 'counted') return [{ status: state, volume_mL }];
	return count === undefined ? [] : [{ status: state, volume_mL: volume_mL * share, count }];
}

function pooledFinding(plates: readonly Plate[], limits: Limits): Finding[] {
	const {
		cfuPer100mL: number,
		qualifier,
		lower,
		upper,
		platesUsed,
		working
	} = cfuPer100mL({ plates, tooManyLimit: limits.plateManyColonies });
	if (number === null) return [];
	const above = qualifier === '>' ? 'above' : null;
	const side = qualifier === '<' ? 'below' : above;
	return [
		finding({
			parameter: 'e-coli',
			way: 'plates',
			figure: withQualifier(number, side, 'cfu_100mL'),
			uncertainty: side === null && lower !== null && upper !== null ? (upper - lower) / 2 : null,
			readings: platesUsed,
			source: 'lab',
			basis: platesUsed === 1 ? 'one plate' : `${platesUsed} plates, counts pooled`,
			working,
			limits: lower === null ? null : { lower, upper },
			place: 'plates'
		})
	];
}

/** A chance is said as no less than one in a million: that is as good as never. */
const LEAST_CHANCE = 1e-6;

/** Plates of one bottle that lie farther apart than counting alone makes them. */
function scatterFlags(plates: readonly PlateSheet[], { bottles }: Pick<Sheet, 'bottles'>, limits: Limits): Flag[] {
	const ids = [...new Set(plates.flatMap(({ bottle }) => bottle ?? []))];
	return ids.flatMap((id) => {
		const own = plates.filter(({ bottle, isBlank }) => bottle === id && !isBlank).flatMap((plate) => readPlate(plate));
		const counted = own.filter((plate) => plate.status === 'counted');
		if (counted.length < 2) return [];
		const counts = counted.map(({ count }) => count);
		const { p: chance } = dispersionTest({ counts, volumes_mL: counted.map(({ volume_mL }) => volume_mL) });
		if (chance === null || chance >= limits.plateChance) return [];
		const at = { path: 'plates', parameter: 'e-coli' };
		const evidence = { bottle: bottles?.[id]?.label ?? id, counts, chance: Math.max(LEAST_CHANCE, chance) };
		return [doubt('plates-scatter', at, evidence)];
	});
}

/** Two people who counted its photo and lie farther apart than they may. */
function countersFlags(id: string, sheet: Pick<Sheet, 'plates' | 'platePhotos'>, limits: Limits): Flag[] {
	const picture = pictureOf(id, sheet);
	const apart = picture && countsApart(picture);
	const limit_percent = limits.plateCountersApart_percent;
	return apart !== null && apart.apart_percent > limit_percent
		? [
				doubt(
					'plate-counted-apart',
					{ path: `plates/${id}`, parameter: 'e-coli' },
					{ label: id, ...apart, limit_percent }
				)
			]
		: [];
}

function plateFlags(id: string, plate: PlateSheet, limits: Limits): Flag[] {
	const at = { path: `plates/${id}`, parameter: 'e-coli' };
	const flags: Flag[] = [];
	const { pouredAt, readAt, temperature_C, state, volume_mL, squares, squaresCounted } = plate;
	const share = shareCounted(plate);
	if (share === null)
		flags.push(doubt('plate-squares', at, { label: id, squares: squares!, counted: squaresCounted! }));
	/** Colonies of the whole plate, counted or to be expected. */
	const count = plate.count === undefined ? undefined : plate.count / (share ?? 1);
	if (pouredAt !== undefined && readAt !== undefined) {
		const [from_ms, to_ms] = [Date.parse(pouredAt), Date.parse(readAt)];
		const age_h = heldFor_h(from_ms, to_ms);
		const cold_h = coldHours(plate, { from_ms, to_ms }, limits.plateLeastTemperature_C);
		if (age_h < limits.plateReadable_h)
			flags.push(doubt('plate-too-early', at, { label: id, age_h, readable_h: limits.plateReadable_h }));
		else if (age_h - cold_h < limits.plateReadable_h)
			flags.push(doubt('plate-held-back', at, { label: id, age_h, cold_h, least_C: limits.plateLeastTemperature_C }));
		if (age_h > limits.plateTooOld_h)
			flags.push(doubt('plate-too-old', at, { label: id, age_h, limit_h: limits.plateTooOld_h }));
	}
	if (temperature_C !== undefined && temperature_C < limits.plateLeastTemperature_C)
		flags.push(
			doubt('plate-too-cold', at, { label: id, seen_C: temperature_C, least_C: limits.plateLeastTemperature_C })
		);
	if (plate.isBlank) {
		if ((plate.count ?? 0) > 0) flags.push(doubt('blank-grew', at, { label: id, colonies: plate.count! }));
		return flags;
	}
	if (volume_mL === undefined) return flags;
	if (state === 'tooMany' || (state === 'counted' && (count ?? 0) > limits.plateManyColonies)) {
		const { volume_mL: instead_mL } = volumeFor({
			expectedPer100mL: ((count ?? 2 * limits.plateManyColonies) * 100) / volume_mL,
			...limits
		});
		if (instead_mL < volume_mL) flags.push(doubt('plate-crowded', at, { label: id, volume_mL, instead_mL }));
	}
	if (state === 'counted' && share === 1 && count !== undefined && count < limits.plateFewColonies) {
		const { volume_mL: instead_mL } = volumeFor({ expectedPer100mL: (count * 100) / volume_mL, ...limits });
		if (instead_mL > volume_mL)
			flags.push(doubt('plate-sparse', at, { label: id, colonies: count, volume_mL, instead_mL }));
	}
	return flags;
}

function incubation(id: string, plate: PlateSheet, limits: Limits): Clock[] {
	const { pouredAt, readAt, state } = plate;
	if (pouredAt === undefined || readAt !== undefined || state === 'spoiled') return [];
	const start_ms = Date.parse(pouredAt);
	return [
		{
			id: `plates/${id}`,
			kind: 'incubation',
			label: id,
			start_ms,
			due_ms: readableAt_ms(plate, start_ms, limits),
			last_ms: start_ms + limits.plateTooOld_h * HOUR_ms
		}
	];
}
