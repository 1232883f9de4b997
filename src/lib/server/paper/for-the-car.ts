import type { Content, ContentTable } from 'pdfmake/interfaces';
import type { BottleLabel } from '../../core/custody';
import { sayWait } from '../../core/interpret';
import { sayLimit } from '../../core/safety';
import { sayDay, sayMinute, sayTime } from '../../core/wording';
import { type Sheet } from '../../core/logbook';
import { techniqueWords } from '../../core/subjects/bottle/words';
import type { MethodCard, OrderedStep } from '../../core/method';
import { LINE } from '../../core/subjects/blank';
import { blankFor } from '../../core/subjects/blanks';
import type { Step } from '../../core/subjects/steps';
import type { DayPlan, Wait } from '../../core/schedule';
import { paperPage, print, ruledTable, type Letterhead } from './print';

/* What is carried on paper: the round sheet, blank field sheets, the custody form. Blank lines are for a pencil. */

export interface PaperRound {
	title: string;
	date: string;
	crew: string;
	depot: string;
	lab: string | null;
	sites: readonly {
		id: string;
		code: string;
		name: string;
		about: string;
		hazards: string;
		directions: string;
		access: string;
	}[];
	plan: DayPlan;
	waits: readonly Wait[];
	card: MethodCard;
	steps: readonly OrderedStep[];
	labels: readonly BottleLabel[];
	/** What the crew's phones have told of the bottles so far; empty before the day. */
	sheets: readonly Sheet[];
	timeZone: string;
	letterhead: Letterhead;
}

const CAUTION =
	'Local rules, permits, the landowner’s permission and trained people come first. Nobody goes alone. Nobody goes in ' +
	'over the limit, or when in doubt; the figure can wait.';

/** The day on one page: when to leave, where to be when, and the last moment at the lab. */
export const printRoundSheet = (round: PaperRound): Promise<Uint8Array> => {
	const { plan } = round;
	const site = (id: string) => round.sites.find((s) => s.id === id)!;
	const lastMoment =
		plan.firstBottle_min === null || plan.slack.holding_min === null
			? null
			: (plan.plated_min ?? 0) + plan.slack.holding_min;
	const waits = new Map(round.waits.map((w) => [w.id, sayWait(w)]));
	return print(
		paperPage(`${round.title}, ${round.date}`, round.letterhead, [
			{ text: round.title, style: 'title' },
			{
				text: `${round.date}. ${round.crew}. Leave ${round.depot} at ${sayMinute(plan.start_min)}.`,
				margin: [0, 2, 0, 8]
			},
			ruledTable(
				[46, 90, '*', 60],
				['there', 'site', 'what to know', 'leave'],
				plan.stops.map((s) => [
					sayMinute(s.arrive_min),
					{ text: [{ text: `${site(s.id).code} `, style: 'strong' }, site(s.id).name] },
					{
						text: [
							waits.get(s.id) ?? '',
							site(s.id).about,
							site(s.id).directions,
							site(s.id).access,
							site(s.id).hazards
						]
							.filter(Boolean)
							.map((t) => t.replace(/\.$/, ''))
							.join('. '),
						fontSize: 9
					},
					sayMinute(s.leave_min)
				])
			),
			...(round.lab === null
				? []
				: [
						{ text: 'The lab', style: 'section' },
						{
							text:
								`${round.lab}, there at ` +
								`${sayMinute(plan.end_min)}.${lastMoment === null ? '' : ` The last plate must be poured by ${sayMinute(lastMoment)}, if the first bottle is filled at ${sayMinute(plan.firstBottle_min!)}. Filled earlier, it runs out earlier by as much.`}`
						}
					]),
			{ text: 'Before anyone goes in', style: 'section' },
			{ text: `Nobody wades where it is ${sayLimit(round.card.wading)}. ${CAUTION}` },
			{ text: `Card: ${round.card.title}, version ${round.card.version}.`, style: 'small', margin: [0, 14, 0, 0] }
		])
	);
};

