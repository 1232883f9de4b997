import type { Evidence, Flag, FlagCode } from '../../quality';
import { writeNumber } from '../../quantity';
import { wayWords } from './way';

const colonies = (n: number) => (n === 1 ? 'one colony' : `${n} colonies`);
const to = (words: string) => words || 'your coordinator and the authority';
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const water = ({ depth_m, velocity_m_s }: { depth_m: number | null; velocity_m_s: number | null }) =>
	[depth_m === null ? '' : `${plain(depth_m, 2)} m deep`, velocity_m_s === null ? '' : `${plain(velocity_m_s, 2)} m/s`]
		.filter(Boolean)
		.join(' at ');
const times = (n: number) => (n === 0 ? 'not at all' : n === 1 ? 'once' : `${n} times`);
const say_s = (s: number) =>
	s < 120 ? `${plain(s, 0)} s` : s < 7200 ? `${plain(s / 60, 0)} min` : `${plain(s / 3600, 1)} h`;
const plain = (n: number, decimals: number) => n.toFixed(decimals).replace('-', '−');

/** The sentence for each doubt, the same on screen and paper: what was seen, then what to do. */
const sentences: { [C in FlagCode]: (evidence: Evidence[C]) => string } = {
	implausible: (e) =>
		`${e.parameter} of ${e.seen} is possible but rare; usual is ${e.usual}. Read it again, or keep it if it stands.`,
	'outside-history': (e) =>
		`${e.parameter} of ${e.seen} lies outside what ${e.visits} visits here have seen (${e.low} to ${e.high}). Read it again, or keep it if it stands.`,
	'replicates-apart': (e) =>
		`The ${e.readings} readings of ${lower(e.parameter)} lie ${e.spread} apart; within ${e.limit} is usual. ${
			e.isByPlace
				? 'Do they differ by place? Go back to the first: if it reads as before, the stream differs, and all of them stand. If not, wait until the figure stands still.'
				: 'Wait until the figure stands still, and read once more.'
		}`,
	'open-both-ways': (e) => `${e.parameter}: one reading is below a limit and one above, so no mean can be given.`,
	'unit-slip': (e) =>
		`${e.parameter} of ${e.seen} lies outside ${e.low} to ${e.high}, ${e.from}. ${e.slip} it would be ${e.instead}, which lies within. Look again; if so, strike it and type it anew.`,
	'held-too-long': (e) =>
		`Bottle ${e.label} was held ${plain(e.held_h, 1)} h; its limit is ${e.limit_h} h. What it holds may have changed by then: the figure is qualified, and says so.`,
	'plating-unsaid': (e) =>
		`When was bottle ${e.label} plated? Its ${e.limit_h} h count until then, and nobody has noted it. Ask the lab.`,
	'not-from-this-bottle': (e) =>
		`${e.parameter} cannot come from bottle ${e.label}, which holds ${e.with === 'nothing' ? 'no preservative' : e.with}: ${e.because}. Ask the lab which bottle it used.`,
	'not-filtered': (e) =>
		`${e.parameter} is of what is dissolved: bottle ${e.label} ${e.after_min === null ? 'has no time of filtering' : `was filtered ${plain(e.after_min, 0)} min after filling`}; within ${e.within_min} min is asked for.`,
	'not-on-ice': (e) =>
		`Bottle ${e.label} has stood ${plain(e.after_h, 1)} h and no time on ice is noted. Put it on ice, or note when it went on.`,
	'out-of-order': (e) => `${e.then} was done before ${lower(e.first)}. ${e.because}`,
	'plate-too-early': (e) =>
		`Plate ${e.label} was read after ${plain(e.age_h, 0)} h; colonies may still come until ${e.readable_h} h. Read it again then.`,
	'plate-too-old': (e) =>
		`Plate ${e.label} was read after ${plain(e.age_h, 0)} h; after ${e.limit_h} h other things grow and the count is no longer one of E. coli.`,
	'plate-too-cold': (e) =>
		`Plate ${e.label} stood at ${plain(e.seen_C, 1)} °C; under ${e.least_C} °C it grows too slowly for the clock. Give it more time, and say so.`,
	'plate-crowded': (e) =>
		`Plate ${e.label} has too many to count in ${e.volume_mL} mL. Next time pour ${e.instead_mL} mL of this water.`,
	'plate-sparse': (e) =>
		`Plate ${e.label} has ${colonies(e.colonies)} in ${e.volume_mL} mL, which leaves the figure wide open. Next time pour ${e.instead_mL} mL of this water.`,
	'blank-grew': (e) =>
		`The blank, plate ${e.label}, grew ${colonies(e.colonies)}: something was not sterile, and none of this batch can be trusted.`,
	'blank-not-clean': (e) =>
		`The blank, bottle ${e.label}, holds ${e.seen} of ${lower(e.parameter)}: bottle, water or handling carried it in.`,
	'duplicates-apart': (e) =>
		`The duplicates of ${lower(e.parameter)}, ${e.first} and ${e.second}, lie ${plain(e.apart_percent, 0)} % apart; within ${e.limit_percent} % is usual. Ask how each was taken before either is used.`,
	'duplicates-apart-log': (e) =>
		`The duplicates of ${lower(e.parameter)}, ${e.first} and ${e.second}, lie ${plain(e.apart_log, 2)} apart in log10; within ${plain(e.limit_log, 2)} is usual${e.pairs ? ` for your last ${e.pairs} pairs` : ''}. Ask how each was taken before either is used.`,
	'duplicate-alone': (e) =>
		`Bottle ${e.label} is a duplicate, but of no bottle here. Name its partner, or it says nothing.`,
	'below-blank': (e) =>
		`${e.drops} drops are fewer than the blank’s ${e.blankDrops}. Titrate again, or look at the blank.`,
	'flume-submerged': (e) =>
		`The water below the flume stands at ${plain(e.submergence_percent, 0)} % of the head; from ${e.limit_percent} % on it holds the flow back and the rating does not hold. Clear the way below, or find a steeper place.`,
	'flume-out-of-range': (e) =>
		`A head of ${plain(e.head_m, 3)} m lies outside the flume’s rating (${e.low_m} to ${e.high_m} m). Use another way of gauging.`,
	'flume-unrated': () =>
		'Nobody has said which flume this is, so the head cannot become a flow. Choose it from the shelf, or ask the coordinator to put its rating there.',
	'gauging-incomplete': (e) => `The gauging has no ${e.lacks} yet and gives no flow.`,
	'below-stall-speed': (e) =>
		`At ${writeNumber(e.distance_m)} m the velocity of ${writeNumber(e.velocity_m_s)} m/s lies under ${e.stall_m_s} m/s, the least that meter ${e.instrument} can tell: it is not a measurement.`,
	'beyond-meter': (e) =>
		`${e.parameter} of ${e.seen} lies outside what ${e.instrument} can measure (${e.low} to ${e.high}).`,
	'calibration-missing': (e) =>
		`${e.instrument} has no calibration for ${lower(e.parameter)} on record. Calibrate it, or name another instrument.`,
	'calibration-old': (e) =>
		`${e.instrument} was calibrated for ${lower(e.parameter)} ${e.days === 1 ? 'a day' : `${e.days} days`} before this reading; ${e.limit_days} is the most. Calibrate it again.`,
	'share-over-limit': (e) =>
		`The vertical at ${writeNumber(e.distance_m)} m carries ${plain(e.share_percent, 0)} % of the flow; no more than ${e.limit_percent} % is wanted. Add one beside it.`,
	'few-verticals': (e) =>
		`${e.verticals === 1 ? 'One vertical' : `${e.verticals} verticals`} so far; the card asks for at least ${e.least}.`,
	'edge-missing': (e) => `The ${e.side} edge of the water is not noted, so the flow there is not counted.`,
	'section-impossible': (e) => `The section cannot be worked out: ${e.why}.`,
	'vertical-incomplete': (e) => `The vertical at ${writeNumber(e.distance_m)} m has no ${e.lacks} yet and is left out.`,
	'over-wading-limit': (e) =>
		`${water(e)} is over the limit here (${e.limit}). Nobody wades. What else can be done: from the bank, with a pole, from a bridge, or another day. The coordinator decides on limits, not the hour.`,
	'waded-over-limit': (e) =>
		`Waded, though ${water(e)} is over the limit here (${e.limit}). Come out if somebody is still in. Say who decided and why; the coordinator sees it.`,
	'waded-untried': (e) =>
		`Waded, and depth and speed at the edge are not both noted. Nobody wades here where it is ${e.limit}: try both first.`,
	'vertical-over-limit': (e) =>
		`At ${writeNumber(e.distance_m)} m on the tape: ${water(e)}, over the limit for wading (${e.limit})${e.verticals > 1 ? `, and at ${e.verticals - 1} more` : ''}. Come back to where it is shallow and slow; gauge from a bridge, with floats, or another day.`,
	'life-jacket': (e) =>
		`${plain(e.depth_m, 2)} m is deeper than ${e.limit_m} m: this card asks for a life jacket, or stay on the bank.`,
	'cold-water': (e) =>
		`The water has ${plain(e.temperature_C, 1)} °C: under ${e.limit_C} °C it takes breath and grip within minutes. Out of it at once after a fall; dry clothes stand ready.`,
	'not-sampled': (e) =>
		e.reason ? `Not sampled: ${e.reason.replace(/[.]?$/, '.')}` : 'Not sampled; no reason is noted.',
	alone: () =>
		'One person only is noted here. Nobody goes into or near moving water alone: say who is with you, or stay away from it.',
	'nobody-named': () => 'Nobody is noted as being here. Both sets of initials go on the sheet.',
	'nobody-waits': () =>
		'Nobody is noted who waits for you. Tell somebody ashore where you are and when you are back, and note who.',
	'in-spite-of-danger': (e) =>
		`${e.isWading ? 'Waded' : 'Sampled'}, though this was noted: ${e.dangers}. Come away from the water now if it still holds. Say who decided; local rules come first.`,
	'sewage-signs': (e) =>
		`Signs that may come from sewage: ${e.signs}. Grey threads also come with silage, sugar or de-icer. Gloves, no food; photograph it, and tell ${to(e.to)} today.`,
	'report-now': (e) =>
		`${capital(e.what)}: report it now, not with the results. Tell ${to(e.to)}; say where, when, what you see. Keep out of the water.`,
	'rain-contradicts': () =>
		'More rain is noted for the last 24 hours than for the last 48, which hold them. One of the two is wrong.',
	'fresh-source': (e) =>
		`Nitrite of ${e.nitrite} is ${plain(e.percent, 0)} % of the nitrate (${e.nitrate}); from ${e.limit_percent} % on a cause is worth looking for: waste, drains or silage, or water short of oxygen. Look upstream, and measure oxygen.`,
	'sterile-rinsed': (e) =>
		`Bottle ${e.label} is sterile and was rinsed: what kept it sterile is gone, and hands and stream are in it. Take another.`,
	'rinsed-otherwise': (e) => `Bottle ${e.label} was rinsed ${times(e.rinses)}; the card asks for ${times(e.wanted)}.`,
	'wrong-preservative': (e) =>
		`Into bottle ${e.label} went ${e.with}; the card asks for ${e.wanted}. The lab cannot use it for what was meant: take another bottle, and say so on the form.`,
	'rinse-unsaid': (e) =>
		`Bottle ${e.label} is filled and no rinse is noted; the card asks for ${times(e.wanted)}. Note it if it was done; else say so, and rinse the next.`,
	'not-preserved': (e) =>
		`Bottle ${e.label} is filled and no ${e.wanted} is noted. Add it on the bank, with gloves and eye protection, or note when it was done.`,
	'blank-of-stream': (e) =>
		`The blank, bottle ${e.label}, holds stream water. A blank is ${e.wanted}, handled like a sample: fill another, or it tells nothing.`,
	'blank-water-unsaid': (e) => `Say that the blank, bottle ${e.label}, was filled with ${e.wanted}.`,
	'blank-not-sterile': (e) =>
		`The blank, bottle ${e.label}, holds deionised water, which starves bacteria. For them a blank is sterile buffered water: fill another, or say so on the form.`,
	'wrong-bottle': (e) =>
		`Bottle ${e.label} ${e.why}. Look at the label again; if the bottle is the wrong one, strike it and take the right one.`,
	'label-twice': (e) => `Two bottles carry the label ${e.label}. Nobody could tell them apart at the lab: relabel one.`,
	'label-elsewhere': (e) =>
		`A bottle with the label ${e.label} was filled at ${e.site} too. Nobody could tell them apart at the lab: relabel one, and note which.`,
	'cooler-warm': (e) =>
		`The cooler had ${plain(e.temperature_C, 1)} °C when it was handed over; over ${e.limit_C} °C bottles do not count as kept cold. More ice, and tell the lab.`,
	'time-order': (e) =>
		`${e.what}: ${e.then} comes before ${e.first}, which cannot be. Strike the time that is wrong; the clock of the phone may have jumped.`,
	'finer-than-instrument': (e) =>
		`${e.parameter} of ${e.seen} is finer than ${e.instrument} can show; it reads to the nearest ${e.step}.`,
	'colour-early': (e) =>
		`${e.parameter} was read ${say_s(e.after_s)} after the dip; the colour needs ${say_s(e.wait_s)}. Dip a fresh one.`,
	'colour-late': (e) =>
		`${e.parameter} was read ${say_s(e.after_s)} after the dip; after ${say_s(e.within_s)} the colour goes on changing. Dip a fresh one.`,
	'titration-bubble': (e) =>
		`Bottle ${e.bottle} had a bubble: air went on giving oxygen. Start again with a fresh bottle.`,
	'floc-unsettled': (e) =>
		`Bottle ${e.bottle} was acidified ${say_s(e.after_s)} after fixing; the floc needs ${say_s(e.settle_s)} to settle.`,
	'titrated-late': (e) =>
		`Bottle ${e.bottle} was titrated ${plain(e.after_h, 1)} h after fixing; ${e.limit_h} h is the most.`,
	'ways-apart': (e) =>
		`${e.parameter}: ${e.reported} by ${wayWords[e.by]}, ${e.other} by ${wayWords[e.otherBy]}; they lie further apart than both are sure${e.guessed_percent > 0 ? ` (± ${e.guessed_percent} % where nobody said how sure one is)` : ''}. Both are kept, the first is reported. Do one of them again, or say which is wrong.`,
	'titrations-apart': (e) =>
		`The titrations lie apart, ${e.lowest} and ${e.highest}; within ${e.limit} is usual. One drop too many is the usual slip: titrate a third.`,
	'disc-spoiled': (e) => `The disc could not be read rightly: ${e.why}. Keep it if it must be, or read it again.`,
	'disc-turned': (e) =>
		`The disc was seen again at ${e.seen}, deeper than it was lost (${e.lost}), which cannot be. Strike the one that is wrong, or read both again.`,
	'flume-not-level': (e) =>
		`The flume is not level ${e.how}: its rating holds for a level one only. Set it right, let it settle, read again.`,
	'flume-unread-tail': () =>
		'The depth below the flume is not noted, so nobody can tell whether the water ran free. Read it.',
	'tape-sags': (e) =>
		`The tape hung through by ${plain(e.sag_m, 2)} m, which makes the width come out ${plain(e.tooLong_percent, 1)} % too long; ${e.limit_percent} % is the most. Pull it tight and read again.`,
	'gaugings-apart': (e) =>
		`Two gaugings of this flow, ${e.first} and ${e.second}, lie ${plain(e.apart_percent, 0)} % apart; within ${e.limit_percent} % is usual. Did the water rise, or was a vertical left out?`,
	'another-way': (e) =>
		`Gauged by ${e.used}, where the card asks for ${e.asked}: ${e.because || 'no reason is noted'}.`,
	'speeds-turned': (e) =>
		`At ${writeNumber(e.distance_m)} m the water is faster at 0.8 of the depth (${writeNumber(e.at08_m_s)} m/s) than at 0.2 (${writeNumber(e.at02_m_s)} m/s). Were the two typed the wrong way round? Keep them if it is so.`,
	'run-apart': (e) =>
		`One run took ${writeNumber(e.time_s)} s; the other ${e.others} take about ${writeNumber(Number(e.usual_s.toFixed(1)))} s. A point in the wrong place, or a float that was caught? Strike it if so.`,
	'float-coefficient-high': (e) =>
		`A coefficient of ${writeNumber(e.coefficient)} belongs to deeper water; at ${writeNumber(Number(e.depth_m.toFixed(2)))} m it is about ${plain(e.byDepth, 2)}, and the flow comes out that much lower.`,
	'widths-apart': (e) =>
		`The wetted width (${writeNumber(e.wetted_m)} m) and the edges of the section (${writeNumber(Number(e.section_m.toFixed(2)))} m) lie more than ${e.limit_percent} % apart. One of them is wrong, or the width is of another place.`,
	'bankfull-narrow': (e) =>
		`A bankfull width of ${writeNumber(e.bankfull_m)} m is less than the ${writeNumber(Number(e.wetted_m.toFixed(2)))} m that are wet, which cannot be. Were the two typed the wrong way round?`,
	'typed-once': () =>
		'Typed in from paper by one person only. A second one types it without seeing the first, and the differences show.',
	supersaturated: (e) =>
		`The water holds ${plain(e.percent, 0)} % of what it can: algae in sun, or water falling over a weir, or a probe that needs calibrating.`,
	'two-values': (e) =>
		`Two people wrote different values here without seeing each other’s: ${e.shown}, and ${e.other}. Both are kept; a reviewer strikes one.`,
	'clock-skew': (e) =>
		`The clock of device ${e.device} is ${e.minutes} min off the server’s. Times are kept as written; judge them with that in mind.`,
	'changed-since-review': (e) =>
		`${e.parameter} was ${e.judged} when it was reviewed and is now ${e.now}. It waits for review again.`
};

const lower = (name: string) => (/^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name);

export const flagSentence = (flag: Flag): string =>
	(sentences[flag.code] as (evidence: Flag['evidence']) => string)(flag.evidence);
