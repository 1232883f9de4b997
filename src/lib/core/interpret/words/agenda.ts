import type { Item } from '../../schedule';
import { capitalised, counted } from '../../wording';
import { sayDeadline } from './deadline';
import { sayDay, sayDuration, sayTime } from '../../wording';

export interface Said {
	/** The deed, with the place or thing it is about kept apart so that it can be set in bold. */
	deed: [before: string, thing: string, after: string];
	reason: string;
	/** The one button, and the very place it leads to. */
	act: { word: string; href: string } | null;
	/** The words beside a lane of the clocks rail. */
	lane: { name: string; say: string };
}

/** What an item of the agenda says to a person: the deed, the reason, and where to do it. */
export function sayItem(item: Item, now_ms: number, timeZone: string): Said {
	const time = (at_ms: number) => sayTime(at_ms, timeZone);
	const day = (at_ms: number) => sayDay(at_ms, timeZone);
	switch (item.kind) {
		case 'bottle': {
			const isLate = item.last_ms < now_ms;
			return {
				deed: [isLate ? 'Ask the lab about bottle ' : 'Bring to the lab bottle ', item.label, ''],
				reason: `Filled at ${item.site} ${time(item.start_ms)}. ${
					isLate
						? `Its last moment was ${time(item.last_ms)}. When was it ${item.isForBacteria ? 'plated' : 'taken in'}? ` +
							'Late figures are qualified.'
						: `On the road by ${time(item.due_ms)}. ${sayDeadline(item.deadline, item.last_ms, timeZone)}`
				}`,
				act: { word: 'Open', href: `/visits/${item.visitId}` },
				lane: { name: `Bottle ${item.label}`, say: isLate ? 'past its last moment' : `lab by ${time(item.last_ms)}` }
			};
		}
		case 'plate':
		case 'tubes': {
			const isLate = item.last_ms < now_ms;
			const [what, it, was] =
				item.kind === 'plate' ? (['plate', 'it', 'It was'] as const) : (['tubes', 'them', 'They were'] as const);
			return {
				deed: [isLate ? `Throw away ${what} ` : `Read ${what} `, item.label, `, ${item.site}`],
				reason: isLate
					? `${was} readable until ${day(item.last_ms)} ${time(item.last_ms)}; what grows now is no longer E. coli ` +
						`alone. Bleach ${it}, bag ${it}, bin ${it}.`
					: `Readable from ${day(item.due_ms)} ${time(item.due_ms)} until ${day(item.last_ms)} ${time(item.last_ms)}.`,
				act: { word: 'Open', href: `/visits/${item.visitId}` },
				lane: {
					name: `${capitalised(what)} ${item.label}`,
					say: isLate ? 'too old to read' : `read from ${day(item.due_ms)} ${time(item.due_ms)}`
				}
			};
		}
		case 'fixed': {
			const isLate = item.last_ms < now_ms;
			return {
				deed: ['Titrate the ', item.label, `, ${item.site}`],
				reason: `Fixed ${day(item.start_ms)} ${time(item.start_ms)}. ${
					isLate
						? `Its hours ended at ${time(item.last_ms)}: titrate it all the same, and it is flagged.`
						: `Within its hours until ${day(item.last_ms)} ${time(item.last_ms)}.`
				}`,
				act: { word: 'Titrate', href: `/bench/${item.visitId}` },
				lane: {
					name: `${capitalised(item.label)}, ${item.site}`,
					say: isLate ? 'past its hours' : `titrate by ${time(item.last_ms)}`
				}
			};
		}
		case 'gear':
			return {
				deed: [item.due_ms > now_ms ? 'Let dry ' : 'Dry again: ', item.label, ''],
				reason:
					`Wet at ${item.site} ${day(item.start_ms)}. It goes into other water from ${day(item.due_ms)} on, or ` +
					'disinfected before; local rules come first.',
				act: null,
				lane: { name: item.label, say: `dry ${day(item.due_ms)}` }
			};
		case 'open-visit':
			return {
				deed: [item.isOverdue ? 'Not back yet from ' : 'A visit is open at ', item.site, ''],
				reason: `${item.crew.join(' and ') || 'Nobody named yet'}, ${item.done} of ${item.asked} steps done, begun ${item.isOverdue ? `${day(item.started_ms)} ` : ''}${time(item.started_ms)}.${
					item.isOverdue
						? ` ${item.back_ms === null ? `Nothing heard for ${sayDuration(now_ms - item.heard_ms)}` : `They meant to be back at ${time(item.back_ms)}`}: call them now${item.waits ? `, and ${item.waits}, who waits for them` : ''}.`
						: ''
				}`,
				act: { word: 'Look', href: `/visits/${item.visitId}` },
				lane: { name: item.site, say: item.isOverdue ? 'not back yet' : `${item.done} of ${item.asked} steps` }
			};
		case 'grab':
			return {
				deed: ['Take the monthly samples at ', item.name, ''],
				reason:
					`Day ${item.window.daysSince} since the last; aimed at ${item.window.aim_days}. ` +
					(item.round ? `${item.round.name} goes there ${day(item.round.starts_ms)}.` : 'No round goes there yet.'),
				act: { word: 'Site', href: `/sites/${item.code}` },
				lane: {
					name: `Grab, ${item.name}`,
					say: item.when === 'late' ? `day ${item.window.daysSince}: go soon` : `due ${day(item.window.due_ms)}`
				}
			};
		case 'round':
			return {
				deed: ['', item.name, `, ${counted(item.sites.length, 'site')}`],
				reason: `${item.sites.join(', ')}. Starts ${time(item.starts_ms)}.`,
				act: { word: 'Open', href: `/plan/rounds/${item.id}` },
				lane: { name: item.name, say: '' }
			};
		case 'review':
			return {
				deed: ['Judge ', counted(item.results, 'result'), ` of ${counted(item.visits, 'visit')}`],
				reason: item.oldest_ms === null ? '' : `The oldest waits since ${day(item.oldest_ms)}.`,
				act: { word: 'Review', href: '/review' },
				lane: { name: 'Review', say: `${counted(item.visits, 'visit')} ${item.visits === 1 ? 'waits' : 'wait'}` }
			};
		case 'conflict':
			return {
				deed: ['Decide between two values at ', item.site, ''],
				reason: 'Two people wrote different figures without seeing each other’s. Both are kept until one is struck.',
				act: { word: 'Decide', href: `/visits/${item.visitId}` },
				lane: { name: item.site, say: 'two values' }
			};
		case 'calibration':
			return {
				deed: ['Calibrate ', item.instrument, ` for ${item.parameter}`],
				reason:
					item.days === null
						? 'It has never been calibrated and is in use.'
						: `Used ${sayDuration(now_ms - item.lastUsed_ms)} ago, ${counted(item.days, 'day')} after its last ` +
							`calibration; ${item.limit_days} is the most.`,
				act: { word: 'Calibrate', href: `/plan/calibrate/${item.instrument}` },
				lane: { name: `Calibrate ${item.instrument}`, say: 'calibrate before the next round' }
			};
		case 'consumable': {
			const name = item.lot === '' ? item.what : `${item.what}, lot ${item.lot}`;
			return {
				deed: [item.isExpired ? 'Replace ' : 'Order ', name, ''],
				reason: item.isExpired
					? `Expired ${sayDay(item.expires_ms, timeZone, true)}: what is measured with it is qualified.`
					: `Expires ${day(item.expires_ms)}.`,
				act: { word: 'Shelf', href: '/library/consumables' },
				lane: { name: item.what, say: item.isExpired ? 'expired' : `expires ${day(item.expires_ms)}` }
			};
		}
		case 'sampler':
			return {
				deed: [item.what === 'lift' ? 'Lift ' : 'Look at ', item.label, `, ${item.site}`],
				reason:
					item.last_ms < now_ms
						? `It should have been done by ${day(item.last_ms)}. Later it says less: go soon, and write how long it ` +
							'stood.'
						: `Between ${day(item.from_ms)} and ${day(item.last_ms)}.`,
				act: { word: 'Plan', href: '/plan' },
				lane: { name: item.label, say: `by ${day(item.last_ms)}` }
			};
		case 'storm':
			return {
				deed: ['Send a ', 'storm round', ''],
				reason:
					`${item.rain_mm.toFixed(0)} mm fell on ` +
					`${day(item.fell_ms)}${item.isSimulated ? ' (simulated gauge)' : ''}. It can go until ${day(item.last_ms)}.`,
				act: { word: 'Plan', href: '/plan' },
				lane: { name: 'Storm round', say: `until ${day(item.last_ms)}` }
			};
	}
}
