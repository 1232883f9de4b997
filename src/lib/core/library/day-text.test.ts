import { expect, it } from 'vitest';
import { dateStyles, sayDate, writeDatesBy } from '../wording';
import { readDay } from './day-text';

it.each([
	['2026-05-14', '2026-05-14'],
	['2026-5-4', '2026-05-04'],
	['14 May 2026', '2026-05-14'],
	['4 june 2026', '2026-06-04'],
	['1st Sept 2026', '2026-09-01'],
	['14-May-2026', '2026-05-14'],
	['14. May 2026', '2026-05-14'],
	['May 14, 2026', '2026-05-14'],
	['14.5.2026', '2026-05-14'],
	['3. 4. 2026', '2026-04-03'],
	['14/5/2026', '2026-05-14'],
	['5/14/2026', '2026-05-14'],
	['4/4/2026', '2026-04-04']
])('%s is %s', (text, day) => expect(readDay(text)).toEqual({ day }));

it.each([
	['3/4/2026', /3 Apr or 4 Mar/],
	['31 Feb 2026', /is not a day/],
	['14 May', /is not a day such as 14 May 2026/],
	['14 Ma 2026', /is not a day/],
	['tomorrow', /is not a day/],
	['2026-13-01', /is not a day/],
	['', /is not a day/]
])('%s is asked back', (text, why) => expect(readDay(text)).toEqual({ why: expect.stringMatching(why) as string }));

it('a day is read back as it is written, in every style', () => {
	for (const style of dateStyles) {
		writeDatesBy(() => style);
		try {
			for (let month = 1; month <= 12; month++) {
				const day = `2026-${String(month).padStart(2, '0')}-03`;
				expect(readDay(sayDate(Date.parse(day), 'UTC'))).toEqual({ day });
			}
		} finally {
			writeDatesBy(() => undefined);
		}
	}
});
