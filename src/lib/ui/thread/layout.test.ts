import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sites as demoSites, streams as demoStreams } from '../../server/demo/catchment';
import { layOutThread, overlaps, type StreamIn } from './layout';

const demo: StreamIn[] = demoStreams.map((s) => ({
	id: s.name,
	name: s.name,
	length_km: s.length_km,
	joins: s.joins ? { streamId: s.joins.stream, at_km: s.joins.at_km } : null
}));
const sitesSaying = (say: string) =>
	demoSites.map((s) => ({
		id: s.code,
		streamId: s.stream,
		river_km: s.river_km,
		name: s.name,
		say
	}));

describe.each(['E. coli 5200 per 100 mL', 'Anselm Drew-Tarn and Cosima Lathe, step 15 of 19'])(
	'the demo’s catchment, saying “%s”',
	(say) => {
		const sites = sitesSaying(say);
		const thread = layOutThread(demo, sites, 560);

		it('has every site once, in order down its stream', () => {
			expect(thread.beads.map((b) => b.id).sort()).toEqual(sites.map((s) => s.id).sort());
			for (const stream of demo) {
				const down = sites.filter((s) => s.streamId === stream.id).sort((a, b) => b.river_km - a.river_km);
				const ys = down.map((s) => thread.beads.find((b) => b.id === s.id)!.y);
				expect(ys).toEqual([...ys].sort((a, b) => a - b));
			}
		});

		it('puts no label on another, on a bead, or beyond the page', () => {
			for (const [i, bead] of thread.beads.entries()) {
				for (const other of thread.beads.slice(i + 1))
					expect(overlaps(bead.box, other.box), `${bead.id} and ${other.id}`).toBe(false);
				for (const other of thread.beads)
					if (other !== bead)
						expect(
							overlaps(bead.box, { x: other.x - 8, y: other.y - 8, w: 16, h: 16 }),
							`${bead.id} on ${other.id}`
						).toBe(false);
				expect(bead.box.x).toBeGreaterThanOrEqual(0);
				expect(bead.box.x + bead.box.w).toBeLessThanOrEqual(thread.width);
			}
		});

		it('puts no label on a stream that runs straight', () => {
			const straight = thread.lines.map((l) => /^M([\d.]+) ([\d.]+)V([\d.]+)$/.exec(l.path)).filter((m) => m !== null);
			for (const bead of thread.beads)
				for (const [, x, from, to] of straight)
					expect(
						overlaps(bead.box, { x: Number(x) - 2, y: Number(from), w: 4, h: Number(to) - Number(from) }),
						bead.id
					).toBe(false);
		});
	}
);

describe('any network', () => {
	const anyNetwork = fc
		.array(fc.record({ joins: fc.nat(6), at: fc.integer({ min: 1, max: 9 }), sites: fc.nat(3) }), {
			minLength: 1,
			maxLength: 6
		})
		.map((list) => ({
			streams: list.map(({ joins, at }, i): StreamIn => ({
				id: `s${i}`,
				name: `Stream ${i}`,
				length_km: 10,
				joins: i === 0 ? null : { streamId: `s${joins % i}`, at_km: at }
			})),
			places: list.flatMap(({ sites: n }, i) =>
				Array.from({ length: n }, (_, k) => ({
					id: `p${i}-${k}`,
					streamId: `s${i}`,
					river_km: k + 0.5,
					name: `Site ${i}.${k}`,
					say: 'clear'
				}))
			)
		}));

	it('is drawn whole, with figures that are numbers', () => {
		fc.assert(
			fc.property(anyNetwork, ({ streams, places }) => {
				const thread = layOutThread(streams, places, 560);
				expect(thread.beads).toHaveLength(places.length);
				expect(JSON.stringify(thread)).not.toMatch(/null|NaN/);
				for (const bead of thread.beads) expect(bead.y).toBeLessThan(thread.height);
			})
		);
	});
});
