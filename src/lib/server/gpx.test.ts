import { XMLParser } from 'fast-xml-parser';
import { describe, expect, it } from 'vitest';
import { routeAsGpx, sitesAsGpx } from './gpx';

const read = (gpx: string) =>
	new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '@', parseAttributeValue: false }).parse(gpx) as {
		gpx: { wpt: object[]; rte: { name: string; rtept: object[] } };
	};
const about = 'below <the> "works" & lane';

describe('GPX', () => {
	it('is a round’s stops and the way between, whatever the names hold', () => {
		const points = [
			{ name: 'Quarl 1', about, latitude: 48.3, longitude: -27.2 },
			{ name: 'Tessel 4', about: '', latitude: 48.31, longitude: -27.21 }
		];
		const { gpx } = read(routeAsGpx('Lower & upper', points));
		expect(gpx.wpt).toEqual([
			{ '@lat': '48.3', '@lon': '-27.2', name: 'Quarl 1', desc: about },
			{ '@lat': '48.31', '@lon': '-27.21', name: 'Tessel 4', desc: '' }
		]);
		expect(gpx.rte.name).toBe('Lower & upper');
		expect(gpx.rte.rtept).toHaveLength(2);
	});

	it('carries every field of a site, and leaves out an elevation that nobody knows', () => {
		const written = sitesAsGpx([{ code: 'QU1', about, latitude: '48.3', longitude: '-27.2', elevation_m: '' }]);
		expect(written).not.toContain('<ele>');
		expect(written).toContain('<riffle:field name="code">QU1</riffle:field>');
		expect(written).toContain('below &lt;the&gt; &quot;works&quot; &amp; lane');
	});
});
