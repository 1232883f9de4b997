import type { Evidence, Flag, FlagCode } from '../../quality';
import { writeNumber } from '../../quantity';

const plain = (n: number, decimals: number) => n.toFixed(decimals).replace('-', '−');

/** The sentence for each doubt, the same on screen and paper: what was seen, then what to do. */
const sentences: { [C in FlagCode]: (evidence: Evidence[C]) => string } = {
	implausible: (e) => `${e.parameter} of ${e.seen} is possible but rare; usual is ${e.usual}. Read it again, or keep it if it stands.`,
	'outside-history': (e) =>
		`${e.parameter} of ${e.seen} lies outside what ${e.visits} visits here have seen (${e.low} to ${e.high}). Read it again, or keep it if it stands.`,
	'replicates-apart': (e) =>
		`The ${e.readings} readings of ${lower(e.parameter)} lie ${e.spread} apart; within ${e.limit} is usual. Wait until the figure stands still and take the odd one again.`,
	'open-both-ways': (e) => `${e.parameter}: one reading is below a limit and one above, so no mean can be given.`,
	'unit-slip': (e) =>
		`${e.parameter} of ${e.seen} lies outside ${e.low} to ${e.high}, ${e.from}. ${e.slip} it would be ${e.instead}, which lies within. Look again; if so, strike it and type it anew.`,
	'held-too-long': (e) =>
		`Bottle ${e.label} was held ${plain(e.held_h, 1)} h; its limit is ${e.limit_h} h. The bacteria in it are no longer those of the stream.`,
	'not-on-ice': (e) => `Bottle ${e.label} has stood ${plain(e.after_h, 1)} h and no time on ice is noted. Put it on ice, or note when it went on.`,
	'out-of-order': (e) => `${e.then} was done before ${lower(e.first)}. ${e.because}`,
	'plate-too-early': (e) => `Plate ${e.label} was read after ${plain(e.age_h, 0)} h; colonies may still come until ${e.readable_h} h. Read it again then.`,
	'plate-too-old': (e) =>
		`Plate ${e.label} was read after ${plain(e.age_h, 0)} h; after ${e.limit_h} h other things grow and the count is no longer one of E. coli.`,
	'plate-too-cold': (e) =>
		`Plate ${e.label} stood at ${plain(e.seen_C, 1)} °C; under ${e.least_C} °C it grows too slowly for the clock. Give it more time, and say so.`,
	'plate-crowded': (e) => `Plate ${e.label} has too many to count in ${e.volume_mL} mL. Next time pour ${e.instead_mL} mL of this water.`,
	'plate-sparse': (e) =>
		`Plate ${e.label} has ${e.colonies} colonies in ${e.volume_mL} mL, which leaves the figure wide open. Next time pour ${e.instead_mL} mL of this water.`,
	'blank-grew': (e) => `The blank, plate ${e.label}, grew ${e.colonies} colonies: something was not sterile, and none of this batch can be trusted.`,
	'blank-not-clean': (e) => `The blank, bottle ${e.label}, holds ${e.seen} of ${lower(e.parameter)}: bottle, water or handling carried it in.`,
	'duplicates-apart': (e) =>
		`The duplicates of ${lower(e.parameter)}, ${e.first} and ${e.second}, lie ${plain(e.apart_percent, 0)} % apart; within ${e.limit_percent} % is usual. Ask how each was taken before either is used.`,
	'duplicate-alone': (e) => `Bottle ${e.label} is a duplicate, but of no bottle here. Name its partner, or it says nothing.`,
	'below-blank': (e) => `${e.drops} drops are fewer than the blank’s ${e.blankDrops}. Titrate again, or look at the blank.`,
	'flume-submerged': (e) =>
		`The water below the flume stands at ${plain(e.submergence_percent, 0)} % of the head; from ${e.limit_percent} % on it holds the flow back and the rating does not hold. Clear the way below, or find a steeper place.`,
	'flume-out-of-range': (e) => `A head of ${plain(e.head_m, 3)} m lies outside the flume’s rating (${e.low_m} to ${e.high_m} m). Use another way of gauging.`,
	'flume-unrated': () => 'This card has no rating for a flume, so the head cannot become a flow. Ask the coordinator for the rating.',
	'gauging-incomplete': (e) => `The gauging has no ${e.lacks} yet and gives no flow.`,
	'below-stall-speed': (e) =>
		`At ${writeNumber(e.distance_m)} m the velocity of ${writeNumber(e.velocity_m_s)} m/s lies under ${e.stall_m_s} m/s, where meter ${e.instrument} stalls: it is not a measurement.`,
	'beyond-meter': (e) => `${e.parameter} of ${e.seen} lies outside what ${e.instrument} can measure (${e.low} to ${e.high}).`,
	'calibration-missing': (e) => `${e.instrument} has no calibration for ${lower(e.parameter)} on record. Calibrate it, or name another instrument.`,
	'calibration-old': (e) =>
		`${e.instrument} was calibrated for ${lower(e.parameter)} ${e.days} days before this reading; ${e.limit_days} is the most. Calibrate it again.`,
	'share-over-limit': (e) =>
		`The vertical at ${writeNumber(e.distance_m)} m carries ${plain(e.share_percent, 0)} % of the flow; no more than ${e.limit_percent} % is wanted. Add one beside it.`,
	'few-verticals': (e) => `${e.verticals} verticals so far; the card asks for at least ${e.least}.`,
	'edge-missing': (e) => `The ${e.side} edge of the water is not noted, so the flow there is not counted.`,
	'section-impossible': (e) => `The section cannot be worked out: ${e.why}.`,
	'vertical-incomplete': (e) => `The vertical at ${writeNumber(e.distance_m)} m has no ${e.lacks} yet and is left out.`,
	'over-wading-limit': (e) =>
		`${plain(e.depth_m, 2)} m deep at ${plain(e.velocity_m_s, 2)} m/s is over this card’s limit for wading (${e.limit}). Trained crew only, never alone; local rules come first.`,
	'life-jacket': (e) => `${plain(e.depth_m, 2)} m is deeper than ${e.limit_m} m: this card asks for a life jacket.`,
	'not-sampled': (e) => (e.reason ? `Not sampled: ${e.reason.replace(/[.]?$/, '.')}` : 'Not sampled; no reason is noted.'),
	supersaturated: (e) =>
		`The water holds ${plain(e.percent, 0)} % of what it can: algae in sun, or water falling over a weir, or a probe that needs calibrating.`,
	'two-values': (e) => `Two people wrote different values here without seeing each other’s: ${e.shown}, and ${e.other}. Both are kept; a reviewer strikes one.`,
	'clock-skew': (e) => `The clock of device ${e.device} is ${e.minutes} min off the server’s. Times are kept as written; judge them with that in mind.`,
	'changed-since-review': (e) => `${e.parameter} was ${e.judged} when it was reviewed and is now ${e.now}. It waits for review again.`
};

const lower = (name: string) => (/^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name);

export const flagSentence = (flag: Flag): string => (sentences[flag.code] as (evidence: Flag['evidence']) => string)(flag.evidence);
