import { PER_DEGREE, practicalSalinity, specificConductance } from '../../conductivity';
import { dissolvedOxygenSaturation, percentSaturation, pressureFromElevation } from '../../oxygen';
import {
	amount,
	certain,
	exactly,
	follows,
	measured,
	withQualifier,
	writeFixed,
	type ParameterCode
} from '../../quantity';
import { limitsOf } from '../../method';
import type { Context } from '../context';
import { finding, type Determination, type Finding } from '../determination';
import { doubt, type Flag } from '../flags';
import { knownOf, type Known } from '../known';
import { defineSubject } from '../subject';

/** Share by which the weather moves the pressure that the site's elevation gives: two standard uncertainties. */
const PRESSURE_GIVE = 0.015;
/** Share for each degree by which conductivity rises, and by how much that differs from water to water. */
const RISE = measured(PER_DEGREE, 0.001); // ISO 7888 has 0.0184 to 0.0202 between 5 and 30 °C
/** Under this the water counts as fresh, PSU. */
const FRESH_PSU = 0.5;

const WORKED_OUT = { way: 'derived', source: 'derived', readings: 1 } as const;

/**
 * Figures that follow from the readings: oxygen as a share of what the water holds, conductivity at 25 °C, salinity.
 */
export const derived = defineSubject({
	branches: [],
	knows: [],
	derive({ results, sheet, context }) {
		const read = knownOf(results, 'water-temperature');
		const isPossible = read?.value.qualifier === null && read.value.number >= -2 && read.value.number <= 45;
		const temperature = isPossible ? read : null;
		const conductivity = knownOf(results, 'conductivity');
		const isAt25 = sheet.meters?.conductivityAt25 === true;
		const salty = salinity(conductivity, temperature, isAt25);
		return [
			oxygenShare(knownOf(results, 'dissolved-oxygen'), temperature, salty, context),
			conductance25(conductivity, temperature, isAt25),
			salty
		].filter((f) => f !== null);
	},
	relate: ({ results, card }) => freshSource(results, limitsOf(card).freshSource_percent)
});

/** Nitrite that stands out against nitrate. Figures of which one is only a limit tell nothing of their share. */
function freshSource(results: readonly Determination[], limit_percent: number): Flag[] {
	const of = (code: ParameterCode) => results.find((f) => f.parameter === code)?.figure;
	const [nitrite, nitrate] = [of('nitrite'), of('nitrate')];
	if (!nitrite || !nitrate) return [];
	const [part, whole] = [amount(nitrite), amount(nitrate)];
	if (part.qualifier !== null || whole.qualifier === 'above' || whole.number <= 0) return [];
	const percent = (100 * part.number) / whole.number;
	if (percent < limit_percent) return [];
	const at = { path: 'readings/nitrite', parameter: 'nitrite' };
	return [doubt('fresh-source', at, { nitrite, nitrate, percent, limit_percent })];
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
	return finding({
		...WORKED_OUT,
		parameter: 'oxygen-saturation',
		figure: withQualifier(percent, share.qualifier, 'percent'),
		uncertainty: share.uncertainty,
		basis:
			`water holds ${writeFixed(saturation_mgL, 1)} mg/L at ${writeFixed(at, 1)} ` +
			`°C${isSalty ? `, salinity ${writeFixed(salt.number, 1)}` : ''} and ${writeFixed(pressure_kPa, 1)} kPa, the ` +
			'pressure from the site’s elevation',
		working: share.qualifier === null ? working : null,
		place: 'readings/dissolved-oxygen',
		parents: ['dissolved-oxygen', 'water-temperature', ...(isSalty ? (['conductivity'] as const) : [])],
		isSimulated: oxygen.isSimulated || temperature.isSimulated
	});
}

function conductance25(conductivity: Known | null, temperature: Known | null, isAt25: boolean): Finding | null {
	if (!conductivity) return null;
	const common = { ...WORKED_OUT, parameter: 'conductance25', place: 'readings/conductivity' } as const;
	if (isAt25) {
		const { number, qualifier, uncertainty } = conductivity.value;
		const figure = withQualifier(number, qualifier, 'uS_cm');
		return finding({
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
		[conductivity.value, temperature.value, RISE],
		(c, t, a) => at25(c, t, a).specificConductance_uScm
	);
	if (!share) return null;
	return finding({
		...common,
		figure: withQualifier(share.number, share.qualifier, 'uS_cm'),
		uncertainty: share.uncertainty,
		basis:
			`read at ${writeFixed(temperature.value.number, 1)} °C, ${writeFixed(100 * RISE.number, 2)} % for each ` +
			`degree`,
		working:
			share.qualifier === null ? at25(conductivity.value.number, temperature.value.number, RISE.number).working : null,
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
	return finding({
		...WORKED_OUT,
		parameter: 'salinity',
		figure: exactly(salt.number, 'PSU'),
		uncertainty: salt.uncertainty,
		basis: `from conductivity at ${writeFixed(temperature.value.number, 1)} °C, practical salinity scale`,
		working: null,
		place: 'readings/conductivity',
		parents: ['conductivity', 'water-temperature'],
		isSimulated: conductivity.isSimulated || temperature.isSimulated
	});
}
