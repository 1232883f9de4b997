import { rangeOfTube, turbidityFromTube } from '../clarity';
import { practicalSalinity, specificConductance } from '../conductivity';
import { dissolvedOxygenSaturation, percentSaturation, pressureFromElevation } from '../oxygen';
import {
	amount,
	certain,
	exactly,
	follows,
	measured,
	withQualifier,
	type Measured,
	type ParameterCode
} from '../quantity';
import type { MethodCard } from '../method';
import type { Sheet } from '../logbook';
import type { Flag } from '../quality';
import type { Context } from './context';
import { finding as found } from './finding';
import type { Finding } from './outcome';

/** Percent above which water cannot hold its oxygen for long. */
const SUPERSATURATED_PERCENT = 130;
/** Share by which the weather moves the pressure that the site's elevation gives: two standard uncertainties. */
const PRESSURE_GIVE = 0.015;
/** Share for each degree by which conductivity rises, and by how much that differs from water to water. */
const PER_DEGREE = measured(0.0191, 0.001); // Standard Methods 2510 B; ISO 7888 has 0.0184 to 0.0202 between 5 and 30 °C
/** Under this the water counts as fresh, PSU. */
const FRESH_PSU = 0.5;

const derived = { way: 'derived', source: 'derived', readings: 1 } as const;

interface Known {
	value: Measured;
	isSimulated: boolean;
}

/** Figures that follow from the readings: oxygen as a share of what the water holds, conductivity at 25 °C, salinity, turbidity. */
export function derivedFindings(
	readings: readonly Finding[],
	sheet: Sheet,
	card: MethodCard,
	context: Context
): { findings: Finding[]; flags: Flag[] } {
	const of = (code: ParameterCode): Known | null => {
		const known = readings.find((f) => f.parameter === code);
		if (!known) return null;
		const { number, qualifier } = amount(known.figure);
		return { value: measured(number, known.uncertainty, qualifier), isSimulated: known.isSimulated };
	};
	const read = of('water-temperature');
	const warm = read?.value.qualifier === null && read.value.number >= -2 && read.value.number <= 45 ? read : null;
	const conductivity = of('conductivity');
	const isAt25 = sheet.meters?.conductivityAt25 === true;
	const at25 = conductance25(conductivity, warm, isAt25);
	const salty = salinity(conductivity, warm, isAt25);
	const findings = [
		oxygenShare(of('dissolved-oxygen'), warm, salty, context),
		at25,
		salty,
		turbidity(of('tube-depth'), card)
	].filter((f) => f !== null);
	const flags: Flag[] = [];
	for (const { parameter, figure } of findings) {
		const percent = amount(figure).number;
		if (parameter === 'oxygen-saturation' && percent > SUPERSATURATED_PERCENT)
			flags.push({ code: 'supersaturated', path: 'readings/dissolved-oxygen', parameter, evidence: { percent } });
	}
	return { findings, flags };
}

/** A temperature moved by its uncertainty may leave the range of a formula; there it is held at the edge. */
const held = (temperature_C: number) => Math.min(45, Math.max(-2, temperature_C));
const heldPressure = (pressure_kPa: number) => Math.min(115, Math.max(40, pressure_kPa));
const heldSalinity = (salinity_ppt: number) => Math.min(45, Math.max(0, salinity_ppt));

function oxygenShare(
	oxygen: Known | null,
	temperature: Known | null,
	salty: Finding | null,
	{ site }: Context
): Finding | null {
	if (!oxygen || !temperature) return null;
	const { pressure_kPa } = pressureFromElevation(site);
	const salt = salty === null ? certain(0) : measured(heldSalinity(amount(salty.figure).number), salty.uncertainty);
	const water = (temperature_C: number, kPa: number, ppt: number) => ({
		temperature_C: held(temperature_C),
		salinity_ppt: heldSalinity(ppt),
		pressure_kPa: heldPressure(kPa)
	});
	const share = follows(
		[oxygen.value, temperature.value, measured(pressure_kPa, PRESSURE_GIVE * pressure_kPa), salt],
		(mgL, t, kPa, ppt) => (100 * Math.max(0, mgL)) / dissolvedOxygenSaturation(water(t, kPa, ppt)).saturation_mgL
	);
	if (!share) return null;
	const at = temperature.value.number;
	const { percent, saturation_mgL, working } = percentSaturation({
		dissolvedOxygen_mgL: oxygen.value.number,
		...water(at, pressure_kPa, salt.number)
	});
	const isSalty = salt.number >= FRESH_PSU;
	return found({
		...derived,
		parameter: 'oxygen-saturation',
		figure: withQualifier(percent, share.qualifier, 'percent'),
		uncertainty: share.uncertainty,
		basis: `water holds ${saturation_mgL.toFixed(1)} mg/L at ${at.toFixed(1)} °C${isSalty ? `, salinity ${salt.number.toFixed(1)}` : ''} and ${pressure_kPa.toFixed(1)} kPa, the pressure from the site’s elevation`,
		working: share.qualifier === null ? working : null,
		place: 'readings/dissolved-oxygen',
		parents: ['dissolved-oxygen', 'water-temperature', ...(isSalty ? (['conductivity'] as const) : [])],
		isSimulated: oxygen.isSimulated || temperature.isSimulated
	});
}

