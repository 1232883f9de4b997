import { afterEach, describe, expect, it } from 'vitest';
import {
	asWritten,
	exactly,
	keptText,
	withQualifier,
	numberStyles,
	readTyped,
	rounded,
	significant,
	writeFigure,
	writeFixed,
	writeNumber,
	writeNumbersBy
} from '.';

const [POINT, COMMA] = numberStyles;
afterEach(() => writeNumbersBy(() => undefined));

describe('numbers as people write them', () => {
	it('have a point where nobody said otherwise', () => {
		for (const style of [undefined, POINT]) {
			writeNumbersBy(() => style);
			expect([writeNumber(-0.25), writeFixed(-1.5, 2), rounded(512.64, 1)]).toEqual(['−0.25', '−1.50', '512.6']);
		}
	});
	it('have a comma where a program writes one, whoever writes them', () => {
		writeNumbersBy(() => COMMA);
		expect([writeNumber(-0.25), writeNumber(1200), writeFixed(-1.5, 2)]).toEqual(['−0,25', '1200', '−1,50']);
		expect([rounded(512.64, 1), rounded(512.64, -1), significant(0.03456, 2)]).toEqual(['512,6', '510', '0,035']);
		expect(writeFigure(exactly(11.2, 'degC'), 1)).toBe('11,2 °C');
		expect(writeFigure(withQualifier(0.05, 'below', 'mg_L'))).toBe('below 0,05 mg/L');
		expect(asWritten(writeNumber(0.5))).toBe('0,5');
	});
	it('are read again as they were written', () => {
		for (const style of numberStyles) {
			writeNumbersBy(() => style);
			for (const n of [-12.25, 0, 0.05, 1800]) expect(readTyped(writeNumber(n))).toMatchObject({ number: n });
		}
	});
	it('are kept the same whoever writes them: a verdict quotes the figure that it judged', () => {
		const kept = numberStyles.map((style) => {
			writeNumbersBy(() => style);
			return keptText(exactly(-0.5, 'degC'), 2);
		});
		expect(kept).toEqual(['−0.50 °C', '−0.50 °C']);
	});
});
