import type { Unit } from '../quantity';
import type { Way } from './ways';

/*
 * The one catalogue of doubts. Each code has its weight and the evidence that goes with it; the sentence for it stands in
 * interpret/words. `note`: worth knowing. `ask`: the person is asked. `spoils`: the figure cannot be used as it stands.
 */

export interface Evidence {
	implausible: { parameter: string; seen: string; usual: string };
	'outside-history': { parameter: string; seen: string; low: string; high: string; visits: number };
	'replicates-apart': { parameter: string; spread: string; limit: string; readings: number; isByPlace?: boolean };
	'open-both-ways': { parameter: string };
	/** `retype`: what the slip would have been, as it would be typed. */
	'unit-slip': {
		parameter: string;
		seen: string;
		instead: string;
		slip: string;
		low: string;
		high: string;
		from: string;
		retype?: { value: number; unit: Unit };
		/** Which figure of a vertical is meant. */
		place?: string;
	};
	'held-too-long': { label: string; held_h: number; limit_h: number };
	'plating-unsaid': { label: string; limit_h: number };
	'not-from-this-bottle': { label: string; parameter: string; with: string; because: string };
	'not-filtered': { label: string; parameter: string; after_min: number | null; within_min: number };
	'not-on-ice': { label: string; after_h: number };
	'out-of-order': { first: string; then: string; because: string };
	'plate-too-early': { label: string; age_h: number; readable_h: number };
	'plate-too-old': { label: string; age_h: number; limit_h: number };
	'plate-too-cold': { label: string; seen_C: number; least_C: number };
	'plate-crowded': { label: string; volume_mL: number; instead_mL: number };
	'plate-sparse': { label: string; colonies: number; volume_mL: number; instead_mL: number };
	'blank-grew': { label: string; colonies: number };
	'blank-not-clean': { label: string; parameter: string; seen: string };
	'duplicates-apart': {
		parameter: string;
		first: string;
		second: string;
		apart_percent: number;
		limit_percent: number;
	};
	'duplicates-apart-log': {
		parameter: string;
		first: string;
		second: string;
		apart_log: number;
		limit_log: number;
		pairs: number;
	};
	'duplicate-alone': { label: string };
	'below-blank': { drops: number; blankDrops: number };
	'flume-submerged': { submergence_percent: number; limit_percent: number };
	'flume-out-of-range': { head_m: number; low_m: number; high_m: number };
	'flume-unrated': Record<string, never>;
	'gauging-incomplete': { lacks: string };
	'below-stall-speed': { distance_m: number; velocity_m_s: number; stall_m_s: number; instrument: string };
	'beyond-meter': { parameter: string; seen: string; instrument: string; low: string; high: string };
	'calibration-missing': { instrument: string; parameter: string };
	'calibration-old': { instrument: string; parameter: string; days: number; limit_days: number };
	'share-over-limit': { distance_m: number; share_percent: number; limit_percent: number };
	'few-verticals': { verticals: number; least: number };
	'edge-missing': { side: string };
	'section-impossible': { why: string };
	'vertical-incomplete': { distance_m: number; lacks: string };
	'over-wading-limit': { depth_m: number | null; velocity_m_s: number | null; limit: string };
	'waded-over-limit': { depth_m: number | null; velocity_m_s: number | null; limit: string };
	'waded-untried': { limit: string };
	'vertical-over-limit': {
		distance_m: number;
		depth_m: number | null;
		velocity_m_s: number | null;
		verticals: number;
		limit: string;
	};
	'life-jacket': { depth_m: number; limit_m: number };
	'cold-water': { temperature_C: number; limit_C: number };
	'not-sampled': { reason: string };
	alone: Record<string, never>;
	'nobody-named': Record<string, never>;
	'nobody-waits': Record<string, never>;
	'in-spite-of-danger': { isWading: boolean; dangers: string };
	'sewage-signs': { signs: string; to: string };
	'report-now': { what: string; to: string };
	'rain-contradicts': Record<string, never>;
	'fresh-source': { nitrite: string; nitrate: string; percent: number; limit_percent: number };
	'sterile-rinsed': { label: string };
	'rinsed-otherwise': { label: string; rinses: number; wanted: number };
	'rinse-unsaid': { label: string; wanted: number };
	'not-preserved': { label: string; wanted: string };
	'wrong-preservative': { label: string; with: string; wanted: string };
	'blank-of-stream': { label: string; wanted: string };
	'blank-water-unsaid': { label: string; wanted: string };
	'blank-not-sterile': { label: string };
	'wrong-bottle': { label: string; why: string };
	'label-twice': { label: string };
	'label-elsewhere': { label: string; site: string };
	'cooler-warm': { temperature_C: number; limit_C: number };
	'time-order': { first: string; then: string; what: string };
	'finer-than-instrument': { parameter: string; seen: string; instrument: string; step: string };
	'colour-early': { parameter: string; after_s: number; wait_s: number };
	'colour-late': { parameter: string; after_s: number; within_s: number };
	'titration-bubble': { bottle: string };
	'floc-unsettled': { bottle: string; after_s: number; settle_s: number };
	'titrated-late': { bottle: string; after_h: number; limit_h: number };
	'ways-apart': { parameter: string; reported: string; by: Way; other: string; otherBy: Way; guessed_percent: number };
	'titrations-apart': { lowest: string; highest: string; limit: string };
	'disc-spoiled': { why: string };
	'disc-turned': { lost: string; seen: string };
	'flume-not-level': { how: string };
	'flume-unread-tail': Record<string, never>;
	'tape-sags': { sag_m: number; tooLong_percent: number; limit_percent: number };
	'gaugings-apart': { first: string; second: string; apart_percent: number; limit_percent: number };
	'another-way': { asked: string; used: string; because: string };
	'speeds-turned': { distance_m: number; at02_m_s: number; at08_m_s: number };
	'run-apart': { time_s: number; usual_s: number; others: number };
	'float-coefficient-high': { coefficient: number; depth_m: number; byDepth: number };
	'widths-apart': { wetted_m: number; section_m: number; limit_percent: number };
	'bankfull-narrow': { bankfull_m: number; wetted_m: number };
	'typed-once': Record<string, never>;
	supersaturated: { percent: number };
	'two-values': { path: string; shown: string; other: string };
	'clock-skew': { device: string; minutes: number };
	'changed-since-review': { parameter: string; judged: string; now: string };
}

