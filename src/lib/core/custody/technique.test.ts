import { describe, expect, it } from 'vitest';
import { techniques } from '../subjects/bottle/branch';
import { fillingGuide } from './technique';

const of = (more: Partial<Parameters<typeof fillingGuide>[0]>) =>
	fillingGuide({
		kind: 'nutrients',
		role: 'routine',
		technique: 'hand',
		rinses: 3,
		preserved: undefined,
		...more
	}).join(' ');

describe('the guide to filling a bottle', () => {
	it.each(techniques)('%s: a sterile bottle is never rinsed, another as the card says', (technique) => {
		expect(of({ kind: 'bacteria', technique })).toContain('never rinsed');
		expect(of({ kind: 'bacteria', technique })).not.toMatch(/Rinse \d|Rinse once/);
		expect(of({ technique })).toContain('Rinse 3 times');
		expect(of({ technique, rinses: 1 })).toContain('Rinse once');
	});
	it('names the acid only where there is any, and always with gloves and eye protection', () => {
		expect(of({})).not.toContain('acid');
		expect(of({ preserved: 'acid' })).toMatch(/shoulder.*gloves and eye protection.*acid/);
	});
	it('keeps the stream out of a blank, and a churn out of a bacteria bottle', () => {
		expect(of({ role: 'blank' })).toMatch(/deionised/);
		expect(of({ role: 'blank' })).not.toMatch(/upstream/);
		expect(of({ kind: 'bacteria', technique: 'composite' })).toContain('A churn is not sterile');
	});
	it('takes a duplicate at once after the first', () => expect(of({ role: 'duplicate' })).toMatch(/^Same place/));
});