/** A blank sheet for each site, its steps in the order of the card's rules, in case a phone fails. */
export const printFieldSheets = (round: PaperRound): Promise<Uint8Array> =>
	print(
		paperPage(
			`Field sheets, ${round.title}`,
			round.letterhead,
			round.sites.flatMap((site, i): Content[] => [
				{
					id: site.code,
					text: `${site.code} ${site.name}`,
					style: 'title',
					...(i > 0 ? { pageBreak: 'before' as const } : {})
				},
				{ text: `${site.about}. ${site.hazards}`, style: 'small' },
				{ text: `date ${round.date}     time ${LINE}     crew ${LINE}${LINE}`, margin: [0, 6, 0, 2] },
				{ text: 'A slip is struck through once and initialled, never rubbed out.', style: 'small' },
				// a step stays whole: its title is not left behind at the foot of a page
				...round.steps.map(({ step }, n): Content => ({
					unbreakable: true,
					stack: [
						{ text: `${n + 1}  ${step.title}`, style: 'section', margin: [0, 6, 0, 1] },
						{ text: step.how, style: 'small' },
						{
							...blank(
								step,
								round.labels.filter((l) => l.site === site.code)
							),
							margin: [0, 3, 0, 0]
						}
					]
				}))
			]),
			(code) => `${code} ${round.sites.find((s) => s.code === code)?.name ?? ''}, ${round.date}`
		)
	);

/** Room for a pencil at a step, as its subject asks for it. */
function blank(step: Step, labels: readonly BottleLabel[]): { text: string } | ContentTable {
	const asked = blankFor(step, labels);
	if ('text' in asked) return asked;
	const rows = Array.from({ length: asked.rows }, () => asked.columns.map(() => ' '));
	return ruledTable(
		asked.columns.map(() => '*'),
		asked.columns,
		rows
	);
}

/** Who has the bottles, from when to when: what the phones have told is filled in, the rest is lines for a pencil. */
export function printCustodyForm(round: PaperRound): Promise<Uint8Array> {
	const bottles = round.sheets.flatMap((sheet) => Object.values(sheet.bottles ?? {}));
	const hands = round.sheets
		.flatMap((sheet) => Object.values(sheet.custody ?? {}))
		.filter((c) => c.at !== undefined)
		.sort((a, b) => (a.at! < b.at! ? -1 : 1));
	const time = (iso: string | undefined) =>
		iso === undefined ? '____ : ____' : sayTime(Date.parse(iso), round.timeZone);
	const remarks = (b: (typeof bottles)[number] | undefined) =>
		[
			b?.preservedAt && `acid ${time(b.preservedAt)}`,
			b?.onIceAt && `on ice ${time(b.onIceAt)}`,
			b?.technique && techniqueWords[b.technique]
		]
			.filter(Boolean)
			.join(', ');
	const seals = [...new Set(hands.flatMap((h) => h.seal ?? []))];
	return print(
		paperPage(`Custody, ${round.title}, ${round.date}`, round.letterhead, [
			{ text: 'Custody of bottles', style: 'title' },
			{
				text: `${round.title}, ${round.date}, to ${round.lab ?? LINE}. In a bag inside the lid of the cooler.`,
				margin: [0, 2, 0, 8]
			},
			ruledTable(
				[100, 90, 50, 70, '*'],
				['bottle', 'for', 'added', 'filled at', 'remarks'],
				round.labels.map((l) => {
					const known = bottles.find((b) => b.label === l.code);
					return [
						{ text: l.code, style: 'strong' },
						`${l.kind}${l.role === 'routine' ? '' : `, ${l.role}`}`,
						l.preserved ?? 'nothing',
						time(known?.filledAt),
						remarks(known)
					];
				})
			),
			{ text: 'From hand to hand', style: 'section' },
			ruledTable(
				['*', '*', 90, 60, 110],
				['given by', 'taken by', 'date and time', '°C in the cooler', 'signature'],
				[
					...hands.map((h): Content[] => [
						h.from ?? '',
						h.to ?? '',
						`${sayDay(Date.parse(h.at!), round.timeZone)} ${time(h.at)}`,
						h.temperature_C === undefined ? '____' : String(h.temperature_C),
						h.signature === undefined ? '' : { svg: signatureSvg(h.signature), width: 84 }
					]),
					...Array.from({ length: Math.max(1, 4 - hands.length) }, (): Content[] => [' ', ' ', ' ', ' ', ' '])
				]
			),
			{
				text:
					`seal number ${seals.join(', ') || LINE}    on arrival: seal whole [  ]   ice left [  ]   ` +
					`lids tight [  ]   °C ${LINE}`,
				margin: [0, 12, 0, 0]
			}
		])
	);
}

/** A name written with a finger, as it was drawn in its box of 300 by 100. */
const signatureSvg = (path: string): string =>
	`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 100"><path d="${path}" fill="none" stroke="black" ` +
	'stroke-width="2.2"/></svg>';