export type FlagCode = keyof Evidence;
export type Weight = 'note' | 'ask' | 'spoils';

export const weights = {
	implausible: 'ask',
	'outside-history': 'ask',
	'replicates-apart': 'ask',
	'open-both-ways': 'spoils',
	'unit-slip': 'ask',
	'held-too-long': 'ask',
	'plating-unsaid': 'ask',
	'not-from-this-bottle': 'spoils',
	'not-filtered': 'ask',
	'not-on-ice': 'ask',
	'out-of-order': 'ask',
	'plate-too-early': 'ask',
	'plate-too-old': 'spoils',
	'plate-too-cold': 'ask',
	'plate-crowded': 'note',
	'plate-sparse': 'note',
	'blank-grew': 'spoils',
	'blank-not-clean': 'spoils',
	'duplicates-apart': 'ask',
	'duplicates-apart-log': 'ask',
	'duplicate-alone': 'ask',
	'below-blank': 'ask',
	'flume-submerged': 'spoils',
	'flume-out-of-range': 'spoils',
	'flume-unrated': 'spoils',
	'gauging-incomplete': 'ask',
	'below-stall-speed': 'ask',
	'beyond-meter': 'ask',
	'calibration-missing': 'ask',
	'calibration-old': 'ask',
	'share-over-limit': 'note',
	'few-verticals': 'note',
	'edge-missing': 'spoils',
	'section-impossible': 'spoils',
	'vertical-incomplete': 'ask',
	'over-wading-limit': 'ask',
	'waded-over-limit': 'ask',
	'waded-untried': 'ask',
	'vertical-over-limit': 'ask',
	'life-jacket': 'ask',
	'cold-water': 'note',
	'not-sampled': 'note',
	alone: 'ask',
	'nobody-named': 'ask',
	'nobody-waits': 'ask',
	'in-spite-of-danger': 'ask',
	'sewage-signs': 'ask',
	'report-now': 'ask',
	'rain-contradicts': 'ask',
	'fresh-source': 'ask',
	'sterile-rinsed': 'spoils',
	'rinsed-otherwise': 'ask',
	'rinse-unsaid': 'ask',
	'not-preserved': 'ask',
	'wrong-preservative': 'spoils',
	'blank-of-stream': 'spoils',
	'blank-water-unsaid': 'ask',
	'blank-not-sterile': 'ask',
	'wrong-bottle': 'ask',
	'label-twice': 'ask',
	'label-elsewhere': 'ask',
	'cooler-warm': 'ask',
	'time-order': 'ask',
	'finer-than-instrument': 'ask',
	'colour-early': 'ask',
	'colour-late': 'ask',
	'titration-bubble': 'spoils',
	'floc-unsettled': 'ask',
	'titrated-late': 'ask',
	'ways-apart': 'ask',
	'titrations-apart': 'ask',
	'disc-spoiled': 'ask',
	'disc-turned': 'ask',
	'flume-not-level': 'ask',
	'flume-unread-tail': 'ask',
	'tape-sags': 'ask',
	'gaugings-apart': 'ask',
	'another-way': 'note',
	'speeds-turned': 'ask',
	'run-apart': 'ask',
	'float-coefficient-high': 'ask',
	'widths-apart': 'ask',
	'bankfull-narrow': 'ask',
	'typed-once': 'ask',
	supersaturated: 'note',
	'two-values': 'ask',
	'clock-skew': 'ask',
	'changed-since-review': 'ask'
} as const satisfies Record<FlagCode, Weight>;

/** A doubt about a measurement: which, where in the sheet, about which parameter's result, on what evidence. */
export type Flag = {
	[C in FlagCode]: { code: C; path: string; parameter: string | null; evidence: Evidence[C] };
}[FlagCode];

export const weightOf = (flag: Flag): Weight => weights[flag.code];

/** Doubts about what people do and not about a figure: they are said, and hold no figure back. */
const aboutPeople: readonly FlagCode[] = [
	'over-wading-limit',
	'waded-over-limit',
	'waded-untried',
	'vertical-over-limit',
	'life-jacket',
	'cold-water',
	'alone',
	'nobody-named',
	'nobody-waits',
	'in-spite-of-danger'
];
export const isAboutPeople = (flag: Flag): boolean => aboutPeople.includes(flag.code);