function conductance25(conductivity: Known | null, temperature: Known | null, isAt25: boolean): Finding | null {
	if (!conductivity) return null;
	const common = { ...derived, parameter: 'conductance25', place: 'readings/conductivity' } as const;
	if (isAt25) {
		const { number, qualifier, uncertainty } = conductivity.value;
		const figure = withQualifier(number, qualifier, 'uS_cm');
		return found({
			...common,
			figure,
			uncertainty,
			basis: 'as the meter shows it, brought to 25 °C by itself',
			working: null,
			parents: ['conductivity'],
			isSimulated: conductivity.isSimulated
		});
	}
	if (!temperature) return null;
	const at25 = (conductivity_uScm: number, t: number, coefficientPerC: number) =>
		specificConductance({ conductivity_uScm: Math.max(0, conductivity_uScm), temperature_C: held(t), coefficientPerC });
	const share = follows(
		[conductivity.value, temperature.value, PER_DEGREE],
		(c, t, a) => at25(c, t, a).specificConductance_uScm
	);
	if (!share) return null;
	return found({
		...common,
		figure: withQualifier(share.number, share.qualifier, 'uS_cm'),
		uncertainty: share.uncertainty,
		basis: `read at ${temperature.value.number.toFixed(1)} °C, ${(100 * PER_DEGREE.number).toFixed(2)} % for each degree`,
		working:
			share.qualifier === null
				? at25(conductivity.value.number, temperature.value.number, PER_DEGREE.number).working
				: null,
		parents: ['conductivity', 'water-temperature'],
		isSimulated: conductivity.isSimulated || temperature.isSimulated
	});
}

/** Practical salinity where the water is not fresh; null where it is, or where it cannot be told. */
function salinity(conductivity: Known | null, temperature: Known | null, isAt25: boolean): Finding | null {
	if (!conductivity || !temperature || conductivity.value.qualifier !== null) return null;
	const of = (uScm: number, t: number) =>
		practicalSalinity({ conductivity_mScm: Math.max(0, uScm) / 1000, temperature_C: isAt25 ? 25 : held(t) }).salinity;
	const salt = follows([conductivity.value, temperature.value], (c, t) => Math.max(0, of(c, t)));
	if (!salt || salt.number < FRESH_PSU) return null;
	return found({
		...derived,
		parameter: 'salinity',
		figure: exactly(salt.number, 'PSU'),
		uncertainty: salt.uncertainty,
		basis: `from conductivity at ${temperature.value.number.toFixed(1)} °C, practical salinity scale`,
		working: null,
		place: 'readings/conductivity',
		parents: ['conductivity', 'water-temperature'],
		isSimulated: conductivity.isSimulated || temperature.isSimulated
	});
}

/** Turbidity as one regression has it: beside the transparency, which is the figure; only where that regression was made, and wide. */
function turbidity(depth: Known | null, card: MethodCard): Finding | null {
	const tube = card.steps.find((s) => s.tool === 'tube');
	if (!depth || tube?.tool !== 'tube' || (depth.value.qualifier !== 'above' && depth.value.number > tube.tubeLength_cm))
		return null;
	const { least_cm, most_cm, give, source } = rangeOfTube;
	const { number } = depth.value;
	const isBeyond = depth.value.qualifier === 'above' || number > most_cm;
	const length_cm = Math.min(most_cm, Math.max(number, least_cm));
	const { turbidity_NTU, qualifier } = turbidityFromTube({
		depth_cm: number,
		tubeLength_cm: length_cm,
		minimumDepth_cm: Math.min(least_cm, length_cm),
		stillVisibleWhenFull: isBeyond
	});
	const side = qualifier === '<' ? 'below' : qualifier === '>' || depth.value.qualifier === 'below' ? 'above' : null;
	return found({
		...derived,
		parameter: 'turbidity',
		figure: withQualifier(turbidity_NTU, side, 'NTU'),
		uncertainty: side === null ? give * turbidity_NTU : null,
		basis: `from the tube, by ${source}; another tube or another silt may differ by a third`,
		working: null,
		place: 'readings/tube-depth',
		parents: ['tube-depth'],
		isSimulated: depth.isSimulated
	});
}
