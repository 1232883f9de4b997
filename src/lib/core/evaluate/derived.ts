import { turbidityFromTube } from '../clarity';
import { specificConductance } from '../conductivity';
import { dissolvedOxygenSaturation, percentSaturation, pressureFromElevation } from '../oxygen';
import { amount, follows, measured, withQualifier, type Measured, type ParameterCode } from '../quantity';
import type { MethodCard } from '../method';
import type { Flag } from '../quality';
import type { Context } from './context';
import type { Finding } from './outcome';

/** Percent above which water cannot hold its oxygen for long. */
const SUPERSATURATED_PERCENT = 130;

const derived = { source: 'derived', readings: 1 } as const;

/** Figures that follow from the readings: oxygen as a share of what the water holds, conductivity at 25 °C, turbidity. */
export function derivedFindings(readings: readonly Finding[], card: MethodCard, context: Context): { findings: Finding[]; flags: Flag[] } {
	const of = (code: ParameterCode): Measured | null => {
		const finding = readings.find((f) => f.parameter === code);
		if (!finding) return null;
		const { number, qualifier } = amount(finding.figure);
		return measured(number, finding.uncertainty, qualifier);
	};
	const temperature = of('water-temperature');
	const warm = temperature?.qualifier === null && temperature.number >= -2 && temperature.number <= 45 ? temperature : null;
	const findings = [oxygenShare(of('dissolved-oxygen'), warm, context), conductance25(of('conductivity'), warm), turbidity(of('tube-depth'), card)].filter(
		(f) => f !== null
	);
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

/** A temperature of which nothing is known but its figure: the doubt then comes from the other part alone. */
const asGood = (temperature: Measured): Measured => ({ ...temperature, uncertainty: temperature.uncertainty ?? 0 });

function oxygenShare(oxygen: Measured | null, temperature: Measured | null, { site }: Context): Finding | null {
	if (!oxygen || !temperature) return null;
	const { pressure_kPa } = pressureFromElevation(site);
	const water = (temperature_C: number) => ({ temperature_C: held(temperature_C), salinity_ppt: 0, pressure_kPa });
	const share = follows([oxygen, asGood(temperature)], (mgL, t) => (100 * mgL) / dissolvedOxygenSaturation(water(t)).saturation_mgL);
	if (!share) return null;
	const { percent, saturation_mgL, working } = percentSaturation({ dissolvedOxygen_mgL: oxygen.number, ...water(temperature.number) });
	return {
		...derived,
		parameter: 'oxygen-saturation',
		figure: withQualifier(percent, share.qualifier, 'percent'),
		uncertainty: share.uncertainty,
		basis: `water holds ${saturation_mgL.toFixed(1)} mg/L at ${temperature.number.toFixed(1)} °C and ${pressure_kPa.toFixed(1)} kPa, the pressure from the site’s height`,
		working: share.qualifier === null ? working : null
	};
}

function conductance25(conductivity: Measured | null, temperature: Measured | null): Finding | null {
	if (!conductivity || !temperature) return null;
	const at25 = (conductivity_uScm: number, t: number) => specificConductance({ conductivity_uScm: Math.max(0, conductivity_uScm), temperature_C: held(t) });
	const found = follows([conductivity, asGood(temperature)], (c, t) => at25(c, t).specificConductance_uScm);
	if (!found) return null;
	return {
		...derived,
		parameter: 'conductance25',
		figure: withQualifier(found.number, found.qualifier, 'uS_cm'),
		uncertainty: found.uncertainty,
		basis: `read at ${temperature.number.toFixed(1)} °C, 1.91 % for each degree`,
		working: found.qualifier === null ? at25(conductivity.number, temperature.number).working : null
	};
}

function turbidity(depth: Measured | null, card: MethodCard): Finding | null {
	const tube = card.steps.find((s) => s.tool === 'tube');
	if (!depth || tube?.tool !== 'tube' || (depth.qualifier !== 'above' && depth.number > tube.tubeLength_cm)) return null;
	const { turbidity_NTU, qualifier } = turbidityFromTube({
		depth_cm: depth.number,
		tubeLength_cm: tube.tubeLength_cm,
		minimumDepth_cm: tube.minimumDepth_cm,
		stillVisibleWhenFull: depth.qualifier === 'above'
	});
	const side = qualifier === '<' ? 'below' : qualifier === '>' || depth.qualifier === 'below' ? 'above' : null;
	return {
		...derived,
		parameter: 'turbidity',
		figure: withQualifier(turbidity_NTU, side, 'NTU'),
		uncertainty: null,
		basis: 'from the tube by the published regression',
		working: null
	};
}
