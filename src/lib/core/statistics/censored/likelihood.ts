import { lnNormalCdf, normalHazard } from '../distributions/normal';
import { mean, standardDeviation } from '../spread';
import { censoredSample, type Censored } from './sample';

export interface LognormalFit {
	n: number;
	nCensored: number;
	meanLog: number | null;
	sdLog: number | null;
	logLikelihood: number | null;
	mean: number | null;
	median: number | null;
}

/**
 * The lognormal distribution under which the sample, non-detects included, is most likely; ln units for meanLog and
 * sdLog. Fitted in 1/sd and mean/sd, in which the likelihood has one hill only (Olsen 1978), by Newton's steps,
 * halved where they overshoot. Null for fewer than two distinct detected values; RangeError as for the sample.
 */
export function maximumLikelihoodLognormal(input: Censored): LognormalFit {
	const { n, nCensored, detected, limits } = censoredSample(input);
	if (new Set(detected).size < 2)
		return { n, nCensored, meanLog: null, sdLog: null, logLikelihood: null, mean: null, median: null };
	const logs = detected.map(Math.log);
	const lnLimits = limits.map(Math.log);
	// about the detected values' own mean and spread, so that the figures are near 0 and 1 whatever the unit
	const shift = mean(logs)!;
	const scale = standardDeviation(logs)!;
	const best = climb(
		logs.map((y) => (y - shift) / scale),
		lnLimits.map((l) => (l - shift) / scale)
	);
	const sdLog = scale / best.precision;
	const meanLog = shift + (scale * best.location) / best.precision;
	return {
		n,
		nCensored,
		meanLog,
		sdLog,
		logLikelihood:
			best.height - logs.reduce((sum, y) => sum + y, 0) - logs.length * (Math.log(scale) + Math.log(2 * Math.PI) / 2),
		mean: Math.exp(meanLog + sdLog ** 2 / 2),
		median: Math.exp(meanLog)
	};
}

/** The top of Σ ln γ − (γy − δ)²/2 over the detected + Σ ln Φ(γl − δ) over the limits, in γ = 1/sd and δ = mean/sd. */
function climb(
	ys: readonly number[],
	limits: readonly number[]
): { precision: number; location: number; height: number } {
	const heightAt = (g: number, d: number) =>
		g <= 0
			? -Infinity
			: ys.reduce((sum, y) => sum + Math.log(g) - (g * y - d) ** 2 / 2, 0) +
				limits.reduce((sum, l) => sum + lnNormalCdf(g * l - d), 0);
	let g = 1;
	let d = 0;
	let height = heightAt(g, d);
	for (let turn = 0; turn < MOST_TURNS; turn++) {
		const { stepG, stepD } = newtonStep(ys, limits, g, d);
		let part = 1;
		let next = heightAt(g + stepG, d + stepD);
		while (next < height - Math.abs(height) * ROUNDING && part > 1e-6) {
			part /= 2;
			next = heightAt(g + part * stepG, d + part * stepD);
		}
		g += part * stepG;
		d += part * stepD;
		height = next;
		if (Math.abs(stepG) <= CLOSE * g && Math.abs(stepD) <= CLOSE * Math.max(1, Math.abs(d))) break;
	}
	return { precision: g, location: d, height };
}

const MOST_TURNS = 200;
const CLOSE = 1e-14;
const ROUNDING = 1e-14;

function newtonStep(ys: readonly number[], limits: readonly number[], g: number, d: number) {
	let [upG, upD, gg, gd, dd] = [ys.length / g, 0, -ys.length / g ** 2, 0, 0];
	for (const y of ys) {
		const miss = g * y - d;
		upG -= miss * y;
		upD += miss;
		gg -= y * y;
		gd += y;
		dd -= 1;
	}
	for (const l of limits) {
		const z = g * l - d;
		const h = normalHazard(z);
		const bend = -h * (h + z);
		upG += h * l;
		upD -= h;
		gg += bend * l * l;
		gd -= bend * l;
		dd += bend;
	}
	const det = gg * dd - gd * gd;
	return { stepG: -(dd * upG - gd * upD) / det, stepD: -(gg * upD - gd * upG) / det };
}
